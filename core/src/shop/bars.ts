/** Pieces wanted of one material. Lengths in metres. */
export interface LengthPiece {
  id: string;
  length: number;
  count: number;
  /** Pieces of one word come off one bar: a matching pair, for grain or colour. */
  tie?: string;
}

/** A length to be had. A coil is one long length. On-hand pieces are stock with a price of zero and a number available. */
export interface LengthStock {
  id: string;
  length: number;
  price: number;
  available?: number;
}

export interface LengthQuery {
  pieces: readonly LengthPiece[];
  stock: readonly LengthStock[];
  /** m lost at each cut. */
  kerf: number;
  /** m cut off each end to square it; 0 by default. */
  trim?: number;
}

export interface Bar {
  stock: string;
  /** How many bars are cut alike. */
  count: number;
  pieces: { id: string; length: number }[];
  /** m left over on each, kerf taken off. */
  offcut: number;
  /** A bar that is cut already or laid out by hand, with the id of that decision. */
  fixed?: { by: 'lock' | 'overrule'; id: string };
}

export interface LengthPlan {
  bars: Bar[];
  cost: number;
  /** m of bought and used bars that are in no piece. */
  waste: number;
  proof: { status: 'proved' | 'gap' /** Money: no plan can cost less. */; bound: number };
  /** Pieces that no bar to be had can hold, with how many. */
  unplaced: LengthPiece[];
  /** Ties that no bar to be had is long enough for; their pieces lie where they come cheapest. */
  loose?: string[];
}

/** A kind of bar to be had: its room for pieces that each take their kerf along, and how many are left. */
export type Choice = LengthStock & { room: number; left: number };
/** Stock that is to be had, with its room for pieces that each take their kerf along. */
export function choices({ stock, kerf, trim = 0 }: LengthQuery): Choice[] {
  // Each piece takes its length and a kerf; the last needs none, so a bar is longer by one kerf.
  return stock
    .map((one) => ({ ...one, room: one.length - 2 * trim + kerf, left: one.available ?? Number.POSITIVE_INFINITY }))
    .filter((one) => one.left > 0);
}

/** One bar with what is cut from it. */
export interface Filled {
  stock: Choice;
  pieces: { id: string; length: number }[];
}

/** Bars that are cut alike, together. */
export function gather(bars: readonly Filled[], kerf: number, trim: number): Bar[] {
  const alike = new Map<string, Bar>();
  for (const bar of bars) {
    const key = `${bar.stock.id}|${bar.pieces.map((piece) => piece.id).join('|')}`;
    const known = alike.get(key);
    if (known) {
      known.count += 1;
      continue;
    }
    const used = bar.pieces.reduce((sum, piece) => sum + piece.length + kerf, 0);
    const offcut = Math.max(0, bar.stock.length - 2 * trim - used);
    alike.set(key, { stock: bar.stock.id, count: 1, pieces: bar.pieces, offcut });
  }
  return [...alike.values()];
}

/** m of bars that are in no piece. */
export function wasteOf(bars: readonly Bar[], stock: readonly LengthStock[]): number {
  const lengths = new Map(stock.map(({ id, length }) => [id, length]));
  return bars.reduce(
    (sum, bar) =>
      sum + bar.count * ((lengths.get(bar.stock) ?? 0) - bar.pieces.reduce((all, { length }) => all + length, 0)),
    0,
  );
}

/** m of offcuts that are worth keeping: those that are as long as `keep` at least. */
export function keptOffcuts(bars: readonly Bar[], keep: number): number {
  return bars.reduce((sum, { count, offcut }) => sum + (offcut >= keep ? count * offcut : 0), 0);
}

/** Share by which a plan may stand above the least: zero when it is proved, nothing where the bound says nothing. */
export function gapOf({ cost, proof }: Pick<LengthPlan, 'cost' | 'proof'>): number | undefined {
  if (proof.status === 'proved') return 0;
  return proof.bound > 0 ? cost / proof.bound - 1 : undefined;
}
