// A document opened: its heaters bound, conditions, dimensions, the pieces of the whole job and the plan of its stock.

export { absentWords, attempt } from './attempt';
export {
  type Conditions,
  designConditions,
  heatConditions,
  nightConditions,
  stagnationConditions,
  tiltOf,
} from './conditions';
export { cutDecisions, type JobShop, jobShop, overruleList, shopNow } from './cutList';
export {
  type Editable,
  editableDimensions,
  fieldValue,
  findDimension,
  openWith,
  pathOf,
  withDimension,
} from './dimension';
export { jobParts } from './jobParts';
export { mountFindings, mountOf, mountWords, paneWindFindings, sideOf, windOf } from './mount';
export { heaterPath, type JobInShop, type OpenHeater, type OpenJob, openJob } from './open';
export { type Refit, refitDimension, sayBound, sayRefit } from './refit';
