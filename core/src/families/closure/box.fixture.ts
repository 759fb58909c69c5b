import { entry } from '../../catalogue';
import type { Part } from '../../shop';
import { checkEdge, layPane } from './cover.fixture';
import { type CutList, lengthOf, type Typed, thicknessOf } from './list.fixture';
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
    // As many as go in: cleats in the corners take what is left.
    const perRow = Math.max(1, Math.floor(run / sample.height + 1e-6));
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
