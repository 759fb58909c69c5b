import type { Job } from '@north-pane/core/document';
import { type WorkedOut, workOut } from '@north-pane/core/figures';
import { useDocument } from './job';

/** Everything that is worked out from a document, once for each document. */
export type Derived = WorkedOut;

const known = new WeakMap<Job, Derived>();
/** Worked out last: of most edits it has all but what they touch. */
let last: Derived | undefined;

export function derive(job: Job): Derived {
  const found = known.get(job);
  if (found) return found;
  const made = workOut(job, last);
  last = made;
  known.set(job, made);
  return made;
}

export function useDerived(): Derived {
  return derive(useDocument());
}
