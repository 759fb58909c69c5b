import { type Job, parseJob, pathSteps, withValueAt } from '@north-pane/core/document';
import { create } from 'zustand';

/** What came of a change: nothing is set when it does not make a sound job. */
export type Outcome = { ok: true } | { ok: false; message: string };

export interface Kept {
  version: number;
  document: Job;
}

export interface ConflictNotice {
  version: number;
  document: Job;
  fields: { path: string; yours: unknown; theirs: unknown }[];
}

interface JobState {
  id: string | undefined;
  document: Job | undefined;
  /** What the server has. */
  kept: Kept | undefined;
  past: readonly Job[];
  future: readonly Job[];
  /** The document before the drag that is under way. */
  dragFrom: Job | undefined;
  saving: 'saved' | 'waiting' | 'saving' | 'failed';
  trouble: string | undefined;
  conflict: ConflictNotice | undefined;

  open(id: string, kept: Kept, document?: Job): void;
  /** Sets one field by its dotted path. One undo entry, or part of the drag under way. */
  change(path: string, value: unknown): Outcome;
  changeAll(changes: readonly { path: string; value: unknown }[]): Outcome;
  beginDrag(): void;
  endDrag(): void;
  undo(): void;
  redo(): void;
  /** Takes over a document without an undo entry: what came back from the server. */
  adopt(patch: Partial<Pick<JobState, 'document' | 'kept' | 'saving' | 'trouble' | 'conflict'>>): void;
}

const mostUndo = 200;

/** The job document: the only design state. Everything else is worked out from it. */
export const useJob = create<JobState>()((set, get) => ({
  id: undefined,
  document: undefined,
  kept: undefined,
  past: [],
  future: [],
  dragFrom: undefined,
  saving: 'saved',
  trouble: undefined,
  conflict: undefined,

  open: (id, kept, document = kept.document) =>
    set({
      id,
      kept,
      document,
      past: [],
      future: [],
      dragFrom: undefined,
      saving: 'saved',
      trouble: undefined,
      conflict: undefined,
    }),

  change: (path, value) => get().changeAll([{ path, value }]),

  changeAll: (changes) => {
    const { document, past, dragFrom } = get();
    if (!document) return { ok: false, message: 'No job is open.' };
    let next = document;
    for (const { path, value } of changes) next = withValueAt(next, pathSteps(path), value);
    const parsed = parseJob(next);
    if (!parsed.ok) return { ok: false, message: sentence(parsed.errors[0]?.message ?? 'That does not go.') };
    set({ document: next, future: [], ...(dragFrom ? {} : { past: [...past, document].slice(-mostUndo) }) });
    return { ok: true };
  },

  beginDrag: () => set(({ document, dragFrom }) => ({ dragFrom: dragFrom ?? document })),
  endDrag: () =>
    set(({ document, dragFrom, past }) => ({
      dragFrom: undefined,
      ...(dragFrom && dragFrom !== document ? { past: [...past, dragFrom].slice(-mostUndo) } : {}),
    })),

  undo: () =>
    set(({ document, past, future }) => {
      const before = past[past.length - 1];
      return document && before ? { document: before, past: past.slice(0, -1), future: [document, ...future] } : {};
    }),
  redo: () =>
    set(({ document, past, future }) => {
      const [after, ...rest] = future;
      return document && after ? { document: after, past: [...past, document], future: rest } : {};
    }),

  adopt: (patch) => set(patch),
}));

function sentence(message: string): string {
  const capital = `${message[0]?.toUpperCase() ?? ''}${message.slice(1)}`;
  return /[.?]$/.test(capital) ? capital : `${capital}.`;
}

/** The open job at this moment, for what is done and not drawn. Throws when there is none. */
export function jobNow(): Job {
  const { document } = useJob.getState();
  if (!document) throw new Error('no job is open');
  return document;
}

/** The open job. Throws when there is none: stations are only shown with one. */
export function useDocument(): Job {
  const document = useJob((state) => state.document);
  if (!document) throw new Error('no job is open');
  return document;
}
