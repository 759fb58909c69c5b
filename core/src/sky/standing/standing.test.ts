import { expect } from 'chai';
import * as fc from 'fast-check';
import { trials } from '../../quantity/trials.fixture';
import { clearSky } from '../clear';
import { hidesSun, skylineOf } from '../horizon';
import { solarNoon } from '../path';
import { dayOfYear, incidenceAngle, sunCoordinates, sunPosition } from '../sun';
import { tiltedIrradiance } from '../tilted';
import { broadMonths, middleOf, syntheticYear } from '../weather';
import { reach, reachYear } from '../weather/made.fixture';
import {
  allMonths,
  around,
  bestMonthly,
  bestStanding,
  bestTwo,
  cellsOnPane,
  equatorward,
  meansOf,
  monthsOf,
  monthsOfSeason,
  monthsOnPane,
  type SkyYear,
  sayMonths,
  sayStanding,
  seasonMonths,
  seasons,
  sharesOf,
  skyYear,
  standingGrid,
  studyStanding,
  sumOver,
  tiltTable,
} from '.';

const open = { horizon: [], albedo: 0.2 };
let kept: SkyYear | undefined;
const reachSky = () => {
  kept ??= skyYear(reachYear(), reach, { evenHanded: true });
  return kept;
};
const northHill = [
  { azimuth: 300, elevation: 0 },
  { azimuth: 330, elevation: 30 },
  { azimuth: 30, elevation: 30 },
  { azimuth: 60, elevation: 0 },
];

describe('sky: what a year sends to a pane', () => {
  it('gives a level pane what fell on the flat, month by month and over any day', () => {
    const sky = skyYear(reachYear(), reach);
    const cells = cellsOnPane(sky, around(sky, open), { tilt: 0, aim: 0 });
    const level = cells.reduce((sum, value) => sum + value, 0);
    const flat = reachYear().columns.global?.reduce((sum, value) => sum + value * 3600, 0) ?? 0;
    expect(level / flat).closeTo(1, 2e-4);
    const day = { ...reachYear(), length: 24 };
    const one = skyYear(day, reach);
    const sun = cellsOnPane(one, around(one, open), { tilt: 0, aim: 77 }).reduce((sum, value) => sum + value, 0);
    const fell =
      reachYear()
        .columns.global?.slice(0, 24)
        .reduce((sum, value) => sum + value * 3600, 0) ?? 0;
    expect(sun / fell).closeTo(1, 1e-3);
  });
  it('agrees with the slow way, hour by hour through the tilted model', () => {
    const sky = skyYear(reachYear(), reach);
    for (const pane of [
      { tilt: 35, aim: 10 },
      { tilt: 70, aim: 300 },
      { tilt: 90, aim: 180 },
    ]) {
      const fast = sumOver(monthsOnPane(sky, around(sky, open), pane), allMonths);
      expect(fast / slowYear(pane)).closeTo(1, 0.01);
    }
  });
  it('asks about the suns of a cell as one, to the joule of asking about each', () => {
    const sky = reachSky();
    const panes = fc.record({
      tilt: fc.double({ min: 0, max: 90, noNaN: true }),
      aim: fc.double({ min: 0, max: 360, noNaN: true }),
    });
    for (const horizon of [[], northHill]) {
      const place = around(sky, { horizon, albedo: 0 });
      const none = { ...sky, dome: new Float64Array(288), band: new Float64Array(288), global: new Float64Array(288) };
      const skyline = skylineOf(horizon);
      fc.assert(
        fc.property(panes, (pane) => {
          const cells = cellsOnPane(none, place, pane);
          const slow = new Float64Array(288);
          for (let index = 0; index < sky.count; index += 1) {
            const [zenith, azimuth] = [sky.zenith[index] ?? 0, sky.azimuth[index] ?? 0];
            if (horizon.length > 0 && hidesSun(skyline, zenith, azimuth)) continue;
            const square = Math.cos((incidenceAngle({ zenith, azimuth, ...pane }) * Math.PI) / 180);
            const cell = sky.cell[index] ?? 0;
            slow[cell] = (slow[cell] ?? 0) + Math.max(0, square) * (sky.sunward[index] ?? 0);
          }
          for (let cell = 0; cell < 288; cell += 1)
            expect(cells[cell], `cell ${cell}`).closeTo(slow[cell] ?? 0, 50 + 1e-5 * (slow[cell] ?? 0));
        }),
        { numRuns: trials(25, 300) },
      );
    }
  });
  it('adds its cells up to its months, and means them over their hours', () => {
    const sky = reachSky();
    const cells = cellsOnPane(sky, around(sky, open), { tilt: 40, aim: 0 });
    const january = monthsOf(sky, cells)[0] ?? 0;
    const means = meansOf(sky, cells);
    expect(january).closeTo(means.slice(0, 24).reduce((sum, value) => sum + value, 0) * 3600 * 31, january * 1e-9);
    expect(Math.max(...means)).within(300, 1000);
    // At three in the night nothing comes.
    expect(means[3]).equal(0);
  });
  it('makes a made-up year even-handed: east and west of the meridian get alike', () => {
    const sky = reachSky();
    const place = around(sky, open);
    const east = sumOver(monthsOnPane(sky, place, { tilt: 50, aim: 40 }), allMonths);
    const west = sumOver(monthsOnPane(sky, place, { tilt: 50, aim: 320 }), allMonths);
    expect(east / west).closeTo(1, 1e-9);
    expect(sky.seconds.reduce((sum, value) => sum + value, 0)).equal(8760 * 3600);
  });
  it('loses winter and keeps summer behind a hill in the north', () => {
    const sky = reachSky();
    const hill = around(sky, { horizon: northHill, albedo: 0.2 });
    const pane = { tilt: 50, aim: 0 };
    const free = monthsOnPane(sky, around(sky, open), pane);
    const behind = monthsOnPane(sky, hill, pane);
    expect((behind[5] ?? 0) / (free[5] ?? 1)).below(0.5);
    expect((behind[11] ?? 0) / (free[11] ?? 1)).above(0.9);
  });
  it('loses to a row in front what a wider spacing gives back', () => {
    const sky = reachSky();
    const year = (spacing: number) => {
      const front = { spacing, rise: 0, length: 2, width: 6 };
      return sumOver(monthsOnPane(sky, around(sky, { ...open, front }), { tilt: 55, aim: 0 }), [6]);
    };
    const free = sumOver(monthsOnPane(sky, around(sky, open), { tilt: 55, aim: 0 }), [6]);
    expect(year(1.5)).below(year(3));
    expect(year(3)).below(year(8));
    expect(year(8) / free).within(0.9, 1);
  });
  it('stays finite at the poles and through polar days and nights', () => {
    for (const latitude of [-90, -75, 75, 90]) {
      const site = { latitude, longitude: 10, elevation: 0, zone: 'Etc/UTC' };
      const sky = skyYear(syntheticYear(broadMonths('polar', latitude, 0), site), site, { evenHanded: true });
      const months = monthsOnPane(sky, around(sky, { horizon: northHill, albedo: 0.7 }), { tilt: 60, aim: 200 });
      for (const sum of months) expect(sum >= 0 && Number.isFinite(sum)).equal(true);
    }
  });
  it('mirrors sites by declination: a clear moment there is a clear moment here', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 80, max: 170 }),
        fc.double({ min: 5, max: 65, noNaN: true }),
        fc.double({ min: -4, max: 4, noNaN: true }),
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (day, latitude, hours, tilt, aim) => {
          const north = solarNoon(new Date(Date.UTC(2026, 0, day, 12)), 0);
          const south = mirroredNoon(sunCoordinates(north).declination);
          const here = onPane(new Date(north.getTime() + hours * 3_600_000), latitude, tilt, aim);
          const there = onPane(new Date(south.getTime() + hours * 3_600_000), -latitude, tilt, (540 - aim) % 360);
          // The earth is nearer to the sun in January: up to 7 %, taken out by the day's own sun above the air.
          expect(here.total / here.above).closeTo(there.total / there.above, 0.012);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('sky: how a pane may stand', () => {
  it('finds the best fixed pane: equatorward, between shallow and the latitude, and nothing beats it', () => {
    const sky = reachSky();
    const place = around(sky, open);
    const best = bestStanding(sky, place, standingGrid(sky, place));
    expect(Math.min(best.aim, 360 - best.aim)).at.most(1);
    expect(best.tilt).within(22, 41);
    fc.assert(
      fc.property(
        fc.double({ min: 0, max: 90, noNaN: true }),
        fc.double({ min: 0, max: 360, noNaN: true }),
        (tilt, aim) => {
          expect(sumOver(monthsOnPane(sky, place, { tilt, aim }), allMonths)).at.most(best.sun * (1 + 1e-5));
        },
      ),
      { numRuns: 60 },
    );
  });
  it('wants it steeper for winter and shallower for summer, in either hemisphere', () => {
    for (const latitude of [-41, 41]) {
      const site = { latitude, longitude: 0, elevation: 0, zone: 'Etc/UTC' };
      const sky = skyYear(syntheticYear(broadMonths('maritime', latitude, 0), site), site, { evenHanded: true });
      const study = studyStanding(sky, around(sky, open), {
        latitude,
        standing: { tilt: 40, aim: equatorward(latitude) },
      });
      expect(study.best.winter.tilt).above(study.best.year.tilt + 10);
      expect(study.best.summer.tilt).below(study.best.year.tilt - 5);
      expect(study.darkestMonth).equal(latitude > 0 ? 12 : 6);
    }
  });
  it('gains with every move: two positions beat one, twelve beat two', () => {
    const sky = reachSky();
    const place = around(sky, open);
    const table = tiltTable(sky, place, 0);
    const fixed = Math.max(...table.map((months) => sumOver(months, allMonths)));
    const two = bestTwo(table);
    const monthly = bestMonthly(table);
    expect(two.sun).above(fixed);
    expect(monthly.sun).above(two.sun);
    expect(two.steep.tilt).above(two.shallow.tilt);
    expect([...two.steep.months, ...two.shallow.months].sort((a, b) => a - b)).deep.equal([...allMonths]);
    expect(two.steep.months).include(6);
    expect(monthly.tilts.every((tilt) => tilt >= 0 && tilt <= 90)).equal(true);
  });
  it('says what being off costs: nothing at the best, more the farther', () => {
    const sky = reachSky();
    const place = around(sky, {
      horizon: northHill.map((point) => ({ ...point, elevation: point.elevation / 3 })),
      albedo: 0.2,
    });
    const standing = { tilt: 38, aim: 12 };
    const study = studyStanding(sky, place, { latitude: reach.latitude, standing });
    const at = (off: number) => study.offAim.find((point) => point.at === off)?.year ?? 0;
    expect(at(0)).within(0.97, 1.0001);
    expect(at(30)).below(at(0));
    expect(at(90)).below(at(45));
    for (const point of [...study.offAim, ...study.offTilt]) {
      expect(point.year).within(0, 1.0001);
      expect(point.darkest).within(0, 1.0001);
    }
    const shares = sharesOf(monthsOnPane(sky, place, standing), study);
    expect(shares.year).within(0.9, 1);
    expect(sayStanding(standing, shares, study)).match(
      /^Facing 12°\s?east of north at 38° you collect \d+\s%.*best fixed pane; in June \d+\s% of one set for June\.$/u,
    );
  });
  it('compares the schools, each in its own words, the roof only where there is one', () => {
    const sky = reachSky();
    const place = around(sky, open);
    const query = { latitude: reach.latitude, standing: { tilt: 41, aim: 12 } };
    const ids = (roof?: { tilt: number; aim: number }) =>
      studyStanding(sky, place, { ...query, ...(roof ? { roof } : {}) }).schools;
    const without = ids();
    expect(without.map(({ id }) => id)).deep.equal(['as-it-stands', 'best', 'latitude', 'winter', 'summer', 'steep']);
    expect(ids({ tilt: 22, aim: 40 }).find(({ id }) => id === 'roof')).include({ tilt: 22, aim: 40 });
    const find = (id: string) => without.find((school) => school.id === id);
    expect(find('winter')?.winter).above(find('summer')?.winter ?? 0);
    expect(find('summer')?.summer).above(find('steep')?.summer ?? 0);
    expect(find('best')?.share).closeTo(1, 1e-9);
    for (const school of without) expect(school.share).at.most(1 + 1e-9);
  });
  it('gives months that were asked for their own best', () => {
    const sky = reachSky();
    const study = studyStanding(sky, around(sky, open), {
      latitude: reach.latitude,
      standing: { tilt: 41, aim: 0 },
      months: [4, 5, 6, 7, 8],
    });
    expect(study.best.chosen.tilt).above(study.best.year.tilt);
    expect(study.chosenMonths).deep.equal([4, 5, 6, 7, 8]);
  });
  it('has seasons by the hemisphere and says months in words', () => {
    expect(seasonMonths(52).winter).deep.equal([11, 12, 1]);
    expect(seasonMonths(-41).winter).deep.equal([5, 6, 7]);
    expect(monthsOfSeason('spring', 52)).deep.equal([3, 4, 5]);
    expect(monthsOfSeason('spring', -41)).deep.equal([9, 10, 11]);
    expect(monthsOfSeason('winter', 52)).deep.equal([1, 2, 12]);
    expect(monthsOfSeason('winter', -41)).deep.equal([6, 7, 8]);
    expect(seasons.flatMap((season) => monthsOfSeason(season, -41)).sort((a, b) => a - b)).deep.equal(
      Array.from({ length: 12 }, (_, month) => month + 1),
    );
    expect(sayMonths([10, 11, 12, 1, 2])).equal('Oct to Feb');
    expect(sayMonths([6])).equal('Jun');
    expect(sayMonths([1, 3])).equal('Jan, Mar');
    expect(sayMonths([])).equal('never');
    expect(sayMonths(allMonths)).equal('all year');
  });
});

/** Each hour by itself through the published model, at its middle. */
function slowYear(pane: { tilt: number; aim: number }): number {
  const year = reachYear();
  let sum = 0;
  for (let hour = 0; hour < year.length; hour += 1) {
    const at = new Date(middleOf(year, hour));
    sum +=
      tiltedIrradiance({
        model: 'perez',
        beamNormal: year.columns.beamNormal?.[hour] ?? 0,
        diffuse: year.columns.diffuse?.[hour] ?? 0,
        global: year.columns.global?.[hour] ?? 0,
        ...sunPosition({ at, ...reach }),
        ...pane,
        dayOfYear: dayOfYear(at),
        albedo: 0.2,
      }).total * 3600;
  }
  return sum * (365.25 / 365);
}

/** Solar noon on the day of autumn 2026 on which the declination is the opposite. */
function mirroredNoon(declination: number): Date {
  let low = Date.UTC(2026, 8, 1);
  let high = Date.UTC(2026, 11, 21);
  for (let pass = 0; pass < 50; pass += 1) {
    const middle = (low + high) / 2;
    if (sunCoordinates(new Date(middle)).declination > -declination) low = middle;
    else high = middle;
  }
  return solarNoon(new Date(low), 0);
}

function onPane(at: Date, latitude: number, tilt: number, aim: number) {
  const sky = clearSky({ at, latitude, longitude: 0, elevation: 0 });
  const sun = sunPosition({ at, latitude, longitude: 0 });
  const day = dayOfYear(at);
  const above = 1361 * (1 + 0.0334 * Math.cos(((day - 3) * 2 * Math.PI) / 365.25));
  return {
    total: tiltedIrradiance({ model: 'perez', ...sky, ...sun, tilt, aim, dayOfYear: day, albedo: 0.2 }).total,
    above,
  };
}
