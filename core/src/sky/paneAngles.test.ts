import { expect } from 'chai';
import * as fc from 'fast-check';
import { incidenceAngle, paneAngles } from '.';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('sky: the sun’s angles to a pane', () => {
  it('are zero square on, and the difference of heights at noon', () => {
    const square = paneAngles({ zenith: 40, azimuth: 180, tilt: 40, aim: 180 });
    expect(square.transversal).closeTo(0, 1e-9);
    expect(square.longitudinal).closeTo(0, 1e-9);
    // A sun 20° higher than square, and one 15° lower, on a pane that looks south or north.
    expect(paneAngles({ zenith: 20, azimuth: 180, tilt: 40, aim: 180 }).longitudinal).closeTo(20, 1e-9);
    expect(paneAngles({ zenith: 55, azimuth: 0, tilt: 40, aim: 0 }).longitudinal).closeTo(-15, 1e-9);
  });
  it('make the angle of incidence: tan²θ = tan²θt + tan²θl (ISO 9806:2017)', () => {
    fc.assert(
      fc.property(any(0, 85), any(0, 360), any(0, 90), any(0, 360), (zenith, azimuth, tilt, aim) => {
        const incidence = incidenceAngle({ zenith, azimuth, tilt, aim });
        if (incidence > 88) return;
        const { transversal, longitudinal } = paneAngles({ zenith, azimuth, tilt, aim });
        const tangent = (degrees: number) => Math.tan((degrees * Math.PI) / 180);
        expect(Math.hypot(tangent(transversal), tangent(longitudinal))).closeTo(
          tangent(incidence),
          1e-6 * (1 + tangent(incidence) ** 2),
        );
      }),
    );
  });
});
