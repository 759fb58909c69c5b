import { expect } from 'chai';
import * as fc from 'fast-check';
import { NotConverged } from '.';
import { risingRoot } from './root';

describe('heat: the root of a rising function', () => {
  it('is found where the pencil has it', () => {
    expect(risingRoot((x) => x ** 3 - 8, 0, 100, 1e-9)).closeTo(2, 1e-6);
    expect(risingRoot((x) => Math.exp(x) - 1, -50, 5, 1e-9)).closeTo(0, 1e-6);
    expect(risingRoot((x) => x, -1, 1, 1e-9)).closeTo(0, 1e-9);
  });
  it('is refused when the bounds hold none', () => {
    expect(() => risingRoot((x) => x + 1, 0, 5, 1e-9)).throw(NotConverged);
    expect(() => risingRoot((x) => x - 9, 0, 5, 1e-9)).throw(NotConverged);
  });
  it('agrees with plain halving on radiators of every kind', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1, max: 30, noNaN: true }),
        fc.double({ min: 0.05, max: 1, noNaN: true }),
        fc.double({ min: 10, max: 1200, noNaN: true }),
        (convection, emittance, sun) => {
          const excess = (t: number) =>
            convection * (t - 20) + emittance * 5.67e-8 * ((t + 273.15) ** 4 - 293.15 ** 4) - sun;
          let low = -40;
          let high = 800;
          for (let pass = 0; pass < 80; pass += 1) {
            const middle = (low + high) / 2;
            if (excess(middle) < 0) low = middle;
            else high = middle;
          }
          expect(risingRoot(excess, -40, 800, 1e-6)).closeTo((low + high) / 2, 1e-3);
        },
      ),
    );
  });
});
