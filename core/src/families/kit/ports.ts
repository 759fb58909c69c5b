import { sized } from '../../quantity';
import type { Port } from '../family';

/** m that a pipe falls or rises in each metre, so that it drains and lets its air go. Trade: 2 %, a quarter inch to the foot. */
export const pipeFall = 0.02;

/** The fall in words that are the same by either tape. */
export const slopeWords = `${100 * pipeFall} in every 100`;

/** How pipes lie at the ports of a heater that water flows through. */
export const falls = {
  cold: `falls away from it, ${slopeWords}, to a drain cock at the lowest point`,
  hot: `rises away from it, ${slopeWords}, to the store or to an air vent; no high place on the way`,
  open: 'stays open: nothing is screwed in and nothing shuts it',
  home: `falls away from it, ${slopeWords}, home to the tank, as wide as the outlet`,
  shower: `falls away from it, ${slopeWords}, to the shower, as wide as the outlet`,
} as const;

/** The way in and the way out of a heater with one tube end for each. */
export function tubePorts(
  prefix: string,
  of: {
    cold: Pick<Port, 'at' | 'up'>;
    hot: Pick<Port, 'at' | 'up'>;
    /** m. Outside of the tube. */
    outside: number;
    /** Role of what is bought to go onto it. */
    fitting: string;
  },
): Port[] {
  const end = `tube end, ${sized(of.outside, true)} outside`;
  const fitting = `${prefix}/${of.fitting}`;
  return [
    { id: 'cold', name: 'cold in', ...of.cold, end, fitting, fall: falls.cold },
    { id: 'hot', name: 'hot out', ...of.hot, end, fitting, fall: falls.hot },
  ];
}
