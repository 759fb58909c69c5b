import { flowInput, flowing, type HydraulicModel } from './contract';
import { slotDrop } from './series';

/** A thin layer between two sheets, from one corner to the other. */
export interface SlotDescription {
  /** m. Along the flow, across it, and between the sheets. */
  length: number;
  breadth: number;
  gap: number;
  /** m³. */
  volume: number;
  weakPoint?: string;
  drains: HydraulicModel['drains'];
}

/** A slot between two sheets: plane Poiseuille flow, analytic. */
export function slotModel({ length, breadth, gap, volume, weakPoint, drains }: SlotDescription): HydraulicModel {
  return {
    volume,
    open: false,
    ...(weakPoint ? { weakPoint } : {}),
    drains,
    state: (at) => ({ drop: slotDrop({ length, breadth, gap, ...flowing(at) }), branches: [] }),
    readouts: () => [],
    derivations: (at) => ({
      drop: {
        name: 'Pressure drop',
        formula: '12 × viscosity × length × flow ÷ (breadth × gap³)',
        source: 'plane Poiseuille flow between two plates, analytic',
        inputs: [
          { label: 'along the flow', value: length, kind: 'length' },
          { label: 'across it', value: breadth, kind: 'length' },
          { label: 'between the sheets', value: gap, kind: 'length' },
          flowInput(at),
        ],
      },
    }),
  };
}
