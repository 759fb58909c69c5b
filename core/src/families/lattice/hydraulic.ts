import { type HydraulicModel, slotModel } from '../../hydraulic';
import type { LatticeLayout } from './layout';

/** A bolted lattice as its water sees it: a slot from one corner to the other. */
export function latticeHydraulic({ parameters, gap, volume }: LatticeLayout): HydraulicModel {
  return slotModel({
    length: parameters.length,
    breadth: parameters.width - 2 * parameters.rim,
    gap,
    volume,
    weakPoint: 'bolted sheets',
    drains: { empties: true, how: 'through its lowest port with an air cock open at the top' },
  });
}
