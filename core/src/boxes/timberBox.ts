import { entries, entry, materials, type Range, range, sheetMass, type Timber } from '../catalogue';
import type { Point } from '../draw';
import type { GlazingDesign } from '../glazings';
import type { BoxDesign, BoxMember, CornerScrew } from './box';
import { boxFindings, leastCleat, mendBearing } from './boxFindings';
import { boxParts } from './boxParts';
import { boxPurchases } from './boxPurchases';
import { insulationPieces } from './boxSheets';
import { edgeDevelopment } from './edge';
import { backLedge, backRoom, type Frame, leastBay, type TimberBox, type TimberLid } from './frame';

/** W/m²K. Still air inside a warm cavity and sheltered air outside: ISO 6946 surface values, rounded. */
const inner = 8;
const outer = 15;
/** Conductivity as built, times the book value: gaps and squeezing; damp through a leaking lid or wet timber. */
const asBuilt: Record<'dry' | 'damp', Range> = {
  dry: range(1.1, 1.2, 1.3, 'judgement'),
  damp: range(1.3, 1.6, 2, 'judgement'),
};
/** Share of the plate's swing that insulation and sides swing with it: a straight fall through the wool is half, and half of that for its delay. */
const woolSwing = 0.25;
const sideSwing = 0.1;

/** The entries of the catalogue in the place of their ids. */
export function openTimber<P extends { board: string; back: string; insulation: string }>(parameters: P) {
  const { board, back, insulation, ...rest } = parameters;
  return {
    ...rest,
    board: entry('timber', board),
    back: entry('sheet', back),
    insulation: entry('sheet', insulation),
  };
}

export function lidOf({
  lid,
  lidFrame,
}: {
  lid: 'bedded' | 'mitred' | 'butted';
  lidFrame: string;
}): TimberLid | undefined {
  return lid === 'bedded' ? undefined : { timber: entry('timber', lidFrame), corners: lid };
}

/** m from the cold end inside to the middle of each of so many rails, the bays between them alike. */
function railPlaces(inside: number, count: number, board: number): number[] {
  const bay = Math.max(leastBay, (inside - count * board) / (count + 1));
  return Array.from({ length: count }, (_, index) => (index + 1) * (bay + board) - board / 2);
}

function frameOf(made: TimberBox, glazing: GlazingDesign, turned: boolean): Frame {
  const { board, cladding, edge, back, rails, lid } = made;
  const clad = cladding?.thickness ?? edge?.sheet.thickness ?? 0;
  const standing = cladding !== undefined || edge !== undefined;
  const wall = board.thickness + clad;
  const { clearance, seatDepth, pane } = glazing;
  const sides = (of: (pane: number) => number) => ({ length: of(pane.length), width: of(pane.width) });
  // On the inner boards' edges a pane bears on their thickness less its own room; in a rebate on the ledge.
  const within = standing && !lid ? clearance - board.thickness : clearance - made.ledge;
  const clear = sides((size) => size + 2 * within);
  const outside = lid
    ? sides((size) => size + 2 * (within + lid.timber.width))
    : sides((size) => size + 2 * (within + wall));
  const inside = { length: outside.length - 2 * wall, width: outside.width - 2 * wall };
  const onBack = back.thickness + board.width;
  const rimTop = (standing ? onBack : board.width) + (lid || !standing ? 0 : seatDepth);
  const top = rimTop + (lid?.timber.thickness ?? 0);
  const bay = Math.max(leastBay, (inside.length - rails * board.thickness) / (rails + 1));
  return {
    inside,
    outside,
    // A lid's frame may be wider than the wall, or narrower.
    opening: {
      length: Math.min(clear.length, inside.length),
      width: Math.min(clear.width, inside.width),
    },
    wall,
    depth: top + (edge?.sheet.thickness ?? 0),
    paneTop: top,
    rimTop,
    solid: standing ? onBack : lid ? board.width : board.width - seatDepth,
    bay,
    seatDepth,
    seat: sides((size) => size + 2 * clearance),
    bars: glazing.bars,
    rails: railPlaces(inside.length, rails, board.thickness),
    cornerScrews: cornerScrewsOf(made, { wall, clad, outside, rimTop }),
    backUnder: standing ? board.thickness : backLedge,
    clad,
    turned,
  };
}

/** Where the corner screws go: into the cleats from both boards, or from the side into the end board's end. */
function cornerScrewsOf(
  { board, cleat }: TimberBox,
  { wall, clad, outside, rimTop }: Pick<Frame, 'wall' | 'clad' | 'outside' | 'rimTop'>,
): CornerScrew[] {
  const both = (on: CornerScrew['on'], inset: number, whole: number) =>
    [0.3, 0.7].flatMap((share) => [inset, whole - inset].map((along) => ({ on, along, up: rimTop * share })));
  if (cleat === 0) return both('side', clad + board.thickness / 2, outside.length);
  return [...both('side', wall + cleat / 2, outside.length), ...both('end', wall + board.thickness / 2, outside.width)];
}

/** A box of board sides, sheet back and cross rails round a pane. */
export function timberBox(made: TimberBox): BoxMember {
  const { board, cladding, edge, back, insulation: wool, cleat, lid } = made;
  const standing = cladding !== undefined || edge !== undefined;
  return {
    paneToOutside: (glazing) => frameOf(made, glazing, false).outside.length - glazing.pane.length,
    around: (glazing, turned = false): BoxDesign => {
      const frame = frameOf(made, glazing, turned);
      const { inside, outside, rimTop } = frame;
      const perimeter = 2 * (inside.length + inside.width);
      const wood = materials.softwood;
      const jacket = cladding ? ` in ${cladding.name}` : edge ? ` in ${edge.sheet.name}` : '';
      const room = (size: number) => size - 2 * made.edgeStrip;
      return {
        name: `${board.name}${jacket}, ${back.name} back, ${wool.name}${lid ? `, lid of ${lid.timber.name}` : ''}`,
        ...frame,
        room: { length: room(inside.length), width: room(inside.width) },
        seam: frame.clad || undefined,
        lid: lid && { width: lid.timber.width, height: lid.timber.thickness, ledge: made.ledge, corners: lid.corners },
        flashed: edge?.flashing ?? false,
        skin: edge && { thickness: edge.sheet.thickness, under: edge.under, lip: edge.lip },
        board: board.thickness,
        back: back.thickness,
        insulation: wool.thickness,
        insulationPieces: insulationPieces(made, frame, board.thickness),
        edgeStrip: made.edgeStrip,
        cleat,
        cleatThickness: cleat > 0 ? board.thickness : 0,
        leastCleat: leastCleat(board),
        ledge: glazing.cover ? (standing && !lid ? board.thickness : made.ledge) : 0,
        backRoom: standing ? 0 : backRoom,
        below: edge?.sheet.thickness ?? 0,
        railsOf: (count) => railPlaces(inside.length, count, board.thickness),
        handles: handlesOf(made.handles, outside),
        hangers: made.hanging === 'plates' ? hangersOf(outside) : [],
        backStack: {
          layers: [wool, back].map((sheet) => ({
            name: sheet.name,
            thickness: sheet.thickness,
            conductivity: materials[sheet.material].conductivity,
          })),
          outside: outer,
        },
        heatCapacity:
          woolSwing * sheetMass(wool, inside.length * inside.width) * materials[wool.material].heatCapacity +
          sideSwing * perimeter * board.thickness * rimTop * wood.density * wood.heatCapacity,
        backFactor: asBuilt[made.state],
        rim: (height) => ({
          area: perimeter * Math.max(0, height),
          layers: [
            ...(made.edgeStrip > 0
              ? [
                  {
                    name: wool.name,
                    thickness: made.edgeStrip,
                    conductivity: materials[wool.material].conductivity,
                  },
                ]
              : []),
            {
              name: board.name,
              // Metal keeps no heat in.
              thickness: board.thickness + (cladding?.thickness ?? 0),
              conductivity: wood.conductivity,
            },
          ],
          inside: inner,
          outside: outer,
        }),
        limits: {
          insulation: { name: wool.name, limit: materials[wool.material].serviceLimit },
          back: { name: back.name, limit: materials[back.material].serviceLimit },
          side: { name: board.name, limit: wood.serviceLimit },
        },
        work: boxWork(made),
        deeper: (needed) => deeperBoard(board, frame.paneTop, needed),
        mendBearing: (clearance, path) => mendBearing(made, clearance, path),
        findings: (path, exits) => boxFindings(made, frame, glazing, path, exits),
        parts: (query) => boxParts(made, frame, query),
        purchases: (prefix) => boxPurchases(made, frame, glazing, prefix),
        ...(edge ? { development: (prefix: string) => edgeDevelopment(edge, frame, prefix) } : {}),
      };
    },
  };
}

/** The least deep board of the same thickness and tape that adds what is missing. */
function deeperBoard(board: Timber, has: number, needed: number): string | undefined {
  return entries('timber')
    .filter((one) => one.tape === board.tape && Math.abs(one.thickness - board.thickness) < 1e-6)
    .filter((one) => one.width > board.width && has + one.width - board.width >= needed - 1e-9)
    .sort((a, b) => a.width - b.width)[0]?.id;
}

/** How it is put together, and how it is closed. */
function boxWork({ edge, cladding, lid, cleat, weeps, rails, side, handles }: TimberBox): BoxDesign['work'] {
  return {
    needs: [
      'drill',
      'screwdriver',
      'square',
      'clamps',
      'roller',
      ...(weeps > 0 ? (['staple gun'] as const) : []),
      ...(handles > 0 ? (['spanners'] as const) : []),
      ...(edge ? (['folding bars', 'snips', 'gloves: cut edges'] as const) : []),
    ],
    frame: [
      'glue and screw the boards round, square before the glue sets',
      ...(cleat > 0 ? ['screw a cleat into every corner'] : []),
      ...(side === 'removable'
        ? [
            'the side that headers go through, or the end at the way out where the array comes out at both ends, stays on its screws, without glue',
          ]
        : []),
      ...(rails > 0 ? ['screw the rails in from the back, clear of the tubes'] : []),
      ...(weeps > 0 ? ['drill the weep holes and staple a screen over each'] : []),
      ...(handles > 0 ? ['bolt the handles through, washers inside'] : []),
      ...(cladding ? ['screw the outer boards on, flush at the back'] : []),
      ...(edge
        ? [
            'fold the metal: first the leg under the back, the lip left open',
            'fit the low strip, then the sides over its tabs, then the high one over theirs',
            ...(edge.flashing ? ['lay the courses of the back from the bottom up, each over the one below'] : []),
          ]
        : []),
      'two coats of paint, cut ends three',
    ],
    close: edge
      ? ['fold the lip over the pane, a strip of wood along the bend']
      : lid
        ? ['hang the lid on its hinges along the high edge, gasket between, clips along the low one']
        : ['bead of glazing sealant over the edge of the pane, stops screwed along'],
  };
}

/** Two hands at the ends; more along the long sides, evenly. */
function handlesOf(count: number, outside: { length: number; width: number }): Point[] {
  if (count === 0) return [];
  if (count <= 2)
    return [
      { x: 0, y: outside.width / 2 },
      { x: outside.length, y: outside.width / 2 },
    ].slice(0, count);
  const low = Math.ceil(count / 2);
  const row = (many: number, y: number) =>
    Array.from({ length: many }, (_, index) => ({ x: (outside.length * (index + 0.5)) / many, y }));
  return [...row(low, 0), ...row(count - low, outside.width)];
}

/** A fifth in from the ends: a long thing hung there bends least (its Bessel points, rounded). */
function hangersOf({ length, width }: { length: number; width: number }): Point[] {
  return [0.2, 0.8].flatMap((x) => [0.1, 0.9].map((y) => ({ x: x * length, y: y * width })));
}
