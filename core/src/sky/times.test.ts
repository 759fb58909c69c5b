import { expect } from 'chai';
import * as fc from 'fast-check';
import { equationOfTime, solarTime, sunTimes } from '.';

const minutesApart = (a: Date | undefined, b: string) =>
  Math.abs((a?.getTime() ?? Number.NaN) - Date.parse(b)) / 60_000;

describe('sky: sunrise, noon and sunset', () => {
  // Reda and Andreas (2004), the example of appendix A.5: sunrise 6:12:43, transit 11:46:05 and, for the UT date, sunset of
  // the evening before 17:20:19 (recalled; noon and rise agree to the second with a second route, sun height by bisection).
  const place = { latitude: 39.742476, longitude: -105.1786 };
  it('has the published rise and transit of 17 October 2003', () => {
    const { rise, noon } = sunTimes({ near: new Date('2003-10-17T19:00:00Z'), ...place });
    expect(minutesApart(rise, '2003-10-17T13:12:43Z')).below(0.25);
    expect(minutesApart(noon, '2003-10-17T18:46:05Z')).below(0.1);
  });
  it('has the published sunset of the evening before', () => {
    const { set } = sunTimes({ near: new Date('2003-10-16T19:00:00Z'), ...place });
    expect(minutesApart(set, '2003-10-17T00:20:19Z')).below(0.25);
  });
  it('has midsummer in London from 4:43 to 21:21 summer time (almanac, recalled)', () => {
    const { rise, set } = sunTimes({ near: new Date('2024-06-21T12:00:00Z'), latitude: 51.5, longitude: -0.13 });
    expect(minutesApart(rise, '2024-06-21T03:43:00Z')).below(1);
    expect(minutesApart(set, '2024-06-21T20:21:00Z')).below(1);
  });
  it('has neither in the polar day nor in the polar night', () => {
    const day = sunTimes({ near: new Date('2026-06-21T12:00:00Z'), latitude: 75, longitude: 20 });
    expect([day.rise, day.set, day.daylight]).deep.equal([undefined, undefined, 24]);
    const night = sunTimes({ near: new Date('2026-12-21T12:00:00Z'), latitude: 75, longitude: 20 });
    expect([night.rise, night.set, night.daylight]).deep.equal([undefined, undefined, 0]);
    for (const latitude of [90, -90])
      expect(sunTimes({ near: new Date('2026-06-21T12:00:00Z'), latitude, longitude: 0 }).daylight).equal(
        latitude > 0 ? 24 : 0,
      );
  });
  it('rises before noon and sets after it, wherever it does', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 0, max: 2_500_000 }),
        fc.double({ min: -62, max: 62, noNaN: true }),
        fc.double({ min: -180, max: 180, noNaN: true }),
        (minutes, latitude, longitude) => {
          const { rise, noon, set, daylight } = sunTimes({ near: new Date(minutes * 600_000), latitude, longitude });
          expect((rise?.getTime() ?? 0) < noon.getTime() && noon.getTime() < (set?.getTime() ?? 0)).equal(true);
          expect(daylight).within(4.5, 20.5);
        },
      ),
      { numRuns: 60 },
    );
  });
});

describe('sky: time by the sun', () => {
  it('has the equation of time of an almanac: +16.4 min on 3 November, -14.2 on 11 February (recalled)', () => {
    expect(equationOfTime(new Date('2026-11-03T12:00:00Z'))).closeTo(16.4, 0.1);
    expect(equationOfTime(new Date('2026-02-11T12:00:00Z'))).closeTo(-14.2, 0.1);
    expect(equationOfTime(new Date('2026-04-15T20:00:00Z'))).closeTo(0, 0.3);
  });
  it('has 10:19 for D&B example 1.5.1 (recalled): Madison, 3 February, 10:30 central standard time', () => {
    expect(solarTime(new Date('2026-02-03T16:30:00Z'), -89.4)).closeTo(10 + 19 / 60, 1 / 60);
  });
  it('is 12 at solar noon and runs on by the hour', () => {
    const { noon } = sunTimes({ near: new Date('2026-08-01T12:00:00Z'), latitude: 40, longitude: 33 });
    expect(solarTime(noon, 33)).closeTo(12, 1e-3);
    expect(solarTime(new Date(noon.getTime() + 3 * 3_600_000), 33)).closeTo(15, 1e-3);
  });
});
