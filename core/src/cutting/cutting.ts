import type { Job } from '../document';
import {
  type LengthMaterial,
  type Lock,
  type MaterialPlan,
  type Overrule,
  type Part,
  rippedAlong,
  type SheetMaterial,
  sheetOffcuts,
} from '../shop';

/** Fields of the document to be set together, by dotted path. */
export type FieldChanges = { path: string; value: unknown }[];

/** m. The smallest offcut worth keeping where the job does not say, in round figures of the tape. Judgement: a short cleat still comes out of it. */
const usualKeep = { metric: 0.3, imperial: 0.3048 } as const;

/** m. The smallest offcut that goes to the shed. */
export function keepOf({ shop, units }: { shop: Pick<Job['shop'], 'keep'>; units: Job['units'] }): number {
  return shop.keep ?? usualKeep[units];
}

type Lengths = MaterialPlan & LengthMaterial;
type Sheets = MaterialPlan & SheetMaterial;

function freeId(stem: string, taken: readonly { id: string }[]): string {
  const known = new Set(taken.map(({ id }) => id));
  let number = 1;
  while (known.has(`${stem}-${number}`)) number += 1;
  return `${stem}-${number}`;
}

function locksOf(job: Job): readonly Lock[] {
  return job.decisions.locks ?? [];
}

function rest(lock: string): string {
  return `${lock}-rest`;
}

/** Whether a line of the shed came off a bar or sheet that is locked. */
function isRest(id: string, lock?: string): boolean {
  return lock === undefined ? /-rest(-\d+)?$/.test(id) : id === rest(lock) || id.startsWith(`${rest(lock)}-`);
}

/** The shed and its ledger after things have gone out and come back. */
function shed(
  job: Job,
  at: string,
  moves: readonly { what: 'taken' | 'returned'; id: string; item: string; size: Size }[],
): FieldChanges {
  if (moves.length === 0) return [];
  let onHand = [...job.shop.onHand];
  const ledger = [...(job.shop.ledger ?? [])];
  for (const { what, id, item, size } of moves) {
    const known = onHand.find((one) => one.id === id);
    if (what === 'taken')
      onHand = onHand
        .map((one) => (one.id === id ? { ...one, count: one.count - 1 } : one))
        // An offcut that is gone is gone; a line that the builder wrote stays, with none left.
        .filter((one) => one.count > 0 || !isRest(one.id));
    else if (known) onHand = onHand.map((one) => (one.id === id ? { ...one, count: one.count + 1 } : one));
    else onHand = [...onHand, { id, item, count: 1, ...size }];
    ledger.push({ at, what, item, count: 1, ...size });
  }
  return [
    { path: 'shop.onHand', value: onHand },
    { path: 'shop.ledger', value: ledger },
  ];
}

type Size = { length: number } | { width: number; height: number };

/** Ticks raised to what is cut. */
function ticks(job: Job, parts: readonly Part[], cut: ReadonlyMap<string, number>): FieldChanges {
  const before = job.decisions.ticks;
  const after = { ...before };
  for (const [id, count] of cut) {
    const part = parts.find((one) => one.id === id);
    if (part) after[id] = Math.min(part.count, Math.max(before[id] ?? 0, count));
  }
  return [{ path: 'decisions.ticks', value: after }];
}

function cutSoFar(locks: readonly Lock[]): Map<string, number> {
  const cut = new Map<string, number>();
  for (const lock of locks)
    for (const id of 'length' in lock ? lock.pieces.map(({ part }) => part) : lock.placed.map((piece) => piece.id))
      cut.set(id, (cut.get(id) ?? 0) + 1);
  return cut;
}

function lockOf(
  { id, price, onHand }: { id: string; price: number; onHand: boolean },
  item: string,
  locks: readonly Lock[],
): Pick<Lock, 'id' | 'item' | 'stock' | 'price' | 'onHand'> {
  return { id: freeId('cut', locks), item, stock: id, price: onHand ? 0 : price, onHand };
}

/**
 * A bar of a plan locked as cut: it stands through every change of the design, its pieces are ticked, what came from the shed is
 * taken, and an offcut worth keeping goes there.
 *
 * @param at ISO time
 * @param as m of each piece as it was cut, where it is not what was wanted; by place in the bar
 */
export function lockBar(
  job: Job,
  material: Lengths,
  index: number,
  at: string,
  as: Readonly<Record<number, number>> = {},
): FieldChanges {
  const bar = material.plan.bars[index];
  const stock = material.stock.find(({ id }) => id === bar?.stock);
  if (!bar || !stock || bar.fixed?.by === 'lock') return [];
  const locks = locksOf(job);
  const { item } = material;
  const lock: Lock = {
    ...lockOf(stock, item, locks),
    length: stock.length,
    pieces: bar.pieces.map(({ id, length }, place) => ({ part: id, length: as[place] ?? length })),
  };
  const all = [...locks, lock];
  const shorter = bar.pieces.reduce((sum, { length }, place) => sum + length - (as[place] ?? length), 0);
  const offcut = settled(bar.offcut + shorter);
  return [
    { path: 'decisions.locks', value: all },
    ...withoutOverrule(job, bar.fixed?.id),
    ...ticks(job, material.parts, rippedAlong(material.rips, cutSoFar(all))),
    ...shed(job, at, [
      ...(stock.onHand ? [{ what: 'taken' as const, id: stock.id, item, size: { length: stock.length } }] : []),
      ...(offcut >= keepOf(job)
        ? [{ what: 'returned' as const, id: rest(lock.id), item, size: { length: offcut } }]
        : []),
    ]),
  ];
}

/**
 * The first bar with a piece of a part locked, that piece at the length it was cut at: where it is too short now, one more is
 * planned, and a design that takes it makes it good.
 */
export function lockMiscut(job: Job, material: Lengths, part: string, cut: number, at: string): FieldChanges {
  const index = material.plan.bars.findIndex(
    ({ fixed, pieces }) => fixed?.by !== 'lock' && pieces.some(({ id }) => id === part),
  );
  const place = material.plan.bars[index]?.pieces.findIndex(({ id }) => id === part) ?? -1;
  return place < 0 ? [] : lockBar(job, material, index, at, { [place]: cut });
}

/** A sheet of a plan locked as cut, in the order that the plan gives: rests worth keeping both ways go to the shed. */
export function lockSheet(job: Job, material: Sheets, index: number, at: string): FieldChanges {
  const sheet = material.plan.sheets[index];
  const stock = material.stock.find(({ id }) => id === sheet?.stock);
  if (!sheet || !stock || sheet.fixed) return [];
  const locks = locksOf(job);
  const { item } = material;
  const { width, height, placed } = sheet;
  const lock: Lock = {
    ...lockOf(stock, item, locks),
    width,
    height,
    placed,
  };
  const all = [...locks, lock];
  return [
    { path: 'decisions.locks', value: all },
    ...ticks(job, material.parts, cutSoFar(all)),
    ...shed(job, at, [
      ...(stock.onHand ? [{ what: 'taken' as const, id: stock.id, item, size: { width, height } }] : []),
      ...sheetOffcuts(sheet, material.kerf)
        .filter((one) => Math.min(one.width, one.height) >= keepOf(job))
        .map((one, index) => ({
          what: 'returned' as const,
          id: `${rest(lock.id)}-${index + 1}`,
          item,
          size: { width: settled(one.width), height: settled(one.height) },
        })),
    ]),
  ];
}

/** Without the dust of reckoning. */
function settled(metres: number): number {
  return Math.round(metres * 1e6) / 1e6;
}

/** A lock taken off again: the length goes back to the shed if it came from there, and its offcut is no more. */
export function unlock(job: Job, id: string, at: string): FieldChanges {
  const locks = locksOf(job);
  const lock = locks.find((one) => one.id === id);
  if (!lock) return [];
  const size = 'length' in lock ? { length: lock.length } : { width: lock.width, height: lock.height };
  const left = job.shop.onHand.filter((one) => isRest(one.id, id) && one.count > 0);
  return [
    { path: 'decisions.locks', value: locks.filter((one) => one !== lock) },
    ...shed(job, at, [
      ...(lock.onHand ? [{ what: 'returned' as const, id: lock.stock, item: lock.item, size }] : []),
      ...left.map((one) => ({
        what: 'taken' as const,
        id: one.id,
        item: lock.item,
        size: 'length' in one ? { length: one.length } : { width: one.width, height: one.height },
      })),
    ]),
  ];
}

/** A length or sheet put on the shelf by hand. */
export function putOnShelf(job: Job, item: string, size: Size, at: string): FieldChanges {
  return shed(job, at, [{ what: 'returned', id: freeId('shed', job.shop.onHand), item, size }]);
}

/**
 * How many of a thing on the shelf there are, counted again: what is missing was taken, what is more came back. Nought takes the
 * line away.
 */
export function recountShelf(job: Job, id: string, count: number, at: string): FieldChanges {
  const { onHand, ledger = [] } = job.shop;
  const known = onHand.find((one) => one.id === id);
  if (!known || known.count === count) return [];
  const { id: _, item, count: before, ...size } = known;
  const what = count < before ? ('taken' as const) : ('returned' as const);
  return [
    {
      path: 'shop.onHand',
      value:
        count === 0
          ? onHand.filter((one) => one !== known)
          : onHand.map((one) => (one === known ? { ...one, count } : one)),
    },
    { path: 'shop.ledger', value: [...ledger, { at, what, item, count: Math.abs(count - before), ...size }] },
  ];
}

function withoutOverrule(job: Job, id: string | undefined): FieldChanges {
  const overrules = job.decisions.overrules ?? [];
  return id !== undefined && overrules.some((one) => one.id === id)
    ? [{ path: 'decisions.overrules', value: overrules.filter((one) => one.id !== id) }]
    : [];
}

/** What came of moving a piece: fields to set, or why it cannot go there. */
export type Moved = { ok: true; changes: FieldChanges } | { ok: false; why: 'locked' | 'no room' };

/**
 * A piece put on another bar by hand. Both bars then stand by the builder's word; the planner lays the rest out round them.
 *
 * @param from bar of the plan and place in it
 * @param to bar of the plan, or undefined for a bar of its own
 */
export function movePiece(
  job: Job,
  material: Lengths,
  from: { bar: number; place: number },
  to: number | undefined,
): Moved {
  const { plan, stock, kerf, trim, item } = material;
  const source = plan.bars[from.bar];
  const piece = source?.pieces[from.place];
  const target = to === undefined ? undefined : plan.bars[to];
  if (!source || !piece || source.fixed?.by === 'lock' || target?.fixed?.by === 'lock')
    return { ok: false, why: 'locked' };
  const pieces = [...(target?.pieces ?? []), piece];
  const needed = pieces.reduce((sum, { length }) => sum + length + kerf, 0) - kerf + 2 * trim;
  const fits = stock
    .filter(({ length, available }) => length + 1e-7 >= needed && (available ?? 1) > 0)
    .sort((a, b) => a.price - b.price || a.length - b.length);
  const own = fits.find(({ id }) => id === target?.stock);
  const chosen = own ?? fits[0];
  if (!chosen) return { ok: false, why: 'no room' };
  const overrules: Overrule[] = [...(job.decisions.overrules ?? [])];
  const settle = (old: string | undefined, bar: string, ids: readonly string[]) => {
    const at = overrules.findIndex((one) => one.id === old);
    const one = { id: old ?? freeId('bar', overrules), item, stock: bar, pieces: ids };
    if (at >= 0 && ids.length === 0) overrules.splice(at, 1);
    else if (at >= 0) overrules[at] = one;
    else if (ids.length > 0) overrules.push(one);
  };
  settle(
    source.fixed?.id,
    source.stock,
    source.pieces.flatMap(({ id }, place) => (place === from.place ? [] : [id])),
  );
  settle(
    target?.fixed?.id,
    chosen.id,
    pieces.map(({ id }) => id),
  );
  return { ok: true, changes: [{ path: 'decisions.overrules', value: overrules }] };
}

/** All bars of a material given back to the planner. */
export function releaseMaterial(job: Job, item: string): FieldChanges {
  const overrules = job.decisions.overrules ?? [];
  return [{ path: 'decisions.overrules', value: overrules.filter((one) => one.item !== item) }];
}
