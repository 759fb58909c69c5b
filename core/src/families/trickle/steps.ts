import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { countCheck, lengthCheck, levelCheck } from '../kit/checks';
import { slopeWords } from '../kit/ports';
import { cutStep, step, testStep } from '../kit/steps';
import { gutter, type TrickleLayout } from './layout';

export function trickleSteps(prefix: string, layout: TrickleLayout, mass: number): Step[] {
  const { parameters, flat, stripLength, glazing } = layout;
  const { cans, strips, height, lap, diameter } = parameters;
  const sealed = parameters.film === 'sealed';
  return [
    cutStep(prefix),
    step(prefix, 'flatten', {
      name: 'Flatten the cans',
      does: [
        ...(sealed
          ? [`${2 * cans * strips} of them: ${cans * strips} for the strips, as many for the skin over them`]
          : []),
        'rinse and dry them; cut both ends off with a can opener or a jig saw in a wooden sleeve',
        `slit each along its seam and roll it flat: a can of ${sized(diameter)} gives ${sized(flat)} by ${sized(height)}`,
        ...(parameters.wetting === 'dimpled' ? ['roll each over a mesh, dimples toward the sun'] : []),
        'rub the lacquer off the inside with wire wool',
      ],
      needs: ['snips', 'rolling pin', 'cut-proof gloves', 'eye protection'],
      checks: [
        {
          id: 'flat',
          words: `a can laid flat is ${sized(flat)} wide`,
          expects: { kind: 'length', value: flat, within: 0.003 },
        },
      ],
      beware: ['A slit can is a razor all round: gloves until its edges are taped.'],
      after: ['cut'],
    }),
    step(prefix, 'join', {
      name: 'Join the strips',
      does: [
        `lay ${cans} cans in a row, each ${sized(lap)} over the one below, like slates`,
        'a bead of silicone in every lap, tape over it and along both edges',
        sealed
          ? `make ${2 * strips} of them, each ${sized(stripLength)} long: ${strips} to lie below, ${strips} as their skin`
          : `make ${strips} of them, each ${sized(stripLength)} long`,
      ],
      parts: ['can', ...(sealed ? ['skin'] : [])].map((one) => `${prefix}/${one}`),
      needs: ['caulking gun', 'roller'],
      checks: [
        {
          id: 'long',
          words: `each strip is ${sized(stripLength)} long`,
          expects: { kind: 'length', value: stripLength, within: 0.004 },
        },
        { id: 'laps', words: 'every lap faces downhill: poured water crosses it and stays on top' },
      ],
      after: ['flatten'],
      waits: 24 * 3600,
    }),
    step(prefix, 'box', {
      name: 'Build the tray',
      does: [
        'screw sides and ends together, then the back on from below',
        layout.wool
          ? 'screw the battens on from below, the wool tight between them'
          : 'screw the bearers on from below, the battens across them',
        'staple a screen over every hole at the low edge',
      ],
      parts: ['side', 'side-outlet', 'end', 'end-feeds', 'back', 'batten', layout.wool ? 'wool' : 'bearer'].map(
        (name) => `${prefix}/${name}`,
      ),
      needs: ['drill', 'screwdriver', 'square', 'staple gun'],
      checks: [
        {
          id: 'diagonals',
          words: `both diagonals are ${sized(Math.hypot(layout.outside.length, layout.outside.width))}`,
          expects: {
            kind: 'length',
            value: Math.hypot(layout.outside.length, layout.outside.width),
            within: 0.003,
          },
        },
      ],
      after: ['cut'],
    }),
    step(prefix, 'lay-in', {
      name: 'Lay the strips, gutter and feeds',
      does: [
        sealed
          ? 'paint the upper faces of those that will be the skin, bake them dry in the sun'
          : 'paint the strips, bake them dry in the sun',
        `lay them between the battens, their feet ${sized(gutter.over)} over the gutter`,
        `set one feed tube to the head of each of the ${strips} strips, all at one height by a water level`,
      ],
      parts: [`${prefix}/gutter`, `${prefix}/feed`],
      needs: ['paint brush', 'clear hose'],
      checks: [
        {
          id: 'feeds',
          words: 'cups under all feeds fill in the same time: the slowest takes no more than 1.2 times the quickest',
          expects: { kind: 'share', value: 1.1, within: 0.1 },
        },
      ],
      after: ['join', 'box'],
      waits: 48 * 3600,
    }),
    {
      ...testStep(prefix, 'test-open', 'Run water down it', ['lay-in'], true),
      does: ['run it at its flow with the tray at its tilt', 'look at every lap and edge with a dry paper'],
      checks: [
        { id: 'drips', words: 'no drip and no damp paper under the tray' },
        {
          id: 'all',
          words:
            'a bucket at the outlet takes no more than 1.1 times as long to fill as one at the feeds: slower is a leak',
          expects: { kind: 'share', value: 1, within: 0.1 },
        },
      ],
    },
    step(prefix, 'wetting', {
      name: 'See how much of it is wet',
      does: ['run it at its flow at its tilt for ten minutes', 'chalk round what is wet on one strip and measure it'],
      checks: [
        {
          id: 'share',
          words: `${Math.round(100 * layout.share)} % of the face is wet, as the forecast takes it; less is streaks`,
          expects: { kind: 'share', value: layout.share, within: 0.1 },
        },
      ],
      after: ['test-open'],
    }),
    ...(sealed
      ? [
          step(prefix, 'skin', {
            name: 'Seal the film under its skin',
            does: [
              'lay one painted strip over each wet one, lapped the same way, its hollow side down',
              'tape it along both edges to the strip below; leave its foot open over the gutter, its head open round the feed tube',
              'run it again for ten minutes',
            ],
            checks: [
              countCheck(
                'sides',
                `of ${strips} strips no drop leaves by the sides of any; all runs out at the feet`,
                strips,
              ),
            ],
            after: ['wetting'],
          }),
        ]
      : []),
    ...(glazing.cover
      ? [
          step(prefix, 'glaze', {
            name: 'Cover it',
            does: [`lay the cover over the sides, ${sized(parameters.airGap)} of air over the strips`, ...glazing.work],
            parts: [`${prefix}/pane`, ...(glazing.bars.count > 0 ? [`${prefix}/pane-bar`] : [])],
            checks: [
              lengthCheck(
                'air',
                `${sized(parameters.airGap)} from strips to cover; the low edge is open, so that steam and rain find their way out`,
                parameters.airGap,
                0.25 * parameters.airGap,
              ),
            ],
            after: [sealed ? 'skin' : 'wetting'],
          }),
        ]
      : []),
    step(prefix, 'carry', {
      name: 'Carry it and set it up',
      does: ['carry it flat, gutter first', `the gutter falls to its outlet, ${slopeWords}`],
      needs: ['gloves'],
      checks: [levelCheck('level', 'across the strips it')],
      beware: [`It is ${measured('mass', mass, 0)}; wind takes it like a sail.`],
      after: [glazing.cover ? 'glaze' : sealed ? 'skin' : 'wetting'],
    }),
  ];
}
