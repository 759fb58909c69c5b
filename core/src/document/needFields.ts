import * as z from 'zod';
import { flagField, numberField, optionField, partField, quantityField } from '../field';
import { monthList } from './common';

/** What may heat the water now. */
export const heatSources = { electricity: 'electricity', gas: 'gas', oil: 'oil', wood: 'wood' } as const;

/** The water of a pool: its need of a day follows from it. */
const poolArea = quantityField('area', {
  label: 'Pool area',
  meaning: 'Of the water, seen from above.',
  low: 0,
  above: true,
  high: 2000,
  lowReason: 'a pool has an area',
  highReason: 'more is a lake',
  moves: ['need'],
});
const poolDepth = quantityField('height', {
  label: 'Pool depth',
  meaning: 'A mean of the whole.',
  low: 0,
  above: true,
  high: 5,
  lowReason: 'a pool has a depth',
  highReason: 'more is a lake',
  digits: 1,
  moves: ['need'],
});

/** What the water is for, how much and how hot. */
export const needSchema = z.strictObject({
  kind: optionField({
    label: 'Water for',
    meaning: 'What it is used for: the hours of the day follow.',
    choices: {
      showers: 'showers',
      washing: 'washing',
      growing: 'growing',
      pool: 'a pool',
      other: 'something else',
    },
    moves: ['heat', 'need', 'findings'],
  }),
  volumePerDay: quantityField('volume', {
    label: 'Water a day',
    meaning: 'How much is drawn at the target.',
    low: 0,
    high: 100,
    lowReason: 'none is drawn',
    highReason: 'more is a works of its own',
    moves: ['heat', 'need', 'findings'],
  }),
  target: quantityField('temperature', {
    label: 'How hot',
    meaning: 'At the tap.',
    low: -60,
    high: 200,
    digits: 0,
    moves: ['heat', 'need', 'findings'],
  }),
  drinking: flagField({
    label: 'Used for drinking',
    meaning: 'What touches it must be fit for that.',
    moves: ['need', 'findings'],
  }),
  frost: flagField({ label: 'it freezes here', meaning: 'The loop has to stand frost.', moves: ['need', 'findings'] }),
  pool: partField(z.strictObject({ area: poolArea, depth: poolDepth }), {
    label: 'The pool',
    meaning: 'Its area and depth.',
    moves: ['need'],
  }).optional(),
  /** Months, 1 to 12, in which the water is wanted most; all year when left out. */
  months: partField(monthList, {
    label: 'Months that matter most',
    meaning: 'In which the water is wanted most.',
    moves: ['sun', 'need'],
  }).optional(),
  /** Parts of the day's volume by the hour from midnight, in any measure; by what it is for when left out. */
  hours: partField(
    z
      .array(z.number().min(0, 'an hour has no less than nothing').max(1000))
      .length(24, 'a day has 24 hours')
      .refine((hours) => hours.some((part) => part > 0), 'some hour must have water in it'),
    { label: 'The day by the hour', meaning: 'How much is drawn in each hour.', moves: ['need'] },
  ).optional(),
  /** What heats it now, and money for a kWh of it as it is bought; nothing when left out. */
  heats: partField(
    z.strictObject({
      by: optionField({
        label: 'Heated now by',
        meaning: 'What is saved by the sun.',
        choices: heatSources,
        moves: ['need'],
      }),
      price: numberField({
        label: 'Price of a kWh',
        meaning: 'As it is bought.',
        low: 0,
        high: 1000,
        lowReason: 'a price is not below 0',
        digits: 2,
        moves: ['need'],
      }),
    }),
    { label: 'What heats it now', meaning: 'And what a kWh of it costs.', moves: ['need'] },
  ).optional(),
});
