import * as z from 'zod';
import { entry } from '../../catalogue';
import { choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

/** Free: all of these. What follows: water held, weight on the rack, saddles and their seats, minutes of shower, what the plastic bears hot. */
export const roofTubeParameters = z.strictObject({
  pipe: entryField(
    'tube',
    'pvc-110x4.2',
    'Pipe',
    'Capped at both ends, black, and full of water.',
    (id) => entry('tube', id).temper === 'plastic' && entry('tube', id).outerDiameter < 0.26,
  ),
  pipes: countField(1, 4, 2, 'Pipes', 'Side by side, linked at their low ends.'),
  length: lengthField(0.5, 4.8, 2.3, 'Pipe, cut length', 'Without its caps.', [
    'it holds too little',
    'no such pipe is sold',
  ]),
  gap: lengthField(0.015, 0.3, 0.05, 'Between pipes', 'Clear, from pipe to pipe: caps and straps go in it.', [
    'their caps would meet',
    'the rack ends',
  ]),
  saddles: countField(2, 6, 3, 'Saddles', 'Boards on edge that carry the pipes.'),
  saddle: entryField(
    'timber',
    'planed-90x45',
    'Saddle',
    'Stands on edge across the rack; each pipe lies in a round seat.',
    (id) => entry('timber', id).width > 0.08 && entry('timber', id).thickness > 0.015,
  ),
  draw: choiceField(
    { gravity: 'by gravity', pump: 'by a hand pump of water' },
    'gravity',
    'Drawn off',
    'How the water comes out. Never by air under pressure.',
  ),
  head: lengthField(0.3, 4, 1.4, 'Head', 'From the shower head up to the pipes.'),
  hose: lengthField(0.5, 10, 3, 'Hose', 'From the outlet to the shower head.'),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the pipes.')),
});
export type RoofTubeParameters = z.infer<typeof roofTubeParameters>;

export function standardRoofTube(habit: Habit): RoofTubeParameters {
  if (habit === 'metric') return roofTubeParameters.parse({});
  return roofTubeParameters.parse({
    pipe: 'd1785-40-4',
    length: 90 * inch,
    gap: 2 * inch,
    saddle: 'ps20-2x4',
    head: 54 * inch,
    hose: 10 * 12 * inch,
  });
}

/** m or count. Range of a parameter's own field. */
export const fieldRange = rangesOf(roofTubeParameters);
