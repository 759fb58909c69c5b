import { parseEvents, type ShopEvent } from '@north-pane/core/shoplog';
import { answered, api, queries, Refusal } from '../api';
import { laidByFor, layBy, readStored, throwAway } from './laidBy';
import type { Effect, Input } from './machine';
import { openSync, revive, type Stored, type Sync } from './state';
import { closedTabs, tabName } from './tab';

/** Carries out what the machine of an open job asks for, and tells it what came of it. */
export interface Driver {
  run(effects: readonly Effect[], state: Sync): void;
  /** Once everything that was to be laid by is. */
  laid(): Promise<void>;
  close(): void;
}

/** ms after which a request is given up. */
const patience = 20_000;

const unread = 'What the server sent cannot be read. Load the page again.';

/**
 * @param give tells the machine what has happened
 * @param onTrouble told when nothing can be laid by in this browser, and when the job was deleted elsewhere
 */
export function driveJob(
  id: string,
  tab: string,
  give: (input: Input) => void,
  onTrouble: (words: string) => void,
): Driver {
  let closed = false;
  let timer: number | undefined;
  let laying: Promise<void> = Promise.resolve();
  let newest: Sync | undefined;
  const tell = (input: Input) => {
    if (!closed) give(input);
  };

  /** Writes the newest state; what changes while it is being written is written next. */
  const lay = (state: Sync) => {
    const idle = newest === undefined;
    newest = state;
    if (!idle) return;
    laying = laying.then(async () => {
      // What was set is painted first: copying the whole state takes its time.
      await painted();
      while (newest) {
        const writing = newest;
        try {
          await layBy(id, tab, writing);
        } catch {
          onTrouble('This browser keeps nothing for North Pane: what is not saved is lost when the window is closed.');
        }
        if (newest === writing) newest = undefined;
      }
    });
  };

  const stream = new EventSource(`/api/jobs/${encodeURIComponent(id)}/stream`);
  stream.addEventListener('stands', (event) => {
    const { version, seq } = JSON.parse((event as MessageEvent<string>).data) as { version?: unknown; seq?: unknown };
    if (typeof version === 'number' && typeof seq === 'number') tell({ kind: 'stands', version, seq });
  });
  stream.addEventListener('gone', () => {
    if (!closed) onTrouble('This job was deleted on another screen: what is set here is saved nowhere.');
    stream.close();
  });
  const online = () => tell({ kind: 'due' });
  window.addEventListener('online', online);

  const send = async ({ sent }: Extract<Effect, { kind: 'send' }>) => {
    // It is laid by before it goes: what is on its way is known after a crash.
    await laying;
    const { save, base, changes } = sent;
    try {
      const answer = await within(
        answered(api.api.jobs[':id'].changes.$post({ param: { id }, json: { base, save, changes: [...changes] } })),
      );
      const stored = readStored(answer);
      tell(stored ? { kind: 'saved', save, stored } : { kind: 'refused', save, why: unread });
      void queries.invalidateQueries({ queryKey: ['jobs'] });
    } catch (error) {
      if (!(error instanceof Refusal) || error.status === 0 || error.status >= 500)
        tell({ kind: 'unanswered', what: 'save' });
      else {
        const stored = error.status === 409 ? readStored(error.details) : undefined;
        tell(stored ? { kind: 'clashed', save, stored } : { kind: 'refused', save, why: reasonOf(error) });
      }
    }
  };
  const log = async (events: readonly ShopEvent[]) => {
    await laying;
    const ids = events.map((event) => event.id);
    try {
      await within(answered(api.api.jobs[':id'].events.$post({ param: { id }, json: { events: [...events] } })));
      tell({ kind: 'logged', ids });
    } catch (error) {
      if (!(error instanceof Refusal) || error.status === 0 || error.status >= 500)
        tell({ kind: 'unanswered', what: 'log' });
      else tell({ kind: 'log refused', ids, why: reasonOf(error) });
    }
  };
  const fetchJob = async () => {
    try {
      tell({ kind: 'fetched', stored: await fetchStored(id) });
    } catch {
      tell({ kind: 'unanswered', what: 'fetch' });
    }
  };
  const hear = async (after: number) => {
    try {
      tell({ kind: 'heard', ...(await fetchLog(id, after)) });
    } catch {
      tell({ kind: 'unanswered', what: 'hear' });
    }
  };

  return {
    run: (effects, state) => {
      for (const effect of effects) {
        switch (effect.kind) {
          case 'lay by':
            lay(state);
            break;
          case 'send':
            void send(effect);
            break;
          case 'log':
            void log(effect.events);
            break;
          case 'fetch':
            void fetchJob();
            break;
          case 'hear':
            void hear(effect.after);
            break;
          case 'wait':
            window.clearTimeout(timer);
            timer = window.setTimeout(() => tell({ kind: 'due' }), effect.ms);
            break;
          default:
            effect satisfies never;
        }
      }
    },
    laid: () => laying,
    close: () => {
      closed = true;
      window.clearTimeout(timer);
      window.removeEventListener('online', online);
      stream.close();
    },
  };
}

/** ms within which a window that nobody sees is taken for painted. */
const unseen = 60;

/** After the next paint; a window in the background paints nothing, and is not waited for. */
function painted(): Promise<void> {
  return new Promise((resolve) => {
    const timer = window.setTimeout(resolve, unseen);
    requestAnimationFrame(() => {
      window.clearTimeout(timer);
      // A frame's callback comes before its paint.
      setTimeout(resolve);
    });
  });
}

/** An answer that takes too long is none. */
function within<T>(answer: Promise<T>): Promise<T> {
  return new Promise((resolve, reject) => {
    const timer = window.setTimeout(() => reject(new Refusal(0, 'The server takes too long.', undefined)), patience);
    answer.then(resolve, reject).finally(() => window.clearTimeout(timer));
  });
}

/** The server's reason, by the field where it names one. */
function reasonOf(error: Refusal): string {
  const [first] = (error.details as { errors?: { path: string; message: string }[] } | undefined)?.errors ?? [];
  return first?.message ?? error.message;
}

async function fetchStored(id: string): Promise<Stored> {
  const stored = readStored(await within(answered(api.api.jobs[':id'].$get({ param: { id } }))));
  if (!stored) throw new Refusal(422, unread, undefined);
  return stored;
}

async function fetchLog(id: string, after: number): Promise<{ events: ShopEvent[]; seq: number; more: boolean }> {
  const answer = await within(
    answered(api.api.jobs[':id'].events.$get({ param: { id }, query: { after: String(after) } })),
  );
  const { events, seq, more } = answer as { events: unknown; seq: number; more: boolean };
  const parsed = parseEvents(events);
  if (!parsed.ok) throw new Refusal(422, unread, undefined);
  return { events: parsed.events, seq, more };
}

async function wholeLog(id: string): Promise<{ events: ShopEvent[]; seq: number }> {
  const events: ShopEvent[] = [];
  for (let after = 0; ; ) {
    const page = await fetchLog(id, after);
    events.push(...page.events);
    if (!page.more) return { events, seq: page.seq };
    after = page.seq;
  }
}

/** What is needed to open a job in this window. */
export interface Opening {
  tab: string;
  state: Sync;
  /** To be told to the machine at once. */
  inputs: Input[];
  /** Carried out once what was adopted is laid by in this window. */
  tidyUp(): Promise<void>;
}

/**
 * Opens a job as this window left it, with what windows that are closed could not send any more; without the server where it does not
 * answer and something was laid by. Throws Refusal.
 */
export async function openJobHere(id: string): Promise<Opening> {
  const tab = await tabName();
  const laid = await laidByFor(id).catch(() => new Map<string, Sync>());
  const closed = await closedTabs([...laid.keys()].filter((one) => one !== tab));
  const orphans = closed.flatMap((one) => {
    const state = laid.get(one);
    return state ? [{ tab: one, state }] : [];
  });
  const own = laid.get(tab);
  const stored = await fetchStored(id).catch((error: unknown) => {
    const known = own ?? orphans[0]?.state;
    if (known && error instanceof Refusal && (error.status === 0 || error.status >= 500)) return undefined;
    throw error;
  });
  // The first of the orphans is taken whole, with its history, where this window has nothing of its own.
  const heir = own ?? orphans.shift()?.state;
  const taken = orphans.length > 0 || heir !== own ? closed : [];
  const state = heir ? revive(heir) : openSync(stored as Stored, await wholeLog(id));
  return {
    tab,
    state,
    inputs: [
      ...(stored ? [{ kind: 'fetched', stored } as const] : []),
      ...orphans.map(({ state: orphan }) => ({ kind: 'adopt', orphan }) as const),
      { kind: 'due' },
    ],
    tidyUp: async () => {
      for (const one of taken) await throwAway(id, one).catch(() => {});
    },
  };
}
