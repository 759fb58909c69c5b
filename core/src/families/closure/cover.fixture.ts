import { entry } from '../../catalogue';
import type { Part } from '../../shop';
import { type CutList, lengthOf, orderedSize, type Typed } from './list.fixture';
import { type Solid, tiny } from './solids.fixture';

/** The pane on its ledge: in the middle, slid aside each way, over its gasket, under the rim; and its bars in their slots. */
export function layPane(
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
export function checkEdge(
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
