import type { Job } from '@north-pane/core/document';
import { type WorkedOut, workOut } from '@north-pane/core/figures';
import { createContext, useContext } from 'react';
import { useJob } from './job';

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

/** What a part of the screen shows in place of the newest: see `Later`. */
export const LaterDerived = createContext<Derived | undefined>(undefined);

export function useDerived(): Derived {
  const later = useContext(LaterDerived);
  // Under `Later` a change of the document alone is no reason to draw.
  const document = useJob((state) => (later ? undefined : state.document));
  if (later) return later;
  if (!document) throw new Error('no job is open');
  return derive(document);
}
