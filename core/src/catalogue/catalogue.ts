import { bars } from './bars';
import { sheets, timbers, tracks } from './boards';
import { coatings, panes } from './glazing';
import { hoses } from './hoses';
import { tubes } from './tubes';

const lists = {
  tube: tubes,
  timber: timbers,
  sheet: sheets,
  track: tracks,
  bar: bars,
  pane: panes,
  coating: coatings,
  hose: hoses,
} as const;
export type CatalogueKind = keyof typeof lists;
export type EntryOf<K extends CatalogueKind> = (typeof lists)[K][number];

/** An id that no list holds. The job document's own check names the field before this can be met. */
export class UnknownEntry extends Error {
  constructor(
    readonly kind: CatalogueKind,
    readonly id: string,
  ) {
    super(`no ${kind} “${id}” in the catalogue`);
    this.name = 'UnknownEntry';
  }
}

export function entries<K extends CatalogueKind>(kind: K): readonly EntryOf<K>[] {
  return lists[kind];
}

/** The entry with that id. Throws UnknownEntry. */
export function entry<K extends CatalogueKind>(kind: K, id: string): EntryOf<K> {
  const found = findEntry(kind, id);
  if (!found) throw new UnknownEntry(kind, id);
  return found;
}

export function findEntry<K extends CatalogueKind>(kind: K, id: string): EntryOf<K> | undefined {
  return (lists[kind] as readonly EntryOf<K>[]).find((candidate) => candidate.id === id);
}

/** What a shop calls the thing with that id, whatever list it is in. */
export function entryName(id: string): string | undefined {
  for (const kind of Object.keys(lists) as CatalogueKind[]) {
    const found = findEntry(kind, id);
    if (found) return found.name;
  }
  return undefined;
}

/** Other things of the same shops that can stand in the place of one: tube of the same outside and temper, any board, a sheet of the same use. */
export function insteadOf(id: string): { id: string; name: string }[] {
  const tube = findEntry('tube', id);
  if (tube)
    return tubes.filter(
      (one) =>
        one.id !== id &&
        one.tape === tube.tape &&
        one.temper === tube.temper &&
        Math.abs(one.outerDiameter - tube.outerDiameter) < 1e-6,
    );
  const board = findEntry('timber', id);
  if (board) return timbers.filter((one) => one.id !== id && one.tape === board.tape);
  const sheet = findEntry('sheet', id);
  if (sheet) return sheets.filter((one) => one.id !== id && one.tape === sheet.tape && one.use === sheet.use);
  return [];
}
