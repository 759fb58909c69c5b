import { volumeFlow } from '../thermal';
import { flowInput, type HydraulicModel } from './contract';

/** A film that runs down open strips: nothing to press against but the lift to their heads. */
export interface OpenFilmDescription {
  strips: number;
  /** m³ that lies on the strips while the pump runs. */
  volume: number;
  weakPoint?: string;
  drains: HydraulicModel['drains'];
}

/** Open strips, each fed its like. */
export function openFilmModel({ strips, volume, weakPoint, drains }: OpenFilmDescription): HydraulicModel {
  return {
    volume,
    open: true,
    ...(weakPoint ? { weakPoint } : {}),
    drains,
    state: () => ({ branches: [] }),
    readouts: (at) => [
      {
        id: 'stripFlow',
        label: 'Flow, each strip',
        kind: 'flow',
        values: [volumeFlow(at.massFlow / strips, at.inlet, at.fluid)],
        derivation: {
          name: 'Flow, each strip',
          formula: 'flow of the panel ÷ strips: every feed gets its like',
          source: 'the design flow for each square metre of pane',
          inputs: [flowInput(at), { label: 'strips', value: strips, kind: 'number', digits: 0 }],
        },
      },
    ],
    derivations: (at) => ({
      drop: {
        name: 'Pressure drop',
        formula: 'none: the water runs down open strips; the pump only lifts it to their heads',
        source: 'open flow',
        inputs: [flowInput(at)],
      },
    }),
  };
}
