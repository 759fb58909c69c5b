import { memberOf } from '../catalogue';
import type { Job } from '../document';
import { heatersOf, mainTilt } from '../document';
import { families, type HeaterDesign, type HeaterDocument } from '../families';
import type { HeaterGroup } from '../loop';
import { type ShopState, untouchedShop } from '../shoplog';

/** A job with its heaters opened, and how it stands in the shop. */
export interface OpenJob {
  job: Job;
  state: ShopState;
  panels: OpenHeater[];
  groups: HeaterGroup[];
}

/** A job, and how it stands in the shop: what a plan of its stock hangs on. */
export type JobInShop = Pick<OpenJob, 'job' | 'state'>;

export interface OpenHeater {
  /** Dotted path of the heater in the document: `heaters.panel-a`. */
  path: string;
  document: HeaterDocument;
  design: HeaterDesign;
}

/**
 * Opens every heater, in their order. The job has been through `parseJob`.
 *
 * @param state what has been done of it in the shop; nothing where left out
 */
export function openJob(job: Job, state: ShopState = untouchedShop): OpenJob {
  const { latitude, standing: stands } = job.site;
  const standing = { ...mainTilt(job.site), sun: { latitude, aim: stands.aim } };
  const panels = heatersOf(job).map((document): OpenHeater => {
    const path = heaterPath(document.id);
    return {
      path,
      document,
      design: memberOf(families, 'kind of heater', document.family).open(document, path, standing),
    };
  });
  return {
    job,
    state,
    panels,
    groups: panels.map(({ document, design }) => ({ thermal: design.thermal, count: document.count })),
  };
}

/** Where a heater stands in the document. */
export function heaterPath(id: string): string {
  return `heaters.${id}`;
}
