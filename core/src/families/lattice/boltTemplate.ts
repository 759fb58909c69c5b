import type { Point, Shape } from '../../draw';
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
        { kind: 'rect', layer: 'plate', x: 0, y: 0, width: size.x, height: size.y },
        { kind: 'line', layer: 'note', from: { x: 0, y: 0 }, to: { x: size.x, y: 0 } },
        { kind: 'line', layer: 'note', from: { x: 0, y: 0 }, to: { x: 0, y: size.y } },
        { kind: 'line', layer: 'centre', from: { x: rim, y: 0 }, to: { x: rim, y: size.y } },
        { kind: 'line', layer: 'centre', from: { x: 0, y: rim }, to: { x: size.x, y: rim } },
        ...holes.flatMap(({ x, y }): Shape[] => [
          { kind: 'circle', layer: 'hole', centre: { x, y }, radius: boltHole / 2 },
          { kind: 'line', layer: 'centre', from: { x: x - bolt, y }, to: { x: x + bolt, y } },
          { kind: 'line', layer: 'centre', from: { x, y: y - bolt }, to: { x, y: y + bolt } },
        ]),
      ],
      dimensions: [],
      labels: [],
    },
  };
}
