import * as z from 'zod';
import { midMonthDays } from '../mains';
import { dayDeclination, monthlyExtraterrestrial } from './extraterrestrial';
import { type MonthlyClimate, monthlySchema } from './months';

interface BroadClimate {
  name: string;
  /** A few words by which somebody knows their own. */
  like: string;
  /** Degrees from the equator, and m: a place as good as any other for it, where somebody names no place. Judgement. */
  latitude: number;
  elevation: number;
  /** Share of the sun above the air that comes through, at the winter and at the summer solstice. */
  clearness: readonly [winter: number, summer: number];
  /** K that the yearly mean lies off the mean for the latitude. */
  warmer: number;
  /** K of half the yearly swing of monthly means at a latitude of 45°; it goes with the sine of the latitude. */
  swing: number;
  /** Days that warmth comes after the sun. */
  lag: number;
  /** K from the air down to the dew point, winter and summer. */
  dry: readonly [winter: number, summer: number];
  /** m/s at 10 m. */
  wind: number;
}

/**
 * Broad kinds of climate with our own round figures: derived for a first look, not measured anywhere. Expect the sun to
 * be out by a tenth to a fifth, the air by 3 K.
 */
export const broadClimates = {
  'wet-tropics': {
    name: 'Wet tropics',
    like: 'warm and showery all year',
    latitude: 5,
    elevation: 100,
    clearness: [0.45, 0.45],
    warmer: -0.5,
    swing: 4,
    lag: 25,
    dry: [3, 3],
    wind: 2.5,
  },
  savanna: {
    name: 'Savanna and monsoon',
    like: 'a dry bright half year, a wet one',
    latitude: 15,
    elevation: 100,
    clearness: [0.62, 0.48],
    warmer: 0,
    swing: 9,
    lag: 10,
    dry: [12, 4],
    wind: 3,
  },
  desert: {
    name: 'Desert',
    like: 'hardly any rain, hot summers',
    latitude: 28,
    elevation: 100,
    clearness: [0.62, 0.69],
    warmer: 3,
    swing: 18,
    lag: 28,
    dry: [11, 22],
    wind: 3.5,
  },
  highland: {
    name: 'Dry highland',
    like: 'thin clear air, cold nights',
    latitude: 36,
    elevation: 2000,
    clearness: [0.64, 0.63],
    warmer: 3,
    swing: 15,
    lag: 27,
    dry: [10, 13],
    wind: 3.5,
  },
  mediterranean: {
    name: 'Dry summers, wet winters',
    like: 'bright summers, mild grey winters',
    latitude: 38,
    elevation: 100,
    clearness: [0.47, 0.67],
    warmer: 0.5,
    swing: 11,
    lag: 35,
    dry: [5, 11],
    wind: 3.5,
  },
  'humid-warm': {
    name: 'Humid and warm',
    like: 'sultry summers, cool winters, rain in any month',
    latitude: 32,
    elevation: 100,
    clearness: [0.48, 0.5],
    warmer: 0,
    swing: 15,
    lag: 28,
    dry: [6, 5],
    wind: 3,
  },
  maritime: {
    name: 'By the ocean, temperate',
    like: 'mild and changeable all year',
    latitude: 50,
    elevation: 100,
    clearness: [0.36, 0.49],
    warmer: 1.5,
    swing: 7,
    lag: 38,
    dry: [3, 5],
    wind: 4.5,
  },
  continental: {
    name: 'Inland',
    like: 'warm summers, hard winters',
    latitude: 46,
    elevation: 100,
    clearness: [0.44, 0.53],
    warmer: -2,
    swing: 16,
    lag: 28,
    dry: [4, 8],
    wind: 3.5,
  },
  northern: {
    name: 'Cold forest',
    like: 'short summers, long snow',
    latitude: 60,
    elevation: 100,
    clearness: [0.4, 0.5],
    warmer: -0.5,
    swing: 16,
    lag: 27,
    dry: [3, 7],
    wind: 3,
  },
  polar: {
    name: 'Beyond the trees',
    like: 'cold all year',
    latitude: 68,
    elevation: 100,
    clearness: [0.42, 0.47],
    warmer: -4,
    swing: 14,
    lag: 32,
    dry: [3, 4],
    wind: 5,
  },
} as const satisfies Record<string, BroadClimate>;
export type BroadClimateId = keyof typeof broadClimates;
export const broadClimateIds = Object.keys(broadClimates) as BroadClimateId[];

/** The kind that is commonest at a latitude: a guess to begin with. */
export function likelyClimate(latitude: number): BroadClimateId {
  const bands: [to: number, id: BroadClimateId][] = [
    [12, 'wet-tropics'],
    [23, 'savanna'],
    [33, 'humid-warm'],
    [43, 'mediterranean'],
    [57, 'maritime'],
    [66, 'northern'],
  ];
  return bands.find(([to]) => Math.abs(latitude) < to)?.[1] ?? 'polar';
}

/** K a metre that air cools with height. Standard atmosphere (ISO 2533). */
const lapse = 0.0065;

/** Monthly means of a broad kind of climate at a latitude and height. Hemispheres are mirrored by the sun, not the calendar. */
export function broadMonths(id: BroadClimateId, latitude: number, elevation: number): MonthlyClimate {
  const climate: BroadClimate = broadClimates[id];
  const above = monthlyExtraterrestrial(latitude);
  const side = latitude < 0 ? -1 : 1;
  // From -1 in the middle of winter to 1 in the middle of summer.
  const summerAt = (day: number) => (side * dayDeclination(((((day - 1) % 365) + 365) % 365) + 1)) / 23.45;
  const blend = ([winter, summer]: readonly [number, number], share: number) =>
    winter + ((summer - winter) * (share + 1)) / 2;
  const mean = 27.5 - 0.0075 * latitude ** 2 + climate.warmer - lapse * Math.max(0, elevation);
  const swing = (climate.swing * Math.sin((Math.abs(latitude) * Math.PI) / 180)) / Math.SQRT1_2;
  const air = midMonthDays.map((day) => mean + swing * summerAt(day - climate.lag));
  return {
    global: midMonthDays.map((day, month) => (above[month] ?? 0) * blend(climate.clearness, summerAt(day))),
    air,
    dewPoint: midMonthDays.map((day, month) => (air[month] ?? 0) - blend(climate.dry, summerAt(day))),
    wind: midMonthDays.map(() => climate.wind),
  };
}

/** What a site's weather is taken from. */
export const climateSchema = z.discriminatedUnion('kind', [
  z.strictObject({
    kind: z.literal('broad'),
    type: z.enum(broadClimateIds as [BroadClimateId, ...BroadClimateId[]]),
  }),
  z.strictObject({ kind: z.literal('months'), months: monthlySchema }),
  z.strictObject({
    kind: z.literal('file'),
    /** Id of the series on the server; its monthly means stand in where the series is not at hand. */
    weather: z.int().min(1),
    name: z.string().min(1).max(120),
    months: monthlySchema,
  }),
]);
export type Climate = z.infer<typeof climateSchema>;

/** Monthly means of whatever the site's weather is taken from; none chosen is the commonest kind at its latitude. */
export function climateMonths(climate: Climate | null, latitude: number, elevation: number): MonthlyClimate {
  if (climate && climate.kind !== 'broad') return climate.months;
  return broadMonths(climate?.type ?? likelyClimate(latitude), latitude, elevation);
}
