// The job document: its schema and versions, defaults, edits by path and how they merge, what changed in words.

export { asBuilt } from './asBuilt';
export {
  type Change,
  type Conflict,
  changesBetween,
  type FieldPath,
  mergeChanges,
  pathSteps,
  same,
  sharing,
  valueAtPath,
  withValueAt,
} from './changes';
export { beginJob, defaultJob, familyIds, standardPlant } from './defaults';
export { inverse, layEdits, setFields } from './edits';
export { fieldText } from './fieldText';
export { byId, heatersOf, mainTilt, onHandOf, soldOf, storesOf, thingsOnHand, tiltsOf } from './lists';
export { type ParsedJob, parseJob, type ReadDocument, readDocument } from './parse';
export { isPicked, withPick } from './picked';
export { pointerOf, stepsOf } from './pointer';
export { sayChanges, sayField } from './sayChanges';
export { heatSources, type Job, jobJsonSchema, jobVersion, leastSpecificFlow, mostSpecificFlow } from './schema';
export { standingAt, zoneAt } from './siteDefaults';
