import { cos } from './angles';
import { extraterrestrial } from './clear';

/**
 * Parts the sun on the flat into beam and sky. Erbs, Klein and Duffie (1982).
 * With the sun within 3.5° of the horizon or below, all of it counts as sky: the split is not known there.
 *
 * @param query.global W/m² on the flat
 * @returns W/m²; beam square to the sun, held below the sun above the air
 */
export function splitGlobal(query: { global: number; zenith: number; dayOfYear: number }): {
  beamNormal: number;
  diffuse: number;
} {
  const up = cos(query.zenith);
  const above = extraterrestrial(query.dayOfYear);
  if (up < 0.06 || query.global <= 0) return { beamNormal: 0, diffuse: Math.max(0, query.global) };
  const clearness = query.global / (above * up);
  const k = clearness;
  const share =
    k <= 0.22
      ? 1 - 0.09 * k
      : k <= 0.8
        ? 0.9511 - 0.1604 * k + 4.388 * k ** 2 - 16.638 * k ** 3 + 12.336 * k ** 4
        : 0.165;
  const beamNormal = Math.min((query.global * (1 - share)) / up, above);
  return { beamNormal, diffuse: query.global - beamNormal * up };
}
