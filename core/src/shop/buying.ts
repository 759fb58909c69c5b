import { entryName, findEntry } from '../catalogue';
import { type LengthPlan, type LengthStock, planLengthsFast } from './lengths';
import type { Part, Purchase } from './part';
import { planSheetsFast, type SheetPlan, type SheetStock } from './sheets';
import { type OnHand, type Sold, usualLengths } from './stock';

/** What the shop and the shed have, as the job keeps it. */
export interface Shop {
  sold: readonly Sold[];
  onHand: readonly OnHand[];
  /** Money per unit, by price key. */
  prices: Readonly<Record<string, number>>;
  /** m. */
  kerfs: { tube: number; timber: number; sheet: number };
  /** Share bought over what the rule gives, for things measured out and not counted. */
  spares: { consumables: number };
}

/** One material with its pieces and how they come out of what is to be had. */
export type MaterialPlan = { item: string; name: string; parts: Part[]; priced: boolean } & (
  | { kind: 'length'; plan: LengthPlan; stock: LengthStock[] }
  | { kind: 'sheet'; plan: SheetPlan; stock: SheetStock[] }
);

export interface BuyLine {
  id: string;
  name: string;
  quantity: number;
  unit: Purchase['unit'];
  /** Money for one; absent when no price is known. */
  each?: number;
  /** Money for all of it. */
  price?: number;
  /** Where the price stands in the shop of the job (`sold.3.price`, `prices.cap`); absent for what is on hand. */
  priceField?: string;
  rule: string;
}

export interface ShopPlan {
  materials: MaterialPlan[];
  buy: BuyLine[];
  cost: number;
  /** Names of what has no price, so that the sum is not taken for the whole. */
  unpriced: string[];
}

/** Plans every part on stock and adds up what must be bought, with the fast planners. */
export function planShop(parts: readonly Part[], purchases: readonly Purchase[], shop: Shop): ShopPlan {
  const byItem = new Map<string, Part[]>();
  for (const part of parts) byItem.set(part.item, [...(byItem.get(part.item) ?? []), part]);
  const materials = [...byItem].map(([item, pieces]) => planMaterial(item, pieces, shop));
  const buy: BuyLine[] = materials.flatMap((material) => stockLines(material, shop));
  for (const purchase of purchases) {
    const { id, name, unit, rule } = purchase;
    const unitPrice = shop.prices[purchase.priceKey];
    const quantity =
      unit === 'each' || unit === 'm²' ? purchase.quantity : purchase.quantity * (1 + shop.spares.consumables);
    const price = unitPrice === undefined ? {} : { each: unitPrice, price: unitPrice * quantity };
    buy.push({ id, name, quantity, unit, rule, priceField: `prices.${purchase.priceKey}`, ...price });
  }
  return {
    materials,
    buy,
    cost: buy.reduce((sum, line) => sum + (line.price ?? 0), 0),
    unpriced: buy.filter((line) => line.price === undefined).map((line) => line.name),
  };
}

/** Plans remembered of each kind. */
const mostRemembered = 64;

/** The same planner, which remembers its last answers: a change on the bench leaves most materials as they are. */
function remembered<Query, Plan>(planner: (query: Query) => Plan): (query: Query) => Plan {
  const known = new Map<string, Plan>();
  return (query) => {
    const key = JSON.stringify(query);
    const before = known.get(key);
    if (before) return before;
    const plan = planner(query);
    const [oldest] = known.keys();
    if (known.size >= mostRemembered && oldest !== undefined) known.delete(oldest);
    known.set(key, plan);
    return plan;
  };
}

const lengthPlans = remembered(planLengthsFast);
const sheetPlans = remembered(planSheetsFast);

function planMaterial(item: string, parts: Part[], shop: Shop): MaterialPlan {
  const name = entryName(item) ?? item;
  const sold = shop.sold.filter((one) => one.item === item);
  const hand = shop.onHand.filter((one) => one.item === item);
  const lengths = parts.filter((part) => part.kind === 'length');
  if (lengths.length > 0) {
    const stuff = lengths[0]?.stuff ?? 'tube';
    const kerf = stuff === 'timber' ? shop.kerfs.timber : shop.kerfs.tube;
    const stock: LengthStock[] = [
      ...hand.flatMap((one) =>
        'length' in one ? [{ id: one.id, length: one.length, price: 0, available: one.count }] : [],
      ),
      ...sold.flatMap((one) => ('length' in one ? [{ id: one.id, length: one.length, price: one.price }] : [])),
    ];
    const priced = stock.some((one) => one.available === undefined);
    if (!priced)
      stock.push(
        ...usualLengths(item).map((length) => ({ id: `${item}@${Math.round(length * 1000)}`, length, price: 0 })),
      );
    const pieces = lengths.map(({ id, length, count }) => ({ id, length, count }));
    const plan = lengthPlans({ pieces, stock, kerf });
    return { kind: 'length', item, name, parts, priced, stock, plan };
  }
  const sheets = parts.filter((part) => part.kind === 'sheet');
  const stock: SheetStock[] = [
    ...hand.flatMap((one) =>
      'width' in one ? [{ id: one.id, width: one.width, height: one.height, price: 0, available: one.count }] : [],
    ),
    ...sold.flatMap((one) =>
      'width' in one ? [{ id: one.id, width: one.width, height: one.height, price: one.price }] : [],
    ),
  ];
  const priced = stock.some((one) => one.available === undefined);
  const usual = findEntry('sheet', item);
  if (!priced && usual) stock.push({ id: usual.id, width: usual.width, height: usual.height, price: 0 });
  const pieces = sheets.map(({ id, width, height, count, turn }) => ({ id, width, height, count, turn }));
  const plan = sheetPlans({ pieces, stock, kerf: shop.kerfs.sheet });
  return { kind: 'sheet', item, name, parts, priced, stock, plan };
}

/** What to carry home of one material, a line a length or sheet. */
function stockLines(material: MaterialPlan, shop: Shop): BuyLine[] {
  const counts = new Map<string, number>();
  if (material.kind === 'length')
    for (const bar of material.plan.bars) counts.set(bar.stock, (counts.get(bar.stock) ?? 0) + bar.count);
  else for (const sheet of material.plan.sheets) counts.set(sheet.stock, (counts.get(sheet.stock) ?? 0) + 1);
  return [...counts].map(([id, count]): BuyLine => {
    const stock = (material.stock as (LengthStock | SheetStock)[]).find((one) => one.id === id);
    const onHand = stock?.available !== undefined;
    const listed = shop.sold.findIndex((one) => one.id === id);
    const each = stock?.price ?? 0;
    return {
      id,
      name: material.name,
      quantity: count,
      unit: 'each',
      rule: onHand ? 'on hand' : 'stock',
      ...(material.priced || onHand ? { each, price: count * each } : {}),
      ...(!onHand && listed >= 0 ? { priceField: `sold.${listed}.price` } : {}),
    };
  });
}
