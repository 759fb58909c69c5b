import * as z from 'zod';
import { entry } from '../../catalogue';
import { choiceField, countField, entryField, lengthField, meansSame, rangesOf } from '../../field';
import { type Habit, inch } from '../../quantity';

const hard = (id: string) => entry('tube', id).temper === 'hard';

/**
 * Free: all of these. What follows from them: riser cut length (clear gap and two entries), header length (the row of
 * risers, the closed end, the way out through the side board and the stub), rail depth (what the stack leaves).
 */
export const harpParameters = z.strictObject({
  riserTube: entryField('tube', 'en-1057-15x0.7', 'Riser tube', 'Tube of the risers.', hard),
  headerTube: entryField('tube', 'en-1057-28x0.9', 'Header tube', 'Tube of the two headers.', hard),
  riserCount: countField(2, 60, 12, 'Risers', 'Parallel tubes between the headers.'),
  pitch: meansSame(
    'tube to tube on a plate',
    lengthField(0.03, 0.4, 0.089, 'Riser pitch', 'Riser to riser, centre to centre.'),
  ),
  riserClear: lengthField(0.2, 3, 1.882, 'Riser, clear of headers', 'Between the headers, crown to crown.', [
    'too short to be worth a panel',
    'no pane is so long',
  ]),
  entry: lengthField(0.001, 0.03, 0.007, 'Riser entry', 'How far a riser goes into each header, from the crown.'),
  closedEnd: lengthField(0.01, 0.1, 0.025, 'Closed end', 'Last riser to the closed end of its header, inside the box.'),
  stub: meansSame('tube outside the box', lengthField(0, 0.3, 0.05, 'Stub', 'Header outside the box, for the union.')),
  joint: choiceField(
    { drilled: 'drilled headers, risers let in', tees: 'bought tees with short pieces between' },
    'drilled',
    'Riser joints',
    'Drilled: cheap, soft-soldered butts, low pressure. Tees: three capillary joints each, for mains too.',
  ),
  ends: choiceField(
    {
      inside: 'end inside the box',
      flush: 'end flush with the side, in a hole of its own',
      crossed: 'cross the box and stand out on both sides',
    },
    'inside',
    'Far ends of the headers',
    'Flush is got at from outside; crossed couples panels side by side.',
  ),
  farStub: lengthField(0.01, 0.3, 0.05, 'Far stub', 'Crossed header beyond the far side.'),
  closing: choiceField(
    { cap: 'a soldered cap', union: 'a union, plugged until it is needed' },
    'cap',
    'Far ends close with',
    'A cap is for good; a union comes apart.',
  ),
  airGap: meansSame(
    'absorber to cover',
    lengthField(0.008, 0.08, 0.025, 'Air gap', 'Plate to pane.', [
      'the plate would touch the pane',
      'the sides would shade the plate',
    ]),
  ),
  paint: meansSame('what blackens it', entryField('coating', 'flat-black', 'Paint', 'What blackens the plate.')),
  connection: choiceField(
    { diagonal: 'diagonal: out at the far end', 'same-side': 'same side: in and out at one end' },
    'diagonal',
    'Connection',
    'Where the hot header comes out.',
  ),
});
export type HarpParameters = z.infer<typeof harpParameters>;

export function standardHarp(habit: Habit): HarpParameters {
  if (habit === 'metric') return harpParameters.parse({});
  return harpParameters.parse({
    riserTube: 'astm-b88-m-1_2',
    headerTube: 'astm-b88-m-1',
    riserCount: 12,
    pitch: 3.75 * inch,
    riserClear: 71.25 * inch,
    entry: (5 / 16) * inch,
    closedEnd: inch,
    stub: 2 * inch,
    airGap: inch,
  });
}

/** m. Range of a parameter's own field. */
export const fieldRange = rangesOf(harpParameters);
