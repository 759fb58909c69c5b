import type { Job } from '../document';
import { jobMonths } from '../site';
import { middleOf, syntheticYear } from '../sky';

/** Made-up years that the nights are counted in: chance of one alone moves the count by a tenth. */
const seeds = [1, 2] as const;
const day = 86_400_000;

/** °C of the coldest hour of every night of some made-up years, by month. */
export interface NightMinima {
  years: number;
  /** By month, January first. */
  months: readonly (readonly number[])[];
}

/** Nights of a year in which something freezes. */
export interface FrostYear {
  nights: number;
  /** By month, January first. */
  months: number[];
}

/** The coldest hours of the nights at a place, by synthetic years of its twelve means. A fifth of a second. */
export function nightMinima(site: Job['site']): NightMinima {
  const months = Array.from({ length: 12 }, (): number[] => []);
  for (const seed of seeds) {
    const series = syntheticYear(jobMonths(site), site, seed);
    const { air } = series.columns;
    const coldest = new Map<number, number>();
    for (let index = 0; index < series.length; index += 1) {
      // A night is one, though its hours lie in two days: from noon to noon, by the sun.
      const solar = middleOf(series, index) + (site.longitude / 15) * 3_600_000;
      const night = Math.floor((solar - day / 2) / day);
      coldest.set(night, Math.min(coldest.get(night) ?? Number.POSITIVE_INFINITY, air?.[index] ?? Number.NaN));
    }
    for (const [night, lowest] of coldest) months[new Date((night + 1) * day).getUTCMonth()]?.push(lowest);
  }
  return { years: seeds.length, months };
}

/**
 * Nights of an average year whose coldest hour falls below a temperature of the air.
 *
 * @param freezing °C at which it freezes: 0 for water in the open, above it for what looks at a clear sky
 */
export function frostYear({ years, months }: NightMinima, freezing = 0): FrostYear {
  const counts = months.map((nights) => nights.filter((lowest) => lowest < freezing).length / years);
  return { nights: counts.reduce((sum, one) => sum + one, 0), months: counts };
}

/** °C of the air at which the first heaters freeze: bare black ones, under a clear sky (Berdahl and Martin 1984 with wind of 0.5 m/s: 4 to 6). */
const firstFreezes = 5;

/** Whether frost must be thought of at a place: in a night of an average year the barest heater freezes. */
export function frostMatters(minima: NightMinima): boolean {
  return frostYear(minima, firstFreezes).nights >= 1;
}
