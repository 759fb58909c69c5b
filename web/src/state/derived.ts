import type { Job } from '@north-pane/core/document';
import { type WorkedOut, workOut } from '@north-pane/core/figures';
import { type ShopState, untouchedShop } from '@north-pane/core/shoplog';
import { createContext, useContext } from 'react';
import { useJob } from './job';

/** Everything that is worked out from a document, once for each document. */
export type Derived = WorkedOut;

const known = new WeakMap<Job, Derived>();
/** Worked out last: of most edits it has all but what they touch. */
let last: Derived | undefined;

/** @param state how the job stands in the shop; untouched where left out */
export function derive(job: Job, state: ShopState = untouchedShop): Derived {
  const found = known.get(job);
  if (found && found.open.state === state) return found;
  const made = workOut(job, state, last);
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
  const shop = useJob((state) => (later ? untouchedShop : state.shop));
  if (later) return later;
  if (!document) throw new Error('no job is open');
  return derive(document, shop);
}
