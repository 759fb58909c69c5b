import { measured } from '../../quantity';
import { type Step, stepId } from '../../steps';
import { standsFull } from './checks';

/** Pa. Held with water in the shade; and the most that air may ever have, which stores energy and throws what breaks. */
const testPressure = 150e3;
const mostAir = 35e3;
/** Pa/K. What locked-in water gains when it warms at 20 °C. */
const lockedIn = 250e3;
/** kg. What one person lifts at most: ISO 11228-1, for men; less for most. */
const oneLifts = 25;
/** m². A stiff sheet larger than this is never carried alone, whatever it weighs. Trade. */
const oneCarries = 1;
/** People round one panel; beyond that it is hoisted. */
const mostLift = 4;

const counts = ['nobody', 'one person', 'two people', 'three people', 'four people'];

/**
 * How many lift so many kilograms, in words: none more than 25 kg each, and a large sheet never alone.
 *
 * @param area m² of a sheet that is carried by its edges
 */
export function lifters(mass: number, area = 0): string {
  const people = Math.max(1, Math.ceil(mass / oneLifts - 1e-9), area > oneCarries ? 2 : 1);
  if (people > mostLift) return `too heavy for ${counts[mostLift]}: a hoist lifts it`;
  return `${counts[people]} ${people === 1 ? 'lifts' : 'lift'} it`;
}

/** A step of a panel with what is usual left out. */
export function step(
  prefix: string,
  id: string,
  one: Pick<Step, 'name' | 'does'> & Partial<Omit<Step, 'id' | 'after'>> & { after: readonly string[] },
): Step {
  return {
    parts: [],
    needs: [],
    checks: [],
    beware: [],
    ...one,
    id: stepId(prefix, id),
    after: one.after.map((other) => stepId(prefix, other)),
  };
}

/** Cut and mark everything of a kind together. */
export function cutStep(prefix: string): Step {
  return step(prefix, 'cut', {
    name: 'Mark and cut',
    does: [
      'mark like pieces together against one stop, the saw’s kerf on the waste side',
      'cut, ream and deburr; write its name on every piece',
      'lay mirrored pieces side by side: two left ones make no pair',
    ],
    needs: ['tape', 'square', 'saw', 'tube cutter', 'file', 'eye protection'],
    beware: ['Clamp short pieces: a saw throws them.'],
    after: [],
  });
}

/** A wet test with the numbers that make it safe. `name` says of what. */
export function testStep(prefix: string, id: string, name: string, after: readonly string[], open = false): Step {
  return step(prefix, id, {
    name,
    does: open
      ? ['fill it slowly with the way out open', 'look at every joint with a dry paper']
      : [
          'fill with water in the shade, all air out at the top',
          `pump to ${measured('pressure', testPressure, 0)} and close; read the gauge for an hour`,
          'wipe every joint with a dry paper',
        ],
    needs: open ? ['bucket', 'dry paper'] : ['hand pump with gauge and relief', 'dry paper'],
    checks: [
      { id: 'drips', words: 'no drip and no damp paper at any joint' },
      ...(open
        ? [standsFull('stands')]
        : [
            {
              id: 'holds',
              words: `after an hour in the shade the gauge still reads ${measured('pressure', testPressure, 0)}, a tenth less at the most; a fall is judged by drips and top-up`,
              expects: { kind: 'pressure' as const, value: testPressure, within: 0.1 * testPressure },
            },
          ]),
    ],
    beware: open
      ? []
      : [
          `Water and not air, least of all in plastic or a tank: air stands under no more than ${measured('pressure', mostAir, 0)} here, what breaks under air flies.`,
          `Locked-in water gains ${measured('pressure', lockedIn, 0)} a kelvin: in the shade, a relief valve on the pump.`,
        ],
    after,
  });
}
