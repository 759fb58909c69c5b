/**
 * Degrees by which what carries something round may lean before it rolls over its stop: φ = acos(1 − h/R), the angle at its middle between
 * straight down to the bearing and the edge of the stop.
 *
 * @param radius m
 * @param height m of the stop over the bearing
 */
export function rollAngle(radius: number, height: number): number {
  return (Math.acos(Math.max(-1, 1 - height / radius)) * 180) / Math.PI;
}
