import { elbowFor } from '../../catalogue';
import type { Drawing, Point, Shape } from '../../draw';
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
      {
        id: 'length',
        label: 'trough, cut length',
        from: { x: 0, y: 0 },
        to: { x: 0, y: length },
        offset: 0.09,
        value: length,
        edit: {
          path: 'parameters.length',
          ...fieldRange('length'),
          scale: 1,
          offset: 0,
          lowReason: 'most of it would be ends',
          highReason: 'the black pipe would sag',
        },
      },
      {
        id: 'bearer',
        label: 'bearer',
        from: { x: 0, y: length },
        to: { x: bearerLength, y: length },
        offset: 0.14,
        value: bearerLength,
      },
    ],
    labels: [
      {
        at: { x: inlet, y: -out },
        to: { x: inlet, y: -out - 0.14 },
        words: 'cold in',
        anchor: 'middle',
        tone: 'cold',
      },
      {
        at: { x: outlet, y: outletHigh ? length + out : -out },
        to: { x: outlet, y: outletHigh ? length + out + 0.2 : -out - 0.14 },
        words: 'hot out',
        anchor: 'middle',
        tone: 'hot',
      },
    ],
  };
}

/** The wall of a ripped pipe, and the film in it. */
function shell(prefix: string, { section, pipe }: TroughLayout, x: number, base: number): Shape[] {
  const { radius, opening, film } = section;
  const moved = (points: Point[]): Point[] => points.map((one) => ({ x: one.x + x, y: one.y + base }));
  const outer = radius + pipe.wall;
  return [
    {
      kind: 'path',
      layer: 'back',
      part: `${prefix}/trough-pipe`,
      closed: true,
      points: moved([...arcPoints(outer, opening, radius), ...arcPoints(radius, opening, radius).reverse()]),
    },
    {
      kind: 'path',
      layer: 'pane',
      part: `${prefix}/film`,
      closed: false,
      points: moved(arcPoints(radius, film, radius)),
    },
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
      { kind: 'rect', layer: 'timber', part: id('bearer'), x: 0, y: 0, width: cut, height: bearer.width },
      ...shown.flatMap((x) => shell(prefix, layout, x, base)),
      ...shown.flatMap((x): Shape[] => [
        {
          kind: 'circle',
          layer: 'tube',
          part: id('receiver'),
          centre: { x, y: base + section.height },
          radius: receiver.outerDiameter / 2,
        },
        {
          kind: 'circle',
          layer: 'hole',
          centre: { x, y: base + section.height },
          radius: receiver.outerDiameter / 2 - receiver.wall,
        },
      ]),
    ],
    dimensions: [
      {
        id: 'height',
        label: 'pipe over the mirror',
        from: { x: first, y: base },
        to: { x: first, y: base + section.height },
        offset: -(section.pipe / 2 + 0.014),
        value: section.height,
        edit: {
          path: 'parameters.height',
          ...fieldRange('height'),
          scale: 1,
          offset: 0,
          lowReason: 'the pipe would lie on the mirror',
          highReason: 'the light crosses far below',
        },
      },
      {
        id: 'opening',
        label: 'opening',
        from: { x: first - opening / 2, y: rim },
        to: { x: first + opening / 2, y: rim },
        offset: 0.04,
        value: opening,
      },
      ...(shown.length > 1
        ? [
            {
              id: 'gap',
              label: 'between troughs',
              from: { x: second - pitch / 2 - parameters.gap / 2, y: rim },
              to: { x: second - pitch / 2 + parameters.gap / 2, y: rim },
              offset: 0.1,
              value: parameters.gap,
              edit: {
                path: 'parameters.gap',
                ...fieldRange('gap'),
                scale: 1,
                offset: 0,
                lowReason: 'the troughs would touch',
                highReason: 'sun falls through between',
              },
            },
          ]
        : []),
    ],
    labels: [
      {
        at: { x: cut, y: bearer.width / 2 },
        to: { x: cut + 0.03, y: bearer.width / 2 },
        words: 'bearer',
        size: bearer.thickness,
        anchor: 'start',
      },
      {
        at: { x: second, y: base + section.height },
        to: { x: cut + 0.03, y: rim + 0.02 },
        words: 'black pipe',
        size: receiver.outerDiameter,
        anchor: 'start',
      },
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
        ({ points, hits: hit }): Shape => ({
          kind: 'path',
          layer: hit ? 'header' : 'note',
          closed: false,
          ...(hit ? {} : { hidden: true }),
          points,
        }),
      ),
      ...shell(prefix, layout, 0, 0),
      {
        kind: 'circle',
        layer: 'tube',
        part: `${prefix}/receiver`,
        centre: { x: 0, y: section.height },
        radius: receiver.outerDiameter / 2,
      },
    ],
    dimensions: [
      {
        id: 'pipe-height',
        label: 'pipe over the mirror',
        from: { x: 0, y: 0 },
        to: { x: 0, y: section.height },
        offset: opening / 2 + layout.pipe.wall + 0.02,
        value: section.height,
      },
    ],
    labels: [
      {
        at: { x: opening / 2, y: rim },
        to: { x: opening / 2 + 0.03, y: rim + above / 2 },
        words: `${hits} of ${drawnRays} meet the pipe`,
        anchor: 'start',
        tone: 'hot',
      },
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
