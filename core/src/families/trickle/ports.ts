import { sized } from '../../quantity';
import type { Port } from '../family';
import { falls } from '../kit/ports';
import { gutter, type TrickleLayout } from './layout';

/** The feed manifold over the heads of the strips, and the outlet of the gutter at their feet. */
export function tricklePorts(prefix: string, { outside, wall, face, back, strips }: TrickleLayout): Port[] {
  return [
    {
      id: 'cold',
      name: 'cold in',
      at: { x: outside.length, y: outside.width / 2 },
      up: face,
      end: `manifold of ${strips.length} outlets, a soft tube from each to the head of its strip`,
      fitting: `${prefix}/manifold`,
      fall: 'from the pump, up; open to the air when it stops, so that it runs back',
    },
    {
      id: 'hot',
      name: 'warm out',
      at: { x: wall + gutter.width / 2, y: 0 },
      up: back.thickness,
      end: `outlet of the gutter, ${sized(gutter.width)} across`,
      fitting: `${prefix}/gutter`,
      fall: falls.home,
    },
  ];
}
