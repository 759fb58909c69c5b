import { findEntry } from '../../catalogue';
import { type CutList, lengthOf, orderedSize, type Typed, thicknessOf } from './list.fixture';
import { clashesOf, depthIn, place, type Solid, tiny, touch } from './solids.fixture';
import { layBars } from './trays.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

/** m of hose in an Archimedean spiral, by the chords of small steps: another way than the family's own. */
function chords(inner: number, step: number, rounds: number): number {
  let sum = 0;
  let [x, y] = [inner, 0];
  const steps = 20_000;
  for (let index = 1; index <= steps; index += 1) {
    const angle = (2 * Math.PI * rounds * index) / steps;
    const radius = inner + (step * angle) / (2 * Math.PI);
    const [nx, ny] = [radius * Math.cos(angle), radius * Math.sin(angle)];
    sum += Math.hypot(nx - x, ny - y);
    [x, y] = [nx, ny];
  }
  return sum;
}

/** A spiral put together from its list: bearers, slats or a tray on them, the hose wound onto it, the cover. */
export function buildSpiral(list: CutList, typed: Typed): string[] {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const bearer = list.parts.find(({ id }) => id.endsWith('/bearer'));
  if (!bearer) throw new Error('no bearers');
  const side = lengthOf(bearer);
  const timber = findEntry('timber', bearer.item);
  const broad = timber?.width ?? 0;
  const high = thicknessOf(bearer);
  const slats = list.count('slat');
  const slat = slats > 0 ? list.parts.find(({ id }) => id.endsWith('/slat')) : undefined;
  // Where the slats are screwed is where the bearers lie; without slats they lie evenly, the outer ones flush.
  const rows = slat?.holes?.[0]?.positions;
  const places =
    rows ??
    Array.from({ length: bearer.count }, (_, index) => broad / 2 + ((side - broad) * index) / (bearer.count - 1));
  check(places.length === bearer.count, `${bearer.count} bearers for ${places.length} rows of screws`);
  const solids: Solid[] = places.map((y) =>
    place(list.take('bearer'), high, {
      origin: { x: 0, y: y - broad / 2, z: 0 },
      along: ['x', 1],
      up: ['y', 1],
      into: ['z', 1],
    }),
  );
  let bed = high;
  if (slat) {
    const wide = findEntry('timber', slat.item)?.width ?? 0;
    const gap = (side - wide) / (slats - 1);
    check(gap < 0.3 + 1e-9, `slats ${mm(gap)} apart`);
    for (let index = 0; index < slats; index += 1) {
      const solid = place(list.take('slat'), thicknessOf(slat), {
        origin: { x: index * gap + wide, y: 0, z: high },
        along: ['y', 1],
        up: ['x', -1],
        into: ['z', 1],
      });
      check(
        solids.slice(0, bearer.count).every((one) => touch(one, solid)),
        'a slat does not lie on every bearer',
      );
      for (const hole of solid.holes) {
        const tip = { x: hole.at.x ?? 0, y: hole.at.y ?? 0, z: high - 0.006 };
        const best = Math.max(...solids.slice(0, bearer.count).map((one) => depthIn(tip, one, 'z')));
        check(best > 0.0035, 'a screw through a slat misses its bearer');
      }
      solids.push(solid);
    }
    bed += thicknessOf(slat);
    check(Math.abs((slats - 1) * gap + wide - side) < tiny, 'the slats do not reach from side to side');
  }
  let room = side;
  if (list.has('back')) {
    const halves = [list.take('back'), list.take('back')];
    let y = 0;
    for (const half of halves) {
      if (half.kind !== 'sheet') throw new Error('the back is a sheet');
      solids.push(
        place(half, thicknessOf(half), {
          origin: { x: 0, y, z: high },
          along: ['x', 1],
          up: ['y', 1],
          into: ['z', 1],
        }),
      );
      y += half.height;
      bed = high + thicknessOf(half);
      check(Math.abs(half.width - side) < tiny, 'the back is not as long as its bearers');
    }
    check(Math.abs(y - side) < tiny, 'the halves of the back do not cover the base');
    check(
      places.some((at) => Math.abs(at - side / 2) < broad / 2 - 0.01),
      'the seam of the back lies on no bearer',
    );
    const boards = [list.take('side'), list.take('side'), list.take('end'), list.take('end')];
    const [first, , end] = boards as [(typeof boards)[0], (typeof boards)[0], (typeof boards)[0]];
    const wall = thicknessOf(first);
    const rise = first.kind === 'length' ? (first.section?.width ?? 0) : 0;
    check(Math.abs(lengthOf(end) + 2 * wall - side) < tiny, 'ends do not close the tray');
    const outline = typed.hose ? findEntry('hose', String(typed.hose))?.outerDiameter : undefined;
    check(Math.abs(rise - (outline ?? 0) - Number(typed.airGap)) < 1e-6, 'hose and air do not fill the sides');
    room = side - 2 * wall;
    const [one, other, near, far] = boards as [
      (typeof boards)[0],
      (typeof boards)[0],
      (typeof boards)[0],
      (typeof boards)[0],
    ];
    const sides = [
      place(one, wall, { origin: { x: 0, y: 0, z: bed }, along: ['x', 1], up: ['z', 1], into: ['y', 1] }),
      place(other, wall, { origin: { x: 0, y: side, z: bed }, along: ['x', 1], up: ['z', 1], into: ['y', -1] }),
      place(near, wall, { origin: { x: 0, y: wall, z: bed }, along: ['y', 1], up: ['z', 1], into: ['x', 1] }),
      place(far, wall, { origin: { x: side, y: wall, z: bed }, along: ['y', 1], up: ['z', 1], into: ['x', -1] }),
    ];
    // The stem of a bar hangs over the hose and does not touch it.
    layBars(list, { solids: sides, length: side, width: side, bearing: wall, wrong });
    check(Number(typed.airGap) > 0.0202, 'the bars hang into the hose');
    solids.push(...sides);
    const pane = list.bought('pane');
    const size = pane && orderedSize(pane);
    check(
      size !== undefined && Math.abs(size.width - side) < 1e-6 && Math.abs(size.height - side) < 1e-6,
      'the pane does not cover the tray',
    );
  }
  wrong.push(...clashesOf(solids));
  // The hose, wound from its own list: how far out it comes, and how much of it there is.
  const hose = findEntry('hose', String(typed.hose));
  if (!hose) throw new Error('no such hose');
  const starts = Number(typed.starts);
  const rounds = Number(typed.rounds);
  const step = starts * Number(typed.pitch);
  const outermost = Number(typed.inner) / 2 + step * rounds + hose.outerDiameter / 2;
  check(2 * outermost <= room - 0.02, `the outer hose reaches over its bed by ${mm(2 * outermost - room)}`);
  check(Number(typed.pitch) >= hose.outerDiameter - 1e-9, 'windings lie on each other');
  const wound = starts * chords(Number(typed.inner) / 2, step, rounds);
  const got = list.bought('hose')?.quantity ?? 0;
  check(
    got > wound + starts * 0.6 && got < wound + starts * 1.4,
    `${got.toFixed(2)} m of hose for ${wound.toFixed(2)} m of winding and ${2 * starts} tails`,
  );
  check((list.bought('tie')?.quantity ?? 0) >= 3 * starts * rounds, 'too few ties');
  check((list.bought('hose-tail')?.quantity ?? 0) === 2 * starts, 'not a tail for each end');
  check(bed > high, 'nothing carries the hose');
  wrong.push(...list.left().map((words) => `left over: ${words}`));
  return wrong;
}
