import { sized } from '../../quantity';
import type { Port } from '../family';
import { falls, slopeWords } from '../kit/ports';
import type { FloorHole } from './floorHoles';
import type { BatchBoxLayout } from './layout';

/** What goes through each hole of the floor, but the wire. */
const through: Record<
  Exclude<FloorHole['id'], 'sensor'>,
  Pick<Port, 'name' | 'fall'> & { role: string; end: string }
> = {
  cold: { name: 'cold in', role: 'link', end: 'pipe to the bottom of the first tank', fall: falls.cold },
  hot: { name: 'hot out', role: 'link', end: 'pipe from the top of the last tank', fall: falls.hot },
  drain: {
    name: 'drain',
    role: 'drain',
    end: 'cock at the lowest point of the cold pipe',
    fall: `falls to where water may run, ${slopeWords}`,
  },
  discharge: {
    name: 'discharge of the relief valve',
    role: 'discharge',
    end: 'pipe as wide as the valve, nothing shut in it',
    fall: `falls all the way, ${slopeWords}, to a place where nobody is scalded; its end is open and can be seen`,
  },
};

/** Pipes leave through the floor, each in a hole of its own, sealed. */
export function batchBoxPorts(prefix: string, { pipes, slope: { cos } }: BatchBoxLayout): Port[] {
  const order = ['cold', 'hot', 'drain', 'discharge'] as const;
  return order.flatMap((id): Port[] => {
    const hole = pipes.find((one) => one.id === id);
    if (!hole) return [];
    const { name, role, end, fall } = through[id];
    return [
      {
        id,
        name,
        // The plan looks square to the pane: lengths up the slope.
        at: { x: hole.x / cos, y: hole.y },
        up: 0,
        end: `${end}; hole ${sized(hole.diameter)} across, ${sized(hole.x)} from the front edge of the floor and ${sized(hole.y)} from its first side`,
        fitting: `${prefix}/${role}`,
        fall,
      },
    ];
  });
}
