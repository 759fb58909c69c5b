import { isClash } from '../care';
import { findEntry, memberOf } from '../catalogue';
import { byId, heatersOf, type Job, mainTilt, onHandOf, same, standardPlant, thingsOnHand } from '../document';
import {
  changeKind,
  type Family,
  families,
  type HeaterDocument,
  type LeftOut,
  type Orientation,
  type Taken,
} from '../families';
import { type JobInShop, openJob } from '../job';
import { shelfOf } from '../shoplog';

/** m³ of water a day that a square metre of aperture is drawn for, and m³ of store for it at the least. Trade: 50 to 75 L. */
const perArea = 0.06;
const storePerArea = 0.055;
/** Heaters alike that a need is met with at the most. */
const mostAlike = 6;
/** Share of its outside by which a tube on hand may differ from the drawn one and stand in its place. */
const nearly = 0.15;

/** A job as it would be with a kind, and what of the things on hand goes into it. */
export interface PickedKind {
  job: Job;
  taken: Taken[];
  /** Things on hand that it does not use, with why where they were tried. */
  left: LeftOut[];
}

/** A job with what lies on its shelf now in the place of what was counted: what was cut since is gone, and offcuts are there. */
export function asShelved({ job, state }: JobInShop): Job {
  const onHand = byId(shelfOf(onHandOf(job.shop), state)) as Job['shop']['onHand'];
  return { ...job, shop: { ...job.shop, onHand } };
}

/** What a kind is drawn from: the first panel where it is of that kind already, else one that keeps what it can of it. */
function drawnFrom(job: Job, family: Family): HeaterDocument {
  const [panel] = heatersOf(job);
  if (!panel) throw new RangeError('no heater');
  return panel.family === family.id ? panel : changeKind(panel, family.id, job.units).panel;
}

/** Whether one thing of a list can stand in the place of another: tube nearly as wide, sheet of the same stuff. */
function stands(list: string | undefined, drawn: string, other: string): boolean {
  if (list === 'tube') {
    const [a, b] = [findEntry('tube', drawn), findEntry('tube', other)];
    return a !== undefined && b !== undefined && Math.abs(b.outerDiameter / a.outerDiameter - 1) < nearly;
  }
  const [a, b] = [findEntry('sheet', drawn), findEntry('sheet', other)];
  return list === 'sheet' && a !== undefined && b !== undefined && a.material === b.material && a.use === b.use;
}

/** Tubes and sheets that lie in the shed take the place of drawn ones that they can stand for. */
function withShed(family: Family, panel: HeaterDocument, { shop }: Job): HeaterDocument {
  const shed = Object.values(shop.onHand).flatMap(({ item, count }) => (count > 0 ? [item] : []));
  let made = panel;
  for (const { path, value, meta } of shed.length > 0 ? family.fields(panel) : []) {
    const [head, name = ''] = path.split('.');
    const drawn = String(value);
    if (head !== 'parameters' || shed.includes(drawn)) continue;
    const near = shed.find(
      (item) => stands(meta.list, drawn, item) && (meta.choices ?? []).some((choice) => choice.value === item),
    );
    const tried = near && { ...made, parameters: { ...made.parameters, [name]: near } };
    if (tried && family.problems(tried).length === 0) made = tried;
  }
  return made;
}

/** A panel that clashes as it stands here, fitted to its tilt; as it is where nothing clashes or nothing helps. */
function standingFit(family: Family, panel: HeaterDocument, standing: Orientation): HeaterDocument {
  const clashes = (one: HeaterDocument) => family.open(one, 'heaters.any', standing).findings.filter(isClash).length;
  if (!family.fit || clashes(panel) === 0) return panel;
  const fitted = family.fit(panel, standing);
  return clashes(fitted) < clashes(panel) ? fitted : panel;
}

/** Whether a panel is still what a job of its kind begins with. */
function asBegun({ units }: Job, family: Family, { id, ...panel }: HeaterDocument): boolean {
  const { order: _, ...drawn } = panel as typeof panel & { order?: number };
  return same(drawn, family.standard(units));
}

/** How many alike the need takes: by their aperture, or by their own water where they are their own store. */
function countFor({ need }: Job, family: Family, panel: HeaterDocument, standing: { tilt: number }): number {
  const { thermal, hydraulic } = family.open(panel, 'heaters.any', standing);
  const each = thermal.integralStorage ? (hydraulic?.volume ?? 0.1) : perArea * thermal.apertureArea;
  return Math.max(1, Math.min(mostAlike, Math.round(need.volumePerDay / Math.max(1e-3, each))));
}

/**
 * A job with its first panel made into a kind, drawn round what is on hand, as many alike as the need takes; with the loop and the store that the
 * kind begins with, unless others were settled by hand in which it can run. A panel of that kind that was drawn already stays. Throws UnknownMember on an unknown kind.
 */
export function pickKind(job: Job, familyId: string): PickedKind {
  const family: Family = memberOf<Family>(families, 'kind of heater', familyId);
  const [before] = heatersOf(job);
  if (!before) throw new RangeError('no heater');
  const standing = mainTilt(job.site);
  const drawn = withShed(family, drawnFrom(job, family), job);
  const things = thingsOnHand(job.shop);
  const { panel, taken, left: tried = [] } = family.salvage?.(drawn, things, standing) ?? { panel: drawn, taken: [] };
  const left = things.flatMap(({ id }): LeftOut[] =>
    taken.some((one) => one.id === id) ? [] : [tried.find((one) => one.id === id) ?? { id }],
  );
  // What somebody has drawn already stays as it is, but where what is on hand asks for another.
  if (before.family === familyId && !asBegun(job, family, before) && same(panel, before)) return { job, taken, left };
  const here = standingFit(family, panel, standing);
  // What is on hand is not drawn more often than it is there.
  const enough = Math.min(mostAlike, ...taken.map(({ alike }) => alike));
  const count = Math.min(enough, countFor(job, family, here, standing));
  const { id, ...entryOf } = { ...here, count };
  const heaters = { ...job.heaters, [id]: { ...entryOf, order: job.heaters[id]?.order ?? 0 } } as Job['heaters'];
  const made = withPlant({ ...job, heaters }, before.family, familyId);
  // What is on hand is bought no more, as far as it goes.
  const { purchases } = openJob(made).panels[0]?.design ?? { purchases: [] };
  const covered = purchases.flatMap((line) => {
    const role = line.id.slice(id.length + 1);
    const had = taken.reduce((sum, { covers }) => sum + (covers[role] ?? 0), 0);
    return had > 0 && had >= line.quantity * count - 1e-9 ? [line.id] : [];
  });
  if (covered.length === 0) return { job: made, taken, left };
  const have = { ...made.shop.have, ...Object.fromEntries(covered.map((one) => [one, true as const])) };
  return { job: { ...made, shop: { ...made.shop, have } }, taken, left };
}

/** Whether water runs through a job's heaters by its loop: a film needs a pump and an open way back, what is its own store is fed or filled. */
function suits(job: Job): boolean {
  return openJob(job).panels.every(({ design }) => {
    const { kind } = job.loop;
    if (design.thermal.integralStorage) return kind === 'preheat' || kind === 'fill-and-wait';
    if (design.hydraulic?.open) return kind === 'drain-back' || kind === 'pumped-direct' || kind === 'bath';
    return kind !== 'preheat' && kind !== 'fill-and-wait';
  });
}

/** The loop and store of a kind, where those that stand are what the kind before began with; the store as large as the area wants. */
function withPlant(job: Job, before: string, after: string): Job {
  const was = standardPlant(before);
  const becomes = standardPlant(after);
  const own = same(job.loop, was.loop) || !suits(job);
  const loop = own ? becomes.loop : job.loop;
  const untouched =
    Object.keys(job.stores).length === Object.keys(was.stores).length &&
    Object.keys(was.stores).every((id) => id in job.stores);
  if (!untouched) return { ...job, loop };
  const [store] = Object.entries(becomes.stores);
  if (!store) return { ...job, loop, stores: becomes.stores };
  const aperture = openJob(job).groups.reduce((sum, { thermal, count }) => sum + thermal.apertureArea * count, 0);
  const volume = Math.max(job.need.volumePerDay, storePerArea * aperture, 0.02);
  const kept = job.stores[store[0]]?.volume;
  const stays = kept !== undefined && kept !== was.stores[store[0]]?.volume;
  return {
    ...job,
    loop,
    stores: { [store[0]]: { ...store[1], volume: stays ? kept : Math.round(volume * 200) / 200 } },
  };
}
