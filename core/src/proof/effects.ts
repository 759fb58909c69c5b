import type { Effect, OperatingConditions, StandardNormals } from '../thermal';

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
 * @param inputs ids of the uncertain inputs of all heaters
 * @param state of the panels at changed conditions and deviates
 */
export function effectsOf(
  inputs: Iterable<string>,
  conditions: OperatingConditions,
  errors: InstrumentErrors,
  state: (change: Partial<OperatingConditions>, deviates?: StandardNormals) => { gain?: number },
): Effects {
  const gain = (change: Partial<OperatingConditions>, deviates?: StandardNormals) => state(change, deviates).gain ?? 0;
  const likely = gain({});
  const effects: Record<string, Effect> = {};
  for (const input of inputs) {
    // The sun errs by its instrument.
    if (input === 'sun') continue;
    effects[input] = {
      up: gain({}, { [input]: 1 }) - likely,
      down: gain({}, { [input]: -1 }) - likely,
    };
  }
  const { difference, flow, sun } = errors;
  // An instrument that shows too much has the truth below what it shows.
  const sunBy = (share: number) => gain({ irradiance: conditions.irradiance * (1 + share) }) - likely;
  effects[`sun: ${sun.name}`] = { up: sunBy(sun.up), down: sunBy(-sun.down) };
  const flowBy = (share: number) => gain({ massFlow: conditions.massFlow * (1 + share) }) - likely;
  effects[`flow: ${flow.name}`] = { up: flowBy(flow.error), down: flowBy(-flow.error) };
  effects[`thermometers: ${difference.name}`] = { up: difference.error, down: -difference.error };
  return effects;
}

/** Beyond this many standard uncertainties a difference is not put down to chance. */
export const verdictLimit = 2;

/** How measured stands to expected, by combined standard uncertainties. */
export type Judgement = 'agrees' | 'hotter' | 'colder';

/** What a difference says, over its combined standard uncertainty. */
export function judge(score: number): Judgement {
  if (score > verdictLimit) return 'hotter';
  return score < -verdictLimit ? 'colder' : 'agrees';
}
