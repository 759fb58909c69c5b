import { type Job, mainTilt } from '../document';
import { jobObstruction } from '../site';
import {
  airPressure,
  dayOfYear,
  incidenceAngle,
  obstructedIrradiance,
  paneAngles,
  skyTemperature,
  sunPosition,
  surroundingsTemperature,
} from '../sky';
import type { OperatingConditions } from '../thermal';

/** Sun, air and sky of a place at one moment, before any pane stands in it. */
export interface OpenSky {
  at: Date;
  /** W/m² on the flat, square to the sun, and of the sky. */
  global: number;
  beamNormal: number;
  diffuse: number;
  /** °C. */
  air: number;
  dewPoint: number;
  /** Share of the sky. */
  cloud: number;
  /** h from midnight. */
  hour: number;
  /** m/s at the pane. */
  wind: number;
}

/** What the pane of a job meets under an open sky, the lid open and nothing flowing: skyline, ground and the row in front are in it. */
export function paneWeather(job: Job): (sky: OpenSky) => OperatingConditions {
  const { latitude, longitude, elevation, standing, exposure } = job.site;
  const { tilt } = mainTilt(job.site);
  const { aim } = standing;
  const { albedo } = exposure;
  const obstruction = jobObstruction(job);
  const pressure = airPressure(elevation);
  return ({ at, global, beamNormal, diffuse, air, dewPoint, cloud, hour, wind }) => {
    const sun = sunPosition({ at, latitude, longitude, elevation });
    const pane = obstructedIrradiance(
      { beamNormal, diffuse, global, ...sun, tilt, aim, dayOfYear: dayOfYear(at), albedo },
      obstruction,
    );
    const looks = skyTemperature({ air, dewPoint: Math.min(air, dewPoint), cloud, hour, pressure });
    const total = Math.max(0, pane.total);
    const rest = Math.max(1e-9, total - pane.beam);
    return {
      irradiance: total,
      beamShare: total > 0 ? Math.min(1, Math.max(0, pane.beam / total)) : 0,
      groundShare: Math.min(1, Math.max(0, pane.ground / rest)),
      incidence: Math.min(89, incidenceAngle({ ...sun, tilt, aim })),
      angles: paneAngles({ ...sun, tilt, aim }),
      air,
      surroundings: surroundingsTemperature({ sky: looks, air, tilt }),
      wind,
      inlet: air,
      massFlow: 0,
      tilt,
    };
  };
}
