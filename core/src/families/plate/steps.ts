import { throughBothEnds } from '../../boxes';
import { hottestStart } from '../../catalogue';
import { measured, sized } from '../../quantity';
import type { Part } from '../../shop';
import type { Step } from '../../steps';
import { steamPressure } from '../../thermal';
import { lengthCheck, levelCheck } from '../kit/checks';
import { cutStep, lifters, step, testStep } from '../kit/steps';
import type { PlateBuild } from '../plateFamily';
import { boxPartsOf } from './design';
import type { PlateLayout } from './layout';

const hour = 3600;
/** m. A card that shows a gap in a bond: a visiting card is so thick. */
const card = 0.0003;
/** °C at which black paint gives off what would fog a pane. Trade: makers bake at 80 to 120. */
const bakes = 80;

/** What stands at every step with a torch. */
export const flameBeware = [
  `Soldering is done outdoors or with the door open, out of the smoke, nothing that burns within ${sized(1)}; look again an hour after.`,
  'Lead-free solder and flux: what runs here may be drunk one day.',
  `Never a flame on a tube that is shut with water in it: steam of ${measured('pressure', steamPressure(150), 0)} at ${measured('temperature', 150, 0)}, ${measured('pressure', steamPressure(200), 0)} at ${measured('temperature', 200, 0)}. Both ends open, and dry.`,
];

/** What every panel of tubes on a plate is built by, round the steps that make its own array. */
export function plateSteps(query: {
  build: PlateBuild<unknown>;
  layout: PlateLayout;
  /** Steps that make the array; the last of them is what bonding waits for. */
  array: readonly Step[];
  /** The plate's own. */
  plateParts: readonly Part[];
  /** kg of the panel, without water, and of its pane. */
  mass: number;
  /** More words at the carrying of it. */
  carry?: readonly string[];
}): Step[] {
  const { build, layout, array, plateParts, mass } = query;
  const { box, glazing } = layout;
  const { id: prefix, absorber } = build;
  const made = (array[array.length - 1]?.id ?? '').slice(`${prefix}/step/`.length);
  const diagonal = Math.hypot(box.outside.length, box.outside.width);
  const boxIds = boxPartsOf(prefix, layout).map((part) => part.id);
  const fill = (one: string) => /\/(insulation|strip-(side|end))$/.test(one);
  const through = layout.exits.length;
  const [exit] = layout.exits;
  const glass = glazing.mass;
  return [
    cutStep(prefix),
    ...array,
    testStep(prefix, 'test-open', 'Test the array before it is closed in', [made]),
    step(prefix, 'bond', {
      name: 'Put the plate on',
      does: absorber.work.does,
      parts: plateParts.map((part) => part.id),
      needs: absorber.work.needs,
      checks: [
        lengthCheck(
          'bond',
          `rock every strip: none moves on its tube; no card of ${sized(card, true)} goes between, tried at both ends and half-way`,
          0,
          card,
        ),
      ],
      beware: absorber.work.beware,
      after: ['test-open'],
    }),
    step(prefix, 'paint', {
      name: 'Paint and bake it',
      does: [
        'roughen and degrease; etch bright metal and prime where two metals meet',
        'two thin coats of flat black',
        'bake it dry in the sun, without the pane, until it has no smell',
      ],
      needs: ['mask for solvents', 'roller'],
      checks: [
        {
          id: 'baked',
          words: `a probe on the plate has read ${measured('temperature', bakes, 0)} or more for 4 hours`,
          expects: { kind: 'temperature', value: bakes + 20, within: 20 },
        },
        { id: 'smell', words: 'hot and without smell: what still gives off fogs the pane' },
      ],
      beware: ['Solvents burn and harm: outdoors, no flame.'],
      after: ['bond'],
      waits: 48 * hour,
    }),
    step(prefix, 'box', {
      name: 'Build the box',
      does: box.work.frame,
      parts: boxIds.filter((one) => !fill(one)),
      needs: box.work.needs,
      checks: [
        {
          id: 'diagonals',
          words: `both diagonals are ${sized(diagonal)}, alike to ${sized(0.002)}`,
          expects: { kind: 'length', value: diagonal, within: 0.002 },
        },
        ...(exit
          ? [
              {
                id: 'exits',
                words: `${through} exit holes of ${sized(exit.diameter, true)}, ${sized(exit.up)} up from the underside, no corner screw within ${sized(0.015)} of one`,
              },
            ]
          : []),
      ],
      after: ['cut'],
      waits: 24 * hour,
    }),
    step(prefix, 'lay-in', {
      name: 'Insulate and lay the array in',
      does: [
        'lay the insulation tight, no gap anywhere',
        ...(box.edgeStrip > 0 ? ['set the edge strips along the sides'] : []),
        'draw the sensor wire in now, its sleeve out through the side',
        exit && (exit.side === 'low' || exit.side === 'high')
          ? 'take the loose side off, pass the headers through, screw it on again'
          : throughBothEnds(layout.exits)
            ? 'take the end board at the way out off; pass the way in through its hole, the board over the way out, and screw it on again'
            : 'pass the ends through their holes first, the array tilted, then let its other end down into the box',
        box.rails.length > 0
          ? 'fix the array at one place only, the middle of its length; everywhere else it slides on its clips'
          : 'fix the array at one place only, the middle of its length; everywhere else it lies free',
      ],
      parts: boxIds.filter(fill),
      needs: ['gloves and mask for wool', 'screwdriver', 'tape'],
      checks: [
        {
          id: 'to-pane',
          words: `highest metal ${sized(layout.metalToPane)} under the pane, measured with a straight edge`,
          expects: { kind: 'length', value: layout.metalToPane, within: 0.003 },
        },
        { id: 'slides', words: 'push the far end: it moves and comes back, nothing binds in its hole' },
      ],
      beware: ['No screw through a tube: mark them on the sides first.'],
      after: ['box', 'paint'],
    }),
    testStep(prefix, 'test-boxed', 'Test again with the box still open', ['lay-in']),
    ...(glazing.cover
      ? [
          step(prefix, 'glaze', {
            name: 'Close it with the pane',
            does: [
              'clean inside and pane with alcohol; no finger on either after',
              `lay the pane on its gasket, ${sized(glazing.clearance)} clear all round`,
              ...glazing.work,
              ...box.work.close,
            ],
            parts: [`${prefix}/pane`],
            needs: ['suction cups', 'gloves', 'eye protection', 'caulking gun', 'screwdriver'],
            checks: [
              {
                id: 'clear',
                words: `a strip of ${sized(glazing.clearance)} goes round the pane on all four sides`,
                expects: { kind: 'length', value: glazing.clearance, within: 0.001 },
              },
              { id: 'air', words: 'weep holes open: a breath on one is felt at another' },
            ],
            beware: [
              `The pane is ${measured('mass', glass, 0)}: ${lifters(glass, glazing.pane.length * glazing.pane.width)}. Its edges cut, and a knocked corner breaks it.`,
              'From now on it heats by itself: cover it until there is water in it.',
            ],
            after: ['test-boxed'],
          }),
        ]
      : []),
    step(prefix, 'carry', {
      name: 'Carry it and set it up',
      does: [
        ...(query.carry ?? []),
        ...(box.lid ? ['carry the lid by itself'] : []),
        `set it with the up arrow up the slope, ${build.turned ? 'its tubes across' : 'its tubes up the slope'}`,
      ],
      needs: ['gloves', 'straps'],
      checks: [levelCheck('level', 'its lower edge')],
      beware: [
        `It is ${measured('mass', mass, 0)} dry: ${lifters(mass)}. Not in wind, and not alone on a ladder.`,
        `Never fill a dry panel that has stood in the sun: above ${measured('temperature', hottestStart, 0)} it flashes to steam. In the evening, or covered.`,
      ],
      after: [glazing.cover ? 'glaze' : 'test-boxed'],
    }),
  ];
}
