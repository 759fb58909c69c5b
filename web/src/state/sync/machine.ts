import {
  applyEdits,
  type Change,
  changesBetween,
  type FieldPath,
  type Job,
  same,
  setFields,
  sharing,
  valueAtPath,
  withValueAt,
} from '@north-pane/core/document';
import type { Effect, Had, Input, Step } from './messages';
import { answered, firstMessage, heard, heardUpTo, logged, overheard, short, unheard, withEvents } from './shopLog';
import {
  type Contested,
  type OtherCopy,
  onTheWay,
  type Rules,
  type Sent,
  type Stored,
  type Sync,
  unsaved,
  waitingChanges,
} from './state';
import { dragEnded, remembered, takenBack } from './undo';

/** ms of quiet before an edit is sent. */
const quiet = 250;
/** ms before the first try after an answer that did not come; each further one twice as long. */
const firstRetry = 1000;
const longestRetry = 30_000;

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
    effects: [...(lays || driven.lays ? [{ kind: 'persist' } as const] : []), ...driven.effects],
  };
}

/** What of a state outlives its window. */
const laidParts = [
  'base',
  'sent',
  'document',
  'contested',
  'past',
  'future',
  'log',
  'outbox',
  'acknowledged',
  'seq',
  'mark',
] as const;

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
    case 'record':
      return withEvents(state, input.events);
    case 'settle':
      return settled(state, input.path, input.choice, rules);
    case 'due':
      return { ...state, waiting: false };
    case 'saved':
      if (state.sent?.save !== input.save) return state;
      return answered(rebased({ ...state, sent: undefined }, input.stored, onTheWay(state), rules));
    case 'clashed':
      if (state.sent?.save !== input.save) return state;
      // Nothing of it was written: all of it is laid on what the server has now, but for what is contested.
      return answered(rebased({ ...state, sent: undefined }, input.stored, state.base.document, rules));
    case 'refused':
      if (state.sent?.save !== input.save) return state;
      return answered(refused(state, state.sent, input.why, rules));
    case 'unanswered':
      return {
        ...state,
        link: 'lost',
        tries: state.tries + 1,
        ...(input.what === 'log' ? { logging: false } : {}),
        ...(input.what === 'fetch' ? { fetching: 0 } : {}),
        ...(input.what === 'hear' ? { hearing: 0 } : {}),
      };
    case 'logged':
      return logged(state, input);
    case 'overheard':
      return overheard(state, input.events, input.changes, rules);
    case 'stands':
      return answered({
        ...state,
        doubt: state.doubt || olderThan(input, state),
        behind: {
          version: Math.max(state.behind.version, input.version),
          seq: Math.max(state.behind.seq, input.seq),
        },
      });
    case 'fetched': {
      if (input.ask !== state.fetching) return state;
      const done = answered({ ...state, fetching: 0, doubt: false });
      // What is on its way would be applied twice: its answer brings what is newest.
      if (state.sent) return done;
      if (input.stored.version > state.base.version) return rebased(done, input.stored, state.base.document, rules);
      // Older than what was heard of: it is asked again, each time after a longer pause, and then taken for what there is.
      return state.behind.version > state.base.version
        ? short(done, { version: state.base.version, seq: state.behind.seq }, state.tries)
        : done;
    }
    case 'heard':
      return heard(state, input);
    case 'parted': {
      const idle = { fetching: 0, hearing: 0, logging: false, doubt: false };
      return answered({ ...state, ...idle, sent: undefined, otherCopy: input.copy });
    }
    case 'choose copy':
      return state.otherCopy ? chosen(state, state.otherCopy, input.choice) : state;
    case 'adopt':
      return adopted(state, input.orphan, rules);
    default:
      return input satisfies never;
  }
}

/** Whether the server was heard to be at an older state than this window has, or at another one of the same number. */
function olderThan(stands: Extract<Input, { kind: 'stands' }>, { base, seq, mark }: Sync): boolean {
  const other = (theirs: string | undefined, mine: string | undefined) =>
    theirs !== undefined && mine !== undefined && theirs !== mine;
  return (
    stands.version < base.version ||
    stands.seq < seq ||
    (stands.version === base.version && other(stands.stamp, base.stamp)) ||
    (stands.seq === seq && other(stands.mark, mark))
  );
}

/** One of two copies of a job chosen: this window's is sent over the server's, or the server's is shown and this window's is dropped. */
function chosen(state: Sync, { stored, seq }: OtherCopy, choice: 'yours' | 'theirs'): Sync {
  const begun: Sync = {
    ...state,
    base: { ...stored, document: sharing(state.document, stored.document) },
    otherCopy: undefined,
    seq: 0,
    behind: { version: stored.version, seq },
    contested: [],
    acknowledged: [],
    expected: [],
  };
  delete begun.mark;
  // All that was done in the shop is sent again: the server takes each once.
  if (choice === 'yours') return { ...begun, outbox: state.log.map(({ id }) => id) };
  const { document } = begun.base;
  return { ...begun, document, dragFrom: undefined, past: [], future: [], log: [], outbox: [], notice: undefined };
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
  if (next.otherCopy) return { state: next, effects, lays };
  const lost = next.link === 'lost';
  if (lost && input.kind !== 'due') {
    if (input.kind === 'unanswered' || unsaved(next) > 0) wait(retryAfter(next.tries));
    return { state: next, effects, lays };
  }
  if (next.outbox.length > 0 && !next.logging) {
    next = { ...next, logging: true };
    effects.push({ kind: 'log', events: firstMessage(next), ...heardUpTo(next) });
  }
  if (next.sent) {
    // On its way already, but for a try that was not answered or a window that was opened anew.
    if (input.kind === 'due') effects.push({ kind: 'send', sent: next.sent });
  } else if (!next.dragFrom) {
    const changes = waitingChanges(next);
    if (changes.length > 0 && input.kind === 'due') {
      const { version, stamp } = next.base;
      const sent = {
        save: rules.saveId(next.saves),
        base: version,
        ...(stamp === undefined ? {} : { stamp }),
        changes,
      };
      next = { ...next, sent, saves: next.saves + 1 };
      lays = true;
      effects.push({ kind: 'send', sent });
    } else if (changes.length > 0) wait(quiet);
  }
  const behind = next.behind.version > next.base.version;
  if (!next.sent && !next.fetching && (behind || next.doubt) && asksAgain('fetched')) {
    next = { ...next, asks: next.asks + 1, fetching: next.asks + 1 };
    effects.push({ kind: 'fetch', ask: next.fetching, had: hadOf(next) });
  }
  if (!next.hearing && next.behind.seq > next.seq && asksAgain('heard')) {
    // Those of an earlier page of the same hearing are waited for still.
    const expected = input.kind === 'heard' && input.more ? next.expected : next.acknowledged;
    next = { ...next, asks: next.asks + 1, hearing: next.asks + 1, expected };
    effects.push({ kind: 'hear', ask: next.hearing, ...heardUpTo(next) });
  }
  return { state: next, effects, lays };
}

export function hadOf({ base, seq, mark }: Sync): Had {
  const stamp = base.stamp === undefined ? {} : { stamp: base.stamp };
  return { version: base.version, ...stamp, seq, ...(mark === undefined ? {} : { mark }) };
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

/**
 * What the server has now, with changes of one's own applied to it; what stands otherwise there is contested, and theirs is shown.
 *
 * @param since the document from which one's own changes are counted
 */
function rebased(state: Sync, theirs: Stored, since: Job, rules: Rules): Sync {
  const mine = changesBetween(since, state.document);
  const stored: Stored = { ...theirs, document: sharing(state.document, theirs.document) };
  const { document, left } = applyEdits(stored.document, mine);
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
    ...draggedOn(state, stored, since, fields),
  };
}

/** What a window that is gone had not got onto the server, laid on what this one has. */
function adopted(state: Sync, orphan: Sync, rules: Rules): Sync {
  const mine = changesBetween(orphan.base.document, orphan.document);
  const { document, left } = applyEdits(state.document, mine);
  const why = mine.length > left.length ? rules.trouble(document) : undefined;
  const fields = askedAbout(why === undefined ? left : mine, state.document, why);
  const pending = new Set([...orphan.outbox, ...orphan.acknowledged]);
  const events = unheard(state, orphan.log).filter(({ id }) => pending.has(id));
  return {
    ...state,
    document: why === undefined ? document : state.document,
    contested: [...state.contested, ...orphan.contested, ...fields],
    log: [...state.log, ...events],
    outbox: [...state.outbox, ...events.map(({ id }) => id)],
  };
}

/** A drag goes on from what it found, on what is there now: what has just become contested was not its doing. */
function draggedOn(state: Sync, stored: Stored, since: Job, contested: readonly Contested[]): Partial<Sync> {
  if (!state.dragFrom) return {};
  const mine = without(changesBetween(since, state.dragFrom), contested);
  return { dragFrom: applyEdits(stored.document, mine).document };
}

/** The server does not take a save: what was in it is taken off again, kept, and asked about; what was done since stays. */
function refused(state: Sync, sent: Sent, why: string, rules: Rules): Sync {
  const since = onTheWay(state);
  const next = rebased({ ...state, sent: undefined }, state.base, since, rules);
  // A field that was set again since is asked about by its later value.
  const contested = [...next.contested, ...without(askedAbout(sent.changes, state.base.document, why), next.contested)];
  return { ...next, contested, ...draggedOn(state, state.base, since, without(contested, state.contested)) };
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
