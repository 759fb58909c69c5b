import { tzOffset } from '@date-fns/tz';
import { longestCell } from '../table';

/** In which order a date written with its year last has day and month. */
export type DateOrder = 'ymd' | 'dmy' | 'mdy';

const minute = 60_000;
export const dayMilliseconds = 86_400_000;

const clock = String.raw`(\d{1,2}):?(\d{2})(?::(\d{2})(?:[.,]\d+)?)?\s*(am|pm)?\s*(z|utc|gmt|[+-]\d{2}:?\d{2})?`;
const yearFirst = new RegExp(String.raw`^(\d{4})([-/.]?)(\d{1,2})\2(\d{1,2})[T ,:]\s*${clock}$`, 'i');
const yearLast = new RegExp(String.raw`^(\d{1,2})([-/.])(\d{1,2})\2(\d{4})[T ,]\s*${clock}$`, 'i');

/** A date and time as written: milliseconds as though it were UTC, and the zone's minutes where one is written. */
export interface WrittenTime {
  wall: number;
  offset: number | undefined;
}

/**
 * Reads a date with its time of day: `2026-02-09 11:42`, `20260209 1142`, `9/2/2026 11:42 pm`, `2026-02-09T24:00Z`.
 * Undefined when it is none.
 *
 * @param order how a date with its year last is meant; `ymd` refuses those
 */
export function readWritten(text: string, order: DateOrder = 'ymd'): WrittenTime | undefined {
  // No time is longer, and the patterns below take the square of what they are given.
  if (text.length > longestCell) return undefined;
  const trimmed = text.trim();
  let match = yearFirst.exec(trimmed);
  let year: number;
  let month: number;
  let day: number;
  if (match) {
    year = Number(match[1]);
    month = Number(match[3]);
    day = Number(match[4]);
  } else {
    match = order === 'ymd' ? null : yearLast.exec(trimmed);
    if (!match) return undefined;
    year = Number(match[4]);
    month = Number(match[order === 'dmy' ? 3 : 1]);
    day = Number(match[order === 'dmy' ? 1 : 3]);
  }
  let hour = Number(match[5]);
  const minutes = Number(match[6]);
  const seconds = Number(match[7] ?? 0);
  const half = match[8]?.toLowerCase();
  if (half) {
    if (hour < 1 || hour > 12) return undefined;
    hour = (hour % 12) + (half === 'pm' ? 12 : 0);
  }
  const wall = wallTime(year, month, day, hour, minutes, seconds);
  return wall === undefined ? undefined : { wall, offset: writtenOffset(match[9]) };
}

/** Milliseconds as though it were UTC; undefined for what no calendar has. 24:00 is the end of the day. */
export function wallTime(
  year: number,
  month: number,
  day: number,
  hour: number,
  minutes = 0,
  seconds = 0,
): number | undefined {
  if (!(month >= 1 && month <= 12 && day >= 1 && day <= new Date(Date.UTC(year, month, 0)).getUTCDate()))
    return undefined;
  if (!(hour >= 0 && minutes >= 0 && minutes <= 59 && seconds >= 0 && seconds <= 59)) return undefined;
  if (hour > 24 || (hour === 24 && minutes + seconds > 0)) return undefined;
  return Date.UTC(year, month - 1, day, hour, minutes, seconds);
}

function writtenOffset(zone: string | undefined): number | undefined {
  if (!zone) return undefined;
  if (/^[a-z]/i.test(zone)) return 0;
  const digits = zone.replace(/[^0-9]/g, '');
  return (zone.startsWith('-') ? -1 : 1) * (Number(digits.slice(0, 2)) * 60 + Number(digits.slice(2, 4)));
}

/** The clock on the wall in an IANA zone. */
export interface ZoneClock {
  /** Milliseconds that the wall clock is ahead of UTC at a moment. */
  offsetAt(utc: number): number;
  /**
   * The moment at which the wall clock shows a time. Of an hour that comes twice the first, unless that is not later than
   * `after`; in an hour that is left out, as though the clock had not been moved yet.
   */
  utcOf(wall: number, after?: number): number;
}

/** Asking a zone costs tens of microseconds; a day on which the clock is not moved is asked about once. */
export function zoneClock(zone: string): ZoneClock {
  const days = new Map<number, number | undefined>();
  const ask = (utc: number) => tzOffset(zone, new Date(utc)) * minute;
  const offsetAt = (utc: number): number => {
    const day = Math.floor(utc / dayMilliseconds);
    if (!days.has(day)) {
      const begins = ask(day * dayMilliseconds);
      days.set(day, begins === ask((day + 1) * dayMilliseconds - 1) ? begins : undefined);
    }
    return days.get(day) ?? ask(utc);
  };
  return {
    offsetAt,
    utcOf(wall, after = Number.NEGATIVE_INFINITY) {
      const before = offsetAt(wall - dayMilliseconds);
      const later = offsetAt(wall + dayMilliseconds);
      if (before === later) return wall - before;
      const possible = [wall - before, wall - later].filter((utc, index) => offsetAt(utc) === [before, later][index]);
      return possible.find((utc) => utc > after) ?? possible[possible.length - 1] ?? wall - before;
    },
  };
}

/** Milliseconds that a zone's clock is ahead of UTC outside daylight saving time: the lesser of mid-winter and mid-summer. */
export function standardOffset(zone: string, year: number): number {
  const { offsetAt } = zoneClock(zone);
  return Math.min(offsetAt(Date.UTC(year, 0, 1)), offsetAt(Date.UTC(year, 6, 1)));
}

/** Hours that a zone may lie off the sun's own time: some countries keep a clock two or three hours away. */
const mostOff = 3.5;

/**
 * Whether a zone can hardly be that of a longitude: a place was typed and its clock forgotten.
 *
 * @returns the hours ahead of UTC that the longitude suggests, or undefined when the zone may well be right
 */
export function zoneDoubt(zone: string, longitude: number): number | undefined {
  const expected = Math.round(longitude / 15);
  const off = Math.abs(standardOffset(zone, 2025) / 3_600_000 - longitude / 15);
  // Either side of the date line the clock is the same and the day is not.
  return Math.min(off, 24 - off) > mostOff ? expected : undefined;
}

/**
 * Milliseconds of a written time; undefined when it is none. A zone written with the time stands above the one given.
 *
 * @param zone IANA zone that times without one are in
 */
export function readTime(text: string, zone: string, order: DateOrder = 'ymd'): number | undefined {
  const written = readWritten(text, order);
  if (!written) return undefined;
  if (written.offset !== undefined) return written.wall - written.offset * minute;
  return zone === 'UTC' ? written.wall : zoneClock(zone).utcOf(written.wall);
}

/** Zones already asked about: asking costs a millisecond, and a document is checked at every drag of the tape. */
const zones = new Map<string, boolean>();
const mostZones = 600;

/** Whether it is the name of a time zone, as IANA has them. */
export function isZone(zone: string): boolean {
  const asked = zones.get(zone);
  if (asked !== undefined) return asked;
  let known = true;
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
  } catch {
    known = false;
  }
  // Whoever sends thousands of made-up zones fills no memory.
  if (zones.size >= mostZones) zones.clear();
  zones.set(zone, known);
  return known;
}
