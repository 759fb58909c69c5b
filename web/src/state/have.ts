import type { Job } from '@north-pane/core/document';
import { jobNow, useJob } from './job';

const mark = 'tool/';

/** A tool among what the builder has. */
export function toolId(tool: string): string {
  return `${mark}${tool}`;
}

/** Tools that the builder has ticked, by name. */
export function toolsAtHand({ shop }: Pick<Job, 'shop'>): Set<string> {
  return new Set(Object.keys(shop.have ?? {}).flatMap((id) => (id.startsWith(mark) ? [id.slice(mark.length)] : [])));
}

/** Marks a line of the buy list, or a tool, as there already, or as wanted again. */
export function toggleHave(id: string): void {
  useJob.getState().change(['shop', 'have', id], jobNow().shop.have?.[id] ? undefined : true);
}
