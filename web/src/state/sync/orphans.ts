import { rules } from '../rules';
import { type Driver, driveJob, fetchStored } from './driver';
import { hadOf, step } from './machine';
import { allPersisted, type JobRef, type Persisted, persistState, throwAway } from './persisted';
import { goesOn, isSettled, revive, type Sync, waits } from './state';
import { closedTabs, holdTab, tabName } from './tab';

let draining = false;

/**
 * Sends what windows that are closed had not got onto the server, whichever job it was for and whether or not that is open anywhere. What
 * somebody has to choose about waits until the job is opened.
 */
export async function sendOrphans(): Promise<void> {
  if (draining) return;
  draining = true;
  try {
    const all = await allPersisted().catch(() => []);
    const closed = new Set(await closedTabs(all.map(({ tab }) => tab)));
    for (const one of all)
      if (closed.has(one.tab) && waits(one.state))
        await holdTab(one.tab, async () => {
          const state = await sendOne(one).ended;
          if (isSettled(state) && (await isOnServer(one.job, state))) await throwAway(one.job, one.tab);
        });
  } catch {
    // The browser's store fails: it is tried again at the next round.
  } finally {
    draining = false;
  }
}

/** Whether the server has all that a state has seen of it: one that was put back to an older copy has not. */
async function isOnServer({ id, key }: JobRef, state: Sync): Promise<boolean> {
  return !(await fetchStored(id, hadOf(state), key)).parted;
}

/** The job that this window looks at, by its address. */
let lookedAt: string | undefined;
/** What this window sends for jobs that it looks at no more, by their addresses. */
const sending = new Map<string, Sending>();

/** Says that this window looks at a job: what it still sends for that from before is stopped, and laid by. */
export async function beginLooking(id: string): Promise<void> {
  lookedAt = id;
  const left = sending.get(id);
  left?.stop();
  await left?.ended;
}

export function endLooking(id: string): void {
  if (lookedAt === id) lookedAt = undefined;
}

/** Sends what this window left unsent at the jobs that it looks at no more. Their undo stays where it is. */
export async function sendLeft(): Promise<void> {
  const tab = await tabName();
  const all = await allPersisted().catch(() => []);
  for (const one of all) {
    const { id } = one.job;
    if (one.tab !== tab || !waits(one.state) || id === lookedAt || sending.has(id)) continue;
    const left = sendOne(one);
    sending.set(id, left);
    await left.ended;
    sending.delete(id);
  }
}

interface Sending {
  /** The state when it ended, which is laid by. */
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
