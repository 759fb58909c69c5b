import { expect } from 'chai';
import * as fc from 'fast-check';
import { airPressure } from '../sky';
import { boilingPoint, fluidState, glycolFreezing, steamPressure } from '.';

describe('heat: water and propylene glycol (recalled: ASHRAE Handbook, Fundamentals, aqueous propylene glycol)', () => {
  // By mass 30 % and 50 %, within what the function claims.
  const rows: [share: number, t: number, density: number, heat: number, conductivity: number, viscosity: number][] = [
    [0.3, 20, 1026, 3830, 0.453, 2.8e-3],
    [0.3, 60, 1002, 3940, 0.482, 0.97e-3],
    [0.5, 20, 1042, 3570, 0.373, 6.4e-3],
    [0.5, 60, 1016, 3700, 0.39, 1.74e-3],
  ];
  for (const [glycol, t, density, heat, conductivity, viscosity] of rows)
    it(`${glycol * 100} % at ${t} °C`, () => {
      const state = fluidState({ glycol }, t);
      expect(state.density / density).closeTo(1, 0.015);
      expect(state.heatCapacity / heat).closeTo(1, 0.04);
      expect(state.conductivity / conductivity).closeTo(1, 0.04);
      expect(state.viscosity / viscosity).closeTo(1, 0.2);
    });
  it('agrees with the Prandtl number that its author fits apart from the rest (recalled)', () => {
    const prandtl = (x: number, t: number) => {
      const cold = 273.15 / (t + 273.15);
      return Math.exp(6.66139 - 6.9944 * x + (-18.55114 + 12.0464 * x) * cold + 14.47735 * cold ** 2);
    };
    for (const share of [0.2, 0.4, 0.5])
      for (const t of [0, 30, 60]) {
        const state = fluidState({ glycol: share }, t);
        expect((state.viscosity * state.heatCapacity) / state.conductivity / prandtl(share, t)).closeTo(1, 0.06);
      }
  });
  it('freezes colder the more there is, between the rows of the table too', () => {
    expect(glycolFreezing(0.3)).equal(-12.7);
    expect(glycolFreezing(0.35)).closeTo(-16.9, 1e-9);
    fc.assert(
      fc.property(fc.double({ min: 0, max: 0.59, noNaN: true }), (share) => {
        expect(glycolFreezing(share + 0.01)).below(glycolFreezing(share));
      }),
    );
  });
});

describe('heat: boiling (recalled: IAPWS-IF97, tables 35 and 36)', () => {
  it('has the values that the formulation prints for checking', () => {
    expect(steamPressure(300 - 273.15) / 0.353658941e4).closeTo(1, 1e-8);
    expect(steamPressure(500 - 273.15) / 0.263889776e7).closeTo(1, 1e-8);
    expect(boilingPoint(0.1e6) + 273.15).closeTo(372.755919, 1e-5);
    expect(boilingPoint(1e6) + 273.15).closeTo(453.035632, 1e-5);
  });
  it('goes there and back, and water boils at 93 °C on a hill of 2 000 m', () => {
    for (const pressure of [2e4, 1e5, 4e5, 2e6])
      expect(steamPressure(boilingPoint(pressure)) / pressure).closeTo(1, 1e-6);
    expect(boilingPoint(airPressure(2000))).closeTo(93.3, 0.3);
  });
  it('has the pressures of a closed wet tube: 4.7 bar at 150 °C, 15.5 at 200 (steam tables)', () => {
    expect(steamPressure(150) / 1e5).closeTo(4.76, 0.01);
    expect(steamPressure(200) / 1e5).closeTo(15.55, 0.02);
  });
});
