import type { Drift } from './drift';
import type { Judgement } from './effects';
import type { Prediction } from './predict';
import type { Reading } from './reading';

export interface Comparison {
  reading: Reading;
  predicted: Prediction;
  /** Where the water stands in the heater: the reading before this one. Gains are rises of all the water since that. */
  since?: Reading;
  /** K, as read, and half of the span that nine in ten lie in. */
  measuredGain: number;
  measuredHalf: number;
  /** K. As read, with the heat that panel and box took up or gave back while their temperature moved. */
  settledGain: number;
  /** W, of the settled gain. */
  measuredHeat: number;
  /** Heat over the sun on the aperture, measured and predicted, and the plane they lie on: K m²/W. */
  efficiency: { x: number; measured: number; predicted: number };
  /** Settled less predicted gain, over its combined standard uncertainty. */
  score: number;
  judgement: Judgement;
  /** At the end of a steady stretch. */
  steady: boolean;
  /** Whether it has neighbours by which its drift is known. */
  drift: Drift;
  /** Whether a verdict may rest on it (broken cloud said in words may not). */
  fit: boolean;
}

export interface Verdict {
  judgement: Judgement | 'cannot tell';
  /** Whether it judges gains of water that runs, or rises of water that stands. */
  of: 'gain' | 'rise';
  /** Why nothing can be told: no reading that says anything, or too few to know whether it had settled. */
  reason?: 'nothing' | 'unsettled';
  /** How many readings it rests on, and whether those were steady. */
  count: number;
  steady: boolean;
  /** K, means over those readings. */
  measured: number;
  expected: number;
  /** K. Nine in ten of sound panels, read with these instruments, fall inside. */
  low: number;
  high: number;
  /** K. Combined standard uncertainty of the mean difference. */
  uncertainty: number;
  score: number;
  /** Faults that would look just like this. */
  hidden: HiddenFault[];
}

/** A fault that the readings cannot tell from a sound panel. */
export interface HiddenFault {
  /** Id of the input. */
  input: string;
  /** In the input's unit: the worst that would still be taken for what was drawn. */
  value: number;
  /** Whether even the worst that is met would not show. */
  any: boolean;
  /** What it would be. */
  words: string;
}
