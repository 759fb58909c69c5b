import { sheets, timbers, tracks } from './boards';
import { coatings, panes } from './glazing';
import { tubes } from './tubes';

const lists = { tube: tubes, timber: timbers, sheet: sheets, track: tracks, pane: panes, coating: coatings } as const;
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
