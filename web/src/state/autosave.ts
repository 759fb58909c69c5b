import { type Conflict, changesBetween, type Job, mergeChanges, withValueAt } from '@north-pane/core/document';
import { answered, api, queries, Refusal } from './api';
import { type Kept, useJob } from './job';

/** ms of quiet before a change is sent, and between tries when the server does not answer. */
const quiet = 400;
const retry = 4000;

function shelfKey(id: string): string {
  return `north-pane-unsaved-${id}`;
}

/** What is not on the server yet is laid by in the browser, so that a closed tab or a dead server loses nothing. */
function layBy(id: string, kept: Kept, document: Job): void {
  try {
    localStorage.setItem(shelfKey(id), JSON.stringify({ kept, document }));
  } catch {
    // A full or forbidden store: the copy in this tab is all there is, and the trouble line says that it is not saved.
  }
}

/** Changes laid by for a job, put onto what the server has now; undefined when there are none or they no longer fit. */
export function takeLaidBy(id: string, now: Kept): Job | undefined {
  const text = localStorage.getItem(shelfKey(id));
  if (!text) return undefined;
  localStorage.removeItem(shelfKey(id));
  const { kept, document } = JSON.parse(text) as { kept: Kept; document: Job };
  const merged = mergeChanges(now.document, changesBetween(kept.document, document));
  return merged.ok ? merged.document : undefined;
}

interface ConflictAnswer {
  version: number;
  document: Job;
  conflicts: Conflict[];
}

async function send(): Promise<void> {
  const { id, document, kept, conflict, dragFrom } = useJob.getState();
  if (!id || !document || !kept || conflict || dragFrom) return;
  const changes = changesBetween(kept.document, document);
  if (changes.length === 0) {
    useJob.getState().adopt({ saving: 'saved', trouble: undefined });
    return;
  }
  useJob.getState().adopt({ saving: 'saving' });
  try {
    const answer = await answered(
      api.api.jobs[':id'].changes.$post({ param: { id }, json: { base: kept.version, changes } }),
    );
    if (useJob.getState().id !== id) return;
    const saved: Kept = { version: answer.version, document: answer.document as Job };
    const now = useJob.getState().document ?? document;
    // What was changed here while the answer was under way goes on top of what came back.
    const merged = mergeChanges(saved.document, changesBetween(document, now));
    localStorage.removeItem(shelfKey(id));
    useJob.getState().adopt({
      kept: saved,
      // Said to be saved only when nothing was changed meanwhile.
      saving: now === document ? 'saved' : 'waiting',
      trouble: undefined,
      ...(answer.merged && merged.ok ? { document: merged.document } : {}),
    });
    void queries.invalidateQueries({ queryKey: ['jobs'] });
  } catch (error) {
    if (useJob.getState().id !== id) return;
    layBy(id, kept, document);
    if (error instanceof Refusal && error.status === 409) {
      const answer = error.details as ConflictAnswer;
      const fields = answer.conflicts.map(({ path, yours, theirs }) => ({ path: path.join('.'), yours, theirs }));
      useJob
        .getState()
        .adopt({ saving: 'failed', conflict: { version: answer.version, document: answer.document, fields } });
      return;
    }
    const message = error instanceof Error ? error.message : String(error);
    useJob
      .getState()
      .adopt({ saving: 'failed', trouble: `Not saved yet. ${message} Your changes are kept in this browser.` });
    // A change that the server refuses will not get better by itself; one that it did not hear will.
    if (!(error instanceof Refusal) || error.status === 0 || error.status >= 500) window.setTimeout(schedule, retry);
  }
}

let timer: number | undefined;
let sending: Promise<void> = Promise.resolve();

function schedule(): void {
  window.clearTimeout(timer);
  timer = window.setTimeout(() => {
    sending = sending.then(send);
  }, quiet);
}

/** Saves at once what is waiting: before a revision is kept, or another job opened. */
export async function saveNow(): Promise<void> {
  window.clearTimeout(timer);
  sending = sending.then(send);
  await sending;
}

/** Ends a conflict: their fields are taken, or mine are laid over theirs. */
export function settle(choice: 'mine' | 'theirs'): void {
  const { conflict, kept, document, adopt } = useJob.getState();
  if (!conflict || !kept || !document) return;
  const base: Kept = { version: conflict.version, document: conflict.document };
  if (choice === 'theirs') {
    // The other fields that were changed here stay.
    const contested = new Set(conflict.fields.map((field) => field.path));
    const mine = changesBetween(kept.document, document).filter((change) => !contested.has(change.path.join('.')));
    const merged = mergeChanges(base.document, mine);
    adopt({ kept: base, conflict: undefined, document: merged.ok ? merged.document : base.document });
  } else {
    const mine = changesBetween(kept.document, document);
    const next = mine.reduce((laid, { path, after }) => withValueAt(laid, path, after), base.document);
    adopt({ kept: base, conflict: undefined, document: next });
  }
  schedule();
}

/** Watches the document and saves it as it changes. Returns the way to stop. */
export function startAutosave(): () => void {
  const stop = useJob.subscribe((state, before) => {
    if (!state.document || state.id !== before.id) return;
    const moved = state.document !== before.document || (before.dragFrom && !state.dragFrom);
    if (!moved || state.document === state.kept?.document) return;
    if (state.saving === 'saved') state.adopt({ saving: 'waiting' });
    schedule();
  });
  const leave = () => {
    const { id, kept, document } = useJob.getState();
    if (!id || !kept || !document || document === kept.document) return;
    if (changesBetween(kept.document, document).length > 0) layBy(id, kept, document);
    void saveNow();
  };
  window.addEventListener('pagehide', leave);
  return () => {
    stop();
    window.removeEventListener('pagehide', leave);
  };
}
