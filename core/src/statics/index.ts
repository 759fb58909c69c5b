/** What carries weight: bending, bearing, and what rolls. */
export { type PointLoad, partialLoadMoment, pointLoadMoment, sectionModulus } from './beam';
export { rollAngle } from './roll';
export { timberBearing, timberBending } from './timber';
