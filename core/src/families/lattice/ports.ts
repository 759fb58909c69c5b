import { sized } from '../../quantity';
import type { Port } from '../family';
import { falls } from '../kit/ports';
import type { LatticeLayout } from './layout';

/** The threaded flanges on the back: cold at the first corner, hot with its air cock at the one across; others are plugged or joined alike. */
export function latticePorts(prefix: string, { ports }: LatticeLayout): Port[] {
  const names = [
    { id: 'cold', name: 'cold in', fall: falls.cold },
    { id: 'hot', name: 'hot out, with the air cock on its tee', fall: falls.hot },
    { id: 'hot-2', name: 'second hot out', fall: falls.hot },
    { id: 'cold-2', name: 'second cold in', fall: falls.cold },
  ];
  return ports.map((at, place): Port => {
    const one = names[place] ?? { id: `port-${place + 1}`, name: `way ${place + 1}`, fall: falls.hot };
    return {
      ...one,
      at,
      up: 0,
      end: `threaded flange on the back, ${sized(at.x)} and ${sized(at.y)} in from the corner`,
      fitting: `${prefix}/${one.id === 'hot' ? 'air-tee' : 'ports'}`,
    };
  });
}
