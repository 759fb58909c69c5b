import { type Job, same, setFields, valueAtPath } from '@north-pane/core/document';
import { Refusal } from '../api';
import { rules } from '../rules';
import { fetchStored, otherCopy, refusalIn, wholeLog } from './driver';
import { hadOf } from './machine';
import type { Input } from './messages';
import {
  allPersisted,
  bringOver,
  type JobRef,
  type LastWords,
  type Persisted,
  takeLastWords,
  throwAway,
} from './persisted';
import { openSync, revive, type Sync } from './state';
import { closedTabs, tabName } from './tab';

/** What is needed to open a job in this window. */
export interface Opening {
  job: JobRef;
  tab: string;
  state: Sync;
  /** To be told to the machine at once. */
  inputs: Input[];
  /** Carried out once what was adopted is persisted in this window. */
  tidyUp(): Promise<void>;
}

/**
 * Opens a job as this window left it, with what windows that are closed could not send any more; without the server where it does not
 * answer and something was persisted. What was persisted for another job of that address is left alone. Throws Refusal.
 */
export async function openJobHere(id: string): Promise<Opening> {
  const tab = await tabName();
  const laid = (await allPersisted().catch(() => [])).filter(({ job }) => job.id === id);
  const closed = new Set(await closedTabs(laid.map((one) => one.tab).filter((one) => one !== tab)));
  const mine = (one: Persisted) => one.tab === tab || closed.has(one.tab);
  const guess = laid.find((one) => one.tab === tab) ?? laid.find(mine);
  const had = guess && hadOf(guess.state);
  const found = await fetchStored(id, had).catch((error: unknown) => {
    if (guess && !refusalIn(error)) return undefined;
    throw error;
  });
  const job: JobRef = { id, key: found?.key ?? guess?.job.key ?? '' };
  if (found) await bringOver(job).catch(() => {});
  const known = (found ? await allPersisted().catch(() => []) : laid).filter((one) => one.job.key === job.key);
  const own = known.find((one) => one.tab === tab);
  const orphans = known.filter((one) => one.tab !== tab && closed.has(one.tab));
  // The first of the orphans is taken whole, with its history, where this window has nothing of its own.
  const heir = own ?? orphans.shift();
  const taken = [...orphans, ...(heir && heir !== own ? [heir] : [])];
  if (!heir && !found) throw new Refusal(0, 'The server does not answer.', undefined);
  const state = heir ? revive(heir.state) : openSync((found as NonNullable<typeof found>).stored, await wholeLog(id));
  const parted =
    found && heir && (heir === guess ? found.parted : (await fetchStored(id, hadOf(heir.state), job.key)).parted);
  const last = takeLastWords(job, tab);
  return {
    job,
    tab,
    state,
    inputs: [
      ...(last ? lastWords(state, last) : []),
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

/** What was set and done last in a window, and was not persisted with the rest: set once more where it is not there and goes with the rest. */
export function lastWords(state: Sync, { changes, events }: LastWords): Input[] {
  const inputs: Input[] = [];
  let { document } = state;
  for (const { path, after } of changes) {
    const fields = [{ path, value: after }];
    const next = withFields(document, fields);
    if (!next || same(valueAtPath(document, path), after) || rules.trouble(next) !== undefined) continue;
    document = next;
    inputs.push({ kind: 'edit', fields });
  }
  if (events.length > 0) inputs.push({ kind: 'record', events });
  return inputs;
}

/** A document with fields set; nothing where one leads through what is gone. */
function withFields(document: Job, fields: Parameters<typeof setFields>[1]): Job | undefined {
  try {
    return setFields(document, fields).document;
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}
