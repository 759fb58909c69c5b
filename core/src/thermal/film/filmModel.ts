import type { OperatingConditions } from '../contract';
import { steppedFin } from '../fin';
import { type Built, steamLoss } from '../flat/build';
import { lossInput, termOf } from '../flat/derivations';
import { type FlatModel, flatModel } from '../flat/flatModel';
import { flatInputs, plateInput } from '../flat/inputs';
import { type TransferQuery, type Transferred, transferredBy } from '../flat/working';
import type { FilmDescription } from './description';

/**
 * kg/s for each metre of strip across. Under it a film does not cover its streaks any more and they thin out in proportion. Judgement:
 * a fiftieth of the least wetting rate of plain metal (some 0.05 kg/s m), since dimples and gauze hold what little there is.
 */
export const leastWetting = 0.001;

/** The strips at a flow: below the least wetting rate the streaks are narrower, at rest there are none. */
function atFlow(description: FilmDescription, { massFlow }: OperatingConditions): FilmDescription {
  const { strips, wetted, open } = description;
  const share = wetted * Math.min(1, massFlow / (strips.count * strips.width) / leastWetting);
  return { ...description, wetted: share, wet: open ? share : 0 };
}

/** m. Dry metal from the edge of a streak to the middle between two. */
function dryHalf({ strips, wetted }: FilmDescription): number {
  return (strips.width * (1 - wetted)) / 2;
}

/**
 * F, F' and F_R of a film in streaks: the dry metal between them is a fin on their edges, and all heat passes the film of the streak.
 * 1/F' = U_L w (1 / (U_L (s + (w − s) F)) + 1 / (h s)) with s the streak and w the strip (derived as D&B 6.5.18 without tube or bond).
 */
function filmTransfer(
  built: Built<FilmDescription>,
  { massFlow }: OperatingConditions,
): (query: TransferQuery) => Transferred {
  const { strips, wetted, filmCoefficient, absorberArea } = built.description;
  const streak = wetted * strips.width;
  const steps = [{ width: dryHalf(built.description), conductance: strips.conductance * built.value('plate', 1) }];
  return ({ lossCoefficient, heatCapacity }) => {
    const fin = steppedFin(steps, lossCoefficient);
    const gathered = streak + (strips.width - streak) * fin;
    const factor =
      1 / (lossCoefficient * strips.width * (1 / (lossCoefficient * gathered) + 1 / (filmCoefficient * streak)));
    return transferredBy({
      finEfficiency: fin,
      efficiencyFactor: factor,
      film: { coefficient: filmCoefficient, reynolds: 0 },
      massFlow,
      heatCapacity,
      area: absorberArea,
      lossCoefficient,
    });
  };
}

/** Water running down thin metal in streaks; none of it is left when it stops. */
export function filmModel(description: FilmDescription): FlatModel<FilmDescription> {
  return flatModel(description, {
    absorber: { words: 'wetted face', short: 'face' },
    drainsWhenIdle: true,
    inputs: (one) => [...flatInputs(one), plateInput(one.known, one.strips)],
    transfer: filmTransfer,
    atFlow,
    readouts: ({ built, state, boundary }) => {
      const loss = lossInput(state);
      const steam = steamLoss(built, boundary, state.places.plate ?? boundary.air);
      return [
        {
          id: 'fin',
          label: 'Dry metal between streaks',
          kind: 'number',
          digits: 2,
          values: [termOf(state, 'finEfficiency')],
          derivation: {
            name: 'Dry metal between streaks, F',
            formula:
              'tanh(m x) ÷ (m x), m² = U ÷ (conductivity × thickness), x = half of the dry metal between two streaks',
            source: 'Duffie and Beckman, equation 6.5.12',
            inputs: [
              loss,
              {
                label: 'conductivity × thickness, W/K',
                value: description.strips.conductance,
                kind: 'number',
                digits: 4,
              },
              {
                label: 'from a streak to the middle of the dry metal',
                value: dryHalf(built.description),
                kind: 'length',
              },
            ],
          },
        },
        {
          id: 'factor',
          label: 'Face to film',
          kind: 'number',
          digits: 2,
          values: [termOf(state, 'efficiencyFactor')],
          derivation: {
            name: 'Face to film, F′',
            formula: '1 ÷ (U × strip × (1/(U(streak + (strip − streak)F)) + 1/(h × streak)))',
            source: 'Duffie and Beckman, equation 6.5.18 without tube or bond; film by Nusselt (1916)',
            inputs: [
              { label: 'F', value: termOf(state, 'finEfficiency'), kind: 'number', digits: 3 },
              { label: 'strip', value: description.strips.width, kind: 'length' },
              { label: 'share of it that is wet', value: built.description.wetted, kind: 'number', digits: 2 },
              { label: 'film on the metal, h', value: termOf(state, 'filmCoefficient'), kind: 'heatLoss', digits: 0 },
              loss,
            ],
          },
        },
        ...(steam === undefined
          ? []
          : [
              {
                id: 'steam',
                label: 'Steam to the cover',
                kind: 'power' as const,
                digits: 0,
                values: [steam],
                derivation: {
                  name: 'Steam to the cover',
                  formula: 'top loss of the open, wet plate less that of a sealed one at the same temperature',
                  source: 'evaporation by its likeness to convection (derived in thermal/losses)',
                  inputs: [
                    {
                      label: 'wet share of the plate',
                      value: built.description.wet ?? 0,
                      kind: 'number' as const,
                      digits: 2,
                    },
                    { label: 'plate', value: state.places.plate ?? boundary.air, kind: 'temperature' as const },
                  ],
                },
              },
            ]),
      ];
    },
  });
}
