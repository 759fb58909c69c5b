import { type SerialModel, serialModel } from '../../hydraulic';
import type { BatchBoxLayout } from './layout';

/** m. Bore of the links between tanks, and how much of it there is with each. */
const link = { bore: 0.02, length: 0.6 } as const;

/** Tanks in series as their water sees them: next to no friction in them, elbows and links between. */
export function batchBoxHydraulic({ parameters, tankVolume }: BatchBoxLayout): SerialModel {
  const { tanks } = parameters;
  return serialModel({
    bore: link.bore,
    length: link.length * (tanks + 1),
    bends: { fitting: 'elbow-90', count: 2 * (tanks + 1) },
    volume: tanks * tankVolume,
    drains: { empties: false, how: 'full until its drain is opened and air let in at the top' },
  });
}
