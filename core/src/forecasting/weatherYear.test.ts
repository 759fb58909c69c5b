import { expect } from 'chai';
import { beginJob, type Job } from '../document';
import { jobMonths } from '../site';
import { daysInMonth } from '../sky';
import { weatherDay, weatherYear, yearInsolation } from '.';

const place = { latitude: 52.3, longitude: -1.9 };
const begin = (where = place): Job => beginJob('harp', { units: 'metric', name: 'Year', where });
const tilted = (job: Job, tilt: number): Job => ({
  ...job,
  site: { ...job.site, standing: { ...job.site.standing, tilts: { 'tilt-a': { order: 0, name: 'a', tilt } } } },
});
const job = begin();
const year = weatherYear(job);

describe('forecasting: the hours of a year', () => {
  it('are as many as the year has, each month with its own, by the clock of the place', () => {
    expect(year).length(8760);
    for (const [month, days] of daysInMonth.entries())
      expect(year.filter((one) => one.month === month).length, `${month}`).closeTo(24 * days, 8);
    for (let hour = 0; hour < 24; hour += 1)
      expect(year.filter((one) => one.hour === hour).length, `${hour}`).closeTo(365, 2);
  });
  it('have the sun of every month on a flat pane', () => {
    const flat = weatherYear(tilted(job, 0));
    for (const [month, global] of jobMonths(job.site).global.entries()) {
      const hours = flat.filter((one) => one.month === month);
      const mean = hours.reduce((sum, { boundary }) => sum + boundary.irradiance, 0) / hours.length;
      expect(mean / global, `${month}`).within(0.95, 1.05);
    }
  });
  it('sum to what they are', () => {
    const sum = year.reduce((all, { boundary }) => all + boundary.irradiance, 0);
    expect(yearInsolation(year)).closeTo(3600 * sum, 1);
    // A pane at the latitude, cloudy: 900 to 1 400 kWh/m².
    expect(yearInsolation(year) / 3.6e6).within(900, 1400);
  });
  it('have the noon of the place at noon, wherever that is', () => {
    for (const longitude of [-105.8, 0, 151.2]) {
      const sums = new Array<number>(24).fill(0);
      for (const { hour, boundary } of weatherYear(begin({ latitude: 36.6, longitude })))
        sums[hour] = (sums[hour] ?? 0) + boundary.irradiance;
      const middle =
        sums.reduce((all, sum, hour) => all + sum * (hour + 0.5), 0) / sums.reduce((all, sum) => all + sum, 0);
      expect(middle, `${longitude}`).within(11, 13.6);
    }
  });
  it('have more beam than a mean day that is hazy all through, and dull hours too', () => {
    const june = year.filter(({ month, boundary }) => month === 5 && boundary.irradiance > 300);
    const beam = june.reduce((sum, { boundary }) => sum + boundary.irradiance * boundary.beamShare, 0);
    const all = june.reduce((sum, { boundary }) => sum + boundary.irradiance, 0);
    const noon = weatherDay(job, { month: 5, kind: 'average' }).at(12 * 3600);
    expect(beam / all).above(noon.beamShare);
    const dull = year.filter(({ month, hour, boundary }) => month === 5 && hour === 12 && boundary.irradiance < 250);
    expect(dull.length).above(2);
  });
  it('tell shares that are shares', () => {
    for (const { boundary } of year) {
      expect(boundary.beamShare).within(0, 1);
      expect(boundary.groundShare).within(0, 1);
      expect(boundary.incidence).within(0, 89);
      expect(boundary.surroundings).at.most(boundary.air + 1e-9);
    }
  });
});
