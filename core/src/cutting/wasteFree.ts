import { evaluateOpen } from '../figures';
import { type Editable, type JobInShop, shopNow } from '../job';
import type { Habit } from '../quantity';
import {
  isProved,
  type MaterialPlan,
  type ProveOptions,
  proofKey,
  proveMaterial,
  type ShopPlan,
  sumShop,
} from '../shop';
import {
  candidates,
  cent,
  type Looked,
  look,
  type Sweep,
  type SweepOptions,
  stockCost,
  sweepDimension,
  type Waste,
  wasteIn,
} from './sweep';

/** Bars and sheets bought of one material, more or fewer. */
export interface StockChange {
  item: string;
  name: string;
  count: number;
}

/** A size worth stopping at. */
export interface WasteFreePoint {
  /** m. The dimension. */
  value: number;
  /** Money of all lengths and sheets against those of the size as it is: above zero is saved. */
  saves: number;
  /** Money of the whole job, against what it is. */
  cost: number;
  /** m of lengths and m² of sheets in no piece. */
  waste: Waste;
  stock: StockChange[];
  /** W of the whole job, against what it is. */
  heat: number;
  /** Whether the plans of all that the dimension moves are proved least, at this size and at the size as it is. */
  proved: boolean;
  /** Names of lengths that the dimension moves and of which, proved, nothing but the kerf is lost. */
  usedUp: string[];
  /** Whether those are all that the dimension moves. */
  wastesNothing: boolean;
  /** The farthest size that costs no more than the one as it is. */
  free: boolean;
}

/** Points that are shown on a tape at most: each is proved, and that takes a while. */
const mostPoints = 6;

/** Share of the heat that a size may lose and still be worth a stop: what saves more copper than that is another panel. Judgement. */
const mostLoss = 0.15;

/** m of a bar that may be lost beside its kerfs when it is said to waste nothing: what a squared end takes. */
const nothing = 0.005;

/**
 * The sizes of a dimension at which nothing, or less, is wasted, with what each saves: swept by the fast planners, the shown ones
 * proved.
 *
 * @returns those nearest to the size as it is, ascending; one whose proof does not bear out what the sweep promised, or that costs
 *   too much of the heat, is left out
 */
export async function wasteFreePoints(
  at: JobInShop,
  index: number,
  dimension: Editable,
  habit: Habit,
  options: SweepOptions & Omit<ProveOptions, 'onProgress'> = {},
): Promise<{ sweep: Sweep; points: WasteFreePoint[] }> {
  const sweep = sweepDimension(at, index, dimension, habit, options);
  const now = look(at, index, dimension.edit, dimension.value);
  if (!now) return { sweep, points: [] };
  const stopped = () => options.shouldStop?.() ?? false;
  const near = candidates(sweep, dimension.value, now)
    .map((one) => ({ ...one, distance: Math.abs(one.value - dimension.value) }))
    .sort((a, b) => a.distance - b.distance)
    .slice(0, mostPoints);
  const heat = evaluateOpen(now.open, {}, now.shop.plan).usefulHeat ?? 0;
  const { onProgress: _, shouldStop: __, reach: ___, ...proving } = options;
  const before = near.length > 0 ? await provedShop(now, proving) : undefined;
  const points: WasteFreePoint[] = [];
  for (const { value, free } of near) {
    const there = before && !stopped() ? look(at, index, dimension.edit, value) : undefined;
    if (!before || !there) continue;
    const after = await provedShop(there, proving);
    const saves = stockCost(before.materials) - stockCost(after.materials);
    const change = (evaluateOpen(there.open, {}, after).usefulHeat ?? Number.NEGATIVE_INFINITY) - heat;
    if ((free ? saves < -cent : saves < cent) || change < -mostLoss * heat) continue;
    // What the dimension does not move costs the same either way, proved or not.
    const proved = [...moved(before, after), ...moved(after, before)].every(isProved);
    points.push({
      value,
      saves,
      cost: after.cost - before.cost,
      waste: wasteIn(after),
      stock: stockChanges(before, after),
      heat: change,
      proved,
      ...usedUp(before, after),
      free,
    });
  }
  return { sweep, points: points.sort((a, b) => a.value - b.value) };
}

/** The plan of a job with every material proved as far as it can be. */
export async function provedShop(
  { shop, open }: Pick<Looked, 'shop' | 'open'>,
  options: Omit<ProveOptions, 'onProgress'> = {},
): Promise<ShopPlan> {
  const materials: MaterialPlan[] = [];
  for (const material of shop.plan.materials)
    materials.push(isProved(material) ? material : await proveMaterial(material, options));
  return sumShop(materials, shop.purchases, shopNow(open));
}

function bought(plan: ShopPlan, item: string): number {
  const material = plan.materials.find((one) => one.item === item);
  if (!material) return 0;
  return material.kind === 'length'
    ? material.plan.bars.reduce((sum, { count }) => sum + count, 0)
    : material.plan.sheets.length;
}

/** What is bought more or less of. */
export function stockChanges(before: ShopPlan, after: ShopPlan): StockChange[] {
  const items = new Map([...before.materials, ...after.materials].map(({ item, name }) => [item, name]));
  return [...items].flatMap(([item, name]) => {
    const count = bought(after, item) - bought(before, item);
    return count === 0 ? [] : [{ item, name, count }];
  });
}

/** Materials of one plan whose pieces or stock are not those of another. */
function moved(before: ShopPlan, after: ShopPlan): MaterialPlan[] {
  const known = new Set(before.materials.map(proofKey));
  return after.materials.filter((material) => !known.has(proofKey(material)));
}

/** Materials that the change moves and whose bars, proved, are used up but for kerfs and squared ends. */
function usedUp(before: ShopPlan, after: ShopPlan): Pick<WasteFreePoint, 'usedUp' | 'wastesNothing'> {
  const there = moved(before, after);
  const whole = there.filter(
    (material) =>
      material.kind === 'length' && isProved(material) && material.plan.bars.every(({ offcut }) => offcut <= nothing),
  );
  return { usedUp: whole.map(({ name }) => name), wastesNothing: there.length > 0 && whole.length === there.length };
}
