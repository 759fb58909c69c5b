// Which kind of heater suits a place, a need and what is on hand: every kind drawn, screened through a year, priced and timed.

export {
  bestKinds,
  compareKinds,
  type FrostAnswer,
  frostAnswer,
  hereWeather,
  type KindCase,
  type KindOutcome,
  kindCase,
  kindOutcome,
  type Skill,
  skills,
} from './compareKinds';
export { compareDesignRules, type School, type SchoolSide } from './designRules';
export { sayHeat } from './energy';
export { asShelved, type PickedKind, pickKind } from './pickKind';
export { heatShare, type Reasons, reasonsOf, savedBy, yearsToPay } from './reasons';
export { type ScreenedDay, screenDay, storeLoss } from './screening';
