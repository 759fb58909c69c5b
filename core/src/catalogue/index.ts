// What shops sell and what things are made of, each with its source. Data and look-ups, no judgement.

export type { Bar } from './bars';
export { barMass } from './bars';
export type { Sheet, Timber } from './boards';
export { sheetMass } from './boards';
export { type CatalogueKind, entries, entry, entryName, findEntry, insteadOf, UnknownEntry } from './catalogue';
export { drillFor } from './drills';
export { elbowFor } from './elbows';
export type { Pane } from './glazing';
export { dirt, rimSpread } from './glazing';
export { type Hose, hoseBore, pressureDerating } from './hoses';
export type { ServiceLimit, SolderAlloy } from './limits';
export { hottestStart, loopPipeIds, loopPipes, serviceLimits, solderHolds, solderRatedTo } from './limits';
export type { Material } from './materials';
export { materials } from './materials';
export type { Member } from './member';
export { defineMember, memberOf, UnknownMember } from './member';
export type { Range } from './range';
export { range } from './range';
export { saws } from './saws';
export { screwFrom, screwUpTo } from './screws';
export type { Tee } from './tees';
export { teeFor } from './tees';
export type { Tool } from './tools';
export type { Tube } from './tubes';
export { bore } from './tubes';
