import { type Connection, type HeaterGroup, heatersState } from '../loop';
import {
  airPressure,
  clearSky,
  clearSkyTemperature,
  dayOfYear,
  dewPointOf,
  incidenceAngle,
  type Obstruction,
  obstructedIrradiance,
  paneAngles,
  sunPosition,
  surroundingsTemperature,
} from '../sky';
import {
  type Fluid,
  massFlowOf,
  momentsOf,
  ninetyDeviate,
  type OperatingConditions,
  type StandardNormals,
} from '../thermal';
import { type Effects, effectsOf, type InstrumentErrors } from './effects';
import { type Reading, type Sensors, sensorErrors, skyShares } from './reading';

/** What a prediction needs of a job. */
export interface Plant {
  groups: readonly HeaterGroup[];
  connection: Connection;
  latitude: number;
  longitude: number;
  elevation: number;
  tilt: number;
  aim: number;
  albedo: number;
  /** What stands between its panes and their sky; nothing when left out. */
  obstruction?: Obstruction;
  /** What runs in the loop; water when left out. */
  fluid?: Fluid;
}

/** What the drawing says a reading should have been, and how far either may be off. SI, K. */
export interface Prediction {
  /** W/m² on the pane, measured or by the clear sky and the word for it. */
  irradiance: number;
  /** Degrees of the sun from square to the pane. */
  incidence: number;
  outlet: number;
  gain: number;
  /** W. */
  heat: number;
  /** K. Nine in ten of what the panel as drawn and well made would give in that sun; no instrument in it but the sun's. */
  low: number;
  high: number;
  /** What each uncertain input and each instrument may do to measured less predicted gain. */
  effects: Effects;
}

/** m/s taken when nobody looked at the wind. */
const lightBreeze = 1.5;
/** Relative humidity taken for the look of the sky. */
const humidity = 0.5;

/** Sun on the pane from a cloudless sky at that moment, and the angle of the beam. */
export function clearOnPane(
  plant: Plant,
  time: number,
): {
  total: number;
  beam: number;
  ground: number;
  incidence: number;
  angles: NonNullable<OperatingConditions['angles']>;
} {
  const at = new Date(time);
  const { latitude, longitude, elevation, tilt, aim, albedo } = plant;
  const sun = sunPosition({ at, latitude, longitude, elevation });
  const sky = clearSky({ at, latitude, longitude, elevation });
  const query = { ...sky, ...sun, tilt, aim, dayOfYear: dayOfYear(at), albedo };
  const pane = obstructedIrradiance(query, plant.obstruction);
  return { ...pane, incidence: incidenceAngle({ ...sun, tilt, aim }), angles: paneAngles({ ...sun, tilt, aim }) };
}

/** Conditions of a reading, with the sun worked out where it was said in words. Undefined when no sun is known. */
export function readingConditions(plant: Plant, reading: Reading): OperatingConditions | undefined {
  const clear = clearOnPane(plant, reading.time);
  const word = reading.sky ? skyShares[reading.sky] : undefined;
  const irradiance = reading.irradiance ?? (word ? word.likely * clear.total : undefined);
  if (irradiance === undefined) return undefined;
  // How much of the clear sun is there tells how much of it is beam: all of the clear share at 0.9, none at 0.3.
  const clearness = clear.total > 0 ? irradiance / clear.total : 0;
  const beamClear = clear.total > 0 ? clear.beam / clear.total : 0;
  const beamShare = beamClear * Math.min(1, Math.max(0, (clearness - 0.3) / 0.6));
  const rest = Math.max(1e-9, clear.total - clear.beam);
  const clearSkyLooks = clearSkyTemperature({
    air: reading.air,
    dewPoint: dewPointOf(reading.air, humidity),
    pressure: airPressure(plant.elevation),
  });
  // Cloud closes the window: an overcast sky looks nearly as warm as the air.
  const open = Math.min(1, Math.max(0, (clearness - 0.2) / 0.7));
  const sky = reading.air - open * (reading.air - clearSkyLooks);
  return {
    irradiance,
    beamShare,
    groundShare: Math.min(1, clear.ground / rest),
    incidence: Math.min(89, clear.incidence),
    angles: clear.angles,
    air: reading.air,
    surroundings: surroundingsTemperature({ sky, air: reading.air, tilt: plant.tilt }),
    wind: reading.wind ?? lightBreeze,
    inlet: reading.inlet,
    massFlow: massFlowOf(reading.flow, reading.inlet, plant.fluid),
    tilt: plant.tilt,
    ...(plant.fluid ? { fluid: plant.fluid } : {}),
  };
}

/** The instruments' errors for one reading: a sun said in words errs by the word. */
export function instrumentsOf(reading: Reading, sensors: Sensors): InstrumentErrors {
  const errors = sensorErrors(sensors);
  const word = reading.irradiance === undefined && reading.sky ? skyShares[reading.sky] : undefined;
  const share = (to: number, from: number) => Math.abs(to - from) / (ninetyDeviate * from);
  return {
    difference: { name: sensors.thermometers, error: errors.difference },
    flow: { name: sensors.flow, error: errors.flow },
    sun: word
      ? { name: `${reading.sky}`, up: share(word.high, word.likely), down: share(word.low, word.likely) }
      : { name: sensors.sun, up: errors.sun, down: errors.sun },
  };
}

/** Shares and K within which two readings are so alike that what errs in one errs in proportion in the other. */
const alike = { irradiance: 0.1, massFlow: 0.05, inlet: 3, air: 4, incidence: 6, wind: 0.5 };

function alikeAt(a: OperatingConditions, b: OperatingConditions): boolean {
  const near = (x: number, y: number, share: number) => Math.abs(x - y) <= share * Math.max(Math.abs(x), Math.abs(y));
  return (
    near(a.irradiance, b.irradiance, alike.irradiance) &&
    near(a.massFlow, b.massFlow, alike.massFlow) &&
    Math.abs(a.inlet - b.inlet) <= alike.inlet &&
    Math.abs(a.air - b.air) <= alike.air &&
    Math.abs(a.incidence - b.incidence) <= alike.incidence &&
    Math.abs(a.wind - b.wind) <= alike.wind
  );
}

/** K. Below it a gain is too small to put anything in proportion to. */
const leastGain = 0.5;
/** Readings unlike each other whose effects are remembered. */
const mostKnown = 200;

interface Known {
  conditions: OperatingConditions;
  gain: number;
  effects: Effects;
}

/** Predicts readings one after the other; remembers what errs, since it takes twenty times as long as the prediction itself. */
export interface Predictor {
  /** Undefined when the sun is not known or nothing flows. */
  predict(reading: Reading, sensors: Sensors): Prediction | undefined;
}

/**
 * A predictor of a plant. Each uncertain input and each instrument is moved both ways by one standard uncertainty; a reading so
 * like one before it that both err alike takes over those effects in proportion to its gain.
 */
export function predictorOf(plant: Plant): Predictor {
  const known = new Map<string, Known[]>();
  const inputs = new Set(plant.groups.flatMap(({ thermal }) => thermal.inputs.map(({ id }) => id)));
  return {
    predict(reading, sensors) {
      const conditions = readingConditions(plant, reading);
      if (!conditions || conditions.massFlow < 1e-5 || conditions.irradiance < 1) return undefined;
      const state = (change: Partial<OperatingConditions>, deviates: StandardNormals = {}) =>
        heatersState(plant.groups, plant.connection, { ...conditions, ...change }, deviates);
      const { gain, outletTemperature: outlet, usefulHeat: heat } = state({});
      if (gain === undefined || outlet === undefined) return undefined;
      const instruments = instrumentsOf(reading, sensors);
      const key = `${sensors.thermometers} ${sensors.flow} ${instruments.sun.name}`;
      const list = known.get(key) ?? [];
      known.set(key, list);
      const like = gain > leastGain ? list.find((one) => alikeAt(one.conditions, conditions)) : undefined;
      const effects = like ? scaled(like.effects, gain / like.gain) : effectsOf(inputs, conditions, instruments, state);
      if (!like && gain > leastGain && list.length < mostKnown) list.push({ conditions, gain, effects });
      const drawn = Object.entries(effects).filter(([name]) => !/^(flow|thermometers):/.test(name));
      const { mean, variance } = momentsOf(drawn.map(([, effect]) => effect));
      const middle = gain + mean;
      const half = ninetyDeviate * Math.sqrt(variance);
      return {
        irradiance: conditions.irradiance,
        incidence: conditions.incidence,
        outlet,
        gain,
        heat,
        low: Math.min(gain, middle - half),
        high: Math.max(gain, middle + half),
        effects,
      };
    },
  };
}

/** Effects in proportion to a gain; those of the thermometers are in K whatever the gain. */
function scaled(effects: Effects, share: number): Effects {
  return Object.fromEntries(
    Object.entries(effects).map(([name, effect]) => [
      name,
      name.startsWith('thermometers:') ? effect : { up: effect.up * share, down: effect.down * share },
    ]),
  );
}

/** One reading alone; see `predictorOf`. */
export function predict(plant: Plant, reading: Reading, sensors: Sensors): Prediction | undefined {
  return predictorOf(plant).predict(reading, sensors);
}
