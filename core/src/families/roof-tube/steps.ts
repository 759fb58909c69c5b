import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { cutStep, step, testStep } from '../kit/steps';
import { airEnergy, waterIn } from './findings';
import { fillHole, holeIn, linkHole, type RoofTubeLayout, ventHole } from './layout';

export function roofTubeSteps(prefix: string, layout: RoofTubeLayout, mass: number): Step[] {
  const { parameters, seat, volume } = layout;
  const { pipes, saddles, draw, length } = parameters;
  return [
    cutStep(prefix),
    step(prefix, 'holes', {
      name: 'Drill the pipes',
      does: [
        `on the scribed line: ${sized(fillHole)} for the fill plug, ${sized(holeIn)} from the high end; ${sized(ventHole)} for the vent, ${sized(holeIn)} from the low end`,
        `opposite, ${sized(holeIn / 2)} from the low end: ${sized(linkHole)} for the link or the outlet`,
        'deburr them inside and out, blow out every chip',
      ],
      parts: [`${prefix}/pipe`],
      needs: ['drill', 'round former', 'eye protection', 'dust mask'],
      checks: [{ id: 'line', words: 'fill hole and vent lie on one line; the link lies straight under it' }],
      beware: [
        'PVC dust is not breathed: mask, and a bag at the saw. A dull hole saw grabs and throws the pipe: sharp, slow, the pipe clamped.',
      ],
      after: ['cut'],
    }),
    step(prefix, 'caps', {
      name: 'Cement the caps',
      does: [
        'wipe with the solvent primer, then cement both caps of each pipe, push home with a quarter turn, hold half a minute',
      ],
      parts: ['cap', 'pvc-cement'].map((one) => `${prefix}/${one}`),
      needs: ['gloves', 'mask for solvents'],
      checks: [{ id: 'bead', words: 'a bead of cement all round each cap' }],
      beware: ['Outdoors, no flame: the solvents burn.'],
      after: ['holes'],
      waits: 24 * 3600,
    }),
    step(prefix, 'fittings', {
      name: 'Set plugs, vents and outlets',
      does: [
        'bulkhead fittings through the low holes, rubber outside and inside, hand-tight and a quarter',
        'vents with their rain caps, plugs with their rubbers',
        ...(pipes > 1 ? ['links between the low ends; the outlet on the last'] : []),
        `hose and shower head on the outlet${draw === 'pump' ? ', the hand pump between' : ''}`,
      ],
      parts: [
        'fill-plug',
        'vent',
        'outlet',
        ...(pipes > 1 ? ['link'] : []),
        'hose',
        'shower',
        ...(draw === 'pump' ? ['hand-pump'] : []),
      ].map((one) => `${prefix}/${one}`),
      needs: ['spanners'],
      checks: [{ id: 'vent', words: 'breath goes through every vent: nothing can shut it' }],
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
      after: ['test-open'],
      waits: 24 * 3600,
    }),
    step(prefix, 'saddles', {
      name: 'Seat the saddles',
      does: [
        `saw the seats ${sized(seat)} deep by the template`,
        `screw ${saddles} saddles to the rack, evenly over ${sized(length)}, the low end lower by a hand’s breadth`,
      ],
      parts: ['saddle', 'saddle-screws'].map((one) => `${prefix}/${one}`),
      needs: ['saw', 'screwdriver', 'spirit level'],
      checks: [{ id: 'fall', words: 'a ball rolls to the low end of every pipe' }],
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
          words: `rack and roof are rated for ${measured('mass', mass + waterIn(layout), 0)}, water in it`,
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
