import type { Job } from '../document';
import { needByHour, type WeatherDay } from '../forecasting';
import type { OpenJob } from '../job';
import { fluidState, type ThermalModel } from '../thermal';

const hour = 3600;
/** W/m². Less sun than this starts no pump. */
const leastSun = 40;
/** °C round the store, and above which its water is let off. */
const room = 15;
const boils = 95;
/** °C between the two temperatures of water at which an hour is worked out. */
const apart = 40;
/** A day is in its rhythm once its water is no further from where it began than this, K; it is run so often at the most. */
const rhythm = { within: 0.05, days: 40 } as const;

/** W/K that a store of some m³ loses. Regulation (EU) 812/2013, class C at its upper end: 16.66 + 8.33 V^0.4 W, V in litres, at 45 K. */
export function storeLoss(volume: number): number {
  return (16.66 + 8.33 * (1000 * volume) ** 0.4) / 45;
}

/** J that a day's water of a job takes from the mains (°C) to what is wanted. */
export function neededHeat({ need }: Pick<Job, 'need'>, mains: number): number {
  const { density, heatCapacity } = fluidState('water', 40);
  return need.volumePerDay * density * heatCapacity * Math.max(0, need.target - mains);
}

/** J that a heater of a job gives in a day over what the mains bring, and what the need takes. */
export interface ScreenedDay {
  needed: number;
  given: number;
  /** °C of its water, most and least. */
  hottest: number;
  coldest: number;
}

/** W that all heaters gather in an hour with their water at ϑ: a − b ϑ. */
interface HourLine {
  a: number;
  b: number;
}

/** Heat of an hour as a line over the temperature of the water, from two states of each heater. */
function lineOf(open: OpenJob, weather: WeatherDay, at: number, low: number): HourLine {
  const boundary = weather.at(at * hour);
  const gathered = (inlet: number): number =>
    open.groups.reduce((sum, { thermal, count }) => sum + count * heatOf(open.job, thermal, { ...boundary, inlet }), 0);
  const [cold, warm] = [gathered(low), gathered(low + apart)];
  const b = (cold - warm) / apart;
  return { a: cold + b * low, b };
}

function heatOf(job: Job, thermal: ThermalModel, boundary: ReturnType<WeatherDay['at']>): number {
  if (thermal.ownStore) {
    const covered = thermal.hasLid && boundary.irradiance < leastSun;
    return thermal.stagnantNetHeat(covered ? { ...boundary, covered } : boundary)(boundary.inlet);
  }
  if (boundary.irradiance < leastSun) return 0;
  const { glycol, specificFlow } = job.loop;
  return thermal.state({
    ...boundary,
    massFlow: specificFlow * thermal.apertureArea,
    ...(glycol ? { fluid: { glycol } } : {}),
  }).usefulHeat;
}

/**
 * One day, again and again until it ends as it began, of a job's heaters with one mixed store, or as their own: what is drawn by the hour comes
 * out at the store's temperature, mixed down to what is wanted, and mains water takes its place. A screening, to tell kinds from each other: a layered
 * store does a little better, bends of the pipes a little worse.
 *
 * @param mains °C
 */
export function screenDay(open: OpenJob, weather: WeatherDay, mains: number): ScreenedDay {
  const { job } = open;
  const { need } = job;
  const own = open.groups.every(({ thermal }) => thermal.ownStore);
  const { density, heatCapacity } = fluidState('water', 40);
  const stores = Object.values(job.stores).reduce((sum, { volume }) => sum + volume, 0);
  const capacity = own
    ? open.groups.reduce((sum, { thermal, count }) => sum + count * (thermal.capacity.water + thermal.capacity.dry), 0)
    : Math.max(0.02, stores) * density * heatCapacity;
  const loss = own ? 0 : storeLoss(Math.max(0.02, stores));
  // Two hours share the line of their middle.
  const pairs = Array.from({ length: 12 }, (_, pair) => lineOf(open, weather, 2 * pair + 1, mains));
  const lines = pairs.flatMap((line) => [line, line]);
  const shares = needByHour(need);
  const asked = need.volumePerDay * density * heatCapacity;
  const wanted = Math.max(0, need.target - mains);
  let water = mains + 10;
  let [given, hottest, coldest] = [0, water, water];
  for (let days = 0; days < rhythm.days; days += 1) {
    const began = water;
    [given, hottest, coldest] = [0, water, water];
    for (const [at, { a, b }] of lines.entries()) {
      // Over the hour by its exponential's first step taken backward: never past where it tends to.
      const runs = own || a - b * water > 0;
      const [into, out] = [(runs ? a : 0) + loss * room, (runs ? b : 0) + loss];
      water = Math.min(boils, (capacity * water + hour * into) / (capacity + hour * out));
      const over = water - mains;
      const share = shares[at] ?? 0;
      if (share > 0 && over > 0) {
        // Hotter than wanted: less of it is taken, the rest is cold. No more goes out than there is.
        const taken = Math.min(share * asked * Math.min(1, wanted / over), capacity);
        given += taken * over;
        water -= (taken * over) / capacity;
      }
      hottest = Math.max(hottest, water);
      coldest = Math.min(coldest, water);
    }
    if (Math.abs(water - began) < rhythm.within) break;
  }
  return { needed: neededHeat(job, mains), given, hottest, coldest };
}
