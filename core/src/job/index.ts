// The job document: its schema and versions, and everything that is worked out from it.
export { changesBetween, mergeChanges, pathSteps, same, valueAtPath, withValueAt } from './changes';
export type { Change, Conflict } from './changes';
export { designConditions, designFlow, heatConditions, stagnationConditions, tiltOf } from './conditions';
export type { Conditions } from './conditions';
export { buyListCsv, cutListCsv, jobShop } from './cutList';
export { defaultJob, familyIds } from './defaults';
export { evaluateBands, evaluateJob, evaluateOpen } from './evaluate';
export type { Band, BandedFigure, Figures, PanelFigures } from './evaluate';
export { allWords, jobFindings, sayFinding } from './findings';
export { asBuilt, jobParts, openJob } from './open';
export type { OpenJob } from './open';
export { parseJob } from './parse';
export type { ParsedJob } from './parse';
export { compareJob, plantOf } from './prove';
export { jobFormat, jobJsonSchema, jobSchema, jobVersion } from './schema';
export type { Job } from './schema';
