import { rules } from '../rules';
import { type Driver, driveJob, fetchStored } from './driver';
import { hadOf, step } from './machine';
import { allPersisted, type JobRef, type Persisted, persistedAt, persistState, throwAway } from './persisted';
import { goesOn, isSettled, revive, type Sync, waits } from './state';
import { closedTabs, holdTab, tabName } from './tab';

/** Work of which there is one round at a time: what is begun during a round is left to the next. */
function oneRound(work: () => Promise<void>): () => Promise<void> {
  let under = false;
  return async () => {
    if (under) return;
    under = true;
    try {
      await work();
    } catch {
      // The browser's store or the server fails: it is tried again at the next round.
    } finally {
      under = false;
    }
  };
}

/**
 * Sends what windows that are closed had not got onto the server, whichever job it was for and whether or not that is open anywhere. What
 * somebody has to choose about waits until the job is opened.
 */
export const sendOrphans = oneRound(async () => {
  const all = await allPersisted();
  const closed = new Set(await closedTabs(all.map(({ tab }) => tab)));
  for (const { job, tab } of all)
    if (closed.has(tab))
      await holdTab(tab, async () => {
        // As it stands now that its window cannot come back: it may have been open meanwhile.
        const one = await persistedAt(job, tab);
        if (!one || !waits(one.state)) return;
        const state = await sendOne(one).ended;
        if (isSettled(state) && (await isOnServer(job, state))) await throwAway(job, tab);
      });
});

/** Whether the server has all that a state has seen of it: one that was put back to an older copy has not. */
async function isOnServer({ id, key }: JobRef, state: Sync): Promise<boolean> {
  return !(await fetchStored(id, hadOf(state), key)).parted;
}

/** Jobs that this window looks at, or has not persisted to the end yet, by their addresses. */
const looks = new Set<{ id: string }>();
/** What this window sends for a job that it looks at no more. */
let sending: { id: string; left: Sending } | undefined;

const isLookedAt = (id: string) => [...looks].some((look) => look.id === id);

/**
 * Says that this window looks at a job.
 *
 * @returns `ready` once what it still sent for that from before is stopped and persisted; `end` says that it is left, and all of it persisted
 */
export function beginLooking(id: string): { ready: Promise<unknown>; end(): void } {
  const look = { id };
  looks.add(look);
  const before = sending?.id === id ? sending.left : undefined;
  before?.stop();
  return { ready: before?.ended ?? Promise.resolve(), end: () => looks.delete(look) };
}

/** Sends what this window left unsent at the jobs that it looks at no more. Their undo stays where it is. */
export const sendLeft = oneRound(async () => {
  const tab = await tabName();
  for (const { job, tab: of } of await allPersisted()) {
    if (of !== tab || isLookedAt(job.id)) continue;
    const one = await persistedAt(job, tab);
    // It may have been opened while it was read.
    if (!one || !waits(one.state) || isLookedAt(job.id)) continue;
    const left = sendOne(one);
    sending = { id: job.id, left };
    await left.ended;
    sending = undefined;
  }
});

interface Sending {
  /** The state when it ended, which is persisted. */
  ended: Promise<Sync>;
  stop(): void;
}

/** ms that one of them may take: a server that is silent ends it before. */
const longest = 60_000;

/** Runs the machine of a job that is not looked at until all of it is on the server, the server does not answer, or somebody has to choose. */
function sendOne({ job, tab, state: laid }: Persisted): Sending {
  let stop = () => {};
  const ended = new Promise<Sync>((resolve) => {
    let state = revive(laid);
    let driver: Driver | undefined;
    let over = false;
    stop = () => {
      if (over) return;
      over = true;
      window.clearTimeout(timer);
      driver?.close();
      const done = () => resolve(state);
      // A browser whose store fails keeps what it had.
      void (driver?.laid() ?? Promise.resolve()).then(() => persistState(job, tab, state)).then(done, done);
    };
    const timer = window.setTimeout(stop, longest);
    const give: Parameters<typeof driveJob>[2] = (input) => {
      if (over) return;
      const next = step(state, input, rules);
      state = next.state;
      driver?.run(next.effects, state);
      if (!goesOn(state) || (state.link !== 'open' && input.kind !== 'due')) stop();
    };
    // Where the job was deleted, what was set for it stays where it is.
    driver = driveJob(job, tab, give, stop);
    give({ kind: 'due' });
  });
  return { ended, stop };
}
