import { type FieldPath, pathSteps } from './changes';
import type { Job } from './schema';

/** Whether somebody has picked the kind of heater; until then the one that stands in the job is an example, and its figures are nobody's. */
export function isPicked({ decisions }: Pick<Job, 'decisions'>): boolean {
  return decisions.unpicked === undefined;
}

/** Fields to be set, with what follows from them: who picks a kind, or changes a heater, has a heater of his own. */
export function withPick<F extends { path: FieldPath; value: unknown }>(
  job: Pick<Job, 'decisions'>,
  fields: readonly F[],
): readonly (F | { path: FieldPath; value: unknown })[] {
  const picks = !isPicked(job) && fields.some(({ path }) => pathSteps(path)[0] === 'heaters');
  return picks ? [...fields, { path: ['decisions', 'unpicked'], value: undefined }] : fields;
}
