import { findEntry } from '../../catalogue';
import type { Part } from '../../shop';
import { type CutList, lengthOf, orderedSize, type Typed, thicknessOf } from './list.fixture';
import { tiny } from './solids.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

/** m. Between the walls, along the ground. */
const inDepthOf = (depth: number, wall: number) => depth - 2 * wall;

/** Degrees of the bevels of a piece, all alike; throws where they are not. */
function bevelOf(part: Part): number {
  const angles = new Set((part.ends ?? []).map(({ angle }) => angle.toFixed(6)));
  if (angles.size !== 1) throw new Error(`${part.id} has bevels of ${[...angles].join(', ')}`);
  return Number([...angles][0]);
}

/**
 * A box of tanks put together from its list in the side profile: the sides as they are sawn apart, everything else held to the line that
 * their upper edges make. Pieces with bevels are taken by their long points and the angle that the list gives.
 */
export function buildBatchBox(list: CutList, typed: Typed): string[] {
  const wrong: string[] = [];
  const check = (fine: boolean, words: string) => {
    if (!fine) wrong.push(words);
  };
  const alike = (a: number, b: number, words: string, within = 1e-4) =>
    check(Math.abs(a - b) < within, `${words}: ${mm(a)} against ${mm(b)}`);
  // Two sides out of one sheet: the lower one stands as it was sawn, the upper one is turned half round and over.
  const pair = list.take('sides');
  if (pair.kind !== 'sheet' || !pair.pair) throw new Error('the sides are no pair');
  const { width: depth, height } = pair;
  const { from: front, to: back } = pair.pair;
  alike(height - back, front, 'the upper side is not as high in front as the lower one');
  alike(height - front, back, 'the upper side is not as high behind as the lower one');
  const ply = thicknessOf(pair);
  const rise = (back - front) / depth;
  const tilt = (Math.atan(rise) * 180) / Math.PI;
  const plane = (x: number) => front + rise * x;
  const cosine = Math.cos(Math.atan(rise));
  const sine = Math.sin(Math.atan(rise));
  // Floor, front and back close the box between the sides.
  const floor = list.take('floor');
  if (floor.kind !== 'sheet') throw new Error('the floor is a sheet');
  alike(floor.width, depth, 'the floor is not as deep as the sides');
  const width = floor.height;
  const faces = [
    [list.take('front'), front],
    [list.take('back'), plane(depth - ply)],
  ] as const;
  for (const [face, top] of faces) {
    if (face.kind !== 'sheet') throw new Error('front and back are sheets');
    alike(face.width, width - 2 * ply, `${face.name} does not lie between the sides`);
    alike(face.height, top, `${face.name} does not end under the pane`);
  }
  // Studs end under the sloping rail that lies on them, flush with the sides.
  const rails = [list.take('rail-slope'), list.take('rail-slope')];
  const [rail] = rails as [Part, Part];
  const side = thicknessOf(rail);
  const wall = ply + side;
  alike(bevelOf(rail), tilt, 'the sloping rail is bevelled at another angle than the sides', 1e-3);
  alike((lengthOf(rail) - side * rise) * cosine, depth - 2 * ply, 'the sloping rail does not reach from front to back');
  for (const [role, x] of [
    ['stud-front', wall],
    ['stud-back', depth - ply],
  ] as const)
    for (let count = 0; count < 2; count += 1) {
      const stud = list.take(role);
      alike(bevelOf(stud), tilt, `${stud.name} is bevelled at another angle`, 1e-3);
      alike(lengthOf(stud), plane(x) - side / cosine, `${stud.name} does not end under its rail`);
    }
  // Pane rails: between the sloping rails, their upper edge in the plane of the sides.
  for (let count = 0; count < 2; count += 1) {
    const one = list.take('pane-rail');
    if (one.kind !== 'length' || !one.section || !one.ripped) throw new Error('a pane rail is ripped');
    alike(lengthOf(one), width - 2 * wall, 'a pane rail does not lie between the sloping rails');
    alike(one.ripped.angle, tilt, 'a pane rail is ripped at another angle than the pane leans', 1e-3);
    check(one.section.width - one.section.thickness * rise > 0.015, 'nothing is left of a pane rail at its low face');
    alike(one.section.thickness, side, 'a pane rail is not as thick as the studs');
  }
  const pane = list.bought('pane');
  const size = pane && orderedSize(pane);
  if (!size) throw new Error('no pane is ordered');
  const clearance = depth / cosine / 2 - size.height / 2;
  check(clearance > 0.0005 && clearance < 0.02, `the pane has ${mm(clearance)} at its ends`);
  alike((width - size.width) / 2, clearance, 'the pane has not the same room across as along');
  check(side - clearance > 0.015, `the pane bears on ${mm(side - clearance)} of rail`);
  // The cradle: posts on the floor, rails on them, tanks on those as far under the pane as was typed.
  const cradle = [list.take('cradle-rail'), list.take('cradle-rail')];
  const across = Number(typed.tankDiameter);
  const gap = Number(typed.airGap);
  const lying = typed.stand === 'lying';
  const [beam] = cradle as [Part, Part];
  const thick = thicknessOf(beam);
  if (lying) {
    alike(bevelOf(beam), tilt, 'a cradle rail is bevelled at another angle', 1e-3);
    alike((lengthOf(beam) - thick * rise) * cosine, depth - 2 * wall, 'the cradle does not reach from wall to wall');
  } else {
    alike(lengthOf(beam), width - 2 * wall, 'the cradle does not reach across');
    alike(lengthOf(list.take('foot-rail')), width - 2 * wall, 'the foot rail does not reach across');
  }
  // Posts stand at the walls, or each under the middle of its rail: three tenths of the tank from the tank's own middle.
  const level = inDepthOf(depth, wall) / cosine / 2 + (wall - (gap + across / 2) * sine) / cosine;
  const stands = (share: number) =>
    (level + share * Number(typed.tankLength)) * cosine + (gap + across + thick) * sine + side / 2;
  for (const [role, x] of [
    ['post-front', lying ? wall + side : stands(-0.3)],
    ['post-back', lying ? depth - wall : stands(0.3)],
  ] as const)
    for (let count = 0; count < 2; count += 1) {
      const post = list.take(role);
      alike(bevelOf(post), tilt, `${post.name} is bevelled at another angle`, 1e-3);
      // Its top carries the cradle, the tank and the gap, each square to the pane.
      const over = (plane(x) - lengthOf(post)) * cosine;
      alike(over - thick - across, gap, `over ${post.name} the tanks are not as far under the pane as typed`);
    }
  const insulation = list.take('insulation-floor');
  const board = thicknessOf(insulation);
  const lowest = plane(wall) - (gap + across + thick) / cosine;
  check(lowest > board, `the cradle lies ${mm(board - lowest)} in the floor's insulation`);
  // Tanks clear the walls and each other by what was typed.
  const tanks = list.bought('tank')?.quantity ?? 0;
  const around = Number(typed.around);
  const long = Number(typed.tankLength);
  const [inDepth, inWidth] = [depth - 2 * wall, width - 2 * wall];
  if (lying) {
    const row = across + (tanks - 1) * (across + around) * cosine;
    check(inDepth - row > 2 * around - 1e-6, `the tanks have ${mm((inDepth - row) / 2)} before and behind them`);
    check(inWidth - long > 2 * around - 1e-6, `the tanks have ${mm((inWidth - long) / 2)} at their ends`);
  } else {
    const row = tanks * across + (tanks - 1) * around;
    check(inWidth - row > 2 * around - 1e-6, `the tanks have ${mm((inWidth - row) / 2)} beside them`);
    const leant = long * cosine + across * rise * cosine;
    check(inDepth - leant > 2 * around - 1e-6, `the tanks have ${mm((inDepth - leant) / 2)} before and behind them`);
  }
  check(list.count('chock') >= tanks, 'a tank has no chock');
  for (let left = list.count('chock'); left > 0; left -= 1) list.take('chock');
  // Insulation fills the fields that studs and rails leave.
  check(board <= side + tiny, 'insulation stands out of the studs');
  if (insulation.kind !== 'sheet') throw new Error('insulation is sheet');
  alike(insulation.width, inDepth, 'the floor is not covered from front to back');
  alike(insulation.height, inWidth, 'the floor is not covered from side to side');
  for (const role of ['insulation-front', 'insulation-back']) {
    const piece = list.take(role);
    if (piece.kind !== 'sheet') throw new Error('insulation is sheet');
    alike(piece.width, width - 2 * wall, `${piece.name} does not lie between the studs`);
    check(piece.height < (role.endsWith('front') ? front : back), `${piece.name} stands over the pane`);
  }
  const walls = list.take('insulation-sides');
  if (walls.kind !== 'sheet' || !walls.pair) throw new Error('the insulation of the sides is no pair');
  alike(walls.width, inDepth, 'the sides are not insulated from front to back');
  alike(walls.pair.from, plane(wall) - side / cosine, 'the sides’ insulation does not end under the rail in front');
  alike(walls.pair.to, plane(depth - wall) - side / cosine, 'the sides’ insulation does not end under the rail behind');
  // Pipes go through the floor clear of walls, posts and rails.
  for (const hole of floor.holes ?? [])
    for (const x of hole.positions)
      check(
        x - hole.diameter / 2 > wall + side && x + hole.diameter / 2 < depth - wall - side,
        `a pipe meets a post at ${mm(x)}`,
      );
  // The lid covers the box, its insulation within its frame.
  if (list.has('lid')) {
    const lid = list.take('lid');
    const inner = list.take('lid-insulation');
    if (lid.kind !== 'sheet' || inner.kind !== 'sheet') throw new Error('the lid is sheet');
    alike(lid.width * cosine, depth, 'the lid does not cover the pane');
    alike(lid.height, width, 'the lid is not as wide as the box');
    const frames = ['lid-long', 'lid-long', 'lid-short', 'lid-short'].map((role) => list.take(role));
    const [first, , third] = frames as [Part, Part, Part, Part];
    const frame = thicknessOf(first);
    alike(lengthOf(first), lid.height, 'the lid’s frame is not as long as the lid is wide');
    alike(lengthOf(third) + 2 * frame, lid.width, 'the lid’s frame does not close');
    alike(inner.width + 2 * frame, lid.width, 'the lid’s insulation does not fill its frame');
    alike(inner.height + 2 * frame, lid.height, 'the lid’s insulation does not fill its frame across');
    const deep = (first.kind === 'length' && first.section?.width) || 0;
    alike(deep, findEntry('sheet', inner.item)?.thickness ?? 0, 'the lid’s frame is not as deep as its insulation');
  }
  return [...wrong, ...list.left().map((words) => `left over: ${words}`)];
}
