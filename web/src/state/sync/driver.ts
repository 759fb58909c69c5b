import { changesBetween, type Job } from '@north-pane/core/document';
import { parseEvents, type RefusedEvent, type ShopEvent } from '@north-pane/core/shoplog';
import { answered, api, queries, Refusal } from '../api';
import { listen, say } from './line';
import type { Effect, Had, Input } from './messages';
import { type JobRef, leaveLastWords, persistState, readStored } from './persisted';
import type { OtherCopy, Stored, Sync } from './state';

/** Carries out what the machine of a job asks for, and tells it what came of it. */
export interface Driver {
  run(effects: readonly Effect[], state: Sync): void;
  /** Once everything that was to be persisted is. */
  laid(): Promise<void>;
  close(): void;
}

/** ms after which a request is given up. */
const patience = 20_000;

const unread = 'What the server sent cannot be read. Load the page again.';
const deleted = 'This job was deleted on another screen: what is set here is saved nowhere.';

/**
 * @param give tells the machine what has happened
 * @param onTrouble told when nothing can be persisted in this browser, and when the job was deleted elsewhere
 */
export function driveJob(
  job: JobRef,
  tab: string,
  give: (input: Input) => void,
  onTrouble: (words: string) => void,
): Driver {
  const { id, key } = job;
  let closed = false;
  let timer: number | undefined;
  let laying: Promise<void> = Promise.resolve();
  let newest: Sync | undefined;
  const tell = (input: Input) => {
    if (!closed) give(input);
  };
  const gone = () => {
    if (!closed) onTrouble(deleted);
  };

  /** Writes the newest state; what changes while it is being written is written next. */
  const lay = (state: Sync) => {
    const idle = newest === undefined;
    newest = state;
    if (hiding) leave();
    if (!idle) return;
    laying = laying.then(async () => {
      // What was set is painted first: copying the whole state takes its time.
      await painted();
      while (newest) {
        const writing = newest;
        try {
          await persistState(job, tab, writing);
        } catch {
          onTrouble('This browser keeps nothing for North Pane: what is not saved is lost when the window is closed.');
        }
        if (newest === writing) newest = undefined;
      }
    });
  };

  const askWhere = async () => {
    try {
      const now = await within(answered(api.api.jobs[':id'].stands.$get({ param: { id } })));
      if (now.key !== key) gone();
      else tell({ kind: 'stands', ...now });
    } catch (error) {
      if (refusalIn(error)?.status === 404) gone();
      // No answer: the next edit, or the line when it opens again, will tell.
    }
  };
  const stopListening = listen((message) => {
    switch (message.kind) {
      case 'stands':
        if (message.id !== id) return;
        if (message.key !== key) gone();
        else tell({ ...message, kind: 'stands' });
        return;
      case 'gone':
        // It may be another one of that name by now.
        if (message.id === id) void askWhere();
        return;
      case 'missed':
        void askWhere();
        return;
      case 'saved elsewhere':
        if (message.id === id) void askWhere();
        return;
      case 'done elsewhere':
        if (message.key === key) tell({ kind: 'overheard', events: message.events, changes: message.changes });
        return;
      case 'line':
        if (message.open) tell({ kind: 'due' });
        return;
      default:
        message satisfies never;
    }
  });
  const online = () => tell({ kind: 'due' });
  window.addEventListener('online', online);

  /** Writes at once what is not in the browser's store yet: a page that goes waits for nothing. */
  const leave = () => {
    if (!newest) return;
    const { base, document, log, outbox } = newest;
    const waiting = new Set(outbox);
    const events = log.filter((event) => waiting.has(event.id));
    leaveLastWords(job, tab, { changes: changesBetween(base.document, document), events });
  };
  // A field may be read after this: listeners of one page are called in the order in which they came.
  let hiding = false;
  const onHide = () => {
    hiding = true;
    leave();
  };
  const onShow = () => {
    hiding = false;
  };
  window.addEventListener('pagehide', onHide);
  window.addEventListener('pageshow', onShow);

  /** What the other windows were told of while the server did not answer. */
  let told: { document: Job; log: readonly ShopEvent[] } | undefined;
  const tellWindows = (state: Sync) => {
    if (state.link === 'open' || state.dragFrom) {
      if (state.link === 'open') told = undefined;
      return;
    }
    const known = told ?? { document: state.base.document, log: [] };
    if (known.document === state.document && known.log === state.log) return;
    const heard = new Set(known.log);
    const mine = new Set(state.outbox);
    const changes = changesBetween(known.document, state.document);
    const events = state.log.filter((event) => mine.has(event.id) && !heard.has(event));
    told = { document: state.document, log: state.log };
    if (changes.length > 0 || events.length > 0) say({ kind: 'done elsewhere', key, changes, events });
  };

  const send = async ({ sent }: Extract<Effect, { kind: 'send' }>) => {
    // It is persisted before it goes: what is on its way is known after a crash.
    await laying;
    const { save, base, stamp, changes } = sent;
    const json = { base, ...(stamp === undefined ? {} : { stamp }), key, save, changes: [...changes] };
    try {
      const answer = await within(answered(api.api.jobs[':id'].changes.$post({ param: { id }, json })));
      const stored = readStored(answer);
      tell(stored ? { kind: 'saved', save, stored } : { kind: 'refused', save, why: unread });
      say({ kind: 'saved elsewhere', id });
      void queries.invalidateQueries({ queryKey: ['jobs'] });
    } catch (error) {
      const refusal = refusalIn(error);
      if (refusal?.status === 404) gone();
      if (!refusal || refusal.status === 404) {
        tell({ kind: 'unanswered', what: 'save' });
        return;
      }
      const stored = refusal.status === 409 ? readStored(refusal.details) : undefined;
      if (stored && isParted(refusal.details)) await part(stored);
      else tell(stored ? { kind: 'clashed', save, stored } : { kind: 'refused', save, why: reasonOf(refusal) });
    }
  };
  const log = async ({ events, after, mark }: Extract<Effect, { kind: 'log' }>) => {
    await laying;
    const ids = events.map((event) => event.id);
    try {
      const json = { events: [...events], key, after, ...(mark === undefined ? {} : { mark }) };
      const answer = await within(answered(api.api.jobs[':id'].events.$post({ param: { id }, json })));
      const { refused = [], seq = 0 } = answer as { refused?: RefusedEvent[]; seq?: number };
      tell({ kind: 'logged', ids, seq, refused });
      say({ kind: 'saved elsewhere', id });
    } catch (error) {
      const refusal = refusalIn(error);
      if (refusal?.status === 404) gone();
      if (!refusal || refusal.status === 404) {
        tell({ kind: 'unanswered', what: 'log' });
        return;
      }
      const stored = readStored(refusal.details);
      if (stored && isParted(refusal.details)) {
        await part(stored);
        return;
      }
      const message = reasonOf(refusal);
      tell({ kind: 'logged', ids, seq: 0, refused: ids.map((one, index) => ({ id: one, index, path: '', message })) });
    }
  };
  const fetchJob = async (ask: number, had: Had) => {
    try {
      const { stored, parted } = await fetchStored(id, had, key);
      if (parted) await part(stored);
      else tell({ kind: 'fetched', ask, stored });
    } catch (error) {
      if (refusalIn(error)?.status === 404) gone();
      tell({ kind: 'unanswered', what: 'fetch' });
    }
  };
  const part = async (stored: Stored) => {
    tell({ kind: 'parted', copy: await otherCopy(id, stored) });
  };
  const hear = async (ask: number, after: number, mark?: string) => {
    try {
      const page = await fetchLog(id, after, mark);
      if (page.parted) {
        const { stored } = await fetchStored(id, undefined, key);
        await part(stored);
      } else tell({ kind: 'heard', ask, ...page });
    } catch {
      tell({ kind: 'unanswered', what: 'hear' });
    }
  };

  return {
    run: (effects, state) => {
      tellWindows(state);
      for (const effect of effects) {
        switch (effect.kind) {
          case 'persist':
            lay(state);
            break;
          case 'send':
            void send(effect);
            break;
          case 'log':
            void log(effect);
            break;
          case 'fetch':
            void fetchJob(effect.ask, effect.had);
            break;
          case 'hear':
            void hear(effect.ask, effect.after, effect.mark);
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
      window.removeEventListener('pagehide', onHide);
      window.removeEventListener('pageshow', onShow);
      stopListening();
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

/** What the server refused; nothing where there was no answer, or none that could be relied on: then it is asked again. */
export function refusalIn(error: unknown): Refusal | undefined {
  return error instanceof Refusal && error.status > 0 && error.status < 500 ? error : undefined;
}

function isParted(details: unknown): boolean {
  return (details as { parted?: unknown } | undefined)?.parted === true;
}

/** The server's reason, by the field where it names one. */
function reasonOf(error: Refusal): string {
  const [first] = (error.details as { errors?: { path: string; message: string }[] } | undefined)?.errors ?? [];
  return first?.message ?? error.message;
}

/**
 * A job as the server has it.
 *
 * @param had what was last had of it: whether the server's goes on from that is told
 * @param key of the job that is meant, where it is known
 */
export async function fetchStored(
  id: string,
  had?: Had,
  key?: string,
): Promise<{ stored: Stored; key: string; parted: boolean }> {
  const query = {
    ...(had ? { version: String(had.version), seq: String(had.seq) } : {}),
    ...(had?.stamp === undefined ? {} : { stamp: had.stamp }),
    ...(had?.mark === undefined ? {} : { mark: had.mark }),
    ...(key === undefined ? {} : { key }),
  };
  const answer = await within(answered(api.api.jobs[':id'].$get({ param: { id }, query })));
  const stored = readStored(answer);
  if (!stored) throw new Refusal(422, unread, undefined);
  return { stored, key: (answer as { key?: string }).key ?? '', parted: isParted(answer) };
}

/** The server's copy with how far its log goes. */
export async function otherCopy(id: string, stored: Stored): Promise<OtherCopy> {
  const stands = await within(answered(api.api.jobs[':id'].stands.$get({ param: { id } }))).catch(() => undefined);
  return { stored, seq: stands?.seq ?? 1 };
}

interface LogPage {
  events: ShopEvent[];
  seq: number;
  mark?: string;
  more: boolean;
  parted: boolean;
}

async function fetchLog(id: string, after: number, mark?: string): Promise<LogPage> {
  const query = { after: String(after), ...(mark === undefined ? {} : { mark }) };
  const answer = await within(answered(api.api.jobs[':id'].events.$get({ param: { id }, query })));
  const { events, ...rest } = answer as Omit<LogPage, 'events'> & { events: unknown };
  const parsed = parseEvents(events);
  if (!parsed.ok) throw new Refusal(422, unread, undefined);
  return { ...rest, events: parsed.events };
}

/** The whole log of a job. */
export async function wholeLog(id: string): Promise<{ events: ShopEvent[]; seq: number; mark?: string }> {
  const events: ShopEvent[] = [];
  let mark: string | undefined;
  for (let after = 0; ; ) {
    const page = await fetchLog(id, after);
    events.push(...page.events);
    mark = page.mark ?? mark;
    if (!page.more) return { events, seq: page.seq, ...(mark === undefined ? {} : { mark }) };
    after = page.seq;
  }
}
