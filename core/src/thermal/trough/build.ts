import { type Range, range } from '../../catalogue';
import { formatNumber } from '../../quantity';
import type { StandardNormals, UncertainInput, Workmanship } from '../contract';
import { dayInputs, paintInputs, spreadInput, valuesOf } from '../uncertain';
import type { MirrorQuality } from './acceptance';
import type { TroughDescription } from './description';

/** Share that a mirror of aluminised film throws on, new and after a summer out of doors. Makers: 0.85 to 0.92 new. */
export const filmReflectance: Range = range(0.75, 0.84, 0.9, 'data sheet');
/** mrad, root mean square. Film that lies smooth on extruded pipe; ripples and bubbles are the far end. Judgement. */
export const filmSlope: Range = range(4, 8, 20, 'judgement', 'log-normal');
/** Share of the wind that reaches a pipe down in its trough. Judgement. */
export const troughShelter: Range = range(0.3, 0.5, 0.8, 'judgement');

/** What nobody knows to the digit of a trough and its day. */
export function inputsOf({ reflectance, slope, shelter, known, ...paint }: TroughDescription): UncertainInput[] {
  const input = spreadInput(known);
  return [
    input('reflectance', 'Mirror throws on', 'share', 2, reflectance, [0.94, 0.97, 1], {
      worst: 0.4,
      say: (value) => `film that throws on ${formatNumber(100 * value)} % of the sun`,
    }),
    input('slope', 'Mirror is off by', 'mrad', 0, slope, [1, 1.5, 2], {
      worst: 10,
      say: (value) => `a mirror that is off by ${formatNumber(value)} mrad`,
    }),
    ...paintInputs(known, paint),
    input('shelter', 'Wind reaches the pipe', 'share', 2, shelter),
    ...dayInputs(known, { wind: 'Wind at the troughs', sun: 'Sun on the troughs' }),
  ];
}

/** What a set of deviates makes of a description. */
export interface Built {
  mirror: MirrorQuality;
  absorptance: number;
  emittance: number;
  /** Share of the wind told that is at the pipe. */
  wind: number;
  sun: number;
}

/** Takes every uncertain input at its deviate. */
export function build(
  { absorptance, emittance, reflectance, slope, shelter }: TroughDescription,
  inputs: readonly UncertainInput[],
  deviates: StandardNormals = {},
  workmanship: Workmanship = 'well made',
): Built {
  const value = valuesOf(inputs, deviates, workmanship);
  return {
    mirror: {
      reflectance: value('reflectance', reflectance.likely),
      slope: value('slope', slope.likely) / 1000,
    },
    absorptance: value('absorptance', absorptance.likely),
    emittance: value('emittance', emittance.likely),
    wind: value('wind', 1) * value('shelter', shelter.likely),
    sun: value('sun', 1),
  };
}
