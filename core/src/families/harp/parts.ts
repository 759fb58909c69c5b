import { bore, drillFor, elbowFor, type Tee } from '../../catalogue';
import { sized } from '../../quantity';
import { bought, type HoleSchedule, type Part, type Purchase, tubeMass } from '../../shop';
import { capillarySolder, filletSolder, solderLines } from '../kit/joints';
import { blackPaint } from '../kit/paint';
import { arrayPurchases, boxPartsOf } from '../plate/design';
import { rowOf } from '../plate/layout';
import { stubSlack } from '../plate/slack';
import type { PlateBuild } from '../plateFamily';
import { type HarpLayout, type Span, spanLength } from './layout';
import type { HarpParameters } from './parameters';

const cleanEnds = ['square and ream both ends'];

export function harpParts(
  build: PlateBuild<HarpParameters>,
  layout: HarpLayout,
): { parts: Part[]; purchases: Purchase[] } {
  const { id: prefix } = build;
  const { tube, headerTube, riserCut, box, parameters, tee } = layout;
  const { riserCount, pitch, riserClear } = parameters;
  const plate = build.absorber.on(rowOf(build, { tube, count: riserCount, pitch, length: riserClear }));
  const paintArea = layout.finWidth * riserCount * riserClear + 2 * box.inside.width * headerTube.outerDiameter;
  return {
    parts: [
      {
        id: `${prefix}/riser`,
        name: 'Riser',
        item: tube.id,
        kind: 'length',
        stuff: 'tube',
        length: riserCut,
        count: riserCount,
        operations: [
          ...cleanEnds,
          tee ? 'clean both ends bright, a socket deep' : 'clean both ends bright, a little past the entry',
        ],
        ...(tee ? {} : riserSlack(layout)),
        mass: tubeMass(tube) * riserCut,
      },
      ...(tee ? headerPieces(prefix, layout, tee) : drilledHeaders(prefix, layout)),
      ...plate.parts,
      ...boxPartsOf(prefix, layout),
    ],
    purchases: [
      ...build.glazing.purchases(prefix),
      ...fittings(prefix, layout),
      ...(tee ? teeSolder(prefix, layout, tee) : buttSolder(prefix, layout)),
      blackPaint(prefix, paintArea),
      ...arrayPurchases(prefix, layout, paintArea),
      ...plate.purchases,
      ...box.purchases(prefix),
    ],
  };
}

/** A riser that is a little off still enters both headers far enough to seal and not so far that it chokes them. */
function riserSlack({ parameters, entryLimits }: HarpLayout): Pick<Part, 'slack'> {
  const short = 2 * (parameters.entry - entryLimits.least);
  const long = 2 * (entryLimits.most - parameters.entry);
  if (!(short > 0 && long > 0)) return {};
  return { slack: { short, long, words: 'it still enters both headers far enough to seal, and not too far' } };
}

function drilledHeaders(prefix: string, layout: HarpLayout): Part[] {
  const { headerTube } = layout;
  const eased = drillFor(layout.tube.outerDiameter, headerTube.tape).eased
    ? ['ease the holes with a round file until a riser slides in']
    : [];
  return (['cold', 'hot'] as const).map((which) => {
    const span = layout.spans[which];
    const length = spanLength(span);
    return {
      id: `${prefix}/header-${which}`,
      name: which === 'cold' ? 'Header, cold' : 'Header, hot',
      item: headerTube.id,
      kind: 'length',
      stuff: 'tube',
      length,
      count: 1,
      operations: [...cleanEnds, 'scribe a centre line', ...eased],
      holes: [headerHoles(layout, span)],
      ...stubSlack(
        layout.parameters.stub,
        'measured from the closed end its holes are right; only the way out stands otherwise',
      ),
      mass: tubeMass(headerTube) * length,
    };
  });
}

/** m. Pieces that a header of tees is put together from, stop to stop. */
export function pieceLengths(layout: HarpLayout, tee: Tee): { between: number; open: number; closed: number } {
  const { spans, runs, parameters } = layout;
  const span = spans.cold;
  const [first = 0, last = 0] = [runs[0], runs[runs.length - 1]];
  // The cold header is open at the low side; the hot one is its mirror or its like, with the same pieces.
  return {
    between: parameters.pitch - 2 * tee.runLaying,
    open: first - span.open - tee.runLaying,
    closed: span.closed - last - tee.runLaying,
  };
}

function headerPieces(prefix: string, layout: HarpLayout, tee: Tee): Part[] {
  const { headerTube, parameters } = layout;
  const { between, open, closed } = pieceLengths(layout, tee);
  const row =
    parameters.riserCount > 2
      ? {
          row: {
            pieces: parameters.riserCount - 1,
            words: 'first branch to last',
            length: (parameters.riserCount - 1) * parameters.pitch,
          },
        }
      : {};
  const piece = (id: string, name: string, length: number, count: number, work: string[]): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: headerTube.id,
    kind: 'length',
    stuff: 'tube',
    length,
    count,
    operations: [...cleanEnds, 'clean both ends bright, a socket deep', ...work],
    mass: tubeMass(headerTube) * length,
  });
  return [
    {
      ...piece('header-piece', 'Header piece, tee to tee', between, 2 * (parameters.riserCount - 1), [
        'cut every one alike against one stop: what one is off, the row is off so many times',
      ]),
      ...row,
    },
    {
      ...piece('header-open', 'Header piece, to the way out', open, 2, []),
      ...stubSlack(parameters.stub, 'only the way out stands otherwise'),
    },
    piece('header-closed', 'Header piece, to the far end', closed, 2, []),
  ];
}

function fittings(prefix: string, layout: HarpLayout): Purchase[] {
  const { parameters, tee, headerTube, tube } = layout;
  const plugged = parameters.closing === 'union';
  const each = (id: string, name: string, quantity: number, priceKey: string, rule: string, mass: number) =>
    bought(prefix, id, name, [quantity, 'each'], { priceKey, rule, mass: mass * quantity });
  return [
    ...(tee
      ? [
          each(
            'tee',
            'Tees, header to riser',
            2 * parameters.riserCount,
            'tee',
            'one a riser in each header',
            // Two sockets and a branch, half as thick again as the tubes.
            1.5 *
              (tubeMass(headerTube) * 2 * (tee.runLaying + tee.runSocket) +
                tubeMass(tube) * (tee.branchSocket + tee.branchLaying)),
          ),
        ]
      : []),
    ...(plugged ? [] : [each('caps', 'End caps for the headers', 2, 'cap', 'one a far end', 0.03)]),
    each(
      'unions',
      'Unions for the headers',
      plugged ? 4 : 2,
      'union',
      plugged ? 'one a way out and one a far end' : 'one a way out',
      0.15,
    ),
    ...(plugged ? [each('plugs', 'Plugs for the far unions', 2, 'cap', 'one a far end', 0.05)] : []),
  ];
}

/** Capillary joints of caps and unions on the headers' ends: two ways out, two far ends. */
const endJoints = 4;

function endSolder({ headerTube }: HarpLayout): number {
  const { socket } = elbowFor(headerTube.outerDiameter);
  return capillarySolder({ joints: endJoints, diameter: headerTube.outerDiameter, socket });
}

function buttSolder(prefix: string, layout: HarpLayout): Purchase[] {
  const { tube, parameters } = layout;
  const joints = 2 * parameters.riserCount;
  return solderLines(prefix, {
    joints: joints + endJoints,
    solder: filletSolder({ joints, diameter: tube.outerDiameter }) + endSolder(layout),
    rule: `a fillet of ${sized(0.003)} round ${joints} riser joints, and ${endJoints} sockets at the ends`,
    fluxEach: 0.002,
  });
}

function teeSolder(prefix: string, layout: HarpLayout, tee: Tee): Purchase[] {
  const { tube, headerTube, parameters } = layout;
  const tees = 2 * parameters.riserCount;
  const joints = 3 * tees + endJoints;
  const solder =
    endSolder(layout) +
    capillarySolder({ joints: 2 * tees, diameter: headerTube.outerDiameter, socket: tee.runSocket }) +
    capillarySolder({ joints: tees, diameter: tube.outerDiameter, socket: tee.branchSocket });
  return solderLines(prefix, {
    joints,
    solder,
    rule: `a capillary gap of ${sized(0.0001, true)} and half as much again in ${joints} joints`,
    fluxEach: 0.001,
  });
}

/** Holes from the far end, the tape hooked there, and the middle of the row called out. */
export function headerHoles(layout: HarpLayout, span: Span): HoleSchedule {
  const positions = layout.runs.map((y) => Math.abs(y - span.closed)).sort((a, b) => a - b);
  const first = positions[0] ?? 0;
  const last = positions[positions.length - 1] ?? 0;
  return {
    datum: 'closed end',
    middle: (first + last) / 2,
    positions,
    diameter: drillFor(layout.tube.outerDiameter, layout.headerTube.tape).diameter,
    pilot: 0.003,
    where: 'on the scribed centre line',
  };
}

/** m³ of water in headers and risers. */
export function waterVolume(layout: HarpLayout): number {
  const { tube, headerTube, parameters, tee } = layout;
  const section = (diameter: number) => (Math.PI / 4) * diameter ** 2;
  const headers = spanLength(layout.spans.cold) + spanLength(layout.spans.hot);
  const standing = section(bore(headerTube)) * headers + section(bore(tube)) * layout.riserCut * parameters.riserCount;
  // A tee's branch holds water from the run's bore to its stop; a riser let in takes the room of its whole round.
  const joint = tee
    ? section(bore(tube)) * (tee.branchLaying - bore(headerTube) / 2)
    : -section(tube.outerDiameter) * Math.max(0, parameters.entry - headerTube.wall);
  return standing + joint * 2 * parameters.riserCount;
}
