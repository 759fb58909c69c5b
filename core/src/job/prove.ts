import { compareReadings, type Plant, type Reading, type Sensors } from '../proof';
import { tiltOf } from './conditions';
import { asBuilt, openJob } from './open';
import type { Job } from './schema';

/** What a prediction needs of a job, as built. */
export function plantOf(job: Job): Plant {
  const built = asBuilt(job);
  const { groups } = openJob(built);
  const { latitude, longitude, elevation, standing, exposure } = built.site;
  return {
    groups,
    connection: built.loop.connection,
    latitude,
    longitude,
    elevation,
    tilt: tiltOf(built),
    aim: standing.aim,
    albedo: exposure.albedo,
  };
}

/** Readings against a job as built. */
export function compareJob(job: Job, readings: readonly Reading[], sensors: Sensors) {
  return compareReadings(plantOf(job), readings, sensors);
}
