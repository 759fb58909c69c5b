import { loopPipes, type ServiceLimit, type SolderAlloy, serviceLimits, solderHolds } from '../catalogue';
import { hottestDeviates, layerTemperatures, type PanelPlace } from '../heat';
import type { OpenJob } from '../job';
import { stagnationConditions } from '../job';
import { loopBoils } from './boiling';

/** One material and the heat it meets in a dry panel on the hottest clear hour; °C, K. */
export interface ServiceMargin {
  /** Index of the panel, or nothing for the loop. */
  panel: number | undefined;
  name: string;
  place: PanelPlace | 'joint' | 'loop';
  /** What it will see, and the upper edge of the band of that: the hottest that one panel in twenty still exceeds. */
  sees: number;
  high: number;
  /** What it stands for years. */
  limit: number;
  /** From the upper edge to the limit: below nought it cooks. */
  margin: number;
  /** Path in the job of the field that changes it. */
  path?: string;
  /** The solder of a joint, and Pa that a capillary joint of it still holds there; none where no table goes. */
  joint?: { alloy: SolderAlloy; holds: number | undefined };
}

/**
 * Every material of the panels and, where it is known, of the loop against the heat it will meet: dry in the site's hottest
 * clear hour, nothing flowing; the loop when steam pushes its boiling water back down the pipes. Least margin first.
 */
export function serviceMargins(open: OpenJob): ServiceMargin[] {
  const { job } = open;
  const conditions = stagnationConditions(job);
  let hottest = { sees: conditions.air, high: conditions.air };
  const rows = open.panels.flatMap(({ design }, panel): ServiceMargin[] => {
    const at = layerTemperatures(design.heat, conditions);
    const worst = layerTemperatures(design.heat, conditions, hottestDeviates(design.heat, conditions));
    hottest = { sees: Math.max(hottest.sees, at.plate), high: Math.max(hottest.high, worst.plate) };
    return design.materials.map(({ name, place, limit, path, joint }) => {
      const sees = at[place];
      const high = Math.max(sees, worst[place]);
      return {
        panel,
        name,
        place: joint ? 'joint' : place,
        sees,
        high,
        limit,
        margin: limit - high,
        ...(path ? { path } : {}),
        ...(joint ? { joint: { alloy: joint, holds: solderHolds(joint, high) } } : {}),
      };
    });
  });
  const { loop, stores } = job;
  const boils = loopBoils(open);
  const barrel = stores.findIndex(({ kind }) => kind === 'barrel');
  const steamed = { sees: Math.min(hottest.sees, boils), high: Math.min(hottest.high, boils) };
  /** What belongs to the loop, and the heat it meets there. */
  const inLoop = ({ name, limit }: ServiceLimit, path: string, meets = steamed): ServiceMargin => ({
    panel: undefined,
    name,
    place: 'loop',
    ...meets,
    limit,
    margin: limit - meets.high,
    path,
  });
  if (loop.pipe) rows.push(inLoop(loopPipes[loop.pipe], 'loop.pipe'));
  if (barrel >= 0) rows.push(inLoop(serviceLimits.barrel, `stores.${barrel}.kind`));
  // What falls back into its tank when the pump stops is not there to be cooked.
  if (loop.glycol && loop.kind !== 'drain-back')
    rows.push({ ...inLoop(serviceLimits.glycol, 'loop.glycol', hottest), place: 'plate' });
  return rows.sort((a, b) => a.margin - b.margin);
}

/** What a place is called. */
export const placeWords: Record<ServiceMargin['place'], string> = {
  plate: 'plate and tubes',
  joint: 'joints',
  insulation: 'hot face of the insulation',
  back: 'back, inside',
  side: 'sides, inside',
  'inner pane': 'pane',
  'outer pane': 'outer pane',
  bearing: 'where the pane bears',
  loop: 'pipes of the loop, under steam',
};
