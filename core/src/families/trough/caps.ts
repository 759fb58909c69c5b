import type { Point } from '../../draw';
import { sized } from '../../quantity';
import type { Template } from '../../shop';
import { rimHeight } from '../../thermal';
import type { TroughLayout } from './layout';

/** Points of a round trough in its section, from edge to edge: x from the middle, y over the lowest line of the mirror. */
export function arcPoints(radius: number, half: number, centre: number, steps = 48): Point[] {
  return Array.from({ length: steps + 1 }, (_, index) => {
    const angle = -half + (2 * half * index) / steps;
    return { x: radius * Math.sin(angle), y: centre - radius * Math.cos(angle) };
  });
}

/** A cap at full size: its round edge and the hole of the black pipe. */
export function capTemplate(prefix: string, { section, hole, parameters }: TroughLayout): Template {
  const { radius, opening, height } = section;
  const rim = rimHeight(section);
  return {
    id: `${prefix}/cap`,
    name: 'Cap with the hole of its pipe',
    words: [
      'lay its straight edge on an edge of the sheet and prick the cross; drill the hole first, then saw round',
      `${2 * parameters.troughs} alike: clamp them in a stack and drill the hole through all of them at once, ${sized(height)} over the lowest point`,
    ],
    drawing: {
      title: 'Cap',
      shapes: [
        { kind: 'path', layer: 'note', closed: true, points: arcPoints(radius, opening, radius) },
        { kind: 'circle', layer: 'hole', centre: { x: 0, y: height }, radius: hole / 2 },
        { kind: 'line', layer: 'centre', from: { x: 0, y: 0 }, to: { x: 0, y: rim } },
        { kind: 'line', layer: 'centre', from: { x: -hole, y: height }, to: { x: hole, y: height } },
      ],
      dimensions: [
        {
          id: 'hole-up',
          label: 'pipe over the mirror',
          from: { x: hole, y: 0 },
          to: { x: hole, y: height },
          offset: -0.01,
          value: height,
        },
      ],
      labels: [],
    },
  };
}
