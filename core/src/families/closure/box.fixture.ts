import { entry } from '../../catalogue';
import type { Part } from '../../shop';
import { type CutList, lengthOf, orderedSize, thicknessOf } from './list.fixture';
import {
  bearingArea,
  clashesOf,
  depthIn,
  type Place,
  pierced,
  place,
  type Rod,
  type Solid,
  tiny,
  touch,
} from './solids.fixture';

/** What the builder has typed that no piece shows: how far tubes stand out, the radius of a bend, a gasket. */
export type Typed = Record<string, unknown>;

/** A box put together from its list, with what is found wrong in it. */
export interface BuiltBox {
  outside: { length: number; width: number };
  /** m. Boards of a side together, and the clear space between them. */
  wall: number;
  inside: { length: number; width: number };
  /** Solids that tubes must not run into. */
  solids: Solid[];
  /** m from the underside: tops of rails, undersides of what lies on the ledge. */
  railTop: number | undefined;
  insulationTop: number;
  paneUnder: number | undefined;
  screws: Rod[];
  /** Strips that are cut out round the tubes that pass. */
  cutOut: ReadonlySet<string>;
  wrong: string[];
}

const screwRadius = 0.002;
const isOuter = ({ id }: Part) => /\/cladding-/.test(id);

function boardPose(
  kind: 'low' | 'high' | 'cold' | 'hot',
  size: { x: number; y: number; z: number; off: number; wall: number },
) {
  const { x, y, z, off, wall } = size;
  switch (kind) {
    case 'low':
      return { origin: { x: off, y: off, z }, along: ['x', 1], up: ['z', 1], into: ['y', 1] } as const;
    case 'high':
      return { origin: { x: off, y: y - off, z }, along: ['x', 1], up: ['z', 1], into: ['y', -1] } as const;
    case 'cold':
      return { origin: { x: off, y: wall, z }, along: ['y', 1], up: ['z', 1], into: ['x', 1] } as const;
    default:
      return { origin: { x: x - off, y: wall, z }, along: ['y', 1], up: ['z', 1], into: ['x', -1] } as const;
  }
}

/** Puts a box together from nothing but its list: boards round, back in, cleats, rails, insulation, strips, outer boards, lid, pane. */
export function buildBox(list: CutList, typed: Typed): BuiltBox {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const low = list.take('side-low');
  const high = list.take('side-high');
  const ends = list.has('end') ? [list.take('end'), list.take('end')] : [list.take('end-cold'), list.take('end-hot')];
  const [cold, hot] = ends as [Part, Part];
  const board = thicknessOf(low);
  const outer = list.parts.find(isOuter);
  const clad = outer ? thicknessOf(outer) : 0;
  const folded = list.has('edge-low');
  const metal = folded
    ? entry('sheet', (list.parts.find(({ id }) => id.endsWith('edge-low')) as Part).item).thickness
    : 0;
  const off = clad + metal;
  const back = list.take('back');
  const backThick = thicknessOf(back);
  const standing = clad > 0 || folded;
  const z = standing ? backThick : 0;
  const outside = { length: lengthOf(low) + 2 * off, width: lengthOf(cold) + 2 * board + 2 * off };
  const wall = board + off;
  const inside = { length: outside.length - 2 * wall, width: outside.width - 2 * wall };
  const size = { x: outside.length, y: outside.width, z, off, wall };
  const boards = [
    place(low, board, boardPose('low', size)),
    place(high, board, boardPose('high', size)),
    place(cold, board, boardPose('cold', size)),
    place(hot, board, boardPose('hot', size)),
  ];
  check(Math.abs(lengthOf(low) - lengthOf(high)) < tiny, 'sides of two lengths');
  // The back, in the middle of the box.
  if (back.kind !== 'sheet') throw new Error('the back is a sheet');
  const backSolid = place(back, backThick, {
    origin: { x: (outside.length - back.width) / 2, y: (outside.width - back.height) / 2, z: 0 },
    along: ['x', 1],
    up: ['y', 1],
    into: ['z', 1],
  });
  for (const one of boards) {
    const bears = standing ? bearingArea(one, backSolid, 'z') : bearingArea(one, backSolid, 'z');
    check(bears > 1e-4, `${one.id} does not lie on the back`);
  }
  const solids: Solid[] = [...boards, backSolid];
  // Cleats stand in the corners on the back.
  const cleats: Solid[] = [];
  if (list.has('cleat'))
    for (const [x, y] of [
      [1, 1],
      [1, -1],
      [-1, 1],
      [-1, -1],
    ] as const) {
      const cleat = list.take('cleat');
      const solid = place(cleat, thicknessOf(cleat), {
        origin: {
          x: x > 0 ? wall : outside.length - wall,
          y: y > 0 ? wall : outside.width - wall,
          z: backThick,
        },
        along: ['z', 1],
        up: ['x', x],
        into: ['y', y],
      });
      cleats.push(solid);
      check(
        boards.filter((one) => touch(solid, one)).length === 2,
        `a cleat touches ${boards.filter((one) => touch(solid, one)).length} boards`,
      );
    }
  solids.push(...cleats);
  // Rails stand where the back is drilled for them.
  const rails: Solid[] = [];
  const railRows = (back.holes ?? []).filter(({ where }) => where.includes('rail'));
  check(railRows.length === list.count('rail'), `${railRows.length} rows of screws for ${list.count('rail')} rails`);
  let railTop: number | undefined;
  for (const row of railRows) {
    const rail = list.take('rail');
    const thick = thicknessOf(rail);
    const x = (outside.length - back.width) / 2 + (row.across?.distance ?? 0);
    const solid = place(rail, thick, {
      origin: { x: x - thick / 2, y: wall, z: backThick },
      along: ['y', 1],
      up: ['z', 1],
      into: ['x', 1],
    });
    railTop = solid.blocks[0]?.high.z;
    check(touch(solid, boards[0] as Solid) && touch(solid, boards[1] as Solid), 'a rail does not reach both sides');
    for (const at of row.positions) {
      const point: Place = { x, y: (outside.width - back.height) / 2 + at, z: backThick + 0.01 };
      check(depthIn(point, solid, 'z') > screwRadius, `a screw of a rail at ${at.toFixed(3)} lands beside it`);
    }
    rails.push(solid);
  }
  solids.push(...rails);
  const insulationTop = layInsulation(list, { solids, rails, wall, outside, inside, backThick, wrong });
  layStrips(list, { solids, cleats, wall, outside, insulationTop, wrong });
  // Screws of the corners land in a cleat, or in the end of the board behind, clear of its edges.
  const screws: Rod[] = [];
  const into = [...cleats, ...(cleats.length === 0 ? boards.slice(2) : [])];
  boards.forEach((one) => {
    for (const hole of one.holes.filter(({ radius }) => radius < 0.003)) {
      const inward =
        hole.axis === 'y' ? (hole.from < outside.width / 2 ? 1 : -1) : hole.from < outside.length / 2 ? 1 : -1;
      const inner = inward > 0 ? Math.max(hole.from, hole.to) : Math.min(hole.from, hole.to);
      const at: Place = { x: hole.at.x ?? 0, y: hole.at.y ?? 0, z: hole.at.z ?? 0 };
      const tip: Place = { ...at, [hole.axis]: inner + inward * 0.008 };
      const best = Math.max(...into.map((solid) => depthIn(tip, solid, hole.axis)));
      check(best > 0.004, `a corner screw of ${one.id} has ${(best * 1000).toFixed(1)} mm of wood round it`);
      screws.push({
        ...hole,
        from: Math.min(hole.from, hole.to),
        to: Math.max(hole.from, hole.to),
        radius: screwRadius,
      });
    }
  });
  if (clad > 0) layCladding(list, { solids, outside, clad, wrong });
  // Weep holes are open: no rail and no cleat stands on one.
  for (const hole of backSolid.holes.filter(({ radius }) => Math.abs(radius - 0.004) < tiny)) {
    const rod: Rod = { ...hole, from: backThick, to: backThick + 0.005 };
    check(pierced(rod, [...rails, ...cleats, ...boards]).length === 0, 'something stands on a weep hole');
  }
  const paneUnder = layPane(list, { boards, outside, wall, off, z, board, standing, solids, wrong });
  if (folded) checkEdge(list, { outside, boards, metal, wrong, typed });
  wrong.push(...clashesOf(solids));
  const cutOut = new Set(
    list.parts
      .filter(({ operations }) => operations.some((words) => words.includes('cut out round')))
      .map(({ id }) => id),
  );
  return { outside, wall, inside, solids, railTop, insulationTop, paneUnder, screws, cutOut, wrong };
}

function layInsulation(
  list: CutList,
  at: {
    solids: Solid[];
    rails: Solid[];
    wall: number;
    outside: { length: number; width: number };
    inside: { length: number; width: number };
    backThick: number;
    wrong: string[];
  },
): number {
  const { rails, wall, outside, inside, backThick, wrong, solids } = at;
  const any = list.parts.find(({ id }) => /\/insulation(-corner)?$/.test(id));
  if (any?.kind !== 'sheet') throw new Error('no insulation');
  const thick = thicknessOf(any);
  const walls = [
    wall,
    ...rails.flatMap(({ blocks }) => [blocks[0]?.low.x ?? 0, blocks[0]?.high.x ?? 0]),
    outside.length - wall,
  ];
  const down = Math.round(inside.width / any.height);
  let area = 0;
  for (let bay = 0; bay * 2 < walls.length; bay += 1) {
    const [from = 0, to = 0] = [walls[2 * bay], walls[2 * bay + 1]];
    const across = Math.round((to - from) / any.width);
    for (let i = 0; i < across; i += 1)
      for (let j = 0; j < down; j += 1) {
        const first = bay === 0 && i === 0;
        const last = 2 * bay + 2 >= walls.length && i === across - 1;
        const corner = (first || last) && (j === 0 || j === down - 1);
        const role = corner && list.has('insulation-corner') ? 'insulation-corner' : 'insulation';
        const piece = list.take(role);
        if (piece.kind !== 'sheet') continue;
        // A piece notched at its first corner is turned over for the others.
        const flipX = role === 'insulation-corner' && !first;
        const flipY = role === 'insulation-corner' && j === down - 1 && j > 0;
        const solid = place(piece, thick, {
          origin: {
            x: from + (flipX ? (i + 1) * piece.width : i * piece.width),
            y: wall + (flipY ? (j + 1) * piece.height : j * piece.height),
            z: backThick,
          },
          along: ['x', flipX ? -1 : 1],
          up: ['y', flipY ? -1 : 1],
          into: ['z', 1],
        });
        area += piece.width * piece.height;
        solids.push(solid);
      }
  }
  const wanted =
    inside.width *
    (inside.length - rails.reduce((sum, { blocks }) => sum + (blocks[0] ? blocks[0].high.x - blocks[0].low.x : 0), 0));
  if (Math.abs(area - wanted) > 1e-6) wrong.push(`insulation of ${area.toFixed(4)} m² for ${wanted.toFixed(4)}`);
  return backThick + thick;
}

function layStrips(
  list: CutList,
  at: {
    solids: Solid[];
    cleats: Solid[];
    wall: number;
    outside: { length: number; width: number };
    insulationTop: number;
    wrong: string[];
  },
): void {
  const { solids, cleats, wall, outside, insulationTop, wrong } = at;
  for (const role of ['strip-side', 'strip-end'] as const) {
    if (!list.has(role)) continue;
    const sample = list.parts.find(({ id }) => id.endsWith(role));
    if (sample?.kind !== 'sheet') continue;
    const run = (role === 'strip-side' ? outside.length : outside.width) - 2 * wall;
    const perRow = Math.max(1, Math.round(run / sample.height));
    const courses = Math.round(sample.count / (2 * perRow));
    const long = perRow * sample.height;
    const first = (run - long) / 2;
    for (const edge of [0, 1])
      for (let index = 0; index < perRow; index += 1)
        for (let course = 0; course < courses; course += 1) {
          const piece = list.take(role);
          if (piece.kind !== 'sheet') continue;
          // One course is enough to see what it runs into.
          if (course > 0) continue;
          const start = wall + first + index * piece.height;
          const solid =
            role === 'strip-side'
              ? place(piece, 0.02, {
                  origin: { x: start, y: edge === 0 ? wall : outside.width - wall, z: insulationTop },
                  along: ['y', edge === 0 ? 1 : -1],
                  up: ['x', 1],
                  into: ['z', 1],
                })
              : place(piece, 0.02, {
                  origin: { x: edge === 0 ? wall : outside.length - wall, y: start, z: insulationTop },
                  along: ['x', edge === 0 ? 1 : -1],
                  up: ['y', 1],
                  into: ['z', 1],
                });
          solids.push(solid);
        }
    if (cleats.length === 0 && role === 'strip-side' && first > tiny)
      wrong.push('a side strip leaves a gap at its ends');
  }
}

function layCladding(
  list: CutList,
  at: { solids: Solid[]; outside: { length: number; width: number }; clad: number; wrong: string[] },
): void {
  const { solids, outside, clad, wrong } = at;
  const sides = ['low', 'high', 'cold', 'hot'] as const;
  for (const side of sides) {
    const end = side === 'cold' || side === 'hot';
    const board = list.take(list.has(`cladding-${side}`) ? `cladding-${side}` : end ? 'cladding-end' : 'cladding-side');
    const wanted = end ? outside.width - 2 * clad : outside.length;
    if (Math.abs(lengthOf(board) - wanted) > tiny)
      wrong.push(`the outer board of the ${side} side does not close the box`);
    const far = side === 'high' || side === 'hot';
    solids.push(
      place(
        board,
        clad,
        end
          ? {
              origin: { x: far ? outside.length : 0, y: clad, z: 0 },
              along: ['y', 1],
              up: ['z', 1],
              into: ['x', far ? -1 : 1],
            }
          : {
              origin: { x: 0, y: far ? outside.width : 0, z: 0 },
              along: ['x', 1],
              up: ['z', 1],
              into: ['y', far ? -1 : 1],
            },
      ),
    );
  }
}

/** The pane on its ledge: in the middle, slid aside each way, over its gasket, under the rim; and its bars in their slots. */
function layPane(
  list: CutList,
  at: {
    boards: Solid[];
    outside: { length: number; width: number };
    wall: number;
    off: number;
    z: number;
    board: number;
    standing: boolean;
    solids: Solid[];
    wrong: string[];
  },
): number | undefined {
  const { outside, wall, off, z, standing, wrong, board } = at;
  const pane = list.bought('pane');
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const side = list.parts.find(({ id }) => id.endsWith('/side-low')) as Part;
  const height = (side.kind === 'length' ? (side.section?.width ?? entry('timber', side.item).width) : 0) + z;
  const lid = list.has('lid-side');
  let seat: { from: number; to: number; floor: number; rim: number };
  if (lid) {
    const [one, two] = [list.take('lid-side'), list.take('lid-side')];
    const [end, otherEnd] = [list.take('lid-end'), list.take('lid-end')];
    const frame = entry('timber', one.item);
    const mitred = (one.ends ?? []).length === 2;
    check(
      Math.abs(lengthOf(one) - outside.length) < tiny && lengthOf(two) === lengthOf(one),
      'lid not as long as the box',
    );
    check(
      Math.abs(lengthOf(end) - (mitred ? outside.width : outside.width - 2 * frame.width)) < tiny &&
        lengthOf(end) === lengthOf(otherEnd),
      'lid does not close at its corners',
    );
    const rebate = one.recesses?.find(({ kind }) => kind === 'rebate');
    if (!pane || !rebate) return undefined;
    check(frame.thickness - (rebate.into.to - rebate.into.from) > 0.004, 'the rebate goes through the lid');
    if (!mitred) {
      // Stopped where the end's own rebate begins, run through it would open the corner.
      check(Math.abs(rebate.along.from - rebate.up.from) < tiny, 'the lid’s rebate is not stopped at the end’s');
    }
    // It lies on the walls of the box all round.
    check(frame.width > wall / 2, 'the lid does not reach over the walls');
    seat = { from: rebate.up.from, to: rebate.up.to, floor: height + rebate.into.from, rim: height + rebate.into.to };
  } else {
    const rebate = side.recesses?.find(({ where }) => where === 'top inner edge');
    if (!pane) return undefined;
    if (standing) seat = { from: off, to: off + board, floor: height, rim: Number.POSITIVE_INFINITY };
    else {
      if (!rebate) {
        wrong.push('no rebate for the pane');
        return undefined;
      }
      seat = { from: rebate.into.from, to: rebate.into.to, floor: z + rebate.up.from, rim: z + rebate.up.to };
      check(Math.abs(rebate.along.from - rebate.into.from) < tiny, 'the side’s rebate is not stopped at the end’s');
    }
  }
  const size = orderedSize(pane);
  if (!size) {
    wrong.push('a pane without its ordered size');
    return undefined;
  }
  for (const [whole, own] of [
    [outside.length, size.height],
    [outside.width, size.width],
  ] as const) {
    const start = (whole - own) / 2;
    const room = start - seat.from;
    check(room > 0.0009, `the pane has ${(room * 1000).toFixed(1)} mm of room`);
    check(seat.to - start > 0.004 - tiny, `the pane bears on ${((seat.to - start) * 1000).toFixed(1)} mm`);
    check(
      seat.to - (start + room) > -tiny,
      `slid aside the pane hangs ${((start + room - seat.to) * 1000).toFixed(1)} mm short of its ledge`,
    );
  }
  const thick = entry('pane', pane.priceKey.slice('pane/'.length)).thickness;
  check(seat.floor + thick < seat.rim + tiny, 'the pane stands over its rim');
  for (let index = list.count('pane-bar'); index > 0; index -= 1) {
    const bar = list.take('pane-bar');
    const stock = entry('bar', bar.item);
    const across = outside.width - 2 * seat.from;
    check(lengthOf(bar) < across, 'a pane bar is longer than its seat');
    check((lengthOf(bar) - (outside.width - 2 * seat.to)) / 2 > 0.003, 'a pane bar does not reach the ledge');
    const stem = bar.recesses?.[0];
    check(
      stem !== undefined && lengthOf(bar) - 2 * (stem.along.to - stem.along.from) < outside.width - 2 * seat.to,
      'the stem of a pane bar meets the ledge',
    );
    const holder = list.parts.find(({ id }) => id.endsWith(lid ? '/lid-side' : '/side-low'));
    const slots = holder?.recesses?.filter(({ kind }) => kind === 'slot') ?? [];
    check(slots.length === list.count('pane-bar'), `${slots.length} slots for ${list.count('pane-bar')} bars`);
    for (const slot of slots) check(slot.along.to - slot.along.from > stock.width, 'a slot narrower than its bar');
  }
  return seat.floor;
}

/** Bent strips folded up again, by the radius that was typed: their web against what they go round. */
function checkEdge(
  list: CutList,
  at: { outside: { length: number; width: number }; boards: Solid[]; metal: number; wrong: string[]; typed: Typed },
): void {
  const { outside, boards, metal, wrong, typed } = at;
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const pane = list.bought('pane');
  const seat = pane ? entry('pane', pane.priceKey.slice('pane/'.length)).thickness + Number(typed.gasket) : 0;
  const top = Math.max(...boards.flatMap(({ blocks }) => blocks.map(({ high }) => high.z)));
  const radius = Number(typed.radius);
  // A square bend is an arc whose fibre 0.44 of the way through keeps its length; flats end where arcs begin.
  const arc = (Math.PI / 2) * (radius + 0.44 * metal);
  for (const role of ['edge-low', 'edge-left', 'edge-right', 'edge-high']) {
    const strip = list.parts.find(({ id }) => id.endsWith(role));
    if (strip?.kind !== 'sheet') {
      wrong.push(`no ${role}`);
      continue;
    }
    for (let index = 0; index < strip.count; index += 1) list.take(role);
    const [first = 0, second = 0] = strip.bends?.positions ?? [];
    const web = second - first - arc + 2 * (radius + metal);
    const wanted = top + seat + 2 * metal;
    check(
      Math.abs(web - wanted) < 1e-4,
      `${role} folds up to ${(web * 1000).toFixed(1)} mm round ${(wanted * 1000).toFixed(1)}`,
    );
    const under = first - arc / 2 + radius + metal;
    check(
      Math.abs(under - Number(typed.under)) < 1e-4,
      `${role} reaches ${(under * 1000).toFixed(1)} mm under the back`,
    );
    const lip = strip.width - second - arc / 2 + radius + metal;
    check(Math.abs(lip - Number(typed.lip)) < 1e-4, `${role} has a lip of ${(lip * 1000).toFixed(1)} mm`);
  }
  const course = list.parts.find(({ id }) => id.endsWith('back-course'));
  if (course?.kind === 'sheet') {
    for (let index = 0; index < course.count; index += 1) list.take('back-course');
    check(
      course.width * course.height * course.count > outside.length * outside.width,
      'courses do not cover the back',
    );
  }
}
