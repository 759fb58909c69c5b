import { bore } from '../../catalogue';
import { type SerialModel, serialModel } from '../../hydraulic';
import type { PlateBuild } from '../plateFamily';
import type { SerpentineLayout } from './layout';
import type { SerpentineParameters } from './parameters';
import { waterVolume } from './parts';

/** One tube through all of it as its water sees it. */
export function serpentineHydraulic(
  { turned, parameters }: PlateBuild<SerpentineParameters>,
  layout: SerpentineLayout,
): SerialModel {
  const { bend, tube, wayLength } = layout;
  return serialModel({
    bore: bore(tube),
    length: wayLength,
    bends: { fitting: bend.fitting, count: (parameters.runs - 1) * bend.fittings },
    volume: waterVolume(layout),
    // Runs that lie level keep their water, and of runs that fall every other one rises.
    drains: {
      empties: false,
      how: turned ? 'each run lies level and keeps its water' : 'the turns at the foot of the slope hold water',
    },
  });
}
