import { withValueAt } from './changes';
import type { Job } from './schema';

/** The job as it was built: what was measured laid over what was drawn. */
export function asBuilt(job: Job): Job {
  return job.asBuilt.reduce((built, { path, value }) => withValueAt(built, path, value), { ...job, asBuilt: [] });
}
