import { turn } from '../angles';
import {
  allMonths,
  type Best,
  bestMonthly,
  bestStanding,
  bestTwo,
  type Months,
  seasonMonths,
  standingGrid,
  sumOver,
  type TwoPositions,
  tiltTable,
} from './best';
import { type RoofPitch, type SchoolResult, schoolsCompared } from './designRules';
import { type Around, monthsOnPane, type PaneOrientation, type SkyYear } from './skyYear';

/** A direction or a tilt off where the pane stands, and the share of the best fixed pane that it gets. */
export interface OffPoint {
  /** Degrees: off the aim, or the tilt itself. */
  at: number;
  year: number;
  darkest: number;
}

/** All that can be said about how a pane might stand at a place. Sun in J/m². */
export interface StandingStudy {
  /** Best fixed pane over the year, over winter, over summer, and over the months asked about. */
  best: { year: Best; winter: Best; summer: Best; chosen: Best };
  chosenMonths: number[];
  /** At the aim as it stands. */
  two: TwoPositions;
  monthly: { tilts: number[]; sun: number };
  /** Month, 1 to 12, in which the best fixed pane gets least. */
  darkestMonth: number;
  /** Most that a pane set for that month alone could get in it. */
  darkestBest: number;
  offAim: OffPoint[];
  offTilt: OffPoint[];
  schools: SchoolResult[];
}

export interface StudyQuery {
  latitude: number;
  standing: PaneOrientation;
  /** Months that matter most to this builder; all when left out. */
  months?: Months;
  roof?: RoofPitch | undefined;
}

/** The whole study. About 700 panes over a year: tens of milliseconds, for a worker. */
export function studyStanding(sky: SkyYear, place: Around, query: StudyQuery): StandingStudy {
  const { latitude, standing } = query;
  const grid = standingGrid(sky, place);
  const { winter, summer } = seasonMonths(latitude);
  const chosenMonths = query.months && query.months.length > 0 ? query.months : allMonths;
  const best = {
    year: bestStanding(sky, place, grid),
    winter: bestStanding(sky, place, grid, winter),
    summer: bestStanding(sky, place, grid, summer),
    chosen: bestStanding(sky, place, grid, chosenMonths),
  };
  const bestMonths = monthsOnPane(sky, place, best.year);
  const least = bestMonths.reduce((low, sun, month) => (sun < (bestMonths[low] ?? 0) ? month : low), 0);
  const darkestMonth = least + 1;
  const darkestBest = bestStanding(sky, place, grid, [darkestMonth]).sun;
  const off = (at: number, pane: PaneOrientation): OffPoint => {
    const months = monthsOnPane(sky, place, pane);
    return {
      at,
      year: share(sumOver(months, allMonths), best.year.sun),
      darkest: share(months[least] ?? 0, darkestBest),
    };
  };
  const table = tiltTable(sky, place, standing.aim);
  return {
    best,
    chosenMonths: [...chosenMonths],
    two: bestTwo(table),
    monthly: bestMonthly(table),
    darkestMonth,
    darkestBest,
    offAim: range(-90, 90, 5).map((at) => off(at, { tilt: standing.tilt, aim: turn(best.year.aim + at) })),
    offTilt: range(0, 90, 5).map((at) => off(at, { tilt: at, aim: standing.aim })),
    schools: schoolsCompared(sky, place, { ...query, best: best.year }),
  };
}

export function share(part: number, whole: number): number {
  return whole > 0 ? part / whole : 0;
}

function range(from: number, to: number, step: number): number[] {
  return Array.from({ length: Math.floor((to - from) / step) + 1 }, (_, index) => from + index * step);
}

/** How a pane does beside the best ones of a study. */
export interface StandingShares {
  year: number;
  darkest: number;
  chosen: number;
}

export function sharesOf(months: readonly number[], study: StandingStudy): StandingShares {
  return {
    year: share(sumOver(months, allMonths), study.best.year.sun),
    darkest: share(months[study.darkestMonth - 1] ?? 0, study.darkestBest),
    chosen: share(sumOver(months, study.chosenMonths), study.best.chosen.sun),
  };
}
