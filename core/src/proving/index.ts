// Readings and tests by hand, held against the job as it was built.

export { type Found, foundOf, handTestsOf, withFound, withMeasured, withoutFound } from './handTests';
export { type BuiltJob, compareBuilt, compareJob, jobDoubts, plantOf } from './prove';
