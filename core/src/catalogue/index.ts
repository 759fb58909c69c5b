// What shops sell and what things are made of, each with its source. Data and look-ups, no judgement.

export type { Bar } from './bars';
export { barMass, bars } from './bars';
export type { Sheet, Timber, Track } from './boards';
export { sheetMass, sheets, timbers, tracks } from './boards';
export type { CatalogueKind, EntryOf } from './catalogue';
export { entries, entry, entryName, findEntry, insteadOf, UnknownEntry } from './catalogue';
export { drillFor } from './drills';
export type { Elbow } from './elbows';
export { elbowFor } from './elbows';
export type { FieldMeta } from './field';
export { choiceField, countField, entryField, fieldMeta, lengthField, rangesOf } from './field';
export type { Coating, Pane } from './glazing';
export { coatings, dirt, panes, rimSpread } from './glazing';
export type { LoopPipe, ServiceLimit, SolderAlloy } from './limits';
export { hottestStart, loopPipeIds, loopPipes, serviceLimits, solderHolds } from './limits';
export type { Material, MaterialId } from './materials';
export { materials } from './materials';
export type { Member } from './member';
export { defineMember, memberOf, UnknownMember } from './member';
export type { Range, SourceKind } from './range';
export { range } from './range';
export type { Saw } from './saws';
export { saws } from './saws';
export type { Tee } from './tees';
export { teeFor } from './tees';
export type { Tube } from './tubes';
export { bore, tubes } from './tubes';
