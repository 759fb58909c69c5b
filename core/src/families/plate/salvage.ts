import { type Finding, isClash } from '../../care';
import { sized } from '../../quantity';
import { isPane } from '../../shop';
import type { Family, SalvageFit } from '../family';
import { largestPane, roleOf } from '../salvage';

/**
 * A panel of tubes on a plate round a pane on hand: the pane is its cover, turned so that the risers go along its longer side where that can be
 * built, and all else fills it.
 */
export function fitPlateSalvage(family: Pick<Family, 'fit' | 'problems' | 'open'>): SalvageFit {
  return (panel, things, standing) => {
    const pane = largestPane(things);
    const { glazing } = panel;
    if (!pane || !glazing || !('length' in glazing.parameters) || !family.fit) return { panel, taken: [] };
    let clash: Finding | undefined;
    for (const [length, width] of [
      [pane.long, pane.short],
      [pane.short, pane.long],
    ]) {
      const drawn = { ...panel, glazing: { ...glazing, parameters: { ...glazing.parameters, length, width } } };
      if (family.problems(drawn).length > 0) continue;
      const fitted = family.fit(drawn, standing);
      if (family.problems(fitted).length > 0) continue;
      const { findings, purchases } = family.open(fitted, 'heaters.any', standing);
      const found = findings.find(isClash);
      clash ??= found;
      if (found) continue;
      const line = purchases.find(isPane);
      if (!line) continue;
      return {
        panel: fitted,
        taken: [
          {
            id: pane.id,
            words: `the pane ${sized(pane.long)} × ${sized(pane.short)} as its cover`,
            covers: { [roleOf(line)]: line.quantity * pane.count },
            alike: pane.count,
          },
        ],
      };
    }
    return { panel, taken: [], left: [{ id: pane.id, ...(clash ? { finding: clash } : {}) }] };
  };
}
