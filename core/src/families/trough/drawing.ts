import { elbowFor } from '../../catalogue';
import { type Drawing, dim, leader, type Point, type Shape, shape } from '../../draw';
import { type InSection, rimHeight, traceRay } from '../../thermal';
import type { DrawnViews } from '../family';
import { rectsOf } from '../kit/shapes';
import { arcPoints } from './caps';
import type { TroughLayout } from './layout';
import { fieldRange } from './parameters';

/** Rays of the drawing that shows where they go. */
const drawnRays = 16;

function plan(prefix: string, layout: TroughLayout): Drawing {
  const { parameters, receiver, cap, bearer, places, bearers, pitch, opening, receiverLength, bearerLength } = layout;
  const { length, troughs } = parameters;
  const rect = rectsOf(prefix);
  const half = receiver.outerDiameter / 2;
  const wide = opening / 2;
  const out = (receiverLength - length) / 2;
  const elbow = elbowFor(receiver.outerDiameter);
  const inlet = places[0] ?? 0;
  const outlet = places.at(-1) ?? 0;
  const outletHigh = troughs % 2 === 1;
  return {
    title: `Plan of ${prefix}`,
    shapes: [
      ...bearers.map((y) => rect('timber', 'bearer', 0, y - bearer.thickness / 2, bearerLength, bearer.thickness)),
      ...places.flatMap((x) => [
        rect('plate', 'trough-pipe', x - wide, 0, opening, length),
        rect('back', 'cap', x - wide, 0, opening, cap.thickness),
        rect('back', 'cap', x - wide, length - cap.thickness, opening, cap.thickness),
      ]),
      ...places.map((x) => rect('tube', 'receiver', x - half, -out, receiver.outerDiameter, receiverLength)),
      ...places
        .slice(1)
        .map((x, index) =>
          rect(
            'tube',
            'link',
            x - pitch + elbow.laying,
            (index % 2 === 0 ? length + out + elbow.laying : -out - elbow.laying) - half,
            pitch - 2 * elbow.laying,
            receiver.outerDiameter,
          ),
        ),
    ],
    dimensions: [
      dim.up('length', 'trough, cut length', { x: 0, y: 0 }, length, { offset: 0.09, edit: fieldRange('length') }),
      dim.across('bearer', 'bearer', { x: 0, y: length }, bearerLength, { offset: 0.14 }),
    ],
    labels: [
      leader('cold in', { x: inlet, y: -out }, { x: inlet, y: -out - 0.14 }, { anchor: 'middle', tone: 'cold' }),
      leader(
        'hot out',
        { x: outlet, y: outletHigh ? length + out : -out },
        { x: outlet, y: outletHigh ? length + out + 0.2 : -out - 0.14 },
        { anchor: 'middle', tone: 'hot' },
      ),
    ],
  };
}

/** The wall of a ripped pipe, and the film in it. */
function shell(prefix: string, { section, pipe }: TroughLayout, x: number, base: number): Shape[] {
  const { radius, opening, film } = section;
  const moved = (points: Point[]): Point[] => points.map((one) => ({ x: one.x + x, y: one.y + base }));
  const outer = radius + pipe.wall;
  return [
    shape.outline(
      'back',
      moved([...arcPoints(outer, opening, radius), ...arcPoints(radius, opening, radius).reverse()]),
      { part: `${prefix}/trough-pipe` },
    ),
    shape.path('pane', moved(arcPoints(radius, film, radius)), { part: `${prefix}/film` }),
  ];
}

/** Two troughs cut across over a bearer. */
function cutAcross(prefix: string, layout: TroughLayout): Drawing {
  const { parameters, receiver, pipe, bearer, places, section, seat, bearerLength, opening, pitch, depth } = layout;
  const id = (part: string) => `${prefix}/${part}`;
  const base = bearer.width - seat + pipe.wall;
  const shown = places.slice(0, 2);
  const cut = places.length > 2 ? (shown[1] ?? 0) + pitch / 2 : bearerLength;
  const [first = 0, second = first] = shown;
  const rim = base + depth;
  return {
    title: `Section of ${prefix}`,
    shapes: [
      shape.rect('timber', { part: id('bearer'), x: 0, y: 0, width: cut, height: bearer.width }),
      ...shown.flatMap((x) => shell(prefix, layout, x, base)),
      ...shown.flatMap((x): Shape[] => [
        shape.circle('tube', { x, y: base + section.height }, receiver.outerDiameter / 2, { part: id('receiver') }),
        shape.circle('hole', { x, y: base + section.height }, receiver.outerDiameter / 2 - receiver.wall),
      ]),
    ],
    dimensions: [
      dim.up('height', 'pipe over the mirror', { x: first, y: base }, section.height, {
        offset: -(section.pipe / 2 + 0.014),
        edit: fieldRange('height'),
      }),
      dim.across('opening', 'opening', { x: first - opening / 2, y: rim }, opening, { offset: 0.04 }),
      ...(shown.length > 1
        ? [
            dim.across(
              'gap',
              'between troughs',
              { x: second - pitch / 2 - parameters.gap / 2, y: rim },
              parameters.gap,
              { offset: 0.1, edit: fieldRange('gap') },
            ),
          ]
        : []),
    ],
    labels: [
      leader(
        'bearer',
        { x: cut, y: bearer.width / 2 },
        { x: cut + 0.03, y: bearer.width / 2 },
        { size: bearer.thickness },
      ),
      leader(
        'black pipe',
        { x: second, y: base + section.height },
        { x: cut + 0.03, y: rim + 0.02 },
        { size: receiver.outerDiameter },
      ),
    ],
  };
}

/** One trough with rays of a sun that stands square on, each as it is traced. */
function rays(prefix: string, layout: TroughLayout): Drawing {
  const { section, receiver, opening } = layout;
  const rim = rimHeight(section);
  const above = 0.6 * section.radius;
  const traced = Array.from({ length: drawnRays }, (_, index) => {
    const x = opening * ((index + 0.5) / drawnRays - 0.5);
    const points: InSection[] = [{ x, y: rim + above }];
    const { end } = traceRay(section, x, 0, (at) => points.push(at));
    return { points, hits: end === 'pipe' };
  });
  const hits = traced.filter((one) => one.hits).length;
  return {
    title: `Rays in ${prefix}`,
    shapes: [
      ...traced.map(
        ({ points, hits: hit }): Shape =>
          shape.path(hit ? 'header' : 'note', points, { ...(hit ? {} : { hidden: true }) }),
      ),
      ...shell(prefix, layout, 0, 0),
      shape.circle('tube', { x: 0, y: section.height }, receiver.outerDiameter / 2, { part: `${prefix}/receiver` }),
    ],
    dimensions: [
      dim.up('pipe-height', 'pipe over the mirror', { x: 0, y: 0 }, section.height, {
        offset: opening / 2 + layout.pipe.wall + 0.02,
      }),
    ],
    labels: [
      leader(
        `${hits} of ${drawnRays} meet the pipe`,
        { x: opening / 2, y: rim },
        { x: opening / 2 + 0.03, y: rim + above / 2 },
        { tone: 'hot' },
      ),
    ],
  };
}

export function troughViews(prefix: string, layout: TroughLayout): DrawnViews {
  return {
    plan: { name: 'Plan', words: 'from above', draw: () => plan(prefix, layout) },
    section: {
      name: 'Section',
      words: 'cut across, along a bearer',
      draw: () => cutAcross(prefix, layout),
      leads: true,
    },
    rays: { name: 'Rays', words: 'where the light goes, the sun square on', draw: () => rays(prefix, layout) },
  };
}
