import type { Extent } from './model';

/** A part of a drawing that goes on one piece of paper; m. */
export interface Tile {
  x: number;
  y: number;
  width: number;
  height: number;
  /** From zero, left to right and bottom to top. */
  column: number;
  row: number;
  columns: number;
  rows: number;
}

/**
 * A drawing cut into pieces that go on paper at full size, each lapping over the next.
 *
 * @param room m of paper that can be printed on, across and up
 * @param lap m by which neighbours show the same
 */
export function tiles(box: Extent, room: { width: number; height: number }, lap: number): Tile[] {
  const steps = (size: number, each: number) => (size <= each ? 1 : 1 + Math.ceil((size - each) / (each - lap) - 1e-9));
  const columns = steps(box.width, room.width);
  const rows = steps(box.height, room.height);
  return Array.from({ length: rows * columns }, (_, index) => {
    const column = index % columns;
    const row = Math.floor(index / columns);
    const x = box.left + column * (room.width - lap);
    const y = box.bottom + row * (room.height - lap);
    return {
      x,
      y,
      width: Math.min(room.width, box.left + box.width - x),
      height: Math.min(room.height, box.bottom + box.height - y),
      column,
      row,
      columns,
      rows,
    };
  });
}
