import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { cutStep, step, testStep } from '../kit/steps';
import { type SpiralLayout, tail } from './layout';
import { tiesATurn } from './parts';

export function spiralSteps(prefix: string, layout: SpiralLayout, mass: number): Step[] {
  const { parameters, each, side, tray, slats, across } = layout;
  const { starts, rounds, pitch, inner } = parameters;
  return [
    cutStep(prefix),
    step(prefix, 'base', {
      name: 'Build the base',
      does: tray
        ? [
            'lay the bearers level, the two halves of the back on them, the seam on a bearer',
            'screw sides and ends together, set them on the back and screw it to them from below',
            'mark the middle by both diagonals',
          ]
        : [
            'lay the bearers level, the slats across them at even spaces, the outer ones flush',
            'screw the slats down, one screw at every crossing',
            'mark the middle by both diagonals',
          ],
      parts: [
        `${prefix}/bearer`,
        ...(slats.length > 0 ? [`${prefix}/slat`] : []),
        ...(tray ? ['back', 'side', 'end'].map((one) => `${prefix}/${one}`) : []),
      ],
      needs: ['drill', 'screwdriver', 'square', 'tape'],
      checks: [
        {
          id: 'diagonals',
          words: `both diagonals are ${sized(side * Math.SQRT2)}`,
          expects: { kind: 'length', value: side * Math.SQRT2, within: 0.005 },
        },
      ],
      after: ['cut'],
    }),
    step(prefix, 'wind', {
      name: 'Wind the hose',
      does: [
        'unroll it in the sun first: warm hose lies down, cold hose fights and kinks',
        `draw a circle of ${sized(inner)} about the middle; ${starts === 1 ? `lay the hose on it, ${sized(tail)} of tail toward the middle` : `${starts} hoses begin on it, ${measured('angle', 360 / starts, 0)} apart, each with ${sized(tail)} of tail toward the middle`}`,
        `wind ${starts === 1 ? '' : 'all of them together '}outward, ${rounds} turns of each, ${sized(pitch, true)} from middle to middle by the comb; ${tiesATurn} ties to a turn, snug and not tight`,
        `leave ${sized(tail)} of tail at the outside`,
      ],
      parts: [`${prefix}/hose`, `${prefix}/tie`],
      needs: ['comb', 'knife', 'gloves'],
      checks: [
        { id: 'kinks', words: 'no flat place and no fold in any turn' },
        {
          id: 'across',
          words: `over the outer hose it is ${sized(across)}; each hose took ${sized(each)} and its tails`,
          expects: { kind: 'length', value: across, within: 0.03 },
        },
        ...(starts > 1
          ? [
              {
                id: 'apart',
                words: `the outer ends lie ${measured('angle', 360 / starts, 0)} apart, as the inner ones do: wound side by side from one place they would be unlike in length, and share the water unlike`,
              },
            ]
          : []),
      ],
      after: ['base'],
    }),
    step(prefix, 'tails', {
      name: 'Put on the tails',
      does: [
        'cut every end square and warm it in hot water; push the hose tail in to its shoulder, a clip over it',
        ...(starts > 1 ? ['outer tails to one manifold, inner tails to the other'] : []),
      ],
      parts: ['hose-tail', 'hose-clip', ...(starts > 1 ? ['manifold'] : [])].map((one) => `${prefix}/${one}`),
      needs: ['screwdriver', 'knife', 'bucket'],
      beware: ['Warm ends with water and never with a flame: plastic burns and drips.'],
      after: ['wind'],
    }),
    testStep(prefix, 'test-open', 'Run water through it', ['tails'], true),
    step(prefix, 'share', {
      name: 'See that each hose runs alike',
      does: [
        'let it run for ten minutes with the way out held low, until no bubble comes',
        `fill a bucket from ${starts === 1 ? 'it' : 'each hose by itself'} and time it`,
      ],
      needs: ['bucket', 'watch'],
      checks: [{ id: 'alike', words: 'the times are alike, a tenth more or less; a slow one is kinked or holds air' }],
      after: ['test-open'],
    }),
    ...(tray
      ? [
          step(prefix, 'glaze', {
            name: 'Cover it',
            does: [
              `lay the cover on the sides, ${sized(parameters.airGap)} of air over the hose`,
              ...layout.glazing.work,
            ],
            parts: [`${prefix}/pane`, ...(layout.glazing.bars.count > 0 ? [`${prefix}/pane-bar`] : [])],
            checks: [
              {
                id: 'hose-limit',
                words: `on a hot day without flow a probe under the cover tells what the hose stands`,
              },
            ],
            beware: [
              'Under a cover hose gets hotter than it stands for years: never leave it full and shut in the sun.',
            ],
            after: ['share'],
          }),
        ]
      : []),
    step(prefix, 'carry', {
      name: 'Carry it up and tie it down',
      does: [
        'empty it first: full it is more than twice as heavy',
        `set it on bearers, flat or leaning toward the noon sun; strap it down at its four corners`,
      ],
      needs: ['straps', 'gloves', 'ladder'],
      checks: [
        {
          id: 'roof',
          words: `the roof bears ${measured('mass', mass + layout.volume * 992, 0)} over ${sized(side)} by ${sized(side)}`,
        },
      ],
      beware: [
        `It is ${measured('mass', mass, 0)} empty and ${measured('mass', mass + layout.volume * 992, 0)} full; two lift it, wind takes it like a sail.`,
        'Before the first frost: drained, or taken down.',
      ],
      after: [tray ? 'glaze' : 'share'],
    }),
  ];
}
