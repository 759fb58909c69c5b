// The job document: its schema and versions, defaults, edits by path and how they merge, what changed in words.

export { asBuilt } from './asBuilt';
export {
  type Change,
  type Conflict,
  changesBetween,
  mergeChanges,
  pathSteps,
  same,
  valueAtPath,
  withValueAt,
} from './changes';
export { beginJob, defaultJob, familyIds } from './defaults';
export { fieldText } from './fieldText';
export { parseJob } from './parse';
export { sayChanges } from './sayChanges';
export { type Job, jobJsonSchema, leastSpecificFlow, mostSpecificFlow } from './schema';
export { standingAt, zoneAt } from './siteDefaults';
