/** m between a stud on which sheets meet and what stands or lies beside it. */
const jointRoom = 0.003;

/** Whether a piece goes on a sheet, either way round. */
const goesOn = (one: number, other: number, short: number, long: number): boolean =>
  Math.min(one, other) <= short + 1e-9 && Math.max(one, other) <= long + 1e-9;

/** m from the front face to where the sides are joined, as near the middle as the cradle leaves room for a stud; nothing where one sheet has both, or none both parts. */
export function jointAt(of: {
  depth: number;
  front: number;
  back: number;
  planeAt(x: number): number;
  short: number;
  long: number;
  wall: number;
  side: number;
  blocked: readonly [number, number][];
}): number | undefined {
  const { depth, front, back, planeAt, short, long, wall, side, blocked } = of;
  if (goesOn(depth, front + back, short, long)) return undefined;
  const half = side / 2 + jointRoom;
  const edges = [
    wall + half,
    depth / 2,
    depth - wall - half,
    ...blocked.flatMap(([from, to]) => [from - half, to + half]),
    // As far as a sheet reaches from either end.
    short,
    depth - short,
  ];
  const places = edges.filter(
    (x) =>
      x >= wall + half - 1e-9 &&
      x <= depth - wall - half + 1e-9 &&
      blocked.every(([from, to]) => x + half <= from + 1e-9 || x - half >= to - 1e-9),
  );
  const fits = (x: number) =>
    goesOn(x, front + planeAt(x), short, long) && goesOn(depth - x, planeAt(x) + back, short, long);
  return places.filter(fits).sort((a, b) => Math.abs(a - depth / 2) - Math.abs(b - depth / 2))[0];
}
