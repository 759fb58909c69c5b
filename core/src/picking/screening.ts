import type { Job } from '../document';
import { type HourOfYear, needByHour, type WeatherDay } from '../forecasting';
import type { OpenJob } from '../job';
import {
  type Characteristic,
  fluidState,
  heatByInlet,
  leastFlow,
  type OperatingConditions,
  storageHeat,
  type ThermalModel,
} from '../thermal';

const hour = 3600;
/** W/m². Less sun than this starts no pump, and shuts a lid. */
const leastSun = 40;
/** °C round the store, and above which its water is let off. */
const room = 15;
const boils = 95;
/** A day is in its rhythm once its water is no further from where it began than this, K; it is run so often at the most. */
const periodicSteadyState = { within: 0.05, days: 40 } as const;
/** K over the mains at which the water of a store begins a run. */
const begins = 10;

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

/** W by the temperature of the water (°C). */
type HeatByTemperature = (water: number) => number;
const none: HeatByTemperature = () => 0;

/** W that one heater of a job gives its water in some weather. A loop runs only while it gives: what would be taken back is nothing. */
function heaterHeat(job: Job, thermal: ThermalModel): (boundary: OperatingConditions) => HeatByTemperature {
  const { glycol, specificFlow } = job.loop;
  const fluid = glycol ? { glycol } : undefined;
  const massFlow = specificFlow * thermal.apertureArea;
  let fitted: Characteristic | undefined;
  return (boundary) => {
    const dark = boundary.irradiance < leastSun;
    if (dark && !thermal.integralStorage) return none;
    fitted ??= thermal.characteristic({ tilt: boundary.tilt, specificFlow, ...(fluid ? { fluid } : {}) }, 'screening');
    if (fitted.kind === 'storage')
      return storageHeat(fitted, dark && thermal.hasLid ? { ...boundary, covered: true } : boundary);
    if (massFlow < leastFlow) return none;
    const heat = heatByInlet(fitted, { ...boundary, massFlow, ...(fluid ? { fluid } : {}) });
    return (water) => Math.max(0, heat(water));
  };
}

/** One mixed store of a job, or its heaters where they are their own, hour after hour. */
interface MixedStore {
  /** What all heaters gather in some weather. */
  gathers(boundary: OperatingConditions): HeatByTemperature;
  /** °C of the water after an hour in which all heaters gather so. */
  warmed(water: number, heat: HeatByTemperature): number;
  /** °C of the water after a share of a day's need was drawn at its end, and J that it took over the mains. */
  drawn(water: number, share: number, mains: number): { water: number; taken: number };
}

function mixedStore({ job, groups }: OpenJob): MixedStore {
  const { need } = job;
  const own = groups.every(({ thermal }) => thermal.integralStorage);
  const { density, heatCapacity } = fluidState('water', 40);
  const stores = Object.values(job.stores).reduce((sum, { volume }) => sum + volume, 0);
  const capacity = own
    ? groups.reduce((sum, { thermal, count }) => sum + count * (thermal.capacity.water + thermal.capacity.dry), 0)
    : Math.max(0.02, stores) * density * heatCapacity;
  const loss = own ? 0 : storeLoss(Math.max(0.02, stores));
  const asked = need.volumePerDay * density * heatCapacity;
  const heaters = groups.map(({ thermal, count }) => ({ count, heat: heaterHeat(job, thermal) }));
  return {
    gathers: (boundary) => {
      const parts = heaters.map(({ count, heat }) => ({ count, at: heat(boundary) }));
      return (water) => parts.reduce((sum, { count, at }) => sum + count * at(water), 0);
    },
    // On the line that touches the net heat here, exactly over the hour: it never goes past where it tends to.
    warmed: (water, heat) => {
      const gained = heat(water);
      const slope = gained === 0 ? 0 : Math.min(0, heat(water + 1) - gained);
      const falls = Math.max(1e-9, loss - slope);
      const toward = (gained - loss * (water - room)) / falls;
      return Math.min(boils, water - toward * Math.expm1((-falls * hour) / capacity));
    },
    drawn: (water, share, mains) => {
      const over = water - mains;
      if (share <= 0 || over <= 0) return { water, taken: 0 };
      const wanted = Math.max(0, need.target - mains);
      // Hotter than wanted: less of it is taken, the rest is cold. No more goes out than there is.
      const through = Math.min(share * asked * Math.min(1, wanted / over), capacity);
      return { water: water - (through * over) / capacity, taken: through * over };
    },
  };
}

/**
 * One day, again and again until it ends as it began, of a job's heaters with one mixed store, or as their own: what is drawn by the hour comes
 * out at the store's temperature, mixed down to what is wanted, and mains water takes its place. A screening, to tell kinds from each other: a layered
 * store does a little better, bends of the pipes a little worse.
 *
 * @param mains °C
 */
export function screenDay(open: OpenJob, weather: WeatherDay, mains: number): ScreenedDay {
  const store = mixedStore(open);
  const hours = Array.from({ length: 24 }, (_, at) => store.gathers(weather.at((at + 0.5) * hour)));
  const shares = needByHour(open.job.need);
  let water = mains + begins;
  let [given, hottest, coldest] = [0, water, water];
  for (let days = 0; days < periodicSteadyState.days; days += 1) {
    const began = water;
    [given, hottest, coldest] = [0, water, water];
    for (const [at, heat] of hours.entries()) {
      const after = store.drawn(store.warmed(water, heat), shares[at] ?? 0, mains);
      water = after.water;
      given += after.taken;
      hottest = Math.max(hottest, water);
      coldest = Math.min(coldest, water);
    }
    if (Math.abs(water - began) < periodicSteadyState.within) break;
  }
  return { needed: neededHeat(open.job, mains), given, hottest, coldest };
}

/**
 * J that a job's heaters give over the mains in each month of a year, hour by hour, with one mixed store or as their own.
 *
 * @param year hours of the place
 * @param mains °C by month
 * @param works whether they are worked in a month; they stand empty in others
 */
export function screenHours(
  open: OpenJob,
  year: readonly HourOfYear[],
  mains: readonly number[],
  works: readonly boolean[],
): Float64Array {
  const store = mixedStore(open);
  const shares = needByHour(open.job.need);
  let water = (mains[0] ?? room) + begins;
  const given = new Float64Array(12);
  for (const { month, hour: at, boundary } of year) {
    const cold = mains[month] ?? room;
    if (!works[month]) {
      water = cold + begins;
      continue;
    }
    const after = store.drawn(store.warmed(water, store.gathers(boundary)), shares[at] ?? 0, cold);
    water = after.water;
    given[month] = (given[month] ?? 0) + after.taken;
  }
  return given;
}
