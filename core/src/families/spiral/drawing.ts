import type { Drawing, Shape } from '../../draw';
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
  return {
    kind: 'path',
    layer: 'tube',
    part: `${prefix}/hose`,
    closed: true,
    points: [...edge(half), ...edge(-half).reverse()],
  };
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
  return [...inner, ...outer].map((centre) => ({
    kind: 'circle',
    layer: 'hole',
    part: `${prefix}/bulkhead`,
    centre,
    radius: hole / 2,
  }));
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
  const board = (x: number, y: number, width: number, height: number, part: string): Shape => ({
    kind: 'rect',
    layer: 'timber',
    part: `${prefix}/${part}`,
    x,
    y,
    width,
    height,
  });
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      ...bearers.map(
        (y): Shape => ({
          kind: 'rect',
          layer: 'rail',
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
              (y): Shape => ({
                kind: 'rect',
                layer: 'back',
                part: `${prefix}/back`,
                x: 0,
                y,
                width: side,
                height: side / 2,
              }),
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
      {
        id: 'across',
        label: 'across, over the outer hose',
        from: { x: middle - across / 2, y: 0 },
        to: { x: middle + across / 2, y: 0 },
        offset: -0.08,
        value: across,
        edit: {
          path: 'parameters.pitch',
          low: fixed + ways * pitches.low,
          high: fixed + ways * pitches.high,
          scale: 1 / ways,
          offset: -fixed / ways,
          lowReason: 'no hose is so thin',
          highReason: 'more gap than hose',
        },
      },
      {
        id: 'inner',
        label: 'across the hole in the middle',
        from: { x: middle - inner, y: middle },
        to: { x: middle + inner, y: middle },
        offset: 0,
        value: 2 * inner,
        edit: {
          path: 'parameters.inner',
          ...fieldRange('inner'),
          scale: 1,
          offset: 0,
          lowReason: 'every hose kinks',
          highReason: 'nothing is left to wind',
        },
      },
      {
        id: 'side',
        label: 'base',
        from: { x: 0, y: 0 },
        to: { x: 0, y: side },
        offset: 0.08,
        value: side,
      },
    ],
    labels: [
      {
        at: outerEnd,
        to: { x: side + 0.03, y: outerEnd.y },
        words: 'cold in',
        anchor: 'start',
        tone: 'cold',
      },
      {
        at: innerEnd,
        to: { x: middle, y: middle - inner / 2 },
        words: 'hot out',
        anchor: 'middle',
        tone: 'hot',
      },
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
          (y): Shape => ({
            kind: 'rect',
            layer: 'rail',
            part: `${prefix}/bearer`,
            x: Math.max(0, y - bearer.width / 2 - middle),
            y: 0,
            width: Math.min(bearer.width, y + bearer.width / 2 - middle),
            height: bearer.thickness,
          }),
        ),
      {
        kind: 'rect',
        layer: tray ? 'back' : 'timber',
        part: `${prefix}/${tray ? 'back' : 'slat'}`,
        x: 0,
        y: bearer.thickness,
        width: half,
        height: floor,
      },
      ...(tray
        ? [
            {
              kind: 'rect',
              layer: 'timber',
              part: `${prefix}/side`,
              x: half - tray.wall,
              y: bed,
              width: tray.wall,
              height: tray.rise,
            } as Shape,
          ]
        : []),
      ...radii.map(
        (radius): Shape => ({
          kind: 'circle',
          layer: 'tube',
          part: `${prefix}/hose`,
          centre: { x: radius, y: height },
          radius: hose.outerDiameter / 2,
        }),
      ),
      ...coverShapes(prefix, glazing, { x: 0, y: depth - glazing.pane.thickness, width: half }),
    ],
    dimensions: [
      {
        id: 'pitch',
        label: 'hose to hose',
        from: { x: first, y: height },
        to: { x: second, y: height },
        offset: 0.05,
        value: parameters.pitch,
        edit: {
          path: 'parameters.pitch',
          ...fieldRange('pitch'),
          scale: 1,
          offset: 0,
          lowReason: 'no hose is so thin',
          highReason: 'more gap than hose',
        },
      },
      ...coverGap(glazing, {
        x: layout.outer,
        y: bed + hose.outerDiameter,
        value: parameters.airGap,
        label: 'hose to cover',
        ...fieldRange('airGap'),
        lowReason: 'the hose would touch the cover',
        highReason: 'the sides would shade the hose',
      }),
    ],
    labels: [
      ...coverLabel(glazing, { x: half, y: depth }),
      {
        at: { x: half, y: bearer.thickness + floor / 2 },
        to: { x: half + 0.03, y: bearer.thickness + floor / 2 + 0.01 },
        words: tray ? 'back' : 'slat',
        size: tray ? tray.back.thickness : slat.thickness,
        anchor: 'start',
      },
      {
        at: { x: half, y: bearer.thickness / 2 },
        to: { x: half + 0.03, y: bearer.thickness / 2 - 0.012 },
        words: 'bearer',
        size: bearer.thickness,
        anchor: 'start',
      },
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
      {
        kind: 'rect',
        layer: tray ? 'back' : 'timber',
        part: `${prefix}/${tray ? 'back' : 'slat'}`,
        x: 0,
        y: 0,
        width,
        height: thick,
      },
      ...middles.flatMap((x): Shape[] => [
        { kind: 'circle', layer: 'tube', part: `${prefix}/hose`, centre: { x, y }, radius },
        { kind: 'circle', layer: 'hole', centre: { x, y }, radius: bore / 2 },
      ]),
    ],
    dimensions: [
      {
        id: 'pitch-detail',
        label: 'hose to hose',
        from: { x: middles[0] ?? 0, y },
        to: { x: middles[1] ?? pitch, y },
        offset: radius + 0.008,
        value: pitch,
      },
      {
        id: 'outside',
        label: 'across the hose',
        from: { x: (middles[2] ?? 0) + radius, y: thick },
        to: { x: (middles[2] ?? 0) + radius, y: thick + hose.outerDiameter },
        offset: -0.014,
        value: hose.outerDiameter,
      },
    ],
    labels: [
      {
        at: { x: middles[0] ?? 0, y },
        to: { x: -0.006, y: y + 0.004 },
        words: 'across the bore',
        size: bore,
        fine: true,
        anchor: 'end',
      },
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
