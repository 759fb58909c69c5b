import { type Finding, isClash } from '../../care';
import type { Family, SalvageFit } from '../family';
import { thingsOf } from '../salvage';
import { fieldRange } from './parameters';

/** m between two sleeves. */
const between = 0.004;
/** m by which a strip clears its bottle in all. */
const stripRoom = 0.008;

/** Bottles on hand: as many pipes as they sleeve, at the pitch that they need. */
export function fitBottleSalvage(family: Pick<Family, 'problems' | 'open'>): SalvageFit {
  return (panel, things) => {
    const [thing] = thingsOf(things, 'bottles').sort((a, b) => b.count - a.count);
    if (!thing) return { panel, taken: [] };
    let clash: Finding | undefined;
    const each = Number(panel.parameters.bottles);
    const { low, high } = fieldRange('tubes');
    const down = (metres: number) => Math.floor(metres * 1000 + 1e-6) / 1000;
    // Six to a pipe where there are enough for two pipes, else fewer to a pipe.
    for (const bottles of [each, 4, 3, 2]) {
      const tubes = Math.min(high, Math.floor(thing.count / bottles));
      if (tubes < Math.max(low, 2)) continue;
      const drawn = {
        ...panel,
        parameters: {
          ...panel.parameters,
          sleeve: 'bottles',
          bottles,
          tubes,
          bottleDiameter: thing.diameter,
          bottleHeight: thing.height,
          pitch: Math.max(Number(panel.parameters.pitch), -down(-(thing.diameter + between))),
          strip: Math.min(Number(panel.parameters.strip), down(thing.diameter - stripRoom)),
        },
      };
      if (family.problems(drawn).length > 0) continue;
      const found = family.open(drawn, 'heaters.any').findings.find(isClash);
      clash ??= found;
      if (found) continue;
      return {
        panel: drawn,
        taken: [
          {
            id: thing.id,
            words: `${tubes * bottles} of ${thing.count} bottles`,
            covers: { bottle: thing.count },
            alike: 1,
          },
        ],
      };
    }
    return { panel, taken: [], left: [{ id: thing.id, ...(clash ? { finding: clash } : {}) }] };
  };
}
