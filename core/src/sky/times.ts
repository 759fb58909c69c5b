import { turn } from './angles';
import { solarNoon } from './path';
import { hourAngle, sunCoordinates, sunPosition } from './sun';

const hourMilliseconds = 3_600_000;
/** Degrees. The upper edge of the sun touches a level horizon: half a sun and the usual bend of light. Meeus (1998), chapter 15. */
const riseZenith = 90.833;

/** Minutes that a sundial is ahead of a clock of mean time. */
export function equationOfTime(at: Date): number {
  const days = at.getTime() / 86_400_000 - 10957.5;
  const meanLongitude = 280.46646 + (36000.76983 / 36525) * days;
  const off = turn(meanLongitude - 0.0057183 - sunCoordinates(at).rightAscension);
  return (off > 180 ? off - 360 : off) * 4;
}

/** Hours from midnight by the sun itself, 0 to 24: 12 when it stands due south or north. */
export function solarTime(at: Date, longitude: number): number {
  return (hourAngle(at, longitude) / 15 + 36) % 24;
}

export interface SunTimes {
  noon: Date;
  /** Undefined on a day on which the sun does not rise or does not set. */
  rise: Date | undefined;
  set: Date | undefined;
  /** Hours with the sun above a level horizon. */
  daylight: number;
}

/**
 * Sunrise and sunset of the solar day about a moment, on a level horizon: the sun's upper edge with the usual bend of
 * light (34′). To half a minute outside the polar circles.
 */
export function sunTimes(query: { near: Date; latitude: number; longitude: number }): SunTimes {
  const noon = solarNoon(query.near, query.longitude);
  const zenith = (at: number) => sunPosition({ ...query, at: new Date(at), refraction: false }).zenith;
  const up = (at: number) => zenith(at) < riseZenith;
  const half = 12 * hourMilliseconds;
  if (!up(noon.getTime())) return { noon, rise: undefined, set: undefined, daylight: 0 };
  const edge = (side: -1 | 1): number | undefined => {
    let light = noon.getTime();
    let dark = light + side * half;
    if (up(dark)) return undefined;
    while (Math.abs(dark - light) > 500) {
      const middle = (dark + light) / 2;
      if (up(middle)) light = middle;
      else dark = middle;
    }
    return (dark + light) / 2;
  };
  const rise = edge(-1);
  const set = edge(1);
  const lit = (set ?? noon.getTime() + half) - (rise ?? noon.getTime() - half);
  return {
    noon,
    rise: rise === undefined ? undefined : new Date(rise),
    set: set === undefined ? undefined : new Date(set),
    daylight: lit / hourMilliseconds,
  };
}
