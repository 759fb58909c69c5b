import { expect } from 'chai';
import * as fc from 'fast-check';
import { litArea, openArea, type Sunlit } from './sunlit';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const panel: Sunlit = {
  opening: { length: 2, width: 1 },
  plate: { length: 1.9, width: 0.96 },
  coverage: 1,
  depth: 0.03,
  bars: { count: 3, width: 0.02, depth: 0.02 },
};

/** Rays one by one: where each enters, what it meets on its way down, and whether it lands on the plate. */
function byRays(sunlit: Sunlit, incidence: number): number {
  const { opening, plate, depth, bars } = sunlit;
  const lean = Math.tan((incidence * Math.PI) / 180);
  const [steps, turns] = [90, 64];
  let hits = 0;
  for (let turn = 0; turn < turns; turn += 1) {
    const [along, across] = [
      Math.cos((2 * Math.PI * (turn + 0.5)) / turns),
      Math.sin((2 * Math.PI * (turn + 0.5)) / turns),
    ];
    for (let i = 0; i < steps; i += 1)
      for (let j = 0; j < steps; j += 1) {
        const x = opening.length * ((i + 0.5) / steps - 0.5);
        const y = opening.width * ((j + 0.5) / steps - 0.5);
        let blocked = false;
        for (let bar = 1; bar <= bars.count; bar += 1) {
          const centre = opening.length * (bar / (bars.count + 1) - 0.5);
          const to = x + bars.depth * lean * along;
          // The flange stops what enters over it, the web what crosses its plane before its foot.
          if (Math.abs(x - centre) < bars.width / 2 || (x - centre) * (to - centre) < 0) blocked = true;
        }
        const [endX, endY] = [x + depth * lean * along, y + depth * lean * across];
        // The walls stand at the edge of the opening, or farther out where the plate reaches under them.
        if (!blocked && Math.abs(endX) < plate.length / 2 && Math.abs(endY) < plate.width / 2) hits += 1;
      }
  }
  return (opening.length * opening.width * hits * sunlit.coverage) / (steps * steps * turns);
}

describe('heat: what of the plate the sun reaches', () => {
  it('square on is where opening and plate overlap, less the bars (worked by hand)', () => {
    // 1.9 × 0.96 × (1 − 3 × 0.02 / 2).
    expect(litArea(panel, 0)).closeTo(1.9 * 0.96 * 0.97, 1e-12);
    expect(openArea(panel)).closeTo(2 * 0.97, 1e-12);
    const wide = { ...panel, plate: { length: 3, width: 2 } };
    expect(litArea(wide, 0)).closeTo(openArea(wide), 1e-12);
  });
  for (const incidence of [0, 30, 60, 75])
    it(`agrees with rays counted one by one at ${incidence}°`, () => {
      for (const one of [
        panel,
        { ...panel, plate: { length: 2.1, width: 1.05 } },
        { ...panel, depth: 0.06, bars: { count: 1, width: 0.02, depth: 0.02 } },
      ])
        expect(litArea(one, incidence) / byRays(one, incidence)).within(0.975, 1.025);
    });
  it('is never more than the opening, nor grows with bars, depth or a flatter sun', () => {
    fc.assert(
      fc.property(
        any(0.3, 3),
        any(0.3, 1.5),
        any(0.1, 4),
        any(0.1, 3),
        any(0, 0.08),
        fc.integer({ min: 0, max: 5 }),
        any(0, 89),
        (length, width, plateLength, plateWidth, depth, count, incidence) => {
          const one = {
            opening: { length, width },
            plate: { length: plateLength, width: plateWidth },
            coverage: 1,
            depth,
            bars: { count, width: 0.02, depth: 0.02 },
          };
          const lit = litArea(one, incidence);
          expect(lit).within(0, openArea(one) + 1e-12);
          expect(litArea({ ...one, bars: { ...one.bars, count: count + 1 } }, incidence)).at.most(lit);
          expect(litArea({ ...one, depth: depth + 0.01 }, incidence)).at.most(lit + 1e-12);
          expect(litArea(one, Math.min(90, incidence + 5))).at.most(lit + 1e-12);
        },
      ),
    );
  });
});
