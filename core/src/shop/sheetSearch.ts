import { evenly } from '../quantity';
import {
  betterLayout,
  type Layout,
  lay,
  type One,
  quickLayout,
  type SheetPlan,
  type SheetQuery,
  sheetOrders,
  sheetPlan,
  sheetSplits,
  sheetTask,
} from './sheets';

export interface SheetSearchOptions {
  /** Orders that are tried at most, 600 by default. */
  tries?: number;
  /** s that the search may take in all, 2 by default; the quick plan before it is told at once. */
  seconds?: number;
  /** ms that have passed; the clock of the machine when left out. */
  clock?(): number;
  /** The same seed finds the same plan. */
  seed?: number;
  /** Told of each better plan. */
  onProgress?(plan: SheetPlan): void;
}

/**
 * Plans pieces on sheets with cuts that go edge to edge: the quick plan, then orders shaken up from the best ones so far, until the
 * cost stands at the bound, or the tries or the time are used up. Every plan is guillotine and keeps the grain of pieces that may not turn.
 *
 * @returns never dearer than `planSheetsFast`; `bound` is money that no plan can undercut, and `proof` says whether it is reached
 */
export async function planSheets(query: SheetQuery, options: SheetSearchOptions = {}): Promise<SheetPlan> {
  const clock = options.clock ?? Date.now;
  const until = clock() + 1000 * (options.seconds ?? 2);
  const task = sheetTask(query);
  let best: Layout = quickLayout(task);
  options.onProgress?.(sheetPlan(task, best));
  const random = evenly(options.seed ?? 1);
  const tries = task.singles.length < 2 ? 0 : (options.tries ?? 600);
  const kinds = [
    task.stock,
    ...task.stock.map((one) => task.stock.filter((other) => other === one || other.price === 0)),
  ];
  const pick = <T>(list: readonly T[]): T | undefined => list[Math.floor(random() * list.length)];
  let order: One[] = [...task.singles].sort(sheetOrders[0]);
  for (let attempt = 0; attempt < tries; attempt += 1) {
    if (clock() >= until || (best.left.length === 0 && best.cost <= task.bound + 1e-9)) break;
    const tried = attempt % 40 === 0 ? [...task.singles].sort(pick(sheetOrders)) : [...order];
    for (let swaps = 1 + Math.floor(random() * 4); swaps > 0; swaps -= 1) {
      const [a, b] = [Math.floor(random() * tried.length), Math.floor(random() * tried.length)];
      const [one, other] = [tried[a], tried[b]];
      if (one && other) [tried[a], tried[b]] = [other, one];
    }
    const layout = lay(tried, pick(kinds) ?? task.stock, task.kerf, pick(sheetSplits) ?? 'short');
    if (!betterLayout(layout, best)) continue;
    best = layout;
    order = tried;
    options.onProgress?.(sheetPlan(task, best));
  }
  return sheetPlan(task, best);
}
