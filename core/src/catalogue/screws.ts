import { type Habit, inch } from '../quantity';

/** m. Lengths of stainless wood screws as sold: 4 mm in metric shops, number 8 in American ones. Trade. */
const lengths: Record<Habit, readonly number[]> = {
  metric: [16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 100].map((length) => length / 1000),
  imperial: [0.625, 0.75, 1, 1.25, 1.5, 1.75, 2, 2.5, 3, 3.5].map((length) => length * inch),
};

/** m. The longest screw sold that is no longer than this; the shortest where all are. */
export function screwUpTo(most: number, tape: Habit): number {
  const fits = lengths[tape].filter((length) => length <= most + 1e-9);
  return fits[fits.length - 1] ?? lengths[tape][0] ?? most;
}

/** m. The shortest screw sold that is at least so long; the longest where none is. */
export function screwFrom(least: number, tape: Habit): number {
  const all = lengths[tape];
  return all.find((length) => length >= least - 1e-9) ?? all[all.length - 1] ?? least;
}
