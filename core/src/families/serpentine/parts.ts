import { bore, elbowFor } from '../../catalogue';
import { sized } from '../../quantity';
import { bought, type Part, type Purchase, tubeMass } from '../../shop';
import { capillarySolder, solderLines } from '../kit/joints';
import { blackPaint } from '../kit/paint';
import { arrayPurchases, boxPartsOf } from '../plate/design';
import { rowOf } from '../plate/layout';
import { stubSlack } from '../plate/slack';
import type { PlateBuild } from '../plateFamily';
import type { SerpentineLayout } from './layout';
import type { SerpentineParameters } from './parameters';

/** kg. A wrought elbow of a tube: two legs of a socket and a laying length, half as thick again as the tube. */
function elbowMass(layout: SerpentineLayout): number {
  const elbow = elbowFor(layout.tube.outerDiameter);
  return tubeMass(layout.tube) * 2 * (elbow.laying + elbow.socket) * 1.5;
}

/** Soldered joints in the panel. */
export function jointsOf({ bend, runs }: SerpentineLayout): number {
  return bend.joints * (runs.length - 1);
}

export function serpentineParts(
  build: PlateBuild<SerpentineParameters>,
  layout: SerpentineLayout,
): { parts: Part[]; purchases: Purchase[] } {
  const { id: prefix } = build;
  const { tube, bend, box, cuts, parameters, plateSpan } = layout;
  const { runs: count, pitch } = parameters;
  const turns = count - 1;
  const run = (id: string, name: string, length: number, many: number, operations: string[]): Part[] =>
    many > 0
      ? [
          {
            id: `${prefix}/${id}`,
            name,
            item: tube.id,
            kind: 'length',
            stuff: 'tube',
            length,
            count: many,
            operations,
            mass: tubeMass(tube) * length,
          },
        ]
      : [];
  const ends = ['square and ream both ends', 'clean both ends bright, a socket deep'];
  const withStub = (part: Part): Part => ({
    ...part,
    ...stubSlack(parameters.stub, 'only what stands out of the box is otherwise'),
  });
  const tubes: Part[] =
    parameters.bend === 'soft-coil'
      ? run('coil', 'Coil, in one piece', layout.wayLength, 1, [
          `uncoil and straighten; ${turns} bends over a spring`,
          'ream both ends',
        ])
      : [
          ...run('run-first', 'First run, to the way in', cuts.first, 1, ends).map(withStub),
          ...run('run', 'Run', cuts.middle, count - 2, ends),
          ...run('run-last', 'Last run, to the way out', cuts.last, 1, ends).map(withStub),
          ...run('stub', 'Stub between two elbows', bend.stub ?? 0, bend.stub === undefined ? 0 : turns, [
            'cut every one alike against one stop',
            ...ends,
          ]).map((part) => ({
            ...part,
            ...(turns > 1 ? { row: { pieces: turns, words: 'first run to last', length: turns * pitch } } : {}),
          })),
        ];
  const plate = build.absorber.on(rowOf(build, { tube, count, pitch, length: plateSpan.to - plateSpan.from }));
  // And the two unions.
  const joints = jointsOf(layout) + 2;
  const socket = elbowFor(tube.outerDiameter).socket;
  const solder = capillarySolder({ joints, diameter: tube.outerDiameter, socket });
  const fitting = (id: string, name: string, quantity: number, priceKey: string, each: number): Purchase =>
    bought(prefix, id, name, [quantity, 'each'], {
      priceKey,
      rule: `${quantity / turns} a turn`,
      mass: each * quantity,
    });
  const fittings: Record<SerpentineParameters['bend'], Purchase[]> = {
    'two-elbows': [fitting('elbow', 'Elbows, 90°, sockets both ends', 2 * turns, 'elbow', elbowMass(layout))],
    'elbow-street': [
      fitting('elbow', 'Elbows, 90°, sockets both ends', turns, 'elbow', elbowMass(layout)),
      fitting('street-elbow', 'Street elbows, 90°', turns, 'street-elbow', elbowMass(layout)),
    ],
    'formed-u': [fitting('return-bend', 'Return bends', turns, 'return-bend', 2 * elbowMass(layout))],
    'soft-coil': [],
  };
  const soldered = solderLines(prefix, {
    joints,
    solder,
    rule: `a capillary gap of ${sized(0.0001, true)} and half as much again in ${joints} joints`,
    fluxEach: 0.001,
  });
  const paintArea = layout.finWidth * count * (plateSpan.to - plateSpan.from);
  return {
    parts: [...tubes, ...plate.parts, ...boxPartsOf(prefix, layout)],
    purchases: [
      ...build.glazing.purchases(prefix),
      ...fittings[parameters.bend],
      bought(prefix, 'unions', 'Unions for the way in and out', [2, 'each'], {
        priceKey: 'union',
        rule: 'one a way out',
        mass: 0.2,
      }),
      ...soldered,
      blackPaint(prefix, paintArea),
      ...arrayPurchases(prefix, layout, paintArea),
      ...plate.purchases,
      ...box.purchases(prefix),
    ],
  };
}

/** m³ of water in the tube. */
export function waterVolume({ tube, wayLength }: SerpentineLayout): number {
  return (Math.PI / 4) * bore(tube) ** 2 * wayLength;
}
