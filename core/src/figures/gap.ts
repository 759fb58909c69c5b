import { bestGap, topLossOverGaps } from '../heat';
import type { OpenJob } from '../job';
import type { Figures } from './evaluate';

/** The gap between plate and pane as drawn, and the shallow best of it; m, W/m² of plate by the top at the design point. */
export interface GapAdvice {
  drawn: { gap: number; flux: number };
  best: { gap: number; flux: number };
}

/** Nothing for a bare panel. */
export function gapAdvice(open: OpenJob, figures: Figures, index: number): GapAdvice | undefined {
  const heat = open.panels[index]?.design.heat;
  const state = figures.perPanel[index]?.state;
  const drawn = heat?.covers[0]?.gap;
  if (!heat || !state || drawn === undefined) return undefined;
  const best = bestGap(heat, figures.conditions, state.plateTemperature);
  const [flux] = topLossOverGaps(heat, figures.conditions, state.plateTemperature, [drawn]);
  return best && { drawn: { gap: drawn, flux: flux ?? best.flux }, best };
}
