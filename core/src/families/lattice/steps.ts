import { measured, sized, weighs } from '../../quantity';
import type { Step } from '../../steps';
import { fallCheck, lengthCheck, paintCheck } from '../kit/checks';
import { cutStep, lifters, step, testStep } from '../kit/steps';
import type { LatticeLayout } from './layout';

export function latticeSteps(prefix: string, layout: LatticeLayout, mass: number, litres: number): Step[] {
  const { parameters, bolts, rimBolts, grid, glazing, atFoot, volume } = layout;
  const sheets = [`${prefix}/front`, `${prefix}/back`];
  const count = bolts.length + rimBolts.length;
  const wet = mass + volume * 1000;
  const dressed = layout.wool ? 'wool' : 'test-head';
  return [
    cutStep(prefix),
    step(prefix, 'drill', {
      name: 'Drill both sheets at once',
      does: [
        'clamp the sheets face to face on a board, and mark which edges lie together',
        `mark the grid from the middle outward: ${sized(grid.along)} along, ${sized(grid.across)} across`,
        `drill ${count} holes of ${sized(layout.boltHole, true)} through both, a bolt in every tenth as you go`,
        `cut ${parameters.ports} port holes in opposite corners of the back; deburr every hole on both faces`,
      ],
      parts: sheets,
      needs: ['drill', 'centre punch', 'countersink', 'gloves: cut edges', 'eye protection'],
      checks: [
        {
          id: 'grid',
          words: `from the first bolt of a line to the fifth: ${sized(4 * grid.along)}`,
          expects: { kind: 'length', value: 4 * grid.along, within: 0.002 },
        },
        { id: 'through', words: 'turned over, every bolt still goes through both sheets' },
      ],
      after: ['cut'],
    }),
    step(prefix, 'paint', {
      name: 'Prime and paint',
      does: [
        'degrease; prime every cut edge and hole, where rust begins',
        'two thin coats of flat black on the outside of the front',
        'bake it dry in the sun',
      ],
      parts: sheets,
      needs: ['mask for solvents', 'roller'],
      checks: [paintCheck('black', litres), { id: 'smell', words: 'hot and without smell' }],
      beware: ['Solvents burn and harm: outdoors, no flame.'],
      after: ['drill'],
      waits: 48 * 3600,
    }),
    step(prefix, 'ports', {
      name: 'Fit the ports to the back',
      does: [
        'while both faces of the back can be reached: hold each flange over its hole, mark its screw holes through it, drill and deburr them',
        'gasket under the flange; screws from the inner face, a rubber washer under each nut, drawn up crosswise until the rubber bulges',
        'tee on the upper port, its branch up, the air cock in it; thread tape on every thread',
      ],
      parts: ['ports', 'port-screws', 'air-tee', 'air-cock'].map((name) => `${prefix}/${name}`),
      needs: ['drill', 'centre punch', 'spanners', 'screwdriver'],
      checks: [
        {
          id: 'heads',
          words: `no screw head stands more than ${sized(parameters.gasket, true)} off the inner face`,
          expects: { kind: 'length', value: 0, within: parameters.gasket },
        },
      ],
      after: ['paint'],
    }),
    step(prefix, 'bolt', {
      name: 'Bolt it together',
      does: [
        'lay the gasket on the rim of the back in one piece, joints lapped in the middle of a side',
        'front on, a rubber and a steel washer on both faces of every bolt',
        'tighten by hand from the middle outward, then the rim bars, then all again by a quarter turn',
      ],
      parts: [
        ...sheets,
        ...['bolt', 'bolt-rim', 'rim-long', 'rim-short', 'gasket-strip'].map((name) => `${prefix}/${name}`),
      ],
      needs: ['spanners'],
      checks: [
        lengthCheck(
          'gasket',
          `the gasket is pressed to ${sized(parameters.gasket, true)} all round, no wave in the rim`,
          parameters.gasket,
          0.25 * parameters.gasket,
        ),
      ],
      after: ['ports'],
    }),
    testStep(prefix, 'test-open', 'Fill it lying down', ['bolt'], true),
    step(prefix, 'test-head', {
      name: 'Test it under its head',
      does: [
        'stand it at its tilt on firm ground, nobody before or behind it',
        `fill from a bucket on a hose raised ${sized(parameters.head)} over the low edge, the upper port open until water comes`,
        'leave it for an hour',
      ],
      needs: ['clear hose', 'bucket on a line'],
      checks: [
        {
          id: 'bow',
          words: `between bolts near the foot each sheet bows ${sized(atFoot.bow, true)}, and comes back when the hose is let down`,
          expects: { kind: 'length', value: atFoot.bow, within: Math.max(0.0005, 0.4 * atFoot.bow) },
        },
        { id: 'drips', words: 'no drip at any bolt or along the rim' },
      ],
      beware: [
        `Each bolt at the foot pulls with what ${measured('mass', weighs(atFoot.pull), 0)} weigh. Never raise the hose over ${sized(layout.mostHead)}, never put mains or a pump on it.`,
        'Open the upper port before you let the water out: a closed lattice is sucked flat.',
      ],
      after: ['test-open'],
    }),
    ...(layout.wool
      ? [
          step(prefix, 'wool', {
            name: 'Lay the wool behind it',
            does: [
              'lay the wool between the rim bars on the back, pieces tight together',
              'draw wire to and fro over it between the rim bolts, tight but not into the wool',
            ],
            parts: [`${prefix}/backing`, `${prefix}/wool-wire`],
            needs: ['pliers', 'gloves and mask for wool'],
            checks: [
              lengthCheck(
                'hangs',
                `stood up, the wool hangs nowhere more than ${sized(0.005)} off the sheet`,
                0,
                0.005,
              ),
            ],
            after: ['test-head'],
          }),
        ]
      : []),
    ...(glazing.cover
      ? [
          step(prefix, 'glaze', {
            name: 'Cover it',
            does: [
              `bolt the laths on the rim bars by the long bolts, ${sized(parameters.airGap)} of air under the cover`,
              'fix the cover along one edge, slotted holes along the others',
              ...glazing.work,
            ],
            parts: [
              'lath-long',
              'lath-short',
              'bolt-lath',
              'pane',
              ...(glazing.bars.count > 0 ? ['pane-bar'] : []),
            ].map((name) => `${prefix}/${name}`),
            checks: [
              lengthCheck(
                'off',
                `${sized(parameters.airGap)} from the sheet to the cover, at its edge and in its middle; with the panel full it touches no bolt`,
                parameters.airGap,
                0.25 * parameters.airGap,
              ),
            ],
            after: [dressed],
          }),
        ]
      : []),
    step(prefix, 'carry', {
      name: 'Carry it and set it up',
      does: [
        'carry it empty, on edge, like a pane',
        'cold port low, hot port high in the opposite corner, the pipe to the barrel rising all the way',
      ],
      needs: ['gloves', 'straps'],
      checks: [fallCheck('rises', 'from the hot port to the barrel the pipe rises, without a hump')],
      beware: [
        `It is ${measured('mass', mass, 0)} dry and ${measured('mass', wet, 0)} full: ${lifters(mass)}, empty. Not in wind.`,
        'The barrel over it stands on its own legs, braced: a raised barrel that topples kills.',
      ],
      after: [glazing.cover ? 'glaze' : dressed],
    }),
  ];
}
