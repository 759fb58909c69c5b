import { expect } from 'chai';
import * as fc from 'fast-check';
import { stagnationTemperature, steaming, topFlux } from '../../thermal';
import { workingOf } from '../../thermal/flat/flat.fixture';
import { fairDay } from '../../thermal/plate/collector.fixture';
import { families } from '..';
import { layOut } from './layout';
import { trickleParameters } from './parameters';

const open = (change: Record<string, unknown> = {}) => {
  const standard = families.trickle.standard('metric');
  return families.trickle.open(
    { id: 'panel-a', ...standard, parameters: { ...standard.parameters, ...change } },
    'heaters.panel-a',
  );
};
const laid = (change: Record<string, unknown> = {}) => layOut(trickleParameters.parse(change));
const codes = (change: Record<string, unknown>) => open(change).findings.map(({ code }) => code);

describe('trickle: a panel worked by hand', () => {
  // Cans of 66 across: π × 66 = 207.3 flat. Twenty of 100 lapping 12: 20 × 88 + 12 = 1 772. Five strips and six battens of 18.
  it('lays a can flat and laps it up the slope', () => {
    expect(laid().flat).closeTo(0.2073, 0.0001);
    expect(laid().stripLength).closeTo(1.772, 1e-12);
    // 19 of board and 30 of the gutter before the feet, which reach over it by 12; 40 and 19 past the heads.
    expect(laid().outside.length).closeTo(0.019 + 0.03 + 1.772 + 0.04 + 0.019, 1e-12);
    expect(laid().outside.width).closeTo(5 * laid().flat + 6 * 0.018 + 2 * 0.019, 1e-9);
  });
  it('counts cans, tape and battens: 100 cans, twice when a second skin seals them', () => {
    const quantity = (design: ReturnType<typeof open>, id: string) =>
      design.purchases.find((one) => one.id === `panel-a/${id}`)?.quantity;
    expect(quantity(open(), 'can')).equal(100);
    expect(quantity(open(), 'skin')).equal(100);
    expect(quantity(open({ film: 'open' }), 'skin')).equal(undefined);
    // 19 laps in each of five strips of 207.3, and both edges of 1 772.
    expect(quantity(open({ film: 'open' }), 'tape')).closeTo(95 * laid().flat + 10 * 1.772, 1e-9);
    // The skin is lapped and edged like what it lies on.
    expect(quantity(open(), 'tape')).closeTo(2 * (95 * laid().flat + 10 * 1.772), 1e-9);
    expect(open().parts.find(({ id }) => id === 'panel-a/batten')?.count).equal(6);
  });
  it('makes the second skin that it buys cans for, once it has been seen how wet the strips get', () => {
    const steps = open().steps();
    const at = (end: string) => steps.findIndex(({ id }) => id.endsWith(end));
    expect(steps[at('/flatten')]?.does[0]).match(/^200 of them: 100 for the strips/);
    expect(steps[at('/join')]?.parts).include('panel-a/skin');
    expect(at('/skin')).above(at('/wetting'));
    const bare = open({ film: 'open' }).steps();
    expect(bare.some(({ id }) => id.endsWith('/skin'))).equal(false);
  });
  it('drains by itself and holds next to nothing', () => {
    expect(open().hydraulic?.drains).deep.equal({ empties: true, how: 'by itself when the pump stops' });
    expect((open().hydraulic?.volume ?? 0) * 1000).within(0.3, 0.6);
  });
});

describe('trickle: steam under the cover', () => {
  it('carries by Lewis’ analogy: at 50 over 30 °C about four times what convection does (worked by hand)', () => {
    // Vapour 0.0829 and 0.0304 kg/m³; h/(ρ c Le^⅔) = 3/1 008; × 2.38e6 × 0.0525 / 20 K = 18.6 W/m²K.
    // Vapour 12.35 and 4.25 kPa; 101.3 / (461.5 × 313) × ln(97.08 / 88.98) = 0.0611 kg/m³ of Stefan flow, × 3 / 1009 × 2.38 MJ / 20 K.
    expect(steaming(50, 30, 3)).closeTo(21.6, 0.2);
    expect(steaming(30, 50, 3)).equal(0);
    expect(steaming(40, 40, 3)).equal(0);
  });
  it('adds to the loss of a wet plate, the more the warmer, and nothing to a dry one', () => {
    const top = (plate: number, wet: number) =>
      topFlux({
        plateTemperature: plate,
        ambientTemperature: 15,
        skyTemperature: 5,
        windCoefficient: 10,
        tilt: 45,
        plateEmittance: 0.92,
        covers: [{ emittance: 0.88, gap: 0.03 }],
        wet,
      });
    expect(top(50, 0.8) / top(50, 0)).within(1.3, 4);
    expect(top(50, 0.8) - top(50, 0)).above(top(30, 0.8) - top(30, 0));
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 90 }), fc.double({ min: 0.05, max: 1, noNaN: true }), (plate, wet) => {
        expect(top(plate, wet)).above(top(plate, 0));
      }),
    );
  });
  it('costs an open film much of its heat at warm water, and a dry panel nothing', () => {
    const heat = (film: string, inlet: number) =>
      workingOf(open({ film }).thermal, { ...fairDay, inlet, massFlow: 0.05 }).usefulHeat;
    expect(heat('open', 45) / heat('sealed', 45)).below(0.75);
    expect(heat('open', 12) / heat('sealed', 12)).above(0.85);
    const dry = { ...fairDay, irradiance: 1000, massFlow: 0 };
    expect(stagnationTemperature(open({ film: 'open' }).thermal, dry)).closeTo(
      stagnationTemperature(open({ film: 'sealed' }).thermal, dry),
      1e-6,
    );
    expect(codes({ film: 'open' })).include('film-steams');
  });
});

describe('trickle: over its range', () => {
  it('gathers more the more of its face is wet', () => {
    const heat = (wetting: string) => workingOf(open({ wetting }).thermal, { ...fairDay, massFlow: 0.05 }).usefulHeat;
    expect(heat('plain')).below(heat('dimpled'));
    expect(codes({ wetting: 'plain' })).include('runs-in-streaks');
  });
  it('says where a lap eats the can, and where no pane is so long', () => {
    expect(codes({ height: 0.06, lap: 0.03 })).include('lap-eats-can');
    expect(codes({ cans: 40 })).include('no-such-pane');
    expect(codes({ cans: 40, cover: 'none' })).not.include('no-such-pane');
  });
  it('opens, draws and weighs whatever is asked', () => {
    fc.assert(
      fc.property(
        fc.integer({ min: 3, max: 40 }),
        fc.integer({ min: 1, max: 12 }),
        fc.double({ min: 0.04, max: 0.12, noNaN: true }),
        fc.double({ min: 0.05, max: 0.25, noNaN: true }),
        fc.constantFrom('tempered-glass', 'film', 'none'),
        (cans, strips, diameter, height, cover) => {
          const design = open({ cans, strips, diameter, height, cover });
          for (const part of design.parts) expect(part.mass, part.id).above(0);
          for (const { draw } of Object.values(design.drawings)) expect(JSON.stringify(draw())).not.match(/null|NaN/);
          expect(design.areas.absorber).above(0);
          expect(design.areas.aperture).at.most(design.areas.gross);
        },
      ),
      { numRuns: 60 },
    );
  });
});
