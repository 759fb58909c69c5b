// Circuits: how the panels of a job hang together.

export type { Connection, PanelGroup, PanelsState } from './panels';
export { hottestOutlet, panelsState, totalAperture } from './panels';
