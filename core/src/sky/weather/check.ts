import type { Finding } from '../../care';
import { standardOffset, zoneClock } from '../../time';
import { cos } from '../angles';
import { clocks, stamps, type WeatherMapping } from './mapping';
import { monthlyMeans } from './months';
import type { WeatherSeries, WeatherSite } from './series';
import { aroundTheClock, type ClockBlock, clockBlocks, median } from './shift';
import type { SunOver } from './sunOver';

interface Checked {
  site: WeatherSite;
  mapping: WeatherMapping;
  sun: SunOver;
  mixed: boolean;
  /** Values outside what can be, already left out. */
  impossible: number;
}

/** W/m² that a pyranometer shows by night at most. */
const nightMost = 10;
/** Minutes that a clock may seem late by clouds alone. */
const lateMost = 10;

/** What is to be looked at in a series before it is taken for weather, gravest first. */
export function checkSeries(series: WeatherSeries, checked: Checked): Finding[] {
  const { mixed, impossible } = checked;
  const found: Finding[] = [];
  const say = (code: string, severity: Finding['severity'], path: string, values: Finding['values'] = {}) =>
    found.push({ code, severity, path, values });
  if (mixed) say('weather-years-mixed', 'caution', 'time');
  clockFinding(series, checked, found);
  const night = countNight(series, checked.sun);
  if (night > 0) say('weather-sun-at-night', 'caution', 'columns.global', { count: night });
  const strong = countTooStrong(series, checked.sun);
  if (strong > 0) say('weather-too-strong', 'caution', 'columns.beamNormal', { count: strong });
  if (impossible > 0) say('weather-impossible', 'caution', 'columns', { count: impossible });
  const gaps = gapsOf(series);
  if (gaps.missing > 0)
    say('weather-gaps', 'caution', 'columns', {
      count: gaps.count,
      longest: gaps.longest * series.step,
      share: gaps.missing / series.length,
    });
  const { seen } = monthlyMeans(series, checked.site.zone);
  const months = seen.filter(Boolean).length;
  if (months < 12) say('weather-short', 'note', 'time', { months });
  if (!series.columns.beamNormal || !series.columns.diffuse) say('weather-split', 'note', 'columns.beamNormal');
  if (!series.columns.dewPoint) say('weather-no-dew-point', 'note', 'columns.dewPoint');
  if (!series.columns.wind) say('weather-no-wind', 'note', 'columns.wind');
  return found;
}

/** Intervals with sun while the whole of them lies in the night. */
function countNight(series: WeatherSeries, sun: SunOver): number {
  const { global } = series.columns;
  let count = 0;
  for (let index = 0; index < series.length; index += 1)
    if (isNight(series, sun, index) && (global?.[index] ?? 0) > nightMost) count += 1;
  return count;
}

export function isNight(series: WeatherSeries, sun: SunOver, index: number): boolean {
  // In half an interval the sun climbs that many degrees at most; twilight takes two more.
  return (sun.zenith[index] ?? 0) > 92 + (7.5 * series.step) / 3600;
}

/** Whether the beam is stronger than above the air, or the flat gets far more than could fall on it. */
export function isTooStrong(series: WeatherSeries, sun: SunOver, index: number): boolean {
  const above = sun.above[index] ?? 0;
  const beam = series.columns.beamNormal?.[index] ?? 0;
  const global = series.columns.global?.[index] ?? 0;
  return beam > above || global > 50 + 1.1 * above * Math.max(0, cos((sun.zenith[index] ?? 180) - 2));
}

function countTooStrong(series: WeatherSeries, sun: SunOver): number {
  let count = 0;
  for (let index = 0; index < series.length; index += 1)
    if (!isNight(series, sun, index) && isTooStrong(series, sun, index)) count += 1;
  return count;
}

export interface Gaps {
  count: number;
  /** Intervals. */
  longest: number;
  missing: number;
}

/** Runs of intervals in which the sun or the air is not known. */
export function gapsOf(series: WeatherSeries): Gaps {
  const { global, beamNormal, diffuse, air } = series.columns;
  let count = 0;
  let longest = 0;
  let missing = 0;
  let run = 0;
  for (let index = 0; index <= series.length; index += 1) {
    const sun = global ? global[index] : (beamNormal?.[index] ?? Number.NaN) + (diffuse?.[index] ?? Number.NaN);
    const gap = index < series.length && (Number.isNaN(sun) || Number.isNaN(air?.[index]));
    if (gap) {
      run += 1;
      missing += 1;
    } else if (run > 0) {
      count += 1;
      longest = Math.max(longest, run);
      run = 0;
    }
  }
  return { count, longest, missing };
}

/** Whether the sun says that the clock is meant otherwise, and how it would fit. */
function clockFinding(series: WeatherSeries, { site, mapping }: Checked, found: Finding[]): void {
  const blocks = clockBlocks(series, site);
  const late = median(blocks.map((block) => block.late));
  if (late === undefined || blocks.length < 2) return;
  const spread = rootMeanSquare(blocks.map((block) => block.late));
  if (Math.abs(late) < lateMost && spread < 2 * lateMost) return;
  const best = bestReading(blocks, site, mapping, series.step);
  // Another way of reading is told when it explains the shift as well as a plain shift would, to three minutes.
  const rest = rootMeanSquare(blocks.map((block) => aroundTheClock(block.late - late)));
  const fits = best.off < lateMost && best.off < rest + 3;
  found.push({
    code: fits ? 'weather-clock-misread' : 'weather-clock-shifted',
    severity: 'caution',
    path: 'time',
    values: fits ? { late, clock: best.clock, stamp: best.stamp } : { late, shift: -Math.round(late / 5) * 5 },
  });
}

function rootMeanSquare(values: readonly number[]): number {
  return Math.sqrt(values.reduce((sum, value) => sum + value ** 2, 0) / Math.max(1, values.length));
}

/** Of all the ways that the times could be meant the one that the sun fits best. */
function bestReading(blocks: readonly ClockBlock[], site: WeatherSite, mapping: WeatherMapping, step: number) {
  const wall = zoneClock(site.zone);
  const year = new Date(blocks[0]?.at ?? 0).getUTCFullYear();
  const standard = standardOffset(site.zone, year);
  const ahead = (clock: (typeof clocks)[number], at: number) =>
    clock === 'utc' ? 0 : clock === 'standard' ? standard : wall.offsetAt(at);
  const back = { start: 0, middle: step / 2, end: step };
  const { clock, stamp } = mapping.time;
  let best = { clock, stamp, off: Number.POSITIVE_INFINITY };
  for (const other of clocks)
    for (const edge of stamps) {
      const rest = blocks.map(({ at, late }) =>
        aroundTheClock(late + (ahead(clock, at) - ahead(other, at)) / 60_000 + (back[stamp] - back[edge]) / 60),
      );
      const off = rootMeanSquare(rest);
      if (off < best.off - 0.5) best = { clock: other, stamp: edge, off };
    }
  return best;
}
