import type { Job } from '@north-pane/core/document';
import { clearOnPane, type Plant, readingConditions } from '@north-pane/core/proof';
import { plantOf } from '@north-pane/core/proving';
import { fromSI, normals, toSI, unitOf } from '@north-pane/core/quantity';
import { runStorage } from '@north-pane/core/run';
import { type OperatingConditions, spreadOf, underLid } from '@north-pane/core/thermal';

const hour = 3600;
/** Summer time in October. */
const offset = -6;
const began = Date.UTC(2026, 9, 5) - offset * hour * 1000;

/** Share of the clear sun by day, and air at dawn and in the afternoon, °C: two fair days, a grey one, a fair one after frost. */
const days = [
  { sky: 0.97, dawn: 1, warm: 17 },
  { sky: 0.95, dawn: 3, warm: 19 },
  { sky: 0.34, dawn: 4, warm: 9 },
  { sky: 0.98, dawn: -4, warm: 13 },
];

/** Hours and minutes at which somebody went and looked. */
const looked: readonly (readonly [day: number, hour: number, minute: number])[] = [
  [0, 8, 12],
  [0, 10, 40],
  [0, 13, 5],
  [0, 15, 50],
  [0, 17, 30],
  [0, 20, 5],
  [1, 6, 48],
  [1, 8, 30],
  [1, 11, 15],
  [1, 14, 2],
  [1, 16, 20],
  [2, 8, 45],
  [2, 12, 10],
  [2, 15, 30],
  [3, 6, 55],
  [3, 8, 40],
  [3, 11, 20],
  [3, 14, 0],
  [3, 16, 35],
];
/** The draw test: every two minutes from 17:34 on the first day, 3 gal/min. */
const test = { second: 17 * hour + 34 * 60, each: 120, reads: 5, flow: toSI(3, unitOf('flow', 'gpm')), mains: 11.5 };
/** s. */
const milking = 900;
/** What the milking takes, morning and evening, at other times than the test. */
const milkings: readonly (readonly [day: number, hour: number, volume: number])[] = [
  [1, 7.2, 0.09],
  [1, 18.2, 0.09],
  [2, 18.2, 0.07],
  [3, 7.2, 0.06],
];

/**
 * What somebody at Juniper Draw would have written down, with thermometers that show whole degrees Fahrenheit: warm-ups with all taps
 * shut, nights with the lid down, a draw test with a bucket. The same store as the forecast's, its lid a little duller than
 * drawn. Stand-in data: it validates nothing.
 */
export function juniperReadings(job: Job, seed: number): string {
  const plant = plantOf(job);
  const [group] = plant.groups;
  const mirror = group && spreadOf(group.thermal, 'mirror');
  if (!group || !mirror) throw new Error('a box with a lid');
  const storage = group.thermal
    .withKnownInputs({ mirror: { ...mirror, likely: 0.72 } })
    .characteristic({ tilt: plant.tilt, specificFlow: 0 });
  if (storage.kind !== 'storage') throw new Error('tanks that are their own store');
  const draws = [
    ...Array.from({ length: test.reads }, (_, index) => ({
      second: test.second + index * test.each,
      volume: test.flow * test.each,
      duration: test.each,
    })),
    ...milkings.map(([day, at, volume]) => ({ second: (day * 24 + at) * hour, volume, duration: milking })),
  ];
  const run = runStorage(storage, {
    start: 14,
    seconds: days.length * 24 * hour,
    at: (second) => boundaryAt(plant, second),
    draws,
    cold: () => test.mains,
  });
  const normal = normals(seed);
  const read = (celsius: number) => String(Math.round(fromSI(celsius, unitOf('temperature', '°F')) + 0.3 * normal()));
  const partsAt = (second: number) => {
    const place = run.samples.findIndex((sample) => sample.second > second);
    const [before, after] = [run.samples[place - 1], run.samples[place]];
    if (!before || !after) throw new Error('a moment of the run');
    const share = (second - before.second) / (after.second - before.second);
    return before.parts.map((part, index) => part + share * ((after.parts[index] ?? part) - part));
  };
  const line = (second: number, water: { cold: number; hot: number }, flow: number) => {
    const { irradiance, air } = boundaryAt(plant, second);
    const local = new Date(began + second * 1000 + offset * hour * 1000).toISOString();
    const sun = irradiance < 20 ? 0 : Math.round((irradiance * (1 + 0.02 * normal())) / 5) * 5;
    return [
      local.slice(0, 16).replace('T', ' '),
      read(water.cold),
      read(water.hot),
      read(air),
      String(sun),
      flow.toFixed(1),
    ].join(',');
  };
  const stood = looked.map(([day, at, minute]) => {
    const second = day * 24 * hour + at * hour + minute * 60;
    const parts = partsAt(second);
    return { second, text: line(second, { cold: parts[0] ?? 0, hot: parts[parts.length - 1] ?? 0 }, 0) };
  });
  // One line at the end of each draw, with what ran on the whole.
  const drawn = run.draws.map(({ second, temperature, volume }) => {
    const lasts = volume === test.flow * test.each ? test.each : milking;
    const gallons = fromSI(volume / lasts, unitOf('flow', 'gpm'));
    return {
      second: second + lasts,
      text: line(second + lasts, { cold: test.mains, hot: temperature }, gallons),
    };
  });
  const lines = [...stood, ...drawn].sort((a, b) => a.second - b.second).map(({ text }) => text);
  return `${['time,cold end °F,hot end °F,air °F,sun on pane W/m²,flow gpm', ...lines].join('\n')}\n`;
}

function boundaryAt(plant: Plant, second: number): OperatingConditions {
  const time = began + second * 1000;
  const { sky, dawn, warm } = days[Math.min(days.length - 1, Math.floor(second / (24 * hour)))] ??
    days[0] ?? { sky: 1, dawn: 0, warm: 0 };
  const clock = (second / hour) % 24;
  const air = dawn + ((warm - dawn) * (1 + Math.cos(((clock - 15.5) / 12) * Math.PI))) / 2;
  const boundary = readingConditions(plant, {
    time,
    inlet: air,
    outlet: air,
    flow: 0,
    air,
    irradiance: sky * clearOnPane(plant, time).total,
    wind: 1.5,
  });
  if (!boundary) throw new Error('a sun is known');
  return underLid({ hasLid: true }, { ...boundary, massFlow: 0 });
}
