import { cos } from './angles';

const kelvin = 273.15;

/**
 * °C. How cold a cloudless sky looks. Berdahl and Martin (1984), in the middle of the day unless an hour is given.
 *
 * @param query.air °C
 * @param query.dewPoint °C, not above the air
 * @param query.hour solar hour from midnight
 * @param query.pressure Pa
 */
export function clearSkyTemperature(query: {
  air: number;
  dewPoint: number;
  hour?: number;
  pressure?: number;
}): number {
  const dew = query.dewPoint / 100;
  const emittance =
    0.711 +
    0.56 * dew +
    0.73 * dew ** 2 +
    0.013 * cos(15 * (query.hour ?? 12)) +
    0.00012 * ((query.pressure ?? 101325) / 100 - 1000);
  return (query.air + kelvin) * emittance ** 0.25 - kelvin;
}

/**
 * °C. The one temperature that a tilted pane radiates to: sky and ground by their share of its view, the ground at
 * air temperature.
 */
export function surroundingsTemperature(query: { sky: number; air: number; tilt: number }): number {
  const skyShare = (1 + cos(query.tilt)) / 2;
  const fourth = skyShare * (query.sky + kelvin) ** 4 + (1 - skyShare) * (query.air + kelvin) ** 4;
  return fourth ** 0.25 - kelvin;
}

/** °C. Dew point of air at a relative humidity (0 to 1). Magnus form with the constants of Alduchov and Eskridge (1996). */
export function dewPointOf(air: number, humidity: number): number {
  const g = Math.log(humidity) + (17.625 * air) / (243.04 + air);
  return (243.04 * g) / (17.625 - g);
}

/** m. Height of a low cloud's base, and the height over which a cloud's part fades. Martin and Berdahl (1984). */
const cloudBase = 2000;
const cloudFade = 8200;

/**
 * °C. How cold a sky looks under clouds. Berdahl and Martin (1984) for the clear part; an opaque low cloud closes the rest
 * but for what lies below it (Martin and Berdahl 1984). Overcast comes within 5 K of the air.
 *
 * @param query.cloud share of the sky, 0 to 1
 */
export function skyTemperature(query: {
  air: number;
  dewPoint: number;
  cloud: number;
  hour?: number;
  pressure?: number;
}): number {
  const clear = (clearSkyTemperature(query) + kelvin) / (query.air + kelvin);
  const emittance = clear ** 4;
  const closed = emittance + (1 - emittance) * query.cloud * Math.exp(-cloudBase / cloudFade);
  return (query.air + kelvin) * closed ** 0.25 - kelvin;
}

/** Share of the sky that clouds cover, from the sun that comes through. Kasten and Czeplak (1980), turned round. */
export function cloudFromSun(global: number, clearGlobal: number): number {
  if (clearGlobal <= 0) return 0;
  const missing = Math.min(1, Math.max(0, (1 - global / clearGlobal) / 0.75));
  return missing ** (1 / 3.4);
}

/** Share of the 10 m station wind that blows at a panel near the ground: 0.3 to 0.7. Judgement. */
export const windAtPanelShare = { low: 0.3, likely: 0.45, high: 0.7 };

/** m/s at the panel from the wind of a station. Bounds by the spread of `windAtPanelShare` about the site's own share. */
export function windAtPanel(station: number, share: number): { low: number; likely: number; high: number } {
  const { low, likely, high } = windAtPanelShare;
  return { low: (station * share * low) / likely, likely: station * share, high: (station * share * high) / likely };
}
