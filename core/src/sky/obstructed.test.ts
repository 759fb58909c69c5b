import { expect } from 'chai';
import * as fc from 'fast-check';
import { trials } from '../quantity/trials.fixture';
import { clearSky } from './clear';
import { obstructedIrradiance, obstructionOf } from './obstructed';
import { around, cellsOnPane, skyYear } from './standing';
import { dayOfYear, sunPosition } from './sun';
import { tiltedIrradiance } from './tilted';
import { middleOf } from './weather';
import { reach, reachYear } from './weather/made.fixture';

const hill = [
  { azimuth: 300, elevation: 0 },
  { azimuth: 330, elevation: 30 },
  { azimuth: 30, elevation: 30 },
  { azimuth: 60, elevation: 0 },
];
const all = (elevation: number) => [0, 90, 180, 270].map((azimuth) => ({ azimuth, elevation }));
const row = { spacing: 2, rise: 0, length: 2, width: 6 };

/** What a moment sends to a pane, behind what stands before it. */
function at(moment: string, pane: { tilt: number; aim: number }, before: Parameters<typeof obstructionOf>[0]) {
  const time = new Date(moment);
  const place = { latitude: 45, longitude: 0, elevation: 100 };
  const query = {
    ...clearSky({ at: time, ...place }),
    ...sunPosition({ at: time, ...place }),
    ...pane,
    dayOfYear: dayOfYear(time),
    albedo: 0.2,
  };
  return {
    open: tiltedIrradiance({ model: 'perez', ...query }),
    behind: obstructedIrradiance(query, obstructionOf(before, pane)),
  };
}
const south = { tilt: 45, aim: 180 };

describe('sky: sun behind what stands before a pane', () => {
  it('is what it is where nothing stands', () => {
    expect(obstructionOf({ horizon: [] }, south)).equal(undefined);
    const { open, behind } = at('2026-06-21T12:00:00Z', south, { horizon: [] });
    expect(behind).deep.equal(open);
    // A skyline that is level hides nothing.
    const level = at('2026-06-21T12:00:00Z', south, { horizon: all(0) });
    expect(level.behind.total).closeTo(level.open.total, 1e-9);
  });
  it('has no beam below the skyline, and all of it above', () => {
    const winter = at('2026-12-21T12:00:00Z', south, { horizon: all(30) });
    expect(winter.open.beam).above(300);
    expect(winter.behind.beam).equal(0);
    expect(winter.behind.sky).above(0).and.below(winter.open.sky);
    expect(winter.behind.ground).equal(winter.open.ground);
    const summer = at('2026-06-21T12:00:00Z', south, { horizon: all(30) });
    expect(summer.behind.beam).equal(summer.open.beam);
  });
  it('loses the shadow of a row in front, more of it with a low sun', () => {
    const share = (moment: string) => {
      const { open, behind } = at(moment, south, { horizon: [], front: row });
      return behind.beam / open.beam;
    };
    expect(share('2026-12-21T12:00:00Z')).below(share('2026-03-21T12:00:00Z'));
    expect(share('2026-06-21T12:00:00Z')).closeTo(1, 1e-9);
  });
  it('is never more than under an open sky, and adds up', () => {
    fc.assert(
      fc.property(
        fc.record({ tilt: fc.integer({ min: 0, max: 90 }), aim: fc.integer({ min: 0, max: 359 }) }),
        fc.integer({ min: 0, max: 80 }),
        fc.integer({ min: 0, max: 8759 }),
        (pane, high, hour) => {
          const moment = new Date(Date.UTC(2026, 0, 1) + hour * 3_600_000).toISOString();
          const { open, behind } = at(moment, pane, { horizon: all(high), front: row });
          expect(behind.total).at.most(open.total + 1e-9);
          expect(behind.total).at.least(0);
          expect(behind.beam + behind.sky + behind.ground).closeTo(behind.total, 1e-9);
        },
      ),
      { numRuns: trials(150, 2000) },
    );
  });
  it('adds up over a year to what the cells of the year have, behind a hill and a row', () => {
    const series = reachYear();
    const sky = skyYear(series, reach);
    const { beamNormal, diffuse, global } = series.columns;
    for (const before of [{ horizon: hill }, { horizon: [], front: row }, { horizon: hill, front: row }]) {
      const pane = { tilt: 40, aim: 0 };
      const cells = cellsOnPane(sky, around(sky, { albedo: 0.2, ...before }), pane).reduce((sum, one) => sum + one, 0);
      const obstruction = obstructionOf(before, pane);
      let sum = 0;
      for (let index = 0; index < series.length; index += 1) {
        const time = new Date(middleOf(series, index));
        const query = {
          beamNormal: beamNormal?.[index] ?? 0,
          diffuse: diffuse?.[index] ?? 0,
          global: global?.[index] ?? 0,
          ...sunPosition({ at: time, ...reach }),
          ...pane,
          dayOfYear: dayOfYear(time),
          albedo: 0.2,
        };
        sum += obstructedIrradiance(query, obstruction).total * series.step;
      }
      expect(sum / cells).closeTo(1, 0.015);
    }
  });
});
