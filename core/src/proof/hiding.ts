import { type CollectorDescription, momentsOf, spreadsOf, valueAt } from '../heat';
import { panelsState } from '../loop';
import { type Comparison, type FaultInput, faults, type HiddenFault, type Verdict } from './comparison';
import { verdictLimit } from './effects';
import { type Plant, readingConditions } from './predict';

/** Halvings of the way from sound to worst. */
const steps = 24;

/**
 * How bad a bond, a pane and the insulation may be, each alone, without these readings telling it: the gain they cost is less than what is
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
  const gainWith = (input: FaultInput, factor: number) => {
    const groups = plant.groups.map(({ heat, count }) => ({ count, heat: withFactor(heat, input, factor) }));
    return panelsState(groups, plant.connection, conditions).gain;
  };
  const likely = row.predicted.gain;
  return (Object.keys(faults) as FaultInput[]).flatMap((input): HiddenFault[] => {
    const [first] = plant.groups;
    if (!first || !has(first.heat, input)) return [];
    // Of the uncertainty all but this cause: it is the one that is asked.
    const others = Object.entries(row.predicted.effects)
      .filter(([name]) => name !== input)
      .map(([, effect]) => effect);
    const { mean, variance } = momentsOf(others);
    const room = verdictLimit * Math.sqrt(variance) - (verdict.measured - verdict.expected) + mean;
    // What a gain may be short by, in proportion to this reading's.
    const short = Math.max(0, (room * likely) / Math.max(1e-6, verdict.expected));
    const worst = faults[input];
    const value = (factor: number) => factor * spreadsOf(first.heat)[input].likely;
    if (likely - gainWith(input, worst) < short) return [{ input, value: value(worst), any: true }];
    let sound = 1;
    let bad: number = worst;
    for (let step = 0; step < steps; step += 1) {
      const middle = Math.sqrt(sound * bad);
      if (likely - gainWith(input, middle) < short) sound = middle;
      else bad = middle;
    }
    return [{ input, value: value(sound), any: false }];
  });
}

function has(heat: CollectorDescription, input: FaultInput): boolean {
  if (input === 'bond') return heat.plate.mount !== 'in';
  return input === 'transmittance' ? heat.covers.length > 0 : heat.bareBack === undefined;
}

/** A panel with one input at a factor of its likely value, known for sure. */
function withFactor(heat: CollectorDescription, input: FaultInput, factor: number): CollectorDescription {
  const value = valueAt(spreadsOf(heat)[input], 0) * factor;
  const known = { low: value, likely: value, high: value, spread: 'normal', kind: 'measured' } as const;
  return { ...heat, known: { ...heat.known, [input]: known } };
}
