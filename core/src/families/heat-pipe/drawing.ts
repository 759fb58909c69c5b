import { bore } from '../../catalogue';
import type { Drawing, Shape } from '../../draw';
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
  const [one = 0, two = one + pitch] = places;
  return {
    title: `Plan of ${prefix}`,
    shapes,
    dimensions: [
      ...(tubes > 1
        ? [
            {
              id: 'pitch',
              label: 'pipe to pipe',
              from: { x: 0, y: one },
              to: { x: 0, y: two },
              offset: 0.06,
              value: pitch,
              edit: {
                path: 'parameters.pitch',
                ...fieldRange('pitch'),
                scale: 1,
                offset: 0,
                lowReason: 'the sleeves would meet',
                highReason: 'more gap than pipe',
              },
            },
          ]
        : []),
      {
        id: 'bottle',
        label: 'bottle, cut height',
        from: { x: sun.from, y: 0 },
        to: { x: sun.from + bottleHeight, y: 0 },
        offset: -0.05,
        value: bottleHeight,
        edit: {
          path: 'parameters.bottleHeight',
          low: Math.max(fieldRange('bottleHeight').low, parameters.lap),
          high: fieldRange('bottleHeight').high,
          scale: 1,
          offset: 0,
          lowReason: 'no such bottle is sold',
          highReason: 'no such bottle is sold',
        },
      },
      {
        id: 'length',
        label: 'pipe, foot to tip',
        from: { x: 0, y: width },
        to: { x: layout.length, y: width },
        offset: 0.06,
        value: layout.length,
      },
    ],
    labels: [
      {
        at: { x: axis, y: first },
        to: { x: axis, y: first - 0.02 },
        words: 'cold in',
        anchor: 'middle',
        tone: 'cold',
      },
      {
        at: { x: axis, y: (places.at(-1) ?? 0) + tee.runLaying + end },
        to: { x: axis + 0.06, y: (places.at(-1) ?? 0) + tee.runLaying + end - 0.03 },
        words: 'hot out',
        anchor: 'start',
        tone: 'hot',
      },
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
            (y): Shape => ({
              kind: 'circle',
              layer: 'pane',
              part: id('bottle'),
              hidden: true,
              centre: { x: y, y: z },
              radius: parameters.bottleDiameter / 2,
            }),
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
        { kind: 'circle', layer: 'tube', part: id('pipe'), centre: { x: y, y: z }, radius: tube.outerDiameter / 2 },
        { kind: 'circle', layer: 'hole', centre: { x: y, y: z }, radius: layout.bore / 2 },
      ]),
    ],
    dimensions: [
      {
        id: 'up',
        label: 'pipe over the rail’s edge',
        from: { x: 0, y: stile.thickness },
        to: { x: 0, y: z },
        offset: 0.02,
        value: hole.up,
      },
    ],
    labels: [
      {
        at: { x: cut, y: z + 0.02 },
        to: { x: cut + 0.02, y: z + 0.02 },
        words: 'rail',
        size: rail.thickness,
        anchor: 'start',
      },
      {
        at: { x: stile.width, y: stile.thickness / 2 },
        to: { x: stile.width + 0.02, y: stile.thickness / 2 },
        words: 'stile',
        size: stile.thickness,
        anchor: 'start',
      },
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
      {
        id: 'immersion',
        label: 'tip in the water',
        from: { x: half, y: -span / 2 },
        to: { x: half, y: tip },
        offset: -0.012,
        value: parameters.immersion,
        edit: {
          path: 'parameters.immersion',
          ...fieldRange('immersion'),
          scale: 1,
          offset: 0,
          lowReason: 'nothing of it would be in the water',
          highReason: 'it would meet the far wall',
        },
      },
      {
        id: 'reach',
        label: 'branch, to its mouth',
        from: { x: -half, y: -reach },
        to: { x: -half, y: 0 },
        offset: 0.012,
        value: reach,
      },
    ],
    labels: [
      {
        at: { x: across, y: outer },
        to: { x: across + 0.008, y: outer + 0.004 },
        words: 'manifold, bore',
        size: span,
        fine: true,
        anchor: 'start',
      },
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
