import { expect } from 'chai';
import * as fc from 'fast-check';
import { sunPosition } from '../sun';
import {
  broadClimateIds,
  broadClimates,
  broadMonths,
  climateMonths,
  dailyExtraterrestrial,
  likelyClimate,
  monthlyExtraterrestrial,
  monthlyMeans,
  monthlySchema,
  syntheticYear,
} from '.';
import { reach, reachMonths, reachYear } from './made.fixture';
import { clearnessAt } from './synthetic';

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;

describe('sky: above the air, by the day', () => {
  it('has D&B example 1.10.1 (recalled): 43° N, 15 April, 33.8 MJ/m²', () => {
    expect(dailyExtraterrestrial(105, 43) * 86_400).closeTo(33.8e6, 0.2e6);
  });
  it('is nothing in the polar night, most in December at the south pole, mirrored but for the distance of the sun', () => {
    expect(dailyExtraterrestrial(355, 80)).equal(0);
    const south = monthlyExtraterrestrial(-90);
    expect(south.indexOf(Math.max(...south))).equal(11);
    const ratio = mean(monthlyExtraterrestrial(-40)) / mean(monthlyExtraterrestrial(40));
    expect(ratio).within(0.99, 1.01);
  });
});

describe('sky: broad climates', () => {
  for (const id of broadClimateIds)
    it(`${broadClimates[id].name} is sound at any latitude and height`, () => {
      for (const latitude of [-89, -67, -41, -12, 0, 20, 37, 52, 70, 90])
        for (const elevation of [0, 1500, 4000]) {
          const months = broadMonths(id, latitude, elevation);
          if (Math.abs(latitude) < 70) expect(monthlySchema.safeParse(months).success, `${latitude}`).equal(true);
          for (let month = 0; month < 12; month += 1) {
            expect(months.dewPoint[month]).below(months.air[month] ?? 0);
            expect(months.global[month]).within(0, 420);
          }
        }
    });
  it('mirrors hemispheres by the sun: the warmest and the brightest month move by half a year', () => {
    const north = broadMonths('continental', 45, 200);
    const south = broadMonths('continental', -45, 200);
    const warmest = (months: { air: number[] }) => months.air.indexOf(Math.max(...months.air));
    expect((warmest(north) + 6) % 12).equal(warmest(south));
    expect(mean(south.global)).closeTo(mean(north.global), 0.04 * mean(north.global));
  });
  it('cools by 6.5 K a kilometre', () => {
    const low = broadMonths('highland', 36.6, 0).air[0] ?? 0;
    expect(low - (broadMonths('highland', 36.6, 2000).air[0] ?? 0)).closeTo(13, 1e-9);
  });
  it('guesses a kind for any latitude, alike on both sides of the equator', () => {
    for (let latitude = 0; latitude <= 90; latitude += 5) {
      expect(broadClimateIds).include(likelyClimate(latitude));
      expect(likelyClimate(-latitude)).equal(likelyClimate(latitude));
    }
    expect(climateMonths(null, -40.9, 4)).deep.equal(broadMonths('mediterranean', -40.9, 4));
    expect(climateMonths({ kind: 'broad', type: 'maritime' }, -40.9, 4)).deep.equal(reachMonths);
    expect(climateMonths({ kind: 'months', months: reachMonths }, 10, 0)).equal(reachMonths);
  });
});

describe('sky: days of a month (Bendt, Collares-Pereira and Rabl 1981)', () => {
  it('keep their mean, run from dull to clear, and never pass what is clear', () => {
    fc.assert(
      fc.property(fc.double({ min: 0.15, max: 0.75, noNaN: true }), (wanted) => {
        const days = Array.from({ length: 2000 }, (_, index) => clearnessAt(wanted, (index + 0.5) / 2000));
        expect(mean(days)).closeTo(wanted, 0.002);
        expect(days).deep.equal([...days].sort((a, b) => a - b));
        expect(days[0]).at.least(0.05 - 1e-9);
        expect(days[1999]).below(0.86);
      }),
      { numRuns: 30 },
    );
  });
});

describe('sky: a made-up year', () => {
  const places: [
    what: string,
    latitude: number,
    longitude: number,
    elevation: number,
    zone: string,
    id: (typeof broadClimateIds)[number],
  ][] = [
    ['Gannet Reach', -40.9, 172.9, 4, 'Pacific/Auckland', 'maritime'],
    ['Juniper Draw', 36.6, -105.8, 2000, 'America/Denver', 'highland'],
    ['Ferncliff', 52.3, -1.9, 120, 'Europe/London', 'maritime'],
    ['the equator', 0, 37, 1600, 'Africa/Nairobi', 'savanna'],
    ['beyond the polar circle', 70, 25, 0, 'Europe/Oslo', 'northern'],
  ];
  for (const [what, latitude, longitude, elevation, zone, id] of places)
    it(`keeps the monthly means at ${what}: sun and wind to 1 %, air to 0.1 K`, () => {
      const months = broadMonths(id, latitude, elevation);
      const year = syntheticYear(months, { latitude, longitude, elevation }, 7);
      expect(year.length).equal(8760);
      const made = monthlyMeans(year, zone).months;
      for (let month = 0; month < 12; month += 1) {
        const wanted = months.global[month] ?? 0;
        expect(made.global[month]).closeTo(wanted, 0.01 * wanted + 0.05);
        expect(made.air[month]).closeTo(months.air[month] ?? 0, 0.1);
        expect(made.wind[month]).closeTo(months.wind[month] ?? 0, 0.02 * (months.wind[month] ?? 0));
      }
    });
  it('is the same for the same seed and another for another', () => {
    const again = syntheticYear(reachMonths, reach, 3);
    expect(again.columns.global).deep.equal(reachYear().columns.global);
    expect(syntheticYear(reachMonths, reach, 4).columns.global).not.deep.equal(again.columns.global);
  });
  it('is dark by night, believable by day, and its dew never lies above its air', () => {
    const { global, beamNormal, diffuse, air, dewPoint, wind, cloud } = reachYear().columns;
    for (let hour = 0; hour < 8760; hour += 1) {
      const at = new Date(reachYear().start + (hour + 0.5) * 3_600_000);
      if (sunPosition({ at, ...reach }).zenith > 98) expect(global?.[hour]).equal(0);
      expect(global?.[hour]).within(0, 1250);
      expect(beamNormal?.[hour]).within(0, 1100);
      expect(diffuse?.[hour]).within(0, 900);
      expect(dewPoint?.[hour]).at.most(air?.[hour] ?? 0);
      expect(wind?.[hour]).within(0, 25);
      expect(cloud?.[hour]).within(0, 1);
    }
  });
  it('looks like weather: clear and dull days, hours that are no smooth curve, afternoons warmer than mornings', () => {
    const { global, air } = reachYear().columns;
    const january = Array.from({ length: 31 }, (_, day) => mean([...(global?.slice(day * 24, day * 24 + 24) ?? [])]));
    expect(Math.max(...january) / Math.min(...january)).above(2);
    const jumps = [...(global?.slice(0, 31 * 24) ?? [])].filter((value, hour, all) => {
      const next = all[hour + 1] ?? 0;
      const before = all[hour - 1] ?? 0;
      return value > 100 && value < before - 30 && value < next - 30;
    });
    expect(jumps.length).above(4);
    const at = (hour: number) => mean(Array.from({ length: 365 }, (_, day) => air?.[day * 24 + hour] ?? 0));
    expect(at(15) - at(5)).within(3, 12);
  });
  it('remembers yesterday a little', () => {
    const { global } = reachYear().columns;
    const days = Array.from({ length: 365 }, (_, day) => {
      const date = new Date(reachYear().start + day * 86_400_000);
      const above = dailyExtraterrestrial(
        Math.floor((date.getTime() - Date.UTC(2025, 0, 1)) / 86_400_000) + 1,
        reach.latitude,
      );
      return mean([...(global?.slice(day * 24, day * 24 + 24) ?? [])]) / above;
    });
    const middle = mean(days);
    const off = days.map((value) => value - middle);
    const memory =
      mean(off.slice(1).map((value, day) => value * (off[day] ?? 0))) / mean(off.map((value) => value ** 2));
    expect(memory).within(0.1, 0.6);
  });
});
