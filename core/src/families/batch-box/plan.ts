import type { Drawing, Shape } from '../../draw';
import type { BatchBoxLayout } from './layout';
import { fieldRange } from './parameters';

/** The box looked at square to its pane: x up the slope, y across. */
export function plan(prefix: string, layout: BatchBoxLayout): Drawing {
  const { depth, width, slope, ply, side, wall, glazing, parameters, tankPlaces, spans, cradle, joint } = layout;
  const { tankDiameter, tankLength: long, stand } = parameters;
  const length = depth / slope.cos;
  const up = (x: number) => x / slope.cos;
  const rect = (
    layer: Shape['layer'],
    part: string,
    x: number,
    y: number,
    w: number,
    h: number,
    hidden = false,
  ): Shape => ({
    kind: 'rect',
    layer,
    part: `${prefix}/${part}`,
    x,
    y,
    width: w,
    height: h,
    ...(hidden ? { hidden } : {}),
  });
  const tanks = tankPlaces.map((place, index) =>
    stand === 'lying'
      ? rect('plate', 'tank', spans[index]?.from ?? 0, (width - long) / 2, tankDiameter, long)
      : rect('plate', 'tank', spans[0]?.from ?? 0, wall + place - tankDiameter / 2, long, tankDiameter),
  );
  const { bearer, lying, leaning } = cradle;
  // Where its middle lies, looked at square to the pane.
  const across = (part: string, up: number, broad: number) =>
    rect('rail', part, up - broad / 2, ply, broad, cradle.length, true);
  const seen = (x: number, z: number) => x * slope.cos + (z - layout.front) * slope.sin;
  const cradles = leaning
    ? [
        across('bearer', leaning.bearers.low, bearer.wide),
        across('bearer', leaning.bearers.high, bearer.wide),
        across('foot-rail', leaning.foot - bearer.deep / 2, bearer.deep),
      ]
    : lying.flatMap((one) =>
        [one.low - bearer.wide / 2, one.high + bearer.wide / 2].map((x) =>
          across('bearer', seen(x, one.top - bearer.deep / 2), bearer.wide * slope.cos + bearer.deep * slope.sin),
        ),
      );
  const shapes: Shape[] = [
    rect('back', 'floor', 0, 0, length, width, true),
    ...[0, width - ply].flatMap((y) =>
      joint
        ? [
            rect('timber', 'sides-front', 0, y, up(joint.at), ply),
            rect('timber', 'sides-back', up(joint.at), y, length - up(joint.at), ply),
          ]
        : [rect('timber', 'sides', 0, y, length, ply)],
    ),
    rect('timber', 'front', 0, ply, up(ply), width - 2 * ply),
    rect('timber', 'back', length - up(ply), ply, up(ply), width - 2 * ply),
    rect('rail', 'rail-slope', up(ply), ply, length - 2 * up(ply), side),
    rect('rail', 'rail-slope', up(ply), width - ply - side, length - 2 * up(ply), side),
    rect('rail', 'pane-rail', up(ply), wall, up(side), width - 2 * wall),
    rect('rail', 'pane-rail', length - up(wall), wall, up(side), width - 2 * wall),
    ...cradles,
    ...tanks,
    ...layout.pipes.map(
      ({ x, y, diameter }): Shape => ({
        kind: 'circle',
        layer: 'hole',
        part: `${prefix}/floor`,
        hidden: true,
        centre: { x: up(x), y },
        radius: diameter / 2,
      }),
    ),
    rect('pane', 'pane', up(glazing.clearance), glazing.clearance, glazing.pane.length, glazing.pane.width, true),
  ];
  const edit = (field: 'paneLength' | 'paneWidth') => ({
    path: `parameters.${field}`,
    ...fieldRange(field),
    scale: 1,
    offset: -2 * glazing.clearance,
    lowReason: 'no tank would go in',
    highReason: 'nobody sells such a pane',
  });
  return {
    title: `Plan of ${prefix}`,
    shapes,
    dimensions: [
      {
        id: 'pane-length',
        label: 'box, up the slope',
        from: { x: length, y: 0 },
        to: { x: 0, y: 0 },
        offset: 0.07,
        value: length,
        edit: {
          ...edit('paneLength'),
          low: fieldRange('paneLength').low + 2 * glazing.clearance,
          high: fieldRange('paneLength').high + 2 * glazing.clearance,
        },
      },
      {
        id: 'pane-width',
        label: 'box, across',
        from: { x: 0, y: 0 },
        to: { x: 0, y: width },
        offset: 0.07,
        value: width,
        edit: {
          ...edit('paneWidth'),
          low: fieldRange('paneWidth').low + 2 * glazing.clearance,
          high: fieldRange('paneWidth').high + 2 * glazing.clearance,
        },
      },
    ],
    labels: [
      { at: { x: 0, y: 0 }, to: { x: -0.02, y: -0.03 }, words: 'low, cold in', anchor: 'end', tone: 'cold' },
      {
        at: { x: length, y: width },
        to: { x: length + 0.02, y: width + 0.03 },
        words: 'high, hot out',
        anchor: 'start',
        tone: 'hot',
      },
    ],
  };
}

/** The place that must be right: the pane on the ripped edge of the front rail, at full size. */
export function detail(prefix: string, layout: BatchBoxLayout): Drawing {
  const { ply, side, slope, glazing, paneRail, planeAt, wall, front } = layout;
  const low = paneRail.section.width - side * slope.tan;
  const base = front - 0.02;
  const at = (x: number, z: number) => ({ x, y: z - base });
  const reach = wall + 0.06;
  const pane = Math.max(0.002, glazing.pane.thickness) / slope.cos;
  const from = glazing.clearance * slope.cos;
  return {
    title: `Detail of ${prefix}`,
    shapes: [
      {
        kind: 'path',
        layer: 'back',
        part: `${prefix}/front`,
        closed: true,
        points: [at(0, front - 0.06), at(ply, front - 0.06), at(ply, front), at(0, front)],
      },
      {
        kind: 'path',
        layer: 'rail',
        part: `${prefix}/pane-rail`,
        closed: true,
        points: [
          at(ply, planeAt(ply) - low),
          at(wall, planeAt(ply) - low),
          at(wall, planeAt(wall)),
          at(ply, planeAt(ply)),
        ],
      },
      {
        kind: 'path',
        layer: 'pane',
        part: `${prefix}/pane`,
        closed: true,
        points: [
          at(from, planeAt(from)),
          at(reach, planeAt(reach)),
          at(reach, planeAt(reach) + pane),
          at(from, planeAt(from) + pane),
        ],
      },
    ],
    dimensions: [
      {
        id: 'rail-high',
        label: 'pane rail, high face',
        from: at(wall, planeAt(wall)),
        to: at(wall, planeAt(ply) - low),
        offset: 0.02,
        value: paneRail.section.width,
      },
      {
        id: 'rail-low',
        label: 'pane rail, low face',
        from: at(ply, planeAt(ply) - low),
        to: at(ply, planeAt(ply)),
        offset: 0.03,
        value: low,
      },
    ],
    labels: [
      {
        at: at(reach, planeAt(reach) + pane),
        to: at(reach + 0.02, planeAt(reach) + 0.02),
        words: 'pane',
        size: glazing.pane.thickness,
        fine: true,
        anchor: 'start',
      },
      {
        at: at(ply / 2, front - 0.04),
        to: at(-0.02, front - 0.04),
        words: 'front',
        size: ply,
        fine: true,
        anchor: 'end',
      },
    ],
  };
}
