import type { Exit } from '../../boxes';
import { bore, entry, materials, type Tee, type Tube, teeFor } from '../../catalogue';
import { betweenCorners } from '../plate/fit';
import { layStack, type PlateLayout, rowOf } from '../plate/layout';
import type { PlateBuild } from '../plateFamily';
import type { HarpParameters } from './parameters';

/** m. Room round a header where it goes through the side board, for expansion. */
const exitClearance = 0.002;

/** Where everything is; x runs along the risers from the cold header to the hot one. */
export interface HarpLayout extends PlateLayout {
  parameters: HarpParameters;
  headerTube: Tube;
  /** Tees that the headers are built of; nothing where the risers go into drilled ones. */
  tee: Tee | undefined;
  /** m. Cut length of a riser. */
  riserCut: number;
  /** x of the header centres, cold and hot. */
  headers: { cold: number; hot: number };
  /** y span of each header, with the end it comes out of. */
  spans: { cold: Span; hot: Span };
  /** m. Least and most a riser may enter. */
  entryLimits: { least: number; most: number };
  /** m that each exit hole is drawn out by. */
  slot: number;
  /** m. Most from crown to crown for headers that pass the cleats in their drawn-out holes. */
  mostClear: number;
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
  const { parameters, glazing, absorber } = build;
  const box = build.box.around(glazing, build.turned);
  const tube = entry('tube', parameters.riserTube);
  const headerTube = entry('tube', parameters.headerTube);
  const { riserCount, pitch, riserClear, closedEnd, stub } = parameters;
  const diameter = headerTube.outerDiameter;

  const middle = box.outside.width / 2;
  const runs = Array.from({ length: riserCount }, (_, index) => middle + (index - (riserCount - 1) / 2) * pitch);
  const first = runs[0] ?? middle;
  const last = runs[riserCount - 1] ?? middle;
  const endGap = (box.room.length - riserClear - 2 * diameter) / 2;
  const cold = box.wall + box.edgeStrip + endGap + diameter / 2;
  const hot = box.outside.length - cold;
  const { width } = box.outside;
  const far = { inside: undefined, flush: 0, crossed: parameters.farStub }[parameters.ends];
  const low: Span = { closed: far === undefined ? last + closedEnd : width + far, open: -stub, out: -1 };
  const high: Span = { closed: far === undefined ? first - closedEnd : -far, open: width + stub, out: 1 };
  const spans = { cold: low, hot: parameters.connection === 'diagonal' ? high : low };
  const tee = parameters.joint === 'tees' ? teeFor(diameter, tube.outerDiameter) : undefined;
  const thickest = tee?.across ?? diameter;
  const stack = layStack({ absorber, box, glazing, airGap: parameters.airGap, tube, thickest });
  const slot = slotFor(hot - cold);
  const onTubes = absorber.on(rowOf(build, { tube, count: riserCount, pitch, length: riserClear }));
  const exits = (span: Span, along: number, drawn: number): Exit[] =>
    [span.out, ...(far === undefined ? [] : [-span.out])].map((out) => ({
      side: out > 0 ? 'high' : 'low',
      along,
      up: stack.heights.centre,
      diameter: thickest + 2 * exitClearance,
      ...(drawn === 0 ? {} : { slot: drawn }),
    }));
  return {
    ...stack,
    parameters,
    box,
    glazing,
    tube,
    headerTube,
    runs,
    pitch,
    plateSpan: { from: cold + diameter / 2, to: hot - diameter / 2 },
    endMetal: diameter,
    thick: [cold, hot].map((x) => ({ from: x - thickest / 2, to: x + thickest / 2 })),
    finWidth: onTubes.plate.width,
    plates: onTubes.parts,
    tee,
    // From stop to stop of its tees, or from crown to crown and an entry into each header.
    riserCut: tee ? riserClear + diameter - 2 * tee.branchLaying : riserClear + 2 * parameters.entry,
    headers: { cold, hot },
    spans,
    // Fixed in the middle of its length, so that each header moves by half of what the risers grow.
    exits: [...exits(spans.cold, cold, -slot), ...exits(spans.hot, hot, slot)],
    endGap,
    slot,
    mostClear: betweenCorners(box) - 2 * (diameter + slotFor(box.inside.length)),
    entryLimits: { least: leastEntry(headerTube, tube), most: bore(headerTube) / 3 },
  };
}

/** K that a dry panel is warmer than it was built at, as slots are made for. Trade: 1.9 m of copper grows 5 mm. */
const slotted = 150;

/** m that each end of copper of a length moves, held in its middle, beyond the room its hole has anyway; to the millimetre above. */
function slotFor(length: number): number {
  const moves = (materials.copper.expansion ?? 0) * (length / 2) * slotted;
  return Math.max(0, Math.ceil((moves - exitClearance) * 1000) / 1000);
}

/** m. Length of a header, end to end. */
export function spanLength(span: Span): number {
  return Math.abs(span.open - span.closed);
}
