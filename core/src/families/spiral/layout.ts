import { entry, type Hose, hoseBore, type Sheet, type Timber } from '../../catalogue';
import { type GlazingDesign, glazings } from '../../glazings';
import { evenlyAlong } from '../../shop';
import { spiralEnd, spiralLength } from './archimedes';
import type { SpiralParameters } from './parameters';

/** m. Base round the outermost hose, and hose left at both ends of each to reach its manifold. */
export const margin = 0.04;
export const tail = 0.5;
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
  tray: { sideBoard: Timber; wall: number; rise: number; back: Sheet } | undefined;
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
  const floor = covered ? back.thickness : slat.thickness;
  const bed = bearer.thickness + floor;
  const halves = evenlyAlong(side, bearerSpacing, bearer.width / 2);
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
    // The seam of the back lies on a bearer.
    bearers: covered && halves.length % 2 === 0 ? evenlyAlong(side, side / halves.length, bearer.width / 2) : halves,
    tray: covered ? { sideBoard, wall: sideBoard.thickness, rise, back } : undefined,
    glazing,
    bed,
    depth: bed + (covered ? rise + glazing.pane.thickness : hose.outerDiameter),
    volume: length * (Math.PI / 4) * bore ** 2,
  };
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
  { inner, outer, growth, side, parameters }: SpiralLayout,
  start: number,
): { x: number; y: number }[] {
  const turn = (2 * Math.PI * start) / parameters.starts;
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
