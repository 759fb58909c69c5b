import { type Drawing, dim, leader, type Shape, shape } from '../../draw';
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
  ): Shape =>
    shape.rect(layer, { part: `${prefix}/${part}`, x, y, width: w, height: h, ...(hidden ? { hidden } : {}) });
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
      ({ x, y, diameter }): Shape =>
        shape.circle('hole', { x: up(x), y }, diameter / 2, { part: `${prefix}/floor`, hidden: true }),
    ),
    rect('pane', 'pane', up(glazing.clearance), glazing.clearance, glazing.pane.length, glazing.pane.width, true),
  ];
  // The box is as large as its pane and the room that it has at each side.
  const grow = 2 * glazing.clearance;
  const edit = (field: 'paneLength' | 'paneWidth') => {
    const range = fieldRange(field);
    return { ...range, low: range.low + grow, high: range.high + grow, offset: -grow };
  };
  return {
    title: `Plan of ${prefix}`,
    shapes,
    dimensions: [
      dim.between(
        'pane-length',
        'box, up the slope',
        { x: length, y: 0 },
        { x: 0, y: 0 },
        {
          value: length,
          offset: 0.07,
          edit: edit('paneLength'),
        },
      ),
      dim.up('pane-width', 'box, across', { x: 0, y: 0 }, width, {
        offset: 0.07,
        edit: edit('paneWidth'),
      }),
    ],
    labels: [
      leader('low, cold in', { x: 0, y: 0 }, { x: -0.02, y: -0.03 }, { anchor: 'end', tone: 'cold' }),
      leader('high, hot out', { x: length, y: width }, { x: length + 0.02, y: width + 0.03 }, { tone: 'hot' }),
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
      shape.outline('back', [at(0, front - 0.06), at(ply, front - 0.06), at(ply, front), at(0, front)], {
        part: `${prefix}/front`,
      }),
      shape.outline(
        'rail',
        [at(ply, planeAt(ply) - low), at(wall, planeAt(ply) - low), at(wall, planeAt(wall)), at(ply, planeAt(ply))],
        { part: `${prefix}/pane-rail` },
      ),
      shape.outline(
        'pane',
        [
          at(from, planeAt(from)),
          at(reach, planeAt(reach)),
          at(reach, planeAt(reach) + pane),
          at(from, planeAt(from) + pane),
        ],
        { part: `${prefix}/pane` },
      ),
    ],
    dimensions: [
      dim.between('rail-high', 'pane rail, high face', at(wall, planeAt(wall)), at(wall, planeAt(ply) - low), {
        value: paneRail.section.width,
        offset: 0.02,
      }),
      dim.between('rail-low', 'pane rail, low face', at(ply, planeAt(ply) - low), at(ply, planeAt(ply)), {
        value: low,
        offset: 0.03,
      }),
    ],
    labels: [
      leader('pane', at(reach, planeAt(reach) + pane), at(reach + 0.02, planeAt(reach) + 0.02), {
        size: glazing.pane.thickness,
        fine: true,
      }),
      leader('front', at(ply / 2, front - 0.04), at(-0.02, front - 0.04), { size: ply, fine: true, anchor: 'end' }),
    ],
  };
}
