import { formatNumber } from '../../quantity';
import type { OperatingConditions } from '../contract';
import { tubeFilm } from '../convection';
import type { Built } from '../flat/build';
import { lossInput, termOf } from '../flat/derivations';
import { type FlatModel, flatModel } from '../flat/flatModel';
import { flatInputs } from '../flat/inputs';
import { type TransferQuery, type Transferred, transferredBy } from '../flat/working';
import { spreadInput } from '../uncertain';
import type { CoilDescription } from './description';

/**
 * mK/W through the wall of a hose, heated all round: ln(D/d) / 2πk (Fourier). A hose that the sun heats on one half holds back more, by the
 * factor that `oneSided` spreads.
 */
export function wallResistance({
  outerDiameter,
  bore,
  conductivity,
}: Pick<CoilDescription, 'outerDiameter' | 'bore' | 'conductivity'>): number {
  return Math.log(outerDiameter / bore) / (2 * Math.PI * conductivity);
}

/** F' of a hose that is its own absorber: 1 / (1 + U_L w (R_wall + R_film)), with w the width of hose that catches the sun. Derived. */
function coilTransfer(
  built: Built<CoilDescription>,
  { massFlow, fluid = 'water' }: OperatingConditions,
): (query: TransferQuery) => Transferred {
  const { description } = built;
  const { starts, length, bore, absorberArea } = description;
  const wall = wallResistance(description) * built.value('oneSided', 1);
  return ({ lossCoefficient, mean, heatCapacity }) => {
    const film = tubeFilm({ massFlow: massFlow / starts, innerDiameter: bore, length, temperature: mean, fluid });
    const width = absorberArea / (starts * length);
    const resistance = wall + 1 / (film.coefficient * Math.PI * bore);
    const factor = 1 / (1 + lossCoefficient * width * resistance);
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

/** Hose wound flat. What falls between its windings is lost; wall and film stand between the sun and the water. */
export function coilModel(description: CoilDescription): FlatModel<CoilDescription> {
  return flatModel<CoilDescription>(description, {
    absorber: { words: 'hose', short: 'hose' },
    drainsWhenIdle: false,
    inputs: (one) => {
      const input = spreadInput(one.known);
      return [
        // A bare one has no rim to lose by.
        ...flatInputs(one).filter(({ id }) => id !== 'edge' || one.rim.area > 0),
        input('oneSided', 'Wall holds back', '× all round', 2, one.oneSided, [1, 1, 1], {
          worst: 6,
          say: (value) => `a hose wall that holds back ${formatNumber(value, 1)} times what it does warmed all round`,
        }),
        ...(one.covers.length > 0
          ? []
          : [input('surface', 'Wind finds hose', '× plan', 2, one.surface, [1, 1.05, 1.1])]),
      ];
    },
    transfer: coilTransfer,
    readouts: ({ state }) => [
      {
        id: 'factor',
        label: 'Hose to water',
        kind: 'number',
        digits: 2,
        values: [termOf(state, 'efficiencyFactor')],
        derivation: {
          name: 'Hose to water, F′',
          formula:
            '1 ÷ (1 + U × width of hose × (wall + film)): the wall is ln(D/d) ÷ 2πk, more where only one side is sunlit',
          source:
            'Fourier through a tube wall; film by the VDI Heat Atlas, G1, and Gnielinski; Duffie and Beckman, section 6.5',
          inputs: [
            { label: 'hose, outside', value: description.outerDiameter, kind: 'length' },
            { label: 'hose, bore', value: description.bore, kind: 'length' },
            { label: 'wall conducts, W/mK', value: description.conductivity, kind: 'number', digits: 2 },
            { label: 'one side sunlit, ×', value: description.oneSided.likely, kind: 'number', digits: 2 },
            { label: 'film in the hose', value: termOf(state, 'filmCoefficient'), kind: 'heatLoss', digits: 0 },
            lossInput(state),
          ],
        },
      },
    ],
  });
}
