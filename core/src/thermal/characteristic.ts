import { evenly } from '../quantity';
import type { OperatingConditions, ThermalModel, ThermalState } from './contract';
import { fluidState } from './fluids';
import {
  type BeamModifier,
  beamModifierAt,
  type Corrections,
  type FitEffort,
  type FlowThrough,
  type IsoCoefficients,
  modifierAngles,
  modifierStep,
  type Reference,
  type Residual,
} from './laboratory';
import { leastSquares } from './leastSquares';
import { fourthPower, stefan } from './radiation';

/** The conditions over which a characteristic is fitted and held: those of a test outdoors, with more sky and air. */
export const workingRange = {
  /** W/m². */
  irradiance: [400, 1100],
  beamShare: [0, 0.95],
  groundShare: [0.05, 0.2],
  /** Degrees. */
  incidence: [0, 60],
  /** °C. */
  air: [5, 30],
  /** K by which sky and ground look colder than the air. */
  skyBelow: [3, 12],
  /** m/s. */
  wind: [1, 4],
  /** K of the inlet over the air. */
  inletRise: [-5, 50],
  /** Of the reference flow. */
  flow: [0.7, 1.4],
} as const;

/** W/m². Below it a share of the useful heat says nothing. */
export const leastJudged = 100;

/** m/s from which the standard counts the wind (u′ = u − 3), and °C from which the corrections count the air. */
const windReference = 3;
const airReference = 15;
/** Share of diffuse light that comes from the ground, where one number stands for sky and ground together. */
const usualGround = 0.1;

/** Order of the fitted coefficients. */
const names = [
  'eta0b',
  'a1',
  'a2',
  'a3',
  'a4',
  'a6',
  'a7',
  'a8',
  'air',
  'windSquared',
  'riseAir',
  'riseSky',
  'riseWind',
  'flowGain',
  'flowLoss',
] as const;
/** And of those that only a heater has whose absorber stands far over its water. */
const bentNames = [
  'keptSquared',
  'riseKept',
  'keptAir',
  'keptWind',
  'keptSky',
  'riseRoot',
  'keptRoot',
  'riseSquaredRoot',
] as const;
type Coefficient = (typeof names)[number] | (typeof bentNames)[number];

/** What the terms of the equation depend on besides the temperature of the water. */
interface TermsAt {
  /** W/m²: G_b K_b + G_sky K_sky + G_ground K_ground. */
  kept: number;
  specificFlow: number;
  reference: Reference;
}

/** Powers of the rise r = ϑm − ϑa that the terms are of: 1, r, r|r|, r², |r|³r. */
const powers = 5;
/** The power of each term, in the order of `names` and then of `bentNames`. */
const powerOf = [0, 1, 2, 1, 0, 0, 0, 4, 1, 1, 3, 1, 3, 0, 1, 0, 1, 0, 0, 0, 1, 0, 2] as const;

/** The factor of each term at a boundary, in the same order; W/m² of aperture for a coefficient of 1, over its power of the rise. */
function factorsAt(
  { air, wind: speed, surroundings, irradiance }: Omit<OperatingConditions, 'inlet'>,
  { kept, specificFlow, reference }: TermsAt,
  into: Float64Array,
): Float64Array {
  const wind = speed - windReference;
  const root = Math.sqrt(Math.max(0, speed)) - Math.sqrt(windReference);
  const sky = stefan * (fourthPower(surroundings) - fourthPower(air));
  const warmth = air - airReference;
  // A heater that stands still has no reference flow.
  const flow = reference.specificFlow > 0 ? Math.log(specificFlow / reference.specificFlow) : 0;
  into[0] = kept;
  into[1] = -1;
  into[2] = -1;
  into[3] = -wind;
  into[4] = sky;
  into[5] = -wind * irradiance;
  into[6] = -wind * sky;
  into[7] = -1;
  into[8] = -warmth;
  into[9] = -(wind ** 2);
  into[10] = -warmth;
  into[11] = -sky;
  into[12] = -wind;
  into[13] = kept * flow;
  into[14] = -flow;
  into[15] = -kept * kept;
  into[16] = -kept;
  into[17] = -warmth * kept;
  into[18] = -wind * kept;
  into[19] = sky * kept;
  into[20] = -root;
  into[21] = -kept * root;
  into[22] = -root;
  return into;
}

const allNames: readonly Coefficient[] = [...names, ...bentNames];

/** Values of all terms at a mean temperature of the water (ϑm, °C): a row of the fit. */
function termsAt(boundary: OperatingConditions, at: TermsAt, mean: number): number[] {
  const rise = mean - boundary.air;
  const size = Math.abs(rise);
  const power = [1, rise, rise * size, rise * rise, size ** 3 * rise];
  const factors = factorsAt(boundary, at, new Float64Array(allNames.length));
  return Array.from(factors, (factor, term) => factor * (power[powerOf[term] ?? 0] ?? 0));
}

/** Coefficients in the order of `allNames`, zero where a heater has none: a run asks for them at every hour. */
const coefficientsKnown = new WeakMap<Corrections, { iso: IsoCoefficients; coefficients: Float64Array }>();

function coefficientsOf({ iso, corrections }: Pick<FlowThrough, 'iso' | 'corrections'>): Float64Array {
  const found = coefficientsKnown.get(corrections);
  if (found?.iso === iso) return found.coefficients;
  const values: Partial<Record<Coefficient, number>> = { ...iso, ...corrections };
  const coefficients = Float64Array.from(allNames, (name) => values[name] ?? 0);
  coefficientsKnown.set(corrections, { iso, coefficients });
  return coefficients;
}

/** Factors of the boundary that is being worked out. */
const factorsHere = new Float64Array(allNames.length);
const gatheredHere = new Float64Array(powers);

/**
 * W/m² of aperture by the mean temperature of the water (ϑm, °C) at one boundary: the terms gathered by their power of the rise, since a run
 * asks thousands of times between two changes of the weather.
 */
function equationAt(
  characteristic: Pick<FlowThrough, 'iso' | 'corrections'>,
  boundary: Omit<OperatingConditions, 'inlet'>,
  at: TermsAt,
): (mean: number) => number {
  const coefficients = coefficientsOf(characteristic);
  const factors = factorsAt(boundary, at, factorsHere);
  const gathered = gatheredHere.fill(0);
  for (let term = 0; term < coefficients.length; term += 1) {
    const power = powerOf[term] as number;
    gathered[power] = (gathered[power] as number) + (coefficients[term] as number) * (factors[term] as number);
  }
  const constant = gathered[0] as number;
  const linear = gathered[1] as number;
  const bent = gathered[2] as number;
  const square = gathered[3] as number;
  const fourth = gathered[4] as number;
  const { air } = boundary;
  return (mean) => {
    const rise = mean - air;
    const size = Math.abs(rise);
    return constant + rise * (linear + bent * size + square * rise + fourth * size * size * size);
  };
}

/** W/m²: the sun on the aperture, each part times its modifier. */
function keptSun(
  { beamModifier, skyModifier, groundModifier }: Pick<FlowThrough, 'beamModifier' | 'skyModifier' | 'groundModifier'>,
  boundary: Omit<OperatingConditions, 'inlet'>,
): number {
  const { irradiance, beamShare, groundShare } = boundary;
  const rest = 1 - beamShare;
  const beam = beamModifierAt(beamModifier, boundary);
  return irradiance * (beamShare * beam + rest * ((1 - groundShare) * skyModifier + groundShare * groundModifier));
}

/** Degrees from the plane across a heater to the plane of a beam: in it, in the plane along the heater, or anywhere between, in equal shares. */
function planeOf(draw: () => number): number {
  const which = 3 * draw();
  const anywhere = 360 * draw();
  if (which >= 2) return anywhere;
  return 90 * Math.floor(which) + (anywhere < 180 ? 0 : 180);
}

/** Angles across and along a heater of a beam some degrees from square, in a plane turned by some degrees from across. */
function anglesIn(incidence: number, plane: number): NonNullable<OperatingConditions['angles']> {
  const radians = Math.PI / 180;
  const lean = Math.tan(incidence * radians);
  const degrees = (tangent: number) => Math.atan(tangent) / radians;
  return {
    transversal: degrees(lean * Math.cos(plane * radians)),
    longitudinal: degrees(lean * Math.sin(plane * radians)),
  };
}

/** Conditions drawn evenly from the working range, the same for the same seed; the beam along a heater, across it and between where that counts. */
export function workingConditions(
  thermal: Pick<ThermalModel, 'apertureArea' | 'acceptance'>,
  reference: Reference,
  { seed, count }: { seed: number; count: number },
): OperatingConditions[] {
  const draw = evenly(seed);
  const drawPlane = evenly(seed + 2000);
  const between = ([low, high]: readonly [number, number]) => low + (high - low) * draw();
  return Array.from({ length: count }, () => {
    const air = between(workingRange.air);
    const irradiance = between(workingRange.irradiance);
    const beamShare = between(workingRange.beamShare);
    const groundShare = between(workingRange.groundShare);
    const incidence = between(workingRange.incidence);
    return {
      irradiance,
      beamShare,
      groundShare,
      incidence,
      ...(thermal.acceptance.round ? {} : { angles: anglesIn(incidence, planeOf(drawPlane)) }),
      air,
      surroundings: air - between(workingRange.skyBelow),
      wind: between(workingRange.wind),
      inlet: air + between(workingRange.inletRise),
      massFlow: thermal.apertureArea * reference.specificFlow * between(workingRange.flow),
      tilt: reference.tilt,
      ...(reference.fluid ? { fluid: reference.fluid } : {}),
    };
  });
}

/** K_b of an acceptance: in each plane at steps of its own, and by both angles where the planes are not alike. */
function beamModifierOf({ beam, round }: ThermalModel['acceptance']): BeamModifier {
  const square = beam(0, 0);
  const kept = (across: number, along: number) => beam(across, along) / square;
  const gentle = Array.from({ length: 90 / modifierStep + 1 }, (_, index) => index * modifierStep);
  const across = round ? gentle : modifierAngles((angle) => kept(angle, 0));
  const along = round ? gentle : modifierAngles((angle) => kept(0, angle));
  return {
    round,
    transversal: across.map((angle) => kept(angle, 0)),
    longitudinal: along.map((angle) => kept(0, angle)),
    ...(round ? {} : { both: across.map((one) => along.map((other) => kept(one, other))) }),
  };
}

/** Conditions that are fitted, and those that are held back to judge by; seeds that draw them. */
const fittedTo = { whole: { seed: 3, count: 600 }, screening: { seed: 3, count: 150 } } as const;
const heldBack = { seed: 77, count: 200 };

/**
 * Fits the quasi-dynamic equation of ISO 9806:2017 and its corrections to the states of a model over `workingRange`, by weighted linear
 * least squares in shares of the useful heat. Modifiers are those of the model's own acceptance.
 *
 * @param more.fits which states it is fitted to: those in which a heater that gives nothing back carries; all where left out
 * @param more.effort how much work it is
 * @param more.bent its absorber stands far over its water: with the terms of that
 * @returns coefficients on aperture, with the residual over conditions that were held back
 */
export function fitFlowThrough(
  thermal: ThermalModel,
  reference: Reference,
  {
    fits = () => true,
    bent = false,
    effort = 'whole',
  }: { fits?(state: ThermalState): boolean; bent?: boolean; effort?: FitEffort } = {},
): FlowThrough {
  const fitted = bent ? [...names, ...bentNames] : names;
  const { acceptance, apertureArea, capacity } = thermal;
  const square = acceptance.beam(0, 0);
  const optics = {
    beamModifier: beamModifierOf(acceptance),
    skyModifier: acceptance.sky(reference.tilt) / square,
    groundModifier: acceptance.ground(reference.tilt) / square,
  };
  const rows = workingConditions(thermal, reference, fittedTo[effort]).flatMap((boundary) => {
    const state = thermal.state(boundary);
    const { usefulHeat, outletTemperature } = state;
    if (outletTemperature === undefined || !fits(state)) return [];
    const at = { kept: keptSun(optics, boundary), specificFlow: boundary.massFlow / apertureArea, reference };
    const y = usefulHeat / apertureArea;
    const x = termsAt(boundary, at, (boundary.inlet + outletTemperature) / 2);
    return [{ x, y, weight: 1 / Math.max(leastJudged, Math.abs(y)) ** 2 }];
  });
  const { iso: fittedIso, corrections } = solveEquation(rows, fitted);
  const { eta0b, a1, a2, a3, a4, a6, a7, a8 } = fittedIso;
  const characteristic: FlowThrough = {
    kind: 'flow-through',
    apertureArea,
    reference,
    iso: {
      eta0b,
      kd: (1 - usualGround) * optics.skyModifier + usualGround * optics.groundModifier,
      a1,
      a2,
      a3,
      a4,
      a5: (capacity.dry + capacity.water + capacity.box) / apertureArea,
      a6,
      a7,
      a8,
    },
    corrections,
    ...optics,
    oneWay: false,
    residual: { rms: 0, worst: 0, count: 0 },
  };
  if (effort === 'screening') return characteristic;
  return { ...characteristic, residual: residualOf(characteristic, thermal, heldBack) };
}

/** Coefficients and corrections by rows of terms in the order of `names`. */
function solveEquation(
  rows: Parameters<typeof leastSquares>[0],
  fitted: readonly Coefficient[],
): {
  iso: Omit<IsoCoefficients, 'kd' | 'a5'>;
  corrections: Corrections;
} {
  const found = leastSquares(rows, fitted.length);
  const value = Object.fromEntries(fitted.map((name, index) => [name, found[index] ?? 0])) as Record<
    Coefficient,
    number
  >;
  const { eta0b, a1, a2, a3, a4, a6, a7, a8, ...corrections } = value;
  return { iso: { eta0b, a1, a2, a3, a4, a6, a7, a8 }, corrections };
}

/**
 * Fits the equation to what a heater gathers while it stands: each row a boundary, the temperature of all of it, the sun that is kept
 * (W/m²) and what it gathers (W/m²).
 */
export function fitStanding(
  rows: readonly { boundary: OperatingConditions; temperature: number; kept: number; gathered: number }[],
  reference: Reference,
  bent = false,
): ReturnType<typeof solveEquation> {
  const fitted = bent ? [...names, ...bentNames] : names;
  return solveEquation(
    rows.map(({ boundary, temperature, kept, gathered }) => {
      return {
        x: termsAt(boundary, { kept, specificFlow: reference.specificFlow, reference }, temperature),
        y: gathered,
        weight: 1 / Math.max(leastJudged, Math.abs(gathered)) ** 2,
      };
    }),
    fitted,
  );
}

/** W/m² that the fitted equation gives for a heater that stands, by its temperature (°C), with the sun that is kept (W/m²). */
export function standingHeat(
  characteristic: Pick<FlowThrough, 'iso' | 'corrections' | 'reference'>,
  boundary: OperatingConditions,
  kept: number,
): (temperature: number) => number {
  const { reference } = characteristic;
  return equationAt(characteristic, boundary, { kept, specificFlow: reference.specificFlow, reference });
}

/** Share of useful heat by which a characteristic misses a model at one condition; undefined where there is too little heat to judge by. */
function missAt(characteristic: FlowThrough, thermal: ThermalModel, boundary: OperatingConditions): number | undefined {
  const { usefulHeat } = thermal.state(boundary);
  if (usefulHeat < leastJudged * thermal.apertureArea) return undefined;
  return Math.abs(characteristicHeat(characteristic, boundary) / usefulHeat - 1);
}

/** How far a characteristic is from a model over conditions drawn from the working range. */
export function residualOf(
  characteristic: FlowThrough,
  thermal: ThermalModel,
  draws: { seed: number; count: number },
): Residual {
  const misses = workingConditions(thermal, characteristic.reference, draws).flatMap(
    (boundary) => missAt(characteristic, thermal, boundary) ?? [],
  );
  const square = misses.reduce((sum, miss) => sum + miss ** 2, 0) / Math.max(1, misses.length);
  return { rms: Math.sqrt(square), worst: Math.max(0, ...misses), count: misses.length };
}

/**
 * W that a characteristic gives at a boundary in a steady state, its mean water temperature found with it (ϑm = ϑin + Q / 2ṁc, by
 * Newton's method on a line that is nearly straight).
 *
 * @param boundary with a flow
 * @param rate K/s by which the mean of the water moves; zero when left out (a5)
 */
export function characteristicHeat(characteristic: FlowThrough, boundary: OperatingConditions, rate = 0): number {
  return heatByInlet(characteristic, boundary, rate)(boundary.inlet);
}

/** The same by the temperature of the water that comes in (°C): what hangs on sun, air and flow alone is worked out once. */
export function heatByInlet(
  characteristic: FlowThrough,
  boundary: Omit<OperatingConditions, 'inlet'>,
  rate = 0,
): (inlet: number) => number {
  const { apertureArea, iso, reference, oneWay } = characteristic;
  const kept = keptSun(characteristic, boundary);
  const specificFlow = boundary.massFlow / apertureArea;
  const flux = equationAt(characteristic, boundary, { kept, specificFlow, reference });
  const heatAt = (mean: number): number => (flux(mean) - iso.a5 * rate) * apertureArea;
  return (inlet) => {
    const carried = boundary.massFlow * fluidState(boundary.fluid ?? 'water', inlet).heatCapacity;
    let mean = inlet;
    for (let pass = 0; pass < 20; pass += 1) {
      const heat = heatAt(mean);
      const miss = inlet + heat / (2 * carried) - mean;
      if (Math.abs(miss) < 1e-9) break;
      const slope = (heatAt(mean + 0.01) - heat) / 0.01 / (2 * carried) - 1;
      mean -= miss / slope;
    }
    const heat = heatAt(mean);
    return oneWay ? Math.max(0, heat) : heat;
  };
}
