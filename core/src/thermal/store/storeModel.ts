import { type Range, range } from '../../catalogue';
import type { Derivation, Readout } from '../../readout';
import { builtOnce } from '../builtOnce';
import type {
  OperatingConditions,
  StandardNormals,
  ThermalModel,
  ThermalState,
  UncertainInput,
  Workmanship,
} from '../contract';
import { fittedOnce } from '../fittedOnce';
import { type Built, build, lossesAt } from '../flat/build';
import { modifiersOf, termOf } from '../flat/derivations';
import type { FlatDescription } from '../flat/description';
import { flatInputs } from '../flat/inputs';
import { fluidState } from '../fluids';
import { transmittanceAbsorptance } from '../optics';
import { stackConductance } from '../stack';
import { litArea } from '../sunlit';
import { spreadInput, valuesOf } from '../uncertain';
import type { StoreDescription } from './description';
import { fitStorage } from './fitStorage';
import { overcastLoss, overcastNight, storesInSeries } from './inSeries';
import { mirrored } from './mirror';

/** J/kgK of steel: EN 1993-1-2. */
const steelHeat = 460;
/** Of a mirror film or bright sheet that has stood outdoors. Judgement, from makers' 0.85 to 0.95 when new. */
export const mirrorSpread = range(0.7, 0.82, 0.9, 'judgement');
/** W/m²K of still air between a lid and its pane, and outside the lid: EN ISO 6946. */
const lidGap = 5.5;
const lidOutside = 15;

/** A model of tanks behind glass, with what it was described by. */
export interface StoreModel extends ThermalModel {
  description: StoreDescription;
  withKnownInputs(known: Readonly<Record<string, Range>>): StoreModel;
  lidShare: NonNullable<ThermalModel['lidShare']>;
  /** W/K from the water to the air: lid shut, what cools it by its exponential; without a lid, water at 40 °C in a still overcast night at 10 °C. */
  shutLoss(deviates?: StandardNormals, workmanship?: Workmanship): number;
}

/** The tanks with their box as a flat absorber as large as the opening: what they catch stands in its coverage. */
function asFlat(description: StoreDescription, caught: number): FlatDescription {
  const { apertureArea, opening, walls, tanks } = description;
  const conductance = walls.reduce((sum, wall) => sum + stackConductance(wall) * wall.area, 0) / apertureArea;
  const outline = { length: opening.length, width: opening.width };
  const water = fluidState('water', 40);
  return {
    apertureArea,
    absorberArea: apertureArea,
    grossArea: description.grossArea,
    sunlit: {
      opening: outline,
      plate: outline,
      coverage: caught,
      depth: opening.depth,
      bars: { count: 0, width: 0, depth: 0 },
    },
    covers: description.covers,
    dirt: description.dirt,
    absorptance: description.absorptance,
    emittance: description.emittance,
    // All walls in one: a layer of their mean conductance.
    back: { layers: [{ name: 'box', thickness: 1, conductivity: conductance }], outside: 1e9 },
    backFactor: description.wallFactor,
    rim: { area: 0, layers: [], outside: lidOutside },
    rimFactor: range(1, 1, 1, 'judgement'),
    capacity: {
      dry: tanks.count * tanks.steel * steelHeat,
      water: tanks.count * tanks.volume * water.density * water.heatCapacity,
      box: 0,
    },
    known: description.known,
  };
}

function storeInputs(description: StoreDescription): UncertainInput[] {
  const { lining, lid, known, tanks } = description;
  const input = spreadInput(known);
  return [
    ...flatInputs(asFlat(description, 1)).filter(({ id }) => id !== 'edge'),
    ...(tanks.fill < 1 ? [input('lining', 'Lining brings to the tanks', 'share', 2, lining, [0.8, 0.9, 1])] : []),
    ...(lid ? [input('mirror', 'Lid throws back', 'share', 2, lid.reflectance, [0.8, 0.92, 1])] : []),
  ];
}

/**
 * Tanks behind glass: each a mixed store that is its own absorber. Sun through the pane by its angles, with what an open lid throws in;
 * what falls beside the tanks reaches them by the lining in part. Losses by the pane (Hollands' gap, radiation, wind, sky) and by each
 * wall's layers; shut, the lid stands in series with the pane. With a flow the tanks stand in series: ṁ c (T_i − T_{i−1}) = net_i(T_i).
 */
export function storeModel(description: StoreDescription): StoreModel {
  const inputs = storeInputs(description);
  const { apertureArea, tanks, lid, opening } = description;
  const built = builtOnce((deviates, workmanship): Built => {
    const lining = valuesOf(inputs, deviates, workmanship)('lining', description.lining.likely);
    return build(asFlat(description, tanks.fill + (1 - tanks.fill) * lining), inputs, deviates, workmanship);
  });
  const anglesOf = ({ angles, incidence }: OperatingConditions) =>
    angles ?? { transversal: incidence, longitudinal: 0 };
  const lidAt = (angles: { transversal: number; longitudinal: number }) =>
    lid && mirrored({ hinge: lid.hinge, length: lid.length, angle: lid.angle, pane: opening }, angles);
  /** m² of perfect absorber for a beam at an angle. */
  const kept = (one: Built, incidence: number) =>
    transmittanceAbsorptance(one.covers, incidence, one.absorptance) *
    litArea(one.description.sunlit, incidence) *
    one.dirt;
  /** W that arrive, and W that are kept, of the sun there is. */
  const sunOf = (one: Built, boundary: OperatingConditions): { arriving: number; absorbed: number } => {
    if (boundary.covered) return { arriving: 0, absorbed: 0 };
    const strength = boundary.irradiance * one.sun;
    const rest = 1 - boundary.beamShare;
    const diffuse = one.diffuse(boundary.tilt);
    const angles = anglesOf(boundary);
    const incidence = boundary.angles ? incidenceFrom(angles) : boundary.incidence;
    const thrown = lidAt(angles);
    const square = Math.max(0.02, Math.cos((Math.min(89, incidence) * Math.PI) / 180));
    // The beam on the pane is its strength square to it times the cosine: the mirror gets it undiminished.
    const beam = strength * boundary.beamShare;
    const added = thrown ? (beam / square) * thrown.added * one.value('mirror', lid?.reflectance.likely ?? 0) : 0;
    const shaded = thrown?.shaded ?? 0;
    const other =
      strength * rest * one.dirt * ((1 - boundary.groundShare) * diffuse.sky + boundary.groundShare * diffuse.ground);
    return {
      arriving: strength * apertureArea + added * apertureArea,
      absorbed:
        beam * (1 - shaded) * kept(one, incidence) +
        (thrown && added > 0 ? added * kept(one, thrown.incidence) : 0) +
        other,
    };
  };
  /** What the tanks lose at a boundary, by way, ready to be asked at many temperatures of them. */
  const lostAt = (one: Built, boundary: OperatingConditions) => {
    const open = boundary.covered && lid ? undefined : lossesAt(one, { ...boundary, massFlow: 0 }).top;
    const shut = open || !lid ? 0 : coveredLoss(one, lid);
    return {
      top: (temperature: number) =>
        apertureArea * (open ? open.flux(temperature) : shut * (temperature - boundary.air)),
      back: (temperature: number) => one.back * (temperature - boundary.air) * apertureArea,
    };
  };
  const net = (one: Built, boundary: OperatingConditions) => {
    const { absorbed } = sunOf(one, boundary);
    const { top, back } = lostAt(one, boundary);
    return (temperature: number) => absorbed - top(temperature) - back(temperature);
  };
  const stateOf = (
    one: Built,
    boundary: OperatingConditions,
    temperatures: readonly number[],
    usefulHeat: number,
  ): ThermalState => {
    const { arriving, absorbed } = sunOf(one, boundary);
    const { top, back } = lostAt(one, boundary);
    const meanOf = (of: (temperature: number) => number) =>
      temperatures.reduce((sum, at) => sum + of(at), 0) / temperatures.length;
    const mean = meanOf((at) => at);
    const faces = lossesAt(one, boundary).top.innerFaces(mean);
    return {
      sun: arriving,
      usefulHeat,
      // Of all that arrives, by pane and by mirror.
      efficiency: arriving > 0.001 * apertureArea ? usefulHeat / arriving : 0,
      places: {
        ...Object.fromEntries(temperatures.map((at, index) => [`tank-${index + 1}`, at])),
        water: mean,
        'inner pane': faces[0] ?? boundary.air,
        'outer pane': faces[faces.length - 1] ?? boundary.air,
        box: (mean + (faces[0] ?? boundary.air)) / 2,
        // Behind the insulation of its walls: most of the fall lies in that.
        frame: boundary.air + ((mean + (faces[0] ?? boundary.air)) / 2 - boundary.air) / 4,
      },
      paths: [
        { id: 'water', words: 'to water', watts: usefulHeat },
        { id: 'optical', words: 'pane, paint, lining', watts: arriving - absorbed },
        { id: 'top', words: boundary.covered ? 'lid' : 'top', watts: meanOf(top) },
        { id: 'back', words: 'box', watts: meanOf(back) },
      ],
      terms: { opticalShare: arriving > 0 ? absorbed / arriving : 0, absorbed },
    };
  };
  const model: StoreModel = {
    description,
    apertureArea,
    inputs,
    places: [
      { id: 'outer pane', words: 'outer pane', short: 'outer pane' },
      { id: 'inner pane', words: 'pane', short: 'pane' },
      ...Array.from({ length: tanks.count }, (_, index) => ({
        id: `tank-${index + 1}`,
        words: tanks.count === 1 ? 'tank' : `tank ${index + 1}`,
        short: tanks.count === 1 ? 'tank' : `tank ${index + 1}`,
      })),
      { id: 'water', words: 'tanks and their water', short: 'tanks' },
      { id: 'box', words: 'air and lining of the box', short: 'lining' },
      { id: 'frame', words: 'frame behind the insulation', short: 'frame' },
    ],
    body: 'water',
    capacity: asFlat(description, 1).capacity,
    drainsWhenIdle: false,
    integralStorage: true,
    hasLid: lid !== undefined,
    acceptance: {
      beam: (transversal, longitudinal) => {
        const one = built();
        const angles = { transversal, longitudinal };
        const incidence = incidenceFrom(angles);
        const thrown = lidAt(angles);
        const square = Math.max(0.02, Math.cos((Math.min(89, incidence) * Math.PI) / 180));
        const mirror = one.value('mirror', lid?.reflectance.likely ?? 0);
        const direct = (1 - (thrown?.shaded ?? 0)) * kept(one, incidence);
        const added = thrown && thrown.added > 0 ? (thrown.added / square) * mirror * kept(one, thrown.incidence) : 0;
        return (direct + added) / apertureArea;
      },
      sky: (tilt) => (built().diffuse(tilt).sky * built().dirt) / apertureArea,
      ground: (tilt) => (built().diffuse(tilt).ground * built().dirt) / apertureArea,
      round: lid === undefined,
    },
    ...storesInSeries({ count: tanks.count, net, stateOf, built }),
    characteristic: fittedOnce((reference, effort) =>
      fitStorage({ ...model, shutLoss: model.shutLoss() }, tanks, reference, { effort }),
    ),
    withKnownInputs: (known) => storeModel({ ...description, known: { ...description.known, ...known } }),
    lidShare: (angles) => {
      const thrown = lidAt(angles);
      return thrown && { added: thrown.added * (lid?.reflectance.likely ?? 0), shaded: thrown.shaded };
    },
    shutLoss: (deviates, workmanship) => {
      const one = built(deviates, workmanship);
      if (lid) return apertureArea * (coveredLoss(one, lid) + one.back);
      return overcastLoss(net(one, overcastNight));
    },
    readouts: (state) => storeReadouts(description, state),
    derivations: (state, boundary) => storeDerivations(description, built(), state, boundary),
  };
  return model;
}

/** W/m²K through a pane with its lid shut: gap and pane, still air, the lid's insulation and its outside in series. */
function coveredLoss(one: Built, lid: NonNullable<StoreDescription['lid']>): number {
  const { thickness, conductivity } = lid.insulation;
  const inside = one.description.covers.reduce((sum, cover) => sum + 0.17 + 1 / cover.conductance, 0);
  return one.backFactor / (inside + 1 / lidGap + thickness / conductivity + 1 / lidOutside);
}

/** Degrees from square by the angles across and along: tan²θ = tan²θ_t + tan²θ_l (ISO 9806:2017). */
function incidenceFrom({ transversal, longitudinal }: { transversal: number; longitudinal: number }): number {
  const tangent = (degrees: number) => Math.tan((Math.min(89.99, Math.abs(degrees)) * Math.PI) / 180);
  return (Math.atan(Math.hypot(tangent(transversal), tangent(longitudinal))) * 180) / Math.PI;
}

function storeReadouts({ tanks }: StoreDescription, state: ThermalState): Readout[] {
  return Array.from({ length: tanks.count }, (_, index) => ({
    id: `tank-${index + 1}`,
    label: tanks.count === 1 ? 'Tank, at this flow' : `Tank ${index + 1}, at this flow`,
    kind: 'temperature' as const,
    values: [termOf({ ...state, terms: state.places }, `tank-${index + 1}`)],
    derivation: {
      name: 'Tank in a steady flow',
      formula: 'flow × heat capacity × (tank − the one before it) = sun kept − loss there',
      source: 'heat balance of a mixed tank',
      inputs: [{ label: 'sun that the tanks keep', value: termOf(state, 'absorbed'), kind: 'power' as const }],
    },
  }));
}

function storeDerivations(
  { apertureArea, tanks, walls, lining }: StoreDescription,
  one: Built,
  state: ThermalState,
  boundary: OperatingConditions,
): { efficiency: Derivation; dry: Derivation } {
  const modifiers = modifiersOf(one, boundary);
  const box = walls.reduce((sum, wall) => sum + stackConductance(wall) * wall.area, 0);
  const kept = {
    label: 'share of the sun that arrives that the tanks keep',
    value: termOf(state, 'opticalShare'),
    kind: 'number',
    digits: 3,
  } as const;
  return {
    efficiency: {
      name: 'Efficiency on the pane',
      formula: 'heat in the water at the end, less at the start, ÷ (time × sun × pane area)',
      source: 'one heat capacity, Duffie and Beckman section 6.12; losses by Hollands (1976) and EN ISO 6946',
      inputs: [
        kept,
        { label: 'of the opening, filled by tanks', value: tanks.fill, kind: 'number', digits: 2 },
        { label: 'of the rest, brought by the lining', value: lining.likely, kind: 'number', digits: 2 },
        { label: 'incidence modifier of beam, K', value: modifiers.beam, kind: 'number', digits: 2 },
        { label: 'sun on the pane', value: boundary.irradiance, kind: 'irradiance' },
        { label: 'air', value: boundary.air, kind: 'temperature' },
        { label: 'pane area', value: apertureArea, kind: 'area' },
        { label: 'loss of the box, W/K', value: box * one.backFactor, kind: 'number', digits: 2 },
      ],
    },
    dry: {
      name: 'Hottest when empty',
      formula: 'the temperature at which losses equal the sun kept: 1 000 W/m², air 30 °C, wind 0.5 m/s, nothing drawn',
      source: 'top loss by Hollands (1976) and an iterated balance; Duffie and Beckman, section 6.4',
      inputs: [kept, { label: 'loss of the box, W/K', value: box * one.backFactor, kind: 'number', digits: 2 }],
    },
  };
}
