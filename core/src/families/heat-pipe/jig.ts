import { type Shape, shape } from '../../draw';
import { sized } from '../../quantity';
import type { Template } from '../../shop';
import type { HeatPipeLayout } from './layout';

/** m of paper, lying. */
const room = 0.27;

/** The first holes of the rails at full size: a jig that is hung on its own last hole and moved on. */
export function jigTemplate(prefix: string, { parameters, places, hole, rail }: HeatPipeLayout): Template {
  const { pitch, tubes } = parameters;
  const first = places[0] ?? 0;
  const count = Math.max(1, Math.min(tubes, Math.floor((room - first) / pitch) + 1));
  const shown = places.slice(0, count);
  const width = (shown.at(-1) ?? first) + Math.min(0.03, pitch / 2);
  return {
    id: `${prefix}/jig`,
    name: `Jig for the rails, ${count} holes at the bottle pitch`,
    words: [
      'stick it on a strip of plywood with its left edge on the end, and drill the small crosses through',
      `lay it on the rail, edge on edge and end on end; prick the holes, then drill ${sized(hole.diameter, true)}`,
      ...(tubes > count
        ? [`put a bolt through the last hole into the first of the jig and go on, ${sized(pitch, true)} each time`]
        : []),
    ],
    drawing: {
      title: 'Jig',
      shapes: [
        shape.rect('note', { x: 0, y: 0, width, height: rail.width }),
        ...shown.flatMap((x): Shape[] => [
          shape.circle('hole', { x, y: hole.up }, hole.diameter / 2),
          shape.line('centre', { x: x - 0.012, y: hole.up }, { x: x + 0.012, y: hole.up }),
          shape.line('centre', { x, y: hole.up - 0.012 }, { x, y: hole.up + 0.012 }),
        ]),
      ],
      dimensions: [],
      labels: [],
    },
  };
}
