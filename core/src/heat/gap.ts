import type { CollectorDescription, HeatConditions } from './description';
import { topFlux } from './losses';
import { build, topQuery } from './uncertain';

/** m. Gaps that anybody builds. */
export const buildableGaps = { low: 0.006, high: 0.08 } as const;

/**
 * W/m² of plate that leave by the top at gaps between plate and first pane, all else alike. Narrow gaps conduct, wide ones
 * stir; between 10 and 15 mm there is a shallow best, and another one wide open that is no better.
 */
export function topLossOverGaps(
  description: CollectorDescription,
  conditions: HeatConditions,
  plate: number,
  gaps: readonly number[],
): number[] {
  const built = build(description, {});
  const query = topQuery(built, conditions, plate);
  return gaps.map((gap) =>
    topFlux({ ...query, covers: query.covers.map((cover, index) => (index === 0 ? { ...cover, gap } : cover)) }),
  );
}

/**
 * The narrowest gap, to the millimetre, beyond which a wider one loses more for a while, and W/m² there; the widest built when
 * there is none. Much wider gaps come down to as little again, and cost depth and shade. Nothing for a bare panel.
 */
export function bestGap(
  description: CollectorDescription,
  conditions: HeatConditions,
  plate: number,
): { gap: number; flux: number } | undefined {
  if (description.covers.length === 0) return undefined;
  const count = Math.round((buildableGaps.high - buildableGaps.low) * 1000) + 1;
  const gaps = Array.from({ length: count }, (_, index) => buildableGaps.low + index / 1000);
  const fluxes = topLossOverGaps(description, conditions, plate, gaps);
  const found = fluxes.findIndex((flux, index) => flux < (fluxes[index + 1] ?? Number.POSITIVE_INFINITY));
  return { gap: gaps[found] ?? buildableGaps.high, flux: fluxes[found] ?? 0 };
}
