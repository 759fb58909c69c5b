import { normals } from '../../quantity';
import { cos } from '../angles';
import { clearSkyAt, extraterrestrial } from '../clear';
import { midMonthDays } from '../mains';
import { cloudFromSun } from '../night';
import { splitGlobal } from '../split';
import { sunPosition } from '../sun';
import type { MonthlyClimate } from './months';
import type { WeatherSeries } from './series';

const hourSeconds = 3600;
const hoursInYear = 8760;
const daysInMonth = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31] as const;

/** Dullest day there is, as a share of the sun above the air. Bendt, Collares-Pereira and Rabl (1981). */
const leastClearness = 0.05;
/** How much of yesterday is in today, and of the last hour in this. Graham and Hollands (1988, 1990). */
const dayMemory = 0.29;
const hourMemory = 0.54;
/** K and memory of the air's wander from day to day. Judgement: fronts pass in three or four days. */
const airWander = 2.5;
const airMemory = 0.7;
/** Wind: a Rayleigh spread with a memory of half a day. Judgement. */
const windMemory = 0.92;

/** The sun over a place in each hour of the year: W/m² on the flat under a clear sky and above the air, degrees of zenith in its middle. */
interface YearOfSun {
  clear: Float32Array;
  above: Float32Array;
  zeniths: Float32Array;
}

/** Places asked for last: the sun is the same for every seed, and costs more than all else. */
const suns = new Map<string, YearOfSun>();
const mostSuns = 4;

function sunAt(place: { latitude: number; longitude: number; elevation: number }, start: number): YearOfSun {
  const key = [place.latitude, place.longitude, place.elevation].join(' ');
  const found = suns.get(key);
  if (found) return found;
  const clear = new Float32Array(hoursInYear);
  const above = new Float32Array(hoursInYear);
  const zeniths = new Float32Array(hoursInYear);
  for (let hour = 0; hour < hoursInYear; hour += 1) {
    const zenithAt = (share: number) =>
      sunPosition({ ...place, at: new Date(start + (hour + share) * hourSeconds * 1000) }).zenith;
    const middle = zenithAt(0.5);
    zeniths[hour] = middle;
    if (middle > 98) continue;
    const day = Math.floor(hour / 24) + 1;
    // Four looks an hour: at the edges of the day the middle of an hour says too little.
    for (const share of [0.125, 0.375, 0.625, 0.875]) {
      const zenith = zenithAt(share);
      if (zenith >= 90) continue;
      const sky = clearSkyAt({ zenith, elevation: place.elevation, day, turbidity: 3 });
      clear[hour] = (clear[hour] ?? 0) + sky.global / 4;
      above[hour] = (above[hour] ?? 0) + (extraterrestrial(day) * cos(zenith)) / 4;
    }
  }
  if (suns.size >= mostSuns) suns.delete(suns.keys().next().value as string);
  const made = { clear, above, zeniths };
  suns.set(key, made);
  return made;
}

/**
 * A year of hours that looks like weather and keeps twelve monthly means: sun to 1 %, air to 0.1 K, wind to 1 %.
 *
 * Days follow the distribution of Bendt et al. (1981) with a one-day memory, hours scatter about a clear day's curve
 * (Graham and Hollands 1990), air follows the daily curve of Erbs, Klein and Beckman (1983). The same seed gives the same
 * year. The year is 2025; its days begin at midnight by the sun, to the hour. It is no forecast and no record.
 */
export function syntheticYear(
  months: MonthlyClimate,
  place: { latitude: number; longitude: number; elevation: number },
  seed = 1,
): WeatherSeries {
  const normal = normals(seed);
  const start = Date.UTC(2025, 0, 1) - Math.round(place.longitude / 15) * hourSeconds * 1000;
  const { clear, above, zeniths } = sunAt(place, start);
  const global = sunOfYear(months, clear, above, normal);
  const air = airOfYear(months, global, above, normal);
  const columns = {
    global,
    beamNormal: new Float32Array(hoursInYear),
    diffuse: new Float32Array(hoursInYear),
    air,
    dewPoint: dewPointOfYear(months, air),
    wind: windOfYear(months, normal),
    cloud: cloudOfYear(global, clear),
  };
  for (let hour = 0; hour < hoursInYear; hour += 1) {
    const zenith = zeniths[hour] ?? 180;
    const parts = splitGlobal({ global: global[hour] ?? 0, zenith, dayOfYear: Math.floor(hour / 24) + 1 });
    columns.beamNormal[hour] = parts.beamNormal;
    columns.diffuse[hour] = parts.diffuse;
  }
  return { start, step: hourSeconds, length: hoursInYear, columns };
}

function sumOf(values: Float32Array, from: number, to: number): number {
  let sum = 0;
  for (let index = from; index < to; index += 1) sum += values[index] ?? 0;
  return sum;
}

/** First hour of each month, and the end of the last. */
function monthEdges(): number[] {
  const edges = [0];
  for (const days of daysInMonth) edges.push((edges[edges.length - 1] ?? 0) + days * 24);
  return edges;
}

function sunOfYear(
  months: MonthlyClimate,
  clear: Float32Array,
  above: Float32Array,
  normal: () => number,
): Float32Array {
  const global = new Float32Array(hoursInYear);
  const edges = monthEdges();
  let day = normal();
  for (const [month, days] of daysInMonth.entries()) {
    const from = edges[month] ?? 0;
    const to = edges[month + 1] ?? 0;
    const lit = sumOf(above, from, to);
    if (lit <= 0) continue;
    const wanted = (months.global[month] ?? 0) * (to - from);
    const mean = Math.min(0.78, Math.max(leastClearness + 0.02, wanted / lit));
    for (let date = 0; date < days; date += 1) {
      day = dayMemory * day + Math.sqrt(1 - dayMemory ** 2) * normal();
      scatterDay(global, clear, above, from + date * 24, clearnessAt(mean, shareBelow(day)), normal);
    }
    // What chance left over is spread over the month; the brightest hours stay below the clearest sky there is.
    // Only when more sun is asked for than a clear month has, as at the edge of the polar night, may they pass that.
    for (let pass = 0; pass < 40; pass += 1) {
      const made = sumOf(global, from, to);
      if (made <= 0) break;
      const scale = wanted / made;
      if (Math.abs(scale - 1) < 1e-4) break;
      for (let hour = from; hour < to; hour += 1) {
        const most = pass < 20 ? (clear[hour] ?? 0) * brightest : (above[hour] ?? 0);
        global[hour] = Math.min((global[hour] ?? 0) * scale, most);
      }
    }
  }
  return global;
}

/** Clouds beside the sun lift it above the clear sky for a while; over an hour by a tenth. Judgement. */
const brightest = 1.1;

function scatterDay(
  global: Float32Array,
  clear: Float32Array,
  above: Float32Array,
  from: number,
  clearness: number,
  normal: () => number,
): void {
  const clearSum = sumOf(clear, from, from + 24);
  const aboveSum = sumOf(above, from, from + 24);
  if (clearSum <= 0 || aboveSum <= 0) return;
  const wanted = clearness * aboveSum;
  const share = Math.min(1, wanted / clearSum);
  // Broken days scatter most; overcast and cloudless ones hardly.
  const scatter = 0.9 * share * (1 - share) + 0.02;
  let hourly = normal();
  let made = 0;
  for (let hour = from; hour < from + 24; hour += 1) {
    hourly = hourMemory * hourly + Math.sqrt(1 - hourMemory ** 2) * normal();
    const index = Math.min(brightest, Math.max(0.03, share + scatter * hourly));
    global[hour] = index * (clear[hour] ?? 0);
    made += global[hour] ?? 0;
  }
  for (let hour = from; hour < from + 24; hour += 1)
    global[hour] = Math.min(((global[hour] ?? 0) * wanted) / made, (clear[hour] ?? 0) * brightest);
}

/** Share of a standard normal below a value. Zelen and Severo (1964), to 1e-5. */
function shareBelow(deviate: number): number {
  const t = 1 / (1 + 0.33267 * Math.abs(deviate));
  const tail =
    (Math.exp((-deviate * deviate) / 2) / Math.sqrt(2 * Math.PI)) * t * (0.4361836 + t * (-0.1201676 + t * 0.937298));
  return deviate > 0 ? 1 - tail : tail;
}

/**
 * Clearness of the day that stands at a share of all days of a month with that mean. Bendt et al. (1981), with the
 * clearest day after Hollands and Huget (1983); the exponent by halving, so that the mean is met exactly.
 */
export function clearnessAt(mean: number, share: number): number {
  const most = 0.6313 + 0.267 * mean - 11.9 * Math.max(0, mean - 0.75) ** 8;
  const width = most - leastClearness;
  const wanted = (mean - leastClearness) / width;
  let low = -60;
  let high = 60;
  for (let pass = 0; pass < 60; pass += 1) {
    const middle = (low + high) / 2;
    if (meanOfExponential(middle) < wanted) low = middle;
    else high = middle;
  }
  const steep = (low + high) / 2;
  if (Math.abs(steep) < 1e-6) return leastClearness + width * share;
  return leastClearness + (width / steep) * Math.log(1 + share * (Math.exp(steep) - 1));
}

/** Mean of a density that grows as exp(steep·x) over 0 to 1. */
function meanOfExponential(steep: number): number {
  if (Math.abs(steep) < 1e-6) return 0.5;
  return 1 / (1 - Math.exp(-steep)) - 1 / steep;
}

/** Straight lines through the middles of the months, at each hour. */
function smooth(months: readonly number[]): Float32Array {
  const middles = midMonthDays.map((day) => day * 24);
  return Float32Array.from({ length: hoursInYear }, (_, hour) => {
    const next = middles.findIndex((middle) => middle > hour);
    const after = Math.max(0, next);
    const before = (after + 11) % 12;
    const from = (middles[before] ?? 0) - (before > after && hour < (middles[0] ?? 0) ? hoursInYear : 0);
    const to = (middles[after] ?? 0) + (next < 0 ? hoursInYear : 0);
    const share = (hour - from) / (to - from);
    return (months[before] ?? 0) * (1 - share) + (months[after] ?? 0) * share;
  });
}

/** Moves each month so that its mean is met. */
function toMeans(values: Float32Array, months: readonly number[]): void {
  const edges = monthEdges();
  for (const [month, wanted] of months.entries()) {
    const from = edges[month] ?? 0;
    const to = edges[month + 1] ?? 0;
    const off = wanted - sumOf(values, from, to) / (to - from);
    for (let hour = from; hour < to; hour += 1) values[hour] = (values[hour] ?? 0) + off;
  }
}

function airOfYear(
  months: MonthlyClimate,
  global: Float32Array,
  above: Float32Array,
  normal: () => number,
): Float32Array {
  const air = smooth(months.air);
  let wander = normal();
  for (let day = 0; day < hoursInYear / 24; day += 1) {
    wander = airMemory * wander + Math.sqrt(1 - airMemory ** 2) * normal();
    const from = day * 24;
    const lit = sumOf(above, from, from + 24);
    const clearness = lit > 0 ? sumOf(global, from, from + 24) / lit : 0;
    const range = Math.max(lit > 0 ? 3 : 0, 25.8 * clearness - 5.21);
    for (let hour = 0; hour < 24; hour += 1) {
      const angle = (2 * Math.PI * hour) / 24;
      const curve =
        0.4632 * Math.cos(angle - 3.805) +
        0.0984 * Math.cos(2 * angle - 0.36) +
        0.0168 * Math.cos(3 * angle - 0.822) +
        0.0138 * Math.cos(4 * angle - 3.513);
      air[from + hour] = (air[from + hour] ?? 0) + airWander * wander + range * curve;
    }
  }
  toMeans(air, months.air);
  return air;
}

function dewPointOfYear(months: MonthlyClimate, air: Float32Array): Float32Array {
  const means = smooth(months.air);
  const dew = smooth(months.dewPoint);
  for (let hour = 0; hour < hoursInYear; hour += 1) {
    const dayStart = hour - (hour % 24);
    const dayMean = sumOf(air, dayStart, dayStart + 24) / 24;
    // The day's air mass moves both; the time of day hardly moves the dew point.
    dew[hour] = (dew[hour] ?? 0) + 0.8 * (dayMean - (means[hour] ?? 0));
  }
  toMeans(dew, months.dewPoint);
  for (let hour = 0; hour < hoursInYear; hour += 1) dew[hour] = Math.min(dew[hour] ?? 0, air[hour] ?? 0);
  return dew;
}

function windOfYear(months: MonthlyClimate, normal: () => number): Float32Array {
  const wind = new Float32Array(hoursInYear);
  let state = normal();
  for (let hour = 0; hour < hoursInYear; hour += 1) {
    state = windMemory * state + Math.sqrt(1 - windMemory ** 2) * normal();
    const share = Math.min(0.9995, shareBelow(state));
    wind[hour] = Math.sqrt(-Math.log(1 - share)) * (1 + 0.25 * Math.cos((2 * Math.PI * ((hour % 24) - 15)) / 24));
  }
  const edges = monthEdges();
  for (const [month, wanted] of months.wind.entries()) {
    const from = edges[month] ?? 0;
    const to = edges[month + 1] ?? 0;
    const scale = wanted / (sumOf(wind, from, to) / (to - from));
    for (let hour = from; hour < to; hour += 1) wind[hour] = (wind[hour] ?? 0) * scale;
  }
  return wind;
}

/** From the sun by day; by night what the evening left. */
function cloudOfYear(global: Float32Array, clear: Float32Array): Float32Array {
  const cloud = new Float32Array(hoursInYear);
  let last = 0.5;
  for (let hour = 0; hour < hoursInYear; hour += 1) {
    const sky = clear[hour] ?? 0;
    if (sky > 60) last = cloudFromSun(global[hour] ?? 0, sky);
    cloud[hour] = last;
  }
  return cloud;
}
