import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { countCheck, paintCheck } from '../kit/checks';
import { cutStep, step, testStep } from '../kit/steps';
import { airEnergy, waterIn } from './findings';
import { fillHole, outletHole, type RoofTubeLayout, ventHole } from './layout';

/** m from the high end to the low one. */
const fall = 0.08;

export function roofTubeSteps(prefix: string, layout: RoofTubeLayout, mass: number, litres: number): Step[] {
  const { parameters, seat, volume } = layout;
  const { pipes, saddles, draw, length } = parameters;
  return [
    cutStep(prefix),
    step(prefix, 'holes', {
      name: 'Drill pipes and low caps',
      does: [
        `on the scribed line, from the high end: ${sized(ventHole)} for the vent at ${sized(layout.vent)}, ${sized(fillHole)} for the fill plug at ${sized(layout.fill)}; the cap’s socket ends at ${sized(layout.socket)}`,
        `in the flat of one cap for each pipe: ${sized(outletHole)} for the outlet, its middle ${sized(layout.outlet)} from the outside of its rim`,
        'deburr them inside and out, blow out every chip',
      ],
      parts: [`${prefix}/pipe`],
      needs: ['drill', 'round former', 'eye protection', 'dust mask'],
      checks: [
        {
          id: 'vent',
          words: `from the high end to the middle of each vent: ${sized(layout.vent)}`,
          expects: { kind: 'length', value: layout.vent, within: 0.003 },
        },
        { id: 'line', words: 'fill hole and vent lie on one line' },
      ],
      beware: [
        'PVC dust is not breathed: mask, and a bag at the saw. A dull hole saw grabs and throws the pipe: sharp, slow, the pipe clamped.',
      ],
      after: ['cut'],
    }),
    step(prefix, 'outlets', {
      name: 'Fit the outlets into the low caps',
      does: [
        'while both sides can be reached: a bulkhead fitting through each drilled cap, its rubber inside, tight and a quarter turn more',
      ],
      parts: [`${prefix}/outlet`],
      needs: ['spanners'],
      checks: [
        {
          id: 'seat',
          words: `from the outside of the rim to the middle of the outlet: ${sized(layout.outlet)}`,
          expects: { kind: 'length', value: layout.outlet, within: 0.002 },
        },
      ],
      after: ['holes'],
    }),
    step(prefix, 'caps', {
      name: 'Cement the caps',
      does: [
        'dry first: push each cap home and mark the pipe along its rim',
        'wipe with the solvent primer, then cement both caps of each pipe, push home with a quarter turn, hold half a minute',
        'the low cap with its outlet at the bottom, straight under the scribed line',
      ],
      parts: ['cap', 'pvc-cement'].map((one) => `${prefix}/${one}`),
      needs: ['gloves', 'mask for solvents'],
      checks: [
        {
          id: 'home',
          words: `every rim stands at its mark, ${sized(layout.socket)} from the end of the pipe`,
          expects: { kind: 'length', value: layout.socket, within: 0.003 },
        },
        { id: 'bead', words: 'a bead of cement all round each cap' },
      ],
      beware: ['Outdoors, no flame: the solvents burn.'],
      after: ['outlets'],
      waits: 24 * 3600,
    }),
    step(prefix, 'fittings', {
      name: 'Set plugs, vents and hoses',
      does: [
        'vents with their rain caps, plugs with their rubbers',
        ...(pipes > 1 ? ['a short hose on each outlet, joined by tees into one, every clip tight'] : []),
        `hose and shower head on ${pipes > 1 ? 'the last tee' : 'the outlet'}${draw === 'pump' ? ', the hand pump between' : ''}`,
      ],
      parts: [
        'fill-plug',
        'vent',
        ...(pipes > 1 ? ['link'] : []),
        'hose',
        'shower',
        ...(draw === 'pump' ? ['hand-pump'] : []),
      ].map((one) => `${prefix}/${one}`),
      needs: ['spanners'],
      checks: [
        countCheck(
          'vent',
          `${pipes === 1 ? 'one vent' : `${pipes} vents`} that breath goes through: nothing can shut it`,
          pipes,
        ),
      ],
      beware: [
        `Stop: no air pump, no valve on a vent, never the mains. ${measured('volume', volume, 0)} of air at ${measured('pressure', 1e5, 0)} holds ${(airEnergy(volume, 1e5) / 1000).toFixed(1)} kJ.`,
      ],
      after: ['caps'],
    }),
    testStep(prefix, 'test-open', 'Fill it on the ground', ['fittings'], true),
    step(prefix, 'paint', {
      name: 'Black it',
      does: ['rub the pipes dull, wipe them, two coats of flat black'],
      parts: [`${prefix}/black`],
      needs: ['paint brush', 'wire brush'],
      checks: [paintCheck('black', litres)],
      after: ['test-open'],
      waits: 24 * 3600,
    }),
    step(prefix, 'saddles', {
      name: 'Seat the saddles',
      does: [
        `saw the seats ${sized(seat)} deep by the template`,
        `screw ${saddles} saddles to the rack, evenly over ${sized(length)}, an angle on each face of each`,
        `the low end lower by ${sized(fall)}, so that it empties`,
      ],
      parts: ['saddle', 'saddle-angle', 'saddle-screws'].map((one) => `${prefix}/${one}`),
      needs: ['saw', 'screwdriver', 'spirit level'],
      checks: [
        {
          id: 'fall',
          words: `the seats of the last saddle stand ${sized(fall)} lower than those of the first`,
          expects: { kind: 'length', value: fall, within: 0.01 },
        },
      ],
      after: ['cut'],
    }),
    step(prefix, 'carry', {
      name: 'Lift it up and strap it',
      does: [
        'empty, with two people; each pipe in its seats, two straps over each saddle',
        'fill it where it stands; drive with it only as the rack is rated',
      ],
      parts: [`${prefix}/strap`],
      needs: ['ladder', 'gloves'],
      checks: [
        {
          id: 'rated',
          words: `rack and roof are rated for ${measured('mass', mass + waterIn(layout), 0)}, water in it; the plate or the papers of the vehicle say how much`,
          expects: { kind: 'mass', value: 2 * (mass + waterIn(layout)), within: mass + waterIn(layout) },
        },
      ],
      beware: [
        `Full it is ${measured('mass', mass + waterIn(layout), 0)}, high up: brakes and bends feel it. Empty it before a frost.`,
        'The first water can scald: measure it before anybody stands under it.',
      ],
      after: ['paint', 'saddles'],
    }),
  ];
}
