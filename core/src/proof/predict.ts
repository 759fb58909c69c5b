import { type Deviates, type HeatConditions, massFlowOf, uncertainInputs } from '../heat';
import { type Connection, type PanelGroup, panelsState } from '../loop';
import {
  airPressure,
  clearSky,
  clearSkyTemperature,
  dayOfYear,
  dewPointOf,
  incidenceAngle,
  sunPosition,
  surroundingsTemperature,
  tiltedIrradiance,
} from '../sky';
import { type Reading, type SensorErrors, skyShares } from './reading';

/** What a prediction needs of a job. */
export interface Plant {
  groups: readonly PanelGroup[];
  connection: Connection;
  latitude: number;
  longitude: number;
  elevation: number;
  tilt: number;
  aim: number;
  albedo: number;
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
  /** K. Nine in ten of what the panel as drawn and well made would give. */
  low: number;
  high: number;
  /** K. What each systematic error does to `predicted less measured` gain, one standard uncertainty of it. */
  shared: Record<string, number>;
}

/** m/s taken when nobody looked at the wind. */
const lightBreeze = 1.5;
/** Relative humidity taken for the look of the sky. */
const humidity = 0.5;
const ninety = 1.645;

/** Sun on the pane from a cloudless sky at that moment, and the angle of the beam. */
export function clearOnPane(
  plant: Plant,
  time: number,
): { total: number; beam: number; ground: number; incidence: number } {
  const at = new Date(time);
  const { latitude, longitude, elevation, tilt, aim, albedo } = plant;
  const sun = sunPosition({ at, latitude, longitude, elevation });
  const sky = clearSky({ at, latitude, longitude, elevation });
  const pane = tiltedIrradiance({ model: 'perez', ...sky, ...sun, tilt, aim, dayOfYear: dayOfYear(at), albedo });
  return { ...pane, incidence: incidenceAngle({ ...sun, tilt, aim }) };
}

/** Conditions of a reading, with the sun worked out where it was said in words. Undefined when no sun is known. */
export function readingConditions(plant: Plant, reading: Reading): HeatConditions | undefined {
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
    air: reading.air,
    surroundings: surroundingsTemperature({ sky, air: reading.air, tilt: plant.tilt }),
    wind: reading.wind ?? lightBreeze,
    inlet: reading.inlet,
    massFlow: massFlowOf(reading.flow, reading.inlet),
    tilt: plant.tilt,
  };
}

/**
 * Predicts a reading from the drawing. Each uncertain input and each instrument is moved by one standard uncertainty;
 * the difference it makes to the gain is its share of the doubt (one side only: the other is as large within a tenth).
 * Undefined when the sun is not known or nothing flows.
 */
export function predict(plant: Plant, reading: Reading, errors: SensorErrors): Prediction | undefined {
  const conditions = readingConditions(plant, reading);
  if (!conditions || conditions.massFlow < 1e-5 || conditions.irradiance < 1) return undefined;
  const gain = (change: Partial<HeatConditions>, deviates: Deviates = {}) =>
    panelsState(plant.groups, plant.connection, { ...conditions, ...change }, deviates).gain;
  const likely = panelsState(plant.groups, plant.connection, conditions);
  const shared: Record<string, number> = {};
  let drawn = 0;
  for (const input of uncertainInputs) {
    if (input === 'sun') continue;
    const part = gain({}, { [input]: 1 }) - likely.gain;
    shared[input] = part;
    drawn += part ** 2;
  }
  const word = reading.irradiance === undefined && reading.sky ? skyShares[reading.sky] : undefined;
  const sunShare = word ? (word.high - word.low) / (2 * ninety * word.likely) : errors.sun;
  const bySun = gain({ irradiance: conditions.irradiance * (1 + sunShare) }) - likely.gain;
  shared.sun = bySun;
  shared.flow = gain({ massFlow: conditions.massFlow * (1 + errors.flow) }) - likely.gain;
  shared.thermometers = errors.difference;
  const spread = ninety * Math.sqrt(drawn + bySun ** 2);
  return {
    irradiance: conditions.irradiance,
    incidence: conditions.incidence,
    outlet: likely.outletTemperature,
    gain: likely.gain,
    heat: likely.usefulHeat,
    low: likely.gain - spread,
    high: likely.gain + spread,
    shared,
  };
}
