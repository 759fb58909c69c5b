import { type Finding, type Wording, type Words, wordFinding } from '../../care';
import { formatNumber, type Habit, signed } from '../../quantity';

const clockWords: Record<string, string> = {
  site: 'the site’s own clock, with summer time',
  standard: 'the site’s standard clock all year',
  utc: 'UTC',
};
const stampWords: Record<string, string> = {
  start: 'the beginning of its interval',
  middle: 'the middle of its interval',
  end: 'the end of its interval',
};

/** How a clock or a stamp of a mapping is named in words. */
export function clockInWords(clock: string): string {
  return clockWords[clock] ?? clock;
}
export function stampInWords(stamp: string): string {
  return stampWords[stamp] ?? stamp;
}

const many = (count: number, one: string, more: string) => `${formatNumber(count)} ${count === 1 ? one : more}`;
const hours = (seconds: number) =>
  seconds < 3600
    ? many(Math.round(seconds / 60), 'minute', 'minutes')
    : seconds < 172_800
      ? many(Math.round(seconds / 3600), 'hour', 'hours')
      : many(Math.round(seconds / 86_400), 'day', 'days');

const lateness = (late: number) => {
  const size = Math.abs(Math.round(late));
  const span =
    size < 90
      ? `${formatNumber(size)} minutes`
      : `${Math.floor(size / 60)} h ${String(size % 60).padStart(2, '0')} min`;
  return `${span} ${late > 0 ? 'late' : 'early'}`;
};

const weatherWords: Record<string, Words> = {
  'weather-years-mixed': () => ({
    headline: 'months from many years',
    detail: 'The calendar goes on from month to month, but the years jump: a year put together from many.',
    remedy: 'Lay them in one year. Otherwise almost all of it is a gap.',
  }),
  'weather-clock-misread': (values) => ({
    headline: 'the clock is meant otherwise',
    detail: `The sun of this file comes ${lateness(values.number('late'))}, morning held against afternoon.`,
    remedy: `It fits when times are read as ${clockInWords(values.text('clock'))}, each row stamped at ${stampInWords(values.text('stamp'))}.`,
  }),
  'weather-clock-shifted': (values) => ({
    headline: 'the clock is shifted',
    detail: `The sun of this file comes ${lateness(values.number('late'))}, morning held against afternoon.`,
    remedy: `Move all times by ${signed(values.number('shift'), 0) ?? '0'} minutes, unless a hill or a tree shades the instrument in the morning or the evening: then leave them. Look too whether latitude, longitude and time zone of the job are those of the file.`,
  }),
  'weather-sun-at-night': (values) => ({
    headline: 'sun by night',
    detail: `${many(values.number('count'), 'interval has', 'intervals have')} sun while it is below the horizon.`,
    remedy: 'Is the clock right, and the place? If so, take the night as dark.',
  }),
  'weather-too-strong': (values) => ({
    headline: 'more sun than there is',
    detail: `${many(values.number('count'), 'interval has', 'intervals have')} a beam stronger than above the air, or more on the flat than can fall on it.`,
    remedy: 'Are unit and clock right? If so, leave those intervals out.',
  }),
  'weather-impossible': (values) => ({
    headline: 'values that cannot be',
    detail: `${many(values.number('count'), 'value lies', 'values lie')} outside what is believable and ${values.number('count') === 1 ? 'is' : 'are'} left out as a gap.`,
    remedy: 'If there are many, look at the units.',
  }),
  'weather-gaps': (values) => ({
    headline: `${many(values.number('count'), 'gap', 'gaps')}`,
    detail: `Sun or air is not known for ${formatNumber(values.number('share') * 100, values.number('share') < 0.01 ? 2 : 1)} % of the time; the longest gap is ${hours(values.number('longest'))}.`,
    remedy:
      'Bridge them: up to 3 hours straight, up to 5 days by the days beside them. Longer ones stay open and are not counted.',
  }),
  'weather-short': (values) => ({
    headline: `${values.number('months')} of 12 months`,
    detail: `The file reaches ${many(values.number('months'), 'month', 'months')}; the others are guessed from those beside them.`,
    remedy: 'For a forecast of the year take a whole year.',
  }),
  'weather-split': () => ({
    headline: 'beam and sky are estimated',
    detail: 'The file does not give both; they are parted by Erbs, Klein and Duffie (1982).',
    remedy: 'That makes sun on a tilted pane uncertain by 5 to 10 % in an hour, by 3 to 5 % in a month.',
  }),
  'weather-no-dew-point': () => ({
    headline: 'no dew point',
    detail: 'Neither dew point nor humidity is in the file; half-saturated air is taken.',
    remedy: 'The night sky may be 5 K colder or warmer than worked out.',
  }),
  'weather-no-wind': () => ({
    headline: 'no wind',
    detail: 'There is no wind in the file; 3 m/s at 10 m height is taken.',
    remedy: 'For a heater without a pane that matters: find a wind record.',
  }),
};

/** A matter of a weather file in words. Throws UnworthyFinding. */
export function sayWeather(finding: Finding, habit: Habit): Wording {
  return wordFinding(finding, weatherWords, habit);
}
