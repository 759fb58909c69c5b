import type { Filled } from './bars';

/** Bars beyond which a plan is left as it is. */
const mostBars = 120;

/**
 * The same bars with their leftovers gathered: a piece goes over to a bar that is fuller and still has room, so that one long offcut
 * stands where there were two short ones. A bar that is emptied is not bought. Nothing is done that would add a set-up of the saw.
 */
export function consolidateOffcuts(bars: readonly Filled[], kerf: number): Filled[] {
  if (bars.length > mostBars) return [...bars];
  const open = bars.map(({ stock, pieces }) => ({ stock, pieces: [...pieces] }));
  const left = (bar: Filled) => bar.stock.room - bar.pieces.reduce((sum, { length }) => sum + length + kerf, 0);
  const pattern = (bar: Filled) =>
    `${bar.stock.id}|${bar.pieces
      .map(({ length }) => Math.round(length * 1e6))
      .sort((a, b) => b - a)
      .join()}`;
  const setups = () => new Set(open.filter(({ pieces }) => pieces.length > 0).map(pattern)).size;
  let now = setups();
  for (let moved = true; moved; ) {
    moved = false;
    for (const from of [...open].sort((a, b) => left(b) - left(a)))
      for (const piece of [...from.pieces])
        for (const to of open) {
          const room = left(to);
          // Only toward the fuller bar: then the longer leftover grows, and the search ends.
          if (to === from || to.pieces.length === 0 || room + 1e-7 < piece.length + kerf || room >= left(from) - 1e-7)
            continue;
          const at = from.pieces.indexOf(piece);
          from.pieces.splice(at, 1);
          to.pieces.push(piece);
          to.pieces.sort((a, b) => b.length - a.length);
          const then = setups();
          if (then <= now) {
            now = then;
            moved = true;
            break;
          }
          to.pieces.splice(to.pieces.indexOf(piece), 1);
          from.pieces.splice(at, 0, piece);
        }
  }
  return open.filter(({ pieces }) => pieces.length > 0);
}
