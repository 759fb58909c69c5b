import { expect } from 'chai';
import * as fc from 'fast-check';
import { plateModel } from '../thermal';
import { fairDay, glazedPanel } from '../thermal/plate/collector.fixture';
import { heatersState, totalAperture } from '.';

const one = { thermal: plateModel(glazedPanel()), count: 1 };
const small = {
  thermal: plateModel(
    glazedPanel({ apertureArea: 1.03, absorberArea: 1, grossArea: 1.2, rim: { ...glazedPanel().rim, area: 0.27 } }),
  ),
  count: 1,
};

describe('loop: panels together', () => {
  it('are one panel when there is one', () => {
    const alone = one.thermal.working(fairDay);
    for (const connection of ['parallel', 'series'] as const) {
      const together = heatersState([one], connection, fairDay);
      expect(together.usefulHeat).closeTo(alone.usefulHeat, 1e-9);
      expect(together.efficiency).closeTo(alone.efficiency, 1e-9);
      expect(together.gain).closeTo(alone.gain, 0.002);
    }
  });
  it('add their areas, counted', () => {
    expect(totalAperture([{ ...one, count: 3 }, small])).closeTo(3 * 2.06 + 1.03, 1e-12);
  });
  it('in parallel part the water by aperture', () => {
    const both = heatersState([one, small], 'parallel', { ...fairDay, massFlow: 0.06 });
    const share = (area: number) => (0.06 * area) / 3.09;
    const first = one.thermal.working({ ...fairDay, massFlow: share(2.06) });
    const second = small.thermal.working({ ...fairDay, massFlow: share(1.03) });
    expect(both.usefulHeat).closeTo(first.usefulHeat + second.usefulHeat, 1e-9);
  });
  it('in series feed one another, each less efficient than the one before', () => {
    const pair = heatersState([{ ...one, count: 2 }], 'series', fairDay);
    const first = one.thermal.working(fairDay);
    const second = one.thermal.working({ ...fairDay, inlet: first.outletTemperature });
    expect(pair.outletTemperature).closeTo(second.outletTemperature, 0.02);
    expect(second.usefulHeat).below(first.usefulHeat);
  });
  it('lose no heat between panels and water', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.01, max: 0.2, noNaN: true }),
        fc.integer({ min: 1, max: 4 }),
        fc.constantFrom('parallel' as const, 'series' as const),
        (massFlow, count, connection) => {
          const state = heatersState([{ ...one, count }], connection, { ...fairDay, massFlow });
          expect(state.usefulHeat / (massFlow * 4182 * (state.gain ?? 0))).closeTo(1, 0.004);
        },
      ),
      { numRuns: 40 },
    );
  });
  it('stand at rest where nothing flows, with no outlet and all the sun told of', () => {
    for (const connection of ['parallel', 'series'] as const) {
      const state = heatersState([one, small], connection, { ...fairDay, massFlow: 0 });
      expect(state.usefulHeat).equal(0);
      expect([state.gain, state.outletTemperature]).deep.equal([undefined, undefined]);
      expect(state.outlets).deep.equal([]);
      for (const { state: at } of state.perGroup) expect(at.places.plate).above(60);
    }
  });
  it('in series tell the inlet that each has, and how hot the last leaves it', () => {
    const { perGroup, outlets } = heatersState([{ ...one, count: 2 }, small], 'series', fairDay);
    expect(perGroup[0]?.boundary.inlet).equal(fairDay.inlet);
    expect(perGroup[1]?.boundary.inlet).equal(outlets[0]);
    expect(outlets[1]).equal(perGroup[1]?.state.outletTemperature);
    expect(outlets[0]).above(perGroup[0]?.state.outletTemperature ?? 100);
  });
});
