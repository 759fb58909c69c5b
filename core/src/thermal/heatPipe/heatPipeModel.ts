import { type Range, range } from '../../catalogue';
import type { Derivation, Readout } from '../../readout';
import { fitFlowThrough } from '../characteristic';
import {
  type Boundary,
  type Deviates,
  isFlowing,
  type ThermalModel,
  type ThermalState,
  type UncertainInput,
  type Workmanship,
} from '../contract';
import { risingCurve } from '../curve';
import { annulusAir, annulusLongWave, openCylinderLoss } from '../cylinder';
import { homeMade, uncertainInput } from '../flat/inputs';
import { fluidState } from '../fluids';
import { type CoverSheet, sheetsFor } from '../optics';
import { risingRoot } from '../root';
import { valueAt } from '../spread';
import type { HeatPipeDescription } from './description';
import { dryOutTemperature, floodingLimit } from './limits';
import { sleevedAcceptance, sleevedDiffuse } from './sleeve';

export interface HeatPipeModel extends ThermalModel {
  description: HeatPipeDescription;
  knowing(known: Readonly<Record<string, Range>>): HeatPipeModel;
  /** K/W from the wall of one tube to the manifold's water, part by part in the order of the chain. */
  chain(deviates?: Deviates, workmanship?: Workmanship): readonly { id: string; words: string; resistance: number }[];
  /** W that one tube loses with its wall at a temperature (°C). */
  tubeLoss(boundary: Boundary, wall: number): number;
}

/** m/s at the panel, and sun, times what was said: as for flat heaters. */
const windSpread = range(0.67, 1, 1.55, 'judgement', 'log-normal');
const sunSpread = range(0.95, 1, 1.05, 'data sheet');
/** W/m²K outside the lagging. EN ISO 6946, in the open. */
const laggingOutside = 15;

function inputsOf({
  strip,
  sleeve,
  absorptance,
  emittance,
  boiling,
  condensing,
  condenser,
  manifold,
  known,
}: HeatPipeDescription): UncertainInput[] {
  const input = (
    id: string,
    name: string,
    unit: string,
    digits: number,
    spread: Range,
    worse: readonly [number, number, number] = [1, 1, 1],
  ): UncertainInput =>
    uncertainInput(known, {
      id,
      name,
      unit,
      digits,
      spread: { 'well made': spread, 'home-made': homeMade(spread, worse) },
    });
  return [
    ...(sleeve
      ? [input('transmittance', 'Sleeve lets through', 'share', 2, sleeve.transmittance, [0.9, 0.96, 1])]
      : []),
    input('absorptance', 'Paint takes up', 'share', 2, absorptance, [0.96, 0.99, 1]),
    input('emittance', 'Paint radiates', 'share', 2, emittance, [0.97, 1, 1.02]),
    ...(strip ? [input('bond', 'Strip holds the pipe', 'W/mK', 1, strip.bond, [0.4, 0.7, 1])] : []),
    input('boiling', 'Boils inside', 'W/m²K', 0, boiling, [0.6, 0.9, 1]),
    input('condensing', 'Condenses inside', 'W/m²K', 0, condensing, [0.3, 0.8, 1]),
    input('condenser', 'Water takes it', 'W/m²K', 0, condenser, [0.8, 1, 1]),
    input('manifold', 'Manifold loses', '× book', 2, manifold.factor, [1, 1.3, 1.6]),
    input('wind', 'Wind at the panel', '× said', 2, windSpread),
    input('sun', 'Sun on the tubes', '× said', 2, sunSpread),
  ];
}

/** What a set of deviates makes of a description. */
interface Built {
  absorptance: number;
  emittance: number;
  transmittance: number;
  /** K/W of one tube: part by part, all of it, and up to the vapour. */
  chain: readonly { id: string; words: string; resistance: number }[];
  resistance: number;
  evaporating: number;
  /** W/K of the manifold. */
  manifold: number;
  wind: number;
  sun: number;
}

/** What one tube meets: its loss by the temperature of its wall, W; air, °C; W kept; share that its strip gathers; no wall is hotter than `high`. */
interface Meets {
  one: Built;
  loss(wall: number): number;
  air: number;
  kept: number;
  share: number;
  high: number;
}

/** One tube at work: its wall, what it carries up, the water that leaves its tip, and whether a limit holds it. */
interface TubeState {
  wall: number;
  carried: number;
  water: number;
  limited: boolean;
}

/** W/m². A fit to less would be one to the corner at which a bank begins to carry. */
const leastFitted = 40;
/** Shares of a span at which a loss is worked out: closer together near the air, where it bends. */
const nodes = Array.from({ length: 11 }, (_, index) => ((index + 1) / 11) ** 1.8);

/** W/mK by which the loss of a cylinder in the open grows with its surface: air as it is, long wave by its third power. */
function outerSlope(diameter: number, surface: number, air: number, lost: { air: number }): number {
  const apart = surface - air;
  const convection = Math.abs(apart) < 1e-6 ? 0 : lost.air / apart;
  return convection + Math.PI * diameter * 4 * 5.670374e-8 * (surface + 273.15) ** 3;
}

/**
 * Heat pipes: each tube keeps its sun, loses by its sleeve, and gives the rest up a chain of resistances (wall, boiling, condensing, wall,
 * film in the manifold) to water that passes tube after tube. Nothing goes back down: a tube colder than its water carries nothing. No
 * tube carries more than its flooding limit, and none once its charge is all steam; what it cannot carry it loses. In the manner of
 * D&B section 6.12 for heat pipes; limits by Wallis (1969).
 */
export function heatPipeModel(description: HeatPipeDescription): HeatPipeModel {
  const inputs = inputsOf(description);
  const { count, tube, pitch, sleeve, manifold } = description;
  /** m across that catch the sun, and of a cylinder with as much surface: a strip has two faces. */
  const breadth = description.strip?.width ?? tube.diameter;
  // One that would not go into its sleeve clashes, and is worked out as if it just did.
  const round = Math.min(
    description.strip ? (2 * breadth) / Math.PI : tube.diameter,
    0.95 * (sleeve?.diameter ?? Number.POSITIVE_INFINITY),
  );
  const area = count * breadth * tube.heated;
  const inside = Math.PI * tube.bore;
  const lagged = manifold.diameter + 2 * manifold.lagging.thickness;
  const volume = (Math.PI / 4) * tube.bore ** 2 * tube.length;
  const dryOut = dryOutTemperature(description.charge, volume);

  const build = (deviates: Deviates = {}, workmanship: Workmanship = 'well made'): Built => {
    const value = (id: string, otherwise: number) => {
      const input = inputs.find((one) => one.id === id);
      return input ? valueAt(input.spread[workmanship], deviates[id] ?? 0) : otherwise;
    };
    const wall = Math.log(tube.diameter / tube.bore) / (2 * Math.PI * tube.conductivity);
    const chain = [
      ...(description.strip
        ? [
            {
              id: 'bond',
              words: 'strip to pipe',
              resistance: 1 / (value('bond', description.strip.bond.likely) * tube.heated),
            },
          ]
        : []),
      { id: 'wall', words: 'wall in the sun', resistance: wall / tube.heated },
      { id: 'boiling', words: 'boiling', resistance: 1 / (value('boiling', 1) * inside * tube.heated) },
      { id: 'condensing', words: 'condensing', resistance: 1 / (value('condensing', 1) * inside * tube.wet) },
      { id: 'tip', words: 'wall in the water', resistance: wall / tube.wet },
      {
        id: 'condenser',
        words: 'film in the manifold',
        resistance: 1 / (value('condenser', 1) * Math.PI * tube.diameter * tube.wet),
      },
    ];
    return {
      absorptance: value('absorptance', description.absorptance.likely),
      emittance: value('emittance', description.emittance.likely),
      transmittance: value('transmittance', 1),
      chain,
      resistance: chain.reduce((sum, one) => sum + one.resistance, 0),
      evaporating: chain
        .filter(({ id }) => id === 'bond' || id === 'wall' || id === 'boiling')
        .reduce((sum, one) => sum + one.resistance, 0),
      manifold:
        (value('manifold', 1) * manifold.length) /
        (Math.log(lagged / manifold.diameter) / (2 * Math.PI * manifold.lagging.conductivity) +
          1 / (laggingOutside * Math.PI * lagged)),
      wind: value('wind', 1),
      sun: value('sun', 1),
    };
  };
  const walls = new Map<number, CoverSheet[]>();
  const wallOf = (index: number, transmittance: number): CoverSheet[] => {
    const found = walls.get(transmittance) ?? sheetsFor({ index, sheets: 1, transmittance });
    walls.set(transmittance, found);
    return found;
  };
  const optics = (one: Built) => ({
    diameter: tube.diameter,
    ...(description.strip ? { strip: description.strip.width } : {}),
    pitch,
    absorptance: one.absorptance,
    ...(sleeve ? { sleeve: { diameter: sleeve.diameter, sheets: wallOf(sleeve.index, one.transmittance) } } : {}),
  });
  // The same sums for the same optics: asked for a thousand times in a fit.
  const diffuseKnown = new Map<string, number>();
  const diffuse = (one: Built): number => {
    const key = `${one.absorptance} ${one.transmittance}`;
    const found = diffuseKnown.get(key) ?? sleevedDiffuse(optics(one));
    diffuseKnown.set(key, found);
    return found;
  };
  /** W that one tube keeps. */
  const keptBy = (one: Built, boundary: Boundary): number => {
    const { transversal, longitudinal } = boundary.angles ?? { transversal: boundary.incidence, longitudinal: 0 };
    const strength = (boundary.irradiance * one.sun * area) / count;
    const beam =
      boundary.beamShare > 0 ? boundary.beamShare * sleevedAcceptance(optics(one), transversal, longitudinal) : 0;
    return strength * (beam + (1 - boundary.beamShare) * diffuse(one));
  };
  /** W that one tube loses with its wall at a temperature, and the sleeve's own, by a few rounds over what hangs on it. */
  const lossOf = (one: Built, boundary: Boundary, wall: number): { watts: number; sleeve: number } => {
    const { air, surroundings } = boundary;
    const open = (diameter: number, surface: number, emittance: number) =>
      openCylinderLoss({ diameter, surface, air, surroundings, wind: boundary.wind * one.wind, emittance });
    if (!sleeve) {
      const lost = open(round, wall, one.emittance);
      return { watts: (lost.air + lost.longWave) * tube.heated, sleeve: wall };
    }
    let at = (wall + 2 * air) / 3;
    for (let round = 0; round < 40; round += 1) {
      const inner = innerConductance(one, wall, at);
      const outer = open(sleeve.diameter, at, sleeve.emittance);
      // Newton on what comes in less what goes out, each by its own conductance: W/mK.
      const slope = inner + outerSlope(sleeve.diameter, at, air, outer);
      const moved = (inner * (wall - at) - outer.air - outer.longWave) / slope;
      at += moved;
      if (Math.abs(moved) < 1e-6) break;
    }
    return { watts: innerConductance(one, wall, at) * (wall - at) * tube.heated, sleeve: at };
  };
  /** W/mK from the wall to its sleeve, air and long wave together. */
  const innerConductance = (one: Built, wall: number, at: number): number => {
    const across = sleeve?.diameter ?? round;
    const air = annulusAir({ inner: round, outer: across, warm: wall, cold: at });
    const apart = Math.abs(wall - at) < 1e-6 ? 1e-6 : wall - at;
    const longWave = annulusLongWave({
      inner: round,
      outer: across,
      emittance: one.emittance,
      outerEmittance: sleeve?.emittance ?? 1,
      warm: at + apart,
      cold: at,
    });
    return air + longWave / apart;
  };
  /**
   * Share of what a strip gathers that reaches the pipe: F of a fin on either side of it, tanh(mL) / mL, with the loss of a rise of 40 K
   * (D&B 6.5). 1 for a bare pipe.
   */
  const gathered = (loss: (wall: number) => number, air: number): number => {
    const { strip } = description;
    if (!strip) return 1;
    const coefficient = (loss(air + 40) - loss(air)) / 40 / (breadth * tube.heated);
    const reach = (strip.width - tube.diameter) / 2;
    const m = Math.sqrt(Math.max(0.01, coefficient) / strip.conductance) * reach;
    return (tube.diameter + 2 * reach * (Math.tanh(m) / m)) / strip.width;
  };
  /** W that one tube loses by the temperature of its wall: worked out at some, drawn through them. */
  const lossCurve = (one: Built, boundary: Boundary): ((wall: number) => number) => {
    const { air } = boundary;
    return risingCurve(
      [...nodes.map((share) => air - 90 * share).reverse(), air, ...nodes.map((share) => air + 450 * share)],
      [
        ...nodes.map((share) => lossOf(one, boundary, air - 90 * share).watts).reverse(),
        lossOf(one, boundary, air).watts,
        ...nodes.map((share) => lossOf(one, boundary, air + 450 * share).watts),
      ],
    );
  };
  /** All that one tube meets in a boundary. */
  const meets = (one: Built, boundary: Boundary): Meets => {
    const loss = lossCurve(one, boundary);
    const { air } = boundary;
    return { one, loss, air, kept: keptBy(one, boundary), share: gathered(loss, air), high: air + 900 };
  };
  /** °C of a tube that carries nothing. */
  const alone = ({ loss, kept, air, high }: Meets): number =>
    risingRoot((wall) => loss(wall) - kept, air - 90, high, 1e-9);
  /**
   * One tube whose tip stands in water that takes `carried` W/K from an inlet and loses `loses` W/K to the air: Q = φ (kept − loss(wall)),
   * water = wall − Q R, and the water's own balance. Without flow `carried` is 0.
   */
  const tubeIn = (met: Meets, at: { carried: number; entering: number; loses: number }): TubeState => {
    const { one, loss, kept, share, air, high } = met;
    const given = at.carried * at.entering + at.loses * air;
    const taken = at.carried + at.loses;
    const idle = given / taken;
    // Colder than its water it carries nothing down.
    if (kept - loss(idle) < 1e-9) return { wall: alone(met), carried: 0, water: idle, limited: false };
    const wall = risingRoot(
      (guess) => {
        const carried = share * (kept - loss(guess));
        return taken * (guess - carried * one.resistance) - given - carried;
      },
      idle,
      high,
      1e-7,
    );
    const { carried, ...rest } = withinLimits(met, wall, idle);
    return { ...rest, carried, water: (given + carried) / taken };
  };
  /** What a tube with its wall at a temperature carries, or what its limits let it: then its wall is hotter. */
  const withinLimits = (
    { one, loss, kept, share, high }: Meets,
    wall: number,
    idle: number,
  ): Omit<TubeState, 'water'> => {
    const most = (at: number) => (at >= dryOut ? 0 : floodingLimit(tube.bore, at));
    const carried = share * (kept - loss(wall));
    if (carried <= most(wall - carried * one.evaporating)) return { wall, carried, limited: false };
    const hot = risingRoot((guess) => share * (loss(guess) - kept) + most(guess), idle, high, 1e-9);
    return { wall: hot, carried: share * (kept - loss(hot)), limited: true };
  };
  /** W from one tube into water held at a temperature. */
  const carriedInto = (met: Meets, water: number): number => {
    const { one, loss, kept, share, high } = met;
    if (kept - loss(water) < 1e-9) return 0;
    const wall = risingRoot(
      (guess) => share * (loss(guess) - kept) + (guess - water) / one.resistance,
      water,
      high,
      1e-9,
    );
    return withinLimits(met, wall, water).carried;
  };
  const stateOf = (
    one: Built,
    boundary: Boundary,
    at: { kept: number; tubes: readonly TubeState[]; water: number; useful: number; flowing: boolean },
  ): ThermalState => {
    const sun = boundary.irradiance * one.sun * area;
    const hottest = at.tubes.reduce((most, { wall }) => Math.max(most, wall), Number.NEGATIVE_INFINITY);
    const carried = at.tubes.reduce((sum, each) => sum + each.carried, 0);
    return {
      sun,
      usefulHeat: at.useful,
      ...(at.flowing ? { outletTemperature: at.water, gain: at.water - boundary.inlet } : {}),
      efficiency: sun > 0.001 * area ? at.useful / sun : 0,
      places: {
        ...(sleeve ? { sleeve: lossOf(one, boundary, hottest).sleeve } : {}),
        tube: hottest,
        manifold: at.water,
        lagging: (at.water + boundary.air) / 2,
      },
      paths: [
        { id: 'water', words: 'to water', watts: at.useful },
        { id: 'optical', words: sleeve ? 'sleeve, paint' : 'paint', watts: sun - count * at.kept },
        { id: 'top', words: sleeve ? 'through sleeves' : 'off the tubes', watts: count * at.kept - carried },
        { id: 'back', words: 'manifold', watts: carried - at.useful },
      ],
      terms: {
        opticalShare: sun > 0 ? (count * at.kept) / sun : 0,
        absorbed: count * at.kept,
        resistance: one.resistance,
        each: carried / count,
        limited: at.tubes.some(({ limited }) => limited) ? 1 : 0,
        idle: at.tubes.filter(({ carried: one }) => one === 0).length,
      },
    };
  };

  const model: HeatPipeModel = {
    description,
    apertureArea: area,
    inputs,
    places: [
      ...(sleeve ? [{ id: 'sleeve', words: 'sleeve', short: 'sleeve' }] : []),
      { id: 'tube', words: 'heat pipe', short: 'heat pipe' },
      { id: 'manifold', words: 'water in the manifold', short: 'manifold' },
      { id: 'lagging', words: 'lagging of the manifold', short: 'lagging' },
    ],
    body: 'manifold',
    capacity: { dry: description.capacity.dry + (sleeve?.capacity ?? 0), water: description.capacity.water, box: 0 },
    runsDry: false,
    ownStore: false,
    hasLid: false,
    acceptance: {
      beam: (transversal, longitudinal) => sleevedAcceptance(optics(build()), transversal, longitudinal),
      sky: () => diffuse(build()),
      ground: () => diffuse(build()),
      round: false,
    },
    chain: (deviates, workmanship) => build(deviates, workmanship).chain,
    tubeLoss: (boundary, wall) => lossOf(build(), boundary, wall).watts,
    state: (boundary, deviates, workmanship) => {
      const one = build(deviates, workmanship);
      const met = meets(one, boundary);
      const { kept } = met;
      const loses = one.manifold / count;
      if (!isFlowing(boundary)) {
        const still = tubeIn(met, { carried: 0, entering: 0, loses });
        const tubes = new Array<TubeState>(count).fill(still);
        return stateOf(one, boundary, { kept, tubes, water: still.water, useful: 0, flowing: false });
      }
      const carried = boundary.massFlow * fluidState(boundary.fluid ?? 'water', boundary.inlet).heatCapacity;
      const tubes: TubeState[] = [];
      let water = boundary.inlet;
      for (let index = 0; index < count; index += 1) {
        const each = tubeIn(met, { carried, entering: water, loses });
        tubes.push(each);
        water = each.water;
      }
      return stateOf(one, boundary, { kept, tubes, water, useful: carried * (water - boundary.inlet), flowing: true });
    },
    netAtRest: (temperature, boundary, deviates, workmanship) => {
      const one = build(deviates, workmanship);
      return count * carriedInto(meets(one, boundary), temperature) - one.manifold * (temperature - boundary.air);
    },
    // What is fitted is where all tubes carry: the equation of the standard is no line with a corner.
    characteristic: (reference) => ({
      ...fitFlowThrough(model, reference, {
        fits: ({ terms, usefulHeat }) => terms.idle === 0 && terms.limited === 0 && usefulHeat > leastFitted * area,
        bent: true,
      }),
      oneWay: true,
    }),
    knowing: (known) => heatPipeModel({ ...description, known: { ...description.known, ...known } }),
    readouts: (state) => heatPipeReadouts(description, state),
    derivations: (state, boundary) => heatPipeDerivations(description, build(), state, boundary),
  };
  return model;
}

function heatPipeReadouts({ count }: HeatPipeDescription, state: ThermalState): Readout[] {
  return [
    {
      id: 'each',
      label: 'Each tube carries',
      kind: 'power',
      digits: 1,
      values: [state.terms.each ?? Number.NaN],
      derivation: {
        name: 'Each tube carries',
        formula: '(wall − water) ÷ chain of wall, boiling, condensing, wall and film',
        source:
          'resistances in series; Duffie and Beckman, section 6.12; never more than the flooding limit of Wallis (1969)',
        inputs: [
          { label: 'tubes', value: count, kind: 'number', digits: 0 },
          { label: 'chain, K/W', value: state.terms.resistance ?? Number.NaN, kind: 'number', digits: 3 },
        ],
      },
    },
  ];
}

function heatPipeDerivations(
  { tube, strip, count, sleeve }: HeatPipeDescription,
  one: Built,
  state: ThermalState,
  boundary: Boundary,
): { efficiency: Derivation; dry: Derivation } {
  const kept = {
    label: 'share of the sun on the tubes’ breadth that they keep',
    value: state.terms.opticalShare ?? Number.NaN,
    kind: 'number',
    digits: 3,
  } as const;
  return {
    efficiency: {
      name: 'Efficiency on the breadth of the tubes',
      formula: 'Σ (sun kept − loss of the tube) less what the manifold loses ÷ (sun × breadth × heated length × tubes)',
      source:
        'chain of resistances; loss in the sleeve by Raithby and Hollands (1975), off it by Churchill and Bernstein (1977) and long wave',
      inputs: [
        kept,
        { label: 'breadth in the sun', value: strip?.width ?? tube.diameter, kind: 'length' },
        { label: 'heated length', value: tube.heated, kind: 'length' },
        { label: 'tubes', value: count, kind: 'number', digits: 0 },
        { label: 'chain, K/W', value: one.resistance, kind: 'number', digits: 3 },
        { label: 'manifold, W/K', value: one.manifold, kind: 'number', digits: 2 },
        { label: 'sun', value: boundary.irradiance, kind: 'irradiance' },
        { label: 'air', value: boundary.air, kind: 'temperature' },
        { label: 'water in', value: boundary.inlet, kind: 'temperature' },
        ...(sleeve ? [{ label: 'sleeve, across', value: sleeve.diameter, kind: 'length' as const }] : []),
      ],
    },
    dry: {
      name: 'At rest in sun',
      formula: 'the temperature at which the manifold loses what the tubes carry: 1 000 W/m², air 30 °C, wind 0.5 m/s',
      source: 'the same chain; the tubes themselves are hotter, as the limits show',
      inputs: [kept, { label: 'manifold, W/K', value: one.manifold, kind: 'number', digits: 2 }],
    },
  };
}
