import { cos, radians, sin, tan } from '../angles';
import { extraterrestrial } from '../clear';
import { midMonthDays } from '../mains';

/** Degrees. Declination on a day of the year. Spencer (1971), to 0.04°. */
export function dayDeclination(day: number): number {
  const angle = radians(((day - 1) * 360) / 365);
  return (
    (0.006918 -
      0.399912 * Math.cos(angle) +
      0.070257 * Math.sin(angle) -
      0.006758 * Math.cos(2 * angle) +
      0.000907 * Math.sin(2 * angle) -
      0.002697 * Math.cos(3 * angle) +
      0.00148 * Math.sin(3 * angle)) *
    (180 / Math.PI)
  );
}

/** W/m² over day and night on the flat, above the air, on a day of the year. D&B equation 1.10.3. */
export function dailyExtraterrestrial(day: number, latitude: number): number {
  const declination = dayDeclination(day);
  const held = Math.min(89.9, Math.max(-89.9, latitude));
  const sunset = Math.acos(Math.min(1, Math.max(-1, -tan(held) * tan(declination))));
  const lit = cos(held) * cos(declination) * Math.sin(sunset) + sunset * sin(held) * sin(declination);
  return Math.max(0, (extraterrestrial(day) / Math.PI) * lit);
}

/** The same, the mean of each month. */
export function monthlyExtraterrestrial(latitude: number): number[] {
  return midMonthDays.map((middle) => {
    let sum = 0;
    for (let off = -14; off <= 14; off += 1) sum += dailyExtraterrestrial(((middle + off + 364) % 365) + 1, latitude);
    return sum / 29;
  });
}
