import { formatNumber } from '../../quantity';
import type { StandardNormals, UncertainInput, Workmanship } from '../contract';
import { dayInputs, paintInputs, spreadInput, valuesOf } from '../uncertain';
import type { HeatPipeDescription } from './description';

/** W/m²K outside the lagging. EN ISO 6946, in the open. */
const laggingOutside = 15;

/** What nobody knows to the digit of heat pipes and their day. */
export function inputsOf({
  strip,
  sleeve,
  absorptance,
  emittance,
  boiling,
  condensing,
  condenser,
  manifold,
  known,
}: HeatPipeDescription): UncertainInput[] {
  const input = spreadInput(known);
  return [
    ...(sleeve
      ? [input('transmittance', 'Sleeve lets through', 'share', 2, sleeve.transmittance, [0.9, 0.96, 1])]
      : []),
    ...paintInputs(known, { absorptance, emittance }),
    ...(strip ? [input('bond', 'Strip holds the pipe', 'W/mK', 1, strip.bond, [0.4, 0.7, 1])] : []),
    input('boiling', 'Boils inside', 'W/m²K', 0, boiling, [0.6, 0.9, 1]),
    input('condensing', 'Condenses inside', 'W/m²K', 0, condensing, [0.3, 0.8, 1], {
      worst: 0.01,
      say: (value, any) =>
        any ? 'air in the pipes' : `some air in the pipes: they condense at ${formatNumber(value, 0)} W/m²K`,
    }),
    input('condenser', 'Water takes it', 'W/m²K', 0, condenser, [0.8, 1, 1]),
    input('manifold', 'Manifold loses', '× book', 2, manifold.factor, [1, 1.3, 1.6]),
    ...dayInputs(known, { wind: 'Wind at the panel', sun: 'Sun on the tubes' }),
  ];
}

/** What a set of deviates makes of a description. */
export interface Built {
  absorptance: number;
  emittance: number;
  transmittance: number;
  /** K/W of one tube: part by part, all of it, and up to the vapour. */
  chain: readonly { id: string; words: string; resistance: number }[];
  resistance: number;
  evaporating: number;
  /** W/K of the manifold. */
  manifold: number;
  wind: number;
  sun: number;
}

/** Takes every uncertain input at its deviate. */
export function build(
  { tube, strip, manifold, absorptance, emittance }: HeatPipeDescription,
  inputs: readonly UncertainInput[],
  deviates: StandardNormals = {},
  workmanship: Workmanship = 'well made',
): Built {
  const value = valuesOf(inputs, deviates, workmanship);
  const inside = Math.PI * tube.bore;
  const lagged = manifold.diameter + 2 * manifold.lagging.thickness;
  const wall = Math.log(tube.diameter / tube.bore) / (2 * Math.PI * tube.conductivity);
  const chain = [
    ...(strip
      ? [
          {
            id: 'bond',
            words: 'strip to pipe',
            resistance: 1 / (value('bond', strip.bond.likely) * tube.heated),
          },
        ]
      : []),
    { id: 'wall', words: 'wall in the sun', resistance: wall / tube.heated },
    { id: 'boiling', words: 'boiling', resistance: 1 / (value('boiling', 1) * inside * tube.heated) },
    { id: 'condensing', words: 'condensing', resistance: 1 / (value('condensing', 1) * inside * tube.wet) },
    { id: 'tip', words: 'wall in the water', resistance: wall / tube.wet },
    {
      id: 'condenser',
      words: 'film in the manifold',
      resistance: 1 / (value('condenser', 1) * Math.PI * tube.diameter * tube.wet),
    },
  ];
  return {
    absorptance: value('absorptance', absorptance.likely),
    emittance: value('emittance', emittance.likely),
    transmittance: value('transmittance', 1),
    chain,
    resistance: chain.reduce((sum, one) => sum + one.resistance, 0),
    evaporating: chain
      .filter(({ id }) => id === 'bond' || id === 'wall' || id === 'boiling')
      .reduce((sum, one) => sum + one.resistance, 0),
    manifold:
      (value('manifold', 1) * manifold.length) /
      (Math.log(lagged / manifold.diameter) / (2 * Math.PI * manifold.lagging.conductivity) +
        1 / (laggingOutside * Math.PI * lagged)),
    wind: value('wind', 1),
    sun: value('sun', 1),
  };
}
