import type { Job } from '../document';
import { jobMonths } from '../site';
import { daysInMonth } from '../sky';
import { airSwing } from './weatherDay';

/** K by which the mean of one day is off that of its month, standard deviation. Judgement, from temperate weather: 3 to 5. */
const dayToDay = 4;
/** W/m² of a month's mean at which its days swing as clear ones do. Judgement: a month of clear summer days. */
const clearMonth = 300;

/** Nights of a year that fall below freezing. */
export interface FrostYear {
  nights: number;
  /** By month, January first. */
  months: number[];
}

/**
 * Nights below 0 °C at a place: the coldest hour of a day lies half its swing below its mean, which is little where a month has little sun, and means
 * of days are spread normally about that of the month. Judgement throughout: to a third either way.
 */
export function frostYear(site: Job['site']): FrostYear {
  const { air, global } = jobMonths(site);
  const swing = (month: number) =>
    airSwing.bad + (airSwing.clear - airSwing.bad) * Math.min(1, (global[month] ?? 0) / clearMonth);
  const months = daysInMonth.map((days, month) => days * below((0 - ((air[month] ?? 10) - swing(month))) / dayToDay));
  return { nights: months.reduce((sum, one) => sum + one, 0), months };
}

/** Share of a standard normal distribution below a deviate: Abramowitz and Stegun 26.2.17, to 7.5e-8. */
function below(deviate: number): number {
  const t = 1 / (1 + 0.2316419 * Math.abs(deviate));
  const tail =
    (Math.exp((-deviate * deviate) / 2) / Math.sqrt(2 * Math.PI)) *
    t *
    (0.31938153 + t * (-0.356563782 + t * (1.781477937 + t * (-1.821255978 + t * 1.330274429))));
  return deviate > 0 ? 1 - tail : tail;
}
