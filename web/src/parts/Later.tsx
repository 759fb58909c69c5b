import { type ReactNode, useDeferredValue } from 'react';
import { LaterDerived, useDerived } from '../state/derived';

/** What is set in here follows at once, also where the rest round it is drawn later: the next tap begins from what it says. */
export function Now({ children }: { children: ReactNode }) {
  return <LaterDerived value={undefined}>{children}</LaterDerived>;
}

/**
 * What stands in here is drawn one task after the rest of the screen: the dimension in hand and its drawing are painted first. All of it
 * reads one document, the one that it is drawn for, so that no figure in it belongs to another state of the job than its neighbour.
 */
export function Later({ children }: { children: ReactNode }) {
  const shown = useDeferredValue(useDerived());
  return <LaterDerived value={shown}>{children}</LaterDerived>;
}
