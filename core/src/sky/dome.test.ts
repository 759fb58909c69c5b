import { expect } from 'chai';
import * as fc from 'fast-check';
import { hourMarks, incidenceAngle, paneEdge, yearPaths } from '.';

const reach = { latitude: -40.9, longitude: 172.9, elevation: 4 };
const zone = 'Pacific/Auckland';

describe('sky: lines on the dome', () => {
  it('draws seven paths from solstice to solstice, highest in the summer of the site', () => {
    const heights = (latitude: number) =>
      yearPaths({ ...reach, latitude }, 2026).map(({ points }) => 90 - Math.min(...points.map(({ zenith }) => zenith)));
    const south = heights(-40.9);
    expect(south).length(7);
    for (let index = 1; index < 7; index += 1) expect(south[index]).below(south[index - 1] as number);
    // 90° − |φ − δ|, within the coarseness of ten-minute points.
    expect(south[0]).closeTo(90 - 40.9 + 23.44, 0.2);
    expect(south[6]).closeTo(90 - 40.9 - 23.44, 0.2);
    const north = heights(40.9);
    for (let index = 1; index < 7; index += 1) expect(north[index]).above(north[index - 1] as number);
  });
  it('keeps a path for every month where the sun does not set, and an empty one where it does not rise', () => {
    const paths = yearPaths({ latitude: 75, longitude: 20, elevation: 0 }, 2026);
    expect(paths[0]?.points).deep.equal([]);
    expect(paths[6]?.points.length).above(140);
  });

  it('marks whole hours by the clock of the site, daylight saving and all', () => {
    const [december, , , , , , june] = yearPaths(reach, 2026);
    const marks = hourMarks(december?.points ?? [], zone);
    // Sunrise about 5:45 and sunset about 20:50 by the summer clock.
    expect(marks.map(({ hour }) => hour)).deep.equal(Array.from({ length: 15 }, (_, index) => index + 6));
    for (const { hour, point } of marks) {
      const told = new Intl.DateTimeFormat('en-GB', { timeZone: zone, hour: '2-digit', minute: '2-digit' });
      expect(told.format(new Date(Math.round(point.at.getTime() / 1000) * 1000))).equal(
        `${String(hour).padStart(2, '0')}:00`,
      );
    }
    // Noon by the sun is at 12:30 by the winter clock and 13:27 by the summer one.
    const noonish = (points: Parameters<typeof hourMarks>[0] = []) =>
      hourMarks(points, zone).find(({ hour }) => hour === 12)?.point.azimuth;
    expect(noonish(june?.points)).within(5, 10);
    expect(noonish(december?.points)).within(40, 60);
  });
  it('marks them where a clock stands on half hours too', () => {
    const [, , , , , , june] = yearPaths({ latitude: 12.9, longitude: 77.6, elevation: 900 }, 2026);
    const marks = hourMarks(june?.points ?? [], 'Asia/Kolkata');
    for (const { point } of marks) expect(Math.round(point.at.getTime() / 60_000) % 60).equal(30);
    expect(marks.length).within(12, 13);
  });

  it('edges what a pane sees with sun that only grazes it, and with the horizon elsewhere', () => {
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 90 }), fc.integer({ min: 0, max: 359 }), (tilt, aim) => {
        const edge = paneEdge({ tilt, aim });
        expect(edge.length).above(50);
        for (const sun of edge) {
          expect(sun.zenith).within(-1e-9, 90 + 1e-9);
          // Grazing: the rays lie in the pane's plane, so they meet it at 90°.
          if (tilt < 90) expect(incidenceAngle({ ...sun, tilt, aim })).closeTo(90, 1e-6);
        }
        // Over its back a pane of tilt t loses the sky below t.
        expect(90 - (edge[Math.floor(edge.length / 2)]?.zenith ?? 0)).closeTo(Math.min(tilt, 89.9), 1e-6);
      }),
    );
  });
});
