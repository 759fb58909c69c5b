import * as z from 'zod';
import { numberField, partField, percentField, quantityField, textField } from '../field';
import { climateSchema } from '../sky';
import { isZone } from '../time';
import { keyed, monthList, name, order } from './common';

const degrees = (label: string, meaning: string) =>
  numberField({
    label,
    meaning,
    low: -180,
    high: 180,
    digits: 3,
    moves: ['weather', 'sun', 'heat', 'need', 'findings'],
  });

const aim = quantityField('angle', {
  label: 'Aim',
  meaning: 'Which way the pane faces, clockwise from true north.',
  low: 0,
  high: 360,
  below: true,
  moves: ['sun', 'heat', 'need', 'findings', 'pieces'],
});
const tilt = quantityField('angle', {
  label: 'Tilt',
  meaning: 'Of the pane, from level.',
  low: 0,
  high: 90,
  lowReason: 'it lies flat',
  highReason: 'it stands upright',
  moves: ['sun', 'heat', 'need', 'pieces', 'findings'],
});
const mainsCelsius = (label: string, meaning: string) =>
  quantityField('temperature', {
    label,
    meaning,
    low: 0,
    high: 40,
    lowReason: 'colder is ice',
    highReason: 'warmer needs no heater',
    digits: 0,
    moves: ['need'],
  });
const hottestCelsius = z.number().min(-60, 'must be at least -60 °C').max(200, 'must be at most 200 °C');

/** Where the heater stands, and what stands about it. */
export const siteSchema = z.strictObject({
  latitude: numberField({
    label: 'Latitude',
    meaning: 'Degrees, north of the equator above zero.',
    low: -90,
    high: 90,
    lowReason: 'the pole',
    highReason: 'the pole',
    digits: 3,
    moves: ['weather', 'sun', 'heat', 'need', 'findings', 'pieces'],
  }),
  longitude: degrees('Longitude', 'Degrees, east of Greenwich above zero.'),
  /** Set while nobody has named the place: latitude and longitude are those of somewhere like it. */
  unnamed: partField(z.literal(true), {
    label: 'Place not named',
    meaning: 'It stands somewhere like this.',
  }).optional(),
  elevation: quantityField('height', {
    label: 'Height of the place',
    meaning: 'Above the sea: thinner air, stronger sun.',
    low: -450,
    high: 6000,
    lowReason: 'no dry land is lower',
    highReason: 'nobody lives higher',
    moves: ['weather', 'sun', 'heat', 'need', 'findings'],
  }),
  zone: textField(
    z
      .string()
      .max(64, 'no such time zone; write it as Region/City')
      .refine(isZone, 'no such time zone; write it as Region/City'),
    { label: 'Time zone', meaning: 'The clock of the place.', moves: ['weather', 'sun', 'need'] },
  ),
  /** The one source of tilt and aim. Degrees; aim clockwise from true north. */
  standing: z.strictObject({
    aim,
    /** The one that sorts first is the one it stands at most. */
    tilts: partField(
      keyed(z.strictObject({ order, name, tilt, months: monthList.optional() }), {
        least: 1,
        most: 12,
        few: 'one tilt at least',
      }),
      {
        label: 'Tilt',
        meaning: 'Of the pane, from level; by season where it is turned.',
        moves: ['sun', 'heat', 'need', 'pieces', 'findings'],
      },
    ),
    /** m. A row of the same panels before this one: how far on the ground from foot to foot, and how much higher its foot. */
    front: partField(
      z.strictObject({
        spacing: z.number().min(0.2, 'rows are 0.2 to 50 m apart').max(50, 'rows are 0.2 to 50 m apart'),
        rise: z.number().min(-20, 'at most 20 m lower').max(20, 'at most 20 m higher'),
      }),
      { label: 'Row in front', meaning: 'A row of the same panels before this one.', moves: ['sun', 'need'] },
    ).optional(),
    /** Degrees. The roof as it was found, to compare with. */
    roof: partField(z.strictObject({ tilt, aim }), {
      label: 'Roof',
      meaning: 'As it was found, to compare with.',
      moves: ['sun'],
    }).optional(),
  }),
  /** Degrees. The skyline, straight from point to point. */
  horizon: partField(
    z
      .array(z.strictObject({ azimuth: z.number().min(0).max(360), elevation: z.number().min(0).max(90) }))
      .max(360, 'at most 360 points of the skyline'),
    {
      label: 'Skyline',
      meaning: 'What stands between the pane and the sky.',
      moves: ['sun', 'heat', 'need', 'findings'],
    },
  ),
  exposure: z.strictObject({
    windShare: percentField({
      label: 'Wind at the pane',
      meaning: 'Share of the wind at 10 m that comes down to it.',
      low: 0,
      high: 1,
      lowReason: 'no wind at all',
      highReason: 'as on a mast',
      moves: ['heat', 'need', 'findings'],
    }),
    albedo: percentField({
      label: 'Ground before the pane',
      meaning: 'Share of the light that it throws back.',
      low: 0,
      high: 1,
      lowReason: 'black',
      highReason: 'a mirror',
      moves: ['sun', 'heat', 'need', 'findings'],
    }),
  }),
  /** What the weather is taken from; the commonest kind at the latitude when nothing is said. */
  climate: partField(climateSchema.nullable(), {
    label: 'Weather',
    meaning: 'What it is taken from.',
    moves: ['weather', 'sun', 'heat', 'need', 'findings'],
  }),
  /** °C of the mains as measured; by the air when nothing is said. */
  mains: partField(
    z
      .strictObject({
        coldest: mainsCelsius('Mains, coldest', 'Out of the tap at the end of winter.'),
        warmest: mainsCelsius('Mains, warmest', 'Out of the tap at the end of summer.'),
      })
      .refine(({ coldest, warmest }) => coldest <= warmest, {
        message: 'the coldest is not above the warmest',
        path: ['coldest'],
      })
      .nullable(),
    { label: 'Mains water', meaning: 'Coldest and warmest of the year, as measured.', moves: ['need', 'heat'] },
  ),
  /** Degrees that the compass needle points east of true north, as the builder has it from a map; by the model without. */
  declination: degrees('Declination', 'How far east of true north the needle points.').optional(),
  gust: quantityField('speed', {
    label: 'Strongest gust',
    meaning: 'That the stand is looked at under; 40 m/s when nothing is said.',
    low: 10,
    high: 80,
    lowReason: 'every place has more',
    highReason: 'no stand of timber holds in more',
    digits: 0,
    moves: ['findings', 'pieces'],
  }).optional(),
  /** Hottest clear hour where it is known. */
  hottest: partField(z.strictObject({ air: hottestCelsius, irradiance: z.number().min(200).max(1400) }).nullable(), {
    label: 'Hottest hour',
    meaning: 'Air and sun of the hottest clear hour.',
    moves: ['heat', 'findings'],
  }),
});
