import { type Bar, type LengthPiece, type LengthPlan, type LengthQuery, type LengthStock, wasteOf } from './bars';
import type { PlacedPiece, SheetPlan, SheetQuery, SheetStock } from './sheets';

/** m by which a cut piece may miss its size and still be it: half a mark of a millimetre tape. */
export const cutTolerance = 0.0005;

/** A bar that the builder has laid out by hand: which pieces come off which length. */
export interface Overrule {
  id: string;
  item: string;
  /** Id of the length, among what is sold or on hand. */
  stock: string;
  /** Part ids, one for each piece. */
  pieces: readonly string[];
}

/** A bar or sheet that is cut already, as it was cut: it stands through every change of the design. */
export type Lock = {
  id: string;
  item: string;
  stock: string;
  /** Money that was paid for it; zero for what was on hand. */
  price: number;
  onHand: boolean;
} & (
  | { length: number; pieces: readonly { part: string; length: number }[] }
  | { width: number; height: number; placed: readonly PlacedPiece[] }
);

/** What the builder has settled about cutting. */
export interface CutDecisions {
  overrules: readonly Overrule[];
  locks: readonly Lock[];
  /** By part id: pieces of one word come off one bar. */
  ties: Readonly<Record<string, string>>;
}

export const nothingDecided: CutDecisions = { overrules: [], locks: [], ties: {} };

/** What became of a piece that is cut: it is wanted as it is, longer than wanted, too short, or wanted no more. */
export type Fate = 'good' | 'long' | 'short' | 'spare';

/** A cut piece that is not what is wanted now. */
export interface Misfit {
  part: string;
  fate: Exclude<Fate, 'good'>;
  /** m as cut, and as wanted where it still is. */
  cut: number;
  wanted?: number;
}

/** Bars that stand by the builder's word, and what is left for the planner. */
export interface DecidedLengths {
  bars: Bar[];
  cost: number;
  stock: LengthStock[];
  query: LengthQuery;
  misfits: Misfit[];
  /** Part ids that an overrule names and that have no room on it any more. */
  released: string[];
}

/** Takes what is cut and what is laid out by hand out of a query. */
export function decideLengths(item: string, query: LengthQuery, decisions: CutDecisions): DecidedLengths {
  const { kerf, trim = 0 } = query;
  const left = new Map(query.pieces.map(({ id, count }) => [id, count]));
  const wanted = new Map(query.pieces.map(({ id, length }) => [id, length]));
  const take = (part: string): boolean => {
    const count = left.get(part) ?? 0;
    if (count <= 0) return false;
    left.set(part, count - 1);
    return true;
  };
  const bars: Bar[] = [];
  const stock = [...query.stock];
  const misfits: Misfit[] = [];
  const released: string[] = [];
  let cost = 0;
  for (const lock of decisions.locks) {
    if (lock.item !== item || !('length' in lock)) continue;
    for (const { part, length } of lock.pieces) {
      const fate = fateOf(length, wanted.get(part), take, part);
      const size = wanted.get(part);
      if (fate !== 'good') misfits.push({ part, fate, cut: length, ...(size === undefined ? {} : { wanted: size }) });
    }
    const known = stock.find(({ id }) => id === lock.stock);
    // Bought at what it cost then, and under its own name: the list may have changed since.
    const same = known?.length === lock.length && known.price === lock.price;
    const id = same ? lock.stock : lockStock(lock);
    if (!same) stock.push({ id, length: lock.length, price: lock.price, available: 0 });
    const pieces = lock.pieces.map(({ part, length }) => ({ id: part, length }));
    bars.push({ ...barOf(id, lock.length, pieces, kerf, trim), fixed: { by: 'lock', id: lock.id } });
    cost += lock.price;
  }
  const used = new Map<string, number>();
  for (const overrule of decisions.overrules) {
    if (overrule.item !== item) continue;
    const bar = stock.find(({ id }) => id === overrule.stock);
    if (!bar || (used.get(bar.id) ?? 0) >= (bar.available ?? Number.POSITIVE_INFINITY)) {
      released.push(...overrule.pieces);
      continue;
    }
    const pieces: { id: string; length: number }[] = [];
    let room = bar.length - 2 * trim + kerf;
    for (const part of overrule.pieces) {
      const length = wanted.get(part);
      if (length === undefined || length + kerf > room + 1e-7 || !take(part)) {
        released.push(part);
        continue;
      }
      room -= length + kerf;
      pieces.push({ id: part, length });
    }
    if (pieces.length === 0) continue;
    used.set(bar.id, (used.get(bar.id) ?? 0) + 1);
    bars.push({ ...barOf(bar.id, bar.length, pieces, kerf, trim), fixed: { by: 'overrule', id: overrule.id } });
    cost += bar.price;
  }
  const free: LengthQuery = {
    ...query,
    pieces: query.pieces.flatMap((piece): LengthPiece[] => {
      const count = left.get(piece.id) ?? 0;
      const tie = decisions.ties[piece.id];
      return count > 0 ? [{ ...piece, count, ...(tie === undefined ? {} : { tie }) }] : [];
    }),
    stock: query.stock.map((one) =>
      one.available === undefined ? one : { ...one, available: one.available - (used.get(one.id) ?? 0) },
    ),
  };
  return { bars, cost, stock, query: free, misfits, released };
}

/** Id of the length or sheet that a lock was cut from, where the list no longer has it as it was. */
export function lockStock({ id }: Pick<Lock, 'id'>): string {
  return `${id}:stock`;
}

function fateOf(length: number, wanted: number | undefined, take: (part: string) => boolean, part: string): Fate {
  if (wanted === undefined) return 'spare';
  if (length < wanted - cutTolerance) return 'short';
  if (!take(part)) return 'spare';
  return length > wanted + cutTolerance ? 'long' : 'good';
}

function barOf(
  stock: string,
  length: number,
  pieces: { id: string; length: number }[],
  kerf: number,
  trim: number,
): Bar {
  const used = pieces.reduce((sum, piece) => sum + piece.length + kerf, 0);
  return { stock, count: 1, pieces, offcut: Math.max(0, length - 2 * trim - used) };
}

/** A plan of what is free, with the bars that stand before it. */
export function joinLengths({ bars, cost, stock }: DecidedLengths, free: LengthPlan): LengthPlan {
  if (bars.length === 0) return free;
  const all = [...bars, ...free.bars];
  return {
    ...free,
    bars: all,
    cost: free.cost + cost,
    waste: wasteOf(all, stock),
    proof: { ...free.proof, bound: free.proof.bound + cost },
  };
}

/** Sheets that are cut, and what is left for the planner. */
export interface DecidedSheets {
  sheets: SheetPlan['sheets'];
  cost: number;
  stock: SheetStock[];
  query: SheetQuery;
  misfits: Misfit[];
}

/** Takes the sheets that are cut out of a query. */
export function decideSheets(item: string, query: SheetQuery, decisions: CutDecisions): DecidedSheets {
  const { pieces } = query;
  const stock = [...query.stock];
  const left = new Map(pieces.map(({ id, count }) => [id, count]));
  const misfits: Misfit[] = [];
  const sheets: SheetPlan['sheets'] = [];
  let cost = 0;
  for (const lock of decisions.locks) {
    if (lock.item !== item || !('placed' in lock)) continue;
    for (const placed of lock.placed) {
      const piece = pieces.find(({ id }) => id === placed.id);
      const count = left.get(placed.id) ?? 0;
      const [w, h] = placed.turned ? [placed.height, placed.width] : [placed.width, placed.height];
      const over = piece ? Math.min(w - piece.width, h - piece.height) : 0;
      const fate: Fate = !piece || count <= 0 ? 'spare' : over < -cutTolerance ? 'short' : 'good';
      if (fate === 'good') left.set(placed.id, count - 1);
      else misfits.push({ part: placed.id, fate, cut: h, ...(piece ? { wanted: piece.height } : {}) });
    }
    const { width, height } = lock;
    const known = stock.find((one) => one.id === lock.stock);
    const same = known?.width === width && known.height === height && known.price === lock.price;
    const id = same ? lock.stock : lockStock(lock);
    if (!same) stock.push({ id, width, height, price: lock.price, available: 0 });
    sheets.push({ stock: id, width, height, placed: [...lock.placed], fixed: { by: 'lock', id: lock.id } });
    cost += lock.price;
  }
  return {
    sheets,
    cost,
    stock,
    misfits,
    query: {
      ...query,
      pieces: pieces.flatMap((piece) => {
        const count = left.get(piece.id) ?? 0;
        return count > 0 ? [{ ...piece, count }] : [];
      }),
    },
  };
}

export function joinSheets({ sheets, cost }: DecidedSheets, free: SheetPlan): SheetPlan {
  if (sheets.length === 0) return free;
  const area = sheets.reduce(
    (sum, { width, height, placed }) =>
      sum + width * height - placed.reduce((all, piece) => all + piece.width * piece.height, 0),
    0,
  );
  return {
    ...free,
    sheets: [...sheets, ...free.sheets],
    cost: free.cost + cost,
    waste: free.waste + area,
    bound: free.bound + cost,
  };
}
