/** A length that is wanted so many times; m, its kerf taken along. */
export interface Wanted {
  size: number;
  count: number;
}

const tiny = 1e-7;

/**
 * Ways to fill a bar that no further piece goes into, each as how many of every wanted length. All of them, or undefined when there
 * are more than `most`.
 *
 * @param wanted longest first
 * @param room m, one kerf longer than the bar
 */
export function fillings(wanted: readonly Wanted[], room: number, most: number): number[][] | undefined {
  const found: number[][] = [];
  const take = wanted.map(() => 0);
  const visit = (index: number, left: number): boolean => {
    const one = wanted[index];
    if (!one) {
      const full = wanted.every(({ size, count }, place) => (take[place] ?? 0) >= count || size > left + tiny);
      if (full && take.some((count) => count > 0)) found.push([...take]);
      return found.length <= most;
    }
    for (let count = Math.min(one.count, Math.floor((left + tiny) / one.size)); count >= 0; count -= 1) {
      take[index] = count;
      if (!visit(index + 1, left - count * one.size)) return false;
    }
    take[index] = 0;
    return true;
  };
  return visit(0, room) ? found : undefined;
}

/**
 * The filling of one bar that is worth most at given worths of the lengths: a bounded knapsack, searched in the order of worth per
 * metre with the fractional filling as its bound. `whole` is false when the search was cut short.
 */
export function worthiest(
  wanted: readonly Wanted[],
  worths: readonly number[],
  room: number,
  budget = 200_000,
): { take: number[]; worth: number; whole: boolean } {
  const order = wanted
    .map(({ size, count }, index) => ({ index, size, count, worth: worths[index] ?? 0 }))
    .filter(({ worth }) => worth > 1e-12)
    .sort((a, b) => b.worth / b.size - a.worth / a.size);
  const take = wanted.map(() => 0);
  let best = { take: [...take], worth: 0 };
  let steps = 0;
  const visit = (place: number, left: number, worth: number): void => {
    steps += 1;
    if (worth > best.worth + 1e-12) best = { take: [...take], worth };
    const one = order[place];
    if (!one || steps > budget || worth + (left / one.size) * one.worth <= best.worth + 1e-12) return;
    for (let count = Math.min(one.count, Math.floor((left + tiny) / one.size)); count >= 0; count -= 1) {
      take[one.index] = count;
      visit(place + 1, left - count * one.size, worth + count * one.worth);
    }
    take[one.index] = 0;
  };
  visit(0, room, 0);
  return { ...best, whole: steps <= budget };
}
