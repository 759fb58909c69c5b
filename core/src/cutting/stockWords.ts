import { formatMoney } from '../quantity';
import type { StockFit } from './stockFits';
import { cent } from './sweep';
import type { StockChange, WasteFreePoint } from './wasteFree';

/** The point in a few words for the tape. */
export function sayPoint(point: WasteFreePoint, currency: string): string {
  const saves = point.saves > cent ? `saves ${money(point.saves, currency)}` : '';
  const waste = point.wastesNothing ? 'wastes nothing' : point.usedUp.length > 0 ? `${point.usedUp[0]} used up` : '';
  return [saves, waste].filter(Boolean).join(', ') || 'stock stretched to here';
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

function money(value: number, currency: string): string {
  return formatMoney(value, currency, value < 10 ? 1 : 0);
}

function stockWords(stock: readonly StockChange[]): string[] {
  return stock.map(({ name, count }) => `${Math.abs(count)} ${count < 0 ? 'less' : 'more'} of ${name}`);
}

function sentenceOf(words: readonly string[]): string {
  return words.filter(Boolean).join(', ');
}
