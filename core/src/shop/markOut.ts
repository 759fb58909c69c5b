import type { HoleSchedule, Part } from './part';

/** m. Corner to corner of a sheet piece: equal both ways when it is square. */
export function diagonalOf(part: Part): number | undefined {
  return part.kind === 'sheet' ? Math.hypot(part.width, part.height) : undefined;
}

/** m. From the centre of a hole to its edges, along the row: toward the datum and away from it, a slot's drawn-out end included. */
export function holeReach({ diameter, slot = 0 }: HoleSchedule): { least: number; most: number } {
  return { least: diameter / 2, most: diameter / 2 + slot };
}
