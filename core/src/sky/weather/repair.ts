import { cos } from '../angles';
import { splitGlobal } from '../split';
import { dayOfYear } from '../sun';
import { isNight, isTooStrong } from './check';
import { middleOf, type WeatherSeries } from './series';
import type { SunOver } from './sunOver';

/** What a builder may have mended in a file; nothing is without being asked for. */
export interface Repairs {
  /** Sun by night becomes zero; sun stronger than can be is left out. */
  clear: boolean;
  /** Gaps are bridged: up to three hours straight, up to five days by the days beside them; longer ones stay. */
  bridge: boolean;
  /** Months from many years are laid in one. */
  oneYear: boolean;
  /** Minutes that all times are moved by. */
  shiftMinutes: number;
}

const straightSeconds = 3 * 3600;
const longestBridge = 5 * 86_400;

/** The series with the repairs that were asked for, and with all three kinds of sun where one or two were given. */
export function repairSeries(series: WeatherSeries, sun: SunOver, repairs: Partial<Repairs>): WeatherSeries {
  const columns: WeatherSeries['columns'] = Object.fromEntries(
    Object.entries(series.columns).map(([name, values]) => [name, values.slice()]),
  );
  const repaired = { ...series, columns };
  if (repairs.clear) clearSun(repaired, sun);
  addGlobal(repaired, sun);
  if (repairs.bridge) bridge(repaired, sun);
  addParts(repaired, sun);
  return repaired;
}

function clearSun(series: WeatherSeries, sun: SunOver): void {
  const { global, beamNormal, diffuse } = series.columns;
  for (let index = 0; index < series.length; index += 1) {
    const value = isNight(series, sun, index) ? 0 : isTooStrong(series, sun, index) ? Number.NaN : undefined;
    if (value === undefined) continue;
    for (const column of [global, beamNormal, diffuse]) if (column) column[index] = value;
  }
}

/** Sun on the flat from its parts. */
function addGlobal(series: WeatherSeries, sun: SunOver): void {
  const { beamNormal, diffuse } = series.columns;
  if (series.columns.global || !beamNormal || !diffuse) return;
  series.columns.global = beamNormal.map(
    (beam, index) => beam * Math.max(0, cos(sun.zenith[index] ?? 180)) + (diffuse[index] ?? Number.NaN),
  );
}

/** Parts from the sun on the flat, where they are not given or have a gap. */
function addParts(series: WeatherSeries, sun: SunOver): void {
  const { global } = series.columns;
  if (!global) return;
  const given = { beam: series.columns.beamNormal, diffuse: series.columns.diffuse };
  const beamNormal = new Float32Array(series.length);
  const diffuse = new Float32Array(series.length);
  for (let index = 0; index < series.length; index += 1) {
    const zenith = sun.zenith[index] ?? 180;
    const total = global[index] ?? Number.NaN;
    const beam = given.beam?.[index] ?? Number.NaN;
    const sky = given.diffuse?.[index] ?? Number.NaN;
    const up = cos(zenith);
    if (!Number.isNaN(beam) && !Number.isNaN(sky)) {
      beamNormal[index] = beam;
      diffuse[index] = sky;
    } else if (Number.isNaN(total)) {
      beamNormal[index] = Number.NaN;
      diffuse[index] = Number.NaN;
    } else if (!Number.isNaN(beam)) {
      beamNormal[index] = beam;
      diffuse[index] = Math.max(0, total - beam * Math.max(0, up));
    } else if (!Number.isNaN(sky) && up > 0.06) {
      beamNormal[index] = Math.min(sun.above[index] ?? 0, Math.max(0, (total - sky) / up));
      diffuse[index] = sky;
    } else {
      const parts = splitGlobal({ global: total, zenith, dayOfYear: dayOfYear(new Date(middleOf(series, index))) });
      beamNormal[index] = parts.beamNormal;
      diffuse[index] = parts.diffuse;
    }
  }
  series.columns.beamNormal = beamNormal;
  series.columns.diffuse = diffuse;
}

function bridge(series: WeatherSeries, sun: SunOver): void {
  for (const name of ['global', 'air', 'dewPoint', 'wind', 'cloud'] as const) {
    const column = series.columns[name];
    if (!column) continue;
    // The sun is bridged as a share of a clear sky: a gap over noon must not be a straight line from morning to evening.
    const scale = name === 'global' ? sun.clear : undefined;
    bridgeColumn(column, series.step, scale);
  }
}

function bridgeColumn(column: Float32Array, step: number, scale: Float32Array | undefined): void {
  const day = Math.round(86_400 / step);
  let from = 0;
  while (from < column.length) {
    if (!Number.isNaN(column[from])) {
      from += 1;
      continue;
    }
    let to = from;
    while (to < column.length && Number.isNaN(column[to])) to += 1;
    const span = (to - from) * step;
    if (span <= straightSeconds && from > 0 && to < column.length) straight(column, from, to, scale);
    else if (span <= longestBridge) besideDays(column, from, to, day, scale);
    from = to;
  }
}

function straight(column: Float32Array, from: number, to: number, scale: Float32Array | undefined): void {
  const shareAt = (index: number): number | undefined => {
    const value = column[index] ?? 0;
    if (!scale) return value;
    const clear = scale[index] ?? 0;
    return clear > 20 ? value / clear : undefined;
  };
  const before = shareAt(from - 1);
  const after = shareAt(to);
  const first = before ?? after ?? 0.5;
  const last = after ?? before ?? 0.5;
  for (let index = from; index < to; index += 1) {
    const share = first + ((last - first) * (index - from + 1)) / (to - from + 1);
    column[index] = share * (scale ? (scale[index] ?? 0) : 1);
  }
}

/** From the same time of day on the nearest days that have it. */
function besideDays(
  column: Float32Array,
  from: number,
  to: number,
  day: number,
  scale: Float32Array | undefined,
): void {
  const filled = new Float32Array(to - from);
  for (let index = from; index < to; index += 1) {
    let sum = 0;
    let count = 0;
    for (const way of [-1, 1]) {
      for (let days = 1; days <= 6; days += 1) {
        const there = index + way * days * day;
        const value = column[there];
        if (value === undefined || Number.isNaN(value)) continue;
        const clearThere = scale?.[there] ?? 0;
        sum += scale && clearThere > 20 ? (value / clearThere) * (scale[index] ?? 0) : value;
        count += 1;
        break;
      }
    }
    filled[index - from] = count > 0 ? sum / count : Number.NaN;
  }
  column.set(filled, from);
}
