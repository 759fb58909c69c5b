import { type Drawing, dim, leader, type Shape, shape } from '../../draw';
import type { DrawnViews } from '../family';
import { cap, fillHole, outletHole, type RoofTubeLayout, ventHole } from './layout';
import { fieldRange } from './parameters';

function plan(prefix: string, layout: RoofTubeLayout): Drawing {
  const { parameters, pipe, saddle, saddles, places, width } = layout;
  const { length, pipes, gap } = parameters;
  const id = (part: string) => `${prefix}/${part}`;
  const half = pipe.outerDiameter / 2;
  const circle = (part: string, x: number, y: number, radius: number): Shape =>
    shape.circle('hole', { x, y }, radius, { part: id(part) });
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      ...saddles.map(
        (x): Shape =>
          shape.rect('timber', {
            part: id('saddle'),
            x: x - saddle.thickness / 2,
            y: 0,
            width: saddle.thickness,
            height: width,
          }),
      ),
      ...places.flatMap((y): Shape[] => [
        shape.rect('tube', { part: id('pipe'), x: 0, y: y - half, width: length, height: pipe.outerDiameter }),
        ...[-cap.long, length].map(
          (x): Shape =>
            shape.rect('header', {
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
      dim.across('length', 'pipe, cut length', { x: 0, y: 0 }, length, { offset: -0.08, edit: fieldRange('length') }),
      ...(pipes > 1
        ? [
            dim.between(
              'gap',
              'between pipes',
              { x: 0.3 * length, y: (places[0] ?? 0) + half },
              { x: 0.3 * length, y: (places[1] ?? 0) - half },
              { value: gap, offset: 0, edit: fieldRange('gap') },
            ),
          ]
        : []),
    ],
    labels: [
      leader(
        'low end, out',
        { x: 0, y: places[0] ?? 0 },
        { x: -cap.long - 0.02, y: places[0] ?? 0 },
        { anchor: 'end', tone: 'hot' },
      ),
      leader(
        'filled here',
        { x: length - layout.fill, y: places.at(-1) ?? 0 },
        { x: length - 0.3 * length, y: width + 0.03 },
        { anchor: 'middle', tone: 'cold' },
      ),
      leader(
        'vent, always open',
        { x: length - layout.vent, y: places[0] ?? 0 },
        { x: length + cap.long + 0.02, y: places[0] ?? 0 },
      ),
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
      shape.rect('timber', { part: id('saddle'), x: 0, y: 0, width, height: saddle.width }),
      ...places.flatMap((y): Shape[] => [
        shape.circle('tube', { x: y, y: z }, pipe.outerDiameter / 2, { part: id('pipe') }),
        shape.circle('hole', { x: y, y: z }, bore / 2),
        // In the low cap, behind the cut.
        shape.circle('hole', { x: y, y: z - (pipe.outerDiameter + cap.wide) / 2 + outlet }, outletHole / 2, {
          part: id('outlet'),
          hidden: true,
        }),
      ]),
    ],
    dimensions: [
      dim.between(
        'seat',
        'seat',
        { x: width, y: saddle.width - seat },
        { x: width, y: saddle.width },
        { value: seat, offset: -0.03 },
      ),
      dim.across(
        'pipe-outside',
        'pipe, outside',
        { x: (places[0] ?? 0) - pipe.outerDiameter / 2, y: z },
        pipe.outerDiameter,
        { offset: pipe.outerDiameter / 2 + 0.03 },
      ),
    ],
    labels: [leader('saddle', { x: width, y: 0.02 }, { x: width + 0.03, y: 0.01 }, { size: saddle.thickness })],
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
      shape.rect('tube', { part: id('pipe'), x: 0, y: 0, width: (long - fillHole) / 2, height: pipe.wall }),
      shape.rect('tube', {
        part: id('pipe'),
        x: (long + fillHole) / 2,
        y: 0,
        width: (long - fillHole) / 2,
        height: pipe.wall,
      }),
      shape.rect('fixing', {
        part: id('fill-plug'),
        x: (long - fillHole) / 2 + 0.001,
        y: -0.02,
        width: fillHole - 0.002,
        height: 0.02 + pipe.wall,
      }),
      shape.rect('fixing', {
        part: id('fill-plug'),
        x: (long - plug) / 2,
        y: pipe.wall + 0.003,
        width: plug,
        height: 0.012,
      }),
      shape.rect('note', { x: (long - plug) / 2, y: pipe.wall, width: plug, height: 0.003 }),
    ],
    dimensions: [
      dim.between(
        'fill-hole',
        'fill hole',
        { x: (long - fillHole) / 2, y: 0 },
        { x: (long + fillHole) / 2, y: 0 },
        { value: fillHole, offset: -0.03 },
      ),
    ],
    labels: [
      leader(
        'wall',
        { x: 0.02, y: pipe.wall / 2 },
        { x: 0.02, y: -0.015 },
        { size: pipe.wall, fine: true, anchor: 'middle' },
      ),
      leader(
        'rubber',
        { x: (long + plug) / 2, y: pipe.wall + 0.0015 },
        { x: (long + plug) / 2 + 0.01, y: pipe.wall + 0.012 },
      ),
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
