import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { countCheck } from '../kit/checks';
import { cutStep, step, testStep } from '../kit/steps';
import { type SpiralLayout, tail } from './layout';
import { tiesATurn } from './parts';

export function spiralSteps(prefix: string, layout: SpiralLayout, mass: number): Step[] {
  const { parameters, each, side, tray, slats, across } = layout;
  const { starts, rounds, pitch } = parameters;
  const { inner } = layout;
  /** m from the middle of the base to the first of some places; they lie on one circle. */
  const fromMiddle = ([first]: readonly { x: number; y: number }[]) =>
    first ? Math.hypot(first.x - side / 2, first.y - side / 2) : 0;
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
    ...(tray
      ? [
          step(prefix, 'exits', {
            name: 'Drill the back for the ends',
            does: [
              `drill ${2 * starts} holes through the back, ${sized(tray.exits.hole, true)} across, for the bulkheads; from the left edge and from the near edge:`,
              ...tray.exits.inner.map(
                (inside, index) =>
                  `${starts === 1 ? 'the hose' : `hose ${index + 1}`}: inner end ${sized(inside.x)} and ${sized(inside.y)}, outer end ${sized(tray.exits.outer[index]?.x ?? 0)} and ${sized(tray.exits.outer[index]?.y ?? 0)}`,
              ),
              'set a bulkhead elbow in each, the inner tail along the winding, a washer on both faces, the nut from below',
            ],
            parts: [`${prefix}/bulkhead`],
            needs: ['drill', 'clamps', 'spanners', 'tape'],
            checks: [
              {
                id: 'from-middle',
                words: `every inner hole is ${sized(fromMiddle(tray.exits.inner))} from the middle, every outer one ${sized(fromMiddle(tray.exits.outer))}`,
                expects: { kind: 'length', value: fromMiddle(tray.exits.outer), within: 0.004 },
              },
            ],
            beware: ['A hole saw that catches twists the wrist: clamp the board, both hands on the drill.'],
            after: ['base'],
          }),
        ]
      : []),
    step(prefix, 'wind', {
      name: 'Wind the hose',
      does: [
        'make the comb first: stick its template on a scrap of plywood, drill the circles and saw down to them',
        'unroll it in the sun first: warm hose lies down, cold hose fights and kinks',
        `draw a circle ${sized(2 * inner)} across about the middle; ${starts === 1 ? 'lay the hose on it' : `${starts} hoses begin on it, ${measured('angle', 360 / starts, 0)} apart`}, ${tray ? 'each pushed onto the tail of its bulkhead, a clip over it' : `${starts === 1 ? '' : 'each with '}${sized(tail)} of tail toward the middle`}`,
        `wind ${starts === 1 ? '' : 'all of them together '}outward, ${rounds} turns of each, ${sized(pitch, true)} from middle to middle by the comb; ${tiesATurn} ties to a turn, ${tray ? 'each through a base that is screwed to the back, ' : ''}snug and not tight`,
        tray
          ? `cut it at its outer bulkhead and push it on, a clip over it; the ${sized(tail)} that are left are its tails beneath`
          : `leave ${sized(tail)} of tail at the outside`,
      ],
      parts: ['hose', 'tie', ...(tray ? ['tie-base'] : [])].map((one) => `${prefix}/${one}`),
      needs: ['comb', 'knife', 'gloves'],
      checks: [
        { id: 'kinks', words: 'no flat place and no fold in any turn' },
        {
          id: 'across',
          words: `over the outer hose it is ${sized(across)} across; each hose took ${sized(each)} and its tails`,
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
      after: [tray ? 'exits' : 'base'],
    }),
    step(prefix, 'tails', {
      name: 'Put on the tails',
      does: [
        ...(tray
          ? [`push ${sized(tail)} of hose onto every bulkhead from below, warmed in hot water, a clip over it`]
          : []),
        'cut every end square and warm it in hot water; push the hose tail in to its shoulder, a clip over it',
        ...(starts > 1 ? ['outer tails to one manifold, inner tails to the other'] : []),
      ],
      parts: ['hose-tail', 'hose-clip', ...(starts > 1 ? ['manifold'] : [])].map((one) => `${prefix}/${one}`),
      needs: ['screwdriver', 'knife', 'bucket'],
      checks: [countCheck('clips', `${2 * starts} tails pushed in to the shoulder, a clip tight on each`, 2 * starts)],
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
      checks: [
        {
          id: 'alike',
          words:
            starts === 1
              ? 'filled twice, the slower takes no more than 1.1 times the quicker: else it still lets go of air'
              : 'the slowest takes no more than 1.1 times the quickest; a slow one is kinked or holds air',
          expects: { kind: 'share', value: 1.05, within: 0.05 },
        },
      ],
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
                id: 'air-gap',
                words: `${sized(parameters.airGap)} of air over the hose all round`,
                expects: { kind: 'length', value: parameters.airGap, within: 0.25 * parameters.airGap },
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
          expects: {
            kind: 'mass',
            value: 2 * (mass + layout.volume * 992),
            within: mass + layout.volume * 992,
          },
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
