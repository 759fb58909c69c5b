import { expect } from 'chai';
import * as fc from 'fast-check';
import { entries } from '../catalogue';
import { coverConductance, topFlux, topLoss } from '.';
import { exchangeFactors } from './exchange';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });
const stefan = 5.670374e-8;
const fourth = (celsius: number) => (celsius + 273.15) ** 4;

describe('heat: exchange of long wave through films', () => {
  it('is the textbook’s 1 / (1/ε + 1/ε − 1) between opaque neighbours, and nothing beyond them', () => {
    const [plate] = exchangeFactors(0.92, [{ emittance: 0.88 }]);
    expect(plate?.[1]).closeTo(1 / (1 / 0.92 + 1 / 0.88 - 1), 1e-12);
    expect(plate?.[2]).closeTo(0, 1e-12);
    expect(plate?.[3]).closeTo(0, 1e-12);
  });
  it('of a film that takes up nothing is a filter: plate to sky by τ and ρ thrown to and fro (worked by hand)', () => {
    // All of ρ = 0.5 goes back to the plate: τ ε / (1 − ρ (1 − ε)) = 0.5 × 0.8 / (1 − 0.5 × 0.2).
    expect(exchangeFactors(0.8, [{ emittance: 0, longWave: 0.5 }])[0]?.[3]).closeTo(0.4 / 0.9, 1e-12);
  });
  it('is symmetric, and the plate never gives more than a black one to a black sky', () => {
    const film = fc
      .tuple(any(0.01, 1), any(0, 1))
      .map(([emittance, share]) => ({ emittance, longWave: share * (1 - emittance) }));
    fc.assert(
      fc.property(any(0.05, 1), fc.array(film, { minLength: 1, maxLength: 3 }), (emittance, covers) => {
        const factors = exchangeFactors(emittance, covers);
        factors.forEach((row, a) => {
          row.forEach((factor, b) => {
            expect(factor).closeTo(factors[b]?.[a] ?? Number.NaN, 1e-12);
            expect(factor).at.least(-1e-12);
          });
        });
        const given = (factors[0] ?? []).reduce((sum, one) => sum + one, 0);
        expect(given).at.most(emittance + 1e-12);
      }),
    );
  });
  it('refuses a film that emits and passes more than all', () => {
    expect(() => exchangeFactors(0.9, [{ emittance: 0.8, longWave: 0.3 }])).throws(RangeError);
  });
});

describe('heat: top loss under a film', () => {
  const under = (cover: { emittance: number; longWave?: number }, plateTemperature = 60) =>
    topLoss({
      plateTemperature,
      ambientTemperature: 15,
      skyTemperature: 0,
      windCoefficient: 10,
      tilt: 45,
      plateEmittance: 0.92,
      covers: [{ ...cover, gap: 0.025 }],
    });
  it('agrees with D&B 6.4 written out for one cover: plate, cover and sky, solved by halving here', () => {
    // Net heat into the cover is zero: (h_pc + h_r,pc)(Tp − Tc) = (h_w + h_r,cs …)(Tc − Ta); and the plate sees the sky by τ.
    const [ep, ec, tau] = [0.92, 0.62, 0.3];
    const rho = 1 - ec - tau;
    // Radiosities of the lower gap by hand: J_p = ep E_p + (1 − ep) G_p, G_p = ec E_c + ρ J_p + τ E_s.
    const lower = (tp: number, tc: number, ts: number) => {
      const [Ep, Ec, Es] = [stefan * fourth(tp), stefan * fourth(tc), stefan * fourth(ts)];
      const down = (ec * Ec + rho * ep * Ep + tau * Es) / (1 - rho * (1 - ep));
      const up = ep * Ep + (1 - ep) * down;
      return { lost: up - down, cover: ec * (up - Ec) + ec * (Es - Ec) };
    };
    const result = under({ emittance: ec, longWave: tau });
    const [tc] = result.coverTemperatures;
    const hand = lower(60, tc ?? 0, 0);
    const convection = result.flux - hand.lost;
    // What convection and radiation bring to the cover, the wind takes.
    expect(convection + hand.cover).closeTo(10 * ((tc ?? 0) - 15), 0.02);
    expect(convection / (60 - (tc ?? 0))).within(1.5, 5);
  });
  it('a film that passes more warmth loses more, and one that passes none is a thin pane', () => {
    let before = under({ emittance: 0.93 }).flux;
    for (const longWave of [0.15, 0.3, 0.45, 0.7, 0.9]) {
      const { flux } = under({ emittance: 0.93 - longWave, longWave });
      expect(flux, `${longWave}`).above(before);
      before = flux;
    }
    const bare = topFlux({
      plateTemperature: 60,
      ambientTemperature: 15,
      skyTemperature: 0,
      windCoefficient: 10,
      tilt: 45,
      plateEmittance: 0.92,
      covers: [],
    });
    expect(before).below(bare);
  });
  it('no film of the catalogue keeps a plate warmer than glass does', () => {
    const glass = under({ emittance: 0.88 }).flux;
    const films = entries('pane').filter(({ kind }) => kind === 'film');
    expect(films).length(2);
    for (const pane of films) expect(under(pane).flux, pane.id).above(1.1 * glass);
  });
});

describe('heat: hollow panes', () => {
  /** W/m²K of a window test: 20 °C inside by 7.69, 0 °C outside by 25 (EN ISO 6946). */
  const windowTest = (id: string) => {
    const pane = entries('pane').find((one) => one.id === id);
    if (!pane) throw new Error(id);
    let [inner, outer] = [12, 3];
    let u = 0;
    for (let pass = 0; pass < 50; pass += 1) {
      u = 1 / (1 / 7.69 + 1 / 25 + 1 / coverConductance(pane, { inner, outer, tilt: 90 }));
      inner = 20 - (u * 20) / 7.69;
      outer = (u * 20) / 25;
    }
    return u;
  };
  for (const [id, low, high] of [
    ['twin-wall-10', 3.0, 3.2],
    ['triple-wall-16', 2.25, 2.45],
    ['unit-4-12-4', 2.8, 3],
  ] as const)
    it(`${id} has the U of its data sheet in a window test: ${low} to ${high} W/m²K`, () => {
      expect(windowTest(id)).within(low, high);
    });
  it('insulate less the warmer they are: radiation across a cavity goes with the cube of its temperature', () => {
    const pane = { emittance: 0.9, cavities: { count: 1, gap: 0.0092, webs: 0.83, view: 0.73 } };
    const cold = coverConductance(pane, { inner: 15, outer: 5, tilt: 45 });
    const hot = coverConductance(pane, { inner: 105, outer: 95, tilt: 45 });
    // Conduction in the air grows by a quarter, radiation by (373 / 283)³ = 2.29.
    expect(hot / cold).within(1.5, 1.75);
  });
});
