import { entryName, findEntry } from '../catalogue';
import type { LengthPlan, LengthStock } from './bars';
import {
  type CutDecisions,
  type DecidedLengths,
  type DecidedSheets,
  decideLengths,
  decideSheets,
  joinLengths,
  joinSheets,
  lockStock,
  type Misfit,
  nothingDecided,
} from './decided';
import { planLengthsFast } from './lengths';
import type { Part, Purchase } from './part';
import { planRips, type Rip, type RipPlan } from './rips';
import { planSheetsFast, type SheetPlan, type SheetQuery, type SheetStock } from './sheets';
import { type OnHand, type Sold, usualLengths } from './stock';

/** What the shop and the shed have, as the job keeps it. */
export interface Shop {
  sold: readonly Sold[];
  onHand: readonly OnHand[];
  /** Money per unit, by price key. */
  prices: Readonly<Record<string, number>>;
  /** m. Of the saw that each stuff is cut with. */
  kerfs: Kerfs;
  /** m cut off each end of a length to square it; none where left out. */
  trims?: Partial<Record<LengthStuff, number>>;
  /** m. The smallest offcut worth keeping. */
  keep?: number;
  /** Ids of lengths and sheets on the list that are not to be had just now. */
  without?: readonly string[];
  /** Share bought over what the rule gives, for things measured out and not counted. */
  spares: { consumables: number };
  /** Ids of purchases that the builder has already: they cost nothing. */
  have?: readonly string[];
}

/** Fields of the shop's kerfs, by what is cut. */
export type CutStuff = Extract<Part, { kind: 'length' }>['stuff'] | 'plastic' | 'sheet' | 'metal' | 'insulation';
export type Kerfs = { tube: number; timber: number; sheet: number } & Partial<Record<CutStuff, number>>;

/** m. What the tool that a stuff is cut with takes. Left out: plastic pipe is sawn like boards, snips and a knife part without loss. */
export function kerfOf(kerfs: Kerfs, stuff: CutStuff): number {
  if (stuff === 'plastic') return kerfs.plastic ?? kerfs.timber;
  return kerfs[stuff] ?? (stuff === 'track' || stuff === 'bar' ? kerfs.tube : 0);
}

/** What a length is cut as: a wheel that parts metal tube without loss does not go round plastic pipe. */
export function lengthStuff({ stuff, item }: Extract<Part, { kind: 'length' }>): LengthStuff {
  return stuff === 'tube' && findEntry('tube', item)?.temper === 'plastic' ? 'plastic' : stuff;
}

/** How a sheet is parted: wood by a saw, metal by snips, insulation by a knife. */
export function sheetStuff(item: string): 'sheet' | 'metal' | 'insulation' {
  const use = findEntry('sheet', item)?.use;
  return use === 'insulation' ? 'insulation' : use === 'plate' || use === 'edge' ? 'metal' : 'sheet';
}

type LengthStuff = Extract<Part, { kind: 'length' }>['stuff'] | 'plastic';

/** A length or sheet to be had for a plan. */
export type Having<Stock> = Stock & { onHand: boolean };

/** One material with its pieces and how they come out of what is to be had, the builder's own decisions first. */
export type MaterialPlan = { item: string; name: string; parts: Part[]; priced: boolean; misfits: Misfit[] } & (
  | LengthMaterial
  | SheetMaterial
);

export interface LengthMaterial {
  kind: 'length';
  /** Blanks that are ripped into more than one piece: the plan holds each under its longest part. */
  rips: Rip[];
  plan: LengthPlan;
  stock: Having<LengthStock>[];
  kerf: number;
  trim: number;
  /** What stands already, with the query that is left for a planner. */
  decided: DecidedLengths;
  /** Where bars are laid out by hand: the query without them, and money for its plan. */
  unruled?: { decided: DecidedLengths; cost: number };
}

export interface SheetMaterial {
  kind: 'sheet';
  plan: SheetPlan;
  stock: Having<SheetStock>[];
  kerf: number;
  /** What stands already, with the query that is left for a planner. */
  decided: DecidedSheets;
}

export interface BuyLine {
  id: string;
  name: string;
  /** m. Of a length or sheet. */
  size?: { length: number } | { width: number; height: number };
  quantity: number;
  unit: Purchase['unit'];
  /** Money for one; absent when no price is known. */
  each?: number;
  /** Money for all of it. */
  price?: number;
  /** Where the price stands in the shop of the job (`['prices', 'cap']`); absent for what is on hand. */
  priceField?: readonly string[];
  rule: string;
  /** The builder has it, and buys none. */
  have?: true;
}

export interface ShopPlan {
  materials: MaterialPlan[];
  buy: BuyLine[];
  cost: number;
  /** Names of what has no price, so that the sum is not taken for the whole. */
  unpriced: string[];
}

/** Plans every part on stock and adds up what must be bought, with the fast planners. */
export function planShop(
  parts: readonly Part[],
  purchases: readonly Purchase[],
  shop: Shop,
  decisions: CutDecisions = nothingDecided,
): ShopPlan {
  const byItem = new Map<string, Part[]>();
  for (const part of parts) byItem.set(part.item, [...(byItem.get(part.item) ?? []), part]);
  // What is cut stays bought, also when the design wants none of it any more.
  for (const { item } of decisions.locks) if (!byItem.has(item)) byItem.set(item, []);
  const materials = [...byItem].map(([item, pieces]) => planMaterial(item, pieces, shop, decisions));
  return sumShop(materials, purchases, shop);
}

/** What must be bought for plans that are made already, and what it costs. */
export function sumShop(materials: MaterialPlan[], purchases: readonly Purchase[], shop: Shop): ShopPlan {
  const buy: BuyLine[] = materials.flatMap((material) => stockLines(material, shop));
  for (const purchase of purchases) {
    const { id, name, unit, rule } = purchase;
    const unitPrice = shop.prices[purchase.priceKey];
    const quantity =
      unit === 'each' || unit === 'm²' ? purchase.quantity : purchase.quantity * (1 + shop.spares.consumables);
    const have = shop.have?.includes(id) ?? false;
    const price = have
      ? { ...(unitPrice === undefined ? {} : { each: unitPrice }), price: 0, have: true as const }
      : unitPrice === undefined
        ? {}
        : { each: unitPrice, price: unitPrice * quantity };
    const { size } = purchase;
    buy.push({
      id,
      name,
      // A screw's length is in its name.
      ...(size && 'height' in size ? { size } : {}),
      quantity,
      unit,
      rule,
      priceField: ['prices', purchase.priceKey],
      ...price,
    });
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

function planMaterial(item: string, parts: Part[], shop: Shop, decisions: CutDecisions): MaterialPlan {
  const name = entryName(item) ?? item;
  const sold = shop.sold.filter((one) => one.item === item && !shop.without?.includes(one.id));
  const hand = shop.onHand.filter((one) => one.item === item && one.count > 0);
  const listed = shop.sold.some((one) => one.item === item);
  const common = { item, name, parts, priced: listed };
  const lengths = parts.filter((part) => part.kind === 'length');
  const bars = decisions.locks.some((lock) => lock.item === item && 'length' in lock);
  if (lengths.length > 0 || (parts.length === 0 && bars)) {
    const stuff = lengths[0] ? lengthStuff(lengths[0]) : 'tube';
    const kerf = kerfOf(shop.kerfs, stuff);
    const trim = shop.trims?.[stuff] ?? 0;
    const stock: Having<LengthStock>[] = [
      ...hand.flatMap((one) =>
        'length' in one ? [{ id: one.id, length: one.length, price: 0, available: one.count, onHand: true }] : [],
      ),
      ...sold.flatMap((one) =>
        'length' in one ? [{ id: one.id, length: one.length, price: one.price, onHand: false }] : [],
      ),
    ];
    if (!listed)
      for (const length of usualLengths(item))
        stock.push({ id: `${item}@${Math.round(length * 1000)}`, length, price: 0, onHand: false });
    const ripped = ripsUnder(lengths, kerf, item, decisions);
    const query = {
      pieces: ripped.pieces,
      stock: stock.map(({ onHand: _, ...one }) => one),
      kerf,
      ...(trim > 0 ? { trim } : {}),
    };
    const decided = decideLengths(item, query, decisions);
    const plan = joinLengths(decided, lengthPlans(decided.query));
    const ruled = decisions.overrules.some((one) => one.item === item);
    const unruled = ruled ? decideLengths(item, query, { ...decisions, overrules: [] }) : undefined;
    return {
      ...common,
      kind: 'length',
      rips: ripped.rips,
      stock: having(decided.stock, stock, decisions),
      kerf,
      trim,
      plan,
      decided,
      misfits: decided.misfits,
      ...(unruled
        ? { unruled: { decided: unruled, cost: joinLengths(unruled, lengthPlans(unruled.query)).cost } }
        : {}),
    };
  }
  const sheets = parts.filter((part) => part.kind === 'sheet');
  const stock: Having<SheetStock>[] = [
    ...hand.flatMap((one) =>
      'width' in one
        ? [{ id: one.id, width: one.width, height: one.height, price: 0, available: one.count, onHand: true }]
        : [],
    ),
    ...sold.flatMap((one) =>
      'width' in one ? [{ id: one.id, width: one.width, height: one.height, price: one.price, onHand: false }] : [],
    ),
  ];
  const usual = findEntry('sheet', item);
  if (!listed && usual) stock.push({ id: usual.id, width: usual.width, height: usual.height, price: 0, onHand: false });
  const kerf = kerfOf(shop.kerfs, sheetStuff(item));
  const query: SheetQuery = {
    pieces: sheets.map(({ id, width, height, count, turn }) => ({ id, width, height, count, turn })),
    stock: stock.map(({ onHand: _, ...one }) => one),
    kerf,
  };
  const decided = decideSheets(item, query, decisions);
  const plan = joinSheets(decided, sheetPlans(decided.query));
  return {
    ...common,
    kind: 'sheet',
    stock: having(decided.stock, stock, decisions),
    kerf,
    plan,
    decided,
    misfits: decided.misfits,
  };
}

/** Pieces on shared blanks; a part of which more is cut, or laid out by hand, than the blanks would hold is planned piece by piece, as it was. */
function ripsUnder(
  lengths: readonly (Part & { kind: 'length' })[],
  kerf: number,
  item: string,
  { locks, overrules }: CutDecisions,
): RipPlan {
  const settled = new Map<string, number>();
  const add = (id: string) => settled.set(id, (settled.get(id) ?? 0) + 1);
  for (const lock of locks) if (lock.item === item && 'length' in lock) for (const { part } of lock.pieces) add(part);
  for (const one of overrules) if (one.item === item) one.pieces.forEach(add);
  const alone = new Set<string>();
  for (;;) {
    const plan = planRips(lengths, kerf, alone);
    const over = [...settled].filter(
      ([id, count]) =>
        !alone.has(id) &&
        lengths.some((part) => part.id === id && part.section) &&
        count > (plan.pieces.find((piece) => piece.id === id)?.count ?? 0),
    );
    if (over.length === 0) return plan;
    for (const [id] of over) alone.add(id);
  }
}

/** Every length or sheet that a plan may name, and whether it lies in the shed. */
function having<Stock extends { id: string }>(
  all: readonly Stock[],
  known: readonly Having<Stock>[],
  decisions: CutDecisions,
): Having<Stock>[] {
  return all.map((one) => ({
    ...one,
    onHand: known.find(({ id }) => id === one.id)?.onHand ?? lockedOnHand(one.id, decisions),
  }));
}

function lockedOnHand(stock: string, { locks }: CutDecisions): boolean {
  return locks.some(({ id, onHand }) => onHand && stock === lockStock({ id }));
}

/** What to carry home of one material, a line a length or sheet. */
function stockLines(material: MaterialPlan, shop: Shop): BuyLine[] {
  const counts = new Map<string, { count: number; each: number; onHand: boolean; paid: boolean }>();
  const add = (one: { stock: string; fixed?: { by: string } }, count: number, having?: Having<{ price: number }>) => {
    const known = counts.get(one.stock);
    // What is cut was paid for, whether the list knows its price or not.
    const paid = one.fixed?.by === 'lock';
    if (known) known.count += count;
    else counts.set(one.stock, { count, each: having?.price ?? 0, onHand: having?.onHand ?? false, paid });
  };
  if (material.kind === 'length')
    for (const bar of material.plan.bars)
      add(
        bar,
        bar.count,
        material.stock.find(({ id }) => id === bar.stock),
      );
  else
    for (const sheet of material.plan.sheets)
      add(
        sheet,
        1,
        material.stock.find(({ id }) => id === sheet.stock),
      );
  return [...counts].map(([id, { count, each, onHand, paid }]): BuyLine => {
    const listed = shop.sold.some((one) => one.id === id);
    return {
      id,
      name: material.name,
      ...sizeOf(material, id),
      quantity: count,
      unit: 'each',
      rule: onHand ? 'on hand' : 'stock',
      ...(material.priced || onHand || paid ? { each, price: count * each } : {}),
      ...(!onHand && listed ? { priceField: ['sold', id, 'price'] } : {}),
    };
  });
}

function sizeOf(material: MaterialPlan, id: string): Pick<BuyLine, 'size'> {
  if (material.kind === 'length') {
    const one = material.stock.find((stock) => stock.id === id);
    return one ? { size: { length: one.length } } : {};
  }
  const one = material.stock.find((stock) => stock.id === id);
  return one ? { size: { width: one.width, height: one.height } } : {};
}
