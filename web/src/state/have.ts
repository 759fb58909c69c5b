import { jobNow, useJob } from '../../state/job';

/** Marks a line of the buy list, or a tool, as there already, or as wanted again. */
export function toggleHave(id: string): void {
  useJob.getState().change(['shop', 'have', id], jobNow().shop.have?.[id] ? undefined : true);
}
