import type { PaneOrientation } from '../sky';
import { isZone, zoneDoubt } from '../time';

/** Degrees. A pane that looks to the equator, tilted by the latitude. */
export function standingAt(latitude: number): PaneOrientation {
  return { aim: latitude < 0 ? 0 : 180, tilt: Math.round(Math.abs(latitude)) };
}

/** A zone that can be that of a longitude: the one given, else the whole hours by the sun. */
export function zoneAt(longitude: number, given: string | undefined): string {
  if (given !== undefined && isZone(given) && zoneDoubt(given, longitude) === undefined) return given;
  const hours = Math.round(longitude / 15);
  // The signs of these names are turned round: Etc/GMT-12 is twelve hours ahead.
  return hours === 0 ? 'Etc/UTC' : `Etc/GMT${hours > 0 ? '-' : '+'}${Math.abs(hours)}`;
}
