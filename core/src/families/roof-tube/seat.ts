import type { Point } from '../../draw';
import { sized } from '../../quantity';
import type { Template } from '../../shop';
import type { RoofTubeLayout } from './layout';

/** The round seat of one pipe in a saddle at full size. */
export function seatTemplate(
  prefix: string,
  { pipe, seat, saddle, places, pitch, parameters }: RoofTubeLayout,
): Template {
  const radius = pipe.outerDiameter / 2;
  const half = Math.sqrt(radius ** 2 - (radius - seat) ** 2);
  const reach = Math.asin(Math.min(1, half / radius));
  const width = 2 * half + 0.05;
  const arc = Array.from({ length: 41 }, (_, index): Point => {
    const angle = -reach + (2 * reach * index) / 40;
    return { x: width / 2 + radius * Math.sin(angle), y: saddle.width - seat + radius * (1 - Math.cos(angle)) };
  });
  return {
    id: `${prefix}/seat`,
    name: 'Seat of a pipe in its saddle',
    words: [
      `lay it on the wide face, its upper line on the upper edge, its middle ${sized(places[0] ?? 0)} from the end${
        parameters.pipes > 1 ? `, then every ${sized(pitch)}` : ''
      }`,
      'saw along the curve, ease it with a rasp until a piece of the pipe lies in it',
    ],
    drawing: {
      title: 'Seat',
      shapes: [
        { kind: 'line', layer: 'note', from: { x: 0, y: saddle.width }, to: { x: width, y: saddle.width } },
        { kind: 'path', layer: 'hole', closed: false, points: arc },
        {
          kind: 'line',
          layer: 'centre',
          from: { x: width / 2, y: saddle.width - seat - 0.02 },
          to: { x: width / 2, y: saddle.width + 0.01 },
        },
      ],
      dimensions: [
        {
          id: 'seat-depth',
          label: 'seat',
          from: { x: width, y: saddle.width - seat },
          to: { x: width, y: saddle.width },
          offset: -0.01,
          value: seat,
        },
      ],
      labels: [],
    },
  };
}
