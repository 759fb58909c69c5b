import { atan2, cos, sin, tan } from './angles';
import type { Skyline } from './horizon';

/** A row of panes like ours that stands before it, tilted and aimed alike. */
export interface FrontRow {
  /** m on the ground from the foot of one to the foot of the other, in the direction of the aim. */
  spacing: number;
  /** m that its foot stands higher than ours. */
  rise: number;
  /** m. Slope length of the pane. */
  length: number;
  /** m across. */
  width: number;
}

interface Standing {
  tilt: number;
  aim: number;
}

/**
 * Share of our pane in the shadow of the row in front. The two planes are parallel, so the shadow is the front pane moved
 * along the sun's ray: exact for the beam (derived).
 */
export function rowShade(row: FrontRow, standing: Standing, sun: { zenith: number; azimuth: number }): number {
  const { tilt, aim } = standing;
  const forward = sin(sun.zenith) * cos(sun.azimuth - aim);
  const aside = sin(sun.zenith) * sin(sun.azimuth - aim);
  return shadeToward(row, cos(tilt), sin(tilt), forward, aside, cos(sun.zenith));
}

/** The same for a sun given by its unit vector ahead of the pane, to its right and up. */
export function shadeToward(
  row: FrontRow,
  cosTilt: number,
  sinTilt: number,
  forward: number,
  aside: number,
  up: number,
): number {
  const square = forward * sinTilt + up * cosTilt;
  if (square <= 1e-6 || up <= 0) return 0;
  const ray = (row.spacing * sinTilt + row.rise * cosTilt) / square;
  if (ray <= 0) return 0;
  const across = Math.abs(ray * aside);
  const upslope = Math.abs(row.rise * sinTilt - row.spacing * cosTilt - ray * (up * sinTilt - forward * cosTilt));
  return Math.max(0, 1 - across / row.width) * Math.max(0, 1 - upslope / row.length);
}

/** m. Spacing at which the front row does not shade ours with the sun at this height, straight ahead (derived). */
export function clearSpacing(query: { length: number; tilt: number; height: number }): number {
  return query.length * (cos(query.tilt) + sin(query.tilt) / tan(Math.max(0.5, query.height)));
}

/** The skyline with the row in front in it, as the middle of our pane sees it: for the sky that it hides, not for its shadow. */
export function withFrontRow(skyline: Skyline, row: FrontRow, standing: Standing): Skyline {
  const { tilt, aim } = standing;
  const away = row.spacing - (row.length * cos(tilt)) / 2;
  const above = row.rise + (row.length * sin(tilt)) / 2;
  if (above <= 0 || away <= 0) return skyline;
  return skyline.map((high, azimuth) => {
    const off = azimuth - aim;
    if (cos(off) <= 0 || Math.abs(tan(off)) * away > row.width / 2) return high;
    return Math.max(high, atan2(above * cos(off), away));
  });
}
