import type { Range } from '../catalogue';
import type { Derivation, Readout } from '../readout';
import type { Fluid } from './fluids';
import type { HandTest } from './handTests';
import type { Characteristic, FitEffort, Reference } from './laboratory';

/** Sun, air and water at one moment: what a heater meets. SI, °C, degrees. */
export interface OperatingConditions {
  /** W/m² on the plane of the pane, in all (G). */
  irradiance: number;
  /** Share of it that is beam, 0 to 1; of the rest, `groundShare` comes from the ground. */
  beamShare: number;
  groundShare: number;
  /** Degrees of the beam from square (θ), 0 to 90. */
  incidence: number;
  /** The same by its angles across the heater and along it, degrees; along is above zero where the sun stands higher than square. */
  angles?: { transversal: number; longitudinal: number };
  /** Its lid is shut: no sun comes in. */
  covered?: boolean;
  /** °C (ϑa). */
  air: number;
  /** °C of a black body that looks like the sky and the ground before the pane together. */
  surroundings: number;
  /** m/s at the heater (u). */
  wind: number;
  /** °C (ϑin). */
  inlet: number;
  /** kg/s through this heater (ṁ); 0 stands still. */
  massFlow: number;
  /** Degrees from level (β). */
  tilt: number;
  /** Water when left out. */
  fluid?: Fluid;
}

/** Whose heater: as drawn and well made, which a verdict is held against, or as home-made ones typically turn out. */
export const workmanships = ['well made', 'home-made'] as const;
export type Workmanship = (typeof workmanships)[number];

/** A standard normal deviate for uncertain inputs by id; what is left out is at its likely value. */
export type StandardNormals = Readonly<Record<string, number>>;

/** Something about a heater and its day that nobody knows to the digit. A model owns those that move its state, and no others. */
export interface UncertainInput {
  id: string;
  name: string;
  /** `share`, `× drawn`, `W/mK`. */
  unit: string;
  /** Decimals worth showing. */
  digits: number;
  /** Spread by workmanship; what the builder knows better stands in both. */
  spread: Readonly<Record<Workmanship, Range>>;
  /** The builder set it. */
  own: boolean;
  /** What settles it by hand. */
  handTest?: HandTest;
  /** How bad it may be, as a factor on its likely value, where a fault of it is looked for in readings; and what one is called. */
  fault?: { worst: number; say(value: number, any: boolean): string };
}

/** A part of a heater that has a temperature of its own. */
export interface Place {
  id: string;
  /** In a sentence, and in a narrow column. */
  words: string;
  short: string;
}

/** Heat by where it went. */
export interface HeatPath {
  id: string;
  words: string;
  /** W. */
  watts: number;
}

/** One heater in a steady state. SI. */
export interface ThermalState {
  /** W that arrive on the aperture, those of its own mirrors among them. */
  sun: number;
  /** W into the water; 0 where nothing flows. */
  usefulHeat: number;
  /** °C and K; absent where nothing flows, and nothing comes out. */
  outletTemperature?: number;
  gain?: number;
  /** Useful heat over the sun on the aperture, 0 without sun. */
  efficiency: number;
  /** °C by the id of each place. */
  places: Readonly<Record<string, number>>;
  /** They add up to `sun`. */
  paths: readonly HeatPath[];
  /** Named intermediate values, by which the state can be checked with a pencil. SI. */
  terms: Readonly<Record<string, number>>;
}

/** A heater as heat sees it. Nothing outside a model knows what it is made of. */
export interface ThermalModel {
  /** m². Lets sun in (A). */
  apertureArea: number;
  inputs: readonly UncertainInput[];
  /** In the order in which they lie, from the sun inward. */
  places: readonly Place[];
  /** Id of the place whose temperature stands for the heater as a whole. */
  body: string;
  /** J/K. Metal and a share of the pane; water; the share of insulation and sides that swings with the body. */
  capacity: { dry: number; water: number; box: number };
  /** Whether its water runs off when it stops, so that at rest it is never full. */
  drainsWhenIdle: boolean;
  /** Whether it is its own store: water stands in it and is heated where it stands, whatever the loop's flow. */
  integralStorage: boolean;
  /** Whether it has a lid that is shut at night. */
  hasLid: boolean;
  /** What an open lid throws onto the pane for each W/m² of beam square to it, and the share of the beam on the pane that it shades; undefined without a lid. */
  lidShare?(angles: { transversal: number; longitudinal: number }): { added: number; shaded: number } | undefined;
  /**
   * Shares of the sun on the aperture that are kept: of beam by its angles from square across and along the heater (degrees, 0 to 90; the
   * product (τα) K_b), of sky and of ground light at a tilt.
   */
  acceptance: {
    beam(transversal: number, longitudinal: number): number;
    sky(tilt: number): number;
    ground(tilt: number): number;
    /** Alike in all planes: only the angle from square counts. */
    round: boolean;
  };
  /**
   * Steady state. With a flow of 0 (anything under 1e-7 kg/s) it is the state at rest: no outlet, every place where it settles in that sun.
   * Throws RangeError for a flow below 0 or none at all, NotConverged never in range.
   */
  state(boundary: OperatingConditions, deviates?: StandardNormals, workmanship?: Workmanship): ThermalState;
  /**
   * W that the still heater gathers, less what it loses, by the temperature (°C) at which all of it is held. Falls as that rises. What hangs
   * on the boundary alone is worked out once: a run or a root asks at many temperatures.
   */
  stagnantNetHeat(
    boundary: OperatingConditions,
    deviates?: StandardNormals,
    workmanship?: Workmanship,
  ): (temperature: number) => number;
  /** What a run needs, fitted to `state` over its working range, with the residual of the fit where it is a whole one. Takes a tenth of a second. */
  characteristic(reference: Reference, effort?: FitEffort): Characteristic;
  /** The same heater with some inputs known: ranges by id stand in the place of its own. */
  withKnownInputs(known: Readonly<Record<string, Range>>): ThermalModel;
  /** What only this model can show of a working point, each with its derivation. */
  readouts(state: ThermalState, boundary: OperatingConditions): Readout[];
  /** How the figures that every heater has come about in this one. */
  derivations(state: ThermalState, boundary: OperatingConditions): { efficiency: Derivation; dry: Derivation };
}

/** kg/s. Less flow than this is none: a drop in several minutes. */
export const leastFlow = 1e-7;

/** Whether water flows at a boundary. Throws RangeError for a flow that is none. */
export function isFlowing({ massFlow }: OperatingConditions): boolean {
  if (!(massFlow >= 0)) throw new RangeError(`no flow: ${massFlow} kg/s`);
  return massFlow >= leastFlow;
}

/** °C of the place that stands for the heater as a whole. */
export function bodyTemperature(model: ThermalModel, state: ThermalState): number {
  const temperature = state.places[model.body];
  if (temperature === undefined) throw new RangeError(`no place ${model.body}`);
  return temperature;
}

/** Degrees between angles along a heater at which the beam on it is looked at. */
const beamStep = 0.5;
/** Angle along each model from which it gets most of a beam of given strength. */
const worstAngles = new WeakMap<ThermalModel, number>();

/**
 * The same sun from where a heater gets most of it. Square to it, but for one with an open mirror: that throws most from a sun off square. The beam
 * keeps its strength square to itself, so that what falls on the pane itself is less there by the cosine.
 *
 * @param boundary with its beam square on the pane
 */
export function worstBeam(model: ThermalModel, boundary: OperatingConditions): OperatingConditions {
  if (!model.hasLid) return boundary;
  const { beam } = model.acceptance;
  let longitudinal = worstAngles.get(model);
  if (longitudinal === undefined) {
    const got = (angle: number) => beam(0, angle) * Math.cos((angle * Math.PI) / 180);
    longitudinal = 0;
    for (let angle = -80; angle <= 80; angle += beamStep) if (got(angle) > got(longitudinal)) longitudinal = angle;
    worstAngles.set(model, longitudinal);
  }
  const falls = boundary.beamShare * Math.cos((longitudinal * Math.PI) / 180);
  const whole = falls + 1 - boundary.beamShare;
  return {
    ...boundary,
    irradiance: boundary.irradiance * whole,
    beamShare: falls / whole,
    incidence: Math.abs(longitudinal),
    angles: { transversal: 0, longitudinal },
  };
}

/** °C of a heater's body at rest in that sun: dry in full sun, or under the night sky without any. */
export function stagnationTemperature(
  model: ThermalModel,
  boundary: OperatingConditions,
  deviates: StandardNormals = {},
  workmanship: Workmanship = 'well made',
): number {
  return bodyTemperature(model, model.state({ ...boundary, massFlow: 0 }, deviates, workmanship));
}

/** The spread of one uncertain input of a model; undefined where it has none of that name. */
export function spreadOf(model: ThermalModel, id: string, workmanship: Workmanship = 'well made'): Range | undefined {
  return model.inputs.find((input) => input.id === id)?.spread[workmanship];
}
