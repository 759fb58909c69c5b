import { dim, type Point, shape } from '../../draw';
import { sized } from '../../quantity';
import type { Template } from '../../shop';

/** A round seat for a pipe in the edge of a board that stands on edge; m. */
export interface Seat {
  /** Outside of the pipe. */
  diameter: number;
  depth: number;
  /** Of the board's wide face. */
  board: number;
  /** Middle of the first seat from the end of the board; from seat to seat, and how many. */
  first: number;
  pitch: number;
  count: number;
}

/** The round seat of one pipe in a board at full size. */
export function seatTemplate(
  id: string,
  name: string,
  { diameter, depth, board, first, pitch, count }: Seat,
): Template {
  const radius = diameter / 2;
  const half = Math.sqrt(radius ** 2 - (radius - depth) ** 2);
  const reach = Math.asin(Math.min(1, half / radius));
  const width = 2 * half + 0.05;
  const arc = Array.from({ length: 41 }, (_, index): Point => {
    const angle = -reach + (2 * reach * index) / 40;
    return { x: width / 2 + radius * Math.sin(angle), y: board - depth + radius * (1 - Math.cos(angle)) };
  });
  return {
    id,
    name,
    words: [
      `lay it on the wide face, its upper line on the upper edge, its middle ${sized(first)} from the end${
        count > 1 ? `, then every ${sized(pitch)}` : ''
      }`,
      'saw along the curve, ease it with a rasp until a piece of the pipe lies in it',
    ],
    drawing: {
      title: 'Seat',
      shapes: [
        shape.line('note', { x: 0, y: board }, { x: width, y: board }),
        shape.path('hole', arc),
        shape.line('centre', { x: width / 2, y: board - depth - 0.02 }, { x: width / 2, y: board + 0.01 }),
      ],
      dimensions: [
        dim.between(
          'seat-depth',
          'seat',
          { x: width, y: board - depth },
          { x: width, y: board },
          { value: depth, offset: -0.01 },
        ),
      ],
      labels: [],
    },
  };
}
