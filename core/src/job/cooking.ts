import { loopPipes, type SolderAlloy, solderHolds } from '../catalogue';
import { boilingPoint, layerTemperatures, type PanelPlace } from '../heat';
import { airPressure } from '../sky';
import { stagnationConditions } from './conditions';
import type { OpenJob } from './open';

/** One material and the heat it meets in a dry panel on the hottest clear hour; °C, K. */
export interface Cooking {
  /** Index of the panel, or nothing for the loop. */
  panel: number | undefined;
  name: string;
  place: PanelPlace | 'joint' | 'loop';
  /** What it will see. */
  sees: number;
  /** What it stands for years. */
  limit: number;
  margin: number;
  /** Path in the job of the field that changes it. */
  path?: string;
  /** Pa that a soldered capillary joint still holds there, by alloy; undefined where no table goes. */
  holds?: Record<SolderAlloy, number | undefined>;
}

/** Pa over the air's pressure at which a closed loop's relief valve opens: the usual 3 bar. */
const reliefPressure = 3e5;

/** °C at which water in the loop boils: in the open, or against the relief valve. */
export function loopBoils({ job }: OpenJob): number {
  return boilingPoint(airPressure(job.site.elevation) + (job.loop.pressurised ? reliefPressure : 0));
}

/**
 * Every material of the panels and, where it is known, of the loop against the heat it will meet: dry in the site's hottest
 * clear hour, nothing flowing; the loop when steam pushes its boiling water back down the pipes. Least margin first.
 */
export function jobCooking(open: OpenJob): Cooking[] {
  const { job } = open;
  const conditions = stagnationConditions(job);
  let hottest = conditions.air;
  const rows = open.panels.flatMap(({ design }, panel): Cooking[] => {
    const at = layerTemperatures(design.heat, conditions);
    hottest = Math.max(hottest, at.plate);
    return design.materials.map(({ name, place, limit, path, joint }) => {
      const sees = at[place];
      return {
        panel,
        name,
        place: joint ? 'joint' : place,
        sees,
        limit,
        margin: limit - sees,
        ...(path ? { path } : {}),
        ...(joint ? { holds: holdsAt(sees) } : {}),
      };
    });
  });
  const pipe = job.loop.pipe ? loopPipes[job.loop.pipe] : undefined;
  if (pipe) {
    const sees = Math.min(hottest, loopBoils(open));
    rows.push({
      panel: undefined,
      name: pipe.name,
      place: 'loop',
      sees,
      limit: pipe.limit,
      margin: pipe.limit - sees,
      path: 'loop.pipe',
    });
  }
  return rows.sort((a, b) => a.margin - b.margin);
}

function holdsAt(temperature: number): Cooking['holds'] {
  return {
    'tin-lead': solderHolds('tin-lead', temperature),
    'tin-antimony': solderHolds('tin-antimony', temperature),
  };
}

/** What a place is called. */
export const placeWords: Record<Cooking['place'], string> = {
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
