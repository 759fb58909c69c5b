import { expect } from 'chai';
import * as fc from 'fast-check';
import {
  clearSkyTemperature,
  cloudFromSun,
  compassBearing,
  dewPointOf,
  magneticDeclination,
  mainsTemperature,
  midMonthDays,
  skyTemperature,
  windAtPanel,
  yearlyWave,
} from '.';

const months = (mean: number, swing: number, coldestDay: number) =>
  midMonthDays.map((day) => mean - swing * Math.cos(((day - coldestDay) * 2 * Math.PI) / 365));

describe('sky: mains water', () => {
  // Burch and Christensen (2007) at 50 °F mean and 50 °F from coldest to warmest month: mean + 6, ratio 0.46, lag 29 days.
  const air = months(10, 25 / 1.8, 15);
  it('has the mean, swing and lag of its formula (derived by hand from the published one)', () => {
    const year = Array.from({ length: 365 }, (_, index) => mainsTemperature({ air, day: index + 1 }));
    expect(Math.max(...year)).closeTo((56 + 11.5 - 32) / 1.8, 0.15);
    expect(Math.min(...year)).closeTo((56 - 11.5 - 32) / 1.8, 0.15);
    expect(mainsTemperature({ air, day: 15 + 29 })).closeTo((56 - 11.5 - 32) / 1.8, 0.15);
  });
  it('is mirrored with the air, not with the calendar', () => {
    const south = months(10, 25 / 1.8, 15 + 182.5);
    expect(mainsTemperature({ air: south, day: 44 + 182.5 })).closeTo(mainsTemperature({ air, day: 44 }), 0.1);
  });
  it('swings between what was measured', () => {
    const measured = { coldest: 6, warmest: 19 };
    const all = Array.from({ length: 365 }, (_, index) => mainsTemperature({ air, day: index + 1, measured }));
    expect(Math.min(...all)).closeTo(6, 0.01);
    expect(Math.max(...all)).closeTo(19, 0.01);
  });
  it('never freezes, and moves less than the air', () => {
    expect(mainsTemperature({ air: months(-20, 15, 15), day: 30 })).equal(0.5);
    expect(yearlyWave(air)).satisfies(
      (wave: ReturnType<typeof yearlyWave>) => Math.abs(wave.mean - 10) < 0.1 && Math.abs(wave.coldestDay - 15) < 1,
    );
    expect(yearlyWave(Array(12).fill(25)).amplitude).closeTo(0, 1e-9);
  });
});

describe('sky: under clouds', () => {
  const air = 12;
  const dewPoint = dewPointOf(air, 0.7);
  it('is the clear sky without them and within 5 K of the air when they close it', () => {
    expect(skyTemperature({ air, dewPoint, cloud: 0 })).closeTo(clearSkyTemperature({ air, dewPoint }), 1e-9);
    expect(air - skyTemperature({ air, dewPoint, cloud: 1 })).within(0, 5);
  });
  it('warms with every tenth of cloud, and never passes the air', () => {
    fc.assert(
      fc.property(
        fc.double({ min: -30, max: 35, noNaN: true }),
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0, max: 0.9, noNaN: true }),
        (warm, humidity, cloud) => {
          const query = { air: warm, dewPoint: dewPointOf(warm, humidity) };
          const less = skyTemperature({ ...query, cloud });
          const more = skyTemperature({ ...query, cloud: cloud + 0.1 });
          expect(more >= less && more <= warm + 0.5).equal(true);
        },
      ),
    );
  });
  it('takes cloud from the sun: none when clear, all at a quarter (Kasten and Czeplak 1980)', () => {
    expect(cloudFromSun(800, 800)).equal(0);
    expect(cloudFromSun(200, 800)).closeTo(1, 1e-9);
    // Six tenths let 1 - 0.75 × 0.6^3.4 of the sun through.
    expect(cloudFromSun(800 * (1 - 0.75 * 0.6 ** 3.4), 800)).closeTo(0.6, 1e-9);
    expect(cloudFromSun(10, 0)).equal(0);
  });
  it('bands the wind at the panel about the share of the site', () => {
    const { low, likely, high } = windAtPanel(10, 0.45);
    expect(low).closeTo(3, 1e-9);
    expect(likely).equal(4.5);
    expect(high).closeTo(7, 1e-9);
  });
});

describe('sky: the needle', () => {
  // Test values published with the World Magnetic Model 2025: sea level, 2025.0 (recalled, as shipped with the package).
  const published: [latitude: number, longitude: number, declination: number][] = [
    [80, 0, 1.28],
    [0, 120, -0.16],
    [-80, 240, 68.78],
  ];
  for (const [latitude, longitude, declination] of published)
    it(`points ${declination}° at ${latitude}, ${longitude}`, () => {
      const seen = magneticDeclination({ at: new Date('2025-01-01T00:00:00Z'), latitude, longitude });
      expect(seen.declination).closeTo(declination, 0.01);
      expect(seen.model).match(/2025/);
    });
  it('says its error, its dates, and when it is outdated', () => {
    const query = { latitude: -40.9, longitude: 172.9 };
    const now = magneticDeclination({ ...query, at: new Date('2026-11-25T00:00:00Z') });
    expect(now.error).within(0.3, 0.5);
    expect(now.outdated).equal(false);
    const later = magneticDeclination({ ...query, at: new Date('2035-01-01T00:00:00Z') });
    expect(later.outdated).equal(true);
    expect(later.error).above(now.error + 0.9);
  });
  it('is of no use near a magnetic pole, and finite at the poles', () => {
    expect(magneticDeclination({ at: new Date('2026-01-01'), latitude: 86, longitude: 140 }).useless).equal(true);
    for (const latitude of [90, -90])
      expect(magneticDeclination({ at: new Date('2026-01-01'), latitude, longitude: 0 }).declination).satisfies(
        Number.isFinite,
      );
  });
  it('turns true into shown', () => {
    expect(compassBearing(12, 22.7)).closeTo(349.3, 1e-9);
    expect(compassBearing(350, -15)).closeTo(5, 1e-9);
  });
});
