import { applyEdits, type Change, changesBetween, inverse } from '@north-pane/core/document';
import type { Rules, Sync } from './state';

/** Entries of the history that are kept. */
const mostUndo = 200;

/** An edit remembered as the last one; what was undone before it is forgotten. */
export function remembered(state: Sync, edits: readonly Change[]): Pick<Sync, 'past' | 'future'> {
  return { past: [...state.past, { edits }].slice(-mostUndo), future: [] };
}

/** A drag is one entry, of what it came to; one that came back is none. */
export function dragEnded(state: Sync): Sync {
  const { dragFrom } = state;
  if (!dragFrom) return state;
  const edits = changesBetween(dragFrom, state.document);
  return {
    ...state,
    dragFrom: undefined,
    ...(edits.length > 0 ? remembered(state, edits) : {}),
  };
}

/**
 * Takes one's own last edit back, or lays it on again: on the document as it is now, path by path. A path that somebody has changed since
 * is left as it is, and said.
 */
export function takenBack(state: Sync, from: 'past' | 'future', rules: Rules): Sync {
  const to = from === 'past' ? 'future' : 'past';
  const entry = from === 'past' ? state[from][state[from].length - 1] : state[from][0];
  if (!entry || state.dragFrom) return state;
  const wanted = from === 'past' ? inverse(entry.edits) : entry.edits;
  const { document, laid, left } = applyEdits(state.document, wanted);
  // What is laid back makes a sound job only with the rest of it: else it stays as it is.
  const sound = laid.length > 0 && rules.trouble(document) === undefined;
  // All of it stood already as it is wanted: there is nothing to take back, and nothing to say.
  const stood = laid.length === 0 && left.length === 0;
  const kept = sound ? (from === 'past' ? inverse(laid) : laid) : [];
  return {
    ...state,
    document: sound ? document : state.document,
    [from]: from === 'past' ? state.past.slice(0, -1) : state.future.slice(1),
    [to]:
      kept.length === 0
        ? state[to]
        : to === 'future'
          ? [{ edits: kept }, ...state.future]
          : [...state.past, { edits: kept }],
    notice:
      !stood && (left.length > 0 || !sound) ? 'Somebody has changed this since: it was left as it is now.' : undefined,
  };
}
