import * as z from 'zod';
import { entry } from '../../catalogue';
import {
  asBought,
  choiceField,
  countField,
  entryField,
  lengthField,
  massField,
  meansSame,
  rangesOf,
} from '../../field';
import { type Habit, inch } from '../../quantity';

/** Free: all of these. What follows: pipe and manifold lengths, volume, charge, holes of the rails, bottles and their cuts. */
export const heatPipeParameters = z.strictObject({
  tubes: countField(1, 40, 10, 'Heat pipes', 'Side by side, all alike.'),
  tube: entryField(
    'tube',
    'en-1057-15x0.7',
    'Pipe',
    'What each heat pipe is made of.',
    (id) => entry('tube', id).temper === 'hard',
  ),
  manifold: entryField(
    'tube',
    'en-1057-42x1.2',
    'Manifold',
    'What the water runs through, past the tips of the pipes.',
    (id) => entry('tube', id).temper === 'hard',
  ),
  sleeve: choiceField(
    { bottles: 'clear bottles, one over the next', none: 'bare' },
    'bottles',
    'Sleeve',
    'What keeps the wind off each pipe.',
  ),
  strip: lengthField(
    0,
    0.12,
    0.07,
    'Strip, across',
    'Black metal folded round each pipe, flat to both sides; 0 for none.',
  ),
  stripSheet: entryField(
    'sheet',
    'aluminium-0.5',
    'Strip, of',
    'What the strips are cut from.',
    (id) => entry('sheet', id).use === 'plate' && entry('sheet', id).thickness < 0.0009,
  ),
  bottles: countField(2, 12, 6, 'Bottles on a pipe', 'Or bare lengths as long as a bottle shows.'),
  bottleDiameter: asBought(lengthField(0.05, 0.13, 0.088, 'Bottle, across', 'Outside of its straight part.')),
  bottleHeight: asBought(
    lengthField(0.08, 0.3, 0.19, 'Bottle, cut height', 'Straight part, what is left when top and bottom are cut off.', [
      'no such bottle is sold',
      'no such bottle is sold',
    ]),
  ),
  lap: lengthField(0.005, 0.05, 0.02, 'Lap', 'Each bottle over the one below it, like slates.'),
  pitch: lengthField(0.05, 0.25, 0.1, 'Pipe to pipe', 'Middle to middle, along the manifold.', [
    'the sleeves would meet',
    'more gap than pipe',
  ]),
  immersion: lengthField(0.008, 0.06, 0.034, 'Tip in the water', 'How far each pipe stands in the manifold.', [
    'nothing of it would be in the water',
    'it would meet the far wall',
  ]),
  charge: countField(3, 60, 20, 'Charge, % of the volume', 'Water that stays in each pipe when it is capped.'),
  fill: massField(0, 3, 0, 'Measured fill', 'Water that fills one pipe to the brim, weighed; 0 before that.'),
  caps: choiceField(
    { brazed: 'brazed', soft: 'soft-soldered' },
    'brazed',
    'Caps',
    'How both ends of each pipe are closed for good.',
  ),
  lagging: lengthField(0.009, 0.05, 0.025, 'Lagging', 'Round the manifold.'),
  rail: entryField(
    'timber',
    'planed-115x19',
    'Rail',
    'Stands on edge across the bank; the pipes go through it.',
    (id) => entry('timber', id).thickness < 0.03 && entry('timber', id).width > 0.08,
  ),
  stile: entryField(
    'timber',
    'planed-45x45',
    'Stile',
    'Lies under the rails, up the slope.',
    (id) => entry('timber', id).width < 0.06 && entry('timber', id).thickness > 0.03,
  ),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the pipes.')),
});
export type HeatPipeParameters = z.infer<typeof heatPipeParameters>;

export function standardHeatPipe(habit: Habit): HeatPipeParameters {
  if (habit === 'metric') return heatPipeParameters.parse({});
  return heatPipeParameters.parse({
    tube: 'astm-b88-m-1_2',
    manifold: 'astm-b88-m-1-1_2',
    strip: 2.75 * inch,
    stripSheet: 'aluminium-1_32',
    bottleDiameter: 3.5 * inch,
    bottleHeight: 7.5 * inch,
    lap: 0.75 * inch,
    pitch: 4 * inch,
    immersion: 1.25 * inch,
    lagging: inch,
    rail: 'ps20-1x5',
    stile: 'ps20-2x2',
  });
}

/** m or count. Range of a parameter's own field. */
/** Degrees from level under which a sealed tube of this kind does not carry well: what condenses does not run back. Faghri (1995): 10 to 15. */
export const leastTilt = 15;

export const fieldRange = rangesOf(heatPipeParameters);
