import { cos } from '../angles';
import { clearSkyAt, extraterrestrial } from '../clear';
import { dayOfYear, sunPosition } from '../sun';
import { middleOf, type WeatherSeries } from './series';

/** Where the sun stood in the middle of each interval, and what it could send. */
export interface SunOver {
  /** Degrees. */
  zenith: Float32Array;
  /** W/m² square to the sun, above the air. */
  above: Float32Array;
  /** W/m² on the flat under a cloudless sky. */
  clear: Float32Array;
}

export function sunOver(
  series: WeatherSeries,
  site: { latitude: number; longitude: number; elevation: number },
): SunOver {
  const { length } = series;
  const sun: SunOver = {
    zenith: new Float32Array(length),
    above: new Float32Array(length),
    clear: new Float32Array(length),
  };
  for (let index = 0; index < length; index += 1) {
    const at = new Date(middleOf(series, index));
    const { zenith } = sunPosition({ ...site, at });
    const day = dayOfYear(at);
    sun.zenith[index] = zenith;
    sun.above[index] = extraterrestrial(day);
    if (cos(zenith) > 0) sun.clear[index] = clearSkyAt({ zenith, elevation: site.elevation, day, turbidity: 3 }).global;
  }
  return sun;
}
