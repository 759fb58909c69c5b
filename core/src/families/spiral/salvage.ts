import { entry, findEntry } from '../../catalogue';
import { measured } from '../../quantity';
import type { Family, SalvageFit } from '../family';
import { thingsOf } from '../salvage';
import { layOut, turnsOf } from './layout';
import { fieldRange, spiralParameters } from './parameters';

/** m that windings stand apart, at the least, over what the hose is wide. */
const apart = 0.002;

/** Hose on hand, wound: as many whole turns as it gives, its hole as wide as it may be bent. */
export function fitHoseSalvage(family: Pick<Family, 'problems' | 'open'>): SalvageFit {
  return (panel, things) => {
    const [thing] = thingsOf(things, 'hose')
      .filter(({ item }) => findEntry('hose', item))
      .sort((a, b) => b.length - a.length);
    if (!thing) return { panel, taken: [] };
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
      if (findings.some(({ severity }) => severity === 'clash')) continue;
      const wanted = purchases.find(({ id }) => id.endsWith('/hose'))?.quantity ?? 0;
      return {
        panel: drawn,
        taken: [
          {
            id: thing.id,
            words: `${measured('height', Math.min(wanted, thing.length), 1)} of the ${hose.name}`,
            covers: { hose: thing.length },
            alike: 1,
          },
        ],
      };
    }
    return { panel, taken: [] };
  };
}
