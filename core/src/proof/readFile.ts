import { tz } from '@date-fns/tz';
import { dsvFormat } from 'd3-dsv';
import * as z from 'zod';
import { habitUnit, type QuantityKind, toSI, unitOf } from '../quantity';
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

/** Headings and the first few rows, for showing before anything is mapped. */
export function previewFile(text: string): { headings: string[]; rows: string[][]; delimiter: string } {
  const delimiter = delimiterOf(text);
  const head = text.slice(0, 20_000);
  const rows = dsvFormat(delimiter).parseRows(head.replace(/^\uFEFF/, ''));
  return { headings: rows[0]?.map((cell) => cell.trim()) ?? [], rows: rows.slice(1, 6), delimiter };
}

/** The sign that parts the heading line most: comma, semicolon or tab. */
function delimiterOf(text: string): string {
  const line = text.slice(0, text.search(/\r?\n|$/));
  return [',', ';', '\t'].reduce(
    (best, sign) => (line.split(sign).length > line.split(best).length ? sign : best),
    ',',
  );
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

const stamp = /^(\d{4})-(\d{1,2})-(\d{1,2})[ T](\d{1,2}):(\d{2})(?::(\d{2})(?:\.\d+)?)?\s*(Z|[+-]\d{2}:?\d{2})?$/i;

/** Milliseconds of a written time; undefined when it is none. A zone written with the time stands above the mapping. */
export function readTime(text: string, zone: string): number | undefined {
  const match = stamp.exec(text.trim());
  if (!match) return undefined;
  const [, year, month, day, hour, minute, second, offset] = match;
  const parts = [year, month, day, hour, minute, second ?? '0'].map(Number) as [
    number,
    number,
    number,
    number,
    number,
    number,
  ];
  const [y, mo, d, h, mi, s] = parts;
  if (mo < 1 || mo > 12 || d < 1 || d > new Date(Date.UTC(y, mo, 0)).getUTCDate() || h > 23 || mi > 59 || s > 59)
    return undefined;
  const utc = Date.UTC(y, mo - 1, d, h, mi, s);
  if (offset) {
    if (/z/i.test(offset)) return utc;
    const sign = offset.startsWith('-') ? -1 : 1;
    const digits = offset.replace(/[^0-9]/g, '');
    return utc - sign * (Number(digits.slice(0, 2)) * 60 + Number(digits.slice(2, 4))) * 60_000;
  }
  if (zone === 'UTC') return utc;
  // The zone's own clock read at the guess tells how far it is off; twice, for a guess across a change of clocks.
  const inZone = tz(zone);
  let guess = utc;
  for (let pass = 0; pass < 2; pass += 1) {
    const seen = inZone(new Date(guess));
    const wall = Date.UTC(
      seen.getFullYear(),
      seen.getMonth(),
      seen.getDate(),
      seen.getHours(),
      seen.getMinutes(),
      seen.getSeconds(),
    );
    guess += utc - wall;
  }
  return guess;
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
  const rows = dsvFormat(delimiterOf(text)).parseRows(text.replace(/^\uFEFF/, ''));
  const headings = rows[0]?.map((cell) => cell.trim());
  if (!headings || rows.length < 2) return empty('The file has no rows under its headings.');
  const place = (column: string) => headings.indexOf(column);
  const missing = [mapping.time.column, ...Object.values(mapping.columns).map((one) => one?.column ?? '')].filter(
    (column) => place(column) < 0,
  );
  if (missing.length > 0)
    return empty(`The file has no column “${missing.join('”, “')}”. Its columns: ${headings.join(', ')}.`);
  const absent = needed.filter((name) => !mapping.columns[name]);
  if (absent.length > 0) return empty(`Say which columns hold: ${absent.join(', ')}.`);

  const timeAt = place(mapping.time.column);
  const timeZone = mapping.time.zone === 'utc' ? 'UTC' : zone;
  const columns = columnNames.flatMap((name) => {
    const mapped = mapping.columns[name];
    return mapped
      ? [{ name, at: place(mapped.column), unit: unitOf(columnKinds[name], mapped.unit), symbol: mapped.unit }]
      : [];
  });
  const readings: Reading[] = [];
  const refused: ReadFile['refused'] = [];
  const seen = new Map<number, number>();
  rows.slice(1).forEach((cells, index) => {
    const line = index + 2;
    if (cells.every((cell) => cell.trim() === '')) return;
    const reason = readRow(cells);
    if (reason) refused.push({ line, reason });

    function readRow(row: string[]): string | undefined {
      const written = row[timeAt]?.trim() ?? '';
      const time = readTime(written, timeZone);
      if (time === undefined) return `time “${written}” is not written as 2026-02-09 11:42`;
      const values: Partial<Record<ColumnName, number>> = {};
      for (const { name, at, unit, symbol } of columns) {
        const cell = row[at]?.trim() ?? '';
        if (cell === '') {
          if (needed.includes(name)) return `${name} is empty`;
          continue;
        }
        if (!/^[-−+]?\d*[.,]?\d+(e[-+]?\d+)?$/i.test(cell)) return `${name} “${cell}” is not a number`;
        const value = toSI(Number(cell.replace(',', '.').replace('−', '-')), unit);
        const [low, high] = believable[name];
        if (!(value >= low && value <= high)) return `${name} ${cell} ${symbol} is not believable`;
        values[name] = value;
      }
      const earlier = seen.get(time);
      if (earlier !== undefined) return `the same time stands in line ${earlier}`;
      seen.set(time, line);
      readings.push({ time, ...(values as Omit<Reading, 'time'>) });
      return undefined;
    }
  });
  return { readings, refused };
}
