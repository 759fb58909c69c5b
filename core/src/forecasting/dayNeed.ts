import type { Job } from '../document';
import type { Draw } from '../run';

const hour = 3600;

/** Parts of a day's need by what it is for: hour, share, and minutes that it takes. Judgement, from how such water is used. */
const profiles: Record<Job['need']['kind'], readonly (readonly [hour: number, share: number, minutes: number])[]> = {
  showers: [
    [7, 0.3, 10],
    [18.5, 0.35, 15],
    [20, 0.35, 15],
  ],
  washing: [
    [7, 0.5, 20],
    [18, 0.5, 20],
  ],
  growing: [
    [8, 0.5, 60],
    [16, 0.5, 60],
  ],
  pool: [[12, 1, 240]],
  other: [
    [8, 0.5, 20],
    [18, 0.5, 20],
  ],
};
/** s from the full hour at which what was drawn by the hour begins, and how long it takes. */
const drawn = { after: 900, lasts: 1800 } as const;

/** Share of the day's need in each hour from midnight, 24 of them that come to 1: as the builder drew it, or by what it is for. */
export function needByHour({ kind, hours }: Pick<Job['need'], 'kind' | 'hours'>): number[] {
  if (hours) {
    const whole = hours.reduce((sum, part) => sum + part, 0);
    return hours.map((part) => part / whole);
  }
  const shares = new Array<number>(24).fill(0);
  for (const [at, share, minutes] of profiles[kind]) {
    const long = minutes / 60;
    for (let from = at; from < at + long - 1e-9; from = Math.floor(from) + 1) {
      const to = Math.min(at + long, Math.floor(from) + 1);
      const place = Math.floor(from) % 24;
      shares[place] = (shares[place] ?? 0) + (share * (to - from)) / long;
    }
  }
  return shares;
}

/** m³ that are wanted in each hour of a day. */
export function volumeByHour(need: Pick<Job['need'], 'kind' | 'hours' | 'volumePerDay'>): number[] {
  return needByHour(need).map((share) => share * need.volumePerDay);
}

/** m³: the day's volume is told to a tenth of a litre in each hour. */
const finest = 1e-4;

/** What changes in a need when one hour of its day is drawn anew (m³): its hours, and the day's volume with them; nothing where no water would be left. */
export function withHour(
  need: Pick<Job['need'], 'kind' | 'hours' | 'volumePerDay'>,
  hour: number,
  volume: number,
): { path: string; value: unknown }[] {
  const hours = volumeByHour(need).map((one, at) => Math.round((at === hour ? Math.max(0, volume) : one) / finest));
  const whole = hours.reduce((sum, one) => sum + one, 0);
  if (whole === 0) return [];
  return [
    { path: 'need.hours', value: hours.map((one) => one / 10) },
    { path: 'need.volumePerDay', value: whole * finest },
  ];
}

/** What is drawn in a day, by the job's need, shared among its heaters. */
export function dailyDraws({ need, heaters: all }: Pick<Job, 'need' | 'heaters'>): Draw[] {
  const heaters = Object.values(all).reduce((sum, { count }) => sum + count, 0);
  if (need.hours)
    return needByHour(need).flatMap((share, at) =>
      share > 0
        ? [
            {
              second: at * hour + drawn.after,
              volume: (need.volumePerDay * share) / heaters,
              duration: drawn.lasts,
            },
          ]
        : [],
    );
  return profiles[need.kind].map(([at, share, minutes]) => ({
    second: at * hour,
    volume: (need.volumePerDay * share) / heaters,
    duration: minutes * 60,
  }));
}
