import { type HydraulicModel, openFilmModel } from '../../hydraulic';
import type { TrickleLayout } from './layout';
import { filmThickness } from './thermal';

/** Strips of cans as their water sees them: open, fed at their heads. */
export function trickleHydraulic({ parameters, stripLength, stripWidth, share }: TrickleLayout): HydraulicModel {
  return openFilmModel({
    strips: parameters.strips,
    volume: stripLength * stripWidth * parameters.strips * share * filmThickness,
    // Can strips between metal edges carry no pressure at all.
    weakPoint: 'open strips',
    drains: { empties: true, how: 'by itself when the pump stops' },
  });
}
