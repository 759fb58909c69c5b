import { heatersState } from '../loop';
import { momentsOf, spreadOf } from '../thermal';
import type { Comparison, HiddenFault, Verdict } from './comparison';
import { verdictLimit } from './effects';
import { type Plant, readingConditions } from './predict';
import { riseOver, standingInterval } from './warmUp';

/** Halvings of the way from sound to worst. */
const steps = 14;

/**
 * How bad each input of which a fault is known may be, each alone, without these readings telling it: the gain they cost is less than what is
 * left between the measured mean and the lower limit of all other causes. By bisection on one reading that stands for all.
 *
 * @param plantAt the plant that stood at a time
 */
export function hiddenFaults(
  rows: readonly Comparison[],
  verdict: Verdict,
  plantAt: (time: number) => Plant | undefined,
): HiddenFault[] {
  const row = rows[Math.floor(rows.length / 2)];
  const plant = row && plantAt(row.reading.time);
  const conditions = plant && row && readingConditions(plant, row.reading);
  if (!row || !plant || !conditions || verdict.judgement === 'colder') return [];
  const standing = row.since && standingInterval(plant, row.since, row.reading);
  /** The gain with one input of every heater that has it at a factor of its likely value, known for sure. */
  const gainWith = (input: string, factor: number) => {
    const groups = plant.groups.map(({ thermal, count }) => {
      const likely = spreadOf(thermal, input)?.likely;
      if (likely === undefined) return { thermal, count };
      const value = likely * factor;
      const known = { low: value, likely: value, high: value, spread: 'normal', kind: 'measured' } as const;
      return { thermal: thermal.withKnownInputs({ [input]: known }), count };
    });
    return standing ? riseOver(groups, standing) : (heatersState(groups, plant.connection, conditions).gain ?? 0);
  };
  const likely = row.predicted.gain;
  // Of heaters of unlike kind every one is asked, each input once.
  const inputs = new Map(plant.groups.flatMap(({ thermal }) => thermal.inputs.map((one) => [one.id, one] as const)));
  return [...inputs.values()].flatMap(({ id: input, fault, spread }): HiddenFault[] => {
    if (!fault) return [];
    // Of the uncertainty all but this cause: it is the one that is asked.
    const others = Object.entries(row.predicted.effects)
      .filter(([name]) => name !== input)
      .map(([, effect]) => effect);
    const { mean, variance } = momentsOf(others);
    const room = verdictLimit * Math.sqrt(variance) - (verdict.measured - verdict.expected) + mean;
    // What a gain may be short by, in proportion to this reading's.
    const short = Math.max(0, (room * likely) / Math.max(1e-6, verdict.expected));
    const { worst } = fault;
    const found = (factor: number, any: boolean): HiddenFault[] => {
      const value = factor * spread['well made'].likely;
      return [{ input, value, any, words: fault.say(value, any) }];
    };
    if (likely - gainWith(input, worst) < short) return found(worst, true);
    let sound = 1;
    let bad = worst;
    for (let step = 0; step < steps; step += 1) {
      const middle = Math.sqrt(sound * bad);
      if (likely - gainWith(input, middle) < short) sound = middle;
      else bad = middle;
    }
    return found(sound, false);
  });
}
