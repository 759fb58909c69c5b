import type { Edit } from '../draw';
import { formatMoney, type Habit, tapeMark } from '../quantity';
import {
  isProved,
  type MaterialPlan,
  type ProveOptions,
  proofKey,
  proveMaterial,
  type ShopPlan,
  sumShop,
} from '../shop';
import { type JobShop, jobShop } from './cutList';
import { type Editable, editableDimensions, fieldValue, withDimension } from './dimension';
import { evaluateOpen } from './evaluate';
import { type OpenJob, openJob } from './open';
import type { Job } from './schema';

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
  /** Money of all lengths and sheets against those of the size as it is: above nought is saved. */
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

interface Looked {
  open: OpenJob;
  shop: JobShop;
  cost: number;
  waste: Waste;
  clashes: number;
}

/** The job with the dimension at a size; undefined where that makes no panel or no stock holds its pieces. */
function look(job: Job, index: number, edit: Edit, size: number): Looked | undefined {
  try {
    const open = openJob(withDimension(job, index, edit, size));
    const shop = jobShop(open);
    if (shop.plan.materials.some(({ plan }) => plan.unplaced.length > 0)) return undefined;
    const clashes = open.panels[index]?.design.findings.length ?? 0;
    return { open, shop, cost: stockCost(shop.plan.materials), waste: wasteIn(shop.plan), clashes };
  } catch (error) {
    if (error instanceof RangeError) return undefined;
    throw error;
  }
}

function stockCost(materials: readonly MaterialPlan[]): number {
  return materials.reduce((sum, { plan }) => sum + plan.cost, 0);
}

function wasteIn(plan: ShopPlan): Waste {
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
  job: Job,
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
  const now = look(job, index, dimension.edit, dimension.value);
  for (let place = 0; place < values.length; place += 1) {
    if (shouldStop?.()) break;
    if (place % 20 === 0) onProgress?.(place / values.length);
    const there = look(job, index, dimension.edit, values[place] ?? dimension.value);
    if (!there || there.clashes > (now?.clashes ?? 0)) continue;
    sweep.cost[place] = there.cost;
    sweep.lengths[place] = there.waste.lengths;
    sweep.sheets[place] = there.waste.sheets;
  }
  onProgress?.(1);
  return sweep;
}

const cent = 0.005;

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
  job: Job,
  index: number,
  dimension: Editable,
  habit: Habit,
  options: SweepOptions & Pick<ProveOptions, 'solver' | 'seconds'> = {},
): Promise<{ sweep: Sweep; points: WasteFreePoint[] }> {
  const sweep = sweepDimension(job, index, dimension, habit, options);
  const now = look(job, index, dimension.edit, dimension.value);
  if (!now) return { sweep, points: [] };
  const stopped = () => options.shouldStop?.() ?? false;
  const near = candidates(sweep, dimension.value, now)
    .map((one) => ({ ...one, distance: Math.abs(one.value - dimension.value) }))
    .sort((a, b) => a.distance - b.distance)
    .slice(0, mostPoints);
  const heat = evaluateOpen(now.open, {}, now.shop.plan).usefulHeat;
  const before = near.length > 0 ? await provedShop(now, options) : undefined;
  const points: WasteFreePoint[] = [];
  for (const { value, free } of near) {
    const there = before && !stopped() ? look(job, index, dimension.edit, value) : undefined;
    if (!before || !there) continue;
    const after = await provedShop(there, options);
    const saves = stockCost(before.materials) - stockCost(after.materials);
    const change = evaluateOpen(there.open, {}, after).usefulHeat - heat;
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
  options: Pick<ProveOptions, 'solver' | 'seconds'> = {},
): Promise<ShopPlan> {
  const { solver, seconds } = options;
  const how = { ...(solver ? { solver } : {}), ...(seconds === undefined ? {} : { seconds }) };
  const materials: MaterialPlan[] = [];
  for (const material of shop.plan.materials)
    materials.push(isProved(material) ? material : await proveMaterial(material, how));
  return sumShop(materials, shop.purchases, open.job.shop);
}

function bought(plan: ShopPlan, item: string): number {
  const material = plan.materials.find((one) => one.item === item);
  if (!material) return 0;
  return material.kind === 'length'
    ? material.plan.bars.reduce((sum, { count }) => sum + count, 0)
    : material.plan.sheets.length;
}

function stockChanges(before: ShopPlan, after: ShopPlan): StockChange[] {
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

/** The point in a few words for the tape. */
export function sayPoint(point: WasteFreePoint, currency: string): string {
  const saves = point.saves > cent ? `saves ${money(point.saves, currency)}` : '';
  const waste = point.wastesNothing ? 'wastes nothing' : point.usedUp.length > 0 ? `${point.usedUp[0]} used up` : '';
  return [saves, waste].filter(Boolean).join(', ') || 'stock stretched to here';
}

function money(value: number, currency: string): string {
  return formatMoney(value, currency, value < 10 ? 1 : 0);
}

/** What a point changes, in a sentence for a list. */
export function sayPointFully(point: WasteFreePoint, currency: string): string {
  return sentenceOf([
    point.saves > cent ? `saves ${money(point.saves, currency)} of stock` : 'costs no more stock',
    ...stockWords(point.stock),
    ...point.usedUp.map((name) => `${name} used up`),
    point.proved ? 'proved' : 'by the best plans found',
  ]);
}

/** What a change of the panel comes to, in a sentence. */
export function sayFit(fit: StockFit, currency: string): string {
  return sentenceOf([
    fit.saves > cent ? `saves ${money(fit.saves, currency)} of stock` : 'costs no more stock',
    ...stockWords(fit.stock),
    fit.cost > 0.5
      ? `${money(fit.cost, currency)} more in all`
      : fit.cost < -0.5
        ? `${money(-fit.cost, currency)} less in all`
        : '',
  ]);
}

function stockWords(stock: readonly StockChange[]): string[] {
  return stock.map(({ name, count }) => `${Math.abs(count)} ${count < 0 ? 'less' : 'more'} of ${name}`);
}

function sentenceOf(words: readonly string[]): string {
  return words.filter(Boolean).join(', ');
}

/** One way to change a panel so that stock is used better. */
export interface StockFit {
  /** Dimensions moved: label, path in the job, m on the drawing before and after, and the parameter to set. */
  moves: { label: string; path: string; from: number; to: number; value: number }[];
  /** Money for lengths and sheets and for the whole job, and W, against what they are. */
  saves: number;
  cost: number;
  heat: number;
  stock: StockChange[];
}

function moveOf(index: number, { label, value: from, edit }: Editable, to: number): StockFit['moves'][number] {
  return { label, path: `panels.${index}.${edit.path}`, from, to, value: fieldValue(edit, to) };
}

function fitOf(now: Looked, there: Looked, moves: StockFit['moves']): StockFit {
  const before = evaluateOpen(now.open, {}, now.shop.plan);
  const after = evaluateOpen(there.open, {}, there.shop.plan);
  return {
    moves,
    saves: now.cost - there.cost,
    cost: after.cost - before.cost,
    heat: after.usefulHeat - before.usefulHeat,
    stock: stockChanges(now.shop.plan, there.shop.plan),
  };
}

/** Whether a dimension leaves the pane as it is: a pane on hand is not to be stretched. */
function keepsPane(job: Job, index: number, dimension: Editable): boolean {
  const aperture = (size: number) => look(job, index, dimension.edit, size)?.open.panels[index]?.design.areas.aperture;
  const here = aperture(dimension.value);
  const step = dimension.value + 0.002 <= dimension.edit.high ? 0.002 : -0.002;
  const there = aperture(dimension.value + step);
  return here !== undefined && there !== undefined && Math.abs(here - there) < 1e-9;
}

/**
 * Every dimension but the pane's as large as the stock that is bought anyway allows, one after the other, those that gain most heat
 * first. Nothing costs more stock, nothing clashes and no heat is lost.
 *
 * @returns undefined where nothing can grow
 */
export function stretchToStock(
  job: Job,
  index: number,
  habit: Habit,
  options: SweepOptions = {},
): StockFit | undefined {
  const now = firstLook(job, index);
  if (!now) return undefined;
  let best = now;
  const moves: StockFit['moves'] = [];
  const dimensions = editableDimensions(now.open, index).filter((one) => keepsPane(job, index, one));
  dimensions.forEach((dimension, place) => {
    if (options.shouldStop?.()) return;
    const current = editableDimensions(best.open, index).find(({ id }) => id === dimension.id);
    if (!current) return;
    const sweep = sweepDimension(best.open.job, index, current, habit, {
      ...options,
      onProgress: (share) => options.onProgress?.((place + share) / dimensions.length),
    });
    const free = candidates(sweep, current.value, best).find((one) => one.free);
    const there = free && look(best.open.job, index, current.edit, free.value);
    if (!free || !there) return;
    const heat = (one: Looked) => evaluateOpen(one.open, {}, one.shop.plan).usefulHeat;
    if (heat(there) < heat(best) - 1e-6) return;
    moves.push(moveOf(index, current, free.value));
    best = there;
  });
  return moves.length > 0 ? fitOf(now, best, moves) : undefined;
}

/** Ways to buy one length or sheet less by making one dimension smaller, least heat lost for the money first. */
export function shrinkToSave(job: Job, index: number, habit: Habit, options: SweepOptions = {}): StockFit[] {
  const now = firstLook(job, index);
  if (!now) return [];
  const dimensions = editableDimensions(now.open, index);
  const fits = dimensions.flatMap((dimension, place): StockFit[] => {
    if (options.shouldStop?.()) return [];
    const sweep = sweepDimension(job, index, dimension, habit, {
      ...options,
      onProgress: (share) => options.onProgress?.((place + share) / dimensions.length),
    });
    const nearest = candidates(sweep, dimension.value, now)
      .filter(({ value, free }) => !free && value < dimension.value)
      .sort((a, b) => b.value - a.value)[0];
    const there = nearest && look(job, index, dimension.edit, nearest.value);
    return there ? [fitOf(now, there, [moveOf(index, dimension, nearest.value)])] : [];
  });
  return fits.sort((a, b) => b.heat / b.saves - a.heat / a.saves);
}

/**
 * Two dimensions together: the second swept at every size of the first that is worth a stop. Best saving first.
 *
 * @returns pairs that save more than either dimension alone
 */
export function sweepTogether(
  job: Job,
  index: number,
  [first, second]: readonly [Editable, Editable],
  habit: Habit,
  options: SweepOptions = {},
): StockFit[] {
  const now = firstLook(job, index);
  if (!now) return [];
  const alone = candidates(sweepDimension(job, index, first, habit, options), first.value, now);
  const other = candidates(sweepDimension(job, index, second, habit, options), second.value, now);
  const costAt = (job: Job, { edit }: Editable, values: readonly { value: number }[]) =>
    Math.min(now.cost, ...values.map(({ value }) => look(job, index, edit, value)?.cost ?? Number.POSITIVE_INFINITY));
  const least = Math.min(costAt(job, first, alone), costAt(job, second, other));
  const fits = alone.flatMap(({ value }, place): StockFit[] => {
    if (options.shouldStop?.()) return [];
    options.onProgress?.(place / alone.length);
    const moved = withDimension(job, index, first.edit, value);
    const again = look(job, index, first.edit, value);
    const current = again && editableDimensions(again.open, index).find(({ id }) => id === second.id);
    if (!again || !current) return [];
    return candidates(
      sweepDimension(moved, index, current, habit, { reach: options.reach ?? 0.4 }),
      current.value,
      again,
    )
      .filter(({ free }) => !free)
      .flatMap((point) => {
        const there = look(moved, index, current.edit, point.value);
        return there && there.cost < least - cent
          ? [fitOf(now, there, [moveOf(index, first, value), moveOf(index, current, point.value)])]
          : [];
      });
  });
  return fits.sort((a, b) => b.saves - a.saves || b.heat - a.heat).slice(0, mostPoints);
}

function firstLook(job: Job, index: number): Looked | undefined {
  const open = openJob(job);
  const [any] = editableDimensions(open, index);
  return any && look(job, index, any.edit, any.value);
}
