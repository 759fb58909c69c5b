import { entry, type Hose, hoseBore, type Sheet, type Timber } from '../../catalogue';
import { type GlazingDesign, glazings } from '../../glazings';
import { evenlyAlong } from '../../shop';
import { spiralEnd, spiralLength } from './archimedes';
import type { SpiralParameters } from './parameters';

/** m. Base round the outermost hose, and hose left at both ends of each to reach its manifold. */
export const margin = 0.04;
export const tail = 0.5;
/** m that a hose under a cover runs on beyond its spiral, to the hole in the back through which it leaves. */
const runsOn = 0.06;
/** m by which that hole is wider than the hose, for the thread of its bulkhead; and room for the nut beside a bearer. Trade. */
const holeOver = 0.004;
const nutRoom = 0.012;
/** Degrees between two ways of turning the whole spiral that are tried. */
const turnStep = 2;
/** m. Slats no further apart than so much, and bearers: a hose full of warm water hangs through between. Judgement. */
const slatSpacing = 0.3;
const bearerSpacing = 0.8;
/** m. Under a cover no two bars are further apart: twin-wall and glass of this thickness bear a little snow then. Judgement. */
const barSpacing = 0.7;
/** m. Panes are sold from and to. */
export const paneRange = { low: 0.3, high: 3.2 } as const;

/** One time round of a hose. */
export interface Winding {
  /** m. Mean radius, and hose in it. */
  radius: number;
  length: number;
}

/** Holes in the back through which the hoses leave a tray, from its left and near edges; m. */
export interface Exits {
  /** Across each. */
  hole: number;
  /** One for each hose, first to last. */
  inner: { x: number; y: number }[];
  outer: { x: number; y: number }[];
}

/** Where everything is; the base is a square, x and y along its sides, the spiral about its middle. */
export interface SpiralLayout {
  parameters: SpiralParameters;
  hose: Hose;
  bore: number;
  /** m. To the middle of the hose: where the spirals begin and end. */
  inner: number;
  outer: number;
  /** m that the radius of each grows in one radian. */
  growth: number;
  windings: Winding[];
  /** m. Each hose in the spiral, and all of them. */
  each: number;
  length: number;
  /** m². Ring that the windings fill, hose and gaps. */
  ring: number;
  /** m. Over the outermost hose. */
  across: number;
  /** m. Side of the base. */
  side: number;
  slat: Timber;
  bearer: Timber;
  /** x of the middle of each slat; none under a cover. */
  slats: number[];
  /** y of the middle of each bearer. */
  bearers: number[];
  /** Under a cover. */
  tray: { sideBoard: Timber; wall: number; rise: number; back: Sheet; exits: Exits } | undefined;
  /** rad by which the first hose begins beyond the line from the middle to the right. */
  turn: number;
  glazing: GlazingDesign;
  /** m from the underside to the underside of the hose, and to the top of it all. */
  bed: number;
  depth: number;
  /** m³. */
  volume: number;
}

export function layOut(parameters: SpiralParameters): SpiralLayout {
  const { starts, rounds, pitch, cover } = parameters;
  const hose = entry('hose', parameters.hose);
  const bore = hoseBore(hose);
  const inner = parameters.inner / 2;
  const step = starts * pitch;
  const growth = step / (2 * Math.PI);
  const outer = inner + step * rounds;
  const windings = Array.from({ length: rounds }, (_, index): Winding => {
    const from = inner + index * step;
    return { radius: from + step / 2, length: spiralLength(from, from + step, growth) };
  });
  const each = spiralLength(inner, outer, growth);
  const length = starts * each;
  const across = 2 * outer + hose.outerDiameter;
  const slat = entry('timber', parameters.slat);
  const bearer = entry('timber', parameters.bearer);
  const sideBoard = entry('timber', parameters.sideBoard);
  const back = entry('sheet', parameters.back);
  const covered = cover !== 'none';
  const side = across + 2 * margin + (covered ? 2 * sideBoard.thickness : 0);
  const glazing = glazings[cover].open({
    ...glazings[cover].standard('metric'),
    ...(covered
      ? { length: heldPane(side), width: heldPane(side), bars: Math.min(5, Math.ceil(side / barSpacing) - 1) }
      : {}),
  });
  const rise = hose.outerDiameter + parameters.airGap;
  // The seam of the back lies on a bearer.
  const rows = evenlyAlong(side, bearerSpacing, bearer.width / 2);
  const bearers = covered && rows.length % 2 === 0 ? evenlyAlong(side, side / rows.length, bearer.width / 2) : rows;
  const exits = exitsOf({ starts, inner, outer, growth, side, hole: hose.outerDiameter + holeOver });
  const turn = covered ? clearTurn(exits, bearers, bearer.width) : 0;
  const floor = covered ? back.thickness : slat.thickness;
  const bed = bearer.thickness + floor;
  return {
    parameters,
    hose,
    bore,
    inner,
    outer,
    growth,
    windings,
    each,
    length,
    ring: length * pitch,
    across,
    side,
    slat,
    bearer,
    slats: covered ? [] : evenlyAlong(side, slatSpacing, slat.width / 2),
    bearers,
    tray: covered ? { sideBoard, wall: sideBoard.thickness, rise, back, exits: exits(turn) } : undefined,
    turn,
    glazing,
    bed,
    depth: bed + (covered ? rise + glazing.pane.thickness : hose.outerDiameter),
    volume: length * (Math.PI / 4) * bore ** 2,
  };
}

/** Holes under the ends of all hoses by how far the spiral is turned (rad): each a little way on along its own spiral. */
function exitsOf(of: {
  starts: number;
  inner: number;
  outer: number;
  growth: number;
  side: number;
  hole: number;
}): (turn: number) => Exits {
  const { starts, inner, outer, growth, side, hole } = of;
  const place = (radius: number, angle: number) => ({
    x: side / 2 + radius * Math.cos(angle),
    y: side / 2 + radius * Math.sin(angle),
  });
  const sweep = (outer - inner) / growth;
  const [back, on] = [runsOn / inner, runsOn / outer];
  return (turn) => {
    const begins = Array.from({ length: starts }, (_, start) => turn + (2 * Math.PI * start) / starts);
    return {
      hole,
      inner: begins.map((angle) => place(inner - growth * back, angle - back)),
      outer: begins.map((angle) => place(outer + growth * on, angle + sweep + on)),
    };
  };
}

/** rad by which a covered spiral is turned so that no hole comes to lie on a bearer: the least turn that clears them, or that which clears them best. */
function clearTurn(exits: (turn: number) => Exits, bearers: readonly number[], broad: number): number {
  const clear = (turn: number): number => {
    const { hole, inner, outer } = exits(turn);
    const needed = broad / 2 + hole / 2 + nutRoom;
    return Math.min(...[...inner, ...outer].flatMap(({ y }) => bearers.map((row) => Math.abs(y - row) - needed)));
  };
  const turns = Array.from({ length: 360 / turnStep }, (_, index) => (index * turnStep * Math.PI) / 180);
  return turns.find((turn) => clear(turn) >= 0) ?? turns.reduce((best, one) => (clear(one) > clear(best) ? one : best));
}

function heldPane(side: number): number {
  return Math.min(paneRange.high, Math.max(paneRange.low, side));
}

/** Turns of each hose that a roll gives, its two tails left off: whole ones; and the diameter they come to, over the outermost hose. */
export function turnsOf(
  roll: number,
  { inner, growth, hose, parameters }: SpiralLayout,
): { rounds: number; across: number } {
  const end = spiralEnd(inner, Math.max(0, roll - 2 * tail), growth);
  const step = parameters.starts * parameters.pitch;
  const rounds = Math.floor((end - inner) / step + 1e-9);
  return { rounds, across: 2 * (inner + rounds * step) + hose.outerDiameter };
}

/** Points along one of the hoses, from the inside out, about the middle of the base. */
export function spiralPoints(
  { inner, outer, growth, side, parameters, turn: first }: SpiralLayout,
  start: number,
): { x: number; y: number }[] {
  const turn = first + (2 * Math.PI * start) / parameters.starts;
  const sweep = (outer - inner) / growth;
  const steps = Math.min(1500, Math.max(24, Math.ceil(sweep / (Math.PI / 24))));
  return Array.from({ length: steps + 1 }, (_, index) => {
    const angle = (sweep * index) / steps;
    const radius = inner + growth * angle;
    return {
      x: side / 2 + radius * Math.cos(angle + turn),
      y: side / 2 + radius * Math.sin(angle + turn),
    };
  });
}
