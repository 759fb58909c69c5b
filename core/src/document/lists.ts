import type { HeaterDocument, Salvage } from '../families';
import type { OnHand, Sold } from '../shop';
import type { Job } from './schema';

/** Entries with their ids, by their order where they have one, else by their ids: a database keeps no order of keys. */
function listed<T extends object>(entries: Readonly<Record<string, T>>): ({ id: string } & T)[] {
  const orderOf = (one: T) => ('order' in one && typeof one.order === 'number' ? one.order : 0);
  return Object.entries(entries)
    .sort(([a, one], [b, other]) => orderOf(one) - orderOf(other) || (a < b ? -1 : 1))
    .map(([id, one]) => ({ id, ...one }));
}

/** A list worked out once for each record: who draws it sees the same list as long as nothing of it has changed. */
function once<T extends object, R>(make: (record: T) => R): (record: T) => R {
  const known = new WeakMap<T, R>();
  return (record) => {
    let found = known.get(record);
    if (found === undefined) {
      found = make(record);
      known.set(record, found);
    }
    return found;
  };
}

const heaterList = once((heaters: Job['heaters']) => listed(heaters) as HeaterDocument[]);
const tiltList = once((tilts: Job['site']['standing']['tilts']) => listed(tilts));
const storeList = once((stores: Job['stores']) => listed(stores));
const thingList = once((things: NonNullable<Job['shop']['things']>) => listed(things) as Salvage[]);
const soldList = once((sold: Job['shop']['sold']) => bySize(listed(sold)) as Sold[]);
const onHandList = once((onHand: Job['shop']['onHand']) => bySize(listed(onHand)) as OnHand[]);

function bySize<T extends { item: string } & ({ length: number } | { width: number; height: number })>(list: T[]): T[] {
  const sizeOf = (one: T) => ('length' in one ? one.length : one.width * one.height);
  return list.sort((a, b) => (a.item === b.item ? sizeOf(a) - sizeOf(b) : a.item < b.item ? -1 : 1));
}

/** The heaters of a job in their order, each with its id. */
export function heatersOf({ heaters }: Pick<Job, 'heaters'>): readonly HeaterDocument[] {
  return heaterList(heaters);
}

/** The tilts that a pane is moved between, in their order; the first is where it stands most. */
export function tiltsOf({ standing }: Pick<Job['site'], 'standing'>): readonly ({ id: string } & Tilt)[] {
  return tiltList(standing.tilts);
}

type Tilt = Job['site']['standing']['tilts'][string];

/** Degrees, and where in the document they stand. */
export function mainTilt(site: Pick<Job['site'], 'standing'>): { tilt: number; path: string } {
  const [first] = tiltsOf(site);
  return { tilt: first?.tilt ?? 0, path: `site.standing.tilts.${first?.id}.tilt` };
}

export function storesOf({ stores }: Pick<Job, 'stores'>): readonly ({ id: string } & Job['stores'][string])[] {
  return storeList(stores);
}

/** What the shop sells, of one thing the smallest first. */
export function soldOf({ sold }: Pick<Job['shop'], 'sold'>): readonly Sold[] {
  return soldList(sold);
}

/** What lies in the shed as the builder counted it, of one thing the smallest first. */
export function onHandOf({ onHand }: Pick<Job['shop'], 'onHand'>): readonly OnHand[] {
  return onHandList(onHand);
}

/** What lies in the shed that is no bar and no sheet. */
export function thingsOnHand({ things }: Pick<Job['shop'], 'things'>): readonly Salvage[] {
  return things ? thingList(things) : [];
}

/** Entries of a list by their ids, for the document. */
export function byId<T extends { id: string }>(list: readonly T[]): Record<string, Omit<T, 'id'>> {
  return Object.fromEntries(list.map(({ id, ...rest }) => [id, rest]));
}

/** Id of a tilt by its place: `tilt-a`, `tilt-b`. */
export function tiltId(place: number): string {
  return `tilt-${String.fromCharCode(97 + (place % 26))}`;
}
