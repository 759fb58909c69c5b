import * as z from 'zod';
import { partField, percentField, quantityField } from '../field';
import { keyed, metres, money, set, thing } from './common';

const lengthOrSheet = [
  z.strictObject({ item: thing, price: money, length: metres }),
  z.strictObject({ item: thing, price: money, width: metres, height: metres }),
] as const;
/** As counted by the builder, before what the log of the shop says went out and came back: so it may stand below zero. */
const shelfCount = z.int('must be a whole number').min(-999).max(999, 'at most 999');
const onHand = [
  z.strictObject({ item: thing, count: shelfCount, length: metres }),
  z.strictObject({ item: thing, count: shelfCount, width: metres, height: metres }),
] as const;
const several = z.int('must be a whole number').min(1, 'one at least').max(999, 'at most 999');
const onHandThings = [
  z.strictObject({ kind: z.literal('pane'), width: metres, height: metres, count: several }),
  z.strictObject({ kind: z.literal('tank'), diameter: metres, length: metres, count: several }),
  z.strictObject({
    kind: z.literal('hose'),
    item: thing,
    length: z.number().gt(0, 'must be above 0').max(1000, 'at most 1 000 m'),
  }),
  z.strictObject({ kind: z.literal('bottles'), diameter: metres, height: metres, count: several }),
] as const;

/** What a cut takes of a material. */
const kerf = (what: string) =>
  quantityField('length', {
    label: `Saw cut of ${what}`,
    meaning: 'What the saw turns to dust: measure it in scrap.',
    low: 0,
    high: 0.01,
    lowReason: 'a cut takes no less than nothing',
    highReason: 'no saw is as thick',
    moves: ['pieces'],
  });
/** What is cut off each end of a length to square it. */
const trim = (what: string) =>
  quantityField('length', {
    label: `Trim of ${what}`,
    meaning: 'Cut off each end of a length to square it.',
    low: 0,
    high: 0.1,
    lowReason: 'no less than nothing',
    highReason: 'a longer end is no trim',
    moves: ['pieces'],
  });

/** Prices, stock and saws. */
export const shopSchema = z.strictObject({
  prices: partField(z.record(thing, money), {
    label: 'Price',
    meaning: 'Of what is bought by the piece.',
    moves: ['pieces', 'need'],
  }),
  sold: partField(keyed(z.union(lengthOrSheet), { most: 2000, key: thing }), {
    label: 'Price',
    meaning: 'Lengths and sheets as they are sold.',
    moves: ['pieces', 'need'],
  }),
  onHand: partField(keyed(z.union(onHand), { most: 999, key: thing }), {
    label: 'Your shed',
    meaning: 'Lengths and sheets that lie there.',
    moves: ['pieces', 'need'],
  }),
  /** m lost at a cut, by what is cut; tracks as tube when left out. */
  kerfs: z.strictObject({
    tube: kerf('tube'),
    timber: kerf('boards'),
    /** Of wood; metal sheet and insulation have their own, zero where left out: snips and knives part without loss. */
    sheet: kerf('wood sheets'),
    metal: kerf('metal sheets').optional(),
    insulation: kerf('insulation').optional(),
    track: kerf('tracks').optional(),
    bar: kerf('bars').optional(),
    /** Plastic pipe; as timber where left out. */
    plastic: kerf('plastic pipe').optional(),
  }),
  /** m cut off each end of a length to square it. */
  trims: z
    .strictObject({
      tube: trim('tube').optional(),
      timber: trim('boards').optional(),
      track: trim('tracks').optional(),
      bar: trim('bars').optional(),
      plastic: trim('plastic pipe').optional(),
    })
    .optional(),
  keep: quantityField('length', {
    label: 'Smallest offcut worth keeping',
    meaning: 'What is shorter is waste.',
    low: 0,
    high: 5,
    lowReason: 'no less than nothing',
    highReason: 'longer than most bars',
    moves: ['pieces'],
  }).optional(),
  without: partField(set, {
    label: 'What the shop has',
    meaning: 'Lengths and sheets on the list that are not to be had just now.',
    moves: ['pieces', 'need'],
  }).optional(),
  spares: z.strictObject({
    consumables: percentField({
      label: 'Spare',
      meaning: 'Share of consumables that is bought besides.',
      low: 0,
      high: 1,
      lowReason: 'none',
      highReason: 'twice as much as it takes',
      digits: 0,
      moves: ['pieces', 'need'],
    }),
  }),
  have: partField(set, {
    label: 'What you have',
    meaning: 'Lines of the buy list, and tools, that are there already.',
    moves: ['pieces', 'need'],
  }).optional(),
  things: partField(keyed(z.discriminatedUnion('kind', onHandThings), { most: 40 }), {
    label: 'On hand',
    meaning: 'What lies in the shed that is no bar and no sheet.',
    moves: ['need'],
  }).optional(),
});
