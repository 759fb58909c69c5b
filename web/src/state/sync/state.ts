import { type Change, changesBetween, type Job, layEdits } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';

/** What the machine asks of the world: both are functions without a memory. */
export interface Rules {
  /** Makes the ids of saves of this window, by their number. */
  saveId(number: number): string;
  /** What is wrong with a document as a whole, in words; nothing where it is sound. */
  trouble(document: Job): string | undefined;
}

/** A document as the server has it. */
export interface Stored {
  version: number;
  document: Job;
}

/** One thing that was done to the design, to be taken back as one. */
export interface Entry {
  edits: readonly Change[];
}

/** A field that was set here and that stands otherwise on the server: both values are kept until somebody chooses. */
export interface Contested {
  path: (string | number)[];
  yours: unknown;
  theirs: unknown;
  /** Why the server would not take it; where left out, another hand has changed it. */
  why?: string;
}

/** A save on its way. Its id stays the same however often it is sent. */
export interface Sent {
  save: string;
  base: number;
  changes: readonly Change[];
}

/** What one window knows of a job, and what of it the server has not got yet. Plain data: it is laid by as it is. */
export interface Sync {
  base: Stored;
  sent: Sent | undefined;
  /** What is shown: what the server has, with what is on its way and what waits. */
  document: Job;
  contested: readonly Contested[];
  past: readonly Entry[];
  future: readonly Entry[];
  /** The document before the drag that is under way. */
  dragFrom: Job | undefined;
  /** What was done in the shop, as far as it was heard of here. */
  log: readonly ShopEvent[];
  /** How far the server's log was heard. */
  seq: number;
  /** Ids of events that the server has not answered for. */
  outbox: readonly string[];
  logging: boolean;
  /** A newer version that was heard of and not fetched, and a longer log. */
  behind: { version: number; seq: number };
  fetching: boolean;
  hearing: boolean;
  /** Whether the server answered last. */
  link: 'open' | 'lost';
  /** Tries since the server answered last. */
  tries: number;
  /** A wait is under way, after which it is tried again. */
  waiting: boolean;
  /** Numbers the saves of this window. */
  saves: number;
  /** What is said of the last undo where it could not take everything back, or of what the server refused. */
  notice: string | undefined;
}

export function openSync(base: Stored, log: { events: readonly ShopEvent[]; seq: number }): Sync {
  return {
    base,
    sent: undefined,
    document: base.document,
    contested: [],
    past: [],
    future: [],
    dragFrom: undefined,
    log: log.events,
    seq: log.seq,
    outbox: [],
    logging: false,
    behind: { version: base.version, seq: log.seq },
    fetching: false,
    hearing: false,
    link: 'open',
    tries: 0,
    waiting: false,
    saves: 0,
    notice: undefined,
  };
}

/** A state that was laid by, in a window that has nothing under way any more. */
export function revive(laidBy: Sync): Sync {
  return { ...laidBy, dragFrom: undefined, logging: false, fetching: false, hearing: false, waiting: false, tries: 0 };
}

/** What the server will have once what is on its way has arrived. */
function onTheWay({ base, sent }: Sync): Job {
  return sent ? layEdits(base.document, sent.changes).document : base.document;
}

/** What waits of a document, with what it was compared to: asked for many times between two edits. */
const compared = new WeakMap<Job, Pick<Sync, 'base' | 'sent'> & { changes: readonly Change[] }>();

/** What is set here and neither on the server nor on its way. */
export function waitingChanges(state: Sync): readonly Change[] {
  const { base, sent, document } = state;
  if (document === base.document) return [];
  const found = compared.get(document);
  if (found && found.base === base && found.sent === sent) return found.changes;
  const changes = changesBetween(onTheWay(state), document);
  compared.set(document, { base, sent, changes });
  return changes;
}

/** How many edits and events the server has not answered for: what is lost with this browser. */
export function unsaved(state: Sync): number {
  return waitingChanges(state).length + (state.sent?.changes.length ?? 0) + state.outbox.length;
}
