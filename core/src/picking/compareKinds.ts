import { jobTools, type WorkHours, workHours } from '../building';
import type { Finding } from '../care';
import type { Tool } from '../catalogue';
import { boilsHere, jobFindings, runsEmpty, timeToFreeze } from '../cautions';
import { familyIds, heatersOf, type Job } from '../document';
import { type Family, families, type LeftOut, type Taken } from '../families';
import { evaluateOpen } from '../figures';
import {
  type FrostYear,
  frostYear,
  type HourOfYear,
  type NightMinima,
  nightMinima,
  type WeatherDay,
  weatherDay,
  weatherYear,
} from '../forecasting';
import { jobShop, nightConditions, type OpenJob, openJob, stagnationConditions } from '../job';
import { jobMonths, skySourceOf } from '../site';
import { daysInMonth, mainsTemperature, midMonthDays } from '../sky';
import { freezingAir } from '../thermal';
import { pickKind } from './pickKind';
import { neededHeat, screenDay, screenHours } from './screening';

/** Frost nights in a month from which a heater that holds its water is emptied; of one whose store takes days to freeze. Judgement. */
const shutFrom = { holding: 1, slow: 10 } as const;
/** s. A hard winter night. */
const night = 14 * 3600;
/** Share of a year's heat that a screening may be off beside its weather. Judgement. */
const screening = 0.15;

/** How a heater meets frost. */
export type FrostAnswer = 'empties' | 'glycol' | 'slow' | 'holds';

/** What can be asked of whoever builds it. */
export const skills = ['soldering', 'brazing', 'bending sheet', 'ladder'] as const;
export type Skill = (typeof skills)[number];

/** One kind as it would be here, for this need, from what is on hand. */
export interface KindCase {
  family: string;
  name: string;
  subtitle: string;
  meaning: string;
  job: Job;
  taken: Taken[];
  /** Things on hand that it does not use. */
  left: LeftOut[];
  /** What is cut from bars and sheets of the shed, in words. */
  shed: string[];
  /** Lines of the buy list that are left to buy. */
  toBuy: number;
  count: number;
  /** m². All of them. */
  aperture: number;
  /** J a day on a clear day of midwinter and of midsummer, and in a year, over the mains; 0 where it is emptied then. */
  winter: number;
  summer: number;
  year: { low: number; likely: number; high: number };
  /** J in the months in which the water is wanted most; of the whole year where none are. */
  wanted: number;
  /** J. What the need takes in a year, and the share of it that is met. */
  needed: number;
  share: number;
  /** °C of its hottest place, nothing flowing in full sun. */
  hottest: number | undefined;
  /** Nothing in it reaches what water boils at in the open at this altitude: no place of any of its heaters, dry in the hottest sun. */
  neverBoils: boolean;
  /** `freezes`: °C of the air at which it does, under a clear sky where it holds its water; `nights` are those below it. */
  frost: {
    answer: FrostAnswer;
    stands: boolean;
    seconds?: number;
    freezes: number;
    nights: number;
    months: number;
  };
  /** What makes its water unfit to drink; nothing where it may be drunk. */
  neverDrunk: string | undefined;
  cost: number | undefined;
  hours: WorkHours;
  tools: Tool[];
  skills: Skill[];
  clashes: number;
  /** Stop-level dangers, and cautions. */
  stops: Finding[];
  cautions: Finding[];
}

/** The weather that all kinds are held in: the hours of a year, and a clear day of midwinter and of midsummer. */
interface HereWeather {
  year: readonly HourOfYear[];
  /** °C by month. */
  mains: readonly number[];
  winter: { weather: WeatherDay; month: number };
  summer: { weather: WeatherDay; month: number };
  minima: NightMinima;
  error: number;
}

/** Weather of a site is the same for all kinds. */
export function hereWeather(job: Job): HereWeather {
  const { site } = job;
  const { air } = jobMonths(site);
  const [winter, summer] = site.latitude >= 0 ? [11, 5] : [5, 11];
  const clear = (month: number) => ({ weather: remembered(weatherDay(job, { month, kind: 'clear' })), month });
  return {
    year: weatherYear(job),
    mains: midMonthDays.map((day) => mainsTemperature({ air, day: Math.round(day), measured: site.mains })),
    winter: clear(winter),
    summer: clear(summer),
    minima: nightMinima(site),
    error: skySourceOf(site, true).error,
  };
}

/** A day whose hours are worked out once. */
function remembered(day: WeatherDay): WeatherDay {
  const known = new Map<number, ReturnType<WeatherDay['at']>>();
  return {
    get insolation() {
      return day.insolation;
    },
    at: (second) => {
      const found = known.get(second) ?? day.at(second);
      known.set(second, found);
      return found;
    },
  };
}

/** How a job's heaters meet frost, and s until one that is its own store freezes in a hard night. */
export function frostAnswer(open: OpenJob): { answer: FrostAnswer; seconds?: number } {
  const { loop } = open.job;
  if (loop.glycol) return { answer: 'glycol' };
  if (open.groups.some(({ thermal }) => thermal.integralStorage)) {
    const seconds = Math.min(...open.panels.map((_, index) => timeToFreeze(open, index)));
    return { answer: seconds > 2 * night ? 'slow' : 'holds', seconds };
  }
  const empties = open.panels.every(({ design }) => runsEmpty(design, loop));
  return { answer: empties ? 'empties' : 'holds' };
}

/** °C of the air at which water of a job freezes: as a heater that holds it does by a clear night, as open water where none does. */
function freezesBelow(open: OpenJob, answer: FrostAnswer): number {
  if (answer === 'empties' || answer === 'glycol') return 0;
  const held = open.panels.filter(({ design }) => !runsEmpty(design, open.job.loop));
  return Math.max(0, ...held.map(({ design }) => freezingAir(design.thermal, (air) => nightConditions(open.job, air))));
}

/** How a job's heaters meet frost here, and the nights of it. */
function frostHere(open: OpenJob, here: HereWeather): ReturnType<typeof frostAnswer> & FrostYear & { freezes: number } {
  const met = frostAnswer(open);
  const freezes = freezesBelow(open, met.answer);
  return { ...met, freezes, ...frostYear(here.minima, freezes) };
}

/** Whether a month is worked in. */
function worked(answer: FrostAnswer, nights: number): boolean {
  if (answer === 'empties' || answer === 'glycol') return true;
  return nights < (answer === 'slow' ? shutFrom.slow : shutFrom.holding);
}

/** A year of a job's heaters by the hour, the months in which frost shuts it left out. */
export function screenYear(
  open: OpenJob,
  here: HereWeather,
  frost = frostHere(open, here),
): { given: number; months: Float64Array; needed: number; shut: number } {
  const works = daysInMonth.map((_, month) => worked(frost.answer, frost.months[month] ?? 0));
  const needed = daysInMonth.reduce(
    (sum, days, month) => sum + days * neededHeat(open.job, here.mains[month] ?? 10),
    0,
  );
  const months = screenHours(open, here.year, here.mains, works);
  return {
    given: months.reduce((sum, one) => sum + one, 0),
    months,
    needed,
    shut: works.filter((runs) => !runs).length,
  };
}

/** Whether nothing in it boils, standing dry in the hottest clear hour of the place, at the pressure of the air there. */
function neverBoils({ job, panels }: OpenJob): boolean {
  const boils = boilsHere(job);
  return panels.every(
    ({ design }) =>
      !design.boilsInside &&
      Math.max(...Object.values(design.thermal.state(stagnationConditions(job, design.thermal)).places)) < boils,
  );
}

/** One kind here. Throws what the model of a kind throws where it cannot be worked out. */
export function kindCase(job: Job, familyId: string, here: HereWeather): KindCase {
  const family: Family = families[familyId as keyof typeof families];
  const { job: made, taken, left } = pickKind(job, familyId);
  const open = openJob(made);
  const { plan } = jobShop(open);
  const figures = evaluateOpen(open, {}, plan);
  const own = plan.buy.filter(({ rule }) => rule === 'on hand');
  const frost = frostHere(open, here);
  const { answer, seconds, freezes, nights, months } = frost;
  const year = screenYear(open, here, frost);
  const clear = ({ weather, month }: HereWeather['winter']): number =>
    worked(answer, months[month] ?? 0) ? screenDay(open, weather, here.mains[month] ?? 10).given : 0;
  const findings = jobFindings(open);
  const spread = Math.hypot(here.error, screening);
  const tools = jobTools(open);
  return {
    family: familyId,
    name: family.name,
    subtitle: family.subtitle,
    meaning: family.meaning,
    job: made,
    taken,
    left,
    shed: own.map(({ name, quantity }) => `${quantity} of ${name} out of the shed`),
    toBuy: plan.buy.length - own.length - plan.buy.filter((line) => line.have).length,
    count: heatersOf(made)[0]?.count ?? 1,
    aperture: figures.apertureArea,
    winter: clear(here.winter),
    summer: clear(here.summer),
    year: {
      low: (1 - spread) * year.given,
      likely: year.given,
      high: Math.min(year.needed, (1 + spread) * year.given),
    },
    wanted: (made.need.months ?? []).reduce((sum, month) => sum + (year.months[month - 1] ?? 0), 0) || year.given,
    needed: year.needed,
    share: year.needed > 0 ? year.given / year.needed : 0,
    hottest: figures.stagnationTemperature,
    neverBoils: neverBoils(open),
    frost: {
      answer,
      stands: answer === 'empties' || answer === 'glycol',
      ...(seconds === undefined ? {} : { seconds }),
      freezes,
      nights,
      months: year.shut,
    },
    neverDrunk: open.panels.map(({ design }) => design.neverDrunk).find((one) => one !== undefined),
    cost: figures.cost,
    hours: workHours(open),
    tools,
    skills: skillsOf(open, tools),
    clashes: findings.filter(({ severity }) => severity === 'clash').length,
    stops: findings.filter(({ severity }) => severity === 'stop'),
    cautions: findings.filter(({ severity }) => severity === 'caution'),
  };
}

function skillsOf(open: OpenJob, tools: readonly Tool[]): Skill[] {
  const has = (tool: Tool) => tools.includes(tool);
  const brazes = open.panels.some(({ design }) => design.purchases.some(({ priceKey }) => priceKey === 'braze'));
  return [
    ...(has('torch') ? (['soldering'] as const) : []),
    ...(brazes ? (['brazing'] as const) : []),
    ...(has('folding bars') ? (['bending sheet'] as const) : []),
    ...(has('ladder') ? (['ladder'] as const) : []),
  ];
}

/** What was worked out of a kind, or why it cannot be. */
export type KindOutcome = KindCase | { family: string; name: string; trouble: string };

/** Every kind here. Some seconds' work on a slow machine: for a worker. */
export function compareKinds(job: Job): KindOutcome[] {
  const here = hereWeather(job);
  return familyIds.map((family) => kindOutcome(job, family, here));
}

/** One kind here, or why it cannot be worked out. */
export function kindOutcome(job: Job, family: string, here: HereWeather): KindOutcome {
  try {
    return kindCase(job, family, here);
  } catch (error) {
    const { name } = families[family as keyof typeof families];
    return { family, name, trouble: error instanceof Error ? error.message : String(error) };
  }
}

/** J a year for each unit of money; 0 where its price is not known. */
function worth({ cost, year }: KindCase): number {
  return cost !== undefined && cost > 0 ? year.likely / cost : 0;
}

/** The kind that gives most heat in a year, and the one that gives most for its money; nothing of none. */
export function bestKinds(kinds: readonly KindCase[]): { heat: KindCase; money: KindCase } | undefined {
  const [first] = kinds;
  if (!first) return undefined;
  return {
    heat: kinds.reduce((best, one) => (one.year.likely > best.year.likely ? one : best), first),
    money: kinds.reduce((best, one) => (worth(one) > worth(best) ? one : best), first),
  };
}
