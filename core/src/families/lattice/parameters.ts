import * as z from 'zod';
import { entry } from '../../catalogue';
import { choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

/** Free: all of these. What follows: bolts, bow, gap, volume, stress, gasket, how much head it bears. */
export const latticeParameters = z.strictObject({
  sheet: entryField('sheet', 'steel-0.7', 'Sheet', 'What both sheets are.', (id) => entry('sheet', id).use === 'plate'),
  length: lengthField(0.3, 3, 1.95, 'Length', 'Sheet, edge to edge, up the slope.', [
    'too short to be worth a panel',
    'no such sheet is sold',
  ]),
  width: lengthField(0.3, 1.5, 0.95, 'Width', 'Sheet, edge to edge, across.', [
    'too narrow to be worth a panel',
    'no such sheet is sold',
  ]),
  boltPitch: lengthField(0.03, 0.3, 0.075, 'Bolt grid', 'Bolt to bolt, both ways.', [
    'the washers would meet',
    'it would bow like a balloon',
  ]),
  bolt: lengthField(0.003, 0.01, 0.005, 'Bolt', 'Thread of the bolts.'),
  washer: lengthField(0.01, 0.05, 0.02, 'Washer', 'Outside of the washers, with a rubber one under each.'),
  gasket: lengthField(0.0005, 0.006, 0.002, 'Gasket', 'Strip between the sheets along the edge, pressed.'),
  rim: lengthField(0.015, 0.06, 0.03, 'Rim bar', 'Width of the flat bars that press the edge.'),
  head: lengthField(0.1, 5, 1.2, 'Head', 'Top of the water in the barrel over the low edge of the panel.'),
  cover: meansSame(
    'cover against wind',
    choiceField(
      { none: 'bare', film: 'film on laths', 'twin-wall': 'multiwall sheet on laths' },
      'film',
      'Cover',
      'What keeps the wind off.',
    ),
  ),
  backing: choiceField(
    { bare: 'nothing behind it', foam: 'mineral wool, the thinnest board' },
    'foam',
    'Behind it',
    'What keeps its back warm.',
  ),
  airGap: meansSame(
    'absorber to cover',
    lengthField(0.01, 0.06, 0.025, 'Air gap', 'Front sheet to cover.', [
      'the cover would touch the sheet',
      'the laths would shade it',
    ]),
  ),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the front.')),
  ports: countField(2, 4, 2, 'Ports', 'Ways in and out, in opposite corners.'),
});
export type LatticeParameters = z.infer<typeof latticeParameters>;

export function standardLattice(habit: Habit): LatticeParameters {
  if (habit === 'metric') return latticeParameters.parse({});
  return latticeParameters.parse({
    sheet: 'steel-24ga',
    length: 77 * inch,
    width: 38 * inch,
    boltPitch: 2.75 * inch,
    bolt: 0.19 * inch,
    washer: 0.75 * inch,
    gasket: (1 / 16) * inch,
    rim: 1.25 * inch,
    head: 48 * inch,
    airGap: inch,
  });
}

/** m. Range of a parameter's own field. */
export const fieldRange = rangesOf(latticeParameters);
