import * as z from 'zod';
import { entry } from '../../catalogue';
import { choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

/**
 * Free: all of these, but the pitch of a street elbow or a formed U, which the fitting sets. What follows: stub and laying
 * length, cut lengths of the first and the last run, where the tube comes out, joints.
 */
export const serpentineParameters = z.strictObject({
  tube: entryField(
    'tube',
    'en-1057-15x0.7',
    'Tube',
    'Tube of all runs.',
    (id) => entry('tube', id).temper !== 'plastic',
  ),
  runs: countField(2, 40, 10, 'Runs', 'Straight runs side by side.'),
  pitch: meansSame('tube to tube on a plate', lengthField(0.02, 0.4, 0.108, 'Pitch', 'Run to run, centre to centre.')),
  runLength: lengthField(0.2, 3, 1.93, 'Run length', 'Straight tube between two bends, stop to stop.', [
    'too short to be worth a panel',
    'it would sag between its supports',
  ]),
  bend: choiceField(
    {
      'two-elbows': 'two elbows and a stub',
      'elbow-street': 'an elbow and a street elbow',
      'formed-u': 'a formed U, soldered on',
      'soft-coil': 'soft coil, bent in one piece',
    },
    'two-elbows',
    'Return bends',
    'How one run turns into the next.',
  ),
  bendRadius: lengthField(0.02, 0.2, 0.05, 'Bend radius', 'Of a formed U or a bent coil, to the middle of the tube.'),
  dryStub: lengthField(0, 0.3, 0, 'Dry fit: stub', 'Two elbows on a stub of this length; zero until it is tried.'),
  dryPitch: lengthField(
    0,
    0.5,
    0,
    'Dry fit: pitch measured',
    'Centre to centre as measured on that dry fit; zero until then.',
  ),
  stub: meansSame('tube outside the box', lengthField(0, 0.3, 0.06, 'Way out', 'Tube outside the box, for the union.')),
  airGap: meansSame(
    'absorber to cover',
    lengthField(0.008, 0.08, 0.025, 'Air gap', 'Plate to pane.', [
      'the plate would touch the pane',
      'the sides would shade the plate',
    ]),
  ),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the plate.')),
});
export type SerpentineParameters = z.infer<typeof serpentineParameters>;

export function standardSerpentine(habit: Habit): SerpentineParameters {
  if (habit === 'metric') return serpentineParameters.parse({});
  return serpentineParameters.parse({
    tube: 'astm-b88-m-1_2',
    runs: 10,
    pitch: 4.5 * inch,
    runLength: 73.5 * inch,
    bendRadius: 2 * inch,
    stub: 2.5 * inch,
    airGap: inch,
  });
}

/** m. Range of a parameter's own field. */
export const fieldRange = rangesOf(serpentineParameters);
