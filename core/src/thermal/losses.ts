import {
  blackExchange,
  convectionAcross,
  type LossCover,
  steaming,
  type TiltedGap,
  throughCover,
  tiltedGap,
} from './coverGap';
import { exchangeFactors } from './exchange';
import { NotConverged } from './notConverged';
import { stefan } from './radiation';

const kelvin = 273.15;

export interface TopLoss {
  /** W/m²K between plate and outside air. With the plate within 0.01 K of the air: the slope there. */
  coefficient: number;
  /** W/m² leaving the plate upwards. Not zero when plate and air are alike and the sky is colder. */
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

/** What a top is asked, all but the temperature of its plate. */
export type TopLossConditions = Omit<TopLossQuery, 'plateTemperature'>;

/** A top under given conditions, ready to be asked at many temperatures of its plate (°C). */
export interface TopBalance {
  /** W/m² upwards. */
  flux(plate: number): number;
  /** °C of the inner face of each cover. */
  innerFaces(plate: number): number[];
  loss(plate: number): TopLoss;
}

/**
 * Heat that leaves a plate upwards, by a balance over plate, covers, air and sky, iterated until every cover is still
 * to a thousandth of a kelvin. D&B section 6.4, with sky and air told apart. Throws NotConverged.
 */
export function topLoss({ plateTemperature, ...conditions }: TopLossQuery): TopLoss {
  return topBalance(conditions).loss(plateTemperature);
}

/** W/m² upwards only, for those who need no coefficient. */
export function topFlux({ plateTemperature, ...conditions }: TopLossQuery): number {
  return topBalance(conditions).flux(plateTemperature);
}

/** The same, for one who asks at many temperatures under the same conditions: a root over the plate asks some twenty times. */
export function topBalance(conditions: TopLossConditions): TopBalance {
  const { covers, ambientTemperature: air, skyTemperature: sky } = conditions;
  const settle = covers.length === 0 ? undefined : coverBalance(conditions);
  const toSky = (sky + kelvin) ** 4;
  const flux = (plate: number): number =>
    settle
      ? settle.flux(plate)
      : conditions.windCoefficient * (plate - air) +
        conditions.plateEmittance * stefan * ((plate + kelvin) ** 4 - toSky);
  return {
    flux,
    innerFaces: (plate) => {
      if (!settle) return [];
      settle.flux(plate);
      return settle.innerFaces();
    },
    loss: (plate) => {
      const difference = plate - air;
      const near = Math.abs(difference) < 0.01;
      const slope = near ? flux(air + 0.5) - flux(air - 0.5) : Number.NaN;
      const lost = flux(plate);
      return {
        coefficient: near ? slope : lost / difference,
        flux: lost,
        coverTemperatures: settle?.outerFaces() ?? [],
        innerTemperatures: settle?.innerFaces() ?? [],
      };
    },
  };
}

/**
 * The faces of plate, covers and sky as nodes of a network. A thin pane is one node for both its faces, so that the usual panel
 * has a single unknown.
 */
interface Network {
  /** Nodes of each cover's inner and outer face; the plate is node 0, the sky the last. */
  inner: number[];
  outer: number[];
  sky: number;
  /** Pairs of nodes that exchange radiation, with their factor. */
  pairs: { a: number; b: number; factor: number }[];
}

function networkOf(query: TopLossConditions): Network {
  let last = 0;
  const inner: number[] = [];
  const outer: number[] = [];
  for (const cover of query.covers) {
    last += 1;
    inner.push(last);
    if (cover.cavities || Number.isFinite(cover.conductance ?? Number.POSITIVE_INFINITY)) last += 1;
    outer.push(last);
  }
  return { inner, outer, sky: last + 1, pairs: pairsOf(query, inner, outer, last + 1) };
}

/** Which nodes exchange radiation: neighbours, and through films those beyond. */
function pairsOf(
  query: TopLossConditions,
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

/** Rounds that a balance may take, and K within which every face must be still. */
const rounds = 200;
const still = 1e-4;

/** A plate under covers. The faces stand as they were left by the last `flux`. */
interface CoverBalance {
  flux(plate: number): number;
  innerFaces(): number[];
  outerFaces(): number[];
}

/** The balance of a plate under at least one cover. Its arrays are made once and used for every temperature that is asked. */
function coverBalance(query: TopLossConditions): CoverBalance {
  const { ambientTemperature: air, windCoefficient: wind, covers, tilt } = query;
  const { inner, outer, sky, pairs } = networkOf(query);
  const unknown = sky - 1;
  const temperatures = new Float64Array(sky + 1);
  const gaps = covers.map((cover) => tiltedGap(cover.gap, tilt));
  const cavities = covers.map((cover) => cover.cavities && tiltedGap(cover.cavities.gap, tilt));
  const wet = query.wet ?? 0;
  const [gap] = gaps;
  if (!gap) throw new RangeError('no cover');
  const begin = (plate: number): void => {
    for (let node = 0; node < sky; node += 1) temperatures[node] = plate + ((air - plate) * node) / sky;
    temperatures[sky] = query.skyTemperature;
  };
  const [first, second] = pairs;
  const thinPane = unknown === 1 && pairs.length === 2 && first?.b === 1 && second?.a === 1;
  const settle = thinPane
    ? () => settlePane({ temperatures, gap, wet, wind, air, below: first.factor, above: second.factor })
    : stackBalance({ temperatures, unknown, pairs, covers, gaps, cavities, inner, outer, wet, wind, air });
  return {
    flux: (plate) => {
      begin(plate);
      settle();
      const face = temperatures[inner[0] ?? 0] ?? plate;
      const convection = convectionAcross(gap, plate, face);
      const steam = wet ? wet * steaming(plate, face, convection) : 0;
      let flux = (convection + steam) * (plate - face);
      for (const { a, b, factor } of pairs) {
        const other = temperatures[b] ?? plate;
        if (a === 0) flux += factor * blackExchange(plate, other) * (plate - other);
      }
      return flux;
    },
    innerFaces: () => inner.map((node) => temperatures[node] ?? air),
    outerFaces: () => outer.map((node) => temperatures[node] ?? air),
  };
}

/** One thin pane, the usual panel: its balance has a single unknown. */
function settlePane(query: {
  temperatures: Float64Array;
  gap: TiltedGap;
  wet: number;
  wind: number;
  air: number;
  below: number;
  above: number;
}): void {
  const { temperatures, gap, wet, wind, air } = query;
  const [plate = air, , sky = air] = temperatures;
  let pane = temperatures[1] ?? air;
  for (let pass = 0; pass < rounds; pass += 1) {
    const convection = convectionAcross(gap, plate, pane);
    const steam = wet ? wet * steaming(plate, pane, convection) : 0;
    const toPlate = query.below * blackExchange(plate, pane) + (convection + steam);
    const toSky = query.above * blackExchange(pane, sky);
    const target = (toPlate * plate + toSky * sky + wind * air) / (toPlate + toSky + wind);
    const moved = Math.abs(target - pane);
    pane += (target - pane) * partStep(pass);
    if (moved < still) {
      temperatures[1] = pane;
      return;
    }
  }
  throw new NotConverged('topLoss', rounds, pane - sky);
}

/** A part step in later rounds: gaps near the onset of convection would else swing to and fro. */
function partStep(pass: number): number {
  return pass < 4 ? 1 : 0.6;
}

/** Any stack of covers: a function that settles its faces from where they stand. */
function stackBalance(query: {
  temperatures: Float64Array;
  unknown: number;
  pairs: Network['pairs'];
  covers: readonly LossCover[];
  gaps: readonly TiltedGap[];
  cavities: readonly (TiltedGap | undefined)[];
  inner: readonly number[];
  outer: readonly number[];
  wet: number;
  wind: number;
  air: number;
}): () => void {
  const { temperatures, unknown, pairs, covers, gaps, cavities, inner, outer, wet, wind, air } = query;
  const matrix = new Float64Array(unknown * unknown);
  const given = new Float64Array(unknown);
  const corner = unknown * unknown - 1;
  const round = (): void => {
    matrix.fill(0);
    given.fill(0);
    for (const { a, b, factor } of pairs)
      join(matrix, given, temperatures, a, b, factor * blackExchange(temperatures[a] ?? air, temperatures[b] ?? air));
    for (let index = 0; index < covers.length; index += 1) {
      const cover = covers[index];
      const gap = gaps[index];
      if (!cover || !gap) continue;
      const under = index === 0 ? 0 : (outer[index - 1] ?? 0);
      const face = inner[index] ?? 0;
      const back = outer[index] ?? 0;
      const below = temperatures[under] ?? air;
      const above = temperatures[face] ?? air;
      const convection = convectionAcross(gap, below, above);
      const steam = index === 0 && wet ? wet * steaming(below, above, convection) : 0;
      join(matrix, given, temperatures, under, face, convection + steam);
      if (back !== face) {
        const through = throughCover(cover, cavities[index], above, temperatures[back] ?? air);
        join(matrix, given, temperatures, face, back, through);
      }
    }
    // The outermost face gives to the air.
    matrix[corner] = (matrix[corner] ?? 0) + wind;
    given[unknown - 1] = (given[unknown - 1] ?? 0) + wind * air;
    solveInPlace(matrix, given, unknown);
  };
  return () => {
    for (let pass = 0; pass < rounds; pass += 1) {
      round();
      let moved = 0;
      for (let node = 1; node <= unknown; node += 1) {
        const target = given[node - 1] ?? air;
        const old = temperatures[node] ?? air;
        moved = Math.max(moved, Math.abs(target - old));
        temperatures[node] = old + (target - old) * partStep(pass);
      }
      if (moved < still) return;
    }
    throw new NotConverged('topLoss', rounds, (temperatures[unknown] ?? air) - (temperatures[unknown + 1] ?? air));
  };
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

/** Gauss's elimination of a small diagonally dominant system, row by row; the solution stands in `right`. */
function solveInPlace(matrix: Float64Array, right: Float64Array, size: number): void {
  if (size === 1) {
    right[0] = (right[0] ?? 0) / (matrix[0] ?? 1);
    return;
  }
  for (let pivot = 0; pivot < size; pivot += 1)
    for (let row = pivot + 1; row < size; row += 1) {
      const share = (matrix[row * size + pivot] ?? 0) / (matrix[pivot * size + pivot] ?? 0);
      if (share === 0) continue;
      for (let column = pivot; column < size; column += 1)
        matrix[row * size + column] = (matrix[row * size + column] ?? 0) - share * (matrix[pivot * size + column] ?? 0);
      right[row] = (right[row] ?? 0) - share * (right[pivot] ?? 0);
    }
  for (let row = size - 1; row >= 0; row -= 1) {
    let sum = right[row] ?? 0;
    for (let column = row + 1; column < size; column += 1)
      sum -= (matrix[row * size + column] ?? 0) * (right[column] ?? 0);
    right[row] = sum / (matrix[row * size + row] ?? 0);
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
