import { dim, type Point, shape } from '../../draw';
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
        shape.outline('note', arcPoints(radius, opening, radius)),
        shape.circle('hole', { x: 0, y: height }, hole / 2),
        shape.line('centre', { x: 0, y: 0 }, { x: 0, y: rim }),
        shape.line('centre', { x: -hole, y: height }, { x: hole, y: height }),
      ],
      dimensions: [dim.up('hole-up', 'pipe over the mirror', { x: hole, y: 0 }, height, { offset: -0.01 })],
      labels: [],
    },
  };
}
