import type { Layer } from './model';

/** Line and fill of each layer on white paper. */
export const paperInk: Record<Layer, { stroke: string; fill: string }> = {
  timber: { stroke: '#22303A', fill: '#DCC7A1' },
  back: { stroke: '#22303A', fill: '#C9B48F' },
  insulation: { stroke: '#8a7a4a', fill: '#EBDDAE' },
  plate: { stroke: '#93481F', fill: '#E9CDB9' },
  tube: { stroke: '#A9572B', fill: '#E0A983' },
  header: { stroke: '#93481F', fill: '#CF8F68' },
  pane: { stroke: '#2F6462', fill: '#D7E5E2' },
  rail: { stroke: '#22303A', fill: '#EADBBD' },
  fixing: { stroke: '#22303A', fill: '#22303A' },
  hole: { stroke: '#22303A', fill: '#FFFFFF' },
  centre: { stroke: '#5A6469', fill: 'none' },
  note: { stroke: '#22303A', fill: 'none' },
};
