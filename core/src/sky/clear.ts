import { cos, radians } from './angles';
import { airPressure, dayOfYear, sunPosition } from './sun';

/** W/m². Sun above the air, mean over the year: Kopp and Lean (2011). */
export const solarConstant = 1361;

/** W/m². Sun above the air, square to it, on that day. Spencer (1971). */
export function extraterrestrial(day: number): number {
  const angle = radians(((day - 1) * 360) / 365);
  return (
    solarConstant *
    (1.00011 +
      0.034221 * Math.cos(angle) +
      0.00128 * Math.sin(angle) +
      0.000719 * Math.cos(2 * angle) +
      0.000077 * Math.sin(2 * angle))
  );
}

/** Relative optical air mass. Kasten and Young (1989). Held at its value for a sun just below the horizon. */
export function airMass(zenith: number): number {
  const held = Math.min(zenith, 90.5);
  return 1 / (cos(held) + 0.50572 * (96.07995 - held) ** -1.6364);
}

/** W/m². Square to the beam, from the sky on the flat, and both on the flat. */
export interface ClearSky {
  beamNormal: number;
  diffuse: number;
  global: number;
}

/**
 * A cloudless sky. Ineichen and Perez (2002) with the Linke turbidity at air mass 2.
 *
 * @param query.turbidity 2 mountain air, 3 clean country (default), 5 hazy town
 */
export function clearSky(query: {
  at: Date;
  latitude: number;
  longitude: number;
  elevation: number;
  turbidity?: number;
}): ClearSky {
  const { zenith } = sunPosition(query);
  return clearSkyAt({
    zenith,
    elevation: query.elevation,
    day: dayOfYear(query.at),
    turbidity: query.turbidity ?? 3,
  });
}

/** The same for a known height of the sun. */
export function clearSkyAt(query: { zenith: number; elevation: number; day: number; turbidity: number }): ClearSky {
  const up = cos(query.zenith);
  if (up <= 0) return { beamNormal: 0, diffuse: 0, global: 0 };
  const { elevation, turbidity } = query;
  const above = extraterrestrial(query.day);
  const mass = (airMass(query.zenith) * airPressure(elevation)) / 101325;
  const scale1 = Math.exp(-elevation / 8000);
  const scale2 = Math.exp(-elevation / 1250);
  const gain = 5.09e-5 * elevation + 0.868;
  const loss = 3.92e-5 * elevation + 0.0387;
  const global = gain * above * up * Math.exp(-loss * mass * (scale1 + scale2 * (turbidity - 1)));
  const direct = (0.664 + 0.163 / scale1) * above * Math.exp(-0.09 * mass * (turbidity - 1));
  const most = (global * (1 - (0.1 - 0.2 * Math.exp(-turbidity)) / (0.1 + 0.882 / scale1))) / up;
  const beamNormal = Math.max(0, Math.min(direct, most));
  return { beamNormal, diffuse: Math.max(0, global - beamNormal * up), global };
}
