import { expect } from 'chai';
import { beginJob } from '../document';
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
import type { Boundary } from '../thermal';
import { hereWeather, kindCase, storeLoss } from '.';

const hour = 3600;

/** J that a kind gives in a made-up year by the hour, its store stepped forward by real states of its model: no mean days, no lines, no rhythm. */
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
  const volume = Object.values(screened.job.stores)[0]?.volume ?? 0;
  const capacity = volume * 992.2 * 4179;
  const loss = storeLoss(volume);
  const shares = needByHour(need);
  const frost = frostYear(here.minima, screened.frost.freezes);
  let [water, year] = [15, 0];
  for (let index = 0; index < weather.length; index += 1) {
    const at = new Date(weather.start + (index + 0.5) * hour * 1000);
    const month = at.getUTCMonth();
    const air = columns.air?.[index] ?? 0;
    const mains = mainsTemperature({ air: months.air, day: dayOfYear(at), measured: null });
    const works = screened.frost.stands || (frost.months[month] ?? 0) < 1;
    const global = columns.global?.[index] ?? 0;
    const sun = sunPosition({ at, ...site });
    if (works && global > 5 && sun.zenith < 89) {
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
      if (pane.total > 40) {
        const looks = skyTemperature({
          air,
          dewPoint: Math.min(air, (months.dewPoint[month] ?? air) + air - (months.air[month] ?? air)),
          cloud: 0.5,
          hour: at.getUTCHours(),
          pressure: 101_325,
        });
        const boundary: Boundary = {
          irradiance: pane.total,
          beamShare: Math.min(1, Math.max(0, pane.beam / pane.total)),
          groundShare: 0.05,
          incidence: Math.min(89, incidenceAngle({ ...sun, tilt: tilt ?? 45, aim })),
          angles: paneAngles({ ...sun, tilt: tilt ?? 45, aim }),
          air,
          surroundings: surroundingsTemperature({ sky: looks, air, tilt: tilt ?? 45 }),
          wind: windAtPanel(columns.wind?.[index] ?? 3, site.exposure.windShare).likely,
          inlet: water,
          massFlow: screened.job.loop.specificFlow * thermal.apertureArea,
          tilt: tilt ?? 45,
        };
        for (let half = 0; half < 2; half += 1) {
          const heat = count * thermal.state({ ...boundary, inlet: Math.min(94, water) }).usefulHeat;
          if (heat > 0) water = Math.min(95, water + (heat * hour) / 2 / capacity);
        }
      }
    }
    water -= (loss * (water - 15) * hour) / capacity;
    const share = shares[at.getUTCHours()] ?? 0;
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
  const rows: [words: string, where: typeof dry, family: string, within: number][] = [
    ['a harp in a cloudy place', temperate, 'harp', 0.12],
    ['a harp in a sunny one', dry, 'harp', 0.12],
    // What lives by beam alone suffers most from mean days; what frost shuts is worked out in whole months.
    ['troughs in a sunny one', dry, 'trough', 0.25],
    ['hose where it freezes in winter', temperate, 'spiral', 0.15],
  ];
  for (const [words, where, family, within] of rows)
    it(`${words}: within ${100 * within} %`, () => {
      const { year, screened } = byTheHour(where, family);
      expect(screened / year).within(1 - within, 1 + within);
    });
});
