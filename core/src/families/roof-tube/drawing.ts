import type { Drawing, Shape } from '../../draw';
import type { DrawnViews } from '../family';
import { cap, fillHole, outletHole, type RoofTubeLayout, ventHole } from './layout';
import { fieldRange } from './parameters';

function plan(prefix: string, layout: RoofTubeLayout): Drawing {
  const { parameters, pipe, saddle, saddles, places, width } = layout;
  const { length, pipes, gap } = parameters;
  const id = (part: string) => `${prefix}/${part}`;
  const half = pipe.outerDiameter / 2;
  const circle = (part: string, x: number, y: number, radius: number): Shape => ({
    kind: 'circle',
    layer: 'hole',
    part: id(part),
    centre: { x, y },
    radius,
  });
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      ...saddles.map(
        (x): Shape => ({
          kind: 'rect',
          layer: 'timber',
          part: id('saddle'),
          x: x - saddle.thickness / 2,
          y: 0,
          width: saddle.thickness,
          height: width,
        }),
      ),
      ...places.flatMap((y): Shape[] => [
        { kind: 'rect', layer: 'tube', part: id('pipe'), x: 0, y: y - half, width: length, height: pipe.outerDiameter },
        ...[-cap.long, length].map(
          (x): Shape => ({
            kind: 'rect',
            layer: 'header',
            part: id('cap'),
            x,
            y: y - half - cap.wide / 2,
            width: cap.long,
            height: pipe.outerDiameter + cap.wide,
          }),
        ),
        circle('fill-plug', length - layout.fill, y, fillHole / 2),
        circle('vent', length - layout.vent, y, ventHole / 2),
      ]),
    ],
    dimensions: [
      {
        id: 'length',
        label: 'pipe, cut length',
        from: { x: 0, y: 0 },
        to: { x: length, y: 0 },
        offset: -0.08,
        value: length,
        edit: {
          path: 'parameters.length',
          ...fieldRange('length'),
          scale: 1,
          offset: 0,
          lowReason: 'it holds too little',
          highReason: 'no such pipe is sold',
        },
      },
      ...(pipes > 1
        ? [
            {
              id: 'gap',
              label: 'between pipes',
              from: { x: 0.3 * length, y: (places[0] ?? 0) + half },
              to: { x: 0.3 * length, y: (places[1] ?? 0) - half },
              offset: 0,
              value: gap,
              edit: {
                path: 'parameters.gap',
                ...fieldRange('gap'),
                scale: 1,
                offset: 0,
                lowReason: 'their caps would meet',
                highReason: 'the rack ends',
              },
            },
          ]
        : []),
    ],
    labels: [
      {
        at: { x: 0, y: places[0] ?? 0 },
        to: { x: -cap.long - 0.02, y: places[0] ?? 0 },
        words: 'low end, out',
        anchor: 'end',
        tone: 'hot',
      },
      {
        at: { x: length - layout.fill, y: places.at(-1) ?? 0 },
        to: { x: length - 0.3 * length, y: width + 0.03 },
        words: 'filled here',
        anchor: 'middle',
        tone: 'cold',
      },
      {
        at: { x: length - layout.vent, y: places[0] ?? 0 },
        to: { x: length + cap.long + 0.02, y: places[0] ?? 0 },
        words: 'vent, always open',
        anchor: 'start',
      },
    ],
  };
}

/** The pipes cut across over a saddle, seen from the low end. */
function section(prefix: string, layout: RoofTubeLayout): Drawing {
  const { pipe, bore, saddle, places, width, seat, outlet } = layout;
  const id = (part: string) => `${prefix}/${part}`;
  const z = saddle.width - seat + pipe.outerDiameter / 2;
  return {
    title: `Section of ${prefix}`,
    shapes: [
      { kind: 'rect', layer: 'timber', part: id('saddle'), x: 0, y: 0, width, height: saddle.width },
      ...places.flatMap((y): Shape[] => [
        { kind: 'circle', layer: 'tube', part: id('pipe'), centre: { x: y, y: z }, radius: pipe.outerDiameter / 2 },
        { kind: 'circle', layer: 'hole', centre: { x: y, y: z }, radius: bore / 2 },
        // In the low cap, behind the cut.
        {
          kind: 'circle',
          layer: 'hole',
          part: id('outlet'),
          centre: { x: y, y: z - (pipe.outerDiameter + cap.wide) / 2 + outlet },
          radius: outletHole / 2,
          hidden: true,
        },
      ]),
    ],
    dimensions: [
      {
        id: 'seat',
        label: 'seat',
        from: { x: width, y: saddle.width - seat },
        to: { x: width, y: saddle.width },
        offset: -0.03,
        value: seat,
      },
      {
        id: 'pipe-outside',
        label: 'pipe, outside',
        from: { x: (places[0] ?? 0) - pipe.outerDiameter / 2, y: z },
        to: { x: (places[0] ?? 0) + pipe.outerDiameter / 2, y: z },
        offset: pipe.outerDiameter / 2 + 0.03,
        value: pipe.outerDiameter,
      },
    ],
    labels: [
      {
        at: { x: width, y: 0.02 },
        to: { x: width + 0.03, y: 0.01 },
        words: 'saddle',
        size: saddle.thickness,
        anchor: 'start',
      },
    ],
  };
}

/** The top of a pipe with its fill hole, cut along, at full size. */
function detail(prefix: string, layout: RoofTubeLayout): Drawing {
  const { pipe } = layout;
  const id = (part: string) => `${prefix}/${part}`;
  const long = 0.16;
  const plug = fillHole + 0.016;
  return {
    title: `Detail of ${prefix}`,
    shapes: [
      { kind: 'rect', layer: 'tube', part: id('pipe'), x: 0, y: 0, width: (long - fillHole) / 2, height: pipe.wall },
      {
        kind: 'rect',
        layer: 'tube',
        part: id('pipe'),
        x: (long + fillHole) / 2,
        y: 0,
        width: (long - fillHole) / 2,
        height: pipe.wall,
      },
      {
        kind: 'rect',
        layer: 'fixing',
        part: id('fill-plug'),
        x: (long - fillHole) / 2 + 0.001,
        y: -0.02,
        width: fillHole - 0.002,
        height: 0.02 + pipe.wall,
      },
      {
        kind: 'rect',
        layer: 'fixing',
        part: id('fill-plug'),
        x: (long - plug) / 2,
        y: pipe.wall + 0.003,
        width: plug,
        height: 0.012,
      },
      { kind: 'rect', layer: 'note', x: (long - plug) / 2, y: pipe.wall, width: plug, height: 0.003 },
    ],
    dimensions: [
      {
        id: 'fill-hole',
        label: 'fill hole',
        from: { x: (long - fillHole) / 2, y: 0 },
        to: { x: (long + fillHole) / 2, y: 0 },
        offset: -0.03,
        value: fillHole,
      },
    ],
    labels: [
      {
        at: { x: 0.02, y: pipe.wall / 2 },
        to: { x: 0.02, y: -0.015 },
        words: 'wall',
        size: pipe.wall,
        fine: true,
        anchor: 'middle',
      },
      {
        at: { x: (long + plug) / 2, y: pipe.wall + 0.0015 },
        to: { x: (long + plug) / 2 + 0.01, y: pipe.wall + 0.012 },
        words: 'rubber',
        anchor: 'start',
      },
    ],
  };
}

export function roofTubeViews(prefix: string, layout: RoofTubeLayout): DrawnViews {
  return {
    plan: { name: 'Plan', words: 'from above', draw: () => plan(prefix, layout) },
    section: { name: 'Section', words: 'cut across over a saddle', draw: () => section(prefix, layout) },
    detail: { name: 'Full size', words: 'the fill hole in its place', draw: () => detail(prefix, layout) },
  };
}
