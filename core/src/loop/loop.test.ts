import { expect } from 'chai';
import * as fc from 'fast-check';
import { collectorState } from '../heat';
import { fairDay, glazedPanel } from '../heat/collector.fixture';
import { panelsState, totalAperture } from '.';

const one = { heat: glazedPanel(), count: 1 };
const small = {
  heat: glazedPanel({ apertureArea: 1.03, absorberArea: 1, grossArea: 1.2, rim: { ...glazedPanel().rim, area: 0.27 } }),
  count: 1,
};

describe('loop: panels together', () => {
  it('are one panel when there is one', () => {
    const alone = collectorState(one.heat, fairDay);
    for (const connection of ['parallel', 'series'] as const) {
      const together = panelsState([one], connection, fairDay);
      expect(together.usefulHeat).closeTo(alone.usefulHeat, 1e-9);
      expect(together.efficiency).closeTo(alone.efficiency, 1e-9);
      expect(together.gain).closeTo(alone.gain, 0.002);
    }
  });
  it('add their areas, counted', () => {
    expect(totalAperture([{ ...one, count: 3 }, small])).closeTo(3 * 2.06 + 1.03, 1e-12);
  });
  it('in parallel part the water by aperture', () => {
    const both = panelsState([one, small], 'parallel', { ...fairDay, massFlow: 0.06 });
    const share = (area: number) => (0.06 * area) / 3.09;
    const first = collectorState(one.heat, { ...fairDay, massFlow: share(2.06) });
    const second = collectorState(small.heat, { ...fairDay, massFlow: share(1.03) });
    expect(both.usefulHeat).closeTo(first.usefulHeat + second.usefulHeat, 1e-9);
  });
  it('in series feed one another, each less efficient than the one before', () => {
    const pair = panelsState([{ ...one, count: 2 }], 'series', fairDay);
    const first = collectorState(one.heat, fairDay);
    const second = collectorState(one.heat, { ...fairDay, inlet: first.outletTemperature });
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
          const state = panelsState([{ ...one, count }], connection, { ...fairDay, massFlow });
          expect(state.usefulHeat / (massFlow * 4182 * state.gain)).closeTo(1, 0.004);
        },
      ),
      { numRuns: 40 },
    );
  });
});
