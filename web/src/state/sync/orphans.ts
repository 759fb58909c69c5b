import { rules } from '../rules';
import { type Driver, driveJob } from './driver';
import { allLaidBy, type LaidBy, layBy, throwAway } from './laidBy';
import { step } from './machine';
import { revive, type Sync, unsaved } from './state';
import { closedTabs, holdTab } from './tab';

/** Whether a state has something that the server has not answered for, and that nobody has to choose about first. */
function waits(state: Sync): boolean {
  return unsaved(state) > 0 && state.contested.length === 0 && !state.otherCopy;
}

let draining = false;

/**
 * Sends what windows that are closed had not got onto the server, whichever job it was for and whether or not that is open anywhere. What
 * somebody has to choose about waits until the job is opened.
 */
export async function sendOrphans(): Promise<void> {
  if (draining) return;
  draining = true;
  try {
    const all = await allLaidBy().catch(() => []);
    const closed = new Set(await closedTabs(all.map(({ tab }) => tab)));
    for (const one of all) if (closed.has(one.tab) && waits(one.state)) await holdTab(one.tab, () => sendOne(one));
  } finally {
    draining = false;
  }
}

/** ms that one of them may take: a server that is silent ends it before. */
const longest = 60_000;

/** Runs the machine of a window that is gone until nothing of it waits, the server does not answer, or somebody has to choose. */
function sendOne({ job, tab, state: laid }: LaidBy): Promise<void> {
  return new Promise((resolve) => {
    let state = revive(laid);
    let driver: Driver | undefined;
    const end = () => {
      window.clearTimeout(timer);
      driver?.close();
      const ended = driver?.laid() ?? Promise.resolve();
      const done = unsaved(state) === 0 && state.contested.length === 0 && !state.otherCopy;
      void ended
        .then(() => (done ? throwAway(job, tab) : layBy(job, tab, state)))
        .then(
          () => resolve(),
          () => resolve(),
        );
    };
    const timer = window.setTimeout(end, longest);
    let over = false;
    const give: Parameters<typeof driveJob>[2] = (input) => {
      if (over) return;
      const next = step(state, input, rules);
      state = next.state;
      driver?.run(next.effects, state);
      if (waits(state) && (state.link === 'open' || input.kind === 'due')) return;
      over = true;
      end();
    };
    driver = driveJob(job, tab, give, () => {
      // The job was deleted: what was set for it stays where it is.
      if (over) return;
      over = true;
      end();
    });
    give({ kind: 'due' });
  });
}
