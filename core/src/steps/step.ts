import type { Tool } from '../catalogue';
import type { QuantityKind } from '../quantity';

/** Something to look at or to measure before going on. */
export interface Check {
  id: string;
  /** What is looked at and what is good; quantities in it by `sized` and `measured`. */
  words: string;
  /** A reading that is to be taken: SI, and how far off it may be. */
  expects?: { kind: QuantityKind | 'count' | 'share'; value: number; within: number };
}

/** One thing to do in a build. Words carry quantities by `sized` and `measured`. */
export interface Step {
  /** From its role, for instance `panel-a/step/drill`: ticks and notes hang on it through design changes. */
  id: string;
  name: string;
  /** What to do, in order. */
  does: readonly string[];
  /** Ids of parts that it makes or puts in. */
  parts: readonly string[];
  /** Tools, and what protects whoever does it. */
  needs: readonly Tool[];
  checks: readonly Check[];
  /** Dangers of this step, each with what to do. */
  beware: readonly string[];
  /** Ids of the steps that must be done before. */
  after: readonly string[];
  /** s. What must dry, bake or cool before anything that comes after. */
  waits?: number;
}

const mark = '/step/';

/** The id of a step of a panel, by its role. */
export function stepId(panel: string, role: string): string {
  return `${panel}${mark}${role}`;
}

/** Whether an id, among those of parts, is a step's. */
export function isStepId(id: string): boolean {
  return id.includes(mark);
}
