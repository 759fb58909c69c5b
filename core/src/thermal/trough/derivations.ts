import type { Derivation, Readout } from '../../readout';
import type { OperatingConditions, ThermalState } from '../contract';
import type { TroughDescription } from './description';
import { openingWidth } from './trace';

const traced = 'rays traced in two dimensions; spread of sun and slope folded in (Rabl 1985; Bendt and others 1979)';

function opticalInputs({ section }: TroughDescription, state: ThermalState): Derivation['inputs'] {
  const term = (name: string) => state.terms[name] ?? Number.NaN;
  return [
    {
      label: 'share of the sun on the opening that the pipe keeps',
      value: term('opticalShare'),
      kind: 'number',
      digits: 3,
    },
    { label: 'mirror throws on', value: term('reflectance'), kind: 'number', digits: 2 },
    { label: 'mirror’s slope is off by, mrad', value: term('slope'), kind: 'number', digits: 0 },
    { label: 'opening', value: openingWidth(section), kind: 'length' },
    { label: 'pipe, outside', value: section.pipe, kind: 'length' },
    { label: 'pipe’s middle over the mirror', value: section.height, kind: 'length' },
  ];
}

export function troughReadouts(description: TroughDescription, state: ThermalState): Readout[] {
  return [
    {
      id: 'caught',
      label: 'Kept of the sun on the opening',
      kind: 'number',
      digits: 2,
      values: [state.terms.opticalShare ?? Number.NaN],
      derivation: {
        name: 'Kept of the sun on the opening',
        formula: 'Σ share thrown on n times × reflectanceⁿ × what the paint takes up at its slant × ends',
        source: traced,
        inputs: opticalInputs(description, state),
      },
    },
  ];
}

export function troughDerivations(
  description: TroughDescription,
  state: ThermalState,
  boundary: OperatingConditions,
): { efficiency: Derivation; dry: Derivation } {
  const optical = opticalInputs(description, state);
  return {
    efficiency: {
      name: 'Efficiency on the opening',
      formula: '(sun kept − what the pipe loses) ÷ (sun × opening × length × troughs)',
      source: `${traced}; loss of a cylinder by Churchill and Bernstein (1977), Churchill and Chu (1975) and long wave`,
      inputs: [
        ...optical,
        { label: 'each trough', value: description.length, kind: 'length' },
        { label: 'troughs', value: description.count, kind: 'number', digits: 0 },
        { label: 'wind that reaches the pipe, share', value: description.shelter.likely, kind: 'number', digits: 2 },
        { label: 'sun', value: boundary.irradiance, kind: 'irradiance' },
        { label: 'air', value: boundary.air, kind: 'temperature' },
        { label: 'water in', value: boundary.inlet, kind: 'temperature' },
      ],
    },
    dry: {
      name: 'At rest in sun',
      formula: 'the temperature at which the pipe loses what it keeps: 1 000 W/m², air 30 °C, wind 0.5 m/s',
      source: 'heat balance of a cylinder in the open',
      inputs: optical,
    },
  };
}
