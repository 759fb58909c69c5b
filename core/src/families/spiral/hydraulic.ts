import { type HydraulicModel, spiralModel } from '../../hydraulic';
import type { SpiralLayout } from './layout';

/** Flat spirals of hose as their water sees them. */
export function spiralHydraulic({ parameters, bore, windings, volume, hose }: SpiralLayout): HydraulicModel {
  return spiralModel({
    starts: parameters.starts,
    bore,
    windings,
    volume,
    // Cold it would stand the mains; after an hour shut in the sun it does not.
    weakPoint: `${hose.name}, hot from the sun,`,
    drains: {
      empties: false,
      how: 'level; stand it on its edge and turn it, or blow it through with no more than a breath: else water stays in every turn',
    },
  });
}
