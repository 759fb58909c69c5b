import { withValueAt } from './changes';
import { stepsOf } from './pointer';
import type { Job } from './schema';

/** The job as it was built: what was measured laid over what was drawn. */
export function asBuilt(job: Job): Job {
  return Object.entries(job.asBuilt)
    .sort(([a], [b]) => (a < b ? -1 : 1))
    .reduce((built, [pointer, { value }]) => withValueAt(built, stepsOf(pointer), value), { ...job, asBuilt: {} });
}
