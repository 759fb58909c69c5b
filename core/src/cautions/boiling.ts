import type { OpenJob } from '../job';
import { airPressure } from '../sky';
import { boilingPoint } from '../thermal';

/** Pa over the air's pressure at which a closed loop's relief valve opens: the usual 3 bar. */
export const reliefPressure = 3e5;

/** °C at which water boils at a job's place, so many Pa over the pressure of its air. */
export function boilsHere({ site }: OpenJob['job'], over = 0): number {
  return boilingPoint(airPressure(site.elevation) + over);
}

/** °C at which water in the loop boils: in the open, or against the relief valve. The one boiling point of a job. */
export function loopBoils({ job }: OpenJob): number {
  return boilsHere(job, job.loop.pressurised ? reliefPressure : 0);
}
