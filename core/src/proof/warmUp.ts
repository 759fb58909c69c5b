import type { HeaterGroup } from '../loop';
import { type OperatingConditions, type StandardNormals, underLid } from '../thermal';
import { plantCapacity } from './drift';
import { clearOnPane, type Plant, readingConditions } from './predict';
import { type Reading, skyShares } from './reading';

/** From one reading of water that stands to the next: s apart, and what it met on the way. */
export interface StandingInterval {
  from: Reading;
  to: Reading;
  seconds: number;
  /** °C of all the water at the start: mean of its cold and its hot end. */
  start: number;
  /** What it met, every `step` seconds. */
  met: readonly OperatingConditions[];
  /** Of all that, the mean; the angle is that at the end. */
  mean: OperatingConditions;
}

/** s. Weather between two readings is taken in steps of this. */
const step = 600;
/** s. Readings closer than this tell noise; further apart nobody knows what the sky did. */
const reach = { least: 15 * 60, most: 15 * 3600 };
/** W/m². Under it a clear sky says nothing of how much of it there is. */
const faint = 20;

/** Whether every heater of a plant is its own store: then its water stands, and its proof is how that warms. */
export function isStore({ groups }: Pick<Plant, 'groups'>): boolean {
  return groups.length > 0 && groups.every(({ thermal }) => thermal.integralStorage);
}

/** °C: mean of the cold and the hot end. */
export function meanOf({ inlet, outlet }: Reading): number {
  return (inlet + outlet) / 2;
}

/** The sun of a reading as a share of a clear sky; undefined while the sky is too dark to say. */
function clearness(plant: Plant, { time, irradiance, sky }: Reading): number | undefined {
  if (irradiance === undefined) return sky ? skyShares[sky].likely : undefined;
  const clear = clearOnPane(plant, time).total;
  return clear > faint ? irradiance / clear : undefined;
}

/**
 * The way from one reading to the next, both with water that stands; undefined where they are too near or too far from each other, or
 * where no sun is known. Between them the share of the clear sky, the air and the wind are taken as straight.
 */
export function standingInterval(plant: Plant, from: Reading, to: Reading): StandingInterval | undefined {
  const seconds = (to.time - from.time) / 1000;
  if (from.flow > 0 || to.flow > 0 || seconds < reach.least || seconds > reach.most) return undefined;
  const [first, last] = [clearness(plant, from), clearness(plant, to)];
  const known = first ?? last;
  if (known === undefined && (from.irradiance === undefined || to.irradiance === undefined)) return undefined;
  const begin = first ?? known ?? 0;
  const end = last ?? known ?? 0;
  const steps = Math.max(1, Math.round(seconds / step));
  const met: OperatingConditions[] = [];
  for (let index = 0; index < steps; index += 1) {
    const share = (index + 0.5) / steps;
    const between = (a: number, b: number) => a + share * (b - a);
    const time = between(from.time, to.time);
    const conditions = readingConditions(plant, {
      time,
      inlet: meanOf(from),
      outlet: meanOf(from),
      flow: 0,
      air: between(from.air, to.air),
      irradiance: Math.max(0, between(begin, end) * clearOnPane(plant, time).total),
      ...(from.wind === undefined || to.wind === undefined ? {} : { wind: between(from.wind, to.wind) }),
    });
    if (conditions) met.push({ ...conditions, massFlow: 0 });
  }
  const closing = met[met.length - 1];
  if (!closing) return undefined;
  const mean = (of: (boundary: OperatingConditions) => number) =>
    met.reduce((sum, one) => sum + of(one), 0) / met.length;
  return {
    from,
    to,
    seconds,
    start: meanOf(from),
    met,
    mean: { ...closing, irradiance: mean(({ irradiance }) => irradiance), air: mean(({ air }) => air) },
  };
}

/**
 * K by which water that stands rises over an interval, all heaters together (C dT/dt = net, explicit): lids open in sun and shut without.
 *
 * @param change.sun factor on the sun that was met
 */
export function riseOver(
  groups: readonly HeaterGroup[],
  { met, seconds, start }: StandingInterval,
  change: { sun?: number } = {},
  deviates: StandardNormals = {},
): number {
  const capacity = plantCapacity(groups);
  const each = seconds / met.length;
  let temperature = start;
  for (const boundary of met) {
    const { irradiance } = boundary;
    const at = { ...boundary, irradiance: irradiance * (change.sun ?? 1) };
    const net = groups.reduce(
      (sum, { thermal, count }) => sum + count * thermal.stagnantNetHeat(underLid(thermal, at), deviates)(temperature),
      0,
    );
    temperature += (net * each) / capacity;
  }
  return temperature - start;
}
