import { expect } from 'chai';
import * as fc from 'fast-check';
import { parsePitch, parsePlace, parseQuantity } from '../quantity';
import { readCell } from '../table';
import { readTime, readWritten, standardOffset, wallTime, zoneClock, zoneDoubt } from './time';

const hour = 3_600_000;

describe('time: written times', () => {
  it('reads the site’s own clock, summer and winter, and zones written out', () => {
    const zone = 'Pacific/Auckland';
    expect(readTime('2026-02-09 13:40', zone)).equal(Date.UTC(2026, 1, 9, 0, 40));
    expect(readTime('2026-07-09 13:40', zone)).equal(Date.UTC(2026, 6, 9, 1, 40));
    expect(readTime('2026-02-09T13:40:30Z', zone)).equal(Date.UTC(2026, 1, 9, 13, 40, 30));
    expect(readTime('2026-02-09 13:40+05:30', zone)).equal(Date.UTC(2026, 1, 9, 8, 10));
    expect(readTime('2026-02-09 13:40', 'UTC')).equal(Date.UTC(2026, 1, 9, 13, 40));
  });
  const written: [text: string, order: 'ymd' | 'dmy' | 'mdy', utc: number][] = [
    ['20260209 1142', 'ymd', Date.UTC(2026, 1, 9, 11, 42)],
    ['20260209:0030', 'ymd', Date.UTC(2026, 1, 9, 0, 30)],
    ['2026/2/9 9:05', 'ymd', Date.UTC(2026, 1, 9, 9, 5)],
    ['2026-02-09T24:00', 'ymd', Date.UTC(2026, 1, 10)],
    ['9/2/2026 11:42 pm', 'dmy', Date.UTC(2026, 1, 9, 23, 42)],
    ['2/9/2026 12:00 am', 'mdy', Date.UTC(2026, 1, 9)],
    ['09.02.2026 13:00:30', 'dmy', Date.UTC(2026, 1, 9, 13, 0, 30)],
    ['2026-02-09 11:42 UTC', 'ymd', Date.UTC(2026, 1, 9, 11, 42)],
  ];
  for (const [text, order, utc] of written)
    it(`reads ${text}`, () => expect(readWritten(text, order)?.wall).equal(utc));
  it('has no number, time or place in a hundred thousand signs', () => {
    for (const sign of [' ', '9', '-', '.', '1,', '°', '′', 'N', '1 ', '1:', '/', '"']) {
      const long = sign.repeat(100_000);
      for (const text of [long, `${long}x`, `1${long}1`]) {
        expect(readCell(text), sign).equal(undefined);
        expect(readWritten(text), sign).equal(undefined);
        expect(parsePlace(text).ok, sign).equal(false);
        expect(parseQuantity('length', text, 'metric').ok, sign).equal(false);
        expect(parsePitch(text).ok, sign).equal(false);
      }
    }
  });
  it('refuses what is no time', () => {
    for (const text of [
      'yesterday',
      '2026-02-30 10:00',
      '2026-13-01 10:00',
      '2026-02-09 25:00',
      '2026-02-09 24:01',
      '2026-02-09 13:00 pm',
      '2026-02-09 10:75',
      '2026-02/09 10:00',
      '09/02/2026 10:00',
      '2026-02-09',
      '',
    ])
      expect(readTime(text, 'UTC'), text).equal(undefined);
    expect(readWritten('13/13/2026 10:00', 'dmy')).equal(undefined);
    expect(wallTime(2026, 1, 1, Number.NaN)).equal(undefined);
  });
});

describe('time: the clock of a zone', () => {
  const paris = zoneClock('Europe/Paris');
  it('takes the hour that comes twice first once and then again', () => {
    const wall = Date.UTC(2026, 9, 25, 2, 30);
    const first = paris.utcOf(wall);
    expect(first).equal(Date.UTC(2026, 9, 25, 0, 30));
    expect(paris.utcOf(wall, first)).equal(Date.UTC(2026, 9, 25, 1, 30));
  });
  it('reads an hour that no clock showed as though it had not been moved', () => {
    expect(paris.utcOf(Date.UTC(2026, 2, 29, 2, 30))).equal(Date.UTC(2026, 2, 29, 1, 30));
  });
  it('knows zones with half hours, without summer time, and with summer time in January', () => {
    expect(zoneClock('Asia/Kolkata').offsetAt(Date.UTC(2026, 5, 1))).equal(5.5 * hour);
    expect(standardOffset('Asia/Kolkata', 2026)).equal(5.5 * hour);
    expect(standardOffset('Pacific/Auckland', 2026)).equal(12 * hour);
    expect(standardOffset('Europe/Paris', 2026)).equal(hour);
  });
  it('doubts a zone that cannot be that of the longitude, and no country’s own', () => {
    expect(zoneDoubt('Etc/UTC', 172.9)).equal(12);
    expect(zoneDoubt('America/Denver', 2)).equal(0);
    for (const [zone, longitude] of [
      ['Pacific/Auckland', 172.9],
      ['Asia/Shanghai', 76],
      ['Europe/Madrid', -8.5],
      ['Pacific/Kiritimati', -157.4],
      ['America/Denver', -105.8],
    ] as const)
      expect(zoneDoubt(zone, longitude), zone).equal(undefined);
  });
  it('goes there and back on any moment in any zone, but for the hour that comes twice', () => {
    const zones = ['Pacific/Auckland', 'America/Denver', 'Europe/London', 'Australia/Lord_Howe', 'Etc/UTC'].map(
      (zone) => zoneClock(zone),
    );
    fc.assert(
      fc.property(fc.constantFrom(...zones), fc.integer({ min: 0, max: 2e12 }), (zone, utc) => {
        const wall = utc + zone.offsetAt(utc);
        const back = zone.utcOf(wall);
        expect(back === utc || zone.utcOf(wall, back) === utc).equal(true);
      }),
    );
  });
});
