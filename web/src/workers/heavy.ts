import { errorWords } from '@north-pane/core/care';
import type { Job } from '@north-pane/core/document';
import {
  bandsOverFlow,
  bandsOverInlet,
  bothBands,
  characteristicTables,
  deepSections,
  evaluateOpen,
  heaterBand,
  heaterCharacteristic,
  heaterSections,
  marksWorth,
} from '@north-pane/core/figures';
import { storeDays } from '@north-pane/core/forecasting';
import { type OpenJob, openJob } from '@north-pane/core/job';
import { compareDesignRules, hereWeather, kindOutcome } from '@north-pane/core/picking';
import type { Reading, Sensors } from '@north-pane/core/proof';
import { type BuiltJob, compareBuilt } from '@north-pane/core/proving';
import type { Habit } from '@north-pane/core/quantity';
import { jobSky, jobStudy, planeOfArrayIrradiance } from '@north-pane/core/site';
import { decodeSeries, type SkyYear } from '@north-pane/core/sky';

/** The sky worked up last, for the studies that follow. */
let lastSky: { key: string; sky: SkyYear } | undefined;

function skyOf(key: string, site: Job['site'], series: Uint8Array | undefined): SkyYear {
  if (lastSky?.key !== key) lastSky = { key, sky: jobSky(site, series ? decodeSeries(series) : undefined) };
  return lastSky.sky;
}

/** The weather of the place as the screening takes it, worked up last. */
let lastHere: { key: string; here: ReturnType<typeof hereWeather> } | undefined;

function hereOf(key: string, job: Job): ReturnType<typeof hereWeather> {
  if (lastHere?.key !== key) lastHere = { key, here: hereWeather(job) };
  return lastHere.here;
}

/** Jobs that were opened last, by their content: what one question works out of a heater serves the next. */
const opened = new Map<string, OpenJob>();
const mostOpened = 4;

function open(job: Job): OpenJob {
  const key = JSON.stringify(job);
  const found = opened.get(key) ?? openJob(job);
  // The one asked for last goes last.
  opened.delete(key);
  opened.set(key, found);
  const [oldest] = opened.keys();
  if (opened.size > mostOpened && oldest !== undefined) opened.delete(oldest);
  return found;
}

/** What was worked out, or why it cannot be. */
export type Told<T> = { value: T } | { trouble: string };

function told<T>(work: () => T): Told<T> {
  try {
    return { value: work() };
  } catch (error) {
    return { trouble: errorWords(error) };
  }
}

/** Long work, as the worker offers it. */
export const heavy = {
  /** All that the bench shows of one heater beyond its figures, each thing by itself. */
  bench: (job: Job, index: number, habit: Habit) => {
    const bands = told(() => bothBands(job));
    const own = open(job);
    const figures = evaluateOpen(own);
    return {
      bands: 'value' in bands ? bands.value : undefined,
      sections: deepSections(heaterSections(own, figures, index)),
      marks: told(() => {
        const band = heaterBand('value' in bands ? bands.value['well made'] : {}, figures, index);
        return band ? marksWorth(own, index, habit, band) : [];
      }),
    };
  },
  /** Gain and heat over flows, with their bands at each. */
  overFlow: bandsOverFlow,
  /** Efficiency over inlets above air, with its bands at each. */
  overInlet: bandsOverInlet,
  /** The characteristic of every heater as a laboratory prints it, with the heater's id. */
  characteristics: (job: Job) => {
    const own = open(job);
    return own.panels.map(({ document }, index) => ({
      heater: document.id,
      tables: told(() => characteristicTables(heaterCharacteristic(own, index))),
    }));
  },
  /** A heater that is its own store through each kind of day of a month. */
  storeDays: (job: Job, index: number, month: number) => storeDays(open(job), index, month),
  /** One kind of heater at the job's place, for its need, from what is on hand. */
  kind: (key: string, job: Job, family: string) => kindOutcome(job, family, hereOf(key, job)),
  /** The arguments of builders, settled by number for the job. */
  schools: (job: Job) => compareDesignRules(job),
  /** Sun on the pane as it stands, from the bytes of the site's weather file where there is one. */
  pane: (key: string, job: Job, series: Uint8Array | undefined) =>
    planeOfArrayIrradiance(open(job), skyOf(key, job.site, series)),
  /** How the pane might stand under that sky. */
  study: (key: string, job: Job, series: Uint8Array | undefined) => jobStudy(open(job), skyOf(key, job.site, series)),
  /** Readings, each against the job as it stood at its time. */
  compare: (builds: readonly BuiltJob[], readings: readonly Reading[], sensors: Sensors) =>
    compareBuilt(builds, readings, sensors),
};
export type Heavy = typeof heavy;
export type Bench = ReturnType<typeof heavy.bench>;
