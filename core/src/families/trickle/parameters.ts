import * as z from 'zod';
import { entry, findEntry } from '../../catalogue';
import { choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

/** Free: all of these. What follows: the flat of a can, strip length, cans, tape, battens, feeds, area, what steams away. */
export const trickleParameters = z.strictObject({
  diameter: lengthField(0.04, 0.12, 0.066, 'Can, across', 'Outside of the cans, as bought.', [
    'no such can is sold',
    'no such can is sold',
  ]),
  height: lengthField(0.05, 0.25, 0.1, 'Can, cut height', 'What is left when top and bottom are cut off.', [
    'no such can is sold',
    'no such can is sold',
  ]),
  lap: lengthField(0.003, 0.04, 0.012, 'Lap', 'Each can over the one below it, sealed and taped.'),
  cans: countField(3, 40, 20, 'Cans in a strip', 'Joined end to end, up the slope.'),
  strips: countField(1, 12, 5, 'Strips', 'Side by side, each fed at its head.'),
  gapBetween: lengthField(0.004, 0.05, 0.018, 'Between strips', 'Batten that parts two strips.'),
  batten: entryField(
    'timber',
    'planed-45x45',
    'Batten',
    'What strips lie on and between.',
    (id) => entry('timber', id).width < 0.06,
  ),
  sideBoard: entryField(
    'timber',
    'planed-90x19',
    'Side board',
    'Ripped to the height of what the tray holds: wool, strips and the air over them.',
    (id) => entry('timber', id).width > 0.06,
  ),
  back: entryField(
    'sheet',
    'ply-9',
    'Back',
    'Sheet that the battens are screwed to.',
    (id) => entry('sheet', id).use === 'back',
  ),
  insulation: choiceField(
    { none: 'nothing', wool: 'mineral wool, the thinnest board' },
    'wool',
    'Under the strips',
    'What keeps their backs warm.',
  ),
  wetting: choiceField(
    { plain: 'plain cans: it runs in streaks', dimpled: 'dimpled or gauzed: it spreads' },
    'dimpled',
    'Face',
    'How much of the face the film covers.',
  ),
  film: choiceField(
    { sealed: 'sealed under a second skin', open: 'open to the cover' },
    'sealed',
    'Film',
    'Whether the water lies open under the cover and steams onto it.',
  ),
  cover: meansSame(
    'cover against wind',
    choiceField(
      { 'tempered-glass': 'tempered glass', film: 'film on laths', none: 'bare' },
      'tempered-glass',
      'Cover',
      'What keeps the wind off.',
    ),
  ),
  airGap: meansSame(
    'absorber to cover',
    lengthField(0.012, 0.08, 0.03, 'Air gap', 'Strips to cover.', [
      'the film would splash the cover',
      'the sides would shade the strips',
    ]),
  ),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the face.')),
});
export type TrickleParameters = z.infer<typeof trickleParameters>;

export function standardTrickle(habit: Habit): TrickleParameters {
  if (habit === 'metric') return trickleParameters.parse({});
  return trickleParameters.parse({
    diameter: 2.6 * inch,
    height: 4 * inch,
    lap: 0.5 * inch,
    gapBetween: 0.75 * inch,
    batten: 'ps20-2x2',
    sideBoard: 'ps20-1x4',
    back: 'ply-3_8',
    airGap: 1.25 * inch,
  });
}

/** Parameters of a document that does not speak of the side boards yet, with boards of the same shops as its battens. */
export function withSideBoard(parameters: Record<string, unknown>): Record<string, unknown> {
  if ('sideBoard' in parameters) return parameters;
  const batten = findEntry('timber', String(parameters.batten));
  return { ...parameters, sideBoard: batten?.tape === 'imperial' ? 'ps20-1x4' : 'planed-90x19' };
}

/** m. Range of a parameter's own field. */
export const fieldRange = rangesOf(trickleParameters);
