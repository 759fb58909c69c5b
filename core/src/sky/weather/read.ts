import type { Finding } from '../../care';
import { isNothing, longestCell, quoteCell, readCell, readTable } from '../../table';
import { readWritten, standardOffset, wallTime, type ZoneClock, zoneClock } from '../../time';
import { dewPointOf } from '../night';
import { checkSeries } from './check';
import { columnUnit, timeText, type WeatherColumn, type WeatherMapping, weatherColumns } from './mapping';
import { type Repairs, repairSeries } from './repair';
import {
  believable,
  longestSeries,
  type WeatherQuantity,
  type WeatherSeries,
  type WeatherSite,
  weatherQuantities,
} from './series';
import { sunOver } from './sunOver';

export interface WeatherFile {
  /** Undefined when the file gives none: `trouble` says why. */
  series: WeatherSeries | undefined;
  /** Lines that could not be read, by their number in the file, with the reason. Each leaves a gap. */
  refused: { line: number; reason: string }[];
  /** Lines that were read. */
  rows: number;
  /** What is to be looked at before this is taken for weather. */
  matters: Finding[];
  trouble?: string;
}

export interface ReadOptions {
  repairs?: Partial<Repairs>;
  /** Told now and then how much is done, 0 to 1. */
  onProgress?(share: number): void;
}

interface Row {
  time: number;
  line: number;
}

const dayMilliseconds = 86_400_000;
const stampShare = { start: 0, middle: 0.5, end: 1 };

/**
 * Reads any table of weather by a mapping: hourly or finer, in any order. Lines that cannot be read are refused one by
 * one, with their reason; what is impossible or missing comes back as findings, each with the repair that is offered. Nothing
 * is repaired that `repairs` does not ask for.
 */
export function readWeather(
  text: string,
  mapping: WeatherMapping,
  site: WeatherSite,
  options: ReadOptions = {},
): WeatherFile {
  const fail = (trouble: string): WeatherFile => ({ series: undefined, refused: [], rows: 0, matters: [], trouble });
  if (text.includes('\0')) return fail('This is no text file. Save the table as CSV and take that.');
  const table = readTable(text);
  if (!table || table.rows.length === 0) return fail('The file has no rows under its headings.');
  const placeOf = (column: string) => table.headings.indexOf(column);
  const mapped = weatherColumns.flatMap((name) => {
    const one = mapping.columns[name];
    return one ? [{ name, column: one.column, at: placeOf(one.column), unit: columnUnit(name, one.unit) }] : [];
  });
  const absent = [...mapping.time.columns, ...mapped.map(({ column }) => column)].filter(
    (column) => placeOf(column) < 0,
  );
  if (absent.length > 0)
    return fail(`The file has no column “${absent.join('”, “')}”. Its columns: ${table.headings.join(', ')}.`);
  const has = (name: WeatherColumn) => mapping.columns[name] !== undefined;
  if (!has('global') && !(has('beamNormal') && has('diffuse')))
    return fail('Say which column holds the sun: on the flat, or beam and sky apart.');
  if (!has('air')) return fail('Say which column holds the temperature of the air.');

  const refused: WeatherFile['refused'] = [];
  const rows: Row[] = [];
  const values = mapped.map(() => new Float64Array(table.rows.length));
  const read = timeReader(mapping, site.zone, mapping.time.columns.map(placeOf));
  for (const [index, cells] of table.rows.entries()) {
    if (index % 4096 === 0) options.onProgress?.((0.8 * index) / table.rows.length);
    const line = index + table.firstLine;
    if (table.unclosed.has(line)) {
      refused.push({ line, reason: 'a quotation mark opens and does not close' });
      continue;
    }
    if (cells.length === 1 && cells[0]?.trim() === '') continue;
    const time = read(cells);
    if (typeof time === 'string') {
      refused.push({ line, reason: time });
      continue;
    }
    const reason = readValues(cells, mapped, values, rows.length);
    if (reason) refused.push({ line, reason });
    else rows.push({ time, line });
  }
  if (rows.length < 24) {
    const first = refused[0];
    return {
      ...fail(
        `Only ${rows.length} lines could be read; a day at least is needed.${first ? ` Line ${first.line}: ${first.reason}.` : ''}`,
      ),
      refused,
    };
  }
  const mixed = yearsMixed(rows);
  if (mixed && options.repairs?.oneYear) layInOneYear(rows);
  const grid = evenGrid(rows, refused, mapping);
  if ('trouble' in grid) return { ...fail(grid.trouble), refused };
  const { series, impossible } = toSeries(grid, mapped, values);
  series.start += (options.repairs?.shiftMinutes ?? 0) * 60_000;
  options.onProgress?.(0.9);
  const sun = sunOver(series, site);
  const matters = checkSeries(series, { site, mapping, sun, mixed: mixed && !options.repairs?.oneYear, impossible });
  const repaired = repairSeries(series, sun, options.repairs ?? {});
  options.onProgress?.(1);
  return { series: repaired, refused, rows: rows.length, matters };
}

/** Reads the time of a row as the beginning of its interval is still to be found from: what is stamped. */
function timeReader(mapping: WeatherMapping, zone: string, places: readonly number[]) {
  const { order, clock } = mapping.time;
  const wallClock: ZoneClock | undefined = clock === 'site' ? zoneClock(zone) : undefined;
  const standard = clock === 'standard' ? standardOffset(zone, 2025) : 0;
  let last = Number.NEGATIVE_INFINITY;
  const moment = (wall: number, offset: number | undefined): number => {
    if (offset !== undefined) return wall - offset * 60_000;
    const utc = wallClock ? wallClock.utcOf(wall, last) : wall - standard;
    last = utc;
    return utc;
  };
  return (cells: readonly string[]): number | string => {
    if (places.length > 2) {
      const [year = Number.NaN, month = 0, day = 0, hour = 0, minute = 0] = places.map((at) => Number(cells[at]));
      const wall = wallTime(year, month, day, hour, minute === 60 ? 0 : minute);
      if (wall === undefined) return `${quoteCell(places.map((at) => cells[at] ?? '').join(' '))} is no time`;
      return moment(minute === 60 ? wall + 3_600_000 : wall, undefined);
    }
    const text = timeText(cells, places);
    const written = readWritten(text, order);
    if (!written)
      return `time ${quoteCell(text)} is not written as ${order === 'ymd' ? '2026-02-09 11:42' : order === 'dmy' ? '9/2/2026 11:42, the day first' : '2/9/2026 11:42, the month first'}`;
    return moment(written.wall, written.offset);
  };
}

function readValues(
  cells: readonly string[],
  mapped: readonly { name: WeatherColumn; at: number; unit: ReturnType<typeof columnUnit> }[],
  values: readonly Float64Array[],
  row: number,
): string | undefined {
  for (const [index, { name, at, unit }] of mapped.entries()) {
    const cell = cells[at] ?? '';
    const column = values[index];
    if (!column) continue;
    if (cell.length > longestCell) return `${columnWords[name]} ${quoteCell(cell)} is longer than any number`;
    let number: number | 'doubt' | undefined = cell === '' ? undefined : Number(cell);
    if (number === undefined || Number.isNaN(number)) {
      const trimmed = cell.trim();
      number = isNothing(trimmed) ? Number.NaN : readCell(trimmed);
      if (number === 'doubt')
        return `${columnWords[name]} “${trimmed}” may be a thousand or a thousandth: write the file without that comma`;
      if (number === undefined) return `${columnWords[name]} ${quoteCell(trimmed)} is not a number`;
    } else if (number <= -90 && isNothing(cell)) number = Number.NaN;
    column[row] = (number + (unit.offset ?? 0)) * unit.factor;
  }
  return undefined;
}

/** What each column is called in words. */
export const columnWords: Record<WeatherColumn, string> = {
  global: 'sun on the flat',
  beamNormal: 'beam, square to the sun',
  diffuse: 'sky light on the flat',
  air: 'air',
  dewPoint: 'dew point',
  humidity: 'humidity',
  wind: 'wind',
  cloud: 'cloud',
};

/** A year put together of months from many: the calendar goes on, the years jump. */
function yearsMixed(rows: readonly Row[]): boolean {
  let jumps = 0;
  for (let index = 1; index < rows.length; index += 1) {
    const step = (rows[index]?.time ?? 0) - (rows[index - 1]?.time ?? 0);
    if (step > 0 && step < 40 * dayMilliseconds) continue;
    const before = new Date(rows[index - 1]?.time ?? 0);
    const after = new Date(rows[index]?.time ?? 0);
    if ((after.getUTCMonth() - before.getUTCMonth() + 12) % 12 <= 1) jumps += 1;
  }
  return jumps >= 2;
}

/** Every row by its own month and day in the year of the first; after December the years go on counting. */
function layInOneYear(rows: Row[]): void {
  const first = new Date(rows[0]?.time ?? 0);
  let year = first.getUTCFullYear();
  let month = first.getUTCMonth();
  for (const row of rows) {
    const at = new Date(row.time);
    if (at.getUTCMonth() < month - 6) year += 1;
    month = at.getUTCMonth();
    const laid = Date.UTC(year, month, at.getUTCDate()) + (row.time % dayMilliseconds);
    // A leap day has no place in a year without one.
    row.time = new Date(laid).getUTCMonth() === month ? laid : Number.NaN;
  }
}

interface Grid {
  start: number;
  /** s. */
  step: number;
  length: number;
  /** Place on the grid of each row; -1 for a row that has none. */
  places: Int32Array;
}

function evenGrid(
  rows: readonly Row[],
  refused: WeatherFile['refused'],
  mapping: WeatherMapping,
): Grid | { trouble: string } {
  const times = Float64Array.from(rows, ({ time }) => time);
  const sorted = times.filter((time) => !Number.isNaN(time)).sort();
  const steps = new Float64Array(sorted.length - 1);
  for (let index = 1; index < sorted.length; index += 1)
    steps[index - 1] = (sorted[index] ?? 0) - (sorted[index - 1] ?? 0);
  const positive = steps.filter((step) => step > 0).sort();
  const usual = Math.round((positive[Math.floor(positive.length / 2)] ?? 0) / 60_000);
  if (usual > 60)
    return {
      trouble: `The rows are ${usual} minutes apart. Hourly weather or finer is needed to tell morning from noon.`,
    };
  const step = [60, 30, 20, 15, 12, 10, 6, 5, 4, 3, 2, 1].find((minutes) => minutes <= Math.max(1, usual)) ?? 1;
  const stepMilliseconds = step * 60_000;
  const back = stampShare[mapping.time.stamp] * stepMilliseconds;
  const begin = (sorted[0] ?? 0) - back;
  const start = Math.floor(begin / stepMilliseconds) * stepMilliseconds;
  // Stamps in the middle of an interval, or a logger a few minutes out of step: kept as an offset of the whole grid.
  const offset = begin - start;
  const length = Math.round(((sorted[sorted.length - 1] ?? 0) - (sorted[0] ?? 0)) / stepMilliseconds) + 1;
  if (length > longestSeries)
    return {
      trouble: `From first to last row lie ${Math.round(length / (86_400 / (step * 60)) / 365)} years; eleven at most go in one file. Look for a row with a wrong year.`,
    };
  const taken = new Int32Array(length).fill(-1);
  const places = new Int32Array(rows.length).fill(-1);
  for (const [index, { time, line }] of rows.entries()) {
    if (Number.isNaN(time)) continue;
    const place = Math.floor((time - back - start - offset) / stepMilliseconds + 0.25);
    if (place < 0 || place >= length) continue;
    const earlier = taken[place] ?? -1;
    if (earlier >= 0 && rows[earlier]?.time === time) {
      refused.push({ line, reason: `the same time stands in line ${rows[earlier]?.line ?? 0}` });
      continue;
    }
    taken[place] = index;
    places[index] = place;
  }
  return { start: start + offset, step: step * 60, length, places };
}

function toSeries(
  grid: Grid,
  mapped: readonly { name: WeatherColumn; unit: ReturnType<typeof columnUnit> }[],
  values: readonly Float64Array[],
): { series: WeatherSeries; impossible: number } {
  const columns: WeatherSeries['columns'] = {};
  const onGrid = (source: Float64Array, factor: number): Float32Array => {
    const sums = new Float64Array(grid.length);
    const counts = new Uint16Array(grid.length);
    for (const [row, place] of grid.places.entries()) {
      const value = source[row] ?? Number.NaN;
      if (place < 0 || Number.isNaN(value)) continue;
      sums[place] = (sums[place] ?? 0) + value * factor;
      counts[place] = (counts[place] ?? 0) + 1;
    }
    return Float32Array.from(sums, (sum, place) => (counts[place] ? sum / (counts[place] ?? 1) : Number.NaN));
  };
  let humidity: Float32Array | undefined;
  for (const [index, { name, unit }] of mapped.entries()) {
    const source = values[index];
    if (!source) continue;
    const placed = onGrid(source, unit.perInterval ? 1 / grid.step : 1);
    if (name === 'humidity') humidity = placed;
    else columns[name as WeatherQuantity] = placed;
  }
  const { air } = columns;
  if (!columns.dewPoint && humidity && air)
    columns.dewPoint = humidity.map((share, index) =>
      dewPointOf(air[index] ?? Number.NaN, Math.min(1, Math.max(0.01, share))),
    );
  let impossible = 0;
  for (const quantity of weatherQuantities) {
    const column = columns[quantity];
    const { low, high } = believable(quantity);
    // By night a pyranometer reads a little below zero.
    const sun = quantity === 'global' || quantity === 'diffuse' || quantity === 'beamNormal';
    column?.forEach((value, index) => {
      if (value >= low && value <= high) return;
      if (sun && value >= -20 && value < low) column[index] = 0;
      else if (!Number.isNaN(value)) {
        column[index] = Number.NaN;
        impossible += 1;
      }
    });
  }
  return { series: { start: grid.start, step: grid.step, length: grid.length, columns }, impossible };
}
