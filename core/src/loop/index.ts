// Circuits: how the heaters of a job hang together.

export type { Connection, HeaterGroup, HeatersState } from './heaters';
export { heatersAtRest, heatersInLoop, heatersState, hottestOutlet, standsBeside, totalAperture } from './heaters';
