// Kinds of heater, one folder each, all with the same duties. Nothing outside a folder knows a kind by its id.

export { changeKind } from './changeKind';
export type {
  Family,
  Field,
  GrowingThing,
  ManifoldWater,
  PanelDesign,
  PanelDocument,
  SerialWater,
  View,
  WaterDescription,
} from './family';
export { chosenProblems, fieldsOf, stackShortfall, views } from './family';
export { lifters } from './kit/steps';
export { standardChoice } from './plateFamily';
export { families } from './registry';
