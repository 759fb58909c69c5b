import { bore } from '../../catalogue';
import { type SerialModel, serialModel } from '../../hydraulic';
import type { HeatPipeLayout } from './layout';

/** The manifold as its water sees it: one tube past all tips, each of which counts as a tee. */
export function heatPipeHydraulic({ parameters, manifold, manifoldLength, water }: HeatPipeLayout): SerialModel {
  return serialModel({
    bore: bore(manifold),
    length: manifoldLength,
    bends: { fitting: 'tee-branch', count: parameters.tubes },
    volume: water,
    weakPoint: 'pipes let through drilled tees',
    drains: { empties: true, how: 'toward the end that lies lower: its fall is 2 %' },
  });
}
