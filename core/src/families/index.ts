// Kinds of heater, one folder each, all with the same duties. Nothing outside a folder knows a kind by its id.

export { changeKind } from './changeKind';
export type {
  ArgumentSide,
  DrawnView,
  DrawnViews,
  Family,
  Field,
  GrowingThing,
  HeaterAtWork,
  HeaterDesign,
  HeaterDocument,
  Orientation,
  Port,
  Salvaged,
} from './family';
export { chosenProblems, fieldsOf, stackShortfall, usualOrientation } from './family';
export { lifters } from './kit/steps';
export { standardChoice } from './plateFamily';
export { families } from './registry';
export { type LeftOut, type Salvage, saySalvage, type Taken, tankVolume, usualTank } from './salvage';
export { whyNotOn } from './stands';
