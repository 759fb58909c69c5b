import { type Finding, isClash } from '../../care';
import { entry, findEntry } from '../../catalogue';
import { measured } from '../../quantity';
import type { Family, SalvageFit } from '../family';
import { thingsOf } from '../salvage';
import { layOut, turnsOf } from './layout';
import { fieldRange, spiralParameters } from './parameters';

/** m that windings stand apart, at the least, over what the hose is wide. */
const apart = 0.002;

/** Share by which less hose makes no smaller coil to speak of. */
const slightly = 0.1;

/** Hose on hand, wound: as many whole turns as it gives, its hole as wide as it may be bent. */
export function fitHoseSalvage(family: Pick<Family, 'problems' | 'open'>): SalvageFit {
  return (panel, things) => {
    const [thing] = thingsOf(things, 'hose')
      .filter(({ item }) => findEntry('hose', item))
      .sort((a, b) => b.length - a.length);
    if (!thing) return { panel, taken: [] };
    let clash: Finding | undefined;
    const hose = entry('hose', thing.item);
    const up = (metres: number) => Math.ceil(metres * 1000) / 1000;
    for (const starts of [1, 2]) {
      const parameters = {
        ...panel.parameters,
        hose: thing.item,
        starts,
        pitch: up(hose.outerDiameter + apart),
        inner: up(2 * hose.bendOver * hose.outerDiameter),
      };
      const parsed = spiralParameters.safeParse(parameters);
      if (!parsed.success) continue;
      const { rounds } = turnsOf(thing.length / starts, layOut(parsed.data));
      const { low, high } = fieldRange('rounds');
      const drawn = {
        ...panel,
        parameters: { ...parameters, rounds: Math.max(low, Math.min(high, rounds)) },
      };
      if (rounds < low || family.problems(drawn).length > 0) continue;
      const { findings, purchases } = family.open(drawn, 'heaters.any');
      const found = findings.find(isClash);
      clash ??= found;
      if (found) continue;
      const hoseOf = (lines: typeof purchases) => lines.find(({ id }) => id.endsWith('/hose'))?.quantity ?? 0;
      const wanted = hoseOf(purchases);
      const asDrawn = family.problems(panel).length > 0 ? 0 : hoseOf(family.open(panel, 'heaters.any').purchases);
      // A coil of what is there may be a small one: said, and what another would take.
      const smaller =
        asDrawn > wanted * (1 + slightly)
          ? `, which makes a smaller coil than the usual one of ${measured('height', asDrawn, 0)}: buy ${measured('height', asDrawn - wanted, 0)} more for that`
          : '';
      return {
        panel: drawn,
        taken: [
          {
            id: thing.id,
            words: `${measured('height', Math.min(wanted, thing.length), 1)} of the ${hose.name}${smaller}`,
            covers: { hose: thing.length },
            alike: 1,
          },
        ],
      };
    }
    return { panel, taken: [], left: [{ id: thing.id, ...(clash ? { finding: clash } : {}) }] };
  };
}
