import { expect } from 'chai';
import * as fc from 'fast-check';
import { entry, range } from '../catalogue';
import { normals } from '../quantity';
import {
  absorptanceAtAngle,
  coverOptics,
  diffuseIncidence,
  efficiencyFactor,
  finEfficiency,
  fluidState,
  gapConvection,
  heatRemovalFactor,
  type PlateDescription,
  sheetsFor,
  topLoss,
  tubeFilm,
  valueAt,
  windCoefficient,
} from '.';
import {
  collectorState,
  efficiencyLine,
  fairDay,
  glazedPanel,
  plainPlate,
  stagnationTemperature,
} from './plate/collector.fixture';

const glass = { index: 1.526, extinction: 0, thickness: 0.003 };
const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('heat: water (recalled: tables of the International Association for the Properties of Water and Steam)', () => {
  const rows: [t: number, density: number, viscosity: number, conductivity: number, heat: number][] = [
    [20, 998.2, 1.0016e-3, 0.598, 4184],
    [50, 988.0, 0.547e-3, 0.64, 4180],
    [80, 971.8, 0.354e-3, 0.667, 4197],
  ];
  for (const [t, density, viscosity, conductivity, heat] of rows)
    it(`at ${t} °C`, () => {
      const water = fluidState('water', t);
      expect(water.density).closeTo(density, 0.5);
      expect(water.viscosity / viscosity).closeTo(1, 0.02);
      expect(water.conductivity / conductivity).closeTo(1, 0.01);
      expect(water.heatCapacity / heat).closeTo(1, 0.003);
    });
});

describe('heat: covers', () => {
  it('passes (1 - r)/(1 + r) of clear glass, r = 0.0434 (derived from Fresnel; D&B example 5.1.2 has 0.92)', () => {
    const r = (0.526 / 2.526) ** 2;
    expect(coverOptics({ covers: [glass], incidence: 0 }).transmittance).closeTo((1 - r) / (1 + r), 1e-12);
  });
  it('passes (1 - r)/(1 + 3r) of two clear sheets (derived; D&B equation 5.1.8)', () => {
    const r = (0.526 / 2.526) ** 2;
    expect(coverOptics({ covers: [glass, glass], incidence: 0 }).transmittance).closeTo((1 - r) / (1 + 3 * r), 1e-12);
  });
  it('passes 0.90 of clear glass at 60° less 0.035 (D&B table: r at 60° is 0.093 averaged; recalled, wide)', () => {
    expect(coverOptics({ covers: [glass], incidence: 60 }).transmittance).closeTo(0.84, 0.01);
  });
  it('keeps all light, at any angle, and passes none along the glass', () => {
    fc.assert(
      fc.property(any(0, 90), any(0, 100), any(0.001, 0.01), (incidence, extinction, thickness) => {
        const sheet = { index: 1.526, extinction, thickness };
        const { transmittance, reflectance, absorptance } = coverOptics({ covers: [sheet, sheet], incidence });
        expect(transmittance + reflectance + absorptance).closeTo(1, 1e-9);
      }),
    );
    expect(coverOptics({ covers: [glass], incidence: 90 }).transmittance).closeTo(0, 1e-9);
    expect(coverOptics({ covers: [], incidence: 30 }).transmittance).equal(1);
  });
  it('finds the sheets for a transmittance that was read off a label', () => {
    const covers = sheetsFor({ index: 1.526, sheets: 1, transmittance: 0.838 });
    expect(coverOptics({ covers, incidence: 0 }).transmittance).closeTo(0.838, 1e-9);
    const twin = sheetsFor({ index: 1.586, sheets: 2, transmittance: 0.8 });
    expect(coverOptics({ covers: twin, incidence: 0 }).transmittance).closeTo(0.8, 1e-9);
  });
  it('has the diffuse angles of Brandemuehl and Beckman: 59.7 and 90 on the flat, 60 or so on a wall', () => {
    expect(diffuseIncidence(0)).deep.equal({ sky: 59.7, ground: 90 });
    expect(diffuseIncidence(90).ground).closeTo(59.7, 0.1);
  });
  it('has a paint that darkens little to 60° and goes to zero at 90°', () => {
    expect(absorptanceAtAngle(0)).equal(1);
    expect(absorptanceAtAngle(60)).within(0.9, 0.97);
    expect(absorptanceAtAngle(90)).closeTo(0, 1e-9);
  });
});

describe('heat: losses', () => {
  const duffie = {
    plateTemperature: 100,
    ambientTemperature: 10,
    skyTemperature: 10,
    windCoefficient: 10,
    tilt: 45,
    plateEmittance: 0.95,
    covers: [{ emittance: 0.88, gap: 0.025 }],
  };
  it('loses 6.6 W/m²K in D&B example 6.4.1 (recalled), sky at air temperature', () => {
    expect(topLoss(duffie).coefficient).closeTo(6.6, 0.1);
  });
  it('loses by Klein (1979) closed form within 0.3 W/m²K for one and two covers (D&B 6.4.9, recalled)', () => {
    const klein = (n: number) => {
      const plate = 373.15;
      const air = 283.15;
      const wind = 10;
      const f = (1 + 0.089 * wind - 0.1166 * wind * 0.95) * (1 + 0.07866 * n);
      const c = 520 * (1 - 0.000051 * 45 ** 2);
      const e = 0.43 * (1 - 100 / plate);
      const convective = 1 / (n / ((c / plate) * ((plate - air) / (n + f)) ** e) + 1 / wind);
      const radiative =
        (5.67e-8 * (plate + air) * (plate ** 2 + air ** 2)) /
        (1 / (0.95 + 0.00591 * n * wind) + (2 * n + f - 1 + 0.133 * 0.95) / 0.88 - n);
      return convective + radiative;
    };
    expect(topLoss(duffie).coefficient).closeTo(klein(1), 0.3);
    const two = { ...duffie, covers: [...duffie.covers, ...duffie.covers] };
    expect(topLoss(two).coefficient).closeTo(klein(2), 0.3);
  });
  it('conducts across a gap heated from above (derived: k / gap)', () => {
    expect(gapConvection({ below: 20, above: 40, gap: 0.025, tilt: 45 })).closeTo(0.0264 / 0.025, 0.01);
  });
  it('takes wind by Mitchell, at least 5', () => {
    expect(windCoefficient(0, 1)).equal(5);
    expect(windCoefficient(5, 8)).closeTo((8.6 * 5 ** 0.6) / 8 ** 0.4, 1e-12);
  });
  it('loses less under more covers, more in more wind, and heats a cold plate under a warm sky', () => {
    fc.assert(
      fc.property(any(20, 180), any(5, 30), any(0, 75), (plate, wind, tilt) => {
        const query = { ...duffie, plateTemperature: plate, windCoefficient: wind, tilt };
        const one = topLoss(query).flux;
        expect(topLoss({ ...query, covers: [...duffie.covers, ...duffie.covers] }).flux).below(one);
        expect(topLoss({ ...query, windCoefficient: wind + 5 }).flux).above(one);
      }),
    );
    expect(topLoss({ ...duffie, plateTemperature: 0 }).flux).below(0);
    const still = topLoss({ ...duffie, plateTemperature: 10, skyTemperature: -5 });
    expect(still.flux).above(0);
    expect(still.coefficient).within(2, 9);
  });
});

describe('heat: fin, bond and film', () => {
  it('has F 0.937 and F′ 0.841 in D&B example 6.5.1 (recalled)', () => {
    const fin = finEfficiency({ conductance: 385 * 0.0005, lossCoefficient: 8, pitch: 0.15, tubeDiameter: 0.01 });
    expect(fin).closeTo(0.937, 0.001);
    const factor = efficiencyFactor({
      lossCoefficient: 8,
      pitch: 0.15,
      outerDiameter: 0.01,
      innerDiameter: 0.01,
      finEfficiency: fin,
      bondConductance: Number.POSITIVE_INFINITY,
      filmCoefficient: 300,
    });
    expect(factor).closeTo(0.841, 0.001);
  });
  it('has F″ 0.948 and F_R 0.797 in D&B example 6.7.1 (recalled)', () => {
    const removal = heatRemovalFactor({
      massFlow: 0.03,
      heatCapacity: 4190,
      area: 2,
      lossCoefficient: 8,
      efficiencyFactor: 0.841,
    });
    expect(removal).closeTo(0.797, 0.001);
    expect(removal / 0.841).closeTo(0.948, 0.001);
  });
  it('shows foil against sheet (derived: tanh(m)/m): 0.07 mm 0.88, 0.3 mm 0.97 at 104 mm pitch', () => {
    const at = (thickness: number) =>
      finEfficiency({ conductance: 385 * thickness, lossCoefficient: 5, pitch: 0.104, tubeDiameter: 0.015 });
    expect(at(0.00007)).closeTo(0.88, 0.015);
    expect(at(0.0003)).closeTo(0.97, 0.01);
  });
  it('has its limits: no flow removes nothing, endless flow all of F′', () => {
    const query = { heatCapacity: 4190, area: 2, lossCoefficient: 5, efficiencyFactor: 0.9 };
    expect(heatRemovalFactor({ ...query, massFlow: 0 })).equal(0);
    expect(heatRemovalFactor({ ...query, massFlow: 1e6 })).closeTo(0.9, 1e-6);
  });
  it('films: 4.364 far down a laminar tube (derived), Gnielinski when turbulent, no step at the joints', () => {
    const at = (massFlow: number, length = 2) =>
      tubeFilm({ massFlow, innerDiameter: 0.0136, length, temperature: 40, fluid: 'water' });
    const k = fluidState('water', 40).conductivity;
    expect((at(1e-6, 100).coefficient * 0.0136) / k).closeTo(4.37, 0.02);
    expect(at(0.1).reynolds).above(4000);
    expect((at(0.1).coefficient * 0.0136) / k).within(75, 105);
    const edge = (re: number) => at((re * Math.PI * 0.0136 * fluidState('water', 40).viscosity) / 4).coefficient;
    expect(edge(2301) / edge(2299)).closeTo(1, 0.01);
    expect(edge(4001) / edge(3999)).closeTo(1, 0.01);
  });
});

describe('heat: a whole panel', () => {
  it('lies in the sanity envelope of a single-glazed flat black panel', () => {
    const line = efficiencyLine(glazedPanel(), fairDay);
    expect(line.intercept).within(0.68, 0.78);
    expect(line.slope).within(4.5, 7);
    const dry = stagnationTemperature(glazedPanel(), {
      ...fairDay,
      irradiance: 1000,
      air: 30,
      surroundings: 20,
      wind: 0.5,
      massFlow: 0,
    });
    expect(dry).within(120, 155);
  });
  it('stands hotter with a selective coat', () => {
    const coat = { ...entry('coating', 'selective-paint'), emittance: range(0.05, 0.1, 0.15, 'data sheet') };
    const dry = stagnationTemperature(glazedPanel({ absorptance: coat.absorptance, emittance: coat.emittance }), {
      ...fairDay,
      irradiance: 1000,
      air: 30,
      surroundings: 20,
      wind: 0.5,
      massFlow: 0,
    });
    expect(dry).within(160, 205);
  });
  it('lies in the envelope of a bare panel', () => {
    // Bare panels are made of close tubes: 30 mm apart here.
    const close = {
      covers: [],
      apertureArea: 2,
      plate: plainPlate(385 * 0.0003, 0.03),
      tube: { ...glazedPanel().tube, count: 35 },
    };
    const line = efficiencyLine(glazedPanel(close), { ...fairDay, surroundings: 15 });
    expect(line.intercept).within(0.8, 0.93);
    expect(line.slope).within(10, 20);
  });
  it('loses no heat on the way: water and losses add up to the sun', () => {
    fc.assert(
      fc.property(
        any(100, 1100),
        any(-10, 40),
        any(0, 80),
        any(0.005, 0.2),
        any(0, 8),
        (irradiance, air, inlet, massFlow, wind) => {
          const state = collectorState(glazedPanel(), {
            ...fairDay,
            irradiance,
            air,
            inlet,
            massFlow,
            wind,
            surroundings: air - 10,
          });
          const { water, optical, top, back, edge } = state.paths;
          // Each part is worked out by itself: the plate keeps its share, and that is water and losses to 1e-6 of it.
          expect(state.absorbed).closeTo(state.opticalShare * irradiance * 2.06, 1e-9);
          expect((water + top + back + edge) / state.absorbed).closeTo(1, 1e-6);
          expect(optical + state.absorbed).closeTo(irradiance * 2.06, 1e-9);
          expect(state.efficiencyFactor).within(0, 1);
        },
      ),
    );
  });
  it('gains more with a better bond, a closer pitch of tubes and a colder inlet', () => {
    const heat = (change: Partial<PlateDescription>, inlet = 20) =>
      collectorState(glazedPanel(change), { ...fairDay, inlet }).usefulHeat;
    expect(heat({ bond: range(2, 4, 10, 'judgement') })).below(heat({}));
    expect(heat({ plate: plainPlate(385 * 0.0003, 0.18), tube: { ...glazedPanel().tube, count: 6 } })).below(heat({}));
    expect(heat({}, 50)).below(heat({}, 10));
  });
  it('meets the plate of a still panel as the flow goes to nothing', () => {
    const trickle = collectorState(glazedPanel(), { ...fairDay, massFlow: 1e-5, inlet: 15 });
    const dry = stagnationTemperature(glazedPanel(), fairDay);
    expect(trickle.plateTemperature).closeTo(dry, 2);
  });
});

describe('heat: spread', () => {
  it('gives the same row for the same seed, another for another', () => {
    const row = (seed: number) => Array.from({ length: 4 }, normals(seed));
    expect(row(7)).deep.equal(row(7));
    expect(row(7)).not.deep.equal(row(8));
  });
  it('puts low, likely and high where they belong', () => {
    const bond = range(2, 5, 12, 'judgement', 'log-normal');
    expect(valueAt(bond, 0)).equal(5);
    expect(valueAt(bond, -1.6449)).closeTo(2, 1e-9);
    expect(valueAt(bond, 1.6449)).closeTo(12, 1e-9);
    expect(valueAt(bond, -50)).above(0);
  });
});
