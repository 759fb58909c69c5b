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
export { describeChange, describeChanges } from './describeChanges';
export { type DocumentField, documentFields, fieldAt, fieldTable, resultKey } from './documentFields';
export { applyEdits, inverse, setFields } from './edits';
export { byId, heatersOf, mainTilt, onHandOf, soldOf, storesOf, thingsOnHand, tiltsOf } from './lists';
export { leastSpecificFlow, mostSpecificFlow } from './loopFields';
export { needSchema } from './needFields';
export { type ParsedJob, parseJob, type ReadDocument, readDocument } from './parse';
export { isPicked, withPick } from './picked';
export { pointerOf, stepsOf } from './pointer';
export { type Job, jobJsonSchema, jobSchema, jobVersion } from './schema';
export { standingAt, zoneAt } from './siteDefaults';
export { siteSchema } from './siteFields';
export { isWarmWater, warmWaterWords } from './warmWater';
