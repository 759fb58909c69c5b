import { expect } from 'chai';
import { defaultJob } from '../document';
import {
  bandsOverFlow,
  bandsOverInlet,
  bothBands,
  efficiencyCurve,
  inletAt,
  reducedTemperature,
  riseReach,
} from './bandCurves';

const job = defaultJob('harp');

describe('figures: bands along curves', () => {
  it('give each point what a call for that point alone gives', () => {
    const span = 0.12;
    const curve = bandsOverFlow(job, { air: 5 }, span);
    const last = curve.at(-1);
    expect(last?.massFlow).closeTo(span, 1e-12);
    expect(last?.bands).deep.equal(bothBands(job, { air: 5, massFlow: last?.massFlow ?? 0 }, 60));
    for (const [index, { massFlow }] of curve.entries()) expect(massFlow).above(curve[index - 1]?.massFlow ?? 0);
  });
  it('gain less and heat more the faster it flows; home-made is worse than well made', () => {
    const [slow, ...rest] = bandsOverFlow(job, {}, 0.12);
    const fast = rest.at(-1);
    expect(fast?.bands['well made'].gain?.likely).below(slow?.bands['well made'].gain?.likely ?? 0);
    expect(fast?.bands['well made'].usefulHeat?.likely).above(slow?.bands['well made'].usefulHeat?.likely ?? 0);
    for (const { bands } of rest)
      expect(bands['home-made'].usefulHeat?.likely).below(bands['well made'].usefulHeat?.likely ?? 0);
  });
  it('fall over the rise of the inlet, from the air that is given', () => {
    const curve = bandsOverInlet(job, { air: -5 });
    expect(curve.at(-1)?.rise).equal(riseReach);
    expect(curve[0]?.bands).deep.equal(bothBands(job, { air: -5, inlet: -5 }, 60));
    const line = efficiencyCurve(job).map(({ efficiency }) => efficiency?.likely ?? Number.NaN);
    for (const [index, one] of line.entries()) if (index > 0) expect(one).below(line[index - 1] ?? 0);
  });
  it('lie on the abscissa of an efficiency line, there and back (worked by hand)', () => {
    expect(reducedTemperature({ inlet: 55, air: 15, irradiance: 800 })).closeTo(0.05, 1e-12);
    expect(inletAt(0.05, { air: 15, irradiance: 800 })).closeTo(55, 1e-12);
  });
});
