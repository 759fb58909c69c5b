import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { countCheck, fallCheck, lengthCheck } from '../kit/checks';
import { cutStep, step, testStep } from '../kit/steps';
import { pressureInside } from './findings';
import type { HeatPipeLayout } from './layout';

export function heatPipeSteps(prefix: string, layout: HeatPipeLayout, mass: number): Step[] {
  const { parameters, tube, charge, volume, sleeved, width, hole, heated } = layout;
  const { tubes, bottles, bottleHeight, lap, pitch, immersion, caps } = parameters;
  const rodded = caps === 'brazed';
  return [
    cutStep(prefix),
    step(prefix, 'foot-caps', {
      name: 'Close the feet',
      does: [
        rodded
          ? 'braze one cap on the foot of every pipe, copper to copper, no flux'
          : 'sweat one cap on the foot of every pipe',
        'let them cool, look all round each with a lamp',
      ],
      parts: [`${prefix}/pipe`, `${prefix}/cap`],
      needs: ['torch', 'gloves', 'eye protection', 'lamp'],
      checks: [countCheck('feet', `${tubes} feet closed, a bright ring all round each, counted`, tubes)],
      beware: ['A flame near timber: wet what stands behind, watch for an hour after.'],
      after: ['cut'],
    }),
    step(prefix, 'fill', {
      name: 'Measure what a pipe holds',
      does: [
        'weigh one pipe dry, fill it to the brim with cold water, no bubble, wipe it and weigh it again',
        `type what it holds on the bench: as drawn it is ${measured('mass', volume * 998, 3)}`,
        'pour it out and shake it dry',
      ],
      needs: ['scale', 'bucket'],
      checks: [
        {
          id: 'fill',
          words: `one pipe holds ${measured('mass', volume * 998, 3)} of water`,
          expects: { kind: 'mass', value: volume * 998, within: 0.05 * volume * 998 },
        },
      ],
      after: ['foot-caps'],
    }),
    step(prefix, 'boil-out', {
      name: 'Charge, boil out and close',
      does: [
        `weigh ${measured('mass', 2 * charge, 3)} of distilled water into each pipe`,
        'outdoors, each pipe upright in a rack, its top open and pointing away from everybody: warm its foot until steam has come steadily for five minutes and driven all air out',
        `take the flame away; weigh it: ${measured('mass', charge, 3)} of water stays in it`,
        rodded
          ? `while it still steams, push the plug in with tongs, flush with the end; braze it with a wet rag round the pipe ${sized(0.1)} below, the foot in cold water`
          : 'while it still steams, push the plug in with tongs, flush with the end, and sweat it',
      ],
      parts: [`${prefix}/distilled`, `${prefix}/plug`, ...(rodded ? [`${prefix}/braze`] : [])],
      needs: ['torch', 'gloves', 'eye protection', 'scale'],
      checks: [
        {
          id: 'charge',
          words: `${measured('mass', charge, 3)} of water is in each, by weight`,
          expects: { kind: 'mass', value: charge, within: 0.2 * charge },
        },
        {
          id: 'through',
          words: `cold, every tip goes through the branch of a tee by hand: nowhere over ${sized(tube.outerDiameter, true)}`,
          expects: { kind: 'length', value: tube.outerDiameter, within: 0.0001 },
        },
        { id: 'click', words: 'cold and shaken, the water clicks like metal: there is no air in it' },
      ],
      beware: [
        `Stop: a capped pipe with water in it is a pressure vessel: ${measured('pressure', pressureInside(150), 1)} at ${measured('temperature', 150, 0)}, ${measured('pressure', pressureInside(200), 1)} at ${measured('temperature', 200, 0)}. Never a flame on it again.`,
        'Stop: boil out open, outdoors, gloved and with a face shield; nobody in line with the open end. If in doubt have a licensed person do it.',
      ],
      after: ['fill'],
    }),
    step(prefix, 'try', {
      name: 'Try each pipe in warm water',
      does: [
        `stand the foot of each in a bucket of water at ${measured('temperature', 60, 0)}, leaning as it will lie`,
        'read a probe strapped to its tip, under a rag',
      ],
      needs: ['bucket', 'probe'],
      checks: [
        {
          id: 'quick',
          words: `the tip follows within a minute, to within ${measured('temperatureDifference', 5, 0)} of the bucket; one that does not holds air or leaks`,
          expects: { kind: 'temperatureDifference', value: 0, within: 5 },
        },
      ],
      after: ['boil-out'],
    }),
    step(prefix, 'frame', {
      name: 'Build the frame',
      does: [
        `drill both rails as one by the jig, ${tubes} holes of ${sized(hole.diameter, true)}, ${sized(pitch)} apart`,
        'saw each along the middle of its holes: the upper part is its keeper, marked so that it goes back where it came from',
        'screw the lower parts on the stiles, square',
      ],
      parts: [`${prefix}/rail`, `${prefix}/stile`, `${prefix}/rail-screws`],
      needs: ['drill', 'screwdriver', 'square', 'clamps'],
      checks: [
        {
          id: 'diagonals',
          words: `both diagonals over the rails are ${sized(Math.hypot(width, layout.rails.high - layout.rails.low))}`,
          expects: { kind: 'length', value: Math.hypot(width, layout.rails.high - layout.rails.low), within: 0.004 },
        },
      ],
      after: ['cut'],
    }),
    step(prefix, 'manifold', {
      name: 'Solder the manifold',
      does: [
        'drill the stop out of the branch of every tee, deburr it',
        `flux both and dry fit tees and pieces on a board with a line, branches in one plane, ${sized(pitch)} from middle to middle`,
        'solder from the middle outward; unions last',
      ],
      parts: ['tee', 'manifold-piece', 'manifold-end', 'unions', 'joint-solder', 'flux']
        .filter((one) => one !== 'manifold-piece' || tubes > 1)
        .map((one) => `${prefix}/${one}`),
      needs: ['torch', 'drill', 'square'],
      checks: [
        lengthCheck(
          'row',
          `first branch to last, middle to middle: ${sized((tubes - 1) * pitch)}`,
          (tubes - 1) * pitch,
          0.002,
        ),
      ],
      after: ['cut'],
    }),
    step(prefix, 'set', {
      name: 'Set the pipes',
      does: [
        ...(layout.strip
          ? [
              `thermal grease into the groove of every strip, spring it over its pipe, ${sized(layout.strip.width)} across as it lies`,
            ]
          : []),
        `black ${layout.strip ? 'strips and pipes' : 'the pipes'} first and let them bake dry in the sun`,
        ...(sleeved
          ? [
              `cut ${bottles} bottles a pipe to ${sized(bottleHeight)}, straight, neck and bottom off; keep ${2 * tubes} of the bottoms and trim them to discs with a hole for the pipe and two to drain`,
              `a disc from the foot and one from the tip of each pipe; between them thread the bottles on over the strip, each ${sized(lap)} over the one below; tape every lap and both discs`,
            ]
          : []),
        'lay the pipes into the open half-holes of both rails from above; nothing has to be threaded through them',
        `push the manifold over all tips at once, ${sized(immersion, true)} of every tip in the run; then the keepers down, hand-tight, until the gap is alike all along`,
        'wet rag round each pipe below the joint, soft-solder the branch with the foot in cold water',
      ],
      parts: [
        ...(layout.strip ? ['strip', 'grease'] : []),
        ...(sleeved ? ['bottle', 'alu-tape'] : []),
        'black',
        'keeper-screws',
      ].map((one) => `${prefix}/${one}`),
      needs: ['torch', 'knife', 'gloves: cut edges', 'paint brush'],
      beware: [
        'Stop: this flame is beside pipes that are sealed and wet. Soft solder only, the flame on the tee, a wet rag on the pipe, the foot in cold water, never longer than it takes.',
      ],
      checks: [
        {
          id: 'length',
          words: `${sized(heated)} of every pipe is in the sun`,
          expects: { kind: 'length', value: heated, within: 0.005 },
        },
      ],
      after: ['try', 'frame', 'manifold'],
    }),
    testStep(prefix, 'test-open', 'Fill the manifold and look', ['set'], true),
    step(prefix, 'lag', {
      name: 'Lag the manifold',
      does: ['slit the lagging over the tees, tape every cut, weather side up'],
      parts: [`${prefix}/lagging`],
      needs: ['knife'],
      checks: [
        lengthCheck(
          'thick',
          `nowhere less than ${sized(0.8 * parameters.lagging)} thick, over the tees too, by a needle`,
          parameters.lagging,
          0.2 * parameters.lagging,
        ),
      ],
      after: ['test-open'],
    }),
    step(prefix, 'carry', {
      name: 'Carry it and set it up',
      does: [
        'carry it covered: uncovered pipes are hot within minutes',
        'stand it at its tilt, the manifold uppermost, with 2 % of fall toward its drain',
      ],
      needs: ['gloves', 'straps'],
      checks: [
        fallCheck('fall', 'the manifold falls toward its drain'),
        { id: 'tips', words: 'the tips are the highest of every pipe, by a level along one' },
      ],
      beware: [`It is ${measured('mass', mass, 0)}; pipes in the sun burn at a touch.`],
      after: ['lag'],
    }),
  ];
}
