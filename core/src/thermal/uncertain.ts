import { type Range, range } from '../catalogue';
import type { StandardNormals, UncertainInput, Workmanship } from './contract';
import { valueAt } from './spread';

/** What the builder knows better, by the id of the input. */
type Known = Readonly<Record<string, Range>> | undefined;
/** Times its low, likely and high. */
type Factors = readonly [low: number, likely: number, high: number];

/** m/s at the panel, times what was said: judgement, from the spread of panel wind to station wind in `sky`. */
const windSpread = range(0.67, 1, 1.55, 'judgement', 'log-normal');
/** Sun, times what was said: a good instrument, or a chosen design condition, read again on the day. */
const sunSpread = range(0.95, 1, 1.05, 'data sheet');
/** What home making does to black paint: laid on thin, on dust. Judgement. */
export const paintFactors = { absorptance: [0.96, 0.99, 1], emittance: [0.97, 1, 1.02] } as const;

/** A spread as home making widens it. */
export function homeMade(base: Range, [low, likely, high]: Factors): Range {
  return {
    ...base,
    low: base.low * low,
    likely: base.likely * likely,
    high: Math.max(base.likely * likely, base.high * high),
    kind: 'judgement',
  };
}

/** An uncertain input with what the builder knows of it laid over. */
export function uncertainInput(
  known: Known,
  input: Omit<UncertainInput, 'spread' | 'own'> & { spread: Record<Workmanship, Range> },
): UncertainInput {
  const own = known?.[input.id];
  return own ? { ...input, spread: { 'well made': own, 'home-made': own }, own: true } : { ...input, own: false };
}

/** Makes inputs of a spread and of what home making does to it. */
export function spreadInput(known: Known) {
  return (
    id: string,
    name: string,
    unit: string,
    digits: number,
    spread: Range,
    worse: Factors = [1, 1, 1],
    fault?: UncertainInput['fault'],
  ): UncertainInput =>
    uncertainInput(known, {
      id,
      name,
      unit,
      digits,
      spread: { 'well made': spread, 'home-made': homeMade(spread, worse) },
      ...(fault ? { fault } : {}),
    });
}

/** Black paint. */
export function paintInputs(known: Known, paint: { absorptance: Range; emittance: Range }): UncertainInput[] {
  const input = spreadInput(known);
  return [
    input('absorptance', 'Paint takes up', 'share', 2, paint.absorptance, paintFactors.absorptance),
    input('emittance', 'Paint radiates', 'share', 2, paint.emittance, paintFactors.emittance),
  ];
}

/** Wind and sun of the day, as factors on what was said; what each is called. */
export function dayInputs(known: Known, names: { wind: string; sun: string }): UncertainInput[] {
  const said = (id: 'wind' | 'sun', spread: Range) =>
    uncertainInput(known, {
      id,
      name: names[id],
      unit: '× said',
      digits: 2,
      spread: { 'well made': spread, 'home-made': spread },
    });
  return [said('wind', windSpread), said('sun', sunSpread)];
}

/** Looks values of inputs up by their ids, each at its deviate; `otherwise` where there is none of that name. */
export function valuesOf(
  inputs: readonly UncertainInput[],
  deviates: StandardNormals,
  workmanship: Workmanship,
): (id: string, otherwise: number) => number {
  return (id, otherwise) => {
    const input = inputs.find((one) => one.id === id);
    return input ? valueAt(input.spread[workmanship], deviates[id] ?? 0) : otherwise;
  };
}
