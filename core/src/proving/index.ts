// Readings and tests by hand, held against the job as it was built.

export { bondTest, type Found, foundOf, paneTest, plateTest, withFound, withMeasured, withoutFound } from './handTests';
export { type BuiltJob, compareBuilt, compareJob, jobDoubts, plantOf } from './prove';
