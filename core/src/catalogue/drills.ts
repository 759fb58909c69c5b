import type { Habit } from '../quantity';

/** m. Least and most room round a riser in its hole for solder to run in and hold. Trade. */
const fit = { least: 0.00005, most: 0.0003 };

/** m. Sizes that drills are sold by: tenths to 14 mm and halves above, as sets have them (trade); 64ths of an inch. */
function stepAt(diameter: number, habit: Habit): number {
  if (habit === 'imperial') return 0.0254 / 64;
  return diameter < 0.014 ? 0.0001 : 0.0005;
}

/**
 * The finished drill for a tube that shall slide in: the smallest that leaves a solder gap, or, where the next one up is too
 * loose, the tube's own size, eased with a file.
 *
 * @param diameter m, outside of the tube
 */
export function drillFor(diameter: number, habit: Habit): { diameter: number; eased: boolean } {
  const step = stepAt(diameter, habit);
  const next = Math.ceil((diameter + fit.least) / step - 1e-6) * step;
  return next - diameter <= fit.most + 1e-9 ? { diameter: next, eased: false } : { diameter, eased: true };
}
