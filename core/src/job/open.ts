import { memberOf } from '../catalogue';
import type { Job } from '../document';
import { families, type PanelDesign, type PanelDocument } from '../families';
import type { PanelGroup } from '../loop';

/** A job with its panels opened. */
export interface OpenJob {
  job: Job;
  panels: { document: PanelDocument; design: PanelDesign }[];
  groups: PanelGroup[];
}

/** Opens every panel. The job has been through `parseJob`. */
export function openJob(job: Job): OpenJob {
  const panels = job.panels.map((document, index) => ({
    document: document as PanelDocument,
    design: memberOf(families, 'kind of heater', document.family).open(document as PanelDocument, `panels.${index}`),
  }));
  return { job, panels, groups: panels.map(({ document, design }) => ({ heat: design.heat, count: document.count })) };
}
