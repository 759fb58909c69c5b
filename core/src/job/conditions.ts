import type { Job } from '../document';
import { mainTilt } from '../document';
import { type HeaterGroup, heatersInLoop, totalAperture } from '../loop';
import { airPressure, clearSkyTemperature, dewPointOf, surroundingsTemperature } from '../sky';
import { type OperatingConditions, type ThermalModel, worstBeam } from '../thermal';

/** What figures are asked for at; all may be left out. SI, °C. */
export interface Conditions {
  /** W/m² on the pane. */
  irradiance: number;
  /** Share of it that is beam. */
  beamShare: number;
  /** Degrees of the beam from square. */
  incidence: number;
  /** °C. */
  air: number;
  /** °C that a clear sky looks; by Berdahl and Martin (1984) at half-saturated air when left out. */
  skyTemperature?: number;
  /** m/s at the panel. */
  wind: number;
  /** °C. */
  inlet: number;
  /** kg/s through the whole job; the loop's own when left out. With 0 all heaters stand still. */
  massFlow?: number;
  /** s that heaters that stand still lie in the sun; four hours when left out. */
  exposure?: number;
}

export const designConditions: Conditions = {
  irradiance: 800,
  beamShare: 0.85,
  incidence: 0,
  air: 15,
  wind: 2,
  inlet: 20,
};
/** Dry and full sun, nothing flowing, hardly a breath of wind. */
const stagnation = { irradiance: 1000, air: 30, wind: 0.5 };
/** Of the sun that is not beam, what comes off the ground: judgement for grass before a tilted pane. */
const groundShare = 0.1;
/** Relative humidity of a fair day and of a clear night, for the look of the sky. Judgement. */
const humidity = { day: 0.5, night: 0.85 };

/** The tilt in use: the first one named. */
export function tiltOf(job: Job): number {
  return mainTilt(job.site).tilt;
}

function surroundings(
  job: Job,
  air: number,
  skyTemperature: number | undefined,
  time: keyof typeof humidity = 'day',
): number {
  const sky =
    skyTemperature ??
    clearSkyTemperature({
      air,
      dewPoint: dewPointOf(air, humidity[time]),
      pressure: airPressure(job.site.elevation),
      ...(time === 'night' ? { hour: 0 } : {}),
    });
  return surroundingsTemperature({ sky, air, tilt: tiltOf(job) });
}

/** kg/s. The flow that the job is designed for. */
export function designFlow(job: Job, groups: readonly HeaterGroup[]): number {
  const through = heatersInLoop(groups);
  // In series all the water goes through every panel: one panel's area sets it.
  const area =
    job.loop.connection === 'parallel'
      ? totalAperture(through)
      : Math.max(...through.map((group) => group.thermal.apertureArea));
  return job.loop.specificFlow * area;
}

export function heatConditions(
  job: Job,
  groups: readonly HeaterGroup[],
  given: Partial<Conditions>,
): OperatingConditions {
  const { skyTemperature, massFlow, exposure: _, ...conditions } = { ...designConditions, ...given };
  return {
    ...conditions,
    groundShare,
    surroundings: surroundings(job, conditions.air, skyTemperature),
    // What is its own store stands while it is heated.
    massFlow: massFlow ?? (groups.every(({ thermal }) => thermal.integralStorage) ? 0 : designFlow(job, groups)),
    tilt: tiltOf(job),
    ...(job.loop.glycol ? { fluid: { glycol: job.loop.glycol } } : {}),
  };
}

/**
 * The site's hottest clear hour where it is known, else the usual one, with the sun where the heater gets most of it. Not the caller's
 * conditions.
 */
export function stagnationConditions(job: Job, model: ThermalModel): OperatingConditions {
  const { irradiance, air } = job.site.hottest ?? stagnation;
  return worstBeam(model, {
    irradiance,
    beamShare: designConditions.beamShare,
    groundShare,
    incidence: 0,
    air,
    surroundings: surroundings(job, air, undefined),
    wind: stagnation.wind,
    inlet: air,
    massFlow: 0,
    tilt: tiltOf(job),
  });
}

/** A clear, still night at an air temperature. */
export function nightConditions(job: Job, air: number): OperatingConditions {
  return {
    irradiance: 0,
    beamShare: 0,
    groundShare,
    incidence: 0,
    air,
    surroundings: surroundings(job, air, undefined, 'night'),
    wind: stagnation.wind,
    inlet: air,
    massFlow: 0,
    tilt: tiltOf(job),
  };
}
