import { cos } from './angles';
import { type HorizonPoint, hiddenSky, hidesSun, type Skyline, skylineOf } from './horizon';
import { type FrontRow, rowShade, withFrontRow } from './rows';
import { incidenceAngle } from './sun';
import { perezSky, skyView, type TiltedIrradiance, type TiltedQuery, tiltedIrradiance } from './tilted';

/** What stands between a pane and its sky: hills, trees, houses, and a row of panes in front. */
export interface Obstruction {
  skyline: Skyline;
  front: FrontRow | undefined;
  /** View factor from the pane to the sky that is hidden. */
  hidden: number;
}

/** What stands before a pane, worked up once for many suns; undefined where nothing does. */
export function obstructionOf(
  { horizon, front }: { horizon: readonly HorizonPoint[]; front?: FrontRow | undefined },
  pane: { tilt: number; aim: number },
): Obstruction | undefined {
  if (horizon.length === 0 && !front) return undefined;
  const skyline = skylineOf(horizon);
  // The row in front hides sky like a hill; its shadow in the beam is worked out by itself.
  const seen = front ? withFrontRow(skyline, front, pane) : skyline;
  return { skyline, front, hidden: hiddenSky(seen, pane) };
}

/**
 * Sun on a tilted pane behind what stands before it, by Perez et al. (1990): beam and the bright sky about the sun do not come over a skyline nor
 * through the row in front; of the even sky only what the pane sees; the ground as if nothing stood there. The same as `cellsOnPane` sums.
 *
 * @returns W/m² of beam, sky and ground, and their sum
 */
export function obstructedIrradiance(
  query: Omit<TiltedQuery, 'model'>,
  obstruction: Obstruction | undefined,
): TiltedIrradiance {
  const open = tiltedIrradiance({ ...query, model: 'perez' });
  if (!obstruction) return open;
  const { zenith, azimuth, tilt, diffuse } = query;
  const { skyline, front, hidden } = obstruction;
  const seen = Math.max(0, skyView(tilt) - hidden);
  const { ground } = open;
  // A sun under the horizon is hidden by any skyline; what is left of the sky is evenly bright.
  const shaded = front ? rowShade(front, query, { zenith, azimuth }) : 0;
  const lit = hidesSun(skyline, zenith, azimuth) ? 0 : 1 - shaded;
  const onPane = Math.max(0, cos(incidenceAngle(query))) * lit;
  const beam = query.beamNormal * onPane;
  const sky = zenith >= 90 ? diffuse * seen : perezSky(query, onPane, seen);
  return { beam, sky, ground, total: beam + sky + ground };
}
