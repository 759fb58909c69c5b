import * as z from 'zod';
import { hottestStart, loopPipeIds, loopPipes } from '../catalogue';
import { flagField, numberField, optionField, percentField } from '../field';
import { formatQuantity } from '../quantity';

/** kg/s per m². Below it a panel stands still; above it no pump of this kind goes. */
export const leastSpecificFlow = 5e-4;
export const mostSpecificFlow = 0.2;

const planned = (label: string, meaning: string) => flagField({ label, meaning, moves: ['need', 'findings'] });

/** How the water goes round, and what is planned so that nobody is hurt. */
export const loopSchema = z.strictObject({
  kind: optionField({
    label: 'Circulation',
    meaning: 'How the water gets through the heater.',
    choices: {
      'drain-back': 'drains back when the pump stops',
      'pumped-direct': 'pumped, the store’s own water',
      'pumped-coil': 'pumped, through a coil in the store',
      thermosiphon: 'by itself, the store above',
      bath: 'one bath sent round until it is hot',
      'fill-and-wait': 'filled, left in the sun, and drawn off',
      preheat: 'mains through it, on to the heater that stands',
    },
    moves: ['heat', 'need', 'pieces', 'findings'],
  }),
  connection: optionField({
    label: 'Heaters are connected',
    meaning: 'How several of them share the water.',
    choices: { parallel: 'side by side, each with a share', series: 'one after the other' },
    moves: ['heat', 'need', 'findings'],
  }),
  /** kg/s per m² of aperture. */
  specificFlow: numberField({
    label: 'Flow',
    meaning: 'kg/s through each square metre of aperture.',
    low: leastSpecificFlow,
    high: mostSpecificFlow,
    lowReason: 'less is a panel that stands still',
    highReason: 'no small pump moves more',
    digits: 4,
    moves: ['heat', 'need', 'findings'],
  }),
  pressurised: planned('under mains pressure', 'Or open to the air somewhere.'),
  /** Propylene glycol in the loop, share by mass; plain water when left out. */
  glycol: percentField({
    label: 'Glycol',
    meaning: 'Propylene glycol in the loop, by mass.',
    low: 0,
    high: 0.6,
    lowReason: 'plain water',
    highReason: 'more is too thick to pump and freezes no later',
    digits: 0,
    moves: ['heat', 'need', 'findings'],
  }).optional(),
  pipe: optionField({
    label: 'Pipes of the loop',
    meaning: 'Between heaters and store.',
    choices: Object.fromEntries(loopPipeIds.map((one) => [one, loopPipes[one].name])) as Record<
      (typeof loopPipeIds)[number],
      string
    >,
    moves: ['need', 'findings'],
  }).optional(),
  relief: planned('new relief valve planned', 'Temperature and pressure.').optional(),
  expansion: planned('expansion vessel planned', 'Water grows when it warms.').optional(),
  mixing: planned('mixing valve at the taps planned', 'So that nobody is scalded.').optional(),
  coil: planned('what is used is heated in a coil', 'And not the store’s own water.').optional(),
  backflow: planned('double wall and backflow preventer planned', 'Between loop and mains.').optional(),
  cutout: planned(
    `pump never starts above ${formatQuantity('temperature', hottestStart, 'metric', 0).text} (${formatQuantity('temperature', hottestStart, 'imperial', 0).text})`,
    'A dry plate that is hotter flashes water to steam.',
  ).optional(),
  check: planned(
    'check valve against the night planned',
    'The store does not fall into the heater by night.',
  ).optional(),
  hotSensor: planned(
    'platinum sensor on silicone cable planned',
    'In place of a digital one on PVC, which a hot heater ruins.',
  ).optional(),
});
