import { formatNumber } from '../../quantity';
import type { Readout } from '../../readout';
import type { ThermalState, UncertainInput } from '../contract';
import { lossInput, termOf } from '../flat/derivations';
import { type FlatModel, flatModel } from '../flat/flatModel';
import { flatInputs, plateInput } from '../flat/inputs';
import { uncertainInput } from '../uncertain';
import { bondTest } from './bondTest';
import type { PlateDescription } from './description';
import { plateTransfer } from './transfer';

function plateInputs(description: PlateDescription): UncertainInput[] {
  const { bond, bondHomeMade, known, plate, sheet } = description;
  return [
    ...(plate.mount === 'in'
      ? []
      : [
          uncertainInput(known, {
            id: 'bond',
            name: 'Bond of tube and plate',
            unit: 'W/mK',
            digits: 0,
            spread: { 'well made': bond, 'home-made': bondHomeMade },
            handTest: bondTest(description),
            fault: {
              worst: 0.02,
              say: (value, any) =>
                any ? 'hardly any bond at all' : `a bond of ${formatNumber(value, value < 10 ? 1 : 0)} W/mK`,
            },
          }),
        ]),
    ...flatInputs(description),
    plateInput(known, sheet),
  ];
}

/** Fin and tube of a plate at work, each with its derivation. */
function plateReadouts(
  description: PlateDescription,
  inputs: readonly UncertainInput[],
  state: ThermalState,
): Readout[] {
  const { plate, tube } = description;
  const loss = lossInput(state);
  const bond = inputs.find(({ id }) => id === 'bond')?.spread['well made'];
  return [
    {
      id: 'fin',
      label: 'Fin efficiency',
      kind: 'number',
      digits: 2,
      values: [termOf(state, 'finEfficiency')],
      derivation: {
        name: 'Fin efficiency, F',
        formula: 'tanh(m x) ÷ (m x), m² = U ÷ (conductivity × thickness), x = half of the plate beside the tube',
        source: 'Duffie and Beckman, equation 6.5.12',
        inputs: [
          loss,
          {
            label: 'conductivity × thickness, W/K',
            value: plate.steps[0]?.conductance ?? 0,
            kind: 'number',
            digits: 4,
          },
          { label: 'plate on one tube', value: plate.width, kind: 'length' },
          { label: 'tube, outside', value: tube.outerDiameter, kind: 'length' },
        ],
      },
    },
    {
      id: 'factor',
      label: 'Tube to plate',
      kind: 'number',
      digits: 2,
      values: [termOf(state, 'efficiencyFactor')],
      derivation: {
        name: 'Tube to plate, F′',
        formula: '(1/U) ÷ pitch × (1/(U(D + (pitch − D)F)) + 1/bond + 1/(π d h)), inverted',
        source: 'Duffie and Beckman, equation 6.5.18; film by VDI Heat Atlas G1 and Gnielinski',
        inputs: [
          { label: 'F', value: termOf(state, 'finEfficiency'), kind: 'number', digits: 3 },
          ...(bond
            ? ([
                { label: 'bond, W/mK', value: bond.likely, kind: 'number', digits: 0 },
                { label: 'bond, from', value: bond.low, kind: 'number', digits: 0 },
                { label: 'bond, to', value: bond.high, kind: 'number', digits: 0 },
              ] as const)
            : []),
          { label: 'film in the tube, h', value: termOf(state, 'filmCoefficient'), kind: 'heatLoss', digits: 0 },
          { label: 'Reynolds number', value: termOf(state, 'reynolds'), kind: 'number', digits: 0 },
          loss,
        ],
      },
    },
  ];
}

export type PlateModel = FlatModel<PlateDescription>;

/** Tubes on a plate: fin, bond and film (Hottel, Whillier and Bliss; D&B chapter 6). */
export function plateModel(description: PlateDescription): PlateModel {
  return flatModel(description, {
    absorber: { words: 'plate and tubes', short: 'plate' },
    drainsWhenIdle: false,
    inputs: plateInputs,
    transfer: plateTransfer,
    readouts: ({ model, state }) => plateReadouts(model.description, model.inputs, state),
  });
}
