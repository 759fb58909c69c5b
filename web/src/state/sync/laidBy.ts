import { parseJob } from '@north-pane/core/document';
import { parseEvents } from '@north-pane/core/shoplog';
import { createStore, del, entries, set, type UseStore } from 'idb-keyval';
import type { Stored, Sync } from './state';

/** Opened when it is first needed: a browser that has none works without. */
let opened: UseStore | undefined;
const shelf = () => (opened ??= createStore('north-pane', 'laid-by'));

const keyOf = (job: string, tab: string) => `${job} ${tab}`;

/** Lays the state of a window by. Rejects where the browser has no room or no store. */
export function layBy(job: string, tab: string, state: Sync): Promise<void> {
  return set(keyOf(job, tab), state, shelf());
}

export function throwAway(job: string, tab: string): Promise<void> {
  return del(keyOf(job, tab), shelf());
}

/** Everything that windows of this browser laid by for a job, by window; what cannot be read any more is left where it is. */
export async function laidByFor(job: string): Promise<Map<string, Sync>> {
  const found = new Map<string, Sync>();
  for (const [key, value] of await entries<string, unknown>(shelf())) {
    if (typeof key !== 'string' || !key.startsWith(`${job} `)) continue;
    const state = readSync(value);
    if (state) found.set(key.slice(job.length + 1), state);
  }
  return found;
}

/** A state read anew: what stands in a browser may be of another version of the program. */
export function readSync(value: unknown): Sync | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  const state = value as Partial<Sync>;
  const base = readStored(state.base);
  const document = parseJob(state.document);
  const log = parseEvents(state.log);
  const lists = [state.contested, state.past, state.future, state.outbox];
  if (!base || !document.ok || !log.ok || !lists.every(Array.isArray) || typeof state.saves !== 'number')
    return undefined;
  return { ...(state as Sync), base, document: document.job, log: log.events };
}

/** What the server or the browser gives as a stored document, read anew. */
export function readStored(value: unknown): Stored | undefined {
  if (typeof value !== 'object' || value === null) return undefined;
  const { version, document } = value as { version?: unknown; document?: unknown };
  const parsed = parseJob(document);
  return typeof version === 'number' && parsed.ok ? { version, document: parsed.job } : undefined;
}
