// The stations of a job: which there are, how far each is, and which comes next.

export { type StationEntry, type StationId, stationIds, stationList } from './list';
export { type NextStation, nextStation } from './next';
export { type StationMark, stationMarks } from './progress';
