import { type Choice, choices, type Filled, gather, type LengthPiece, type LengthPlan, type LengthQuery } from './bars';
import { tieUp } from './ties';

const tiny = 1e-7;

/**
 * Plans pieces on bars, at once: several greedy fillings, the cheapest kept, then each bar swapped for the cheapest
 * that holds its pieces. The bound is what the bare material costs at the best price per usable metre.
 *
 * A bar of length L holds pieces while their lengths and the kerf between them fit in L less both trims.
 * Throws RangeError on a length that is not above zero.
 */
export function planLengthsFast(query: LengthQuery): LengthPlan {
  const { query: loose, untie } = tieUp(query);
  return untie(planLoose(loose));
}

/** The same for pieces that no tie binds. */
export function planLoose(query: LengthQuery): LengthPlan {
  for (const { length } of [...query.pieces, ...query.stock])
    if (!(length > 0)) throw new RangeError('lengths must be above zero');
  const { kerf } = query;
  const trim = query.trim ?? 0;
  const stock = choices(query);
  const longest = Math.max(0, ...stock.map((one) => one.room));
  const unplaced = query.pieces.filter((piece) => piece.count > 0 && piece.length + kerf > longest + tiny);
  const pieces = query.pieces
    .filter((piece) => piece.count > 0 && piece.length + kerf <= longest + tiny)
    .sort((a, b) => b.length - a.length);
  const bought = new Set(stock.map((one) => one.id));
  const fillings =
    stock.length > 1
      ? [stock, ...[...bought].map((id) => stock.filter((one) => one.id === id || one.price === 0))]
      : [stock];
  let best: { bars: OneBar[]; cost: number; waste: number; short: Map<string, number> } | undefined;
  for (const choice of fillings) {
    const filled = fill(pieces, choice, kerf);
    const bars = filled.bars.map((bar) => ({ ...bar, stock: cheapestFor(bar, stock, filled.taken, kerf) }));
    const cost = bars.reduce((sum, bar) => sum + bar.stock.price, 0);
    const waste = bars.reduce(
      (sum, bar) => sum + bar.stock.length - bar.pieces.reduce((all, piece) => all + piece.length, 0),
      0,
    );
    const missing = (at: Map<string, number>) => [...at.values()].reduce((sum, count) => sum + count, 0);
    const better =
      !best ||
      missing(filled.short) < missing(best.short) ||
      (missing(filled.short) === missing(best.short) &&
        (cost < best.cost - 1e-9 || (cost < best.cost + 1e-9 && waste < best.waste - tiny)));
    if (better) best = { bars, cost, waste, short: filled.short };
  }
  const { bars, cost, waste, short } = best ?? { bars: [], cost: 0, waste: 0, short: new Map<string, number>() };
  // Pieces a hair longer than their bar pass as fitting: no bound stands above a plan that is there.
  const bound = Math.min(cost, materialBound(pieces, stock, kerf));
  return {
    bars: gather(bars, kerf, trim),
    cost,
    waste,
    proof: { status: cost <= bound + 1e-6 ? 'proved' : 'gap', bound },
    unplaced: [
      ...unplaced,
      ...pieces.filter((piece) => short.has(piece.id)).map((piece) => ({ ...piece, count: short.get(piece.id) ?? 0 })),
    ],
  };
}

type OneBar = Filled & { used: number };

/** Pieces of one size that are still wanted, largest first: `sizes` with their kerf, where each stands in the list, and how many. */
interface Open {
  sizes: Float64Array;
  places: Int32Array;
  counts: Int32Array;
  length: number;
}

/** Bar after bar, each time the stock whose best filling costs least per metre used. */
function fill(
  pieces: readonly LengthPiece[],
  stock: readonly Choice[],
  kerf: number,
): { bars: OneBar[]; taken: Map<string, number>; short: Map<string, number> } {
  const open: Open = {
    sizes: Float64Array.from(pieces, ({ length }) => length + kerf),
    places: Int32Array.from(pieces, (_, index) => index),
    counts: Int32Array.from(pieces, ({ count }) => count),
    length: pieces.length,
  };
  const taken = new Map<string, number>();
  const bars: OneBar[] = [];
  while (open.length > 0) {
    let best: { stock: Choice; take: Take; used: number; rate: number } | undefined;
    for (const one of stock) {
      if ((taken.get(one.id) ?? 0) >= one.left) continue;
      const { take, used } = fullest(open, one.room);
      if (used <= 0) continue;
      const rate = one.price / used;
      if (
        !best ||
        rate < best.rate - 1e-12 ||
        (rate < best.rate + 1e-12 && used / one.room > best.used / best.stock.room)
      )
        best = { stock: one, take, used, rate };
    }
    if (!best) break;
    const chosen: { id: string; length: number }[] = [];
    for (const { at, count } of best.take) {
      open.counts[at] = (open.counts[at] ?? 0) - count;
      const piece = pieces[open.places[at] ?? -1];
      if (piece) for (let copy = 0; copy < count; copy += 1) chosen.push({ id: piece.id, length: piece.length });
    }
    close(open);
    taken.set(best.stock.id, (taken.get(best.stock.id) ?? 0) + 1);
    bars.push({ stock: best.stock, pieces: chosen, used: best.used });
  }
  const short = new Map<string, number>();
  for (let at = 0; at < open.length; at += 1) {
    const piece = pieces[open.places[at] ?? -1];
    if (piece) short.set(piece.id, open.counts[at] ?? 0);
  }
  return { bars, taken, short };
}

/** Takes what is wanted no more out of the list, in place. */
function close(open: Open): void {
  const { sizes, places, counts } = open;
  let kept = 0;
  for (let at = 0; at < open.length; at += 1) {
    if ((counts[at] ?? 0) <= 0) continue;
    sizes[kept] = sizes[at] ?? 0;
    places[kept] = places[at] ?? 0;
    counts[kept] = counts[at] ?? 0;
    kept += 1;
  }
  open.length = kept;
}

/** How many of which open pieces a bar holds. */
type Take = { at: number; count: number }[];

/** Branches that the search of one bar follows at most. */
const mostLooks = 400;

/** The filling of one bar that uses most of it: longest first with a bounded search back. */
function fullest({ sizes, counts, length }: Open, room: number): { take: Take; used: number } {
  const take: Take = [];
  let best: { take: Take; used: number } = { take: [], used: 0 };
  let budget = mostLooks;
  /** The first piece from a place on that fits: sizes fall, so halving finds it. */
  const fitting = (from: number, left: number): number => {
    let [low, high] = [from, length];
    while (low < high) {
      const middle = (low + high) >> 1;
      if ((sizes[middle] ?? 0) > left) low = middle + 1;
      else high = middle;
    }
    return low;
  };
  const search = (from: number, used: number): void => {
    if (used > best.used + tiny) best = { take: [...take], used };
    const at = fitting(from, room - used + tiny);
    if (at >= length || best.used >= room - tiny) return;
    budget -= 1;
    const size = sizes[at] ?? 0;
    const most = Math.min(counts[at] ?? 0, Math.floor((room - used + tiny) / size));
    for (let count = most; count >= 0 && (budget > 0 || count === most); count -= 1) {
      if (count > 0) take.push({ at, count });
      search(at + 1, used + count * size);
      if (count > 0) take.pop();
    }
  };
  search(0, 0);
  return best;
}

/** The cheapest stock that holds what a bar holds, if one of it is still to be had. */
function cheapestFor(bar: OneBar, stock: readonly Choice[], taken: Map<string, number>, kerf: number): Choice {
  const used = bar.pieces.reduce((sum, piece) => sum + piece.length + kerf, 0);
  let best = bar.stock;
  for (const one of stock) {
    const fits = one.room + tiny >= used;
    const toHave = (taken.get(one.id) ?? 0) < one.left;
    if (fits && toHave && (one.price < best.price || (one.price === best.price && one.length < best.length)))
      best = one;
  }
  if (best !== bar.stock) {
    taken.set(bar.stock.id, (taken.get(bar.stock.id) ?? 1) - 1);
    taken.set(best.id, (taken.get(best.id) ?? 0) + 1);
  }
  return best;
}

function materialBound(pieces: readonly LengthPiece[], stock: readonly Choice[], kerf: number): number {
  let wanted = pieces.reduce((sum, piece) => sum + piece.count * (piece.length + kerf), 0);
  const first = stock[0];
  if (stock.length === 1 && first && first.left === Number.POSITIVE_INFINITY) {
    // One length only: whole bars, and no bar holds more of the longest pieces than fit.
    const halves = pieces.filter((piece) => piece.length + kerf > first.room / 2 + tiny);
    const big = halves.reduce((sum, piece) => sum + piece.count, 0);
    return Math.max(Math.ceil(wanted / first.room - 1e-9), big) * first.price;
  }
  let bound = 0;
  for (const one of [...stock].sort((a, b) => a.price / a.room - b.price / b.room)) {
    if (wanted <= 0) break;
    const used = Math.min(wanted, one.room * one.left);
    bound += (used / one.room) * one.price;
    wanted -= used;
  }
  return bound;
}
