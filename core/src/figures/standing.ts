import type { OpenJob } from '../job';
import { afterExposure, type OperatingConditions, type StandardNormals, type Workmanship } from '../thermal';

/** s that heaters that stand still lie in the sun when nobody says: four hours. */
export const usualExposure = 4 * 3600;

/** What a heater that stands still does over an exposure. SI. */
export interface StandingState {
  /** W into its water, mean over the exposure. */
  usefulHeat: number;
  /** K. */
  gain: number;
  /** °C at the end. */
  outletTemperature: number;
  efficiency: number;
}

/** A full heater that stands still from the inlet's temperature on; nothing for one whose water runs off. */
export function standingState(
  { thermal }: OpenJob['groups'][number],
  boundary: OperatingConditions,
  seconds: number,
  deviates: StandardNormals = {},
  workmanship: Workmanship = 'well made',
): StandingState | undefined {
  if (thermal.drainsWhenIdle) return undefined;
  const end = afterExposure(thermal, boundary, { from: boundary.inlet, seconds }, deviates, workmanship);
  const gain = end - boundary.inlet;
  const usefulHeat = (thermal.capacity.water * gain) / seconds;
  const sun = boundary.irradiance * thermal.apertureArea;
  return { usefulHeat, gain, outletTemperature: end, efficiency: sun > 0 ? usefulHeat / sun : 0 };
}

/** All heaters of a job over an exposure, their water mixed at its end; nothing where one's water runs off. */
export function standingTogether(
  groups: OpenJob['groups'],
  boundary: OperatingConditions,
  seconds: number,
  deviates: StandardNormals = {},
  workmanship: Workmanship = 'well made',
): (StandingState & { perGroup: StandingState[] }) | undefined {
  const perGroup = groups.flatMap((group) => standingState(group, boundary, seconds, deviates, workmanship) ?? []);
  if (perGroup.length < groups.length) return undefined;
  const sum = (of: (group: OpenJob['groups'][number], index: number) => number) =>
    groups.reduce((total, group, index) => total + group.count * of(group, index), 0);
  const usefulHeat = sum((_, index) => perGroup[index]?.usefulHeat ?? 0);
  const water = sum(({ thermal }) => thermal.capacity.water);
  const gain = (usefulHeat * seconds) / water;
  const sun = sum(({ thermal }) => thermal.apertureArea) * boundary.irradiance;
  return {
    usefulHeat,
    gain,
    outletTemperature: boundary.inlet + gain,
    efficiency: sun > 0 ? usefulHeat / sun : 0,
    perGroup,
  };
}
