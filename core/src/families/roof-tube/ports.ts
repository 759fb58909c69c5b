import { sized } from '../../quantity';
import type { Port } from '../family';
import { falls } from '../kit/ports';
import { cap, fillHole, type RoofTubeLayout, ventHole } from './layout';

/** Of the pipes, joined at their low ends: outlet, fill plug and the vent that is always open. */
export function roofTubePorts(prefix: string, layout: RoofTubeLayout): Port[] {
  const { parameters, places, outside, fill, vent, outlet, saddle, seat } = layout;
  const { length, pipes } = parameters;
  const y = places[0] ?? 0;
  /** The underside of the pipes in their seats; a cap hangs half of what it is wider below that. */
  const underside = saddle.width - seat;
  const top = outside.depth;
  const each = pipes > 1 ? `, one on each of ${pipes} pipes` : '';
  return [
    {
      id: 'fill',
      name: `filled here${each}`,
      at: { x: length - fill, y },
      up: top,
      end: `plug with rubber in a hole ${sized(fillHole, true)} across`,
      fitting: `${prefix}/fill-plug`,
      fall: 'a hose or a can from above',
    },
    {
      id: 'hot',
      name: `warm out${each}`,
      at: { x: 0, y },
      up: underside - cap.wide / 2 + outlet,
      end: `bulkhead in the low cap, its middle ${sized(outlet)} over the bottom of the cap`,
      fitting: `${prefix}/outlet`,
      fall: falls.shower,
    },
    {
      id: 'vent',
      name: `vent${each}`,
      at: { x: length - vent, y },
      up: top,
      end: `rain cap in a hole ${sized(ventHole, true)} across`,
      fitting: `${prefix}/vent`,
      fall: falls.open,
    },
  ];
}
