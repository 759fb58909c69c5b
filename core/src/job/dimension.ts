import * as z from 'zod';
import type { Job } from '../document';
import { heatersOf, pathSteps, withValueAt } from '../document';
import type { Dimension, Edit } from '../draw';
import { heaterPath, type JobInShop, type OpenJob, openJob } from './open';

/** A dimension that the builder can set. */
export type Editable = Dimension & { edit: Edit };

/** Dimensions of a panel that can be set, each field once, as they stand on its drawings. */
export function editableDimensions(open: OpenJob, index: number): Editable[] {
  const panel = open.panels[index];
  const seen = new Set<string>();
  return Object.values(panel?.design.drawings ?? {})
    .flatMap((view) => view.draw().dimensions)
    .flatMap((dimension) => {
      const { edit } = dimension;
      if (!edit || seen.has(edit.path)) return [];
      seen.add(edit.path);
      return [{ ...dimension, edit }];
    });
}

/** A dimension of a panel by its id, on whichever of its drawings: two of them may set the same field. */
export function findDimension(open: OpenJob, index: number, id: string): Editable | undefined {
  for (const view of Object.values(open.panels[index]?.design.drawings ?? {}))
    for (const dimension of view.draw().dimensions)
      if (dimension.id === id && dimension.edit) return { ...dimension, edit: dimension.edit };
  return undefined;
}

/** What stands in the field of a dimension at a size, without the dust of reckoning. */
export function fieldValue(edit: Edit, size: number): number {
  return Math.round((size * edit.scale + edit.offset) * 1e7) / 1e7;
}

/** The job with one dimension of a panel at a size, before any check. */
export function withDimension(job: Job, index: number, edit: Edit, size: number): Job {
  return withValueAt(job, pathSteps(`${pathOf(job, index)}.${edit.path}`), fieldValue(edit, size));
}

/** Path of a heater by its place among them. */
export function pathOf(job: Job, index: number): string {
  return heaterPath(heatersOf(job)[index]?.id ?? '');
}

/** The job opened with one dimension of a panel at a size; undefined where that makes no panel. */
export function openWith({ job, state }: JobInShop, index: number, edit: Edit, size: number): OpenJob | undefined {
  try {
    return openJob(withDimension(job, index, edit, size), state);
  } catch (error) {
    if (error instanceof RangeError || error instanceof z.ZodError) return undefined;
    throw error;
  }
}
