import { type Dimension, type Drawing, dim, type Label, leader, type Point, type Shape, shape } from '../../draw';
import { rectsOf } from '../kit/shapes';
import type { BatchBoxLayout } from './layout';
import { fieldRange } from './parameters';

/** A point by how far up the slope from the front top edge, and how deep square to the pane. m. */
export function below({ front, slope }: BatchBoxLayout, up: number, deep: number): Point {
  return { x: up * slope.cos + deep * slope.sin, y: front + up * slope.sin - deep * slope.cos };
}

/** How far up the slope from the front top edge something stands that is so deep and so far from the front wall along the slope. */
function upAt({ wall, slope }: BatchBoxLayout, place: number, deep: number): number {
  return (wall - deep * slope.sin) / slope.cos + place;
}

function path(layer: Shape['layer'], part: string, points: readonly Point[], hidden = false): Shape {
  return shape.outline(layer, points, { part, ...(hidden ? { hidden } : {}) });
}

/** A strip that leans with the pane, from one place up the slope to another, between two depths. */
function leaning(
  layout: BatchBoxLayout,
  layer: Shape['layer'],
  part: string,
  at: { from: number; to: number; top: number; bottom: number },
) {
  const { from, to, top, bottom } = at;
  return path(layer, part, [
    below(layout, from, top),
    below(layout, to, top),
    below(layout, to, bottom),
    below(layout, from, bottom),
  ]);
}

/** An upright with its top cut to the pane: x from where to where, its top so deep under the pane. */
function standing(layout: BatchBoxLayout, part: string, at: { from: number; to: number; deep: number }): Shape {
  const top = (x: number) => layout.planeAt(x) - layout.upright(at.deep);
  return path('timber', part, [
    { x: at.from, y: 0 },
    { x: at.to, y: 0 },
    { x: at.to, y: top(at.to) },
    { x: at.from, y: top(at.from) },
  ]);
}

/** Tanks in the profile: round where they lie across, long where they lean. */
function tankShapes(prefix: string, layout: BatchBoxLayout): Shape[] {
  const { parameters, tankPlaces, opening } = layout;
  const { tankDiameter: across, tankLength: long, airGap, stand } = parameters;
  const deep = airGap + across / 2;
  if (stand === 'lying')
    return tankPlaces.map((place) =>
      shape.circle('plate', below(layout, upAt(layout, place, deep), deep), across / 2, { part: `${prefix}/tank` }),
    );
  const middle = upAt(layout, opening.length / 2, deep);
  return [
    leaning(layout, 'plate', `${prefix}/tank`, {
      from: middle - long / 2,
      to: middle + long / 2,
      top: airGap,
      bottom: airGap + across,
    }),
  ];
}

/** What carries the tanks: posts in the side walls behind the cut, bearers across from wall to wall. */
function cradleShapes(prefix: string, layout: BatchBoxLayout): Shape[] {
  const { parameters, side, cradle } = layout;
  const { wide, deep } = cradle.bearer;
  const top = parameters.airGap + parameters.tankDiameter;
  const rect = rectsOf(prefix);
  if (!cradle.leaning)
    return cradle.lying.flatMap((one, index) =>
      [one.low - wide, one.high].flatMap((x): Shape[] => [
        { ...rect('timber', `post-${index + 1}`, x + (wide - side) / 2, 0, side, one.post), hidden: true },
        rect('rail', 'bearer', x, one.top - deep, wide, deep),
      ]),
    );
  const { posts, stop, foot, bearers } = cradle.leaning;
  const post = (id: keyof typeof posts): Shape => ({
    ...standing(layout, `${prefix}/post-${id}`, {
      from: posts[id].at - side,
      to: posts[id].at,
      deep: id === 'foot' ? top : top + deep,
    }),
    hidden: true,
  });
  const on = (up: number, half: number) => ({ from: up - half, to: up + half });
  return [
    post('foot'),
    post('front'),
    post('back'),
    { ...rect('timber', 'foot-stop', stop.at - side, 0, side, stop.height), hidden: true },
    ...[bearers.low, bearers.high].flatMap((up): Shape[] => [
      leaning(layout, 'rail', `${prefix}/bearer`, { ...on(up, wide / 2), top, bottom: top + deep }),
      {
        ...leaning(layout, 'rail', `${prefix}/chock`, { ...on(up, side / 2), top: top - side, bottom: top }),
        hidden: true,
      },
    ]),
    leaning(layout, 'rail', `${prefix}/foot-rail`, {
      from: foot - deep,
      to: foot,
      top: top - wide,
      bottom: top,
    }),
  ];
}

/** The open lid: sheathing outside, frame and insulation in it, leaning at its angle from its hinge. */
function lidShapes(prefix: string, layout: BatchBoxLayout): Shape[] {
  const { lid, parameters, slope, ply, insulation, depth, tilt } = layout;
  if (!lid) return [];
  const low = parameters.lid === 'low';
  const hinge = below(layout, low ? 0 : depth / slope.cos, -layout.glazing.pane.thickness);
  // Up the slope from a low hinge, down it from a high one, turned toward the sun by its angle.
  const start = low ? tilt : tilt + 180;
  const turned = ((start + (low ? parameters.lidAngle : -parameters.lidAngle)) * Math.PI) / 180;
  const along = { x: Math.cos(turned), y: Math.sin(turned) };
  // Its mirror looks at the pane, its back away from it.
  const out = low ? { x: -along.y, y: along.x } : { x: along.y, y: -along.x };
  const at = (length: number, off: number): Point => ({
    x: hinge.x + along.x * length + out.x * off,
    y: hinge.y + along.y * length + out.y * off,
  });
  const slab = (layer: Shape['layer'], part: string, from: number, to: number, near: number, far: number) =>
    path(layer, `${prefix}/${part}`, [at(from, near), at(to, near), at(to, far), at(from, far)]);
  const frame = 0.02;
  const thick = insulation.thickness;
  return [
    slab('insulation', 'lid-insulation', frame, lid.length - frame, 0, thick),
    slab('timber', 'lid-long', 0, frame, 0, thick),
    slab('timber', 'lid-long', lid.length - frame, lid.length, 0, thick),
    slab('back', 'lid', 0, lid.length, thick, thick + ply),
    { ...slab('timber', 'lid-short', frame, lid.length - frame, 0, thick), hidden: true },
  ];
}

/** Fields of a side from its front to its back, one, or two where sheets meet on a stud: their outlines up to some height. */
function sideFields(
  { joint }: BatchBoxLayout,
  of: { from: number; to: number; stud?: number; top(x: number): number },
): { suffix: '' | 'front' | 'back'; points: Point[] }[] {
  const { from, to, stud = 0, top } = of;
  const field = (low: number, high: number) => [
    { x: low, y: 0 },
    { x: high, y: 0 },
    { x: high, y: top(high) },
    { x: low, y: top(low) },
  ];
  if (!joint) return [{ suffix: '', points: field(from, to) }];
  return [
    { suffix: 'front', points: field(from, joint.at - stud / 2) },
    { suffix: 'back', points: field(joint.at + stud / 2, to) },
  ];
}

/** The box from its side, cut open: the side profile with everything that stands in it. */
export function profile(prefix: string, layout: BatchBoxLayout): Drawing {
  const { depth, front, back, ply, side, wall, slope, glazing, studs, planeAt, upright, insulation, joint } = layout;
  const id = (name: string) => `${prefix}/${name}`;
  const board = insulation.thickness;
  const rect = rectsOf(prefix);
  const railLow = layout.paneRail.section.width - side * slope.tan;
  const paneRail = (x: number): Shape =>
    path('rail', id('pane-rail'), [
      { x, y: planeAt(x) - railLow },
      { x: x + side, y: planeAt(x) - railLow },
      { x: x + side, y: planeAt(x + side) },
      { x, y: planeAt(x) },
    ]);
  const paneFrom = glazing.clearance;
  const shapes: Shape[] = [
    ...sideFields(layout, { from: 0, to: depth, top: (x) => planeAt(x) }).map(({ suffix, points }) =>
      path('timber', id(suffix === '' ? 'sides' : `sides-${suffix}`), points, true),
    ),
    rect('back', 'floor', 0, -ply, depth, ply),
    rect('timber', 'skid', 0, -ply - layout.rail.thickness, depth, layout.rail.thickness),
    rect('back', 'front', 0, 0, ply, front),
    rect('back', 'back', depth - ply, 0, ply, back - ply * slope.tan),
    rect('insulation', 'insulation-floor', wall, 0, depth - 2 * wall, board),
    rect('insulation', 'insulation-front', ply, 0, board, front - railLow),
    rect('insulation', 'insulation-back', depth - ply - board, 0, board, planeAt(depth - wall) - railLow),
    ...sideFields(layout, {
      from: wall,
      to: depth - wall,
      stud: side,
      top: (x) => planeAt(x) - upright(side),
    }).map(({ suffix, points }) =>
      path('insulation', id(suffix === '' ? 'insulation-sides' : `insulation-${suffix}-sides`), points, true),
    ),
    ...(joint
      ? [
          {
            ...standing(layout, id('stud-joint'), { from: joint.at - side / 2, to: joint.at + side / 2, deep: side }),
            hidden: true,
          },
        ]
      : []),
    { ...standing(layout, id('stud-front'), { from: ply, to: wall, deep: side }), hidden: true },
    { ...standing(layout, id('stud-back'), { from: depth - wall, to: depth - ply, deep: side }), hidden: true },
    {
      ...leaning(layout, 'rail', id('rail-slope'), {
        from: ply / slope.cos,
        to: (depth - ply) / slope.cos - side * slope.tan,
        top: 0,
        bottom: side,
      }),
      hidden: true,
    },
    paneRail(ply),
    paneRail(depth - wall),
    ...cradleShapes(prefix, layout),
    ...tankShapes(prefix, layout),
    leaning(layout, 'pane', id('pane'), {
      from: paneFrom,
      to: paneFrom + glazing.pane.length,
      top: -Math.max(0.002, glazing.pane.thickness),
      bottom: 0,
    }),
    ...lidShapes(prefix, layout),
  ];
  return {
    title: `Profile of ${prefix}`,
    shapes,
    dimensions: profileDimensions(layout),
    labels: [...profileLabels(layout, studs), ...postLabels(layout)],
  };
}

function profileDimensions(layout: BatchBoxLayout): Dimension[] {
  const { depth, front, back, parameters, opening } = layout;
  const { airGap, tankDiameter, stand, tankLength } = parameters;
  const first = stand === 'lying' ? (layout.tankPlaces[0] ?? 0) : opening.length / 2 - tankLength / 3;
  const up = upAt(layout, first, airGap);
  return [
    dim.between('depth', 'depth on the ground', { x: depth, y: 0 }, { x: 0, y: 0 }, { value: depth, offset: 0.09 }),
    dim.up('front-height', 'side, at the front', { x: 0, y: 0 }, front, { offset: 0.08 }),
    dim.between(
      'back-height',
      'side, at the back',
      { x: depth, y: back },
      { x: depth, y: 0 },
      { value: back, offset: 0.08 },
    ),
    dim.between('air-gap', 'pane to tanks', below(layout, up, airGap), below(layout, up, 0), {
      value: airGap,
      offset: 0,
      edit: fieldRange('airGap'),
    }),
    dim.between('tank-diameter', 'tank, across', below(layout, up, airGap + tankDiameter), below(layout, up, airGap), {
      value: tankDiameter,
      offset: 0.03,
      edit: fieldRange('tankDiameter'),
    }),
  ];
}

function profileLabels(layout: BatchBoxLayout, studs: BatchBoxLayout['studs']): Label[] {
  const { depth, tilt, wall, ply, slope, front } = layout;
  const rise = 0.1 * slope.tan;
  return [
    leader(
      `${Math.round(tilt * 10) / 10}° off level, ${Math.round(1000 * rise) / 10} in 10`,
      below(layout, depth / slope.cos / 2, 0),
      { x: depth / 2 - 0.12, y: front + (depth / 2) * slope.tan + 0.12 },
      { anchor: 'end' },
    ),
    leader(
      'front stud',
      { x: wall, y: studs.front * 0.7 },
      { x: -0.06, y: studs.front * 0.7 },
      { size: studs.front, anchor: 'end' },
    ),
    leader(
      'back stud',
      { x: depth - ply, y: studs.back * 0.5 },
      { x: depth + 0.14, y: studs.back * 0.5 },
      { size: studs.back },
    ),
  ];
}

/** Posts by their height: what stands low in front to the left of the box, the rest to its right, one under the other. */
function postLabels({ cradle, side, depth }: BatchBoxLayout): Label[] {
  const left = (x: number, height: number, words: string): Label =>
    leader(words, { x, y: height / 3 }, { x: -0.06, y: height / 3 }, { size: height, anchor: 'end' });
  const right = (place: number, x: number, height: number, words: string): Label =>
    leader(
      words,
      { x, y: Math.min(height / 2, 0.1 + 0.13 * place) },
      { x: depth + 0.14, y: 0.1 + 0.13 * place },
      { size: height },
    );
  if (cradle.leaning) {
    const { posts, stop } = cradle.leaning;
    return [
      left(stop.at - side / 2, stop.height, 'stop'),
      right(0, posts.foot.at - side / 2, posts.foot.length, 'foot post'),
      right(1, posts.front.at - side / 2, posts.front.length, 'low post'),
      right(2, posts.back.at - side / 2, posts.back.length, 'high post'),
    ];
  }
  const [lowest, ...others] = cradle.lying;
  return [
    ...(lowest ? [left(lowest.low - side / 2, lowest.post, 'posts 1')] : []),
    ...others.map((one, index) => right(index, one.high + side / 2, one.post, `posts ${index + 2}`)),
  ];
}
