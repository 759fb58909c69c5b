import { entry } from '../../catalogue';
import type { Part } from '../../shop';
import { type CutList, lengthOf, orderedSize, type Typed, thicknessOf } from './list.fixture';
import {
  bearingArea,
  clashesOf,
  depthIn,
  type Place,
  place,
  type Rod,
  type Solid,
  tiny,
  touch,
} from './solids.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

/** A tray of trickling strips put together from its list: back, sides, ends, battens, wool or bearers, gutter, feeds, cover. */
export function buildTrickle(list: CutList, typed: Typed): string[] {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const back = list.take('back');
  if (back.kind !== 'sheet') throw new Error('the back is a sheet');
  const thick = thicknessOf(back);
  const backSolid = place(back, thick, { origin: { x: 0, y: 0, z: 0 }, along: ['x', 1], up: ['y', 1], into: ['z', 1] });
  const [low, high] = [list.take('side-outlet'), list.take('side')];
  const wall = thicknessOf(low);
  const [end, feeds] = [list.take('end'), list.take('end-feeds')];
  check(Math.abs(lengthOf(low) - back.width) < tiny, 'sides not as long as the back');
  check(Math.abs(lengthOf(end) + 2 * wall - back.height) < tiny, 'ends do not close the tray');
  const sides = [
    place(low, wall, { origin: { x: 0, y: 0, z: thick }, along: ['x', 1], up: ['z', 1], into: ['y', 1] }),
    place(high, wall, { origin: { x: 0, y: back.height, z: thick }, along: ['x', 1], up: ['z', 1], into: ['y', -1] }),
    place(end, wall, { origin: { x: 0, y: wall, z: thick }, along: ['y', 1], up: ['z', 1], into: ['x', 1] }),
    place(feeds, wall, {
      origin: { x: back.width, y: wall, z: thick },
      along: ['y', 1],
      up: ['z', 1],
      into: ['x', -1],
    }),
  ];
  const solids: Solid[] = [backSolid, ...sides];
  const strips = list.count('batten') - 1;
  const flat = Math.PI * Number(typed.diameter);
  const gap = Number(typed.gapBetween);
  const batten = list.parts.find(({ id }) => id.endsWith('/batten')) as Part;
  check(Math.abs(thicknessOf(batten) - gap) < tiny, 'battens do not fill what parts the strips');
  const long = lengthOf(batten);
  const start = back.width - wall - long;
  let face = thick;
  const bearers: Solid[] = [];
  for (const row of (back.holes ?? []).filter(({ where }) => where.includes('bearer'))) {
    const bearer = list.take('bearer');
    const broad = thicknessOf(bearer);
    const solid = place(bearer, broad, {
      origin: { x: (row.across?.distance ?? 0) - broad / 2, y: wall, z: thick },
      along: ['y', 1],
      up: ['z', 1],
      into: ['x', 1],
    });
    face = solid.blocks[0]?.high.z ?? face;
    check(touch(solid, sides[0] as Solid) && touch(solid, sides[1] as Solid), 'a bearer does not reach both sides');
    bearers.push(solid);
  }
  const wool = list.parts.find(({ id }) => id.endsWith('/wool'));
  const battens = Array.from({ length: strips + 1 }, (_, index) => {
    const piece = list.take('batten');
    return place(piece, gap, {
      origin: { x: start, y: wall + index * (flat + gap), z: bearers.length > 0 ? face : thick },
      along: ['x', 1],
      up: ['z', 1],
      into: ['y', 1],
    });
  });
  check(
    touch(battens[0] as Solid, sides[0] as Solid) && touch(battens[strips] as Solid, sides[1] as Solid),
    'the outer battens do not lie along the sides',
  );
  solids.push(...bearers, ...battens);
  if (wool?.kind === 'sheet') {
    face = thick + thicknessOf(wool);
    const each = wool.count / strips;
    for (let strip = 0; strip < strips; strip += 1)
      for (let index = 0; index < each; index += 1)
        solids.push(
          place(list.take('wool'), thicknessOf(wool), {
            origin: { x: start + index * wool.width, y: wall + gap + strip * (flat + gap), z: thick },
            along: ['x', 1],
            up: ['y', 1],
            into: ['z', 1],
          }),
        );
    check(Math.abs(each * wool.width - long) < 1e-4, 'the wool is not as long as its battens');
  }
  check(face > thick, 'nothing carries the strips');
  for (const one of battens)
    check(
      one.blocks[0] !== undefined && one.blocks[0].high.z > face + 0.003,
      'the battens do not stand over the strips',
    );
  // Screws from below land in what they are for.
  const fixed = [...sides, ...battens, ...bearers];
  for (const hole of backSolid.holes.filter(({ radius }) => radius < 0.003)) {
    const tip: Place = { x: hole.at.x ?? 0, y: hole.at.y ?? 0, z: thick + 0.006 };
    const best = Math.max(...fixed.map((solid) => depthIn(tip, solid, 'z')));
    check(best > 0.0035, `a screw through the back at ${mm(tip.x)}, ${mm(tip.y)} has ${mm(best)} of wood round it`);
  }
  for (const side of sides.slice(0, 2))
    for (const hole of side.holes.filter(({ radius }) => radius < 0.003)) {
      const inner =
        (hole.at.y ?? 0) < back.height / 2 || hole.from < back.height / 2 ? wall + 0.01 : back.height - wall - 0.01;
      const tip: Place = { x: hole.at.x ?? 0, y: inner, z: hole.at.z ?? 0 };
      check(
        Math.max(...sides.slice(2).map((solid) => depthIn(tip, solid, 'y'))) > 0.0035,
        'a corner screw lands beside the end board',
      );
    }
  // Strips lie on their bed from over the gutter to short of the feeds; each is fed at its middle, over its face.
  const cans = Number(typed.cans);
  const strip = cans * (Number(typed.height) - Number(typed.lap)) + Number(typed.lap);
  const fed = (sides[3] as Solid).holes.map(({ at }) => at);
  check(fed.length === strips, `${fed.length} holes for the feeds of ${strips} strips`);
  fed.forEach((at, index) => {
    const middle = wall + gap + flat / 2 + index * (flat + gap);
    check(Math.abs((at.y ?? 0) - middle) < 1e-4, `feed ${index + 1} is ${mm((at.y ?? 0) - middle)} off its strip`);
    check((at.z ?? 0) - 0.0045 > face - tiny, `feed ${index + 1} comes in under its strip`);
  });
  const outlet = (sides[0] as Solid).holes.find(({ radius }) => radius > 0.006);
  check(
    outlet !== undefined && (outlet.at.x ?? 0) > wall + outlet.radius && (outlet.at.x ?? 0) + outlet.radius < start,
    'the gutter has no way out beside the strips',
  );
  check(
    outlet !== undefined && (outlet.at.z ?? 0) + outlet.radius < face + 0.002,
    'the gutter’s outlet lies over the strips',
  );
  check(start - wall > 0.03, 'no room for the gutter');
  const foot = start - 0.012;
  check(
    foot + strip < back.width - wall - 0.01 && foot + strip > back.width - wall - 0.08,
    `strips end ${mm(back.width - wall - foot - strip)} from the feeds`,
  );
  check((list.bought('gutter')?.quantity ?? 0) >= lengthOf(end) - tiny, 'the gutter is too short');
  // The cover lies on the sides, so far over the strips.
  const rim = Math.min(...sides.map(({ blocks }) => Math.max(...blocks.map((block) => block.high.z))));
  const pane = list.bought('pane');
  if (pane) {
    check(Math.abs(rim - face - Number(typed.airGap)) < 1e-4, `the cover is ${mm(rim - face)} over the strips`);
    const size = orderedSize(pane);
    check(
      size !== undefined && Math.abs(size.height - back.width) < tiny && Math.abs(size.width - back.height) < tiny,
      'the cover does not lie on the sides',
    );
  } else check(rim > face + 0.005, 'the sides are lower than the strips');
  layBars(list, { solids: sides, length: back.width, width: back.height, bearing: wall, wrong });
  wrong.push(...clashesOf(solids));
  return [...wrong, ...list.left().map((words) => `left over: ${words}`)];
}

/** T bars under a cover: as long as it is wide, the stem between what it bears on, the flange in a slot. */
export function layBars(
  list: CutList,
  at: { solids: Solid[]; length: number; width: number; bearing: number; wrong: string[] },
): void {
  const count = list.count('pane-bar');
  for (let index = 0; index < count; index += 1) {
    const bar = list.take('pane-bar');
    const stock = entry('bar', bar.item);
    const x = (at.length * (index + 1)) / (count + 1);
    const stem = bar.recesses?.[0];
    if (!stem) at.wrong.push('a bar without its stem cut back');
    if (Math.abs(lengthOf(bar) - at.width) > tiny) at.wrong.push('a bar that does not reach both sides');
    if (stem && stem.along.to < at.bearing - tiny) at.wrong.push('the stem of a bar meets the side');
    const top = Math.max(...at.solids.flatMap(({ blocks }) => blocks.map(({ high }) => high.z)));
    const flange: Solid = {
      id: bar.id,
      holes: [],
      blocks: [
        {
          low: { x: x - stock.width / 2, y: 0, z: top - stock.thickness },
          high: { x: x + stock.width / 2, y: at.width, z: top },
        },
      ],
    };
    at.wrong.push(...clashesOf([flange, ...at.solids]).filter((words) => words.includes(bar.id)));
  }
}

/** Two sheets, their rims and what covers them, put together from the list. */
export function buildLattice(list: CutList, typed: Typed): string[] {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const [front, back] = [list.take('front'), list.take('back')];
  if (front.kind !== 'sheet' || back.kind !== 'sheet') throw new Error('a lattice is of sheets');
  const { width: length, height: width } = front;
  const sheet = thicknessOf(front);
  const gasket = Number(typed.gasket);
  const rim = Number(typed.rim);
  const flat = (part: Part, z: number): Solid =>
    place(part, sheet, { origin: { x: 0, y: 0, z }, along: ['x', 1], up: ['y', 1], into: ['z', 1] });
  const backSolid = flat(back, 0);
  const frontSolid = flat(front, sheet + gasket);
  const key = ({ at, radius }: Rod) =>
    `${Math.round((at.x ?? 0) * 1e5)} ${Math.round((at.y ?? 0) * 1e5)} ${Math.round(radius * 1e5)}`;
  const bolts = frontSolid.holes;
  const backKeys = new Set(backSolid.holes.map(key));
  for (const bolt of bolts) check(backKeys.has(key(bolt)), 'a bolt of the front finds no hole in the back');
  const bolt = Number(typed.bolt);
  for (const { radius } of bolts) check(2 * radius > bolt + 0.0003, 'bolts do not go through their holes');
  const grid = bolts.filter(({ at }) => inside(at, length, width, rim));
  const edge = bolts.filter(({ at }) => !inside(at, length, width, rim));
  check(
    (list.bought('bolt')?.quantity ?? 0) === grid.length,
    `${list.bought('bolt')?.quantity} bolts for ${grid.length} holes of the grid`,
  );
  check(
    (list.bought('bolt-rim')?.quantity ?? 0) + (list.bought('bolt-lath')?.quantity ?? 0) === edge.length,
    `bolts for ${edge.length} holes of the rim`,
  );
  // Ports through the back alone, clear of washers, inside the rim.
  const ports = backSolid.holes.filter(({ radius }) => radius > 0.008);
  check(
    ports.length === Number(typed.ports) && ports.length === list.bought('ports')?.quantity,
    `${ports.length} port holes`,
  );
  for (const port of ports) {
    const nearest = Math.min(
      ...bolts.map(({ at }) => Math.hypot((at.x ?? 0) - (port.at.x ?? 0), (at.y ?? 0) - (port.at.y ?? 0))),
    );
    // A flange of 56 mm lies on the back between the washers; its screws' heads of 1.2 mm between the sheets.
    check(nearest > 0.028 + Number(typed.washer) / 2 - tiny || !grid.length, `a port ${mm(nearest)} from a bolt`);
    check(Number(typed.gasket) >= 0.0015 - tiny, `heads of 1.2 mm in a gap of ${mm(Number(typed.gasket))}`);
    check(inside(port.at, length, width, rim + port.radius), 'a port in the rim');
  }
  // Rim bars on both faces, every bolt of the rim through four of them in all, none without.
  const stock = entry('bar', (list.parts.find(({ id }) => id.endsWith('/rim-long')) as Part).item);
  const rims: Solid[] = [];
  for (const top of [false, true]) {
    const z = top ? 2 * sheet + gasket : -stock.thickness;
    for (const high of [false, true])
      rims.push(
        place(list.take('rim-long'), stock.thickness, {
          origin: { x: 0, y: high ? width : 0, z },
          along: ['x', 1],
          up: ['y', high ? -1 : 1],
          into: ['z', 1],
        }),
      );
    if (!list.has('rim-short')) continue;
    for (const high of [false, true])
      rims.push(
        place(list.take('rim-short'), stock.thickness, {
          origin: {
            x: high ? length : 0,
            y: (width - lengthOf(list.parts.find(({ id }) => id.endsWith('/rim-short')) as Part)) / 2,
            z,
          },
          along: ['y', 1],
          up: ['x', high ? -1 : 1],
          into: ['z', 1],
        }),
      );
  }
  const held = (at: Rod['at'], solids: Solid[]) =>
    solids.filter(({ holes }) =>
      holes.some((hole) => Math.hypot((hole.at.x ?? 0) - (at.x ?? 0), (hole.at.y ?? 0) - (at.y ?? 0)) < 1e-4),
    ).length;
  for (const { at } of edge) check(held(at, rims) === 2, `a rim bolt goes through ${held(at, rims)} bars`);
  for (const one of rims)
    for (const hole of one.holes)
      check(
        edge.some(({ at }) => Math.hypot((hole.at.x ?? 0) - (at.x ?? 0), (hole.at.y ?? 0) - (at.y ?? 0)) < 1e-4),
        'a hole of a rim bar without a bolt',
      );
  const solids: Solid[] = [backSolid, frontSolid];
  // Laths on the front rim, as high as the cover asks.
  const pane = list.bought('pane');
  if (pane) {
    const laths: Solid[] = [];
    const z = 2 * sheet + gasket + stock.thickness;
    for (const high of [false, true]) {
      const piece = list.take('lath-long');
      laths.push(
        place(piece, thicknessOf(piece), {
          origin: { x: 0, y: high ? width : 0, z },
          along: ['x', 1],
          up: ['y', high ? -1 : 1],
          into: ['z', 1],
        }),
      );
    }
    if (list.has('lath-short'))
      for (const high of [false, true]) {
        const piece = list.take('lath-short');
        laths.push(
          place(piece, thicknessOf(piece), {
            origin: { x: high ? length : 0, y: rim, z },
            along: ['y', 1],
            up: ['x', high ? -1 : 1],
            into: ['z', 1],
          }),
        );
      }
    for (const { at } of edge) check(held(at, laths) === 1, `a rim bolt meets ${held(at, laths)} laths`);
    const through = laths
      .flatMap(({ holes }) => holes)
      .filter(({ radius }) => Math.abs(2 * radius - 2 * (bolts[0]?.radius ?? 0)) < tiny);
    check((list.bought('bolt-lath')?.quantity ?? 0) === through.length, 'long bolts do not agree with the laths');
    const top = Math.max(...laths.flatMap(({ blocks }) => blocks.map(({ high }) => high.z)));
    check(
      Math.abs(top - (2 * sheet + gasket) - Number(typed.airGap)) < 1e-4,
      `the cover is ${mm(top - 2 * sheet - gasket)} over the sheet`,
    );
    const size = orderedSize(pane);
    check(size !== undefined && Math.abs(size.height - length) < tiny, 'the cover is not as long as the sheets');
    for (const one of laths)
      check(
        rims.some((bar) => bearingArea(one, bar, 'z') > 1e-4),
        'a lath bears on air',
      );
    layBars(list, { solids: laths, length, width, bearing: rim, wrong });
    solids.push(...laths);
    wrong.push(...clashesOf(laths));
  }
  // Wool fills the back inside the rim, and something holds it.
  const wool = list.parts.find(({ id }) => id.endsWith('/backing'));
  if (wool?.kind === 'sheet') {
    for (let index = 0; index < wool.count; index += 1) list.take('backing');
    check(
      Math.abs(wool.width * wool.height * wool.count - (length - 2 * rim) * (width - 2 * rim)) < 1e-6,
      'the wool does not fill the back',
    );
    check((list.bought('wool-wire')?.quantity ?? 0) > width, 'nothing holds the wool');
  }
  wrong.push(...clashesOf(rims));
  return [...wrong, ...list.left().map((words) => `left over: ${words}`)];
}

function inside(at: Rod['at'], length: number, width: number, rim: number): boolean {
  const { x = 0, y = 0 } = at;
  return x > rim - tiny && x < length - rim + tiny && y > rim - tiny && y < width - rim + tiny;
}
