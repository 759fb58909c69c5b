import { entry, type Sheet, type Timber } from '../../catalogue';
import { type GlazingDesign, glazings } from '../../glazings';
import { type CradleLoad, chockLength, chooseBearer, lyingPitch } from './cradle';
import { type FloorHole, floorHoles } from './floorHoles';
import { jointAt } from './joint';
import type { BatchBoxParameters } from './parameters';
import {
  type Cradle,
  gapsOver,
  inWalls,
  leaningCradle,
  lowestUnderLeaning,
  lowestUnderLying,
  underLying,
} from './underTanks';

/** m. Wall of a heater tank: 2 to 3 mm of steel. Trade. */
export const tankWall = 0.0025;
/** Share of the cylinder over its ends that is water: the ends are domed in. Trade. */
const domed = 0.95;
/** m. Least height of the low face of a pane rail; and room left over the floor's insulation under the cradle. */
const railLow = 0.025;
const underCradle = 0.03;
/** m. Least height of the front. */
const leastFront = 0.15;
/** Degrees within which a box is laid out; a tilt beyond is a clash. */
export const tilts = { low: 15, high: 65 } as const;

/** A place in the side profile: x from the front face to the back, z from the floor's top. m. */
export interface ProfilePoint {
  x: number;
  z: number;
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
