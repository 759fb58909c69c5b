// Kinds of heater, one folder each, all with the same duties. Nothing outside a folder knows a kind by its id.

export { type ChangedKind, changeKind } from './changeKind';
export type {
  Chosen,
  Family,
  Field,
  FilmWater,
  GrowingThing,
  ManifoldWater,
  MaterialInPanel,
  PanelDesign,
  PanelDocument,
  PanelProblem,
  SerialWater,
  SlotWater,
  View,
  WaterDescription,
} from './family';
export { chosenProblems, fieldsOf, views } from './family';
export { lifters } from './plate/steps';
export { standardChoice } from './plateFamily';
export type { FamilyId } from './registry';
export { families } from './registry';
