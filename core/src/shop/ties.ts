import { type Bar, type LengthPiece, type LengthPlan, type LengthQuery, wasteOf } from './bars';

const mark = 'tie:';

/**
 * Pieces that must come off one bar (a matching pair for grain or colour) made one piece for the planner, as long as they are
 * together with the cuts between them, and the way back from its plan. A tie that the longest bar cannot hold is let go and named in
 * `loose`.
 */
export function tieUp(query: LengthQuery): { query: LengthQuery; untie(plan: LengthPlan): LengthPlan } {
  const tied = new Map<string, LengthPiece[]>();
  for (const piece of query.pieces)
    if (piece.tie !== undefined && piece.count > 0) tied.set(piece.tie, [...(tied.get(piece.tie) ?? []), piece]);
  if (tied.size === 0) return { query, untie: (plan) => plan };
  const longest = Math.max(0, ...query.stock.map(({ length }) => length - 2 * (query.trim ?? 0)));
  const bundles = new Map<string, { length: number; members: LengthPiece[] }>();
  const loose: string[] = [];
  for (const [tie, members] of tied) {
    const copies = members.reduce((sum, { count }) => sum + count, 0);
    const length = members.reduce((sum, piece) => sum + piece.length * piece.count, 0) + (copies - 1) * query.kerf;
    if (length > longest + 1e-7) loose.push(tie);
    else bundles.set(`${mark}${tie}`, { length, members });
  }
  const free = query.pieces.filter(({ tie }) => tie === undefined || !bundles.has(`${mark}${tie}`));
  const whole = [...bundles].map(([id, { length }]) => ({ id, length, count: 1 }));
  const split = <T extends { id: string }>(piece: T, each: (member: LengthPiece) => T[]): T[] =>
    bundles.get(piece.id)?.members.flatMap(each) ?? [piece];
  const bar = (one: Bar): Bar => ({
    ...one,
    pieces: one.pieces.flatMap((piece) =>
      split(piece, ({ id, length, count }) => Array.from({ length: count }, () => ({ id, length }))),
    ),
  });
  return {
    query: { ...query, pieces: [...free, ...whole] },
    untie: (plan) => {
      const bars = plan.bars.map(bar);
      return {
        ...plan,
        bars,
        // Kerfs inside a bundle are waste and not piece.
        waste: wasteOf(bars, query.stock),
        unplaced: plan.unplaced.flatMap((piece) => split(piece, (member) => [member])),
        ...(loose.length > 0 ? { loose } : {}),
      };
    },
  };
}
