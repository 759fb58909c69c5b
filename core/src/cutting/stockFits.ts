import type { Job } from '../document';
import { evaluateOpen, figureChange } from '../figures';
import { type Editable, editableDimensions, fieldValue, type JobInShop, openJob, pathOf, withDimension } from '../job';
import type { Habit } from '../quantity';
import { candidates, cent, type Looked, look, type SweepOptions, sweepDimension } from './sweep';
import { type StockChange, stockChanges } from './wasteFree';

/** Fits that are told at most. */
const mostFits = 6;

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

function moveOf(
  job: Job,
  index: number,
  { label, value: from, edit }: Editable,
  to: number,
): StockFit['moves'][number] {
  return { label, path: `${pathOf(job, index)}.${edit.path}`, from, to, value: fieldValue(edit, to) };
}

/** Nothing where either design cannot be worked out. */
function fitOf(now: Looked, there: Looked, moves: StockFit['moves']): StockFit | undefined {
  const before = evaluateOpen(now.open, {}, now.shop.plan);
  const change = figureChange(before, evaluateOpen(there.open, {}, there.shop.plan));
  if (!change) return undefined;
  return {
    moves,
    saves: now.cost - there.cost,
    ...change,
    stock: stockChanges(now.shop.plan, there.shop.plan),
  };
}

/** Whether a dimension leaves the pane as it is: a pane on hand is not to be stretched. */
function keepsPane(at: JobInShop, index: number, dimension: Editable): boolean {
  const aperture = (size: number) => look(at, index, dimension.edit, size)?.open.panels[index]?.design.areas.aperture;
  const here = aperture(dimension.value);
  const step = dimension.value + 0.002 <= dimension.edit.high ? 0.002 : -0.002;
  const there = aperture(dimension.value + step);
  return here !== undefined && there !== undefined && Math.abs(here - there) < 1e-9;
}

/**
 * Every dimension but the pane's as large as the stock that is bought anyway allows, one after the other as they are drawn. Nothing costs more stock, nothing clashes and no heat is lost.
 *
 * @returns undefined where nothing can grow
 */
export function stretchToStock(
  at: JobInShop,
  index: number,
  habit: Habit,
  options: SweepOptions = {},
): StockFit | undefined {
  const now = firstLook(at, index);
  if (!now) return undefined;
  let best = now;
  const moves: StockFit['moves'] = [];
  const dimensions = editableDimensions(now.open, index).filter((one) => keepsPane(at, index, one));
  dimensions.forEach((dimension, place) => {
    if (options.shouldStop?.()) return;
    const current = editableDimensions(best.open, index).find(({ id }) => id === dimension.id);
    if (!current) return;
    const sweep = sweepDimension(best.open, index, current, habit, {
      ...options,
      onProgress: (share) => options.onProgress?.((place + share) / dimensions.length),
    });
    const free = candidates(sweep, current.value, best).find((one) => one.free);
    const there = free && look(best.open, index, current.edit, free.value);
    if (!free || !there) return;
    const heat = (one: Looked) => evaluateOpen(one.open, {}, one.shop.plan).usefulHeat ?? Number.NEGATIVE_INFINITY;
    if (heat(there) < heat(best) - 1e-6) return;
    moves.push(moveOf(at.job, index, current, free.value));
    best = there;
  });
  return moves.length > 0 ? fitOf(now, best, moves) : undefined;
}

/** Ways to buy one length or sheet less by making one dimension smaller, least heat lost for the money first. */
export function shrinkToSave(at: JobInShop, index: number, habit: Habit, options: SweepOptions = {}): StockFit[] {
  const now = firstLook(at, index);
  if (!now) return [];
  const dimensions = editableDimensions(now.open, index);
  const fits = dimensions.flatMap((dimension, place): StockFit[] => {
    if (options.shouldStop?.()) return [];
    const sweep = sweepDimension(at, index, dimension, habit, {
      ...options,
      onProgress: (share) => options.onProgress?.((place + share) / dimensions.length),
    });
    const nearest = candidates(sweep, dimension.value, now)
      .filter(({ value, free }) => !free && value < dimension.value)
      .sort((a, b) => b.value - a.value)[0];
    const there = nearest && look(at, index, dimension.edit, nearest.value);
    const fit = there && fitOf(now, there, [moveOf(at.job, index, dimension, nearest.value)]);
    return fit ? [fit] : [];
  });
  return fits.sort((a, b) => b.heat / b.saves - a.heat / a.saves);
}

/**
 * A dimension together with each other one that keeps the pane: the other swept at every size of the first that is worth a stop.
 *
 * @returns pairs that save more than either dimension alone, best saving first
 */
export function sweepTogether(
  at: JobInShop,
  index: number,
  first: Editable,
  habit: Habit,
  options: SweepOptions = {},
): StockFit[] {
  const now = firstLook(at, index);
  if (!now) return [];
  const { reach = 0.2, onProgress, shouldStop } = options;
  const sweepOptions = { reach, ...(shouldStop ? { shouldStop } : {}) };
  const stops = (from: JobInShop, dimension: Editable, now: Looked) =>
    candidates(sweepDimension(from, index, dimension, habit, sweepOptions), dimension.value, now);
  const least = (dimension: Editable, values: readonly { value: number }[]) =>
    Math.min(
      now.cost,
      ...values.map(({ value }) => look(at, index, dimension.edit, value)?.cost ?? Number.POSITIVE_INFINITY),
    );
  const alone = stops(at, first, now);
  const leastFirst = least(first, alone);
  const others = editableDimensions(now.open, index).filter(
    (one) => one.edit.path !== first.edit.path && keepsPane(at, index, one),
  );
  const fits = others.flatMap((second, place): StockFit[] => {
    const leastAlone = Math.min(leastFirst, least(second, stops(at, second, now)));
    return alone.flatMap(({ value }, step): StockFit[] => {
      if (shouldStop?.()) return [];
      onProgress?.((place + step / alone.length) / others.length);
      const moved = { ...at, job: withDimension(at.job, index, first.edit, value) };
      const again = look(at, index, first.edit, value);
      const current = again && editableDimensions(again.open, index).find(({ id }) => id === second.id);
      if (!again || !current) return [];
      return stops(moved, current, again)
        .filter(({ free }) => !free)
        .flatMap((point) => {
          const there = look(moved, index, current.edit, point.value);
          return there && there.cost < leastAlone - cent
            ? (fitOf(now, there, [moveOf(at.job, index, first, value), moveOf(at.job, index, current, point.value)]) ??
                [])
            : [];
        });
    });
  });
  return fits.sort((a, b) => b.saves - a.saves || b.heat - a.heat).slice(0, mostFits);
}

function firstLook(at: JobInShop, index: number): Looked | undefined {
  const open = openJob(at.job, at.state);
  const [any] = editableDimensions(open, index);
  return any && look(at, index, any.edit, any.value);
}
