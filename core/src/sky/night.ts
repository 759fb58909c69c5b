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

/** Share of the 10 m station wind that blows at a panel near the ground: 0.3 to 0.7. Judgement. */
export const windAtPanelShare = { low: 0.3, likely: 0.45, high: 0.7 };
