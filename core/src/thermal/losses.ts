import { exchangeFactors } from './exchange';
import { airState, steamPressure } from './fluids';
import { NotConverged } from './notConverged';
import { stefan } from './radiation';

const kelvin = 273.15;
/** W/m²K⁴. Stefan and Boltzmann, CODATA. */
const gravity = 9.80665;

/** Cavities inside a cover of several sheets: twin-wall, sealed unit. */
export interface Cavities {
  /** How many, one above the other. */
  count: number;
  /** m. Across one of them. */
  gap: number;
  /** W/m²K. Conducted by the webs of one cavity; nought without any. */
  webs: number;
  /** Share of the radiation between two wide faces that passes: webs that radiate again let through less. 1 without any. */
  view: number;
}

/** A cover as heat meets it, from the plate outward. */
export interface LossCover {
  emittance: number;
  /** Share of long-wave radiation that passes straight through it: films. Nought when left out. */
  longWave?: number;
  /** m. Air gap below this cover. */
  gap: number;
  /** W/m²K. Through the cover's solid, face to face; a thin pane is Infinity. */
  conductance?: number;
  /** Cavities that the heat crosses besides; their conductance follows from the temperatures. */
  cavities?: Cavities;
}

export interface TopLoss {
  /** W/m²K between plate and outside air. With the plate within 0.01 K of the air: the slope there. */
  coefficient: number;
  /** W/m² leaving the plate upwards. Not nought when plate and air are alike and the sky is colder. */
  flux: number;
  /** °C of the outer face of each cover, from the plate outward. */
  coverTemperatures: number[];
  /** °C of the inner face of each cover. */
  innerTemperatures: number[];
}

export interface TopLossQuery {
  plateTemperature: number;
  ambientTemperature: number;
  /** °C that the pane radiates to; see `surroundingsTemperature` for a tilted one. */
  skyTemperature: number;
  /** W/m²K. Convection only; radiation is counted on its own. */
  windCoefficient: number;
  /** Degrees. */
  tilt: number;
  plateEmittance: number;
  covers: readonly LossCover[];
  /** Share of the plate that is wet and open to the gap: it steams onto the first cover. */
  wet?: number;
}

/**
 * Nusselt number of a tilted air gap. Hollands et al. (1976), tilt held at 75°; conduction when heated from above.
 *
 * @param query.below °C of the lower face
 * @param query.above °C of the upper face
 * @returns W/m²K across the gap by convection
 */
export function gapConvection(query: { below: number; above: number; gap: number; tilt: number }): number {
  const air = airState((query.below + query.above) / 2);
  const rise = query.below - query.above;
  if (rise <= 0) return air.conductivity / query.gap;
  const middle = (query.below + query.above) / 2 + kelvin;
  const rayleigh = (gravity * rise * query.gap ** 3 * air.prandtl) / (middle * air.kinematic ** 2);
  const tilt = (Math.min(75, Math.max(0, query.tilt)) * Math.PI) / 180;
  const along = rayleigh * Math.cos(tilt);
  // Still air, and no quotient by nought where the faces are all but alike.
  if (along <= 1708) return air.conductivity / query.gap;
  const onset = 1 - 1708 / along;
  const lean = 1 - (1708 * Math.max(0, Math.sin(1.8 * tilt)) ** 1.6) / along;
  const wavy = Math.max(0, (along / 5830) ** (1 / 3) - 1);
  return ((1 + 1.44 * lean * onset + wavy) * air.conductivity) / query.gap;
}

/** Pa of vapour over water. Held below the boiling point, where the gap would be all steam. */
function vapourPressure(temperature: number): number {
  return steamPressure(Math.min(99, temperature));
}

/** J/kg. Latent heat of water near 50 °C: steam tables. */
const latent = 2.38e6;
/** Pa. Standard atmosphere. */
const atmosphere = 101325;

/**
 * W/m²K that evaporation adds to the convection of a gap whose lower face is wet and whose upper one is colder and gathers the
 * dew. Lewis' analogy: mass moves as heat does, by h / (ρ c Le^⅔), Le = 0.87; with Stefan's flow, since the air stands still while the
 * steam goes through it: h_m p / (R T) × ln((p − p_above) / (p − p_below)).
 *
 * @param below °C of the wet face
 * @param above °C of the face that gathers the dew
 * @param convection W/m²K of the gap
 */
export function steaming(below: number, above: number, convection: number): number {
  const rise = below - above;
  if (rise < 0.05) return 0;
  const air = 1.1 * 1006 * 0.87 ** (2 / 3);
  const gas = 461.5 * ((below + above) / 2 + kelvin);
  const dry = (temperature: number) => atmosphere - vapourPressure(temperature);
  const stefanFlow = (atmosphere / gas) * Math.log(dry(above) / dry(below));
  return ((convection / air) * latent * stefanFlow) / rise;
}

/** W/m²K that black faces at two temperatures exchange: σ (T1² + T2²)(T1 + T2). */
function blackExchange(a: number, b: number): number {
  const first = a + kelvin;
  const second = b + kelvin;
  return stefan * (first ** 2 + second ** 2) * (first + second);
}

/**
 * W/m²K through a cover, face to face: its solid and its cavities in series, each cavity with air (`gapConvection`), webs and
 * radiation between its walls at the temperatures that they have.
 */
export function coverConductance(
  cover: Pick<LossCover, 'emittance' | 'conductance' | 'cavities'>,
  faces: { inner: number; outer: number; tilt: number },
): number {
  const { cavities, emittance, conductance = Number.POSITIVE_INFINITY } = cover;
  if (!cavities) return conductance;
  const step = (faces.inner - faces.outer) / cavities.count;
  let resistance = 1 / conductance;
  for (let index = 0; index < cavities.count; index += 1) {
    const below = faces.inner - index * step;
    const above = below - step;
    const radiated = (cavities.view * blackExchange(below, above)) / (2 / emittance - 1);
    const air = gapConvection({ below, above, gap: cavities.gap, tilt: faces.tilt });
    resistance += 1 / (air + radiated + cavities.webs);
  }
  return 1 / resistance;
}

/**
 * Heat that leaves a plate upwards, by a balance over plate, covers, air and sky, iterated until every cover is still
 * to a thousandth of a kelvin. D&B section 6.4, with sky and air told apart. Throws NotConverged.
 */
export function topLoss(query: TopLossQuery): TopLoss {
  const state = balance(query);
  const difference = query.plateTemperature - query.ambientTemperature;
  if (Math.abs(difference) >= 0.01) return { ...state, coefficient: state.flux / difference };
  const above = balance({ ...query, plateTemperature: query.ambientTemperature + 0.5 });
  const below = balance({ ...query, plateTemperature: query.ambientTemperature - 0.5 });
  return { ...state, coefficient: above.flux - below.flux };
}

/** W/m² upwards only, for those who need no coefficient. */
export function topFlux(query: TopLossQuery): number {
  return balance(query).flux;
}

/**
 * The faces of plate, covers and sky as nodes of a network. A thin pane is one node for both its faces, so that the usual panel
 * has a single unknown.
 */
interface Network {
  /** °C by node: plate, faces from the plate outward, sky. */
  temperatures: Float64Array;
  /** Nodes of each cover's inner and outer face. */
  inner: number[];
  outer: number[];
  /** Pairs of nodes that exchange radiation, with their factor. */
  pairs: { a: number; b: number; factor: number }[];
}

function networkOf(query: TopLossQuery): Network {
  const { covers, plateTemperature: plate, ambientTemperature: air, skyTemperature: sky } = query;
  let last = 0;
  const inner: number[] = [];
  const outer: number[] = [];
  for (const cover of covers) {
    last += 1;
    inner.push(last);
    if (cover.cavities || Number.isFinite(cover.conductance ?? Number.POSITIVE_INFINITY)) last += 1;
    outer.push(last);
  }
  const temperatures = new Float64Array(last + 2);
  for (let node = 0; node <= last; node += 1) temperatures[node] = plate + ((air - plate) * node) / (last + 1);
  temperatures[last + 1] = sky;
  return { temperatures, inner, outer, pairs: pairsOf(query, inner, outer, last + 1) };
}

/** Which nodes exchange radiation: neighbours, and through films those beyond. */
function pairsOf(
  query: TopLossQuery,
  inner: readonly number[],
  outer: readonly number[],
  sky: number,
): Network['pairs'] {
  const { covers } = query;
  const pairs: Network['pairs'] = [];
  if (covers.every(({ longWave = 0 }) => longWave === 0)) {
    let [a, emittance] = [0, query.plateEmittance];
    covers.forEach((cover, index) => {
      pairs.push({ a, b: inner[index] ?? 0, factor: 1 / (1 / emittance + 1 / cover.emittance - 1) });
      [a, emittance] = [outer[index] ?? 0, cover.emittance];
    });
    pairs.push({ a, b: sky, factor: emittance });
    return pairs;
  }
  /** Node of each surface of the exchange factors. */
  const nodes = [0, ...covers.flatMap((_, index) => [inner[index] ?? 0, outer[index] ?? 0]), sky];
  exchangeFactors(query.plateEmittance, covers).forEach((row, first) => {
    for (let second = first + 1; second < row.length; second += 1) {
      const pair = { a: nodes[first] ?? 0, b: nodes[second] ?? 0, factor: row[second] ?? 0 };
      if (pair.factor > 0 && pair.a !== pair.b) pairs.push(pair);
    }
  });
  return pairs;
}

function balance(query: TopLossQuery): Omit<TopLoss, 'coefficient'> {
  const {
    plateTemperature: plate,
    ambientTemperature: air,
    skyTemperature: sky,
    windCoefficient,
    covers,
    tilt,
  } = query;
  if (covers.length === 0) {
    const toSky = query.plateEmittance * stefan * ((plate + kelvin) ** 4 - (sky + kelvin) ** 4);
    return { flux: windCoefficient * (plate - air) + toSky, coverTemperatures: [], innerTemperatures: [] };
  }
  const network = networkOf(query);
  const { temperatures, inner, outer, pairs } = network;
  const unknown = temperatures.length - 2;
  const matrix = new Float64Array(unknown * unknown);
  const given = new Float64Array(unknown);
  const limit = 200;
  for (let pass = 0; pass < limit; pass += 1) {
    matrix.fill(0);
    given.fill(0);
    for (const { a, b, factor } of pairs)
      join(matrix, given, temperatures, a, b, factor * blackExchange(temperatures[a] ?? air, temperatures[b] ?? air));
    for (let index = 0; index < covers.length; index += 1) {
      const cover = covers[index];
      if (!cover) continue;
      const under = index === 0 ? 0 : (outer[index - 1] ?? 0);
      const face = inner[index] ?? 0;
      const back = outer[index] ?? 0;
      const below = temperatures[under] ?? air;
      const above = temperatures[face] ?? air;
      const convection = gapConvection({ below, above, gap: cover.gap, tilt });
      const steam = index === 0 && query.wet ? query.wet * steaming(below, above, convection) : 0;
      join(matrix, given, temperatures, under, face, convection + steam);
      if (back !== face) {
        const through = coverConductance(cover, { inner: above, outer: temperatures[back] ?? air, tilt });
        join(matrix, given, temperatures, face, back, through);
      }
    }
    // The outermost face gives to the air.
    const corner = unknown * unknown - 1;
    matrix[corner] = (matrix[corner] ?? 0) + windCoefficient;
    given[unknown - 1] = (given[unknown - 1] ?? 0) + windCoefficient * air;
    solveInPlace(matrix, given, unknown);
    let moved = 0;
    for (let node = 1; node <= unknown; node += 1) {
      const target = given[node - 1] ?? air;
      const old = temperatures[node] ?? air;
      moved = Math.max(moved, Math.abs(target - old));
      // A part step in stacks of covers: gaps near the onset of convection would else swing to and fro.
      temperatures[node] = old + (target - old) * (pass < 4 ? 1 : 0.6);
    }
    if (moved < 1e-4) return settled(query, network);
  }
  throw new NotConverged('topLoss', limit, (temperatures[unknown] ?? air) - sky);
}

/** Puts a conductance between two nodes into the balance of each that is not known. */
function join(
  matrix: Float64Array,
  given: Float64Array,
  temperatures: Float64Array,
  a: number,
  b: number,
  conductance: number,
): void {
  const unknown = given.length;
  for (let end = 0; end < 2; end += 1) {
    const here = end === 0 ? a : b;
    const there = end === 0 ? b : a;
    if (here < 1 || here > unknown) continue;
    const row = (here - 1) * unknown;
    matrix[row + here - 1] = (matrix[row + here - 1] ?? 0) + conductance;
    if (there < 1 || there > unknown)
      given[here - 1] = (given[here - 1] ?? 0) + conductance * (temperatures[there] ?? 0);
    else matrix[row + there - 1] = (matrix[row + there - 1] ?? 0) - conductance;
  }
}

/** What leaves the plate once every face is still. */
function settled(query: TopLossQuery, { temperatures, inner, outer, pairs }: Network): Omit<TopLoss, 'coefficient'> {
  const { plateTemperature: plate, covers } = query;
  const at = (node: number | undefined) => temperatures[node ?? 0] ?? plate;
  const first = at(inner[0]);
  const convection = gapConvection({ below: plate, above: first, gap: covers[0]?.gap ?? 1, tilt: query.tilt });
  const steam = query.wet ? query.wet * steaming(plate, first, convection) : 0;
  let flux = (convection + steam) * (plate - first);
  for (const { a, b, factor } of pairs) if (a === 0) flux += factor * blackExchange(plate, at(b)) * (plate - at(b));
  return { flux, coverTemperatures: outer.map(at), innerTemperatures: inner.map(at) };
}

/** Gauss's elimination of a small diagonally dominant system, row by row; the solution stands in `right`. */
function solveInPlace(matrix: Float64Array, right: Float64Array, size: number): void {
  if (size === 1) {
    right[0] = (right[0] ?? 0) / (matrix[0] ?? 1);
    return;
  }
  const cell = (row: number, column: number) => matrix[row * size + column] ?? 0;
  for (let pivot = 0; pivot < size; pivot += 1)
    for (let row = pivot + 1; row < size; row += 1) {
      const share = cell(row, pivot) / cell(pivot, pivot);
      if (share === 0) continue;
      for (let column = pivot; column < size; column += 1)
        matrix[row * size + column] = cell(row, column) - share * cell(pivot, column);
      right[row] = (right[row] ?? 0) - share * (right[pivot] ?? 0);
    }
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = right[row] ?? 0;
    for (let column = row + 1; column < size; column += 1) sum -= cell(row, column) * (right[column] ?? 0);
    right[row] = sum / cell(row, row);
  }
}

/**
 * W/m²K. Convection by wind on a flat face: Mitchell (1976) as in D&B 3.15.10, least 5.
 *
 * @param wind m/s at the panel
 * @param length m. Side of a square of the panel's area
 */
export function windCoefficient(wind: number, length: number): number {
  return Math.max(5, (8.6 * wind ** 0.6) / length ** 0.4);
}
