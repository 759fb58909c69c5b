import { expect } from 'chai';
import * as fc from 'fast-check';
import { slotDrop } from '../../hydraulic';
import { slotFilm } from '../../thermal';
import { workingOf } from '../../thermal/flat/flat.fixture';
import { fairDay } from '../../thermal/plate/collector.fixture';
import { families } from '..';
import { boltLoad, bowUnder, type HeldSheet, mostPressure, pressureFor } from './bow';
import { byDifferences, bySeries, leastSquares } from './heldPlate.fixture';
import { layOut } from './layout';
import { latticeParameters } from './parameters';

const steel: HeldSheet = { modulus: 210e9, thickness: 0.0007, pitch: 0.08, washer: 0.02, bolt: 0.005 };
const open = (change: Record<string, unknown> = {}) => {
  const standard = families.lattice.standard('metric');
  return families.lattice.open(
    { id: 'panel-a', ...standard, parameters: { ...standard.parameters, ...change } },
    'heaters.panel-a',
  );
};
const laid = (change: Record<string, unknown> = {}) => layOut(latticeParameters.parse(change));
const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('lattice: a sheet between its bolts', () => {
  const rigidity = (210e9 * 0.0007 ** 3) / (12 * (1 - 0.09));
  it('bows as a plate clamped at its washers, and with a point for a washer nearly as Timoshenko’s 0.00581 q s⁴ / D (recalled)', () => {
    const at = (washer: number) => bowUnder({ ...steel, washer }, 20) / ((20 * 0.08 ** 4) / rigidity);
    for (const ratio of [0.125, 0.25, 0.5]) expect(at(ratio * 0.08) / bySeries(ratio).middle).closeTo(1, 0.005);
    expect(at(0.004) / 0.00581).within(0.9, 1);
  });
  it('bends most at the washer’s edge: M by a series that meets the clamped edge and the lines between the bolts', () => {
    for (const ratio of [0.05, 0.1, 0.125, 0.2, 0.25, 1 / 3, 0.5, 0.7]) {
      const { axis, diagonal } = bySeries(ratio);
      // At 10 Pa nothing stretches: the stress is 6 M / t² alone.
      const moment = (boltLoad({ ...steel, washer: ratio * 0.08 }, 10).stress * 0.0007 ** 2) / 6 / (10 * 0.08 ** 2);
      expect(moment / Math.max(axis, diagonal), `${ratio}`).closeTo(1, 0.01);
    }
  });
  // Given from outside: a finite-difference plate, ν = 0.3, on the way to the next bolt.
  for (const [ratio, c] of [
    [0.125, 0.22],
    [0.2, 0.16],
    [0.25, 0.13],
    [1 / 3, 0.09],
  ] as const)
    it(`agrees with finite differences at a washer of ${ratio.toFixed(3)} of the pitch: c about ${c}`, () => {
      const series = bySeries(ratio);
      expect(series.axis / c).within(0.98, 1.09);
      const deflection = byDifferences(ratio, 40);
      expect(deflection(0.5, 0.5) / series.middle).within(0.98, 1.09);
      // The mean moment round the edge from rings outside it, whose mean is r⁴/64 − r² ln r / 8π + A ln r + B r² + C.
      const edge = ratio / 2;
      const ring = (r: number) => {
        const turns = Array.from({ length: 60 }, (_, k) => ((k + 0.5) * Math.PI) / 120);
        return turns.reduce((sum, angle) => sum + deflection(r * Math.cos(angle), r * Math.sin(angle)), 0) / 60;
      };
      const rows = [1.3, 1.6, 2, 2.4]
        .map((times) => times * edge)
        .filter((r) => r < 0.48)
        .map((r) => [Math.log(r), r ** 2, 1, ring(r) - r ** 4 / 64 + (r ** 2 * Math.log(r)) / (8 * Math.PI)]);
      const [a = 0, b = 0] = leastSquares(rows);
      const moment = (3 * edge ** 2) / 16 - (2 * Math.log(edge) + 3) / (8 * Math.PI) - a / edge ** 2 + 2 * b;
      expect(moment / ((series.axis + series.diagonal) / 2)).within(0.88, 1.02);
    });
  it('bears twice the head with wider washers, and is held by its bolts where they are thin', () => {
    const bears = (change: Partial<HeldSheet>) => mostPressure({ ...steel, ...change }, 120e6);
    expect(bears({ washer: 0.03 }) / bears({ washer: 0.014 })).above(2);
    const wide = { thickness: 0.004, pitch: 0.3, washer: 0.05 };
    // 0.549 × 3² mm² at 225 MPa is 1112 N on 0.09 m²: 12.4 kPa.
    expect(bears({ ...wide, bolt: 0.003 })).closeTo(12_352, 20);
    expect(bears({ ...wide, bolt: 0.01 })).above(15_000);
  });
  it('stiffens as it stretches: ten times the pressure bows it less than ten times', () => {
    expect(bowUnder(steel, 100_000)).below(10 * bowUnder(steel, 10_000));
    expect(bowUnder(steel, 1e6) / bowUnder(steel, 1e5)).within(10 ** (1 / 3) - 0.05, 4);
  });
  it('goes there and back, and is flat without pressure', () => {
    fc.assert(
      fc.property(any(10, 50_000), any(0.04, 0.25), any(0.0004, 0.002), (pressure, pitch, thickness) => {
        const sheet = { ...steel, pitch, thickness };
        expect(pressureFor(sheet, bowUnder(sheet, pressure)) / pressure).closeTo(1, 1e-3);
      }),
    );
    expect(bowUnder(steel, 0)).equal(0);
  });
  it('pulls each bolt with the pressure on its field: 11.75 kPa on 80 mm square is 75 N (worked by hand)', () => {
    const load = boltLoad(steel, 11_750);
    expect(load.pull).closeTo(75.2, 0.1);
    // Round a washer of 20 mm and 0.7 mm thick: 75.2 / (π × 0.02 × 0.0007) = 1.71 MPa.
    expect(load.shear / 1e6).closeTo(1.71, 0.01);
  });
  it('bears less the wider the grid and the thinner the sheet', () => {
    fc.assert(
      fc.property(any(0.04, 0.2), any(0.0005, 0.0015), (pitch, thickness) => {
        const bears = (change: Partial<HeldSheet>) => mostPressure({ ...steel, pitch, thickness, ...change }, 120e6);
        expect(bears({ pitch: pitch * 1.2 })).below(bears({}));
        expect(bears({ thickness: thickness * 1.2 })).above(bears({}));
      }),
    );
  });
});

describe('lattice: a panel worked by hand', () => {
  // 1 950 × 950 with rims of 30: 1 890 by 890 inside. Grid of at most 75: 26 fields of 72.69 along, 12 of 74.17 across.
  const layout = laid();
  it('fills the inside with an even grid', () => {
    expect(layout.grid.along).closeTo(1.89 / 26, 1e-9);
    expect(layout.grid.across).closeTo(0.89 / 12, 1e-9);
    expect(layout.bolts).length(25 * 11);
    expect(layout.rimBolts).length(2 * 27 + 2 * 11);
  });
  it('holds what is wetted times the gap: 1.682 m² of gasket and bow', () => {
    expect(layout.wetted).closeTo(1.89 * 0.89, 1e-9);
    expect(layout.gap).closeTo(0.002 + layout.atMiddle.bow, 1e-12);
    expect(open().hydraulic?.volume).closeTo(layout.wetted * layout.gap, 1e-12);
  });
  it('counts bolts, four washers each in the grid, and gasket once round', () => {
    const quantity = (id: string) => open().purchases.find((one) => one.id === `panel-a/${id}`)?.quantity;
    expect(quantity('bolt')).equal(275);
    // Of 27 along a long rim every fourth and the last goes through the lath, eight; of 11 along a short one four.
    expect(quantity('bolt-lath')).equal(2 * (8 + 4));
    expect(quantity('bolt-rim')).equal(76 - 24);
    expect(quantity('washers')).equal(4 * 275);
    expect(quantity('gasket-strip')).closeTo(2 * (1.95 + 0.95 - 0.06), 1e-9);
  });
  it('keeps every bolt on the sheet and none on another', () => {
    fc.assert(
      fc.property(any(0.4, 3), any(0.4, 1.5), any(0.04, 0.3), (length, width, boltPitch) => {
        const one = laid({ length, width, boltPitch });
        for (const { x, y } of [...one.bolts, ...one.rimBolts]) {
          expect(x).within(0, length);
          expect(y).within(0, width);
        }
        expect(Math.max(one.grid.along, one.grid.across)).at.most(boltPitch + 1e-9);
      }),
      { numRuns: 40 },
    );
  });
});

describe('lattice: under a raised barrel', () => {
  it('bows more and holds more water the higher the barrel stands', () => {
    expect(laid({ head: 2 }).atFoot.bow).above(laid({ head: 1 }).atFoot.bow);
    expect(open({ head: 2 }).hydraulic?.volume).above(open({ head: 1 }).hydraulic?.volume ?? 1);
  });
  it('refuses a head that its bolts do not hold, with one that they do', () => {
    const [clash] = open({ head: 4.5 }).findings;
    expect(clash).include({ code: 'head-too-high', path: 'heaters.panel-a.parameters.head', severity: 'clash' });
    const mended = open({ head: clash?.fix }).findings.map(({ code }) => code);
    expect(mended).not.include('head-too-high');
    expect(open({ head: 4.5, boltPitch: 0.05 }).findings.map(({ code }) => code)).not.include('head-too-high');
  });
  it('says where washers meet, and where a bow meets its cover', () => {
    expect(open({ boltPitch: 0.03, washer: 0.03 }).findings.map(({ code }) => code)).include('washers-meet');
    const bowed = open({ boltPitch: 0.3, sheet: 'aluminium-0.5', airGap: 0.01, head: 3 });
    expect(bowed.findings.map(({ code }) => code)).include('bow-meets-cover');
  });
  it('always tells to let air in before it drains, and stands on no mains', () => {
    expect(open().findings.map(({ code }) => code)).include('lattice-vacuum');
    expect(open().hydraulic?.weakPoint).equal('bolted sheets');
  });
});

describe('lattice: its water and heat', () => {
  it('drops 12 μ L Q / (b g³): 1 g/s of 20 °C over 1 m by 1 m by 2 mm is 1.5 Pa (worked by hand)', () => {
    // 12 × 1.0e-3 × 1 × 1.0e-6 / (1 × 8e-9).
    expect(slotDrop({ massFlow: 0.001, length: 1, breadth: 1, gap: 0.002, temperature: 20 })).closeTo(1.5, 0.03);
    expect(slotDrop({ massFlow: 0.001, length: 1, breadth: 1, gap: 0.004, temperature: 20 })).closeTo(1.5 / 8, 0.01);
  });
  it('films by 5.385 k / 2g: 0.6 over 4 mm is 800 W/m²K (Shah and London 1978, recalled)', () => {
    expect(slotFilm(0.002, 20, 'water').coefficient).closeTo((5.385 * 0.598) / 0.004, 8);
  });
  it('wets all of its plate: no fin, and F′ near one', () => {
    const { thermal } = open();
    const state = workingOf(thermal, { ...fairDay, massFlow: 0.04 });
    expect(state.finEfficiency).equal(1);
    // h / (h + U), worked from the film alone.
    const film = slotFilm(laid().gap, (fairDay.inlet + state.outletTemperature) / 2, 'water').coefficient;
    expect(state.efficiencyFactor).closeTo(film / (film + state.lossCoefficient), 1e-3);
    expect(thermal.inputs.map(({ id }) => id)).not.include.members(['bond', 'plate']);
  });
});

describe('lattice: its ports', () => {
  const codes = (change: Record<string, unknown>) => open(change).findings.map(({ code }) => code);
  it('are fitted while both faces of the back can be reached, with what they take', () => {
    const steps = open().steps();
    const at = (end: string) => steps.findIndex(({ id }) => id.endsWith(end));
    expect(at('/ports')).below(at('/bolt'));
    expect(steps[at('/ports')]?.parts.map((id) => id.split('/').pop())).deep.equal([
      'ports',
      'port-screws',
      'air-tee',
      'air-cock',
    ]);
    const screws = open({ ports: 3 }).purchases.find(({ id }) => id.endsWith('/port-screws'));
    expect(screws?.quantity).equal(12);
  });
  it('have heads that lie between the sheets: 1.2 mm and 0.3 of water want 1.5', () => {
    expect(codes({ gasket: 0.0015 })).not.include('port-screws-too-thick');
    const clash = open({ gasket: 0.001 }).findings.find(({ code }) => code === 'port-screws-too-thick');
    expect(clash?.fix).closeTo(0.0015, 1e-12);
  });
  it('have a flange of 56 mm between four washers: on 75 mm there is room, on 60 there is none', () => {
    // Half the diagonal of the field: 53.0 less 10 of washer and 28 of flange leaves 15; on 60: 42.4 less 38 leaves 4.4, with washers of 30 none.
    expect(codes({})).not.include('port-meets-bolts');
    expect(codes({ boltPitch: 0.06, washer: 0.03 })).include('port-meets-bolts');
  });
});
