import { sayFinding } from '../cautions';
import { type Job, thingsOnHand } from '../document';
import { type LeftOut, saySalvage } from '../families';
import { formatIn, formatMoney, formatNumber, type Habit, measured } from '../quantity';
import type { KindCase } from './compareKinds';
import { kilowattHours, sayHeat } from './energy';

/** What speaks for a kind here and what against it, sentences with quantities by `measured` and `sized`. */
export interface Reasons {
  for: string[];
  against: string[];
}

/** Shares of a need from which a kind meets it, and under which it hardly does. */
const meets = { well: 0.6, hardly: 0.25 } as const;
/** Of a clear summer day, under which a clear winter day is little. */
const littleInWinter = 0.5;
/** Cautions about frost: it has a sentence of its own. */
const frostCodes = new Set(['store-freezes', 'plain-water-freezes', 'panel-holds-water']);
/** °C above which what lies in a heater begins to suffer: soft solder has no rating beyond it. */
const hot = 121;
/** Hours of work from which it is long. */
const manyHours = 15;

/** kWh of heat in a kWh bought, by what heats the water now. Judgement: heaters as they stand in houses. */
export const heatShare: Record<NonNullable<Job['need']['heats']>['by'], number> = {
  electricity: 0.98,
  gas: 0.75,
  oil: 0.7,
  wood: 0.55,
};

/** Money that some heat a year saves, by what heats the water now; undefined where that is not said. */
export function savedBy({ need }: Pick<Job, 'need'>, heat: number): number | undefined {
  if (!need.heats || need.heats.price === 0) return undefined;
  return (kilowattHours(heat) / heatShare[need.heats.by]) * need.heats.price;
}

/** Years until what is saved has paid what it costs; undefined where nothing is saved or known. */
export function yearsToPay(
  job: Pick<Job, 'need'>,
  { cost, year }: Pick<KindCase, 'cost' | 'year'>,
): number | undefined {
  const saved = savedBy(job, year.likely);
  return cost === undefined || saved === undefined || saved <= 0 ? undefined : cost / saved;
}

const percent = (share: number) => `${Math.round(100 * share)} %`;
const plural = (count: number, one: string, many: string) => `${count} ${count === 1 ? one : many}`;

/** Reasons for and against a kind, from its own numbers. */
export function reasonsOf(job: Job, one: KindCase, habit: Habit): Reasons {
  const [good, bad]: [string[], string[]] = [[], []];
  const year = `${sayHeat(one.year.likely)} of the ${sayHeat(one.needed)} a year that the need takes, ${percent(one.share)}`;
  if (one.share >= meets.well) good.push(`Gives ${year}.`);
  else if (one.share < meets.hardly) bad.push(`Gives only ${year}.`);
  else good.push(`Gives ${year}; the rest is heated as now.`);
  frostReasons(one, good, bad);
  if (one.neverDrunk === undefined)
    good.push('Its water may be drunk where every joint is lead-free and codes are kept.');
  else bad.push(`Never for drinking: ${one.neverDrunk}.`);
  if (one.summer > 0 && one.winter > 0 && one.winter < littleInWinter * one.summer)
    bad.push(`A clear midwinter day gives ${sayHeat(one.winter)}, a clear midsummer day ${sayHeat(one.summer)}.`);
  if (one.hottest !== undefined && one.hottest > hot)
    bad.push(
      `With nothing drawn in full sun it reaches ${measured('temperature', one.hottest, 0)}: plastic, soft solder and glycol must bear it or stay out of it.`,
    );
  else if (one.hottest !== undefined && one.neverBoils)
    good.push(`It never gets hotter than ${measured('temperature', one.hottest, 0)}: nothing in it boils.`);
  if (one.skills.length === 0) good.push('No torch, no folding bars, no ladder work in its steps.');
  else bad.push(`Asks for ${one.skills.join(', ')}.`);
  if (one.hours.likely > manyHours)
    bad.push(
      `Some ${formatNumber(one.hours.likely, 0)} hours of work, ${formatNumber(one.hours.low, 0)} to ${formatNumber(one.hours.high, 0)}.`,
    );
  moneyReasons(job, one, good, bad);
  const takes = [...one.taken.map(({ words }) => words), ...one.shed];
  if (takes.length > 0)
    good.push(`Takes ${takes.join(', ')}; ${plural(one.toBuy, 'line is', 'lines are')} left to buy.`);
  for (const left of one.left) bad.push(leftOutWords(job, one, left, habit));
  for (const caution of one.cautions)
    if (!frostCodes.has(caution.code)) bad.push(`Mind: ${sayFinding(caution, habit).headline}.`);
  for (const stop of one.stops) bad.push(`Stop: ${sayFinding(stop, habit).headline}.`);
  if (one.clashes > 0)
    bad.push(
      `${plural(one.clashes, 'thing does', 'things do')} not fit yet as it stands here; Size says what mends it.`,
    );
  return { for: good, against: bad };
}

/** Why a thing on hand is not in it. */
function leftOutWords(job: Job, { name }: KindCase, { id, finding, fitsAt }: LeftOut, habit: Habit): string {
  const thing = thingsOnHand(job.shop).find((one) => one.id === id);
  const what = thing ? saySalvage(thing) : 'what is on hand';
  if (!finding) return `Does not use ${what}: no ${name.toLowerCase()} is made of it.`;
  const why = `Does not use ${what}: ${sayFinding(finding, habit).headline}.`;
  return fitsAt === undefined
    ? why
    : `${why} With the pane at ${fitsAt}° or flatter it goes: the tilt is set on Place.`;
}

function frostReasons({ frost }: KindCase, good: string[], bad: string[]): void {
  const nights = Math.round(frost.nights);
  // Under a clear sky a heater freezes in air above 0 °C: the temperature stands beside the count.
  const below = measured('temperature', frost.freezes, 0);
  if (nights === 0) {
    good.push(`No night of an average year here is colder than ${below}, where it would freeze.`);
    return;
  }
  const here = plural(nights, 'night', 'nights');
  if (frost.answer === 'empties') good.push(`It freezes ${here} a year here; it runs empty when the pump stops.`);
  else if (frost.answer === 'glycol') good.push(`It freezes ${here} a year here; glycol stands that.`);
  else {
    const lasts =
      frost.seconds !== undefined && Number.isFinite(frost.seconds)
        ? ` Its water lasts ${formatIn('duration', frost.seconds, 'h', 0).text} at ${measured('temperature', -10, 0)}, its pipes far less.`
        : '';
    const idle =
      frost.months > 0
        ? `it is empty for ${plural(frost.months, 'month', 'months')}`
        : 'it is emptied before each of them';
    bad.push(`It holds its water and freezes when the air is below ${below}, ${here} a year here: ${idle}.${lasts}`);
  }
}

function moneyReasons(job: Job, one: KindCase, good: string[], bad: string[]): void {
  if (one.cost === undefined) return;
  const money = (value: number) => formatMoney(value, job.currency, 0);
  const saved = savedBy(job, one.year.likely);
  const years = yearsToPay(job, one);
  if (saved !== undefined && years !== undefined) {
    const words = `Costs ${money(one.cost)} to buy and saves ${money(saved)} a year: ${years < 50 ? `paid after ${formatNumber(years, years < 3 ? 1 : 0)} years` : 'it is never paid'}.`;
    (years <= 10 ? good : bad).push(words);
    return;
  }
  const perUnit = one.year.likely > 0 ? one.cost / kilowattHours(one.year.likely) : undefined;
  const words = `Costs ${money(one.cost)} to buy${perUnit === undefined ? '' : `, ${formatMoney(perUnit, job.currency, 2)} for each kWh that it gives in a year`}.`;
  bad.push(words);
}
