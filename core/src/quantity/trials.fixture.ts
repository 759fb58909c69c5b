/** Set by `npm run fuzz`: every trial is made as often as a night allows. */
declare const process: { env: Record<string, string | undefined> };

export const everyTrial = process.env.TRIALS === 'all';

/** How often a trial is made: as often as a change may cost in `npm test`, or all of it in `npm run fuzz`. `scripts/fuzz.mjs` has the table. */
export function trials(usual: number, all: number): number {
  return everyTrial ? all : usual;
}

/** Some of a list, evenly spread over it with its first; all of it in `npm run fuzz`. */
export function someOf<T>(all: readonly T[], usual: number): T[] {
  if (everyTrial || all.length <= usual) return [...all];
  return Array.from({ length: usual }, (_, index) => all[Math.floor((index * all.length) / usual)] as T);
}
