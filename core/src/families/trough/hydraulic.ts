import { bore } from '../../catalogue';
import { type SerialModel, serialModel } from '../../hydraulic';
import type { TroughLayout } from './layout';

/** Black pipes in series as their water sees them. */
export function troughHydraulic({ parameters, receiver, way, volume }: TroughLayout): SerialModel {
  return serialModel({
    bore: bore(receiver),
    length: way,
    bends: { fitting: 'elbow-90', count: 2 * (parameters.troughs - 1) },
    volume,
    drains: {
      empties: false,
      how: 'each pipe lies level; blow it through with no more than a breath, low end open',
    },
  });
}
