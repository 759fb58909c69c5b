import type { OpenJob } from '../job';
import { jobParts } from '../job';
import type { Step } from '../steps';
import { jobSteps } from './steps';

/**
 * Minutes of work. Judgement, of somebody who does it for the first time: to set a step up and clear it away, for each thing it says to do, for
 * a piece that is cut, a hole that is drilled, and a piece or a bought thing that is put in.
 */
const minutes = { step: 10, line: 5, cut: 4, hole: 1.5, fit: 2, most: 60 } as const;
/** Of the likely time: a practised hand, and one with everything against it. Judgement. */
const spread = { low: 0.6, high: 1.8 } as const;

/** Hours of work. */
export interface WorkHours {
  low: number;
  likely: number;
  high: number;
}

/** Hours that a job's steps take, drying and waiting left out. */
export function workHours(open: OpenJob, steps: readonly Step[] = jobSteps(open)): WorkHours {
  const { parts, purchases } = jobParts(open);
  const count = new Map([
    ...parts.map(({ id, count: pieces }): [string, number] => [id, pieces]),
    ...purchases.map(({ id, quantity, unit }): [string, number] => [id, unit === 'each' ? quantity : 1]),
  ]);
  const cutting = parts.reduce(
    (sum, part) =>
      sum +
      part.count *
        (minutes.cut + minutes.hole * (part.holes ?? []).reduce((holes, { positions }) => holes + positions.length, 0)),
    0,
  );
  const working = steps.reduce(
    (sum, { does, parts: used }) =>
      sum +
      minutes.step +
      minutes.line * does.length +
      used.reduce((fits, id) => fits + Math.min(minutes.most, minutes.fit * (count.get(id) ?? 0)), 0),
    0,
  );
  const likely = (cutting + working) / 60;
  return { low: spread.low * likely, likely, high: spread.high * likely };
}
