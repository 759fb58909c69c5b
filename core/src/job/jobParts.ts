import { hasSize, type Part, type Purchase } from '../shop';
import { anchorage, mountOf } from './mount';
import type { OpenJob } from './open';

/** Everything to make, for every panel of every kind, stands too. Pieces of no size are findings, and no planner is asked for them. */
export function jobParts(open: OpenJob): { parts: Part[]; purchases: Purchase[] } {
  const stands = open.panels.map((_, index) => mountOf(open, index));
  return {
    parts: open.panels.flatMap(({ document, design }, index) =>
      [...design.parts, ...(stands[index]?.parts ?? [])].filter(hasSize).map((part) => ({
        ...part,
        count: part.count * document.count,
      })),
    ),
    purchases: open.panels.flatMap(({ document, design }, index) =>
      [...design.purchases, ...(stands[index]?.purchases ?? []), ...anchorage(open, index)].map((one) => ({
        ...one,
        quantity: one.quantity * document.count,
        mass: one.mass * document.count,
      })),
    ),
  };
}
