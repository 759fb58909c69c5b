import * as z from 'zod';
import { habitUnit, type QuantityKind, toSI, unitOf } from '../quantity';
import { isNothing, longestCell, quoteCell, readCell, readTable, type Table } from '../table';
import { type DateOrder, readWritten, standardOffset, zoneClock } from '../time';
import type { Reading } from './reading';

/** Columns that readings are made of, with the kind of quantity each is. */
export const columnKinds = {
  inlet: 'temperature',
  outlet: 'temperature',
  air: 'temperature',
  flow: 'flow',
  irradiance: 'irradiance',
  wind: 'speed',
} as const satisfies Record<string, QuantityKind>;
export type ColumnName = keyof typeof columnKinds;
export const columnNames = Object.keys(columnKinds) as ColumnName[];
const needed: readonly ColumnName[] = ['inlet', 'outlet', 'air', 'flow'];

/** What is believable of each, SI: outside it a cell is refused and not read. */
const believable: Record<ColumnName, [low: number, high: number]> = {
  inlet: [-20, 150],
  outlet: [-20, 200],
  air: [-60, 60],
  flow: [0, 0.01],
  irradiance: [-20, 1600],
  wind: [0, 75],
};

/** Which column is what, in which unit. Columns by their heading. */
export const mappingSchema = z.strictObject({
  time: z.strictObject({
    column: z.string().min(1).max(200),
    /** The site's own clock, its standard time the year round, or UTC. */
    zone: z.enum(['site', 'standard', 'utc']),
    /** Of a date written with its year last; year first when left out. */
    order: z.enum(['ymd', 'dmy', 'mdy']).optional(),
  }),
  /** What the comma of `1,050` is; such cells are refused with the question while nobody has said. */
  decimal: z.enum(['point', 'comma']).optional(),
  columns: z.partialRecord(
    z.enum(columnNames as [ColumnName, ...ColumnName[]]),
    z.strictObject({ column: z.string().min(1).max(200), unit: z.string().max(40) }),
  ),
});
export type ReadingMapping = z.infer<typeof mappingSchema>;

export interface ReadFile {
  readings: Reading[];
  /** Lines that could not be read, by their number in the file (the heading is line 1), with the reason. */
  refused: { line: number; reason: string }[];
  /** Cells of which only the file's owner can say what their comma means. */
  doubtful: number;
  /** Trouble with the file as a whole: nothing was read. */
  trouble?: string;
}

const guesses: Record<ColumnName | 'time', RegExp> = {
  time: /^(date ?time|time ?stamp|time|date|when)\b/i,
  inlet: /(^in\b|water in|inlet|t_?in\b|cold|return)/i,
  outlet: /(^out\b|water out|outlet|t_?out\b|hot|supply)/i,
  air: /(air|ambient|outside)/i,
  flow: /(flow|l\/min|lpm|gpm)/i,
  irradiance: /(irradiance|sun|solar|w\/m)/i,
  wind: /wind/i,
};

/** The mapping that a table suggests: units from its headings or its row of units, the order of its dates from the dates. */
export function proposeMapping(
  table: Pick<Table, 'headings'> & Partial<Pick<Table, 'units' | 'rows'>>,
): Partial<ReadingMapping> & { columns: ReadingMapping['columns'] } {
  const { headings, units = [], rows = [] } = table;
  const free = new Set(headings);
  const take = (name: ColumnName | 'time') => {
    const found = [...free].find((heading) => guesses[name].test(heading));
    if (found) free.delete(found);
    return found;
  };
  const time = take('time');
  const columns: ReadingMapping['columns'] = {};
  for (const name of columnNames) {
    const column = take(name);
    if (!column) continue;
    const unit = units[headings.indexOf(column)] ?? '';
    columns[name] = { column, unit: unitIn(`${column} ${unit}`, columnKinds[name]) };
  }
  if (!time) return { columns };
  const written = `${time} ${units[headings.indexOf(time)] ?? ''}`;
  const zone = /utc|gmt|\bz\b/i.test(written) ? 'utc' : /standard|\blst\b/i.test(written) ? 'standard' : 'site';
  const order = orderOf(rows.map((row) => row[headings.indexOf(time)] ?? ''));
  return { time: { column: time, zone, ...(order === 'ymd' ? {} : { order }) }, columns };
}

/** The order in which all dates in sight can be read: year first, else day first, else month first. */
function orderOf(texts: readonly string[]): DateOrder {
  const written = texts.filter((text) => text.trim() !== '');
  const fits = (order: DateOrder) => written.length > 0 && written.every((text) => readWritten(text, order));
  return (['ymd', 'dmy', 'mdy'] as const).find(fits) ?? 'ymd';
}

const knownUnits: Partial<Record<QuantityKind, [RegExp, string][]>> = {
  temperature: [
    [/°\s?F\b|fahrenheit|\bdeg\s?F\b/i, '°F'],
    [/\bF\b/, '°F'],
  ],
  flow: [
    [/gpm|gal/i, 'gpm'],
    [/L\/h|lph/i, 'L/h'],
    [/L\/s/i, 'L/s'],
  ],
  speed: [
    [/mph/i, 'mph'],
    [/km\/?h/i, 'km/h'],
  ],
  irradiance: [[/btu/i, 'Btu/h·ft²']],
};

function unitIn(written: string, kind: QuantityKind): string {
  return knownUnits[kind]?.find(([pattern]) => pattern.test(written))?.[1] ?? habitUnit(kind, 'metric').symbol;
}

/** Milliseconds of the first and the last moment that a reading or a build may be of: outside it a year is mistyped. */
export const readingEra = { from: Date.UTC(1990, 0, 1), to: Date.UTC(2100, 0, 1) };
const orderWords: Record<DateOrder, string> = {
  ymd: '2026-02-09 11:42',
  dmy: '9/2/2026 11:42, the day first',
  mdy: '2/9/2026 11:42, the month first',
};

/**
 * Reads a file of readings by a mapping. Lines that cannot be read are refused one by one with their reason; the rest
 * stand. Nothing is kept anywhere.
 *
 * @param zone IANA zone of the site, for times written without one
 */
export function readReadings(
  text: string,
  mapping: ReadingMapping,
  zone: string,
  options: { onProgress?(share: number): void } = {},
): ReadFile {
  const empty = (trouble: string): ReadFile => ({ readings: [], refused: [], doubtful: 0, trouble });
  if (text.includes('\0')) return empty('This is no text file. Save the table as CSV and take that.');
  const table = readTable(text);
  if (!table || table.rows.length === 0) return empty('The file has no rows under its headings.');
  const { headings } = table;
  const place = (column: string) => headings.indexOf(column);
  const missing = [mapping.time.column, ...Object.values(mapping.columns).map((one) => one?.column ?? '')].filter(
    (column) => place(column) < 0,
  );
  if (missing.length > 0)
    return empty(`The file has no column “${missing.join('”, “')}”. Its columns: ${headings.join(', ')}.`);
  const absent = needed.filter((name) => !mapping.columns[name]);
  if (absent.length > 0) return empty(`Say which columns hold: ${absent.join(', ')}.`);

  const timeAt = place(mapping.time.column);
  const { order = 'ymd' } = mapping.time;
  const clock = zoneClock(mapping.time.zone === 'utc' ? 'UTC' : zone);
  const standard = mapping.time.zone === 'standard' ? standardOffset(zone, 2025) : undefined;
  let doubtful = 0;
  let last = Number.NEGATIVE_INFINITY;
  const columns = columnNames.flatMap((name) => {
    const mapped = mapping.columns[name];
    return mapped
      ? [{ name, at: place(mapped.column), unit: unitOf(columnKinds[name], mapped.unit), symbol: mapped.unit }]
      : [];
  });
  const readings: Reading[] = [];
  const refused: ReadFile['refused'] = [];
  const seen = new Map<number, number>();
  table.rows.forEach((cells, index) => {
    if (index % 8192 === 0) options.onProgress?.(index / table.rows.length);
    const line = index + table.firstLine;
    if (table.unclosed.has(line)) {
      refused.push({ line, reason: 'a quotation mark opens and does not close' });
      return;
    }
    if (cells.every((cell) => cell.trim() === '')) return;
    const reason = readRow(cells);
    if (reason) refused.push({ line, reason });

    function readRow(row: string[]): string | undefined {
      // A decimal comma in a table parted by commas moves every cell after it.
      if (row.length > headings.length && row.slice(headings.length).some((cell) => cell.trim() !== ''))
        return `${row.length} cells stand under ${headings.length} headings`;
      const written = row[timeAt]?.trim() ?? '';
      const stamp = readWritten(written, order);
      if (stamp === undefined) return `time ${quoteCell(written)} is not written as ${orderWords[order]}`;
      // In autumn an hour comes twice on the wall: what follows later in the file is the second.
      const time =
        stamp.offset !== undefined
          ? stamp.wall - stamp.offset * 60_000
          : standard !== undefined
            ? stamp.wall - standard
            : clock.utcOf(stamp.wall, last);
      if (!(time >= readingEra.from && time < readingEra.to))
        return `time ${quoteCell(written)} is not between 1990 and 2100`;
      const values: Partial<Record<ColumnName, number>> = {};
      for (const { name, at, unit, symbol } of columns) {
        const cell = row[at]?.trim() ?? '';
        if (cell.length > longestCell) return `${name} ${quoteCell(cell)} is longer than any number`;
        if (isNothing(cell)) {
          if (needed.includes(name))
            return cell === '' ? `${name} is empty` : `${name} ${quoteCell(cell)} says that nothing was measured`;
          continue;
        }
        const number = readCell(cell, mapping.decimal);
        if (number === 'doubt') {
          doubtful += 1;
          return `${name} “${cell}”: is the comma for thousands or for decimals? Say it under Decimals`;
        }
        if (number === undefined) return `${name} ${quoteCell(cell)} is not a number`;
        const value = toSI(number, unit);
        const [low, high] = believable[name];
        if (!(value >= low && value <= high)) return `${name} ${cell} ${symbol} is not believable`;
        values[name] = value;
      }
      const earlier = seen.get(time);
      if (earlier !== undefined) return `the same time stands in line ${earlier}`;
      seen.set(time, line);
      last = time;
      readings.push({ time, ...(values as Omit<Reading, 'time'>) });
      return undefined;
    }
  });
  return { readings, refused, doubtful };
}
