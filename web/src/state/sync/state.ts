import { applyEdits, type Change, changesBetween, type Job } from '@north-pane/core/document';
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
  /** Id of the save that made it: two documents of one version are told apart by it. */
  stamp?: string;
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
  /** Of the document that it was made from. */
  stamp?: string;
  changes: readonly Change[];
}

/** The server's copy of a job that does not go on from what this window last had: the database was put back to an older one. */
export interface OtherCopy {
  stored: Stored;
  /** How far its log goes. */
  seq: number;
}

/** What one window knows of a job, and what of it the server has not got yet. Plain data: it is persisted as it is. */
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
  /** How far the server's log was heard, and the server's own mark of what it had up to there. */
  seq: number;
  mark?: string;
  /** Ids of events that the server has not answered for. */
  outbox: readonly string[];
  /** Ids of events that it said it had, and that were not heard from it yet: those that a hearing does not bring are sent again. */
  acknowledged: readonly string[];
  /** Those of them that were acknowledged before the hearing under way was asked for. */
  expected: readonly string[];
  /** Numbers what is asked for, so that an answer that comes late is known. */
  asks: number;
  logging: boolean;
  /** A newer version that was heard of and not fetched, and a longer log. */
  behind: { version: number; seq: number };
  /** The number under which a document, and a stretch of the log, was asked for; 0 where none is on its way. */
  fetching: number;
  hearing: number;
  /** What was heard of the server is older than what this window has: it is asked whether it goes on from that. */
  doubt: boolean;
  /** Nothing is sent until somebody has chosen between the two. */
  otherCopy: OtherCopy | undefined;
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

export function openSync(base: Stored, log: { events: readonly ShopEvent[]; seq: number; mark?: string }): Sync {
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
    ...(log.mark === undefined ? {} : { mark: log.mark }),
    outbox: [],
    acknowledged: [],
    expected: [],
    asks: 0,
    logging: false,
    behind: { version: base.version, seq: log.seq },
    fetching: 0,
    hearing: 0,
    doubt: false,
    otherCopy: undefined,
    link: 'open',
    tries: 0,
    waiting: false,
    saves: 0,
    notice: undefined,
  };
}

/** A state that was persisted, in a window that has nothing under way any more. */
export function revive(persisted: Sync): Sync {
  const idle = { logging: false, fetching: 0, hearing: 0, waiting: false, tries: 0 };
  // Whether the server has another copy is asked anew.
  const { acknowledged = [], asks = 0 } = persisted as Partial<Sync>;
  return {
    ...persisted,
    ...idle,
    acknowledged,
    expected: [],
    asks,
    dragFrom: undefined,
    doubt: false,
    otherCopy: undefined,
  };
}

/** What the server will have once what is on its way has arrived. */
export function onTheWay({ base, sent }: Sync): Job {
  return sent ? applyEdits(base.document, sent.changes).document : base.document;
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

/** Whether a state has something that the server has not answered for, and that nobody has to choose about first. */
export function waits(state: Sync): boolean {
  return unsaved(state) > 0 && !needsChoice(state);
}

/** Whether all of a state is on the server and came back from it: nothing waits, nothing is to be chosen, every event was heard again. */
export function isSettled(state: Sync): boolean {
  return unsaved(state) === 0 && !needsChoice(state) && state.acknowledged.length === 0 && state.hearing === 0;
}

/** Whether the machine of a state can go on by itself: something of it is not settled, and nobody has to choose first. */
export function goesOn(state: Sync): boolean {
  return !isSettled(state) && !needsChoice(state);
}

function needsChoice({ contested, otherCopy }: Sync): boolean {
  return contested.length > 0 || otherCopy !== undefined;
}
