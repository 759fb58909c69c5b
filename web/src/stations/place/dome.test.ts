import { expect } from 'chai';
import { domeOf, pathOf } from './dome';

describe('place: the dome from above', () => {
  const dome = domeOf(90);
  it('puts north up, east to the right, the horizon on the rim and straight up in the middle', () => {
    const near = (sun: { zenith: number; azimuth: number }, x: number, y: number) => {
      const [left, top] = dome.at(sun);
      expect(left).closeTo(x, 1e-9);
      expect(top).closeTo(y, 1e-9);
    };
    near({ zenith: 90, azimuth: 0 }, 0, -90);
    near({ zenith: 90, azimuth: 90 }, 90, 0);
    near({ zenith: 90, azimuth: 180 }, 0, 90);
    near({ zenith: 0, azimuth: 123 }, 0, 0);
    near({ zenith: 45, azimuth: 270 }, -45, 0);
  });
  it('reads a place back as it was drawn, and one outside the rim as below the horizon', () => {
    for (const azimuth of [0, 33, 179, 271, 359])
      for (const zenith of [10, 60, 90]) {
        const read = dome.from(...dome.at({ azimuth, zenith }));
        expect(read.azimuth).closeTo(azimuth, 1e-9);
        expect(read.elevation).closeTo(90 - zenith, 1e-9);
      }
    expect(dome.from(0, 100).elevation).closeTo(-10, 1e-9);
  });
  it('writes a path, closed or open, and none for no points', () => {
    expect(pathOf([])).equal('');
    const points = [
      [0, 1],
      [2.04, 3],
    ] as const;
    expect(pathOf(points)).equal('M0.0 1.0L2.0 3.0');
    expect(pathOf(points, true)).equal('M0.0 1.0L2.0 3.0Z');
  });
});
