import { type Change, parseJob } from '@north-pane/core/document';
import { parseEvents, type ShopEvent } from '@north-pane/core/shoplog';
import { createStore, del, entries, get, set, type UseStore } from 'idb-keyval';
import type { Stored, Sync } from './state';

/** Opened when it is first needed: a browser that has none works without. */
let opened: UseStore | undefined;
const shelf = () => (opened ??= createStore('north-pane', 'laid-by'));

/** Which job something was persisted for: its address, and the random key that it alone has. */
export interface JobRef {
  id: string;
  key: string;
}

/** What a window persisted, with whose it is. */
export interface Persisted {
  job: JobRef;
  tab: string;
  state: Sync;
}

const keyOf = (job: JobRef, tab: string) => `${job.key} ${tab}`;

/** Lays the state of a window by. Rejects where the browser has no room or no store. */
export function persistState(job: JobRef, tab: string, state: Sync): Promise<void> {
  return set(keyOf(job, tab), { job, tab, state }, shelf());
}

export function throwAway(job: JobRef, tab: string): Promise<void> {
  return del(keyOf(job, tab), shelf());
}

/** Everything that windows of this browser persisted; what cannot be read any more is left where it is. */
export async function allPersisted(): Promise<Persisted[]> {
  return (await entries<string, unknown>(shelf())).flatMap(([, value]) => readPersisted(value) ?? []);
}

/** What a window persisted for a job, as it stands at this moment. */
export async function persistedAt(job: JobRef, tab: string): Promise<Persisted | undefined> {
  return readPersisted(await get<unknown>(keyOf(job, tab), shelf()));
}

function readPersisted(value: unknown): Persisted | undefined {
  const { job, tab, state } = (value ?? {}) as { job?: Partial<JobRef>; tab?: unknown; state?: unknown };
  if (typeof job?.id !== 'string' || typeof job.key !== 'string' || typeof tab !== 'string') return undefined;
  const read = readSync(state);
  return read && { job: { id: job.id, key: job.key }, tab, state: read };
}

/**
 * Brings what an earlier version of the program persisted under the address of a job under its key, once. A job of that address is taken for
 * the one that was meant; whether its copy goes on from what was persisted is asked like any other.
 */
export async function bringOver(job: JobRef): Promise<void> {
  for (const [name, value] of await entries<string, unknown>(shelf())) {
    if (typeof name !== 'string' || !name.startsWith(`${job.id} `)) continue;
    const state = readSync(value);
    if (state) await persistState(job, name.slice(job.id.length + 1), state);
    await del(name, shelf());
  }
}

/** What is not persisted yet when a page goes: kept where it can be written at once. */
const lastWordsKey = (job: JobRef, tab: string) => `north-pane-last ${job.key} ${tab}`;

export interface LastWords {
  changes: readonly Change[];
  events: readonly ShopEvent[];
}

/** Writes what was set and done and is on no server yet, at once: a page that is closed waits for nothing. */
export function leaveLastWords(job: JobRef, tab: string, words: LastWords): void {
  try {
    window.localStorage.setItem(lastWordsKey(job, tab), JSON.stringify(words));
  } catch {
    // Full or forbidden: what was persisted before stands.
  }
}

/** What a page left when it went, once. */
export function takeLastWords(job: JobRef, tab: string): LastWords | undefined {
  const key = lastWordsKey(job, tab);
  try {
    const text = window.localStorage.getItem(key);
    window.localStorage.removeItem(key);
    const { changes, events } = JSON.parse(text ?? '{}') as Partial<LastWords>;
    const parsed = parseEvents(events ?? []);
    return Array.isArray(changes) && parsed.ok ? { changes, events: parsed.events } : undefined;
  } catch {
    return undefined;
  }
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
  const { version, stamp, document } = value as { version?: unknown; stamp?: unknown; document?: unknown };
  const parsed = parseJob(document);
  if (typeof version !== 'number' || !parsed.ok) return undefined;
  return { version, ...(typeof stamp === 'string' ? { stamp } : {}), document: parsed.job };
}
