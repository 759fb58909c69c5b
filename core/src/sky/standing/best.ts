import { type Around, daysInMonth, monthsOnPane, type PaneOrientation, type SkyYear } from './skyYear';

/** Degrees between tilts and between aims of the first, coarse look. */
export const gridSteps = { tilt: 5, aim: 10 } as const;
const tiltCount = 90 / gridSteps.tilt + 1;
const aimCount = 360 / gridSteps.aim;

/** J/m² by month over all tilts and aims: place = (tilt × aims + aim) × 12 + month. */
export interface StandingGrid {
  sums: Float64Array;
}

/** Looks at every tilt and aim once. */
export function standingGrid(sky: SkyYear, place: Around): StandingGrid {
  const sums = new Float64Array(tiltCount * aimCount * 12);
  for (let tilt = 0; tilt < tiltCount; tilt += 1) {
    for (let aim = 0; aim < aimCount; aim += 1) {
      const pane = { tilt: tilt * gridSteps.tilt, aim: aim * gridSteps.aim };
      sums.set(monthsOnPane(sky, place, pane), (tilt * aimCount + aim) * 12);
    }
  }
  return { sums };
}

/** Months that are asked about, 1 to 12. */
export type Months = readonly number[];
export const allMonths: Months = [1, 2, 3, 4, 5, 6, 7, 8, 9, 10, 11, 12];

/** The three months about the winter solstice of a hemisphere, and those about the summer solstice. */
export function seasonMonths(latitude: number): { winter: Months; summer: Months } {
  const december: Months = [11, 12, 1];
  const june: Months = [5, 6, 7];
  return latitude >= 0 ? { winter: december, summer: june } : { winter: june, summer: december };
}

export function sumOver(months: readonly number[], asked: Months): number {
  return asked.reduce((sum, month) => sum + (months[month - 1] ?? 0), 0);
}

/** A pane and what it gets, J/m² over the months asked about. */
export interface Best extends PaneOrientation {
  sun: number;
}

/** The best of the grid, then refined to half a degree by ever smaller steps. */
export function bestStanding(sky: SkyYear, place: Around, grid: StandingGrid, asked: Months = allMonths): Best {
  let best: Best = { tilt: 0, aim: 0, sun: -1 };
  for (let index = 0; index < tiltCount * aimCount; index += 1) {
    const sun = asked.reduce((sum, month) => sum + (grid.sums[index * 12 + month - 1] ?? 0), 0);
    if (sun > best.sun)
      best = {
        tilt: Math.floor(index / aimCount) * gridSteps.tilt,
        aim: (index % aimCount) * gridSteps.aim,
        sun,
      };
  }
  for (let step = gridSteps.tilt / 2; step >= 0.5; step /= 2) {
    for (let moved = true; moved; ) {
      moved = false;
      for (const [tilt, aim] of [
        [best.tilt + step, best.aim],
        [best.tilt - step, best.aim],
        [best.tilt, best.aim + 2 * step],
        [best.tilt, best.aim - 2 * step],
      ] as const) {
        if (tilt < 0 || tilt > 90) continue;
        const pane = { tilt, aim: (aim + 360) % 360 };
        const sun = sumOver(monthsOnPane(sky, place, pane), asked);
        if (sun > best.sun * (1 + 1e-7)) {
          best = { ...pane, sun };
          moved = true;
        }
      }
    }
  }
  return best;
}

/** J/m² by month at every whole degree of tilt, for one aim. */
export function tiltTable(sky: SkyYear, place: Around, aim: number): number[][] {
  return Array.from({ length: 91 }, (_, tilt) => monthsOnPane(sky, place, { tilt, aim }));
}

export interface TwoPositions {
  /** Degrees; the months, 1 to 12, in which each is in use. */
  steep: { tilt: number; months: number[] };
  shallow: { tilt: number; months: number[] };
  sun: number;
}

/** The two tilts that together get most, at one aim; each month has the better of the two. */
export function bestTwo(table: readonly (readonly number[])[]): TwoPositions {
  let best = { low: 0, high: 0, sun: -1 };
  for (let low = 0; low <= 90; low += 1) {
    for (let high = low; high <= 90; high += 1) {
      let sun = 0;
      for (let month = 0; month < 12; month += 1) sun += Math.max(table[low]?.[month] ?? 0, table[high]?.[month] ?? 0);
      if (sun > best.sun * (1 + 1e-9)) best = { low, high, sun };
    }
  }
  const inUse = (mine: number, other: number, onTie: boolean) =>
    allMonths.filter((month) => {
      const here = table[mine]?.[month - 1] ?? 0;
      const there = table[other]?.[month - 1] ?? 0;
      return here > there || (here === there && onTie);
    });
  return {
    steep: { tilt: best.high, months: inUse(best.high, best.low, false) },
    shallow: { tilt: best.low, months: inUse(best.low, best.high, true) },
    sun: best.sun,
  };
}

/** The best tilt of each month at one aim, and what they get together. */
export function bestMonthly(table: readonly (readonly number[])[]): { tilts: number[]; sun: number } {
  const tilts = allMonths.map((month) => {
    let best = 0;
    for (let tilt = 1; tilt <= 90; tilt += 1)
      if ((table[tilt]?.[month - 1] ?? 0) > (table[best]?.[month - 1] ?? 0)) best = tilt;
    return best;
  });
  const sun = tilts.reduce((sum, tilt, month) => sum + (table[tilt]?.[month] ?? 0), 0);
  return { tilts, sun };
}

/** J/m² a day in each month. */
export function perDay(months: readonly number[]): number[] {
  return months.map((sum, month) => sum / (daysInMonth[month] ?? 30));
}
