import type { Job } from '../document';
import { guidePrices, type ShopPlan } from '../shop';
import type { FieldChanges } from './cutting';

/**
 * Guide prices for what a job has none for: things that were not sold when it was begun, or that its builder took off the list.
 *
 * @returns nothing where the guide knows none of them either
 */
export function guideForUnpriced(job: Job, plan: ShopPlan): FieldChanges {
  const guide = guidePrices(job.units);
  const keys = plan.buy.flatMap(({ price, priceField }) =>
    price === undefined && priceField?.[0] === 'prices' && priceField[1] ? [priceField[1]] : [],
  );
  const prices = Object.fromEntries(
    keys.flatMap((key) => {
      const price = guide.prices[key];
      return price === undefined ? [] : [[key, price] as const];
    }),
  );
  const items = new Set(plan.materials.flatMap(({ item, priced }) => (priced ? [] : [item])));
  const sold = guide.sold.filter(({ item }) => items.has(item));
  return [
    ...Object.entries(prices).map(([key, value]) => ({ path: ['shop', 'prices', key], value })),
    ...sold.map(({ id, ...one }) => ({ path: ['shop', 'sold', id], value: one })),
  ];
}
