import { type Drawing, dim, leader, type Shape, shape } from '../../draw';
import type { DrawnViews } from '../family';
import { coverBars, coverGap, coverLabel, coverOutline, coverShapes } from '../kit/cover';
import { type SpiralLayout, spiralPoints } from './layout';
import { fieldRange } from './parameters';

/** A hose as a band of its own breadth: out along one edge, back along the other. */
function hoseBand(prefix: string, layout: SpiralLayout, start: number): Shape {
  const { side, hose } = layout;
  const middle = side / 2;
  const along = spiralPoints(layout, start);
  const edge = (by: number) =>
    along.map(({ x, y }) => {
      const radius = Math.hypot(x - middle, y - middle);
      const share = (radius + by) / radius;
      return { x: middle + (x - middle) * share, y: middle + (y - middle) * share };
    });
  const half = hose.outerDiameter / 2;
  return shape.outline('tube', [...edge(half), ...edge(-half).reverse()], { part: `${prefix}/hose` });
}

/** Radii at which windings are cut by the line from the middle to the right. */
function cutRadii({ inner, parameters }: SpiralLayout): number[] {
  const { starts, rounds, pitch } = parameters;
  return Array.from({ length: starts * rounds + 1 }, (_, index) => inner + index * pitch);
}

/** Holes in the back of a tray under the ends of the hoses. */
function exitHoles(prefix: string, { tray }: SpiralLayout): Shape[] {
  if (!tray) return [];
  const { hole, inner, outer } = tray.exits;
  return [...inner, ...outer].map((centre) => shape.circle('hole', centre, hole / 2, { part: `${prefix}/bulkhead` }));
}

function plan(prefix: string, layout: SpiralLayout): Drawing {
  const { side, slats, bearers, slat, bearer, tray, glazing, parameters, across, inner, hose } = layout;
  const { starts, rounds } = parameters;
  const middle = side / 2;
  const ways = 2 * starts * rounds;
  const fixed = hose.outerDiameter + 2 * inner;
  const pitches = fieldRange('pitch');
  const ends = spiralPoints(layout, 0);
  const [innerEnd = { x: middle, y: middle }, outerEnd = innerEnd] = [ends[0], ends.at(-1)];
  const board = (x: number, y: number, width: number, height: number, part: string): Shape =>
    shape.rect('timber', { part: `${prefix}/${part}`, x, y, width, height });
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      ...bearers.map(
        (y): Shape =>
          shape.rect('rail', {
            part: `${prefix}/bearer`,
            hidden: true,
            x: 0,
            y: y - bearer.width / 2,
            width: side,
            height: bearer.width,
          }),
      ),
      ...slats.map((x) => board(x - slat.width / 2, 0, slat.width, side, 'slat')),
      ...(tray
        ? [
            ...[0, side / 2].map(
              (y): Shape => shape.rect('back', { part: `${prefix}/back`, x: 0, y, width: side, height: side / 2 }),
            ),
            board(0, 0, side, tray.wall, 'side'),
            board(0, side - tray.wall, side, tray.wall, 'side'),
            board(0, tray.wall, tray.wall, side - 2 * tray.wall, 'end'),
            board(side - tray.wall, tray.wall, tray.wall, side - 2 * tray.wall, 'end'),
          ]
        : []),
      ...Array.from({ length: starts }, (_, start) => hoseBand(prefix, layout, start)),
      ...exitHoles(prefix, layout),
      ...coverBars(prefix, glazing, side, side),
      ...coverOutline(prefix, glazing, side, side),
    ],
    dimensions: [
      dim.across('across', 'across, over the outer hose', { x: middle - across / 2, y: 0 }, across, {
        offset: -0.08,
        edit: {
          ...pitches,
          low: fixed + ways * pitches.low,
          high: fixed + ways * pitches.high,
          scale: 1 / ways,
          offset: -fixed / ways,
        },
      }),
      dim.across('inner', 'across the hole in the middle', { x: middle - inner, y: middle }, 2 * inner, {
        offset: 0,
        edit: fieldRange('inner'),
      }),
      dim.up('side', 'base', { x: 0, y: 0 }, side, { offset: 0.08 }),
    ],
    labels: [
      leader('cold in', outerEnd, { x: side + 0.03, y: outerEnd.y }, { tone: 'cold' }),
      leader('hot out', innerEnd, { x: middle, y: middle - inner / 2 }, { anchor: 'middle', tone: 'hot' }),
    ],
  };
}

/** Cut through the middle, its right half: windings on slats, or under the cover. */
function section(prefix: string, layout: SpiralLayout): Drawing {
  const { side, slat, bearer, bearers, tray, glazing, hose, bed, depth, parameters } = layout;
  const middle = side / 2;
  const floor = bed - bearer.thickness;
  const radii = cutRadii(layout);
  const [first = 0, second = first + parameters.pitch] = radii;
  // Cut along a slat, so that it shows from end to end.
  const half = side - middle;
  const height = bed + hose.outerDiameter / 2;
  return {
    title: `Section of ${prefix}`,
    shapes: [
      ...bearers
        .filter((y) => y + bearer.width / 2 > middle)
        .map(
          (y): Shape =>
            shape.rect('rail', {
              part: `${prefix}/bearer`,
              x: Math.max(0, y - bearer.width / 2 - middle),
              y: 0,
              width: Math.min(bearer.width, y + bearer.width / 2 - middle),
              height: bearer.thickness,
            }),
        ),
      shape.rect(tray ? 'back' : 'timber', {
        part: `${prefix}/${tray ? 'back' : 'slat'}`,
        x: 0,
        y: bearer.thickness,
        width: half,
        height: floor,
      }),
      ...(tray
        ? [
            shape.rect('timber', {
              part: `${prefix}/side`,
              x: half - tray.wall,
              y: bed,
              width: tray.wall,
              height: tray.rise,
            }) as Shape,
          ]
        : []),
      ...radii.map(
        (radius): Shape =>
          shape.circle('tube', { x: radius, y: height }, hose.outerDiameter / 2, { part: `${prefix}/hose` }),
      ),
      ...coverShapes(prefix, glazing, { x: 0, y: depth - glazing.pane.thickness, width: half }),
    ],
    dimensions: [
      dim.between(
        'pitch',
        'hose to hose',
        { x: first, y: height },
        { x: second, y: height },
        { value: parameters.pitch, offset: 0.05, edit: fieldRange('pitch') },
      ),
      ...coverGap(glazing, {
        x: layout.outer,
        y: bed + hose.outerDiameter,
        value: parameters.airGap,
        label: 'hose to cover',
        range: fieldRange('airGap'),
      }),
    ],
    labels: [
      ...coverLabel(glazing, { x: half, y: depth }),
      leader(
        tray ? 'back' : 'slat',
        { x: half, y: bearer.thickness + floor / 2 },
        { x: half + 0.03, y: bearer.thickness + floor / 2 + 0.01 },
        { size: tray ? tray.back.thickness : slat.thickness },
      ),
      leader(
        'bearer',
        { x: half, y: bearer.thickness / 2 },
        { x: half + 0.03, y: bearer.thickness / 2 - 0.012 },
        { size: bearer.thickness },
      ),
    ],
  };
}

/** The first windings at full size: hose, gap and wall. */
function detail(prefix: string, layout: SpiralLayout): Drawing {
  const { hose, bore, parameters, tray, slat } = layout;
  const { pitch } = parameters;
  const thick = tray ? tray.back.thickness : slat.thickness;
  const radius = hose.outerDiameter / 2;
  const middles = [0, 1, 2].map((index) => radius + 0.01 + index * pitch);
  const width = (middles[2] ?? 0) + radius + 0.01;
  const y = thick + radius;
  return {
    title: `Detail of ${prefix}`,
    shapes: [
      shape.rect(tray ? 'back' : 'timber', {
        part: `${prefix}/${tray ? 'back' : 'slat'}`,
        x: 0,
        y: 0,
        width,
        height: thick,
      }),
      ...middles.flatMap((x): Shape[] => [
        shape.circle('tube', { x, y }, radius, { part: `${prefix}/hose` }),
        shape.circle('hole', { x, y }, bore / 2),
      ]),
    ],
    dimensions: [
      dim.between(
        'pitch-detail',
        'hose to hose',
        { x: middles[0] ?? 0, y },
        { x: middles[1] ?? pitch, y },
        { value: pitch, offset: radius + 0.008 },
      ),
      dim.up('outside', 'across the hose', { x: (middles[2] ?? 0) + radius, y: thick }, hose.outerDiameter, {
        offset: -0.014,
      }),
    ],
    labels: [
      leader(
        'across the bore',
        { x: middles[0] ?? 0, y },
        { x: -0.006, y: y + 0.004 },
        { size: bore, fine: true, anchor: 'end' },
      ),
    ],
  };
}

export function spiralViews(prefix: string, layout: SpiralLayout): DrawnViews {
  return {
    plan: { name: 'Plan', words: 'from above', draw: () => plan(prefix, layout) },
    section: { name: 'Section', words: 'cut through the middle, one half', draw: () => section(prefix, layout) },
    detail: { name: 'Full size', words: 'three windings on their bed', draw: () => detail(prefix, layout) },
  };
}
