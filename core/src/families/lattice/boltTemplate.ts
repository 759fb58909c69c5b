import { type Point, type Shape, shape } from '../../draw';
import { sized } from '../../quantity';
import type { Template } from '../../shop';
import type { LatticeLayout } from './layout';

/** m. As much of the grid as goes on one sheet of paper, lying. */
const room = { x: 0.25, y: 0.165 };

/**
 * The corner of the bolt grid at full size, as a jig that is moved on: the grid is the same all over, so what is drilled holds the
 * template for what comes next.
 */
export function boltTemplate(prefix: string, { parameters, grid, bolts, rimBolts, boltHole }: LatticeLayout): Template {
  const { bolt, rim } = parameters;
  const shown = ({ x, y }: Point) => x <= room.x - bolt && y <= room.y - bolt;
  const size = {
    x: Math.min(room.x, parameters.length),
    y: Math.min(room.y, parameters.width),
  };
  const holes = [...bolts, ...rimBolts].filter(shown);
  return {
    id: `${prefix}/bolt-grid`,
    name: 'Bolt grid, from the low corner',
    words: [
      'lay the two strong lines on the low corner of both sheets, clamped together, and prick every cross',
      `drill, put a bolt in every hole of the last row, hang the first row of the template on them and go on: ${sized(grid.along, true)} along, ${sized(grid.across, true)} across`,
    ],
    drawing: {
      title: 'Bolt grid',
      shapes: [
        shape.rect('plate', { x: 0, y: 0, width: size.x, height: size.y }),
        shape.line('note', { x: 0, y: 0 }, { x: size.x, y: 0 }),
        shape.line('note', { x: 0, y: 0 }, { x: 0, y: size.y }),
        shape.line('centre', { x: rim, y: 0 }, { x: rim, y: size.y }),
        shape.line('centre', { x: 0, y: rim }, { x: size.x, y: rim }),
        ...holes.flatMap(({ x, y }): Shape[] => [
          shape.circle('hole', { x, y }, boltHole / 2),
          shape.line('centre', { x: x - bolt, y }, { x: x + bolt, y }),
          shape.line('centre', { x, y: y - bolt }, { x, y: y + bolt }),
        ]),
      ],
      dimensions: [],
      labels: [],
    },
  };
}
