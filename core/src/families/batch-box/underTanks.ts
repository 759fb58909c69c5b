import { type Bearer, bearerAngle, type CradleStress } from './cradle';

/** Share of a leaning tank's length from its middle to each rail that runs across under it. */
const railShare = 0.3;
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
export interface Leaning {
  foot: number;
  bearers: { low: number; high: number };
  posts: Record<'foot' | 'front' | 'back', { at: number; length: number }>;
  stop: { at: number; height: number };
  chock: number;
}

/** m along the ground: what bearers, posts and stops take of both side walls. */
export function inWalls(
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
export function gapsOver(
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
export interface Stack {
  across: number;
  airGap: number;
  bearer: Bearer;
  side: number;
  slope: { sin: number; cos: number; tan: number };
}

/** m over the foot of the plane of the pane: the underside of the bearers of a lying tank whose middle is at x. */
export function lowestUnderLying({ across, airGap, bearer, slope }: Stack, x: number): number {
  const middle = x * slope.tan - (airGap + across / 2) / slope.cos;
  return middle - (across / 2) * Math.cos((bearerAngle * Math.PI) / 180) - bearer.deep;
}

/** m over the foot of the plane of the pane: the lowest corner of foot rail and low bearer. */
export function lowestUnderLeaning(
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
export function underLying(
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
export function leaningCradle(
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
