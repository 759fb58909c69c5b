import type { AbsorberDesign } from '../../absorbers';
import type { BoxDesign, Exit } from '../../boxes';
import { bore, entry, type Tube } from '../../catalogue';
import type { GlazingDesign } from '../../glazings';
import type { PlateBuild } from '../plateFamily';
import type { HarpParameters } from './parameters';

/** m. Room round a header where it goes through the side board, for expansion. */
const exitClearance = 0.002;

/**
 * Where everything is. The cold end board's outer face is x = 0, the low side board's outer face y = 0, the underside of
 * the box z = 0; x runs along the risers from the cold header to the hot one.
 */
export interface HarpLayout {
  parameters: HarpParameters;
  box: BoxDesign;
  glazing: GlazingDesign;
  riserTube: Tube;
  headerTube: Tube;
  /** y of each riser. */
  risers: number[];
  /** m. Cut length of a riser. */
  riserCut: number;
  /** x of the header centres, cold and hot. */
  headers: { cold: number; hot: number };
  /** y span of each header, with the end it comes out of. */
  spans: { cold: Span; hot: Span };
  exits: Exit[];
  /** m. Header to end board, inside. */
  endGap: number;
  /** m. Least and most a riser may enter. */
  entryLimits: { least: number; most: number };
  /** z of things. */
  heights: { insulationTop: number; railTop: number; centre: number; plate: number; pane: number };
  railDepth: number;
  /** m. Depth that the stack asks of the board, and what it has. */
  stack: { needed: number; available: number };
  finWidth: number;
  /** m. Header to pane, the nearest that metal comes to it. */
  headerToPane: number;
}

export interface Span {
  closed: number;
  open: number;
  /** 1 when it comes out of the high side, -1 out of the low side. */
  out: 1 | -1;
}

/**
 * m. How far a riser must reach into a header so that its whole rim is through the wall, measured from the crown:
 * header outer radius less the height at which the inner wall stands over the riser's edge, and 1 mm.
 * Infinity when the riser is wider than the header's bore.
 */
export function leastEntry(header: Tube, riser: Tube): number {
  const inner = bore(header) / 2;
  const edge = riser.outerDiameter / 2;
  if (edge >= inner) return Number.POSITIVE_INFINITY;
  return header.outerDiameter / 2 - Math.sqrt(inner ** 2 - edge ** 2) + 0.001;
}

export function layOut(build: PlateBuild<HarpParameters>): HarpLayout {
  const { parameters, glazing } = build;
  const box = build.box.around(glazing);
  const riserTube = entry('tube', parameters.riserTube);
  const headerTube = entry('tube', parameters.headerTube);
  const { riserCount, pitch, riserClear, closedEnd, stub } = parameters;
  const diameter = headerTube.outerDiameter;

  const middle = box.outside.width / 2;
  const risers = Array.from({ length: riserCount }, (_, index) => middle + (index - (riserCount - 1) / 2) * pitch);
  const first = risers[0] ?? middle;
  const last = risers[riserCount - 1] ?? middle;
  const endGap = (box.inside.length - riserClear - 2 * diameter) / 2;
  const cold = box.wall + endGap + diameter / 2;
  const hot = box.outside.length - cold;
  const low: Span = { closed: last + closedEnd, open: -stub, out: -1 };
  const high: Span = { closed: first - closedEnd, open: box.outside.width + stub, out: 1 };

  const heights = layHeights(build.absorber, box, glazing, parameters, riserTube);
  const needed =
    box.back +
    box.insulation +
    diameter / 2 +
    riserTube.outerDiameter / 2 +
    build.absorber.thickness +
    parameters.airGap +
    glazing.pane.thickness;
  const spans = { cold: low, hot: parameters.connection === 'diagonal' ? high : low };
  const exit = (span: Span, along: number): Exit => ({
    side: span.out > 0 ? 'high' : 'low',
    along,
    up: heights.centre,
    diameter: diameter + 2 * exitClearance,
  });
  return {
    parameters,
    box,
    glazing,
    riserTube,
    headerTube,
    risers,
    riserCut: riserClear + 2 * parameters.entry,
    headers: { cold, hot },
    spans,
    exits: [exit(spans.cold, cold), exit(spans.hot, hot)],
    endGap,
    entryLimits: { least: leastEntry(headerTube, riserTube), most: bore(headerTube) / 3 },
    heights,
    railDepth: heights.railTop - box.back,
    stack: { needed, available: box.depth },
    finWidth: build.absorber.on(rowOf(build, riserTube)).plate.width,
    headerToPane: heights.pane - heights.centre - diameter / 2,
  };
}

/** The tubes as the absorber sees them. */
export function rowOf(build: PlateBuild<HarpParameters>, tube: Tube) {
  const { riserCount, pitch, riserClear } = build.parameters;
  return { prefix: build.id, path: build.path, tube, count: riserCount, pitch, length: riserClear };
}

/** From the pane down: the board's top edge fixes the pane, the air gap the plate, and the rails reach up to the tubes. */
function layHeights(
  absorber: AbsorberDesign,
  box: BoxDesign,
  glazing: GlazingDesign,
  parameters: HarpParameters,
  riserTube: Tube,
): HarpLayout['heights'] {
  const pane = box.depth - glazing.pane.thickness;
  const plate = pane - parameters.airGap;
  const centre = plate - absorber.thickness - riserTube.outerDiameter / 2;
  return {
    insulationTop: box.back + box.insulation,
    railTop: centre - riserTube.outerDiameter / 2,
    centre,
    plate,
    pane,
  };
}

/** m. Length of a header, end to end. */
export function spanLength(span: Span): number {
  return Math.abs(span.open - span.closed);
}
