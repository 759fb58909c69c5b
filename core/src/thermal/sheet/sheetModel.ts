import type { OperatingConditions } from '../contract';
import { slotFilm } from '../convection';
import type { Built } from '../flat/build';
import { lossInput, termOf } from '../flat/derivations';
import { type FlatModel, flatModel } from '../flat/flatModel';
import { flatInputs } from '../flat/inputs';
import { type TransferQuery, type Transferred, transferredBy } from '../flat/working';
import type { SheetDescription } from './description';

/**
 * F' of a fully wetted sheet: heat meets the water where it is gathered, through the film alone. h / (h + U_L), the limit of D&B
 * 6.5.18 for a tube as wide as its plate and a perfect bond.
 *
 * @param filmCoefficient W/m²K between sheet and water (h)
 * @param lossCoefficient W/m²K (U_L)
 * @returns 0 to 1
 */
export function wettedFactor(filmCoefficient: number, lossCoefficient: number): number {
  return 1 / (1 + lossCoefficient / filmCoefficient);
}

function sheetTransfer(
  { description: { gap, absorberArea } }: Built<SheetDescription>,
  { massFlow, fluid = 'water' }: OperatingConditions,
): (query: TransferQuery) => Transferred {
  return ({ lossCoefficient, mean, heatCapacity }) => {
    const film = slotFilm(gap, mean, fluid);
    const factor = wettedFactor(film.coefficient, lossCoefficient);
    return transferredBy({
      efficiencyFactor: factor,
      film,
      massFlow,
      heatCapacity,
      area: absorberArea,
      lossCoefficient,
    });
  };
}

/** Two sheets with water between: a slot wet all over (D&B chapter 6 with a fin of nothing; film by Shah and London 1978). */
export function sheetModel(description: SheetDescription): FlatModel<SheetDescription> {
  return flatModel<SheetDescription>(description, {
    absorber: { words: 'sheets', short: 'sheets' },
    drainsWhenIdle: false,
    inputs: flatInputs,
    transfer: sheetTransfer,
    readouts: ({ state }) => [
      {
        id: 'factor',
        label: 'Sheet to water',
        kind: 'number',
        digits: 2,
        values: [termOf(state, 'efficiencyFactor')],
        derivation: {
          name: 'Sheet to water, F′',
          formula: 'h ÷ (h + U): all of the sheet is wet, and gives its heat where it gathers it',
          source: 'Duffie and Beckman, equation 6.5.18 for a tube as wide as its plate; film by Shah and London (1978)',
          inputs: [
            {
              label: 'film between sheet and water, h',
              value: termOf(state, 'filmCoefficient'),
              kind: 'heatLoss',
              digits: 0,
            },
            { label: 'between the sheets', value: description.gap, kind: 'length' },
            lossInput(state),
          ],
        },
      },
    ],
  });
}
