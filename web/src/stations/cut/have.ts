import { jobNow, useJob } from '../../state/job';

/** Marks a line of the buy list, or a tool, as there already, or as wanted again. */
export function toggleHave(id: string): void {
  const have = jobNow().shop.have ?? [];
  const next = have.includes(id) ? have.filter((one) => one !== id) : [...have, id];
  useJob.getState().change('shop.have', next.length > 0 ? next : undefined);
}
