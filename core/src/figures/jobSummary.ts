import { isClash } from '../care';
import type { Job } from '../document';
import { heatersOf, isPicked } from '../document';
import type { ShopState } from '../shoplog';
import { workOut } from './workOut';

/** What stands on a shelf of jobs about one of them. SI. */
export interface JobSummary {
  name: string;
  units: Job['units'];
  currency: string;
  latitude: number;
  longitude: number;
  /** Set while nobody has picked a kind of heater. */
  unpicked?: true;
  /** Heaters of all groups. */
  panels: number;
  apertureArea: number | undefined;
  gain: number | undefined;
  cost: number | undefined;
  /** Findings that keep it from being built as drawn. */
  clashes: number;
  /** Why nothing of it can be worked out. */
  trouble: string | undefined;
  /** Why the document cannot even be read. */
  unreadable?: string | undefined;
}

const longestTrouble = 200;

/** A card without figures: of a job that nothing was worked out for yet, or of a document that cannot be read. */
export function blankSummary(name: string, unreadable?: string): JobSummary {
  return {
    name,
    units: 'metric',
    currency: '',
    latitude: 0,
    longitude: 0,
    panels: 0,
    apertureArea: undefined,
    gain: undefined,
    cost: undefined,
    clashes: 0,
    trouble: undefined,
    ...(unreadable === undefined ? {} : { unreadable }),
  };
}

/** The summary of a document; one that cannot be worked out has the reason for it instead of figures, and breaks nothing else. */
export function jobSummary(job: Job, state?: ShopState): JobSummary {
  const plain = {
    name: job.name,
    units: job.units,
    currency: job.currency,
    latitude: job.site.latitude,
    longitude: job.site.longitude,
    panels: heatersOf(job).reduce((sum, panel) => sum + (panel.count || 1), 0),
  };
  if (!isPicked(job))
    return {
      ...plain,
      unpicked: true,
      apertureArea: undefined,
      gain: undefined,
      cost: undefined,
      clashes: 0,
      trouble: undefined,
    };
  try {
    const { figures, findings } = workOut(job, state);
    const { apertureArea, gain, cost } = figures;
    return { ...plain, apertureArea, gain, cost, clashes: findings.filter(isClash).length, trouble: undefined };
  } catch (error) {
    const trouble = error instanceof Error ? error.message.slice(0, longestTrouble) : 'unknown';
    return { ...plain, apertureArea: undefined, gain: undefined, cost: undefined, clashes: 1, trouble };
  }
}
