import type { Lock, OnHand } from '../shop';
import { type Answer, dangerKey } from './answers';
import type { Happened, ShopEvent } from './schema';

/** A line of what went out of the shed and what came back. */
export interface LedgerLine {
  id: string;
  at: string;
  what: 'taken' | 'returned';
  item: string;
  count: number;
  length?: number;
  width?: number;
  height?: number;
}

/** A thing of the shelf without how many there are. */
type Offcut = { item: string } & ({ length: number } | { width: number; height: number });

interface Moved {
  count: number;
  /** What it is, where only a cut has put it there. */
  offcut?: Offcut;
}

/** A cut that is counted as another one, of another device. */
export interface Doubled {
  id: string;
  at: string;
  item: string;
  /** Id of the cut that is counted. */
  as: string;
}

/** How a job stands in the shop: what all its events come to. */
export interface ShopState {
  /** Pieces made, by part id. */
  made: Readonly<Record<string, number>>;
  /** Steps of the build that are done, by id. */
  steps: Readonly<Record<string, true>>;
  /** Bars and sheets that are cut, as they were cut, in the order of their cutting. */
  cuts: readonly Lock[];
  /** Cuts that two devices wrote down for one bar or sheet: counted once, and said. */
  doubled: readonly Doubled[];
  /** What the cuts took off the shelf (below zero) or put on it, by id of the line; those that are only there by a cut have their size. */
  moved: Readonly<Record<string, Moved>>;
  ledger: readonly LedgerLine[];
  /** What was looked at before the saw, by its id: what it was when it was found right. */
  checks: Readonly<Record<string, string>>;
  /** Dangers that the builder has answered for, by `dangerKey`. */
  acknowledged: Readonly<Record<string, Answer>>;
  /** Money spent and hours worked, with what for. */
  spent: readonly { id: string; at: string; money: number; note: string }[];
  worked: readonly { id: string; at: string; hours: number; note: string }[];
}

/** A shop in which nothing has been done yet. */
export const untouchedShop: ShopState = {
  made: {},
  steps: {},
  cuts: [],
  doubled: [],
  moved: {},
  ledger: [],
  checks: {},
  acknowledged: {},
  spent: [],
  worked: [],
};

/** What lies on the shelf: what the builder counted, less what cuts have taken since and with the offcuts that they left. */
export function shelfOf(counted: readonly OnHand[], { moved }: ShopState): OnHand[] {
  const known = new Set(counted.map(({ id }) => id));
  const lines = counted.map((one) => ({ ...one, count: Math.max(0, one.count + (moved[one.id]?.count ?? 0)) }));
  const offcuts = Object.entries(moved).flatMap(([id, { count, offcut }]): OnHand[] =>
    offcut && !known.has(id) ? [{ id, count: Math.max(0, count), ...offcut }] : [],
  );
  // An offcut that is gone is gone; a line that the builder wrote stays, with none left.
  return [...lines, ...offcuts].filter(({ id, count }) => count > 0 || !isOffcut(id));
}

/** Whether a line of the shelf came off a bar or sheet that was cut. */
export function isOffcut(id: string): boolean {
  return /-rest(-\d+)?$/.test(id);
}

/** Id of the line of the shelf that an offcut of a cut stands on. */
export function offcutId(cut: string, index: number): string {
  return `${cut}-rest${index === 0 ? '' : `-${index + 1}`}`;
}

/** ms by which an event is in order: a time that was written down stands for it where the device had no clock that steps on. */
function clockOf({ clock, at }: ShopEvent): number {
  return clock ?? Date.parse(at);
}

/**
 * The clock of the next event of a device (Lamport's, begun from the time of day): after everything that it has heard of, so that what a device
 * with a wrong clock has said can be answered.
 *
 * @param now ms of the device's own clock
 */
export function nextClock(events: readonly ShopEvent[], now: number): number {
  return events.reduce((latest, event) => Math.max(latest, clockOf(event) + 1), now);
}

/** Events in the order in which they count: by their clock, and by their ids where that is the same, so that all sides have one order. */
export function inTime(events: readonly ShopEvent[]): ShopEvent[] {
  const timed = events.map((event) => ({ event, at: clockOf(event) }));
  return timed
    .sort((a, b) => a.at - b.at || (a.event.id < b.event.id ? -1 : a.event.id > b.event.id ? 1 : 0))
    .map(({ event }) => event);
}

/** What a cut is: two that have the same are alike. */
function cutSignature(cut: Extract<Happened, { kind: 'bar-cut' | 'sheet-cut' }>): string {
  const { item, stock } = cut;
  const pieces =
    cut.kind === 'bar-cut'
      ? cut.pieces.map(({ part }) => part)
      : cut.placed.map(({ id, x, y }) => `${id} ${x.toFixed(4)} ${y.toFixed(4)}`);
  return [cut.kind, item, stock, ...pieces.sort()].join('|');
}

/** A cut with the number that tells it from those like it, of which this device has heard. */
export function numberedCut<T extends Happened>(happened: T, events: readonly ShopEvent[]): T {
  if (happened.kind !== 'bar-cut' && happened.kind !== 'sheet-cut') return happened;
  const gone = takenBack(inTime(events));
  const signature = cutSignature(happened);
  const ordinal = events.filter(
    (one) =>
      (one.kind === 'bar-cut' || one.kind === 'sheet-cut') && !gone.has(one.id) && cutSignature(one) === signature,
  ).length;
  return { ...happened, ordinal };
}

/**
 * What all events of a job come to. The same events give the same state in whatever order they arrived, and one that arrived twice
 * counts once. One that is taken back, and is not brought back by taking that back, counts as if it had not been.
 */
export function foldEvents(events: readonly ShopEvent[]): ShopState {
  const unique = [...new Map(events.map((event) => [event.id, event])).values()];
  const ordered = inTime(unique);
  const gone = takenBack(ordered);
  const made: Record<string, number> = {};
  const cutMakes: Record<string, number> = {};
  const steps: Record<string, true> = {};
  const cuts: Lock[] = [];
  const doubled: Doubled[] = [];
  const known = new Map<string, ShopEvent>();
  const moved: Record<string, Moved> = {};
  const ledger: LedgerLine[] = [];
  const checks: Record<string, string> = {};
  const acknowledged: Record<string, Answer> = {};
  const spent: { id: string; at: string; money: number; note: string }[] = [];
  const worked: { id: string; at: string; hours: number; note: string }[] = [];
  const move = (id: string, by: number, offcut = moved[id]?.offcut) => {
    moved[id] = { count: (moved[id]?.count ?? 0) + by, ...(offcut ? { offcut } : {}) };
  };
  for (const event of ordered) {
    if (gone.has(event.id)) continue;
    const { id, at } = event;
    switch (event.kind) {
      case 'made':
        made[event.part] = Math.max(0, (made[event.part] ?? 0) + event.count);
        break;
      case 'step':
        if (event.done) steps[event.step] = true;
        else delete steps[event.step];
        break;
      case 'bar-cut':
      case 'sheet-cut': {
        const { item, stock, price, onHand } = event;
        const key = event.ordinal === undefined ? undefined : `${event.ordinal} ${cutSignature(event)}`;
        const same = key === undefined ? undefined : known.get(key);
        if (same && same.device !== event.device) {
          doubled.push({ id, at, item, as: same.id });
          break;
        }
        if (key !== undefined) known.set(key, event);
        const size = event.kind === 'bar-cut' ? { length: event.length } : { width: event.width, height: event.height };
        cuts.push(
          event.kind === 'bar-cut'
            ? { id, item, stock, price, onHand, length: event.length, pieces: event.pieces }
            : { id, item, stock, price, onHand, width: event.width, height: event.height, placed: event.placed },
        );
        for (const [part, count] of Object.entries(event.makes)) {
          cutMakes[part] = (cutMakes[part] ?? 0) + count;
          // What is ticked already may be these very pieces.
          made[part] = Math.max(made[part] ?? 0, cutMakes[part]);
        }
        // What a version-1 job tells of its shed stands in lines of its own.
        const told = event.device !== versionOneDevice;
        if (onHand) {
          move(stock, -1);
          if (told) ledger.push({ id, at, what: 'taken', item, count: 1, ...size });
        }
        event.rests.forEach((rest, index) => {
          const line = offcutId(id, index);
          move(line, 1, { item, ...rest });
          if (told) ledger.push({ id: line, at, what: 'returned', item, count: 1, ...rest });
        });
        break;
      }
      case 'shelf': {
        const { what, item, count, length, width, height } = event;
        ledger.push({
          id,
          at,
          what,
          item,
          count,
          ...(length === undefined ? {} : { length }),
          ...(width === undefined ? {} : { width }),
          ...(height === undefined ? {} : { height }),
        });
        break;
      }
      case 'checked':
        if (event.value === null) delete checks[event.check];
        else checks[event.check] = event.value;
        break;
      case 'acknowledged':
        if (event.done)
          acknowledged[dangerKey(event.caution, event.about)] = {
            at,
            words: event.words ?? '',
            ...(event.measure === undefined ? {} : { measure: event.measure }),
          };
        else delete acknowledged[dangerKey(event.caution, event.about)];
        break;
      case 'spent':
        spent.push({ id, at, money: event.money, note: event.note });
        break;
      case 'worked':
        worked.push({ id, at, hours: event.hours, note: event.note });
        break;
      case 'taken-back':
        break;
      default:
        return event satisfies never;
    }
  }
  return { made, steps, cuts, doubled, moved, ledger, checks, acknowledged, spent, worked };
}

/** Device that events have which stood in a version-1 document: nobody knows when or where they happened. */
export const versionOneDevice = 'version 1';

/** Ids of events that count no more: those that a taking back names which itself counts. */
function takenBack(ordered: readonly ShopEvent[]): ReadonlySet<string> {
  const takers = new Map<string, string[]>();
  for (const event of ordered)
    if (event.kind === 'taken-back') takers.set(event.event, [...(takers.get(event.event) ?? []), event.id]);
  const known = new Map<string, boolean>();
  const counts = (id: string): boolean => {
    const found = known.get(id);
    if (found !== undefined) return found;
    // Two that take each other back would ask for ever: the one that is asked for first gives way.
    known.set(id, false);
    const result = !(takers.get(id) ?? []).some(counts);
    known.set(id, result);
    return result;
  };
  return new Set(ordered.filter(({ id }) => !counts(id)).map(({ id }) => id));
}
