import { measured, sized } from '../../quantity';
import type { Step } from '../../steps';
import { lengthCheck, levelCheck } from '../kit/checks';
import { cutStep, lifters, step, testStep } from '../kit/steps';
import type { TroughLayout } from './layout';
import { pipesToRip } from './parts';

export function troughSteps(prefix: string, layout: TroughLayout, mass: number, hottest: number): Step[] {
  const { parameters, pipe, section, ways, filmWidth, lit, seat, bearers, hole, bearerLength } = layout;
  const { troughs, length, film } = parameters;
  const arc = 2 * section.opening * section.radius;
  const diagonal = Math.hypot(bearerLength, (bearers.at(-1) ?? 0) - (bearers[0] ?? 0));
  return [
    cutStep(prefix),
    step(prefix, 'rip', {
      name: 'Rip the pipes',
      does: [
        `scribe ${ways} lines along each of ${pipesToRip(layout)}, ${sized((Math.PI * pipe.outerDiameter) / ways)} apart round the outside: a strip of paper once round, folded in ${ways}, marks them at both ends`,
        'nail a cradle of two boards in a V; lay the pipe in it, clamp it at both ends, the line uppermost',
        `set the blade ${sized(0.01)} deeper than the wall; let the saw run up before it touches, push slowly, never pull back`,
        `after the first line, screw a batten into the cut every ${sized(0.4)} so that it neither closes on the blade nor springs apart`,
      ],
      parts: [`${prefix}/trough-pipe`],
      needs: ['saw', 'clamps', 'chalk line', 'eye protection', 'dust mask', 'gloves: cut edges'],
      checks: [
        {
          id: 'arc',
          words: `each is ${sized(arc)} round its inside, edge to edge`,
          expects: { kind: 'length', value: arc, within: 0.004 },
        },
      ],
      beware: [
        'A dull blade melts plastic, grabs and throws the pipe or the saw back at you: a sharp fine blade, the pipe clamped, stand beside the line of the cut and never behind it.',
        'The dust is not breathed: mask, outdoors, swept up wet.',
      ],
      after: ['cut'],
    }),
    step(prefix, 'caps', {
      name: 'Caps and seats',
      does: [
        `clamp all caps in a stack; drill ${sized(hole, true)} by the template, then saw them round`,
        `saw the seats of the bearers ${sized(seat)} deep by the template`,
        'screw a cap into each end of every trough, through the wall into its edge',
      ],
      parts: ['cap', 'cap-screws', 'bearer'].map((one) => `${prefix}/${one}`),
      needs: ['drill', 'saw', 'screwdriver', 'clamps'],
      checks: [
        lengthCheck(
          'line',
          `a straight rod through both holes of a trough: its middle ${sized(section.height)} over the lowest line, at both ends`,
          section.height,
          0.002,
        ),
      ],
      after: ['rip'],
    }),
    step(prefix, 'seat', {
      name: 'Set the troughs on their bearers',
      does: [
        `lay ${bearers.length} bearers ${sized((bearers.at(-1) ?? 0) - (bearers[0] ?? 0))} apart over the outer two, square`,
        'one countersunk screw through the floor of each trough into every seat, its head flush',
      ],
      parts: [`${prefix}/seat-screws`],
      needs: ['screwdriver', 'countersink', 'square', 'straight edge'],
      checks: [
        {
          id: 'diagonals',
          words: `both diagonals over the bearers are ${sized(diagonal)}`,
          expects: { kind: 'length', value: diagonal, within: 0.005 },
        },
        { id: 'plane', words: 'a straight edge over all troughs touches every edge' },
      ],
      after: ['caps'],
    }),
    step(prefix, 'film', {
      name: 'Lay the mirror film',
      does: [
        'in the shade: wipe the inside with alcohol, no dust, no grease',
        `cut ${troughs} pieces ${sized(filmWidth)} × ${sized(lit)}, ${sized(film)} short of each edge`,
        'wet both with soapy water, lay it from the lowest line outward, press the water out toward the edges; ripples throw light past the pipe',
      ],
      parts: [`${prefix}/film`],
      needs: ['knife', 'straight edge', 'roller'],
      checks: [
        lengthCheck('bare', `${sized(film)} bare at each edge, all along`, film, 0.003),
        { id: 'ripple', words: 'a straight lath laid over the opening is seen straight in the mirror, no waves' },
        { id: 'short', words: 'no film stands over an edge' },
      ],
      beware: [
        'From here on it burns and blinds: keep it in the shade or covered with a cloth, dark glasses on, nobody’s face before an opening.',
      ],
      after: ['seat'],
      waits: 24 * 3600,
    }),
    step(prefix, 'pipe', {
      name: 'Black pipes and links',
      does: [
        'black each pipe where it lies between its caps, bare at both ends; let it bake dry',
        'slide the pipes through their caps; they are held by the caps alone, and grow through them',
        ...(troughs > 1
          ? [
              'flux both, dry fit elbows and links, left and right in turn, and solder them; wet rag round the pipe at each cap',
            ]
          : ['flux both ends']),
        'unions on the two free ends',
      ],
      parts: ['black', 'receiver', ...(troughs > 1 ? ['link', 'elbow'] : []), 'unions', 'joint-solder', 'flux'].map(
        (one) => `${prefix}/${one}`,
      ),
      needs: ['paint brush', 'torch', 'gloves'],
      checks: [
        {
          id: 'height',
          words: `the middle of every pipe is ${sized(section.height)} over the mirror, at both ends and half-way`,
          expects: { kind: 'length', value: section.height, within: 0.003 },
        },
      ],
      beware: ['A flame beside plastic and wood: a wet board between, watch for an hour after.'],
      after: ['film'],
    }),
    testStep(prefix, 'test', 'Test the pipes with water', ['pipe']),
    testStep(prefix, 'test-open', 'Fill it and look', ['test'], true),
    step(prefix, 'carry', {
      name: 'Carry it and aim it',
      does: [
        'carry it covered; set it up with the troughs level, east to west, at its tilt',
        'take the covers off when water flows',
        'at noon hold a sheet of paper behind the pipe, from the side: the bright line lies on the pipe',
      ],
      needs: ['gloves', 'straps', 'spirit level', 'eye protection'],
      checks: [levelCheck('level', `over its ${sized(length)} each trough`)],
      beware: [
        `It is ${measured('mass', mass, 0)}: ${lifters(mass)}.`,
        `Cover it whenever no water flows: dry in full sun its pipes reach ${measured('temperature', hottest, 0)}; water let into them then is steam.`,
      ],
      after: ['test-open'],
    }),
  ];
}
