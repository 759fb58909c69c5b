import { expect } from 'chai';
import * as fc from 'fast-check';
import { formatAim, formatPlace, parsePitch, parsePlace } from '.';

describe('quantity: places', () => {
  const here = [-40.9, 172.9] as const;
  const written: [text: string, latitude: number, longitude: number][] = [
    ['-40.9, 172.9', ...here],
    ['-40.9,172.9', ...here],
    ['−40.9 172.9', ...here],
    ['40.9 S, 172.9 E', ...here],
    ['40.9S 172.9E', ...here],
    ['S40.9 E172.9', ...here],
    ['S 40.9, E 172.9', ...here],
    ['172.9 E, 40.9 S', ...here],
    ['40°54′S 172°54′E', ...here],
    ['40° 54′ 0″ S, 172° 54′ 0″ E', ...here],
    ['40 54 00 S, 172 54 00 E', ...here],
    ['40:54:00S 172:54:00E', ...here],
    ["40°54.0'S / 172°54.0'E", ...here],
    ['40,9 S; 172,9 E', ...here],
    ['-40,9; 172,9', ...here],
    ['-40 54 0 172 54 0', ...here],
    ['40.9 south, 172.9 east', ...here],
    ['36.6N 105.8W', 36.6, -105.8],
    ['36° 36\' 00" N, 105° 48\' 00" W', 36.6, -105.8],
    ['0, 0', 0, 0],
    ['90 N 0 E', 90, 0],
  ];
  for (const [text, latitude, longitude] of written)
    it(`reads ${text}`, () => {
      const place = parsePlace(text);
      if (!place.ok) throw new Error(place.message);
      expect(place.latitude).closeTo(latitude, 1e-9);
      expect(place.longitude).closeTo(longitude, 1e-9);
    });
  const refused: [text: string, words: RegExp][] = [
    ['', /Nothing/],
    ['hello', /none of|instance|Write/],
    ['40.9', /Write latitude and longitude/],
    ['95 N, 10 E', /latitude goes to 90/],
    ['40 N, 190 E', /longitude goes to 180/],
    ['40 70 0 N, 10 0 0 E', /go to 59/],
    ['-40.9 S, 172.9 E', /sign or a letter/],
    ['40 N, 50 N', /Both angles/],
    ['40.5 30 N, 10 E', /Only the last/],
    ['40.9 S & 172.9 E', /“&”/],
    ['172.9, -40.9', /goes to 90/],
  ];
  for (const [text, words] of refused)
    it(`refuses ${text || 'nothing'}`, () => {
      const place = parsePlace(text);
      expect(place.ok).equal(false);
      if (!place.ok) expect(place.message).match(words);
    });
  it('reads back what it writes, anywhere', () => {
    fc.assert(
      fc.property(fc.integer({ min: -90_000, max: 90_000 }), fc.integer({ min: -180_000, max: 180_000 }), (a, b) => {
        const place = parsePlace(formatPlace(a / 1000, b / 1000));
        expect(place.ok && Math.abs(place.latitude - a / 1000) + Math.abs(place.longitude - b / 1000)).below(1e-9);
      }),
    );
  });
  it('never throws on anything typed', () => {
    fc.assert(fc.property(fc.string({ unit: 'grapheme' }), (text) => typeof parsePlace(text).ok === 'boolean'));
  });
});

describe('quantity: directions in words', () => {
  const words: [aim: number, words: string][] = [
    [0, 'north'],
    [12, '12°\u00a0east of north'],
    [348, '12°\u00a0west of north'],
    [180, 'south'],
    [165, '15°\u00a0east of south'],
    [200, '20°\u00a0west of south'],
    [45, 'north-east'],
    [100, '10°\u00a0south of east'],
    [359.7, 'north'],
  ];
  for (const [aim, text] of words) it(`${aim} is ${text}`, () => expect(formatAim(aim)).equal(text));
});

describe('quantity: slopes', () => {
  const slopes: [text: string, degrees: number][] = [
    ['35', 35],
    ['35°', 35],
    ['22.5 deg', 22.5],
    ['6/12', 26.6],
    ['6 in 12', 26.6],
    ['1:1', 45],
    ['12/12', 45],
    ['0/12', 0],
  ];
  for (const [text, degrees] of slopes)
    it(`reads ${text}`, () => expect(parsePitch(text)).deep.equal({ ok: true, value: degrees }));
  it('refuses a run of nothing, and words', () => {
    expect(parsePitch('3/0')).include({ ok: false });
    expect(parsePitch('steep')).include({ ok: false });
    expect(parsePitch('')).include({ ok: false });
  });
});
