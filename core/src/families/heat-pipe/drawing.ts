import { bore } from '../../catalogue';
import { type Drawing, dim, leader, type Shape, shape } from '../../draw';
import type { DrawnViews } from '../family';
import { rectsOf } from '../kit/shapes';
import type { HeatPipeLayout } from './layout';
import { fieldRange } from './parameters';

/** x where each bottle of a sleeve begins. */
function bottlesFrom({ parameters, sun }: HeatPipeLayout): number[] {
  const { bottles, bottleHeight, lap } = parameters;
  return Array.from({ length: bottles }, (_, index) => sun.from + index * (bottleHeight - lap));
}

function plan(prefix: string, layout: HeatPipeLayout): Drawing {
  const {
    parameters,
    tube,
    manifold,
    places,
    rails,
    rail,
    stile,
    stiles,
    axis,
    sun,
    width,
    sleeved,
    outside,
    tee,
    piece,
    end,
  } = layout;
  const { tubes, pitch, bottleDiameter, bottleHeight } = parameters;
  const rect = rectsOf(prefix);
  const half = tube.outerDiameter / 2;
  const first = (places[0] ?? 0) - tee.runLaying - end;
  const run = manifold.outerDiameter;
  const shapes: Shape[] = [
    ...[stiles.low, stiles.high].map((y) =>
      rect('timber', 'stile', 0, y - stile.width / 2, outside.length, stile.width),
    ),
    ...[rails.low, rails.high].map((x) => rect('rail', 'rail', x - rail.thickness / 2, 0, rail.thickness, width)),
    ...places.map((y) => rect('tube', 'pipe', 0, y - half, layout.length, tube.outerDiameter)),
    ...(layout.strip
      ? places.map((y) =>
          rect('plate', 'strip', sun.from, y - (layout.strip?.width ?? 0) / 2, layout.heated, layout.strip?.width ?? 0),
        )
      : []),
    ...(sleeved
      ? places.flatMap((y) =>
          bottlesFrom(layout).map((x) =>
            rect('pane', 'bottle', x, y - bottleDiameter / 2, bottleHeight, bottleDiameter, true),
          ),
        )
      : []),
    rect('header', 'manifold-end', axis - run / 2, first, run, end),
    ...places
      .slice(1)
      .map((y) => rect('header', 'manifold-piece', axis - run / 2, y - pitch + tee.runLaying, run, piece)),
    ...places.map((y) =>
      rect('fixing', 'tee', axis - tee.across / 2, y - tee.runLaying, tee.across, 2 * tee.runLaying),
    ),
    rect('header', 'manifold-end', axis - run / 2, (places.at(-1) ?? 0) + tee.runLaying, run, end),
  ];
  const [one = 0] = places;
  return {
    title: `Plan of ${prefix}`,
    shapes,
    dimensions: [
      ...(tubes > 1
        ? [dim.up('pitch', 'pipe to pipe', { x: 0, y: one }, pitch, { offset: 0.06, edit: fieldRange('pitch') })]
        : []),
      dim.across('bottle', 'bottle, cut height', { x: sun.from, y: 0 }, bottleHeight, {
        offset: -0.05,
        edit: {
          ...fieldRange('bottleHeight'),
          low: Math.max(fieldRange('bottleHeight').low, parameters.lap),
        },
      }),
      dim.across('length', 'pipe, foot to tip', { x: 0, y: width }, layout.length, { offset: 0.06 }),
    ],
    labels: [
      leader('cold in', { x: axis, y: first }, { x: axis, y: first - 0.02 }, { anchor: 'middle', tone: 'cold' }),
      leader(
        'hot out',
        { x: axis, y: (places.at(-1) ?? 0) + tee.runLaying + end },
        { x: axis + 0.06, y: (places.at(-1) ?? 0) + tee.runLaying + end - 0.03 },
        { tone: 'hot' },
      ),
    ],
  };
}

/** Two pipes cut across in their sleeves, over the low rail, seen up the slope. */
function section(prefix: string, layout: HeatPipeLayout): Drawing {
  const { parameters, tube, places, rail, stile, hole, sleeved, width } = layout;
  const shown = places.slice(0, 3);
  const cut = Math.min(width, (shown.at(-1) ?? 0) + 0.07);
  const z = stile.thickness + hole.up;
  const id = (part: string) => `${prefix}/${part}`;
  const rect = rectsOf(prefix);
  return {
    title: `Section of ${prefix}`,
    shapes: [
      rect('timber', 'stile', 0, 0, stile.width, stile.thickness),
      // The lower part of the rail, and its keeper over the saw cut along the middle of the holes.
      rect('rail', 'rail', 0, stile.thickness, cut, hole.up),
      rect('rail', 'rail', 0, z, cut, rail.width - hole.up),
      ...(sleeved
        ? shown.map(
            (y): Shape =>
              shape.circle('pane', { x: y, y: z }, parameters.bottleDiameter / 2, { part: id('bottle'), hidden: true }),
          )
        : []),
      ...(layout.strip
        ? shown.map((y) =>
            rect(
              'plate',
              'strip',
              y - (layout.strip?.width ?? 0) / 2,
              z,
              layout.strip?.width ?? 0,
              Math.max(0.001, layout.strip?.sheet.thickness ?? 0),
            ),
          )
        : []),
      ...shown.flatMap((y): Shape[] => [
        shape.circle('tube', { x: y, y: z }, tube.outerDiameter / 2, { part: id('pipe') }),
        shape.circle('hole', { x: y, y: z }, layout.bore / 2),
      ]),
    ],
    dimensions: [
      dim.between(
        'up',
        'pipe over the rail’s edge',
        { x: 0, y: stile.thickness },
        { x: 0, y: z },
        { value: hole.up, offset: 0.02 },
      ),
    ],
    labels: [
      leader('rail', { x: cut, y: z + 0.02 }, { x: cut + 0.02, y: z + 0.02 }, { size: rail.thickness }),
      leader(
        'stile',
        { x: stile.width, y: stile.thickness / 2 },
        { x: stile.width + 0.02, y: stile.thickness / 2 },
        { size: stile.thickness },
      ),
    ],
  };
}

/** The tip of a pipe in its tee, cut along the pipe: how far it stands in the water. */
function detail(prefix: string, layout: HeatPipeLayout): Drawing {
  const { parameters, tube, manifold, tee } = layout;
  const span = bore(manifold);
  const outer = manifold.outerDiameter / 2;
  const wall = manifold.wall;
  const reach = tee.branchLaying + tee.branchSocket;
  const half = tube.outerDiameter / 2;
  const across = tee.runLaying + tee.runSocket;
  const rect = rectsOf(prefix);
  const tip = -span / 2 + parameters.immersion;
  return {
    title: `Detail of ${prefix}`,
    shapes: [
      rect('fixing', 'tee', -across, outer - wall, 2 * across, wall),
      rect('fixing', 'tee', -across, -outer, across - half - 0.001, wall),
      rect('fixing', 'tee', half + 0.001, -outer, across - half - 0.001, wall),
      rect('fixing', 'tee', -half - 0.002, -reach, 0.002, reach - outer),
      rect('fixing', 'tee', half, -reach, 0.002, reach - outer),
      rect('tube', 'pipe', -half, -reach - 0.03, tube.outerDiameter, tip + reach + 0.03),
    ],
    dimensions: [
      dim.between(
        'immersion',
        'tip in the water',
        { x: half, y: -span / 2 },
        { x: half, y: tip },
        { value: parameters.immersion, offset: -0.012, edit: fieldRange('immersion') },
      ),
      dim.between(
        'reach',
        'branch, to its mouth',
        { x: -half, y: -reach },
        { x: -half, y: 0 },
        { value: reach, offset: 0.012 },
      ),
    ],
    labels: [
      leader(
        'manifold, bore',
        { x: across, y: outer },
        { x: across + 0.008, y: outer + 0.004 },
        { size: span, fine: true },
      ),
    ],
  };
}

export function heatPipeViews(prefix: string, layout: HeatPipeLayout): DrawnViews {
  return {
    plan: { name: 'Plan', words: 'from above', draw: () => plan(prefix, layout) },
    section: { name: 'Section', words: 'cut across, looking up the slope', draw: () => section(prefix, layout) },
    detail: { name: 'Full size', words: 'the tip of a pipe in its tee', draw: () => detail(prefix, layout) },
  };
}
