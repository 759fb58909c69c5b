import { Refusal } from '../api';
import { fetchStored, otherCopy, refusalIn, wholeLog } from './driver';
import { allLaidBy, bringOver, type JobRef, type LaidBy, throwAway } from './laidBy';
import { hadOf, type Input } from './machine';
import { openSync, revive, type Sync } from './state';
import { closedTabs, tabName } from './tab';

/** What is needed to open a job in this window. */
export interface Opening {
  job: JobRef;
  tab: string;
  state: Sync;
  /** To be told to the machine at once. */
  inputs: Input[];
  /** Carried out once what was adopted is laid by in this window. */
  tidyUp(): Promise<void>;
}

/**
 * Opens a job as this window left it, with what windows that are closed could not send any more; without the server where it does not
 * answer and something was laid by. What was laid by for another job of that address is left alone. Throws Refusal.
 */
export async function openJobHere(id: string): Promise<Opening> {
  const tab = await tabName();
  const laid = (await allLaidBy().catch(() => [])).filter(({ job }) => job.id === id);
  const closed = new Set(await closedTabs(laid.map((one) => one.tab).filter((one) => one !== tab)));
  const mine = (one: LaidBy) => one.tab === tab || closed.has(one.tab);
  const guess = laid.find((one) => one.tab === tab) ?? laid.find(mine);
  const had = guess && hadOf(guess.state);
  const found = await fetchStored(id, had).catch((error: unknown) => {
    if (guess && !refusalIn(error)) return undefined;
    throw error;
  });
  const job: JobRef = { id, key: found?.key ?? guess?.job.key ?? '' };
  if (found) await bringOver(job).catch(() => {});
  const known = (found ? await allLaidBy().catch(() => []) : laid).filter((one) => one.job.key === job.key);
  const own = known.find((one) => one.tab === tab);
  const orphans = known.filter((one) => one.tab !== tab && closed.has(one.tab));
  // The first of the orphans is taken whole, with its history, where this window has nothing of its own.
  const heir = own ?? orphans.shift();
  const taken = [...orphans, ...(heir && heir !== own ? [heir] : [])];
  if (!heir && !found) throw new Refusal(0, 'The server does not answer.', undefined);
  const state = heir ? revive(heir.state) : openSync((found as NonNullable<typeof found>).stored, await wholeLog(id));
  const parted =
    found && heir && (heir === guess ? found.parted : (await fetchStored(id, hadOf(heir.state), job.key)).parted);
  return {
    job,
    tab,
    state,
    inputs: [
      ...orphans.map(({ state: orphan }) => ({ kind: 'adopt', orphan }) as const),
      ...(found
        ? [
            parted
              ? ({ kind: 'parted', copy: await otherCopy(id, found.stored) } as const)
              : ({ kind: 'fetched', ask: 0, stored: found.stored } as const),
          ]
        : []),
      { kind: 'due' },
    ],
    tidyUp: async () => {
      for (const one of taken) await throwAway(one.job, one.tab).catch(() => {});
    },
  };
}
