import { entry } from '../catalogue';
import type { Habit } from '../quantity';
import { barPiece, type Part, type Recess, type Span } from '../shop';
import type { GlazingDesign } from './glazing';

type PaneBars = GlazingDesign['bars'];

/** m. Room beside the flange of a bar in its slot. */
const slotRoom = 0.001;

/** The T bars that hold a pane up, of a shop by its tape. */
function barOf(tape: Habit) {
  return entry('bar', tape === 'metric' ? 'tee-20x20x2' : 'tee-3_4x3_4x1_16');
}

/** m along a length: the middle of each bar, so that they part it evenly. */
export function paneBarPlaces(count: number, length: number): number[] {
  return Array.from({ length: count }, (_, index) => (length * (index + 1)) / (count + 1));
}

/**
 * Bars across under a pane: the flange lies let into what the pane bears on, the stem hangs between.
 *
 * @param at.length m, from end to end of the flange
 * @param at.stem m that the stem is cut back at each end
 */
export function paneBarParts(
  prefix: string,
  { count }: PaneBars,
  at: { length: number; stem: number; tape: Habit },
): Part[] {
  if (count === 0) return [];
  const bar = barOf(at.tape);
  const notch = (from: number, to: number): Recess => ({
    kind: 'notch',
    where: 'in the stem',
    purpose: 'so that the flange bears',
    along: { from, to },
    up: { from: (bar.width - bar.thickness) / 2, to: (bar.width + bar.thickness) / 2 },
    into: { from: bar.thickness, to: bar.height },
    onFace: true,
  });
  return [
    barPiece(prefix, bar, 'pane-bar', 'Bar under the pane', {
      length: at.length,
      count,
      operations: ['file the edges smooth, paint it black'],
      recesses: [notch(0, at.stem), notch(at.length - at.stem, at.length)],
    }),
  ];
}

/**
 * Slots in what a pane bears on, for the flanges of its bars to lie flush.
 *
 * @param places m along the board, the middle of each bar
 * @param board.up m, height of the bearing in the board's frame
 * @param board.into m, the breadth of the bearing through the board's thickness
 */
export function paneBarSlots(places: readonly number[], board: { up: number; into: Span; tape: Habit }): Recess[] {
  const bar = barOf(board.tape);
  return places.map((at) => ({
    kind: 'slot',
    where: 'in the bearing of the pane',
    purpose: 'for a pane bar',
    along: { from: at - bar.width / 2 - slotRoom, to: at + bar.width / 2 + slotRoom },
    up: { from: board.up - bar.thickness, to: board.up },
    into: board.into,
  }));
}
