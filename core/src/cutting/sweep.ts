import type { Edit } from '../draw';
import type { JobInShop, OpenJob } from '../job';
import { type Editable, type JobShop, jobShop, openWith } from '../job';
import { type Habit, tapeMark } from '../quantity';
import type { MaterialPlan, ShopPlan } from '../shop';

export interface Waste {
  lengths: number;
  sheets: number;
}

/** Money and waste of the job over one dimension, a mark of the tape apart. */
export interface Sweep {
  values: Float64Array;
  /** Money for lengths and sheets; not a number where the panel cannot be so, clashes or has no stock. */
  cost: Float64Array;
  /** m and m². */
  lengths: Float64Array;
  sheets: Float64Array;
}

export interface SweepOptions {
  /** m to either side that are looked at; 0.4 by default, the whole range with Infinity. */
  reach?: number;
  /** Share of the sweep that is done. */
  onProgress?(share: number): void;
  shouldStop?(): boolean;
}

/** A job with one dimension at a size: opened, planned and added up. */
export interface Looked {
  open: OpenJob;
  shop: JobShop;
  cost: number;
  waste: Waste;
  clashes: number;
}

/** The job with the dimension at a size; undefined where that makes no panel or no stock holds its pieces. */
export function look(at: JobInShop, index: number, edit: Edit, size: number): Looked | undefined {
  const open = openWith(at, index, edit, size);
  if (!open) return undefined;
  const shop = jobShop(open);
  if (shop.plan.materials.some(({ plan }) => plan.unplaced.length > 0)) return undefined;
  const clashes = open.panels[index]?.design.findings.length ?? 0;
  return { open, shop, cost: stockCost(shop.plan.materials), waste: wasteIn(shop.plan), clashes };
}

/** Money for all lengths and sheets. */
export function stockCost(materials: readonly MaterialPlan[]): number {
  return materials.reduce((sum, { plan }) => sum + plan.cost, 0);
}

/** What of them is in no piece. */
export function wasteIn(plan: ShopPlan): Waste {
  const of = (kind: MaterialPlan['kind']) =>
    plan.materials.filter((one) => one.kind === kind).reduce((sum, one) => sum + one.plan.waste, 0);
  return { lengths: of('length'), sheets: of('sheet') };
}

/** Marks of the tape that a dimension may stand at within its limits, ascending; m. */
function marksOf({ value, edit }: Editable, habit: Habit, reach: number): number[] {
  const step = tapeMark(habit);
  const first = Math.ceil((Math.max(edit.low, value - reach) - 1e-9) / step);
  const last = Math.floor((Math.min(edit.high, value + reach) + 1e-9) / step);
  return Array.from({ length: Math.max(0, last - first + 1) }, (_, index) => (first + index) * step);
}

/**
 * Money and waste of the whole job as a function of one dimension of a panel, at every mark of the tape, by the fast planners.
 * Sizes that clash where the size as it is does not have no cost.
 */
export function sweepDimension(
  at: JobInShop,
  index: number,
  dimension: Editable,
  habit: Habit,
  { reach = 0.4, onProgress, shouldStop }: SweepOptions = {},
): Sweep {
  const values = Float64Array.from(marksOf(dimension, habit, reach));
  const sweep: Sweep = {
    values,
    cost: new Float64Array(values.length).fill(Number.NaN),
    lengths: new Float64Array(values.length).fill(Number.NaN),
    sheets: new Float64Array(values.length).fill(Number.NaN),
  };
  const now = look(at, index, dimension.edit, dimension.value);
  for (let place = 0; place < values.length; place += 1) {
    if (shouldStop?.()) break;
    if (place % 20 === 0) onProgress?.(place / values.length);
    const there = look(at, index, dimension.edit, values[place] ?? dimension.value);
    if (!there || there.clashes > (now?.clashes ?? 0)) continue;
    sweep.cost[place] = there.cost;
    sweep.lengths[place] = there.waste.lengths;
    sweep.sheets[place] = there.waste.sheets;
  }
  onProgress?.(1);
  return sweep;
}

/** Money below which two plans cost the same. */
export const cent = 0.005;

/**
 * Sizes worth stopping at in a sweep: on either side the nearest size that costs less than all nearer ones, and the farthest larger
 * size that costs no more than the one as it is and leaves less over. Ascending.
 *
 * @param value m. The size as it is
 * @param now its money and waste
 */
export function candidates(
  sweep: Sweep,
  value: number,
  { cost, waste }: { cost: number; waste: Waste },
): { value: number; free: boolean }[] {
  const found: { value: number; free: boolean }[] = [];
  const { values, cost: costs } = sweep;
  const walk = (places: readonly number[]) => {
    let least = cost;
    for (const place of places) {
      const there = costs[place] ?? Number.NaN;
      if (!(there < least - cent)) continue;
      least = there;
      found.push({ value: values[place] ?? value, free: false });
    }
  };
  const places = Array.from(values.keys());
  const below = places.filter((place) => (values[place] ?? 0) < value - 1e-7).reverse();
  const above = places.filter((place) => (values[place] ?? 0) > value + 1e-7);
  walk(below);
  walk(above);
  let farthest: number | undefined;
  for (const place of above) {
    if (!((costs[place] ?? Number.NaN) <= cost + cent)) break;
    const less =
      (sweep.lengths[place] ?? Number.NaN) < waste.lengths - 1e-6 ||
      (sweep.sheets[place] ?? Number.NaN) < waste.sheets - 1e-6;
    if (less) farthest = values[place];
  }
  if (farthest !== undefined && !found.some((one) => Math.abs(one.value - (farthest ?? 0)) < 1e-7))
    found.push({ value: farthest, free: true });
  return found.sort((a, b) => a.value - b.value);
}
