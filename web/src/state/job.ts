import type { Done } from '@north-pane/core/cutting';
import { type FieldPath, type Job, parseJob, sharing, withPick } from '@north-pane/core/document';
import type { JobInShop } from '@north-pane/core/job';
import {
  foldEvents,
  type Happened,
  nextClock,
  numberedCut,
  type ShopEvent,
  type ShopState,
  untouchedShop,
} from '@north-pane/core/shoplog';
import { create } from 'zustand';
import { deviceName } from './device';
import { rules } from './rules';
import { step } from './sync/machine';
import type { Effect, Input, Step } from './sync/messages';
import { type Sync, unsaved } from './sync/state';

/** What came of a change: nothing is set when it does not make a sound job. */
export type Outcome = { ok: true } | { ok: false; message: string };

interface JobState {
  id: string | undefined;
  /** The machine of the open job: what the server has, what it has not, the history. */
  sync: Sync | undefined;
  document: Job | undefined;
  /** What was done in the shop, as it comes to. */
  shop: ShopState;
  /** Why nothing is kept in this browser, where that is so. */
  trouble: string | undefined;

  open(id: string, sync: Sync, carry?: (effects: readonly Effect[], state: Sync) => void): void;
  close(): void;
  /** Sets one field by its path. One undo entry, or part of the drag under way. */
  change(path: FieldPath, value: unknown): Outcome;
  changeAll(changes: readonly { path: FieldPath; value: unknown }[]): Outcome;
  beginDrag(): void;
  endDrag(): void;
  undo(): void;
  redo(): void;
  /** Tells the machine what has happened. */
  give(input: Input): void;
}

/** Carries out what the machine of the open job asks for. */
let carryOutEffects: (effects: readonly Effect[], state: Sync) => void = () => {};

/** The job document: the only design state. Everything else is worked out from it. */
export const useJob = create<JobState>()((set, get) => ({
  id: undefined,
  sync: undefined,
  document: undefined,
  shop: untouchedShop,
  trouble: undefined,

  open: (id, sync, carry = () => {}) => {
    carryOutEffects = carry;
    set({ id, sync, document: sync.document, shop: foldEvents(sync.log), trouble: undefined });
  },
  close: () => {
    carryOutEffects = () => {};
    set({ id: undefined, sync: undefined, document: undefined, shop: untouchedShop, trouble: undefined });
  },

  change: (path, value) => get().changeAll([{ path, value }]),

  changeAll: (fields) => {
    const { sync } = get();
    if (!sync) return { ok: false, message: 'No job is open.' };
    const next = step(sync, { kind: 'edit', fields: withPick(sync.document, fields) }, rules);
    if (next.state.document === sync.document) return { ok: true };
    const parsed = parseJob(next.state.document);
    if (!parsed.ok) return { ok: false, message: sentence(parsed.errors[0]?.message ?? 'That does not go.') };
    take(next);
    return { ok: true };
  },

  beginDrag: () => get().give({ kind: 'begin drag' }),
  endDrag: () => get().give({ kind: 'end drag' }),
  undo: () => get().give({ kind: 'undo' }),
  redo: () => get().give({ kind: 'redo' }),

  give: (input) => {
    const { sync } = get();
    if (sync) take(step(sync, input, rules));
  },
}));

/** Shows what a step of the machine came to, and has done what it asks for. */
function take({ state, effects }: Step): void {
  const { sync, shop } = useJob.getState();
  if (state !== sync)
    useJob.setState({
      sync: state,
      document: state.document,
      shop: state.log === sync?.log ? shop : sharing(shop, foldEvents(state.log)),
    });
  carryOutEffects(effects, state);
}

/** How far the open job is saved: all of it, some on its way, not for now, or not before somebody has chosen. */
export type Saving = 'saved' | 'saving' | 'offline' | 'asked' | 'parted';

export function savingOf(sync: Sync | undefined): Saving {
  if (!sync) return 'saved';
  if (sync.otherCopy) return 'parted';
  if (sync.contested.length > 0) return 'asked';
  if (unsaved(sync) === 0) return 'saved';
  return sync.link === 'lost' ? 'offline' : 'saving';
}

/** Adds to the log of the shop what has just been done. */
export function record(happened: readonly Happened[]): void {
  const now = new Date();
  const log = [...(useJob.getState().sync?.log ?? [])];
  const events = happened.map((one): ShopEvent => {
    const clock = nextClock(log, now.getTime());
    const stamp = { id: crypto.randomUUID(), at: now.toISOString(), clock, device: deviceName() };
    const event: ShopEvent = { ...numberedCut(one, log), ...stamp };
    log.push(event);
    return event;
  });
  if (events.length > 0) useJob.getState().give({ kind: 'record', events });
}

/** A cut that was counted as another one was a second bar after all: it is written down once more, with a number of its own. */
export function recordSecondCut(id: string): void {
  const event = useJob.getState().sync?.log.find((one) => one.id === id);
  if (event?.kind !== 'bar-cut' && event?.kind !== 'sheet-cut') return;
  const { id: _, at: __, clock: ___, device: ____, ...happened } = event;
  record([{ kind: 'taken-back', event: id }, happened as Happened]);
}

/** Changes plans and log together, as one thing that was done. */
export function carryOut({ changes, events }: Done): Outcome {
  const { changeAll } = useJob.getState();
  const outcome: Outcome = changes.length > 0 ? changeAll(changes) : { ok: true };
  if (outcome.ok) record(events);
  return outcome;
}

/** The open job and how it stands in the shop, at this moment. */
export function inShopNow(): JobInShop {
  return { job: jobNow(), state: useJob.getState().shop };
}

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

/** What can be done to the open job, for handlers: a component that is drawn by the job subscribes with a hook. */
export const jobActions = (): JobState => useJob.getState();

/** The open job. Throws when there is none: stations are only shown with one. */
export function useDocument(): Job {
  const document = useJob((state) => state.document);
  if (!document) throw new Error('no job is open');
  return document;
}

/** Thrown by what rests on a save that has not come through, with the reason in words. */
export class NotSaved extends Error {
  override readonly name = 'NotSaved';
}

/**
 * Saves at once what is waiting, and says at which version the job then stands: before a revision is kept, a build noted or a reading
 * sent. Rejects with NotSaved where the server does not answer, or somebody has to choose first.
 */
export function saveNow(): Promise<number> {
  return new Promise((resolve, reject) => {
    const look = (): boolean => {
      const { sync } = useJob.getState();
      if (!sync) reject(new NotSaved('No job is open.'));
      else if (sync.contested.length > 0)
        reject(new NotSaved('A field was changed in two places. Choose which value stands, then try again.'));
      else if (unsaved(sync) === 0) resolve(sync.base.version);
      else if (sync.link === 'lost')
        reject(new NotSaved('What you changed is not saved yet: the server does not answer. Try again when it does.'));
      else return false;
      return true;
    };
    // A link that was lost is tried once more before anybody is told.
    const { sync, give } = useJob.getState();
    if (sync && unsaved(sync) > 0) give({ kind: 'due' });
    if (useJob.getState().sync?.link !== 'lost' && look()) return;
    const tries = useJob.getState().sync?.tries;
    const stop = useJob.subscribe(({ sync: now }) => {
      if (now?.link === 'lost' && now.tries === tries) return;
      if (look()) stop();
    });
  });
}
