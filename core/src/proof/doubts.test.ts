import { expect } from 'chai';
import * as fc from 'fast-check';
import { wordFinding } from '../care';
import { plateModel, storeModel } from '../thermal';
import { glazedPanel } from '../thermal/plate/collector.fixture';
import { twoTanks } from '../thermal/store/store.fixture';
import { doubtWords, type Plant, type Reading, readingDoubts, skyWords } from '.';

const plant: Plant = {
  groups: [{ thermal: plateModel(glazedPanel()), count: 2 }],
  connection: 'parallel',
  latitude: 52.3,
  longitude: -1.9,
  elevation: 100,
  tilt: 45,
  aim: 180,
  albedo: 0.2,
};
const noon: Reading = {
  time: Date.UTC(2026, 5, 21, 12, 10),
  inlet: 18,
  outlet: 24,
  air: 20,
  flow: 8.4e-5,
  sky: 'clear',
  wind: 1.5,
};
const within = (min: number, max: number) => fc.double({ min, max, noNaN: true });
/** Half an hour past midnight in December. */
const midnight = Date.UTC(2026, 11, 21, 0, 30);
const codes = (change: Partial<Reading>, query: { aperture?: number; placed?: boolean } = {}) =>
  readingDoubts(plant, { ...noon, ...change }, { aperture: 4, placed: true, ...query }).map(({ code }) => code);

const rows: [what: string, change: Partial<Reading>, codes: string[]][] = [
  ['a plain noon', {}, []],
  ['warm gain in a clear night', { time: midnight, air: 4 }, ['warm-by-night']],
  ['water that cools by night', { time: midnight, air: 4, outlet: 16 }, []],
  ['water that takes on warmth of the air by night', { time: midnight, air: 26 }, []],
  ['sun after dark', { time: midnight, irradiance: 500, outlet: 17 }, ['sun-by-night']],
  ['what a pyranometer shows in the dark', { time: midnight, irradiance: 4, outlet: 17 }, []],
  ['colder out than in at noon', { outlet: 12 }, ['colder-in-sun']],
  ['hot water sent through a cool panel', { inlet: 70, outlet: 66 }, []],
  ['a bucket timed in minutes for seconds', { flow: 5e-3 }, ['more-than-sun']],
  ['water colder than ice', { inlet: -4, outlet: 1 }, ['water-below-freezing']],
  ['no flow', { time: midnight, flow: 0 }, []],
];

describe('proof: readings that can hardly have been', () => {
  for (const [what, change, found] of rows)
    it(`${what}: ${found.join(', ') || 'nothing to ask'}`, () => expect(codes(change)).deep.equal(found));
  it('nothing is asked of the night where nobody knows the place', () =>
    expect(codes({ time: midnight, air: 4 }, { placed: false })).deep.equal([]));
  it('heat up to what the sun brings is not asked about; twice that is', () => {
    // By hand: about 1 000 W/m² of clear June noon on 4 m² are 4 kW; 6 K of 84 mL/s are 2.1 kW.
    expect(codes({}, { aperture: 4 })).deep.equal([]);
    expect(codes({}, { aperture: 1 })).deep.equal(['more-than-sun']);
  });
  it('every doubt has its words in both habits', () => {
    const seen = new Set<string>();
    const asked: [Plant, Partial<Reading>][] = [
      ...rows.map(([, change]): [Plant, Partial<Reading>] => [plant, change]),
      [
        { ...plant, groups: [{ thermal: storeModel(twoTanks()), count: 1 }] },
        { flow: 0, outlet: 12 },
      ],
    ];
    for (const [standing, change] of asked)
      for (const doubt of readingDoubts(standing, { ...noon, ...change }, { aperture: 4, placed: true })) {
        seen.add(doubt.code);
        for (const habit of ['metric', 'imperial'] as const) {
          const { headline, detail, remedy } = wordFinding(doubt, doubtWords, habit);
          expect(`${headline}${detail}${remedy}`).not.match(/NaN|undefined/);
        }
      }
    expect([...seen].sort()).deep.equal(Object.keys(doubtWords).sort());
  });
  it('no believable reading breaks it, and the clear day of a sound panel is never asked about', () => {
    let asked = 0;
    fc.assert(
      fc.property(
        within(-20, 99),
        within(-20, 120),
        within(-40, 50),
        within(0, 0.01),
        fc.constantFrom(...skyWords),
        fc.integer({ min: 0, max: 364 * 24 * 60 }),
        (inlet, outlet, air, flow, sky, minute) => {
          const time = Date.UTC(2026, 0, 1) + minute * 60_000;
          const found = readingDoubts(plant, { time, inlet, outlet, air, flow, sky }, { aperture: 4, placed: true });
          asked += found.length;
          expect(found.every(({ values }) => Object.values(values).every((value) => Number.isFinite(value)))).equal(
            true,
          );
        },
      ),
    );
    expect(asked).above(0);
    for (let hour = 8; hour <= 16; hour += 1)
      expect(
        codes({ time: Date.UTC(2026, 5, 21, hour), outlet: 18 + 6 * Math.sin(((hour - 6) * Math.PI) / 12) }),
      ).deep.equal([]);
  });
});
