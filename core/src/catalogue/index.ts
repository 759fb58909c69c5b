// What shops sell and what things are made of, each with its source. Data and look-ups, no judgement.
export { sheetMass, sheets, timbers, tracks } from './boards';
export type { Sheet, Timber, Track } from './boards';
export { entries, entry, entryName, findEntry, UnknownEntry } from './catalogue';
export type { CatalogueKind, EntryOf } from './catalogue';
export { coatings, dirt, panes } from './glazing';
export type { Coating, Pane } from './glazing';
export { materials } from './materials';
export type { Material, MaterialId } from './materials';
export { range } from './range';
export type { Range, SourceKind } from './range';
export { bore, tubes } from './tubes';
export type { Tube } from './tubes';
export { choiceField, countField, entryField, fieldMeta, lengthField } from './field';
export type { FieldMeta } from './field';
export { defineMember, memberOf, UnknownMember } from './member';
export type { Member } from './member';
