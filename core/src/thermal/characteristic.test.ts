import { expect } from 'chai';
import { characteristicHeat, type FlowThrough, fitFlowThrough, plateModel, residualOf, workingRange } from '.';
import { leastSquares } from './leastSquares';
import { fairDay, glazedPanel } from './plate/collector.fixture';

const reference = { tilt: 45, specificFlow: 0.02 };
const panel = plateModel(glazedPanel());
const fit = fitFlowThrough(panel, reference);
const day = { ...fairDay, massFlow: 0.02 * 2.06, wind: 3 };

describe('thermal: least squares', () => {
  it('finds the line that the points lie on, and weighs those that do not', () => {
    const rows = [1, 2, 3, 4].map((x) => ({ x: [1, x], y: 3 - 2 * x, weight: 1 }));
    const [level, slope] = leastSquares(rows, 2);
    expect(level).closeTo(3, 1e-9);
    expect(slope).closeTo(-2, 1e-9);
    // Two values of a level, one weighing three times the other: (3 × 1 + 5) / 4.
    const both = [
      { x: [1], y: 1, weight: 3 },
      { x: [1], y: 5, weight: 1 },
    ];
    expect(leastSquares(both, 1)[0]).closeTo(2, 1e-12);
  });
  it('gives zero where no row tells anything', () => {
    expect(leastSquares([{ x: [0, 2], y: 4, weight: 1 }], 2)).deep.equal([0, 2]);
  });
});

describe('thermal: a characteristic', () => {
  it('has the signs and sizes of a single-glazed flat black panel (sanity envelope of the design notes)', () => {
    const { eta0b, kd, a1, a2, a3, a4, a5, a8 } = fit.iso;
    expect(eta0b).within(0.68, 0.82);
    expect(kd).within(0.85, 0.97);
    expect(a1).within(3.5, 7);
    expect(a2).within(0, 0.06);
    expect(a3).within(0, 1);
    expect(a4).within(0.1, 0.6);
    // 6, 14 and 1.4 kJ/K over 2.06 m².
    expect(a5).closeTo(21400 / 2.06, 1e-9);
    expect(Math.abs(a8)).below(1e-5);
  });
  it('keeps the beam of a glass pane nearly whole to 50° and loses it by 90°', () => {
    const { transversal, longitudinal, round } = fit.beamModifier;
    expect(transversal[0]).equal(1);
    expect(transversal[10]).within(0.9, 0.98);
    expect(transversal[18]).closeTo(0, 1e-6);
    expect(longitudinal).deep.equal(transversal);
    expect(round).equal(true);
  });
  it('meets the model at a condition worked through by its equation', () => {
    const heat = characteristicHeat(fit, day);
    expect(heat / panel.state(day).usefulHeat).closeTo(1, 0.015);
    // By hand from the printed coefficients: at 3 m/s the wind terms are zero, at the reference flow and 15 °C the corrections but one.
    const { iso, corrections } = fit;
    const rise = (day.inlet + day.inlet + heat / (day.massFlow * 4184)) / 2 - day.air;
    const sky = 5.670374e-8 * ((day.surroundings + 273.15) ** 4 - (day.air + 273.15) ** 4);
    const diffuse = 0.9 * fit.skyModifier + 0.1 * fit.groundModifier;
    const flux =
      iso.eta0b * 800 * (0.85 + 0.15 * diffuse) -
      iso.a1 * rise -
      iso.a2 * rise ** 2 +
      iso.a4 * sky -
      iso.a8 * rise ** 4 -
      corrections.riseSky * rise * sky;
    expect(heat / 2.06 / flux).closeTo(1, 1e-3);
    expect(iso.kd).closeTo(diffuse, 1e-12);
  });
  it('is held to 2 % of useful heat on 500 conditions that it was not fitted to', () => {
    const held = residualOf(fit, panel, { seed: 901, count: 500 });
    expect(held.count).above(400);
    expect(held.worst).below(0.02);
    expect(held.rms).below(0.007);
  });
  it('keeps back the heat that warms the panel, and gives it out as that cools', () => {
    const rate = 0.005;
    const steady = characteristicHeat(fit, day);
    const warming = characteristicHeat(fit, day, rate);
    expect(steady - warming).within(0.85 * rate * 21400, rate * 21400);
    expect(characteristicHeat(fit, day, -rate)).above(steady);
  });
  it('gives nothing back where heat goes one way only', () => {
    const night = { ...day, irradiance: 0, inlet: 40 };
    expect(characteristicHeat(fit, night)).below(0);
    const oneWay: FlowThrough = { ...fit, oneWay: true };
    expect(characteristicHeat(oneWay, night)).equal(0);
  });
  it('says over which conditions it holds', () => {
    for (const [low, high] of Object.values(workingRange)) expect(low).below(high);
  });
});
