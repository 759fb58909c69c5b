import type { Deviates, Effect, HeatConditions } from '../heat';
import { uncertainInputs } from '../heat';
import type { PanelsState } from '../loop';

/**
 * K by which each cause moves what is measured against what is predicted, at one standard uncertainty to either side, by its name. The
 * sides are not alike: dirt, a bond or a paint can be far worse than likely and hardly better. Those of instruments carry the instrument,
 * so that two of a kind err apart and one errs alike in every reading.
 */
export type Effects = Readonly<Record<string, Effect>>;

/** Standard uncertainties of the instruments of one reading, as shares, the thermometers in K; with what each is. */
export interface InstrumentErrors {
  difference: { name: string; error: number };
  flow: { name: string; error: number };
  sun: { name: string; up: number; down: number };
}

/**
 * What every uncertain input of the panels and every instrument does to a gain.
 *
 * @param state of the panels at changed conditions and deviates
 */
export function effectsOf(
  conditions: HeatConditions,
  errors: InstrumentErrors,
  state: (change: Partial<HeatConditions>, deviates?: Deviates) => PanelsState,
): Effects {
  const likely = state({}).gain;
  const effects: Record<string, Effect> = {};
  for (const input of uncertainInputs) {
    if (input === 'sun') continue;
    effects[input] = {
      up: state({}, { [input]: 1 }).gain - likely,
      down: state({}, { [input]: -1 }).gain - likely,
    };
  }
  const { difference, flow, sun } = errors;
  // An instrument that shows too much has the truth below what it shows.
  const sunBy = (share: number) => state({ irradiance: conditions.irradiance * (1 + share) }).gain - likely;
  effects[`sun: ${sun.name}`] = { up: sunBy(sun.up), down: sunBy(-sun.down) };
  const flowBy = (share: number) => state({ massFlow: conditions.massFlow * (1 + share) }).gain - likely;
  effects[`flow: ${flow.name}`] = { up: flowBy(flow.error), down: flowBy(-flow.error) };
  effects[`thermometers: ${difference.name}`] = { up: difference.error, down: -difference.error };
  return effects;
}

/** Beyond this many standard uncertainties a difference is not put down to chance. */
export const verdictLimit = 2;
