import { zoneClock } from '../time';
import { atan2, cos, tan } from './angles';
import { type PathPoint, sunPath } from './path';
import type { SunPosition } from './sun';

export interface YearPath {
  month: number;
  name: string;
  points: PathPoint[];
}

/** The sun's path on the 21st of each month from one solstice to the other: the rest of the year lies on the same lines. */
export function yearPaths(site: { latitude: number; longitude: number; elevation: number }, year: number): YearPath[] {
  const names = ['December', 'Jan, Nov', 'Feb, Oct', 'Mar, Sep', 'Apr, Aug', 'May, Jul', 'June'];
  return names.map((name, index) => {
    const month = index === 0 ? 11 : index - 1;
    const near = new Date(Date.UTC(year, month, 21, 12) - (site.longitude / 15) * 3_600_000);
    return { month, name, points: sunPath({ near, ...site }) };
  });
}

/** The whole hours by the site's clock at which the sun of a day stands somewhere. */
export function hourMarks(points: readonly PathPoint[], zone: string): { hour: number; point: PathPoint }[] {
  const clock = zoneClock(zone);
  const marks: { hour: number; point: PathPoint }[] = [];
  let before: { point: PathPoint; wall: number } | undefined;
  for (const point of points) {
    const at = point.at.getTime();
    const wall = (at + clock.offsetAt(at)) / 3_600_000;
    if (before && Math.floor(wall) > Math.floor(before.wall)) {
      const share = (Math.floor(wall) - before.wall) / (wall - before.wall);
      const blend = (a: number, b: number) => a + (b - a) * share;
      const turn = ((point.azimuth - before.point.azimuth + 540) % 360) - 180;
      marks.push({
        hour: Math.floor(wall) % 24,
        point: {
          at: new Date(blend(before.point.at.getTime(), at)),
          zenith: blend(before.point.zenith, point.zenith),
          azimuth: (before.point.azimuth + turn * share + 360) % 360,
        },
      });
    }
    before = { point, wall };
  }
  return marks;
}

/** The edge of what a pane can see of the sky, from one end of its foot over its back to the other. */
export function paneEdge(pane: { tilt: number; aim: number }): SunPosition[] {
  const edge: SunPosition[] = [];
  for (let off = 90; off <= 270; off += 3) {
    const slope = -cos(off) * tan(Math.min(89.9, pane.tilt));
    edge.push({ azimuth: pane.aim + off, zenith: 90 - Math.max(0, atan2(slope, 1)) });
  }
  return edge;
}
