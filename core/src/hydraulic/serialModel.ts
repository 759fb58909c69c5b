import { flowInput, flowing, type HydraulicModel } from './contract';
import type { Fitting } from './fittings';
import { seriesDrop } from './series';

/** One long way through all of it. */
export interface SerialDescription {
  /** m. */
  bore: number;
  length: number;
  bends: { fitting: Fitting; count: number };
  /** m³. */
  volume: number;
  weakPoint?: string;
  drains: HydraulicModel['drains'];
}

export interface SerialModel extends HydraulicModel {
  description: SerialDescription;
}

/** One tube with bends: Darcy and Weisbach along it, Hooper (1981) at the bends. */
export function serialModel(description: SerialDescription): SerialModel {
  const { bore, length, bends } = description;
  return {
    description,
    volume: description.volume,
    open: false,
    ...(description.weakPoint ? { weakPoint: description.weakPoint } : {}),
    drains: description.drains,
    state: (at) => ({ drop: seriesDrop({ bore, length, bends, ...flowing(at) }), branches: [] }),
    readouts: () => [],
    derivations: (at) => ({
      drop: {
        name: 'Pressure drop',
        formula: '(friction × length ÷ bore + bends × K) × density × speed² ÷ 2',
        source: 'Darcy and Weisbach; Colebrook and White where turbulent; bends by Hooper (1981)',
        inputs: [
          { label: 'tube, all runs', value: length, kind: 'length' },
          { label: 'bore', value: bore, kind: 'length' },
          { label: 'bends', value: bends.count, kind: 'number', digits: 0 },
          flowInput(at),
        ],
      },
    }),
  };
}
