import * as z from 'zod';
import { entry } from '../../catalogue';
import { choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

/** Free: all of these. What follows: rips, mirror film, caps, links, opening, what the pipe catches and how far the sun may stand off. */
export const troughParameters = z.strictObject({
  troughs: countField(1, 12, 6, 'Troughs', 'Side by side up the slope, their pipes in series.'),
  share: choiceField(
    { half: 'half of a pipe', third: 'a third of a pipe' },
    'half',
    'Ripped into',
    'A third catches more of its opening; a half is wider.',
  ),
  pipe: entryField(
    'tube',
    'pvc-200x7.7',
    'Trough, of',
    'Plastic pipe that is ripped along its length and lined with mirror film.',
    (id) => entry('tube', id).temper === 'plastic',
  ),
  length: lengthField(0.4, 3, 1.5, 'Trough, cut length', 'Lies level, east to west.', [
    'most of it would be ends',
    'the black pipe would sag',
  ]),
  film: lengthField(
    0.001,
    0.03,
    0.004,
    'Film short of the edge',
    'At both edges: film that stands over is peeled by the wind.',
  ),
  receiver: entryField(
    'tube',
    'en-1057-22x0.9',
    'Black pipe',
    'Lies along the trough where the light is thrown.',
    (id) => entry('tube', id).temper === 'hard' && entry('tube', id).outerDiameter < 0.036,
  ),
  height: lengthField(
    0.008,
    0.16,
    0.031,
    'Pipe over the mirror',
    'Middle of the black pipe over the lowest line of the mirror.',
    ['the pipe would lie on the mirror', 'the light crosses far below'],
  ),
  gap: lengthField(0.005, 0.5, 0.03, 'Between troughs', 'Clear, from edge to edge.', [
    'the troughs would touch',
    'sun falls through between',
  ]),
  capSheet: entryField(
    'sheet',
    'ply-12',
    'Caps',
    'Close both ends of each trough and hold its pipe.',
    (id) => entry('sheet', id).use === 'back',
  ),
  bearer: entryField(
    'timber',
    'planed-90x45',
    'Bearer',
    'Stands on edge up the slope; each trough lies in a round seat.',
    (id) => entry('timber', id).width > 0.08 && entry('timber', id).thickness > 0.015,
  ),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the pipe.')),
});
export type TroughParameters = z.infer<typeof troughParameters>;

export function standardTrough(habit: Habit): TroughParameters {
  if (habit === 'metric') return troughParameters.parse({});
  return troughParameters.parse({
    pipe: 'd1785-40-8',
    length: 60 * inch,
    film: 0.1875 * inch,
    receiver: 'astm-b88-m-3_4',
    height: 1.375 * inch,
    gap: 1.25 * inch,
    capSheet: 'ply-1_2',
    bearer: 'ps20-2x4',
  });
}

/** m or count. Range of a parameter's own field. */
export const fieldRange = rangesOf(troughParameters);
