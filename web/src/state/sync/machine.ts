import {
  type Change,
  changesBetween,
  type FieldPath,
  type Job,
  layEdits,
  same,
  setFields,
  sharing,
  valueAtPath,
  withValueAt,
} from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { type Contested, type Rules, type Sent, type Stored, type Sync, unsaved, waitingChanges } from './state';
import { dragEnded, remembered, takenBack } from './undo';

export type Input =
  | { kind: 'edit'; fields: readonly { path: FieldPath; value: unknown }[] }
  | { kind: 'begin drag' }
  | { kind: 'end drag' }
  | { kind: 'undo' }
  | { kind: 'redo' }
  | { kind: 'record'; events: readonly ShopEvent[] }
  | { kind: 'settle'; path: readonly (string | number)[]; choice: 'yours' | 'theirs' }
  /** The wait is over, or it is not to be waited for. */
  | { kind: 'due' }
  | { kind: 'saved'; save: string; stored: Stored }
  | { kind: 'clashed'; save: string; stored: Stored }
  | { kind: 'refused'; save: string; why: string }
  | { kind: 'unanswered'; what: 'save' | 'log' | 'fetch' | 'hear' }
  | { kind: 'logged'; ids: readonly string[] }
  | { kind: 'log refused'; ids: readonly string[]; why: string }
  | { kind: 'stands'; version: number; seq: number }
  | { kind: 'fetched'; stored: Stored }
  | { kind: 'heard'; events: readonly ShopEvent[]; seq: number; more: boolean }
  /** What another window of this browser laid by and can send no more. */
  | { kind: 'adopt'; orphan: Sync };

export type Effect =
  | { kind: 'send'; sent: Sent }
  | { kind: 'log'; events: readonly ShopEvent[] }
  | { kind: 'fetch' }
  | { kind: 'hear'; after: number }
  /** Lays the state by in the browser, before anything is sent. */
  | { kind: 'lay by' }
  /** `due` after so many ms. */
  | { kind: 'wait'; ms: number };

export interface Step {
  state: Sync;
  effects: Effect[];
}

/** ms of quiet before an edit is sent. */
const quiet = 250;
/** ms before the first try after an answer that did not come; each further one twice as long. */
const firstRetry = 1000;
const longestRetry = 30_000;
/** Events in one message. */
const mostLogged = 500;

/**
 * One step of the machine: what comes in, what is known then, and what is to be done. Without a clock and without a network; the same
 * inputs give the same state.
 */
export function step(state: Sync, input: Input, rules: Rules): Step {
  const next = moved(state, input, rules);
  const lays = next !== state && laidParts.some((part) => next[part] !== state[part]);
  const driven = drive(next, input, rules);
  return {
    state: driven.state,
    effects: [...(lays || driven.lays ? [{ kind: 'lay by' } as const] : []), ...driven.effects],
  };
}

/** What of a state outlives its window. */
const laidParts = ['base', 'sent', 'document', 'contested', 'past', 'future', 'log', 'outbox', 'seq'] as const;

function moved(state: Sync, input: Input, rules: Rules): Sync {
  switch (input.kind) {
    case 'edit':
      return edited(state, input.fields);
    case 'begin drag':
      return state.dragFrom ? state : { ...state, dragFrom: state.document };
    case 'end drag':
      return dragEnded(state);
    case 'undo':
      return takenBack(state, 'past', rules);
    case 'redo':
      return takenBack(state, 'future', rules);
    case 'record': {
      const fresh = unheard(state, input.events);
      return fresh.length === 0
        ? state
        : { ...state, log: [...state.log, ...fresh], outbox: [...state.outbox, ...fresh.map(({ id }) => id)] };
    }
    case 'settle':
      return settled(state, input.path, input.choice, rules);
    case 'due':
      return { ...state, waiting: false };
    case 'saved':
      if (state.sent?.save !== input.save) return state;
      return answered(rebased({ ...state, sent: undefined }, input.stored, waitingChanges(state), rules));
    case 'clashed':
      if (state.sent?.save !== input.save) return state;
      // Nothing of it was written: all of it is laid on what the server has now, but for what is contested.
      return answered(
        rebased(
          { ...state, sent: undefined },
          input.stored,
          changesBetween(state.base.document, state.document),
          rules,
        ),
      );
    case 'refused':
      if (state.sent?.save !== input.save) return state;
      return answered(refused(state, state.sent, input.why, rules));
    case 'unanswered':
      return {
        ...state,
        link: 'lost',
        tries: state.tries + 1,
        ...(input.what === 'log' ? { logging: false } : {}),
        ...(input.what === 'fetch' ? { fetching: false } : {}),
        ...(input.what === 'hear' ? { hearing: false } : {}),
      };
    case 'logged': {
      const gone = new Set(input.ids);
      return answered({ ...state, logging: false, outbox: state.outbox.filter((id) => !gone.has(id)) });
    }
    case 'log refused': {
      const gone = new Set(input.ids);
      return answered({
        ...state,
        logging: false,
        outbox: state.outbox.filter((id) => !gone.has(id)),
        log: state.log.filter(({ id }) => !gone.has(id)),
        notice: `The server did not take what was done in the shop: ${input.why}`,
      });
    }
    case 'stands':
      return answered({
        ...state,
        behind: {
          version: Math.max(state.behind.version, input.version),
          seq: Math.max(state.behind.seq, input.seq),
        },
      });
    case 'fetched': {
      const done = answered({ ...state, fetching: false });
      // What is on its way would be laid on twice: its answer brings what is newest.
      if (state.sent) return done;
      // An answer that was overtaken, or a server put back to an older state: it is asked again, each time after a longer pause.
      if (input.stored.version <= state.base.version)
        return state.behind.version > state.base.version ? { ...done, tries: state.tries + 1 } : done;
      return rebased(done, input.stored, waitingChanges(state), rules);
    }
    case 'heard': {
      const fresh = unheard(state, input.events);
      const there = new Set(input.events.map(({ id }) => id));
      const seq = Math.max(state.seq, input.seq);
      const behind = Math.max(state.behind.seq, input.more ? input.seq + 1 : input.seq);
      const done = answered({
        ...state,
        hearing: false,
        seq,
        behind: { ...state.behind, seq: behind },
        log: fresh.length > 0 ? [...state.log, ...fresh] : state.log,
        outbox: state.outbox.some((id) => there.has(id)) ? state.outbox.filter((id) => !there.has(id)) : state.outbox,
      });
      // As with a document that is older than what was heard of.
      return seq === state.seq && behind > seq ? { ...done, tries: state.tries + 1 } : done;
    }
    case 'adopt':
      return adopted(state, input.orphan, rules);
    default:
      return input satisfies never;
  }
}

/** The server answered. */
function answered(state: Sync): Sync {
  return state.link === 'open' && state.tries === 0 ? state : { ...state, link: 'open', tries: 0 };
}

/** What is to be done in a state: at most one thing of each kind is under way at a time. */
function drive(state: Sync, input: Input, rules: Rules): Step & { lays: boolean } {
  let next = state;
  const effects: Effect[] = [];
  let lays = false;
  const wait = (ms: number) => {
    if (next.waiting) return;
    next = { ...next, waiting: true };
    effects.push({ kind: 'wait', ms });
  };
  /** Whether the server is asked for what it had not got: at once the first time, after a pause when its answer did not have it. */
  const asksAgain = (answer: Input['kind']): boolean => {
    if (input.kind === answer && next.tries > 0) wait(retryAfter(next.tries));
    return input.kind === 'due' || next.tries === 0;
  };
  const lost = next.link === 'lost';
  if (lost && input.kind !== 'due') {
    if (input.kind === 'unanswered' || unsaved(next) > 0) wait(retryAfter(next.tries));
    return { state: next, effects, lays };
  }
  if (next.outbox.length > 0 && !next.logging) {
    const pending = new Set(next.outbox.slice(0, mostLogged));
    next = { ...next, logging: true };
    effects.push({ kind: 'log', events: next.log.filter(({ id }) => pending.has(id)) });
  }
  if (next.sent) {
    // On its way already, but for a try that was not answered or a window that was opened anew.
    if (input.kind === 'due') effects.push({ kind: 'send', sent: next.sent });
  } else if (!next.dragFrom) {
    const changes = waitingChanges(next);
    if (changes.length > 0 && input.kind === 'due') {
      const sent = { save: rules.saveId(next.saves), base: next.base.version, changes };
      next = { ...next, sent, saves: next.saves + 1 };
      lays = true;
      effects.push({ kind: 'send', sent });
    } else if (changes.length > 0) wait(quiet);
  }
  if (!next.sent && !next.fetching && next.behind.version > next.base.version && asksAgain('fetched')) {
    next = { ...next, fetching: true };
    effects.push({ kind: 'fetch' });
  }
  if (!next.hearing && next.behind.seq > next.seq && asksAgain('heard')) {
    next = { ...next, hearing: true };
    effects.push({ kind: 'hear', after: next.seq });
  }
  return { state: next, effects, lays };
}

function retryAfter(tries: number): number {
  return Math.min(longestRetry, firstRetry * 2 ** Math.max(0, tries - 1));
}

function edited(state: Sync, fields: readonly { path: FieldPath; value: unknown }[]): Sync {
  const { document, edits } = setFields(state.document, fields);
  if (edits.length === 0) return state;
  return {
    ...state,
    document,
    notice: undefined,
    // Who sets the field anew has chosen.
    contested: without(state.contested, edits),
    ...(state.dragFrom ? {} : remembered(state, edits)),
  };
}

/** What has another path than any of the others; the same list where nothing goes. */
function without<T extends { path: Path }>(list: readonly T[], others: readonly { path: Path }[]): readonly T[] {
  const gone = new Set(others.map(({ path }) => JSON.stringify(path)));
  const stays = ({ path }: T) => !gone.has(JSON.stringify(path));
  return list.every(stays) ? list : list.filter(stays);
}

type Path = readonly (string | number)[];

/** Fields as they are asked about: what was set here, and what stands there. */
function askedAbout(changes: readonly Change[], theirs: Job, why?: string): Contested[] {
  return changes.map(({ path, after }) => ({
    path,
    yours: after,
    theirs: valueAtPath(theirs, path),
    ...(why === undefined ? {} : { why }),
  }));
}

/** Events that are not in the log yet. */
function unheard({ log }: Sync, events: readonly ShopEvent[]): ShopEvent[] {
  const known = new Set(log.map(({ id }) => id));
  return events.filter(({ id }) => !known.has(id));
}

/** What the server has now, with changes of one's own laid on it; what stands otherwise there is contested, and theirs is shown. */
function rebased(state: Sync, { version, document: theirs }: Stored, mine: readonly Change[], rules: Rules): Sync {
  const stored: Stored = { version, document: sharing(state.document, theirs) };
  const { document, left } = layEdits(stored.document, mine);
  const why = mine.length > left.length ? rules.trouble(document) : undefined;
  const sound = why === undefined;
  const fields = [
    ...askedAbout(left, stored.document),
    // Each field fits by itself and all together make no job: theirs stands, and each is asked about.
    ...(sound
      ? []
      : askedAbout(
          mine.filter((change) => !left.includes(change)),
          stored.document,
          why,
        )),
  ];
  const older = without(state.contested, fields)
    .map((one) => ({ ...one, theirs: valueAtPath(stored.document, one.path) }))
    .filter(({ yours, theirs }) => !same(yours, theirs));
  const contested = [...older, ...fields];
  const shown = sound ? document : stored.document;
  return {
    ...state,
    base: stored,
    behind: { ...state.behind, version: Math.max(state.behind.version, stored.version) },
    document: sharing(state.document, shown),
    contested: contested.length === 0 && state.contested.length === 0 ? state.contested : contested,
    ...draggedOn(state, stored, contested),
  };
}

/** What a window that is gone had not got onto the server, laid on what this one has. */
function adopted(state: Sync, orphan: Sync, rules: Rules): Sync {
  const mine = changesBetween(orphan.base.document, orphan.document);
  const { document, left } = layEdits(state.document, mine);
  const why = mine.length > left.length ? rules.trouble(document) : undefined;
  const fields = askedAbout(why === undefined ? left : mine, state.document, why);
  const pending = new Set(orphan.outbox);
  const events = unheard(state, orphan.log).filter(({ id }) => pending.has(id));
  return {
    ...state,
    document: why === undefined ? document : state.document,
    contested: [...state.contested, ...orphan.contested, ...fields],
    log: [...state.log, ...events],
    outbox: [...state.outbox, ...events.map(({ id }) => id)],
  };
}

/** A drag goes on from what it found, on what is there now: what is contested was not its doing. */
function draggedOn(state: Sync, stored: Stored, contested: readonly Contested[]): Partial<Sync> {
  if (!state.dragFrom) return {};
  const mine = without(changesBetween(state.base.document, state.dragFrom), contested);
  return { dragFrom: layEdits(stored.document, mine).document };
}

/** The server does not take a save: what was in it is taken off again, kept, and asked about; what was done since stays. */
function refused(state: Sync, sent: Sent, why: string, rules: Rules): Sync {
  const next = rebased({ ...state, sent: undefined }, state.base, waitingChanges(state), rules);
  // A field that was set again since is asked about by its later value.
  const contested = [...next.contested, ...without(askedAbout(sent.changes, state.base.document, why), next.contested)];
  return { ...next, contested, ...draggedOn(state, state.base, contested) };
}

function settled(state: Sync, path: readonly (string | number)[], choice: 'yours' | 'theirs', rules: Rules): Sync {
  const key = JSON.stringify(path);
  const one = state.contested.find((field) => JSON.stringify(field.path) === key);
  if (!one) return state;
  const rest = { ...state, contested: state.contested.filter((field) => field !== one) };
  if (choice === 'theirs') return rest;
  let document: Job;
  try {
    document = withValueAt(state.document, one.path, one.yours);
  } catch (error) {
    if (!(error instanceof RangeError)) throw error;
    return { ...rest, notice: 'What it was a part of is gone.' };
  }
  const why = rules.trouble(document);
  if (why !== undefined) return { ...state, notice: `It does not go with the rest: ${why}.` };
  return edited(rest, [{ path: one.path, value: one.yours }]);
}
