import { expect } from 'chai';
import { beginJob, familyIds } from '../document';
import { frostYear, needByHour } from '../forecasting';
import { openJob } from '../job';
import { jobMonths } from '../site';
import {
  dayOfYear,
  incidenceAngle,
  mainsTemperature,
  paneAngles,
  skyTemperature,
  splitGlobal,
  sunPosition,
  surroundingsTemperature,
  syntheticYear,
  tiltedIrradiance,
  windAtPanel,
} from '../sky';
import type { OperatingConditions } from '../thermal';
import { hereWeather, kindCase, storeLoss } from '.';

const hour = 3600;

/**
 * J that a kind gives in a synthetic year by the hour, its store stepped forward by real states of its model, or its own water by what the model
 * gathers: no fit, no line, no step backward.
 */
function byTheHour(where: { latitude: number; longitude: number }, family: string): { year: number; screened: number } {
  const job = beginJob('harp', { units: 'metric', name: 'Hours', where });
  const { site, need } = job;
  const here = hereWeather(job);
  const screened = kindCase(job, family, here);
  const { thermal, count } = openJob(screened.job).groups[0] ?? {};
  if (!thermal || !count) throw new Error('no heater');
  const months = jobMonths(site);
  const weather = syntheticYear(months, site, 3);
  const { columns } = weather;
  const [tilt] = Object.values(site.standing.tilts).map((one) => one.tilt);
  const { aim } = site.standing;
  const own = thermal.integralStorage;
  const volume = Object.values(screened.job.stores)[0]?.volume ?? 0;
  const capacity = own ? count * (thermal.capacity.water + thermal.capacity.dry) : volume * 992.2 * 4179;
  const loss = own ? 0 : storeLoss(volume);
  const shares = needByHour(need);
  const frost = frostYear(here.minima, screened.frost.freezes);
  let [water, year] = [15, 0];
  for (let index = 0; index < weather.length; index += 1) {
    const at = new Date(weather.start + (index + 0.5) * hour * 1000);
    // Water is drawn by the clock on the wall: by the sun, to the hour, and no summer time.
    const clock = new Date(at.getTime() + Math.round(site.longitude / 15) * hour * 1000).getUTCHours();
    const month = at.getUTCMonth();
    const air = columns.air?.[index] ?? 0;
    const mains = mainsTemperature({ air: months.air, day: dayOfYear(at), measured: null });
    const works = screened.frost.stands || (frost.months[month] ?? 0) < 1;
    const global = columns.global?.[index] ?? 0;
    const sun = sunPosition({ at, ...site });
    const lit = global > 5 && sun.zenith < 89;
    if (works && (lit || own)) {
      const split = splitGlobal({ global, zenith: sun.zenith, dayOfYear: dayOfYear(at) });
      const pane = tiltedIrradiance({
        model: 'perez',
        ...split,
        global,
        ...sun,
        tilt: tilt ?? 45,
        aim,
        dayOfYear: dayOfYear(at),
        albedo: 0.2,
      });
      const looks = skyTemperature({
        air,
        dewPoint: Math.min(air, (months.dewPoint[month] ?? air) + air - (months.air[month] ?? air)),
        cloud: columns.cloud?.[index] ?? 0.5,
        hour: clock,
        pressure: 101_325,
      });
      const boundary: OperatingConditions = {
        irradiance: lit ? pane.total : 0,
        beamShare: lit ? Math.min(1, Math.max(0, pane.beam / pane.total)) : 0,
        groundShare: 0.05,
        incidence: Math.min(89, incidenceAngle({ ...sun, tilt: tilt ?? 45, aim })),
        angles: paneAngles({ ...sun, tilt: tilt ?? 45, aim }),
        air,
        surroundings: surroundingsTemperature({ sky: looks, air, tilt: tilt ?? 45 }),
        wind: windAtPanel(columns.wind?.[index] ?? 3, site.exposure.windShare).likely,
        inlet: water,
        massFlow: own ? 0 : screened.job.loop.specificFlow * thermal.apertureArea,
        tilt: tilt ?? 45,
      };
      const shut = own && thermal.hasLid && boundary.irradiance < 40;
      const gathers = own && thermal.stagnantNetHeat(shut ? { ...boundary, covered: true } : boundary);
      // Bare pipes are over their water in two hours: they are stepped by quarters of one.
      for (let quarter = 0; gathers && quarter < 4; quarter += 1)
        water = Math.min(95, water + (count * gathers(water) * hour) / 4 / capacity);
      if (!own && boundary.irradiance > 40) {
        const heat = count * thermal.state({ ...boundary, inlet: Math.min(94, water) }).usefulHeat;
        if (heat > 0) water = Math.min(95, water + (heat * hour) / capacity);
      }
    }
    water -= (loss * (water - 15) * hour) / capacity;
    const share = shares[clock] ?? 0;
    if (works && share > 0 && water > mains) {
      const wanted = Math.min(1, (need.target - mains) / (water - mains));
      const taken = Math.min(need.volumePerDay * share * 992.2 * 4179 * wanted, capacity);
      year += taken * (water - mains);
      water -= (taken * (water - mains)) / capacity;
    }
  }
  return { year, screened: screened.year.likely };
}

describe('picking: the screening of a year against one by the hour', () => {
  const temperate = { latitude: 52.3, longitude: -1.9 };
  const dry = { latitude: 36.6, longitude: -105.8 };
  const within = 0.1;
  const rows: [family: string, where: typeof dry][] = familyIds.map((family, index) => [
    family,
    index % 2 === 0 ? temperate : dry,
  ]);
  // What lives by beam, and what gives nothing back, where the other weather is.
  rows.push(['trough', dry], ['heat-pipe', dry]);
  for (const [family, where] of rows)
    it(`${family} at ${where.latitude}°: within ${100 * within} %`, () => {
      const { year, screened } = byTheHour(where, family);
      expect(screened / year).within(1 - within, 1 + within);
    });
});
