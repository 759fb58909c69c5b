import { cos, sin } from './angles';

/**
 * Degrees of the sun from square to a pane in two planes at right angles: across it, and along its slope, where it is above zero when the
 * sun stands higher than square (ISO 9806: transversal and longitudinal). Beyond 90 where the sun is behind the pane.
 */
export function paneAngles(query: { zenith: number; azimuth: number; tilt: number; aim: number }): {
  transversal: number;
  longitudinal: number;
} {
  const { zenith, azimuth, tilt, aim } = query;
  const level = sin(zenith);
  const sun = { east: level * sin(azimuth), north: level * cos(azimuth), up: cos(zenith) };
  const normal = { east: sin(tilt) * sin(aim), north: sin(tilt) * cos(aim), up: cos(tilt) };
  const slope = { east: -cos(tilt) * sin(aim), north: -cos(tilt) * cos(aim), up: sin(tilt) };
  const across = { east: cos(aim), north: -sin(aim) };
  const degrees = (side: number, square: number) => (Math.atan2(side, square) * 180) / Math.PI;
  const square = sun.east * normal.east + sun.north * normal.north + sun.up * normal.up;
  return {
    transversal: degrees(sun.east * across.east + sun.north * across.north, square),
    longitudinal: degrees(sun.east * slope.east + sun.north * slope.north + sun.up * slope.up, square),
  };
}
