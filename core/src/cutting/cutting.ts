import type { FieldPath, Job } from '../document';
import { onHandOf } from '../document';
import { type JobInShop, overruleList } from '../job';
import {
  type LengthMaterial,
  type Lock,
  type MaterialPlan,
  rippedAlong,
  type SheetMaterial,
  sheetOffcuts,
} from '../shop';
import { type Happened, shelfOf } from '../shoplog';

/** Fields of the document to be set together. */
export type FieldChanges = { path: FieldPath; value: unknown }[];

/** What is done in the shop: plans that it overtakes, and what goes into the log. */
export interface Done {
  changes: FieldChanges;
  events: Happened[];
}

const nothing: Done = { changes: [], events: [] };

/** m. The smallest offcut worth keeping where the job does not say, in round figures of the tape. Judgement: a short cleat still comes out of it. */
const usualKeep = { metric: 0.3, imperial: 0.3048 } as const;

/** m. The smallest offcut that goes to the shed. */
export function keepOf({ shop, units }: { shop: Pick<Job['shop'], 'keep'>; units: Job['units'] }): number {
  return shop.keep ?? usualKeep[units];
}

type Lengths = MaterialPlan & LengthMaterial;
type Sheets = MaterialPlan & SheetMaterial;

/** An id with a stem that none of some has. */
export function freeId(stem: string, taken: readonly { id: string }[]): string {
  const known = new Set(taken.map(({ id }) => id));
  let number = 1;
  while (known.has(`${stem}-${number}`)) number += 1;
  return `${stem}-${number}`;
}

type Size = { length: number } | { width: number; height: number };

function counted(parts: readonly string[]): Map<string, number> {
  const counts = new Map<string, number>();
  for (const id of parts) counts.set(id, (counts.get(id) ?? 0) + 1);
  return counts;
}

/** Pieces that all cuts of a material come to, by part id. */
function cutSoFar(cuts: readonly Lock[], item: string): Map<string, number> {
  return counted(
    cuts
      .filter((one) => one.item === item)
      .flatMap((one) => ('length' in one ? one.pieces.map(({ part }) => part) : one.placed.map(({ id }) => id))),
  );
}

/** What one more cut makes: its own pieces, and those that ride along in the blanks that it makes full. */
function makesOf(
  { state }: JobInShop,
  { item, rips, parts }: Lengths,
  pieces: readonly string[],
): Record<string, number> {
  const before = cutSoFar(state.cuts, item);
  const after = new Map(before);
  for (const [id, count] of counted(pieces)) after.set(id, (after.get(id) ?? 0) + count);
  const [had, has] = [rippedAlong(rips, before), rippedAlong(rips, after)];
  const known = new Set(parts.map(({ id }) => id));
  return Object.fromEntries(
    [...has].flatMap(([id, count]) => {
      const more = count - (had.get(id) ?? 0);
      return more > 0 && known.has(id) ? [[id, more] as const] : [];
    }),
  );
}

/**
 * A bar of a plan cut: it stands through every change of the design, its pieces are made, what came from the shed is taken, and an
 * offcut worth keeping goes there.
 *
 * @param as m of each piece as it was cut, where it is not what was wanted; by place in the bar
 */
export function cutBar(
  at: JobInShop,
  material: Lengths,
  index: number,
  as: Readonly<Record<number, number>> = {},
): Done {
  const bar = material.plan.bars[index];
  const stock = material.stock.find(({ id }) => id === bar?.stock);
  if (!bar || !stock || bar.fixed?.by === 'lock') return nothing;
  const shorter = bar.pieces.reduce((sum, { length }, place) => sum + length - (as[place] ?? length), 0);
  const offcut = settled(bar.offcut + shorter);
  return {
    changes: withoutOverrule(at.job, bar.fixed?.id),
    events: [
      {
        kind: 'bar-cut',
        ...takenOf(stock, material.item),
        length: stock.length,
        pieces: bar.pieces.map(({ id, length }, place) => ({ part: id, length: as[place] ?? length })),
        makes: makesOf(
          at,
          material,
          bar.pieces.map(({ id }) => id),
        ),
        rests: offcut >= keepOf(at.job) ? [{ length: offcut }] : [],
      },
    ],
  };
}

function takenOf({ id, price, onHand }: { id: string; price: number; onHand: boolean }, item: string) {
  return { item, stock: id, price: onHand ? 0 : price, onHand };
}

/**
 * The first bar with a piece of a part cut, that piece at the length it was cut at: where it is too short now, one more is planned, and
 * a design that takes it makes it good.
 */
export function cutMiscut(at: JobInShop, material: Lengths, part: string, cut: number): Done {
  const index = material.plan.bars.findIndex(
    ({ fixed, pieces }) => fixed?.by !== 'lock' && pieces.some(({ id }) => id === part),
  );
  const place = material.plan.bars[index]?.pieces.findIndex(({ id }) => id === part) ?? -1;
  return place < 0 ? nothing : cutBar(at, material, index, { [place]: cut });
}

/** A sheet of a plan cut, in the order that the plan gives: rests worth keeping both ways go to the shed. */
export function cutSheet({ job }: JobInShop, material: Sheets, index: number): Done {
  const sheet = material.plan.sheets[index];
  const stock = material.stock.find(({ id }) => id === sheet?.stock);
  if (!sheet || !stock || sheet.fixed) return nothing;
  const { width, height, placed } = sheet;
  return {
    changes: [],
    events: [
      {
        kind: 'sheet-cut',
        ...takenOf(stock, material.item),
        width,
        height,
        placed: [...placed],
        makes: Object.fromEntries(counted(placed.map(({ id }) => id))),
        rests: sheetOffcuts(sheet, material.kerf)
          .filter((one) => Math.min(one.width, one.height) >= keepOf(job))
          .map((one) => ({ width: settled(one.width), height: settled(one.height) })),
      },
    ],
  };
}

/** Without the dust of reckoning. */
function settled(metres: number): number {
  return Math.round(metres * 1e6) / 1e6;
}

/** A cut that was none: its length is whole again, and its offcut is no more. */
export function uncut({ state }: JobInShop, id: string): Happened[] {
  return state.cuts.some((one) => one.id === id) ? [{ kind: 'taken-back', event: id }] : [];
}

/** Lengths or sheets of one size put on the shelf by hand. */
export function putOnShelf({ job, state }: JobInShop, item: string, size: Size, count = 1): Done {
  const known = [...onHandOf(job.shop), ...Object.keys(state.moved).map((id) => ({ id }))];
  return {
    changes: [{ path: ['shop', 'onHand', freeId('shed', known)], value: { item, count, ...size } }],
    events: [{ kind: 'shelf', what: 'returned', item, count, ...size }],
  };
}

/**
 * How many of a thing on the shelf there are, counted again: what is missing was taken, what is more came back. Nought takes the
 * line away.
 */
export function recountShelf({ job, state }: JobInShop, id: string, count: number): Done {
  const known = shelfOf(onHandOf(job.shop), state).find((one) => one.id === id);
  if (!known || known.count === count) return nothing;
  const { id: _, item, count: before, ...size } = known;
  // The document has what was counted before the cuts took theirs.
  const moved = state.moved[id]?.count ?? 0;
  const path = ['shop', 'onHand', id];
  return {
    changes: [{ path, value: count === 0 && moved === 0 ? undefined : { item, count: count - moved, ...size } }],
    events: [
      {
        kind: 'shelf',
        what: count < before ? 'taken' : 'returned',
        item,
        count: Math.abs(count - before),
        ...size,
      },
    ],
  };
}

function withoutOverrule(job: Job, id: string | undefined): FieldChanges {
  return id !== undefined && job.decisions.overrules?.[id]
    ? [{ path: ['decisions', 'overrules', id], value: undefined }]
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
  const known = overruleList(job.decisions.overrules ?? {});
  const changes: FieldChanges = [];
  const settle = (old: string | undefined, bar: string, ids: readonly string[]) => {
    const id = known.find((one) => one.id === old)?.id ?? freeId('bar', known);
    const one = { item, stock: bar, pieces: [...ids] };
    if (ids.length === 0 && id !== old) return;
    changes.push({ path: ['decisions', 'overrules', id], value: ids.length === 0 ? undefined : one });
    if (id !== old) known.push({ id, ...one });
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
  return { ok: true, changes };
}

/** All bars of a material given back to the planner. */
export function releaseMaterial(job: Job, item: string): FieldChanges {
  return overruleList(job.decisions.overrules ?? {})
    .filter((one) => one.item === item)
    .map(({ id }) => ({ path: ['decisions', 'overrules', id], value: undefined }));
}
