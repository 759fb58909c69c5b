import { expect } from 'chai';
import { partialLoadMoment, pointLoadMoment, rollAngle, sectionModulus, timberBearing, timberBending } from '.';

describe('statics: beams', () => {
  it('have the modulus of their section: 45 by 90 on edge is four times that of 45 by 45', () => {
    expect(sectionModulus(0.045, 0.045)).closeTo(15.1875e-6, 1e-12);
    expect(sectionModulus(0.045, 0.09)).closeTo(60.75e-6, 1e-12);
  });
  it('under one force in the middle bend by F L / 4', () => {
    expect(pointLoadMoment(1.2, [{ at: 0.6, force: 1000 }])).closeTo(300, 1e-9);
  });
  it('under two like forces at a third of the span bend by F L / 3, alike between them', () => {
    const loads = [0.4, 0.8].map((at) => ({ at, force: 900 }));
    expect(pointLoadMoment(1.2, loads)).closeTo(360, 1e-9);
  });
  it('under forces that differ bend most under one of them (worked by hand)', () => {
    // Reaction at the left: (600 × 0.9 + 300 × 0.3) / 1.2 = 525 N. At 0.3: 157.5 N·m; at 0.9: 525 × 0.9 − 600 × 0.6 = 112.5.
    const loads = [
      { at: 0.3, force: 600 },
      { at: 0.9, force: 300 },
    ];
    expect(pointLoadMoment(1.2, loads)).closeTo(157.5, 1e-9);
  });
  it('take no moment from what stands on or beyond their supports', () => {
    expect(
      pointLoadMoment(
        1,
        [0, 1, 1.4].map((at) => ({ at, force: 500 })),
      ),
    ).equal(0);
    expect(pointLoadMoment(1, [])).equal(0);
  });
  it('under a load spread over all of them bend by F L / 8, over nothing of them by F L / 4', () => {
    expect(partialLoadMoment(1.1, 1.1, 800)).closeTo(110, 1e-9);
    expect(partialLoadMoment(1.1, 0, 800)).closeTo(220, 1e-9);
  });
  it('under a spread load bend as under many small forces', () => {
    const [span, length, force, parts] = [1.127, 0.98, 565, 400];
    const loads = Array.from({ length: parts }, (_, index) => ({
      at: (span - length) / 2 + ((index + 0.5) / parts) * length,
      force: force / parts,
    }));
    expect(partialLoadMoment(span, length, force)).closeTo(pointLoadMoment(span, loads), 0.02);
  });
});

describe('statics: what is round', () => {
  it('rolls over a stop of 45 mm under 360 mm at 41.4 degrees', () =>
    expect(rollAngle(0.18, 0.045)).closeTo(41.41, 0.01));
  it('rolls at once without a stop, and at a right angle over one as high as its middle', () => {
    expect(rollAngle(0.18, 0)).equal(0);
    expect(rollAngle(0.18, 0.18)).closeTo(90, 1e-9);
  });
});

describe('statics: timber', () => {
  // By hand: 16 × 0.6 / 1.3 × 0.8 = 5.91 MPa, 2.2 × 0.6 / 1.3 × 0.8 = 0.81 MPa.
  it('bears about 6 MPa bent and 0.8 MPa pressed, for years and warm', () => {
    expect(timberBending / 1e6).closeTo(5.91, 0.01);
    expect(timberBearing / 1e6).closeTo(0.81, 0.01);
  });
});
