import type { SunPosition } from '@north-pane/core/sky';

/** The sky from above: north up, the horizon at the rim, straight up in the middle; height above the horizon is even. */
export interface Dome {
  /** px. */
  radius: number;
  at(sun: SunPosition): [x: number, y: number];
  /** Degrees of a place in the drawing; a height below 0 lies outside the rim. */
  from(x: number, y: number): { azimuth: number; elevation: number };
}

const radians = Math.PI / 180;

export function domeOf(radius: number): Dome {
  return {
    radius,
    at: ({ zenith, azimuth }) => [
      (radius * zenith * Math.sin(azimuth * radians)) / 90,
      (-radius * zenith * Math.cos(azimuth * radians)) / 90,
    ],
    from: (x, y) => ({
      azimuth: (Math.atan2(x, -y) / radians + 360) % 360,
      elevation: 90 - (90 * Math.hypot(x, y)) / radius,
    }),
  };
}

/** A row of places as the path of an SVG. */
export function pathOf(points: readonly (readonly [number, number])[], closed = false): string {
  if (points.length === 0) return '';
  return `M${points.map(([x, y]) => `${x.toFixed(1)} ${y.toFixed(1)}`).join('L')}${closed ? 'Z' : ''}`;
}
