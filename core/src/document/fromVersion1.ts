import { versionOneDevice } from '../shoplog';
import { isStepId } from '../steps';
import { byId, tiltId } from './lists';
import { pointerOf } from './pointer';

type Fields = Record<string, unknown>;
type Line = Fields & { id: string };
type Size = { length: number } | { width: number; height: number };
type Lock = Line & { item: string; stock: string; price: number; onHand: boolean } & (
    | { length: number; pieces: { part: string; length: number }[] }
    | { width: number; height: number; placed: Line[] }
  );

/** When what a document of version 1 tells of the shop is put: before everything that has a time of its own. */
const beforeTheLog = '2000-01-01T00:00:00.000Z';

/**
 * A document of version 1 as one of version 2: lists by their ids, panels as heaters, and what was done in the shop as events. A field
 * that version 1 did not have stays where it is, for the schema to refuse. Throws TypeError on what is shaped otherwise.
 */
export function fromVersion1(document: Fields): { document: Fields; events: unknown[] } {
  const { panels, decisions, shop, site, stores, asBuilt, ...rest } = document as Fields & {
    panels: Line[];
    decisions: Fields;
    shop: Fields;
    site: Fields & { standing: Fields & { tilts: Fields[] } };
    stores: Line[];
    asBuilt: { path: (string | number)[]; value: unknown; source: string }[];
  };
  const { ticks = {}, acknowledged = [], locks = [], checks = {}, overrules, ...plans } = decisions;
  const { sold, onHand, ledger = [], without, have, ...counter } = shop;
  const events = eventsOf({
    ticks: ticks as Record<string, number>,
    acknowledged: acknowledged as string[],
    locks: locks as Lock[],
    checks: checks as Record<string, string>,
    ledger: ledger as Fields[],
  });
  return {
    document: {
      ...rest,
      version: 2,
      site: {
        ...site,
        standing: {
          ...site.standing,
          tilts: Object.fromEntries(site.standing.tilts.map((tilt, order) => [tiltId(order), { order, ...tilt }])),
        },
      },
      heaters: Object.fromEntries(panels.map(({ id, ...panel }, order) => [id, { order, ...panel }])),
      stores: byId(stores),
      shop: {
        ...counter,
        sold: byId(sold as Line[]),
        onHand: byId(countedBefore(onHand as (Line & { count: number })[], locks as Lock[])),
        ...(without === undefined ? {} : { without: setOf(without as string[]) }),
        ...(have === undefined ? {} : { have: setOf(have as string[]) }),
      },
      decisions: {
        ...plans,
        ...(overrules === undefined ? {} : { overrules: byId(overrules as Line[]) }),
      },
      asBuilt: Object.fromEntries(
        asBuilt.map(({ path, ...one }) => [
          pointerOf(
            path[0] === 'panels' ? ['heaters', panels[Number(path[1])]?.id ?? String(path[1]), ...path.slice(2)] : path,
          ),
          one,
        ]),
      ),
    },
    events,
  };
}

function setOf(ids: readonly string[]): Record<string, true> {
  return Object.fromEntries(ids.map((id) => [id, true as const]));
}

function sizeOf(lock: Lock): Size {
  return 'pieces' in lock
    ? { length: lock.length as number }
    : { width: lock.width as number, height: lock.height as number };
}

/**
 * The shelf as it was counted before the cuts: version 1 took what was cut off its counts. What a cut used up and the list has no more
 * comes back to it, for the event of the cut to take.
 */
function countedBefore(onHand: readonly (Line & { count: number })[], locks: readonly Lock[]): Line[] {
  const lines = new Map(onHand.map((one) => [one.id, { ...one }]));
  for (const lock of locks) {
    if (!lock.onHand) continue;
    const known = lines.get(lock.stock);
    if (known) known.count += 1;
    else lines.set(lock.stock, { id: lock.stock, item: lock.item, count: 1, ...sizeOf(lock) });
  }
  return [...lines.values()];
}

function eventsOf(done: {
  ticks: Record<string, number>;
  acknowledged: string[];
  locks: Lock[];
  checks: Record<string, string>;
  ledger: Fields[];
}): unknown[] {
  const stamp = (id: string, at = beforeTheLog) => ({ id: `1:${id}`, at, device: versionOneDevice });
  const cuts = done.locks.map(({ id, item, stock, price, onHand, ...lock }) => {
    const makes: Record<string, number> = {};
    const parts =
      'pieces' in lock
        ? (lock.pieces as { part: string }[]).map(({ part }) => part)
        : (lock.placed as Line[]).map((one) => one.id);
    for (const part of parts) makes[part] = (makes[part] ?? 0) + 1;
    // Its offcuts stand in the list of the shed already.
    return {
      kind: 'pieces' in lock ? 'bar-cut' : 'sheet-cut',
      item,
      stock,
      price,
      onHand,
      ...lock,
      makes,
      rests: [],
      ...stamp(id),
    };
  });
  const ticks = Object.entries(done.ticks).flatMap(([id, count]): Fields[] => {
    if (count === 0) return [];
    if (isStepId(id)) return [{ kind: 'step', step: id, done: true, ...stamp(`step/${id}`) }];
    return [{ kind: 'made', part: id, count, ...stamp(`0made/${id}`) }];
  });
  return [
    ...ticks,
    ...cuts,
    ...Object.entries(done.checks).map(([check, value]) => ({
      kind: 'checked',
      check,
      value,
      ...stamp(`checked/${check}`),
    })),
    ...done.acknowledged.map((caution) => ({
      kind: 'acknowledged',
      caution,
      done: true,
      ...stamp(`acknowledged/${caution}`),
    })),
    ...done.ledger.map(({ at, ...line }, index) => ({
      kind: 'shelf',
      ...line,
      ...stamp(`shelf/${String(index).padStart(4, '0')}`, at as string),
    })),
  ];
}
