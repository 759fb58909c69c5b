import type { Derivation, Readout } from '../../readout';
import type { OperatingConditions, ThermalState } from '../contract';
import type { Built } from './build';
import type { HeatPipeDescription } from './description';

export function heatPipeReadouts({ count }: HeatPipeDescription, state: ThermalState): Readout[] {
  return [
    {
      id: 'each',
      label: 'Each tube carries',
      kind: 'power',
      digits: 1,
      values: [state.terms.each ?? Number.NaN],
      derivation: {
        name: 'Each tube carries',
        formula: '(wall − water) ÷ chain of wall, boiling, condensing, wall and film',
        source:
          'resistances in series; Duffie and Beckman, section 6.12; never more than the flooding limit of Wallis (1969)',
        inputs: [
          { label: 'tubes', value: count, kind: 'number', digits: 0 },
          { label: 'chain, K/W', value: state.terms.resistance ?? Number.NaN, kind: 'number', digits: 3 },
        ],
      },
    },
  ];
}

export function heatPipeDerivations(
  { tube, strip, count, sleeve }: HeatPipeDescription,
  one: Built,
  state: ThermalState,
  boundary: OperatingConditions,
): { efficiency: Derivation; dry: Derivation } {
  const kept = {
    label: 'share of the sun on the tubes’ breadth that they keep',
    value: state.terms.opticalShare ?? Number.NaN,
    kind: 'number',
    digits: 3,
  } as const;
  return {
    efficiency: {
      name: 'Efficiency on the breadth of the tubes',
      formula: 'Σ (sun kept − loss of the tube) less what the manifold loses ÷ (sun × breadth × heated length × tubes)',
      source:
        'chain of resistances; loss in the sleeve by Raithby and Hollands (1975), off it by Churchill and Bernstein (1977) and long wave',
      inputs: [
        kept,
        { label: 'breadth in the sun', value: strip?.width ?? tube.diameter, kind: 'length' },
        { label: 'heated length', value: tube.heated, kind: 'length' },
        { label: 'tubes', value: count, kind: 'number', digits: 0 },
        { label: 'chain, K/W', value: one.resistance, kind: 'number', digits: 3 },
        { label: 'manifold, W/K', value: one.manifold, kind: 'number', digits: 2 },
        { label: 'sun', value: boundary.irradiance, kind: 'irradiance' },
        { label: 'air', value: boundary.air, kind: 'temperature' },
        { label: 'water in', value: boundary.inlet, kind: 'temperature' },
        ...(sleeve ? [{ label: 'sleeve, across', value: sleeve.diameter, kind: 'length' as const }] : []),
      ],
    },
    dry: {
      name: 'At rest in sun',
      formula: 'the temperature at which the manifold loses what the tubes carry: 1 000 W/m², air 30 °C, wind 0.5 m/s',
      source: 'the same chain; the tubes themselves are hotter, as the limits show',
      inputs: [kept, { label: 'manifold, W/K', value: one.manifold, kind: 'number', digits: 2 }],
    },
  };
}
