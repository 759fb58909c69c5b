import { findEntry } from '../../catalogue';
import type { Part } from '../../shop';
import { type CutList, lengthOf, orderedSize, type Typed, thicknessOf } from './list.fixture';
import { tiny } from './solids.fixture';

const mm = (metres: number) => `${(metres * 1000).toFixed(1)} mm`;

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
  const pairs = (list.has('sides') ? ['sides'] : ['sides-front', 'sides-back']).map((role) => {
    const one = list.take(role);
    if (one.kind !== 'sheet' || !one.pair) throw new Error('the sides are no pair');
    alike(one.height - one.pair.to, one.pair.from, 'the upper side is not as high in front as the lower one');
    alike(one.height - one.pair.from, one.pair.to, 'the upper side is not as high behind as the lower one');
    return { ...one, from: one.pair.from, to: one.pair.to };
  });
  const [foremost, hindmost] = [pairs[0], pairs.at(-1)];
  if (!foremost || !hindmost) throw new Error('a box has sides');
  const depth = pairs.reduce((sum, one) => sum + one.width, 0);
  const [front, back] = [foremost.from, hindmost.to];
  const ply = thicknessOf(foremost);
  const rise = (back - front) / depth;
  // Both sheets of a joined side have one straight upper edge, and the same height where they meet.
  const joint = pairs.length > 1 ? foremost.width : undefined;
  if (joint !== undefined) {
    alike(foremost.to, hindmost.from, 'both sheets of a side are not as high where they meet');
    alike(foremost.to, front + rise * joint, 'the upper edge of a joined side has a corner');
  }
  for (const one of pairs) {
    const sheet = findEntry('sheet', one.item);
    const sold = [sheet?.width ?? 0, sheet?.height ?? 0].sort((a, b) => a - b);
    const cut = [one.width, one.height].sort((a, b) => a - b);
    check(
      (cut[0] ?? 0) <= (sold[0] ?? 0) + tiny && (cut[1] ?? 0) <= (sold[1] ?? 0) + tiny,
      `${one.name} is on no sheet`,
    );
  }
  const tilt = (Math.atan(rise) * 180) / Math.PI;
  const plane = (x: number) => front + rise * x;
  const cosine = Math.cos(Math.atan(rise));
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
  if (joint !== undefined)
    for (let count = 0; count < 2; count += 1) {
      const stud = list.take('stud-joint');
      alike(bevelOf(stud), tilt, `${stud.name} is bevelled at another angle`, 1e-3);
      alike(lengthOf(stud), plane(joint + side / 2) - side / cosine, `${stud.name} does not end under its rail`);
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
  const insulation = list.take('insulation-floor');
  const board = thicknessOf(insulation);
  const pieces = { list, typed, ply, wall, depth, width, plane, rise, board, tilt, check, alike };
  const over = typed.stand === 'lying' ? layLying(pieces) : standLeaning(pieces);
  // Pipes come straight up through the floor: nothing of the cradle over them, clear of the walls and of each other.
  const pipes = (floor.holes ?? []).flatMap(({ positions, across: from, diameter }) =>
    positions.map((x) => ({ x, y: from?.distance ?? Number.NaN, radius: diameter / 2 })),
  );
  check(pipes.length === 5, `the floor has ${pipes.length} holes: drain, cold, hot, discharge and wire go through it`);
  for (const [index, { x, y, radius }] of pipes.entries()) {
    check(x - radius > wall && x + radius < depth - wall, `a pipe meets front or back at ${mm(x)}`);
    check(y - radius > wall + 0.02 && y + radius < width - wall - 0.02, `a pipe meets a side at ${mm(y)}`);
    for (const [from, to] of over)
      check(
        x - 0.015 > to || x + 0.015 < from,
        `a pipe at ${mm(x)} comes up under a bearer from ${mm(from)} to ${mm(to)}`,
      );
    for (const other of pipes.slice(index + 1))
      check(Math.hypot(x - other.x, y - other.y) > radius + other.radius, `two pipes meet at ${mm(x)}, ${mm(y)}`);
  }
  const inDepth = depth - 2 * wall;
  const inWidth = width - 2 * wall;
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
  const fields =
    joint === undefined
      ? ([['insulation-sides', wall, depth - wall]] as const)
      : ([
          ['insulation-front-sides', wall, joint - side / 2],
          ['insulation-back-sides', joint + side / 2, depth - wall],
        ] as const);
  for (const [role, from, to] of fields) {
    const walls = list.take(role);
    if (walls.kind !== 'sheet' || !walls.pair) throw new Error('the insulation of the sides is no pair');
    alike(walls.width, to - from, 'the sides are not insulated from front to back');
    alike(walls.pair.from, plane(from) - side / cosine, 'the sides’ insulation does not end under the rail in front');
    alike(walls.pair.to, plane(to) - side / cosine, 'the sides’ insulation does not end under the rail behind');
  }
  // The stud on which sheets meet stands clear of bearers, that reach from wall to wall, and of their posts.
  if (joint !== undefined)
    for (const [from, to] of over)
      check(
        joint - side / 2 > to || joint + side / 2 < from,
        `the stud at ${mm(joint)} stands in a bearer from ${mm(from)} to ${mm(to)}`,
      );
  // Skids lie under both sides, as long as the floor.
  for (let count = list.count('skid'); count > 0; count -= 1)
    alike(lengthOf(list.take('skid')), depth, 'a skid is not as long as the floor');
  check(list.count('skid') >= 2, 'nothing bears the floor under the posts of both sides');
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

/** A box as far as it stands, for the cradle in it. */
interface Standing {
  list: CutList;
  typed: Typed;
  ply: number;
  wall: number;
  depth: number;
  width: number;
  plane(x: number): number;
  rise: number;
  board: number;
  tilt: number;
  check(fine: boolean, words: string): void;
  alike(a: number, b: number, words: string, within?: number): void;
}

/** m. Both sides of a stick as sold: across its load and along it, where it lies on edge. */
function stickOf(part: Part): { wide: number; deep: number } {
  const timber = findEntry('timber', part.item);
  if (!timber) throw new Error(`${part.id} is no timber`);
  return { wide: Math.min(timber.width, timber.thickness), deep: Math.max(timber.width, timber.thickness) };
}

/** N. One tank full of cold water, by the steel that is bought and the cylinder that it is. */
function fullTank({ list, typed }: Standing): number {
  const steel = list.bought('tank');
  if (!steel) throw new Error('no tanks are bought');
  const [across, long] = [Number(typed.tankDiameter), Number(typed.tankLength)];
  const water = 1000 * (Math.PI / 4) * (across - 0.005) ** 2 * long * 0.95;
  return 9.81 * (steel.mass / steel.quantity + water);
}

/** N·m. Largest moment in a beam on two ends, by cutting it at many places. */
function largestMoment(span: number, loads: readonly { at: number; force: number }[]): number {
  const first = loads.reduce((sum, { at, force }) => sum + force * (1 - at / span), 0);
  let most = 0;
  for (let cut = 0; cut <= 400; cut += 1) {
    const x = (cut / 400) * span;
    most = Math.max(
      most,
      loads.reduce((sum, { at, force }) => sum - force * Math.max(0, x - at), first * x),
    );
  }
  return most;
}

/** Pa. Softwood of the lowest usual class under load for years, in the warmth of a box: 16 MPa × 0.6 / 1.3 × 0.8. */
const lastingBending = 5.91e6;

/** Each tank between two level bearers whose ends stand on posts in the side walls; gives what bearers cover of the floor, by x. */
function layLying(at: Standing): [number, number][] {
  const { list, typed, ply, wall, depth, width, plane, rise, board, check, alike } = at;
  const tanks = list.bought('tank')?.quantity ?? 0;
  const radius = Number(typed.tankDiameter) / 2;
  const [gap, around, long] = [Number(typed.airGap), Number(typed.around), Number(typed.tankLength)];
  const cosine = Math.cos(Math.atan(rise));
  const laid: { x: number; z: number; top: number }[] = [];
  let stick = { wide: 0, deep: 0 };
  for (let tank = 1; tank <= tanks; tank += 1) {
    const posts = [1, 2, 3, 4].map(() => list.take(`post-${tank}`));
    const bearers = [list.take('bearer'), list.take('bearer')];
    const [post, bearer] = [posts[0] as Part, bearers[0] as Part];
    check(!post.ends?.length, `a level bearer does not lie on the slanting top of ${post.name}`);
    alike(lengthOf(bearer), width - 2 * ply, 'a bearer does not reach from wall to wall');
    stick = stickOf(bearer);
    const top = lengthOf(post) + stick.deep;
    // The tank lies where its shell meets both inner edges, 25° from straight below its middle, and its pane side under the pane.
    const middle = top + radius * Math.cos((25 * Math.PI) / 180);
    const x = (middle + (gap + radius) / cosine - plane(0)) / rise;
    laid.push({ x, z: middle, top });
    check(
      lengthOf(post) > board + 0.02,
      `a bearer lies in the floor’s insulation: its posts are ${mm(lengthOf(post))}`,
    );
    check(middle - radius > board + 0.005, `a tank lies in the floor’s insulation by ${mm(board - middle + radius)}`);
    check(x - radius - wall > around - 1e-6, `tank ${tank} has ${mm(x - radius - wall)} before it`);
    check(depth - wall - x - radius > around - 1e-6, `tank ${tank} has ${mm(depth - wall - x - radius)} behind it`);
  }
  check(
    width - 2 * wall - long > 2 * around - 1e-6,
    `the tanks have ${mm((width - 2 * wall - long) / 2)} at their ends`,
  );
  const half = radius * Math.sin((25 * Math.PI) / 180);
  for (const [index, upper] of laid.entries()) {
    const lower = laid[index - 1];
    if (!lower) continue;
    const apart = Math.hypot(upper.x - lower.x, upper.z - lower.z) - 2 * radius;
    check(apart > around - 1e-6, `there are ${mm(apart)} between two tanks`);
    // Any place of both bearers of the upper tank against the lower tank, and the other way round.
    for (const [one, other] of [
      [upper, lower],
      [lower, upper],
    ] as const)
      for (const left of [one.x - half - stick.wide, one.x + half])
        for (let across = 0; across <= 8; across += 1)
          for (let up = 0; up <= 8; up += 1) {
            const far = Math.hypot(
              left + (stick.wide * across) / 8 - other.x,
              one.top - (stick.deep * up) / 8 - other.z,
            );
            check(far > radius + 0.002, `a bearer lies in the next tank by ${mm(radius - far)}`);
          }
    const posts = upper.x - half - (lower.x + half) - 2 * Math.max(stick.wide, (stick.wide + wall - ply) / 2);
    check(posts > 0, `posts of two tanks stand in each other by ${mm(-posts)}`);
  }
  // Carried: half a tank down on each bearer and tan 25° of it sideways, spread over the tank.
  const span = width - 2 * ply - (wall - ply);
  const loads = Array.from({ length: 60 }, (_, index) => ({
    at: (span - long) / 2 + ((index + 0.5) / 60) * long,
    force: fullTank(at) / 2 / 60,
  }));
  const moment = largestMoment(span, loads);
  const bent =
    (6 * moment) / (stick.wide * stick.deep ** 2) +
    (6 * moment * Math.tan((25 * Math.PI) / 180)) / (stick.deep * stick.wide ** 2);
  check(bent < 1.01 * lastingBending, `a bearer is bent to ${(bent / 1e6).toFixed(1)} MPa`);
  strapped(at, radius * 2 * Math.PI * (1 - 50 / 360));
  return laid.flatMap(({ x }): [number, number][] => [
    [x - half - stick.wide, x - half],
    [x + half, x + half + stick.wide],
  ]);
}

/** Gives what lies over the floor, by x. Tanks that lean stand on a foot rail against two bearers across; the foot rail leans on a stop. */
function standLeaning(at: Standing): [number, number][] {
  const { list, typed, ply, wall, depth, width, plane, rise, board, tilt, check, alike } = at;
  const tanks = list.bought('tank')?.quantity ?? 0;
  const [across, gap] = [Number(typed.tankDiameter), Number(typed.airGap)];
  const [around, long] = [Number(typed.around), Number(typed.tankLength)];
  const [cosine, sine] = [Math.cos(Math.atan(rise)), Math.sin(Math.atan(rise))];
  const bearers = [list.take('bearer'), list.take('bearer')];
  const foot = list.take('foot-rail');
  for (const one of [...bearers, foot])
    alike(lengthOf(one), width - 2 * ply, `${one.name} does not reach from wall to wall`);
  const { wide, deep } = stickOf(bearers[0] as Part);
  const side = wall - ply;
  // Where the tanks lie along the slope: their middle is the middle of the room at the depth of their own middle.
  const level = (depth - 2 * wall) / cosine / 2 + (wall - (gap + across / 2) * sine) / cosine;
  const stands = (up: number, under: number) => up * cosine + under * sine + side / 2;
  const ledge = level - long / 2;
  for (const [role, x, under] of [
    ['post-foot', stands(ledge - deep / 2, gap + across), gap + across],
    ['post-front', stands(level - 0.3 * long, gap + across + deep), gap + across + deep],
    ['post-back', stands(level + 0.3 * long, gap + across + deep), gap + across + deep],
  ] as const)
    for (let count = list.count(role); count > 0; count -= 1) {
      const post = list.take(role);
      alike(bevelOf(post), tilt, `${post.name} is bevelled at another angle`, 1e-3);
      alike((plane(x) - lengthOf(post)) * cosine, under, `${post.name} does not end under what it carries`);
      check(lengthOf(post) > board + 0.01, `what lies on ${post.name} lies in the floor’s insulation`);
    }
  // The stop stands before the foot rail, between it and the front stud, and is higher than the edge that leans on it.
  const edge = (ledge - deep) * cosine + (gap + across - wide) * sine;
  const edgeHeight = plane(0) + (ledge - deep) * sine - (gap + across - wide) * cosine;
  const uprights = list.count('foot-stop');
  for (const role of ['post-foot', 'post-front', 'post-back'])
    alike(list.count(role), uprights, `there are not as many of ${role} as stops`);
  for (let count = 0; count < uprights; count += 1) {
    const stop = list.take('foot-stop');
    check(
      lengthOf(stop) > edgeHeight + 0.005,
      `a stop of ${mm(lengthOf(stop))} does not hold an edge at ${mm(edgeHeight)}`,
    );
  }
  check(edge - side > wall - 1e-6, `the stop stands in the front stud by ${mm(wall + side - edge)}`);
  const row = tanks * across + (tanks - 1) * around;
  const inWidth = width - 2 * wall;
  check(inWidth - row > 2 * around - 1e-6, `the tanks have ${mm((inWidth - row) / 2)} beside them`);
  const leant = long * cosine + across * rise * cosine;
  check(
    depth - 2 * wall - leant > 2 * around - 1e-6,
    `the tanks have ${mm((depth - 2 * wall - leant) / 2)} before and behind them`,
  );
  // A chock on each side of each tank on both bearers, in the room that tanks and walls leave at its height.
  const chocks = Array.from({ length: 4 * tanks }, () => list.take('chock'));
  const chock = lengthOf(chocks[0] as Part);
  const bulge = Math.sqrt((across / 2) ** 2 - (across / 2 - side) ** 2);
  check(2 * chock <= across + around - 2 * bulge + 1e-6, `two chocks of ${mm(chock)} do not go between two tanks`);
  check(
    chock <= (inWidth - row) / 2 + across / 2 - bulge + 1e-6,
    `a chock of ${mm(chock)} does not go beside the first tank`,
  );
  // Carried: half a tank's part square to the slope on each bearer, all of its part along it on the foot rail.
  const span = width - 2 * ply - side;
  const weight = fullTank(at);
  const spans = uprights - 1;
  const places = Array.from({ length: tanks }, (_, index) => span / 2 + (index - (tanks - 1) / 2) * (across + around));
  const moment = (force: number) =>
    Math.max(
      ...Array.from({ length: spans }, (_, part) => {
        const [from, to] = [(part * span) / spans, ((part + 1) * span) / spans];
        return largestMoment(
          span / spans,
          places.filter((at) => at >= from && at <= to).map((at) => ({ at: at - from, force })),
        );
      }),
    );
  const worst = Math.max(moment((weight * cosine) / 2), moment(weight * sine));
  const bent = (6 * worst) / (wide * deep ** 2);
  check(bent < 1.01 * lastingBending, `a bearer or the foot rail is bent to ${(bent / 1e6).toFixed(1)} MPa`);
  strapped(at, (Math.PI / 2 + 1) * across);
  const extent = (up: number, half: number, top: number, thick: number): [number, number] => [
    (up - half) * cosine + top * sine,
    (up + half) * cosine + (top + thick) * sine,
  ];
  return [
    extent(ledge - deep / 2, deep / 2, gap + across - wide, wide),
    extent(level - 0.3 * long, wide / 2, gap + across, deep),
    extent(level + 0.3 * long, wide / 2, gap + across, deep),
  ];
}

/** Held: two straps a tank that go round it and are screwed down at both ends. */
function strapped({ list, check }: Standing, round: number): void {
  const tanks = list.bought('tank')?.quantity ?? 0;
  const strap = list.bought('tank-strap')?.quantity ?? 0;
  check(strap >= 2 * tanks * (round + 0.15), `${mm(strap)} of strap for ${tanks} tanks`);
}
