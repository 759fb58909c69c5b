import { memberOf } from '../catalogue';
import type { Job } from '../document';
import { families, type HeaterDesign, type HeaterDocument, usualStanding } from '../families';
import type { HeaterGroup } from '../loop';

/** A job with its panels opened. */
export interface OpenJob {
  job: Job;
  panels: { document: HeaterDocument; design: HeaterDesign }[];
  groups: HeaterGroup[];
}

/** Opens every panel. The job has been through `parseJob`. */
export function openJob(job: Job): OpenJob {
  const panels = job.panels.map((document, index) => ({
    document: document as HeaterDocument,
    design: memberOf(families, 'kind of heater', document.family).open(document as HeaterDocument, `panels.${index}`, {
      tilt: job.site.standing.tilts[0]?.tilt ?? usualStanding.tilt,
    }),
  }));
  return {
    job,
    panels,
    groups: panels.map(({ document, design }) => ({ thermal: design.thermal, count: document.count })),
  };
}
