import { entry, type Sheet, type Timber } from '../../catalogue';
import { type GlazingDesign, glazings } from '../../glazings';
import {
  type Bearer,
  bearerAngle,
  type CradleLoad,
  type CradleStress,
  chockLength,
  chooseBearer,
  lyingPitch,
} from './cradle';
import type { BatchBoxParameters } from './parameters';

/** m. Wall of a heater tank: 2 to 3 mm of steel. Trade. */
export const tankWall = 0.0025;
/** Share of the cylinder over its ends that is water: the ends are domed in. Trade. */
const domed = 0.95;
/** m. Least height of the low face of a pane rail; and room left over the floor's insulation under the cradle. */
const railLow = 0.025;
const underCradle = 0.03;
/** Share of a leaning tank's length from its middle to each rail that runs across under it. */
const railShare = 0.3;
/** m. Least height of the front. */
const leastFront = 0.15;
/** Degrees within which a box is laid out; a tilt beyond is a clash. */
export const tilts = { low: 15, high: 65 } as const;

/** A place in the side profile: x from the front face to the back, z from the floor's top. m. */
export interface ProfilePoint {
  x: number;
  z: number;
}

/** What carries the tanks: bearers across from wall to wall, their ends on posts between the studs of the side walls. m. */
export interface Cradle {
  bearer: Bearer & { stress: CradleStress };
  /** Over the posts, and from post to post. */
  length: number;
  span: number;
  /** Under each lying tank, the lowest first: its middle, where its two bearers touch it, the top of the posts. */
  lying: { x: number; z: number; low: number; high: number; top: number; post: number }[];
  /** Under tanks that lean: places of bearers and foot rail up the slope, posts by their long edge and x of it, the stop before the foot rail. */
  leaning: Leaning | undefined;
}
/** A hole in the floor: m from its front edge and from its first side. */
export interface FloorHole {
  id: 'drain' | 'cold' | 'discharge' | 'hot' | 'sensor';
  words: string;
  x: number;
  y: number;
  diameter: number;
}
export interface Leaning {
  foot: number;
  bearers: { low: number; high: number };
  posts: Record<'foot' | 'front' | 'back', { at: number; length: number }>;
  stop: { at: number; height: number };
  chock: number;
}

/**
 * Where everything is. The box is cut by the plane of the pane, which leans at the tilt: x runs from its front face to its back, y across,
 * z up from the top of the floor. Lengths up the slope are x over the cosine of the tilt.
 */
export interface BatchBoxLayout {
  parameters: BatchBoxParameters;
  /** Degrees, as asked and as laid out. */
  askedTilt: number;
  tilt: number;
  slope: { sin: number; cos: number; tan: number };
  glazing: GlazingDesign;
  stud: Timber;
  rail: Timber;
  sheathing: Sheet;
  insulation: Sheet;
  /** m. Thickness of the sheathing, side of a stud, thickness of a whole wall. */
  ply: number;
  side: number;
  wall: number;
  /** m. Outside: depth along the ground and width. */
  depth: number;
  width: number;
  /** m. Front and back edge of the sides over the floor, where they meet the plane of the pane. */
  front: number;
  back: number;
  /** m. Height of the plane of the pane over the floor at a place of the profile. */
  planeAt(x: number): number;
  /** m. What a thickness square to the pane takes of a height. */
  upright(normal: number): number;
  /** m. Long edges. */
  studs: { front: number; back: number };
  /** Where both sheets of a side meet on a stud of their own, m from the front face, with its long edge and the height of the side there; nothing where one sheet has them. */
  joint: { at: number; stud: number; height: number } | undefined;
  /** m. Over its long points; square across. */
  slopeRail: number;
  paneRail: { length: number; section: { width: number; thickness: number } };
  cradle: Cradle;
  /** What the cradle is judged by. */
  load: CradleLoad;
  /** m. What the sun comes in through, up the slope and across. */
  opening: { length: number; width: number };
  /** Holes in the floor for pipes and wire, where nothing lies over them. */
  pipes: FloorHole[];
  /** m³ of one tank, and where its middle is: up the slope from the front wall, or across from the first wall. */
  tankVolume: number;
  tankPlaces: number[];
  /** m. From where to where tanks are seen up the slope, from the front top edge, looked at square to the pane. */
  spans: { from: number; to: number }[];
  /** Share of the opening behind which tanks lie, looked at square to the pane: upright walls hide what lies low before them. */
  fill: number;
  /** m that the tanks and the room round them take, up the slope and across. */
  taken: { length: number; width: number };
  lid: { length: number; width: number } | undefined;
}

export function layOut(parameters: BatchBoxParameters, tilt: number): BatchBoxLayout {
  const held = Math.min(tilts.high, Math.max(tilts.low, tilt));
  const radians = (held * Math.PI) / 180;
  const slope = { sin: Math.sin(radians), cos: Math.cos(radians), tan: Math.tan(radians) };
  const { paneLength, paneWidth, tankDiameter: across, tankLength: long, airGap, around, tanks, stand } = parameters;
  const stud = entry('timber', parameters.stud);
  const rail = entry('timber', parameters.rail);
  const sheathing = entry('sheet', parameters.sheathing);
  const insulation = entry('sheet', parameters.insulation);
  const kind = glazings[parameters.cover];
  const glazing = kind.open({ ...kind.standard(stud.tape), length: paneLength, width: paneWidth, bars: 0 });
  const ply = sheathing.thickness;
  const side = stud.thickness;
  const wall = ply + side;
  const depth = (paneLength + 2 * glazing.clearance) * slope.cos;
  const width = paneWidth + 2 * glazing.clearance;
  const upright = (normal: number) => normal / slope.cos;
  const opening = { length: (depth - 2 * wall) / slope.cos, width: width - 2 * wall };
  const lying = stand === 'lying';
  const tankVolume = (Math.PI / 4) * Math.max(0.05, across - 2 * tankWall) ** 2 * long * domed;
  const span = width - 2 * ply - side;
  const aside = across + around;
  const beside = (opening.width - (tanks - 1) * aside) / 2;
  const load = {
    lying,
    tilt: radians,
    across,
    long,
    mass: tankMass(parameters) + 1000 * tankVolume,
    places: Array.from({ length: tanks }, (_, index) => side / 2 + beside + index * aside),
    span,
    post: side,
  };
  const bearer = chooseBearer(load, stud, rail);
  const pitch = lying ? lyingPitch(load, bearer, around) : aside;
  const room = lying ? opening.length : opening.width;
  const first = (room - (tanks - 1) * pitch) / 2;
  const tankPlaces = Array.from({ length: tanks }, (_, index) => first + index * pitch);
  const deep = airGap + across / 2;
  /** How far up the slope from the front top edge something is that lies at the tanks' depth, from its place along it from the front wall. */
  const upOf = (place: number) => (wall - deep * slope.sin) / slope.cos + place;
  const middle = upOf(opening.length / 2);
  const spans =
    stand === 'lying'
      ? tankPlaces.map((place) => ({ from: upOf(place) - across / 2, to: upOf(place) + across / 2 }))
      : [{ from: middle - long / 2, to: middle + long / 2 }];
  const raised = insulation.thickness + underCradle;
  const stack = { across, airGap, bearer, side, slope };
  const foot = middle - long / 2;
  const front = Math.max(
    leastFront,
    raised -
      (lying ? lowestUnderLying(stack, wall + first * slope.cos) : lowestUnderLeaning(stack, foot, middle, long)),
  );
  const planeAt = (x: number) => front + x * slope.tan;
  const underRail = upright(side);
  const leaning = lying
    ? undefined
    : leaningCradle(stack, { foot, middle, long, planeAt, chock: chockLength(across, aside, beside, side) });
  const lyingTanks = lying ? tankPlaces.map((place) => underLying(stack, wall + place * slope.cos, planeAt)) : [];
  const over = gapsOver(stack, lyingTanks, leaning);
  const [short, largest] = [sheathing.width, sheathing.height].sort((a, b) => a - b) as [number, number];
  const at = jointAt({
    depth,
    front,
    back: planeAt(depth),
    planeAt,
    short,
    long: largest,
    wall,
    side,
    blocked: inWalls(stack, lyingTanks, leaning),
  });
  // Front and back stand upright: what is round meets them level, and what leans takes its thickness besides, and its stop at the foot.
  const taken = lying
    ? { length: upright(across + 2 * around) + (tanks - 1) * pitch, width: long + 2 * around }
    : {
        length:
          long +
          across * slope.tan +
          upright(2 * around) +
          upright(2 * Math.max(0, wall + side - (leaning?.stop.at ?? wall + side))),
        width: tanks * across + (tanks + 1) * around,
      };
  return {
    parameters,
    askedTilt: tilt,
    tilt: held,
    slope,
    glazing,
    stud,
    rail,
    sheathing,
    insulation,
    ply,
    side,
    wall,
    depth,
    width,
    front,
    back: planeAt(depth),
    planeAt,
    upright,
    studs: { front: planeAt(wall) - underRail, back: planeAt(depth - ply) - underRail },
    slopeRail: (depth - 2 * ply) / slope.cos + side * slope.tan,
    paneRail: {
      length: width - 2 * ply - 2 * side,
      section: { width: railLow + side * slope.tan, thickness: side },
    },
    load,
    cradle: {
      bearer,
      length: width - 2 * ply,
      span,
      lying: lyingTanks,
      leaning,
    },
    opening,
    tankVolume,
    tankPlaces,
    spans,
    fill:
      fillOf(spans, opening, wall / slope.cos) *
      (stand === 'lying' ? Math.min(1, long / opening.width) : Math.min(1, (tanks * across) / opening.width)),
    taken,
    joint: at === undefined ? undefined : { at, stud: planeAt(at + side / 2) - underRail, height: planeAt(at) },
    pipes: floorHoles({ wall, depth, width, ...over }),
    lid: parameters.lid === 'none' ? undefined : { length: depth / slope.cos, width },
  };
}

/** m between a stud on which sheets meet and what stands or lies beside it. */
const jointRoom = 0.003;

/** Whether a piece goes on a sheet, either way round. */
const goesOn = (one: number, other: number, short: number, long: number): boolean =>
  Math.min(one, other) <= short + 1e-9 && Math.max(one, other) <= long + 1e-9;

/** m from the front face to where the sides are joined, as near the middle as the cradle leaves room for a stud; nothing where one sheet has both, or none both parts. */
function jointAt(of: {
  depth: number;
  front: number;
  back: number;
  planeAt(x: number): number;
  short: number;
  long: number;
  wall: number;
  side: number;
  blocked: readonly [number, number][];
}): number | undefined {
  const { depth, front, back, planeAt, short, long, wall, side, blocked } = of;
  if (goesOn(depth, front + back, short, long)) return undefined;
  const half = side / 2 + jointRoom;
  const edges = [
    wall + half,
    depth / 2,
    depth - wall - half,
    ...blocked.flatMap(([from, to]) => [from - half, to + half]),
    // As far as a sheet reaches from either end.
    short,
    depth - short,
  ];
  const places = edges.filter(
    (x) =>
      x >= wall + half - 1e-9 &&
      x <= depth - wall - half + 1e-9 &&
      blocked.every(([from, to]) => x + half <= from + 1e-9 || x - half >= to - 1e-9),
  );
  const fits = (x: number) =>
    goesOn(x, front + planeAt(x), short, long) && goesOn(depth - x, planeAt(x) + back, short, long);
  return places.filter(fits).sort((a, b) => Math.abs(a - depth / 2) - Math.abs(b - depth / 2))[0];
}

/** m. Holes for pipes with the rubber round them, and for the sensor's wire; from the walls, and from pipe to pipe across. */
const pipeHole = 0.06;
const wireHole = 0.012;
const holeIn = 0.12;

/** Two holes at the front on one side, for drain and cold water; three behind on the other, for the relief's discharge, hot water and the wire. */
function floorHoles(at: {
  wall: number;
  depth: number;
  width: number;
  front: readonly [number, number][];
  back: readonly [number, number][];
}): FloorHole[] {
  const { wall, depth, width } = at;
  /** The middle of the widest gap: nothing lies over it. */
  const middle = (gaps: readonly [number, number][]) => {
    const [from, to] = [...gaps].sort((a, b) => b[1] - b[0] - (a[1] - a[0]))[0] as [number, number];
    return (from + to) / 2;
  };
  const front = middle(at.front.map(([from, to]) => [Math.max(wall, from), to]));
  const back = middle(at.back.map(([from, to]) => [from, Math.min(depth - wall, to)]));
  const far = width - wall;
  return [
    { id: 'drain', words: 'drain', x: front, y: wall + holeIn, diameter: pipeHole },
    { id: 'cold', words: 'cold in', x: front, y: wall + 2 * holeIn, diameter: pipeHole },
    { id: 'discharge', words: 'the relief’s discharge', x: back, y: far - holeIn, diameter: pipeHole },
    { id: 'hot', words: 'hot out', x: back, y: far - 2 * holeIn, diameter: pipeHole },
    { id: 'sensor', words: 'the sensor’s wire', x: back, y: far - 2.7 * holeIn, diameter: wireHole },
  ];
}

/** m along the ground: what bearers, posts and stops take of both side walls. */
function inWalls(
  { across, airGap, bearer, side, slope }: Stack,
  lying: Cradle['lying'],
  leaning: Leaning | undefined,
): [number, number][] {
  const beyond = Math.max(0, (side - bearer.wide) / 2);
  if (!leaning)
    return lying.flatMap(({ low, high }): [number, number][] => [
      [low - bearer.wide - beyond, low + beyond],
      [high - beyond, high + bearer.wide + beyond],
    ]);
  const top = airGap + across;
  const x = (up: number, deep: number) => up * slope.cos + deep * slope.sin;
  const { bearers, posts, stop, foot } = leaning;
  const half = bearer.wide / 2;
  return [
    [x(foot - bearer.deep, top - bearer.wide), x(foot, top)],
    ...[bearers.low, bearers.high].map((at): [number, number] => [x(at - half, top), x(at + half, top + bearer.deep)]),
    ...[stop, ...Object.values(posts)].map(({ at }): [number, number] => [at - side, at]),
  ];
}

/** m along the ground: where nothing of the cradle lies over the floor, at its front and behind. */
function gapsOver(
  { across, airGap, bearer, slope }: Stack,
  lying: Cradle['lying'],
  leaning: Leaning | undefined,
): { front: [number, number][]; back: [number, number][] } {
  const [first, last] = [lying[0], lying.at(-1)];
  const ends: [number, number] = [0, Number.POSITIVE_INFINITY];
  if (first && last)
    return {
      front: [
        [ends[0], first.low - bearer.wide],
        [first.low, first.high],
      ],
      back: [
        [last.low, last.high],
        [last.high + bearer.wide, ends[1]],
      ],
    };
  if (!leaning) return { front: [ends], back: [ends] };
  const top = airGap + across;
  const x = (up: number, deep: number) => up * slope.cos + deep * slope.sin;
  const { low, high } = leaning.bearers;
  const half = bearer.wide / 2;
  return {
    front: [
      [ends[0], leaning.stop.at],
      [x(leaning.foot, top), x(low - half, top)],
    ],
    back: [
      [x(low + half, top + bearer.deep), x(high - half, top)],
      [x(high + half, top + bearer.deep), ends[1]],
    ],
  };
}

/** What lies between the pane and the underside of the cradle. */
interface Stack {
  across: number;
  airGap: number;
  bearer: Bearer;
  side: number;
  slope: { sin: number; cos: number; tan: number };
}

/** m over the foot of the plane of the pane: the underside of the bearers of a lying tank whose middle is at x. */
function lowestUnderLying({ across, airGap, bearer, slope }: Stack, x: number): number {
  const middle = x * slope.tan - (airGap + across / 2) / slope.cos;
  return middle - (across / 2) * Math.cos((bearerAngle * Math.PI) / 180) - bearer.deep;
}

/** m over the foot of the plane of the pane: the lowest corner of foot rail and low bearer. */
function lowestUnderLeaning(
  { across, airGap, bearer, slope }: Stack,
  foot: number,
  middle: number,
  long: number,
): number {
  const top = airGap + across;
  const height = (up: number, deep: number) => up * slope.sin - deep * slope.cos;
  return Math.min(
    height(foot - bearer.deep, top),
    height(middle - railShare * long - bearer.wide / 2, top + bearer.deep),
  );
}

/** Where a lying tank is, and what it lies on. */
function underLying(
  { across, airGap, bearer, slope }: Stack,
  x: number,
  planeAt: (x: number) => number,
): Cradle['lying'][number] {
  const radius = across / 2;
  const beta = (bearerAngle * Math.PI) / 180;
  const z = planeAt(x) - (airGap + radius) / slope.cos;
  const top = z - radius * Math.cos(beta);
  return {
    x,
    z,
    low: x - radius * Math.sin(beta),
    high: x + radius * Math.sin(beta),
    top,
    post: top - bearer.deep,
  };
}

/** Bearers across under tanks that lean, each on posts whose tops lean with the pane; the foot rail with a stop before it. */
function leaningCradle(
  { across, airGap, bearer, side, slope }: Stack,
  at: { foot: number; middle: number; long: number; planeAt(x: number): number; chock: number },
): Leaning {
  const { foot, middle, long, planeAt, chock } = at;
  const top = airGap + across;
  const { wide, deep } = bearer;
  const bearers = { low: middle - railShare * long, high: middle + railShare * long };
  /** The long edge of a post under the middle of what lies so far up the slope with its underside so deep. */
  const post = (up: number, under: number) => {
    const x = up * slope.cos + under * slope.sin + side / 2;
    return { at: x, length: planeAt(x) - under / slope.cos };
  };
  return {
    foot,
    bearers,
    posts: {
      foot: post(foot - deep / 2, top),
      front: post(bearers.low, top + deep),
      back: post(bearers.high, top + deep),
    },
    // The edge of the foot rail that lies farthest to the front, and a finger's breadth over it.
    stop: {
      at: (foot - deep) * slope.cos + (top - wide) * slope.sin,
      height: planeAt(0) + (foot - deep) * slope.sin - (top - wide) * slope.cos + 0.02,
    },
    chock,
  };
}

/** Share of the opening's length that spans cover. */
function fillOf(spans: readonly { from: number; to: number }[], opening: { length: number }, start: number): number {
  const seen = spans.reduce(
    (sum, { from, to }) => sum + Math.max(0, Math.min(to, start + opening.length) - Math.max(from, start)),
    0,
  );
  return opening.length > 0 ? Math.min(1, seen / opening.length) : 0;
}

/** kg of one bare tank: its shell and two ends. */
export function tankMass({ tankDiameter: across, tankLength: long }: BatchBoxParameters): number {
  return 7850 * tankWall * (Math.PI * across * long + (Math.PI / 2) * across ** 2);
}
