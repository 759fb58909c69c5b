// Circuits: how the panels of a job hang together.
export { panelsState, totalAperture } from './panels';
export type { Connection, PanelGroup, PanelsState } from './panels';
