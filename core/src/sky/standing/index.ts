// How a pane may stand: what a year sends to it, the best tilts and aims, what being off costs, the schools compared.

export {
  allMonths,
  type Best,
  bestMonthly,
  bestStanding,
  bestTwo,
  type Months,
  perDay,
  seasonMonths,
  standingGrid,
  sumOver,
  type TwoPositions,
  tiltTable,
} from './best';
export { equatorward, type RoofPitch, type SchoolId, type SchoolResult } from './designRules';
export {
  type Around,
  around,
  cellsOnPane,
  daysInMonth,
  meansOf,
  monthsOf,
  monthsOnPane,
  type PaneOrientation,
  type SkyYear,
  type Surroundings,
  skyYear,
} from './skyYear';
export {
  type OffPoint,
  type StandingShares,
  type StandingStudy,
  type StudyQuery,
  sharesOf,
  studyStanding,
} from './study';
export { monthNames, monthsOfSeason, type Season, sayMonths, sayStanding, seasons } from './words';
