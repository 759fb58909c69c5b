import * as z from 'zod';
import { entry } from '../../catalogue';
import { choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

/** Free: all of these. What follows: metres of hose, outer diameter, water held, boards, ties, cover. */
export const spiralParameters = z.strictObject({
  hose: entryField('hose', 'pe-25x2.3', 'Hose', 'Black hose or pipe that is wound.'),
  starts: countField(1, 4, 2, 'Hoses side by side', 'Wound together, each fed alike: shorter ways, less pressure.'),
  rounds: countField(2, 40, 7, 'Turns of each hose', 'Times that each hose goes round.'),
  inner: lengthField(0.15, 2, 0.7, 'Hole in the middle', 'Across, from middle to middle of the innermost hose.', [
    'every hose kinks',
    'nothing is left to wind',
  ]),
  pitch: lengthField(0.012, 0.1, 0.027, 'Hose to hose', 'Middle to middle of hoses side by side.', [
    'no hose is so thin',
    'more gap than hose',
  ]),
  slat: entryField(
    'timber',
    'planed-90x19',
    'Slat',
    'What the hose lies on and is tied to.',
    (id) => entry('timber', id).thickness < 0.03 && entry('timber', id).width > 0.06,
  ),
  bearer: entryField(
    'timber',
    'planed-45x45',
    'Bearer',
    'Carries the slats.',
    (id) => entry('timber', id).width < 0.06 && entry('timber', id).thickness > 0.03,
  ),
  cover: meansSame(
    'cover against wind',
    choiceField(
      { none: 'bare', 'twin-wall': 'twin-wall polycarbonate', 'tempered-glass': 'tempered glass' },
      'none',
      'Cover',
      'What keeps the wind off.',
    ),
  ),
  sideBoard: entryField(
    'timber',
    'planed-90x19',
    'Side board',
    'Under a cover: ripped to what it must hold.',
    (id) => entry('timber', id).thickness < 0.03 && entry('timber', id).width > 0.06,
  ),
  back: entryField(
    'sheet',
    'ply-9',
    'Back',
    'Under a cover: sheet in two halves in the place of slats.',
    (id) => entry('sheet', id).use === 'back',
  ),
  airGap: lengthField(0.022, 0.06, 0.025, 'Air gap', 'Hose to cover; its bars hang in it.', [
    'the hose would touch the cover',
    'the sides would shade the hose',
  ]),
});
export type SpiralParameters = z.infer<typeof spiralParameters>;

export function standardSpiral(habit: Habit): SpiralParameters {
  if (habit === 'metric') return spiralParameters.parse({});
  return spiralParameters.parse({
    hose: 'd2239-3_4',
    inner: 28 * inch,
    pitch: 1.0625 * inch,
    slat: 'ps20-1x4',
    bearer: 'ps20-2x2',
    sideBoard: 'ps20-1x4',
    back: 'ply-3_8',
    airGap: inch,
  });
}

/** m or count. Range of a parameter's own field. */
export const fieldRange = rangesOf(spiralParameters);
