import { expect } from 'chai';
import * as fc from 'fast-check';
import { range } from '../catalogue';
import type { OperatingConditions, ThermalState } from './contract';
import { risingCurve } from './curve';
import { fluidState } from './fluids';
import { modifierAt } from './laboratory';
import { fourthPower, stefan } from './radiation';
import { overcastLoss, storesInSeries } from './store/inSeries';
import { homeMade, spreadInput, valuesOf } from './uncertain';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('thermal: a curve through points', () => {
  it('goes through each of them, never turns back, and goes straight on at both ends', () => {
    fc.assert(
      fc.property(fc.array(fc.tuple(any(0.01, 5), any(0, 9)), { minLength: 3, maxLength: 20 }), (steps) => {
        const sums = (which: 0 | 1, from: number) =>
          steps.map((_, index) => steps.slice(0, index + 1).reduce((sum, step) => sum + step[which], from));
        const [x, y] = [sums(0, -10), sums(1, -20)];
        const curve = risingCurve(x, (at) => y[x.indexOf(at)] ?? Number.NaN);
        x.forEach((one, index) => {
          expect(curve(one)).closeTo(y[index] ?? Number.NaN, 1e-9);
        });
        const [low, high] = [(x[0] ?? 0) - 3, (x.at(-1) ?? 0) + 3];
        for (let step = 0; step < 300; step += 1) {
          const [here, next] = [step, step + 1].map((one) => low + ((high - low) * one) / 300);
          expect(curve(next ?? 0)).at.least(curve(here ?? 0) - 1e-9);
        }
        const last = x.at(-1) ?? 0;
        expect(curve(last + 2) - curve(last + 1)).closeTo(curve(last + 1) - curve(last), 1e-9);
      }),
      { numRuns: 100 },
    );
  });
  it('is a line through points of a line, and within a thousandth of a smooth curve', () => {
    const x = [-40, -10, 0, 5, 20, 60];
    expect(risingCurve(x, (one) => 3 * one + 7)(13)).closeTo(46, 1e-12);
    const nodes = Array.from({ length: 41 }, (_, index) => index * 5);
    const loss = risingCurve(nodes, (one) => stefan * fourthPower(one));
    for (let at = 2.5; at < 195; at += 5) expect(loss(at) / (stefan * fourthPower(at))).closeTo(1, 1e-3);
  });
});

describe('thermal: uncertain inputs', () => {
  const [bond] = [spreadInput(undefined)('bond', 'Bond', 'W/mK', 1, range(2, 4, 9, 'judgement'), [0.5, 0.5, 1])];
  it('widen at home: low and likely fall, the high end never under the likely', () => {
    expect(bond?.spread['home-made']).include({ low: 1, likely: 2, high: 9 });
    expect(homeMade(range(1, 2, 3, 'textbook'), [1, 2, 1]).high).equal(4);
  });
  it('are taken at their deviates, at their likely value without one, and by the builder where he knows', () => {
    const value = valuesOf(bond ? [bond] : [], { bond: -1.6449 }, 'well made');
    expect(value('bond', 7)).closeTo(2, 1e-9);
    expect(value('other', 7)).equal(7);
    const known = spreadInput({ bond: range(5, 5, 5, 'measured') })(
      'bond',
      'Bond',
      'W/mK',
      1,
      range(2, 4, 9, 'judgement'),
    );
    expect(known.own).equal(true);
    expect(valuesOf([known], { bond: 2 }, 'home-made')('bond', 0)).equal(5);
  });
});

describe('thermal: water that stands in series', () => {
  /** Bodies that lose 4 W/K to air at 10 °C and keep 1 000 W between them: solved with a pencil. */
  const stores = {
    count: 2,
    built: () => null,
    net:
      (_: null, { air }: OperatingConditions) =>
      (at: number) =>
        1000 - 4 * (at - air),
    stateOf: (_: null, __: OperatingConditions, temperatures: readonly number[], usefulHeat: number): ThermalState => ({
      sun: 0,
      usefulHeat,
      efficiency: 0,
      places: Object.fromEntries(temperatures.map((at, index) => [String(index), at])),
      paths: [],
      terms: {},
    }),
  };
  const day = {
    irradiance: 0,
    beamShare: 0,
    groundShare: 0,
    incidence: 0,
    air: 10,
    surroundings: 10,
    wind: 1,
    inlet: 20,
    tilt: 45,
  };
  it('settles at rest where it loses what it keeps: 10 + 1 000 / 4', () => {
    expect(storesInSeries(stores).state({ ...day, massFlow: 0 }).places['0']).closeTo(260, 1e-3);
  });
  it('with a flow, T = (m c T_in + 500 + 2 × 10) / (m c + 2), twice', () => {
    const massFlow = 0.01;
    const carried = massFlow * fluidState('water', 20).heatCapacity;
    const first = (carried * 20 + 520) / (carried + 2);
    const second = (carried * first + 520) / (carried + 2);
    const state = storesInSeries(stores).state({ ...day, massFlow });
    expect(state.places['0']).closeTo(first, 1e-5);
    expect(state.outletTemperature).closeTo(second, 1e-5);
    expect(state.usefulHeat).closeTo(carried * (second - 20), 1e-3);
  });
  it('loses on a still night what is left of it by the kelvin', () => {
    expect(overcastLoss((at) => -3 * (at - 10))).closeTo(3, 1e-12);
  });
});

describe('thermal: modifiers from a table', () => {
  it('are straight between its even steps, alike to either side, and end at 90°', () => {
    const table = [1, 0.9, 0.6, 0];
    expect(modifierAt(table, 15)).closeTo(0.95, 1e-12);
    expect(modifierAt(table, -45)).closeTo(0.75, 1e-12);
    expect(modifierAt(table, 90)).closeTo(0, 1e-12);
    expect(modifierAt(table, 120)).closeTo(0, 1e-12);
  });
});
