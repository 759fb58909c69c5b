import * as z from 'zod';
import { entry } from '../../catalogue';
import { asBought, choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

/** Free: all of these. What follows from them and the tilt: the side profile, studs and their bevels, rails, cradle, insulation, lid. */
export const batchBoxParameters = z.strictObject({
  paneLength: lengthField(0.5, 2.4, 1.23, 'Pane length', 'Pane, edge to edge, up the slope.', [
    'no tank would go in',
    'nobody sells such a pane',
  ]),
  paneWidth: lengthField(0.5, 2.4, 1.19, 'Pane width', 'Pane, edge to edge, across.', [
    'no tank would go in',
    'nobody sells such a pane',
  ]),
  cover: choiceField(
    { 'tempered-glass': 'tempered glass', 'twin-wall': 'twin-wall polycarbonate', 'annealed-glass': 'annealed glass' },
    'tempered-glass',
    'Pane',
    'What lets the sun in.',
  ),
  tanks: countField(1, 4, 2, 'Tanks', 'In series: cold into the first, hot out of the last.'),
  stand: choiceField(
    { lying: 'lying across, one above the other', upright: 'leaning with the pane, side by side' },
    'lying',
    'Tanks lie',
    'How they are set under the pane.',
  ),
  tankKind: choiceField(
    { new: 'new, bare steel, lined', used: 'out of old water heaters, stripped' },
    'new',
    'Tanks are',
    'A used one is isolated, stripped, tested, and given a new valve and a new anode.',
  ),
  tankDiameter: asBought(
    lengthField(0.25, 0.65, 0.36, 'Tank, across', 'Outside of the bare tank.', [
      'no such tank is found',
      'no such tank is found',
    ]),
  ),
  tankLength: asBought(lengthField(0.6, 1.8, 0.98, 'Tank length', 'Over its ends, without fittings.')),
  airGap: lengthField(0.03, 0.2, 0.06, 'Air gap', 'Pane to the nearest tank.', [
    'the tanks would touch the pane when it bends',
    'the box would shade its tanks',
  ]),
  around: lengthField(0.02, 0.2, 0.05, 'Room round tanks', 'Between tanks, and from them to the lining.'),
  stud: entryField(
    'timber',
    'planed-45x45',
    'Stud',
    'Corner posts, sloping rails, cradle and lid frame.',
    (id) => Math.abs(entry('timber', id).width - entry('timber', id).thickness) < 1e-6,
  ),
  rail: entryField(
    'timber',
    'planed-90x45',
    'Pane rail',
    'Ripped at the tilt, so that the pane lies flat on it.',
    (id) => entry('timber', id).thickness > 0.03 && entry('timber', id).width > 0.06,
  ),
  sheathing: entryField(
    'sheet',
    'ply-12',
    'Sheathing',
    'Sides, front, back, floor and lid.',
    (id) => entry('sheet', id).use === 'back',
  ),
  insulation: entryField(
    'sheet',
    'polyiso-40',
    'Insulation',
    'Between the studs, on the floor and in the lid.',
    (id) => entry('sheet', id).use === 'insulation',
  ),
  lining: choiceField(
    { foil: 'bright foil', white: 'white paint' },
    'foil',
    'Lining',
    'What the inside of the box throws back onto the tanks.',
  ),
  lid: choiceField(
    { none: 'none', low: 'a lid hinged at the low edge', high: 'a lid hinged at the high edge' },
    'none',
    'Lid',
    'A mirror by day, insulation by night.',
  ),
  lidAngle: countField(70, 170, 105, 'Lid opens to, degrees', 'Between pane and open lid.'),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the tanks.')),
});
export type BatchBoxParameters = z.infer<typeof batchBoxParameters>;

export function standardBatchBox(habit: Habit): BatchBoxParameters {
  if (habit === 'metric') return batchBoxParameters.parse({});
  return batchBoxParameters.parse({
    paneLength: 49 * inch,
    paneWidth: 47.5 * inch,
    tankDiameter: 14.5 * inch,
    tankLength: 38 * inch,
    airGap: 2.5 * inch,
    around: 2 * inch,
    stud: 'ps20-2x2',
    rail: 'ps20-2x4',
    sheathing: 'ply-1_2',
    insulation: 'polyiso-1',
  });
}

/** m. Range of a parameter's own field. */
export const fieldRange = rangesOf(batchBoxParameters);
