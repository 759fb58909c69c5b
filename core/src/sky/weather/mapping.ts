import * as z from 'zod';
import type { Table } from '../../table';
import { type DateOrder, readWritten } from '../../time';
import { weatherQuantities } from './series';

/** How a column's numbers become SI: value = (number + offset) × factor; `perInterval` ones are sums over the interval. */
interface ColumnUnit {
  symbol: string;
  factor: number;
  offset?: number;
  /** J/m² summed over the interval instead of W/m². */
  perInterval?: boolean;
  pattern?: RegExp;
}

const sun: readonly ColumnUnit[] = [
  { symbol: 'W/m²', factor: 1, pattern: /w\s*\/?\s*m/i },
  { symbol: 'kW/m²', factor: 1000, pattern: /kw\s*\/?\s*m/i },
  { symbol: 'Wh/m² an interval', factor: 3600, perInterval: true, pattern: /\bwh/i },
  { symbol: 'kWh/m² an interval', factor: 3.6e6, perInterval: true, pattern: /kwh/i },
  { symbol: 'kJ/m² an interval', factor: 1000, perInterval: true, pattern: /kj/i },
  { symbol: 'MJ/m² an interval', factor: 1e6, perInterval: true, pattern: /mj/i },
  { symbol: 'J/cm² an interval', factor: 1e4, perInterval: true, pattern: /j\s*\/?\s*cm/i },
  { symbol: 'Btu/h·ft²', factor: 3.15459, pattern: /btu/i },
];
const temperature: readonly ColumnUnit[] = [
  { symbol: '°C', factor: 1, pattern: /°?\s*c\b|celsius/i },
  { symbol: '°F', factor: 5 / 9, offset: -32, pattern: /°?\s*f\b|fahrenheit/i },
  { symbol: 'K', factor: 1, offset: -273.15, pattern: /\bk\b|kelvin/i },
];
const speed: readonly ColumnUnit[] = [
  { symbol: 'm/s', factor: 1, pattern: /m\s*\/\s*s|mps/i },
  { symbol: 'km/h', factor: 1 / 3.6, pattern: /km\s*\/?\s*h|kph/i },
  { symbol: 'mph', factor: 0.44704, pattern: /mph|mi\/h/i },
  { symbol: 'knots', factor: 1852 / 3600, pattern: /kn(o?ts?)?\b|kt\b/i },
];
const part: readonly ColumnUnit[] = [
  { symbol: '%', factor: 0.01, pattern: /%/ },
  { symbol: '0 to 1', factor: 1, pattern: /fraction|share/i },
  { symbol: 'tenths', factor: 0.1, pattern: /tenth/i },
  { symbol: 'oktas', factor: 1 / 8, pattern: /okta/i },
];

/** Columns a weather file may have: the quantities of a series, and humidity, from which the dew point comes. */
export const weatherColumns = [...weatherQuantities, 'humidity'] as const;
export type WeatherColumn = (typeof weatherColumns)[number];

const units: Record<WeatherColumn, readonly ColumnUnit[]> = {
  global: sun,
  beamNormal: sun,
  diffuse: sun,
  air: temperature,
  dewPoint: temperature,
  wind: speed,
  cloud: part,
  humidity: part.slice(0, 2),
};

/** Symbols of the units that a column may be in, the usual one first. */
export function weatherUnits(column: WeatherColumn): string[] {
  return units[column].map((unit) => unit.symbol);
}

/** The unit of that symbol; the usual one for a symbol that the column does not know. */
export function columnUnit(column: WeatherColumn, symbol: string): ColumnUnit {
  const known = units[column];
  return known.find((unit) => unit.symbol === symbol) ?? (known[0] as ColumnUnit);
}

export const clocks = ['site', 'standard', 'utc'] as const;
export const stamps = ['start', 'middle', 'end'] as const;

/** Which column is what, in which unit, and how its times are meant. Columns by their heading. */
export const weatherMappingSchema = z.strictObject({
  time: z.strictObject({
    /** One column of times; a date and a time of day; or year, month, day, hour and perhaps minute. */
    columns: z.array(z.string().min(1)).min(1).max(5),
    order: z.enum(['ymd', 'dmy', 'mdy']),
    /** The site's clock with its summer time, its standard clock all year, or UTC. */
    clock: z.enum(clocks),
    /** Which moment of its interval a row is stamped with. */
    stamp: z.enum(stamps),
  }),
  columns: z.partialRecord(z.enum(weatherColumns), z.strictObject({ column: z.string().min(1), unit: z.string() })),
});
export type WeatherMapping = z.infer<typeof weatherMappingSchema>;

const headings: Record<WeatherColumn, RegExp> = {
  beamNormal: /\b(dni|bni|beam|direct)\b|direct.*normal|normal.*direct|beam.*normal/i,
  diffuse: /\b(dhi|diffuse|dif|sky sun)\b|diffus/i,
  global: /\b(ghi|global|glob|solar|sun|irradiance|radiation|pyranometer)\b|global|solar|irradian/i,
  dewPoint: /dew/i,
  humidity: /\b(rh|humidity|relhum)\b|humid/i,
  air: /\b(air|temp|temperature|ambient|dry.?bulb|t_?air|t_?amb|ta|t2m|outside)\b|dry.?bulb|air.?temp/i,
  wind: /wind(?!.*(dir|azim|bear))|\bws\b/i,
  cloud: /cloud|sky cover/i,
};
/** Columns of the sun that say something else than what lies on the flat. */
const notFlat = /tilt|plane|poa|extra|top of|zenith|azimuth|elev|angle|hours|uv/i;

export interface WeatherProposal {
  mapping: Partial<Pick<WeatherMapping, 'time'>> & Pick<WeatherMapping, 'columns'>;
  /** Days and months could be either way round: somebody has to say. */
  orderUnsure: boolean;
}

/** The mapping that headings, units and first rows suggest. */
export function proposeWeather(table: Table): WeatherProposal {
  const free = new Set(table.headings.filter((heading) => heading !== ''));
  const columns: WeatherMapping['columns'] = {};
  const time = proposeTime(table, free);
  // From the narrow names to the wide ones: "direct solar" is no global sun.
  for (const name of ['beamNormal', 'diffuse', 'global', 'dewPoint', 'humidity', 'air', 'wind', 'cloud'] as const) {
    const found = [...free].find(
      (heading) => headings[name].test(heading.replaceAll('_', ' ')) && !notFlat.test(heading),
    );
    if (!found) continue;
    free.delete(found);
    columns[name] = { column: found, unit: unitFor(name, found, table) };
  }
  return { mapping: { ...(time ? { time: time.time } : {}), columns }, orderUnsure: time?.unsure ?? false };
}

function unitFor(name: WeatherColumn, heading: string, table: Table): string {
  const written = `${heading.replace(headings[name], ' ')} ${table.units[table.headings.indexOf(heading)] ?? ''}`;
  // The longest sign that fits: kWh before Wh before W.
  const fits = units[name].filter((unit) => unit.pattern?.test(written));
  const best = fits.sort((a, b) => b.symbol.length - a.symbol.length)[0];
  if (best) return best.symbol;
  if (name === 'humidity' || name === 'cloud') return shareUnit(name, heading, table);
  return units[name][0]?.symbol ?? '';
}

/** Shares are written as 0 to 1, tenths, oktas or percent: the largest in sight tells. */
function shareUnit(name: WeatherColumn, heading: string, table: Table): string {
  const at = table.headings.indexOf(heading);
  const most = Math.max(0, ...table.rows.map((row) => Number(row[at])).filter(Number.isFinite));
  if (name === 'humidity') return most > 1 ? '%' : '0 to 1';
  if (most <= 1) return '0 to 1';
  return most > 10 ? '%' : 'tenths';
}

function proposeTime(table: Table, free: Set<string>): { time: WeatherMapping['time']; unsure: boolean } | undefined {
  const named = (pattern: RegExp) => [...free].find((heading) => pattern.test(heading));
  const parts = [/^years?$/i, /^months?$|^mo$/i, /^days?$/i, /^hours?$|^hr$/i].map(named);
  const minute = named(/^min(ute)?s?$/i);
  let columns: string[];
  if (parts.every((one): one is string => one !== undefined)) {
    columns = [...parts, ...(minute ? [minute] : [])];
  } else {
    const date = named(/^date$|^day$|^datum$/i);
    const clock = named(/^(time|hour|clock|hh:?mm)\b/i);
    if (date && clock) columns = [date, clock];
    else {
      const whole = named(/(date|time|stamp|when|utc)/i);
      if (!whole) return undefined;
      columns = [whole];
    }
  }
  for (const column of columns) free.delete(column);
  const texts = table.rows.map((row) =>
    timeText(
      row,
      columns.map((column) => table.headings.indexOf(column)),
    ),
  );
  const fits = (order: DateOrder) => texts.length > 0 && texts.every((text) => readWritten(text, order) !== undefined);
  const fitting = columns.length > 2 ? ['ymd' as const] : (['ymd', 'dmy', 'mdy'] as const).filter(fits);
  const clockName = columns.join(' ');
  const clock = /utc|gmt|\bz\b/i.test(clockName) ? 'utc' : /standard|lst/i.test(clockName) ? 'standard' : 'site';
  return {
    time: {
      columns,
      order: fitting[0] ?? 'ymd',
      clock,
      stamp: /end/i.test(clockName) ? 'end' : /mid/i.test(clockName) ? 'middle' : 'start',
    },
    unsure: fitting.length > 1 && fitting[0] !== 'ymd',
  };
}

/** The cells of a row's time as one text; an hour alone gets its minutes. */
export function timeText(row: readonly string[], places: readonly number[]): string {
  const [first = '', second] = places.map((place) => row[place]?.trim() ?? '');
  if (second === undefined) return first;
  return `${first} ${/^\d{1,2}$/.test(second) ? `${second}:00` : second}`;
}
