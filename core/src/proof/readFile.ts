import * as z from 'zod';
import { habitUnit, type QuantityKind, readCell, readTable, readWritten, toSI, unitOf, zoneClock } from '../quantity';
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
  time: z.strictObject({ column: z.string().min(1), zone: z.enum(['site', 'utc']) }),
  columns: z.partialRecord(
    z.enum(columnNames as [ColumnName, ...ColumnName[]]),
    z.strictObject({ column: z.string().min(1), unit: z.string() }),
  ),
});
export type ReadingMapping = z.infer<typeof mappingSchema>;

export interface ReadFile {
  readings: Reading[];
  /** Lines that could not be read, by their number in the file (the heading is line 1), with the reason. */
  refused: { line: number; reason: string }[];
  /** Trouble with the file as a whole: nothing was read. */
  trouble?: string;
}

const guesses: Record<ColumnName | 'time', RegExp> = {
  time: /^(date ?time|time ?stamp|time|date|when)\b/i,
  inlet: /(water in|inlet|t_?in\b|cold|return)/i,
  outlet: /(water out|outlet|t_?out\b|hot|supply)/i,
  air: /(air|ambient|outside)/i,
  flow: /(flow|l\/min|lpm|gpm)/i,
  irradiance: /(irradiance|sun|solar|w\/m)/i,
  wind: /wind/i,
};

/** The mapping that the headings suggest, units read from the heading where they stand there. */
export function proposeMapping(
  headings: readonly string[],
): Partial<ReadingMapping> & { columns: ReadingMapping['columns'] } {
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
    if (column) columns[name] = { column, unit: unitIn(column, columnKinds[name]) };
  }
  const zone = time && /utc|gmt|\bz\b/i.test(time) ? 'utc' : 'site';
  return { ...(time ? { time: { column: time, zone } } : {}), columns };
}

function unitIn(heading: string, kind: QuantityKind): string {
  const known: Partial<Record<QuantityKind, [RegExp, string][]>> = {
    temperature: [[/°?F\b|fahrenheit/, '°F']],
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
  return known[kind]?.find(([pattern]) => pattern.test(heading))?.[1] ?? habitUnit(kind, 'metric').symbol;
}

/**
 * Reads a file of readings by a mapping. Lines that cannot be read are refused one by one with their reason; the rest
 * stand. Nothing is kept anywhere.
 *
 * @param zone IANA zone of the site, for times written without one
 */
export function readReadings(text: string, mapping: ReadingMapping, zone: string): ReadFile {
  const empty = (trouble: string): ReadFile => ({ readings: [], refused: [], trouble });
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
  const clock = zoneClock(mapping.time.zone === 'utc' ? 'UTC' : zone);
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
    const line = index + table.firstLine;
    if (cells.every((cell) => cell.trim() === '')) return;
    const reason = readRow(cells);
    if (reason) refused.push({ line, reason });

    function readRow(row: string[]): string | undefined {
      const written = row[timeAt]?.trim() ?? '';
      const stamp = readWritten(written);
      if (stamp === undefined) return `time “${written}” is not written as 2026-02-09 11:42`;
      // In autumn an hour comes twice on the wall: what follows later in the file is the second.
      const time = stamp.offset === undefined ? clock.utcOf(stamp.wall, last) : stamp.wall - stamp.offset * 60_000;
      const values: Partial<Record<ColumnName, number>> = {};
      for (const { name, at, unit, symbol } of columns) {
        const cell = row[at]?.trim() ?? '';
        if (cell === '') {
          if (needed.includes(name)) return `${name} is empty`;
          continue;
        }
        const number = readCell(cell);
        if (number === undefined) return `${name} “${cell}” is not a number`;
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
  return { readings, refused };
}
