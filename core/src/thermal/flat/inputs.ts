import { type Range, range } from '../../catalogue';
import { formatNumber } from '../../quantity';
import type { UncertainInput } from '../contract';
import { paneTest, plateTest } from '../handTests';
import { dayInputs, homeMade, paintFactors, uncertainInput } from '../uncertain';
import type { FlatDescription } from './description';

/** What is uncertain in every flat absorber and its day. `back`, `edge`, `wind` and `sun` are factors on what was said. */
export type FlatInput = 'transmittance' | 'dirt' | 'absorptance' | 'emittance' | 'back' | 'edge' | 'wind' | 'sun';

/** What home making does to a spread, times its low, likely and high. Judgement: worse is nearer than better. */
const homeMadeFactors: Partial<Record<FlatInput, readonly [low: number, likely: number, high: number]>> = {
  transmittance: [0.94, 0.98, 1],
  dirt: [0.92, 0.97, 0.995],
  ...paintFactors,
  back: [1, 1.2, 1.6],
  edge: [1, 1.4, 1.6],
};

/** The uncertain inputs of a flat absorber: those of its covers only where it has some. */
export function flatInputs(description: FlatDescription): UncertainInput[] {
  const { covers, known } = description;
  const outermost = covers[covers.length - 1];
  const input = (
    id: FlatInput,
    base: Range,
    words: { name: string; unit: string; digits: number },
    more: Pick<UncertainInput, 'handTest' | 'fault'> = {},
  ): UncertainInput => {
    const factors = homeMadeFactors[id];
    const spread = { 'well made': base, 'home-made': factors ? homeMade(base, factors) : base };
    return uncertainInput(known, { id, ...words, spread, ...more });
  };
  return [
    ...(outermost
      ? [
          input(
            'transmittance',
            outermost.transmittance,
            { name: 'Pane lets through', unit: 'share', digits: 3 },
            {
              handTest: paneTest,
              fault: { worst: 0.4, say: (value) => `a pane that passes ${formatNumber(100 * value)} % of the sun` },
            },
          ),
          input('dirt', description.dirt, { name: 'Dirt and condensation', unit: 'share', digits: 2 }),
        ]
      : []),
    input('absorptance', description.absorptance, { name: 'Paint takes up', unit: 'share', digits: 2 }),
    input('emittance', description.emittance, { name: 'Paint radiates', unit: 'share', digits: 2 }),
    input(
      'back',
      description.backFactor,
      { name: 'Back loses', unit: '× book', digits: 2 },
      description.bareBack === undefined
        ? {
            fault: {
              worst: 6,
              say: (value, any) =>
                any ? 'soaked insulation' : `a back that loses ${formatNumber(value, 1)} times its book value`,
            },
          }
        : {},
    ),
    input('edge', description.rimFactor, { name: 'Rim loses', unit: '× book', digits: 2 }),
    ...dayInputs(known, { wind: 'Wind at the panel', sun: 'Sun on the pane' }),
  ];
}

/** A plate as bought: rolling tolerance of thin sheet, EN 1652 and EN 485-4, about a twentieth. */
const plateSpread = range(0.95, 1, 1.05, 'standard');
/** What home making does to it: thinner than sold, creased. Judgement. */
const plateHomeMade = homeMade(plateSpread, [0.9, 0.98, 1]);

/** The conductance of thin metal that works as a fin, settled by weighing a piece of it (m, kg/m³ as drawn). */
export function plateInput(
  known: FlatDescription['known'],
  drawn: { thickness: number; density: number },
): UncertainInput {
  return uncertainInput(known, {
    id: 'plate',
    name: 'Plate conducts',
    unit: '× drawn',
    digits: 2,
    spread: { 'well made': plateSpread, 'home-made': plateHomeMade },
    handTest: plateTest(drawn),
  });
}
