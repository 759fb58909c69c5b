import {
  type Conditions,
  compareJob,
  decodeSeries,
  evaluateBands,
  type Job,
  jobSky,
  jobStudy,
  openJob,
  type Reading,
  type Sensors,
  type SkyYear,
} from '@north-pane/core';
import { expose } from 'comlink';

/** The sky worked up last, for the studies that follow. */
let lastSky: { key: string; sky: SkyYear } | undefined;

function skyOf(key: string, site: Job['site'], series: Uint8Array | undefined): SkyYear {
  if (lastSky?.key !== key) lastSky = { key, sky: jobSky(site, series ? decodeSeries(series) : undefined) };
  return lastSky.sky;
}

const heavy = {
  bands: (job: Job, conditions: Partial<Conditions>, samples: number) =>
    evaluateBands(job, conditions, { samples, seed: 1 }),
  /** Gain and heat over flows, with their bands at each. */
  overFlow: (job: Job, conditions: Partial<Conditions>, flows: readonly number[]) =>
    flows.map((massFlow) => {
      const { gain, usefulHeat } = evaluateBands(job, { ...conditions, massFlow }, { samples: 60, seed: 1 });
      return { massFlow, gain, usefulHeat };
    }),
  /** Efficiency over inlets above air, with its band at each. */
  overInlet: (job: Job, conditions: Partial<Conditions>, rises: readonly number[]) =>
    rises.map((rise) => {
      const air = conditions.air ?? 15;
      const { efficiency } = evaluateBands(job, { ...conditions, inlet: air + rise }, { samples: 60, seed: 1 });
      return { rise, efficiency };
    }),
  /** The year's sky over a site, from the bytes of its weather file where there is one. */
  sky: (key: string, site: Job['site'], series: Uint8Array | undefined) => skyOf(key, site, series),
  /** How the pane might stand under that sky. */
  study: (key: string, job: Job, series: Uint8Array | undefined) =>
    jobStudy(openJob(job), skyOf(key, job.site, series)),
  /** Readings against the job as it was built. */
  compare: (job: Job, readings: readonly Reading[], sensors: Sensors) => compareJob(job, readings, sensors),
};
export type Heavy = typeof heavy;
expose(heavy);
