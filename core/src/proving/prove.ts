import type { Finding } from '../care';
import type { Job } from '../document';
import { asBuilt } from '../document';
import { openJob, tiltOf } from '../job';
import { type Compared, compareReadings, type Plant, type Reading, readingDoubts, type Sensors } from '../proof';
import { isPlaced, jobObstruction } from '../site';

/** What a prediction needs of a job, as built. */
export function plantOf(job: Job): Plant {
  const built = asBuilt(job);
  const { groups } = openJob(built);
  const { latitude, longitude, elevation, standing, exposure } = built.site;
  const obstruction = jobObstruction(built);
  return {
    groups,
    connection: built.loop.connection,
    latitude,
    longitude,
    elevation,
    tilt: tiltOf(built),
    aim: standing.aim,
    albedo: exposure.albedo,
    ...(obstruction ? { obstruction } : {}),
    ...(built.loop.glycol ? { fluid: { glycol: built.loop.glycol } } : {}),
  };
}

/** Readings against a job as built. */
export function compareJob(job: Job, readings: readonly Reading[], sensors: Sensors): Compared {
  return compareReadings([{ from: Number.NEGATIVE_INFINITY, plant: plantOf(job) }], readings, sensors);
}

/** A design with the moment from which it stood, ms since 1970. */
export interface BuiltJob {
  from: number;
  job: Job;
}

/** Readings, each against the design that stood at its time; before the first of them, against that one. */
export function compareBuilt(builds: readonly BuiltJob[], readings: readonly Reading[], sensors: Sensors): Compared {
  const stood = builds.map(({ from, job }) => ({ from, plant: plantOf(job) }));
  return compareReadings(stood, readings, sensors);
}

/** What in a reading by hand can hardly have been, at the job's place and with its pane. */
export function jobDoubts(job: Job, reading: Reading): Finding[] {
  const aperture = openJob(job).panels.reduce(
    (sum, { design, document }) => sum + design.areas.aperture * document.count,
    0,
  );
  return readingDoubts(plantOf(job), reading, { aperture, placed: isPlaced(job.site) });
}
