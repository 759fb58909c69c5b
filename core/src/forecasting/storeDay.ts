import { hardNight, timeToFreeze } from '../cautions';
import type { Job } from '../document';
import { heaterCharacteristic } from '../figures';
import type { OpenJob } from '../job';
import { measured } from '../quantity';
import type { Readout } from '../readout';
import { runStorage, type StorageRun } from '../run';
import { jobMonths } from '../site';
import { mainsTemperature } from '../sky';
import { type OperatingConditions, type Storage, type ThermalModel, underLid } from '../thermal';
import { dailyDraws } from './dayNeed';
import { type DayKind, type WeatherDay, weatherDay } from './weatherDay';

/** A store through one day with what is drawn from it. Hours from midnight, °C. */
export interface StoreDay {
  /** What each line is called, cold end first. */
  lines: readonly string[];
  /** Of every line by the hour. */
  samples: { hour: number; temperatures: number[]; air: number; sun: number }[];
  draws: { hour: number; volume: number; temperature: number; cold: number }[];
  readouts: Readout[];
  /** Hours in which the lid stood open; none without a lid. */
  lidOpen: { from: number; to: number } | undefined;
  /** How far energy failed to close, as a share of what was gathered. */
  unaccounted: number;
}

const day = 86_400;
const hour = 3600;

/** A day is in its rhythm once no part of the water is further from where it began than this, K; it is run so often at the most. */
const periodicSteadyState = { within: 0.1, days: 20 } as const;

/** One heater that is its own store through a clear, an average and a bad day of a month (0 to 11). Throws RangeError for another kind. */
export function storeDays(open: OpenJob, index: number, month: number): Record<DayKind, StoreDay> {
  const storage = storageOf(open, index);
  const through = (kind: DayKind) => dayOf(open, { index, storage }, { month, kind });
  return { clear: through('clear'), average: through('average'), bad: through('bad') };
}

function storageOf(open: OpenJob, index: number): Storage {
  const characteristic = heaterCharacteristic(open, index);
  if (characteristic.kind !== 'storage') throw new RangeError('this heater is no store of its own');
  return characteristic;
}

function dayOf(
  open: OpenJob,
  { index, storage }: { index: number; storage: Storage },
  query: { month: number; kind: DayKind },
): StoreDay {
  const { job } = open;
  const weather = weatherDay(job, query);
  // Every day of the run has the same hours.
  const known = new Map<number, OperatingConditions>();
  const at = (second: number): OperatingConditions => {
    const boundary = known.get(second % day) ?? underLid(storage, weather.at(second % day));
    known.set(second % day, boundary);
    return boundary;
  };
  const covered = (second: number) => at(second).covered === true;
  const months = jobMonths(job.site);
  const mains = mainsTemperature({
    air: months.air,
    day: Math.round((query.month + 0.5) * 30.4),
    measured: job.site.mains,
  });
  const draws = dailyDraws(job);
  const through = (start: number | readonly number[]) =>
    runStorage(storage, { start, seconds: day, at, draws, cold: () => mains });
  let run = through(mains + 10);
  for (let days = 1; days < periodicSteadyState.days && movedBy(run) > periodicSteadyState.within; days += 1)
    run = through(run.samples[run.samples.length - 1]?.parts ?? mains + 10);
  const opened = Array.from({ length: 144 }, (_, step) => step * 600).filter((second) => !covered(second));
  const samples = run.samples.map(({ second, parts }) => {
    const { air, irradiance } = weather.at(Math.min(second, day - 1));
    return { hour: second / hour, temperatures: tops(parts, storage), air, sun: irradiance };
  });
  return {
    lines: Array.from({ length: storage.tanks }, (_, tank) => (storage.tanks === 1 ? 'tank' : `tank ${tank + 1}`)),
    samples,
    draws: run.draws.map(({ second, ...rest }) => ({ hour: second / hour, ...rest })),
    readouts: [
      ...dayReadouts(storage, run, { job, insolation: weather.insolation, frost: timeToFreeze(open, index) }),
      ...lidReadouts(open.panels[index]?.design.thermal, weather),
    ],
    lidOpen:
      storage.hasLid && opened.length > 0
        ? { from: (opened[0] ?? 0) / hour, to: ((opened[opened.length - 1] ?? 0) + 600) / hour }
        : undefined,
    unaccounted: run.energy.unaccounted / Math.max(1, Math.abs(run.energy.gathered)),
  };
}

/** K by which the part of the water that moved most over a run did. */
function movedBy({ samples }: StorageRun): number {
  const [first, last] = [samples[0]?.parts ?? [], samples[samples.length - 1]?.parts ?? []];
  return Math.max(0, ...first.map((part, index) => Math.abs((last[index] ?? part) - part)));
}

/** Hours at which it is told what an open lid makes of the beam. */
const lidHours = [9, 12, 15] as const;

/** What an open lid makes of the beam on the pane, times what falls on it without, by the hour; nothing without a lid. */
function lidReadouts(thermal: ThermalModel | undefined, weather: WeatherDay): Readout[] {
  if (!thermal?.hasLid) return [];
  return lidHours.map((at) => {
    const { angles, incidence } = weather.at(at * hour);
    const share = angles && thermal.lidShare?.(angles);
    const square = Math.cos((incidence * Math.PI) / 180);
    return {
      id: `lid-${at}`,
      label: `Lid makes of the beam at ${at}:00, times`,
      kind: 'number',
      digits: 2,
      values: share && square > 0.05 ? [1 + share.added / square - share.shaded] : [],
      derivation: {
        name: 'Beam with the lid open',
        formula: '1 + mirror × strip that the lid throws onto the pane ÷ (pane × cos incidence) − strip that it shades',
        source: 'law of reflection, ray by ray along the slope and across it',
        inputs: [
          { label: 'sun over square, degrees', value: angles?.longitudinal ?? 0, kind: 'number', digits: 0 },
          { label: 'sun to the side, degrees', value: angles?.transversal ?? 0, kind: 'number', digits: 0 },
        ],
      },
    };
  });
}

/** °C of the top of each tank. */
function tops(parts: readonly number[], { tanks, parts: perTank }: Storage): number[] {
  return Array.from({ length: tanks }, (_, tank) => parts[(tank + 1) * perTank - 1] ?? Number.NaN);
}

const breakfast = 7;
const [evening, morning] = [21, 6] as const;

function dayReadouts(
  storage: Storage,
  run: ReturnType<typeof runStorage>,
  { job, insolation, frost }: { job: Job; insolation: number; frost: number },
): Readout[] {
  const sampleAt = (wanted: number) => run.samples.find(({ second }) => second >= wanted * hour)?.parts ?? [];
  const mean = (parts: readonly number[]) => parts.reduce((sum, part) => sum + part, 0) / Math.max(1, parts.length);
  const last = (parts: readonly number[]) => parts[parts.length - 1] ?? Number.NaN;
  const volume = run.draws.reduce((sum, one) => sum + one.volume, 0);
  const warmth = run.draws.reduce((sum, one) => sum + one.volume * one.temperature, 0);
  const cold = run.draws.reduce((sum, one) => sum + one.volume * one.cold, 0);
  const night = mean(sampleAt(evening)) - mean(sampleAt(morning));
  return [
    {
      id: 'hottest',
      label: 'Hottest, at the top of the last tank',
      kind: 'temperature',
      values: [Math.max(...run.samples.map(({ parts }) => last(parts)))],
      derivation: {
        name: 'Hottest of the day',
        formula: 'sum of (sun kept − loss there) × each minute ÷ (water + metal), draws pushed through',
        source: 'layered store, each part at its own temperature; ISO 9806:2017 fitted to the model of the heater',
        inputs: [{ label: 'sun on the pane over the day', value: insolation, kind: 'insolation' }],
      },
    },
    {
      id: 'breakfast',
      label: `Left at ${breakfast} in the morning`,
      kind: 'temperature',
      values: [last(sampleAt(breakfast))],
    },
    {
      id: 'night',
      label: 'Lost overnight, mean of all water',
      kind: 'temperatureDifference',
      values: [Math.max(0, night)],
    },
    {
      id: 'drawn',
      label: 'Drawn, warmer than mains',
      kind: 'temperatureDifference',
      values: volume > 0 ? [(warmth - cold) / volume] : [],
    },
    { id: 'heat', label: 'Heat drawn in the day', kind: 'energy', values: [run.energy.drawn] },
    {
      id: 'frost',
      label: `${measured('temperature', hardNight.water, 0)} to freezing, full, in air at ${measured('temperature', hardNight.air, 0)}`,
      kind: 'duration',
      values: [frost],
      derivation: {
        name: 'Hours to frost',
        formula: 'sum of (water + metal) × each step of temperature ÷ loss there',
        source:
          'one heat capacity, Duffie and Beckman section 6.12, under a clear sky. Its pipes freeze first: insulation only delays',
        inputs: [
          { label: 'loss, shut and by night, W/K', value: storage.shutLoss, kind: 'number', digits: 1 },
          { label: 'water and metal, kJ/K', value: storage.heatCapacity / 1000, kind: 'number', digits: 0 },
          { label: 'water at', value: hardNight.water, kind: 'temperature' },
          { label: 'air at', value: hardNight.air, kind: 'temperature' },
        ],
      },
    },
    ...(job.need.target > 0 && volume > 0
      ? [
          {
            id: 'share',
            label: `Share of the need, at ${measured('temperature', job.need.target, 0)}`,
            kind: 'number' as const,
            digits: 2,
            values: [
              Math.max(0, Math.min(1, (warmth - cold) / (volume * Math.max(1, job.need.target - cold / volume)))),
            ],
          },
        ]
      : []),
  ];
}
