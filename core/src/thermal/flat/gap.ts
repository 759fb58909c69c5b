import type { OperatingConditions } from '../contract';
import { topBalance } from '../losses';
import { type Built, topConditions } from './build';

/** m. Gaps that anybody builds. */
export const buildableGaps = { low: 0.006, high: 0.08 } as const;

/**
 * W/m² of absorber that leave by the top at gaps (m) between absorber and first pane, all else alike. Narrow gaps conduct, wide ones
 * stir; between 10 and 15 mm there is a shallow best, and another one wide open that is no better.
 */
export function topLossOverGaps(
  built: Built,
  boundary: OperatingConditions,
  plate: number,
  gaps: readonly number[],
): number[] {
  const query = topConditions(built, boundary);
  return gaps.map((gap) =>
    topBalance({
      ...query,
      covers: query.covers.map((cover, index) => (index === 0 ? { ...cover, gap } : cover)),
    }).flux(plate),
  );
}

/**
 * The narrowest gap, to the millimetre, beyond which a wider one loses more for a while, and W/m² there; the widest built when
 * there is none. Much wider gaps come down to as little again, and cost depth and shade. Nothing for a bare absorber.
 */
export function bestGap(
  built: Built,
  boundary: OperatingConditions,
  plate: number,
): { gap: number; flux: number } | undefined {
  if (built.description.covers.length === 0) return undefined;
  const count = Math.round((buildableGaps.high - buildableGaps.low) * 1000) + 1;
  const gaps = Array.from({ length: count }, (_, index) => buildableGaps.low + index / 1000);
  const fluxes = topLossOverGaps(built, boundary, plate, gaps);
  const found = fluxes.findIndex((flux, index) => flux < (fluxes[index + 1] ?? Number.POSITIVE_INFINITY));
  return { gap: gaps[found] ?? buildableGaps.high, flux: fluxes[found] ?? 0 };
}

/** The gap between absorber and pane as drawn, and the shallow best of it; m, W/m² of absorber by the top. */
export interface GapAdvice {
  drawn: { gap: number; flux: number };
  best: { gap: number; flux: number };
}

/** Nothing for a bare absorber. */
export function gapAdvice(built: Built, boundary: OperatingConditions, plate: number): GapAdvice | undefined {
  const drawn = built.description.covers[0]?.gap;
  const best = bestGap(built, boundary, plate);
  if (drawn === undefined || !best) return undefined;
  const [flux] = topLossOverGaps(built, boundary, plate, [drawn]);
  return { drawn: { gap: drawn, flux: flux ?? best.flux }, best };
}
