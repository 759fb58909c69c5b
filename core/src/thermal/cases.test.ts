import { expect } from 'chai';
import * as fc from 'fast-check';
import { entry, range } from '../catalogue';
import {
  airState,
  coverOptics,
  efficiencyFactor,
  finEfficiency,
  gapConvection,
  heatRemovalFactor,
  incidenceModifier,
  massFlowOf,
  type PlateDescription,
  plateModel,
  sheetsFor,
  topFlux,
  topLoss,
  transmittanceAbsorptance,
  tubeFilm,
  volumeFlow,
} from '.';
import { modifiersOf } from './flat/derivations';
import { collectorState, efficiencyLine, fairDay, glazedPanel, stagnationTemperature } from './plate/collector.fixture';

const any = (min: number, max: number) => fc.double({ min, max, noNaN: true });

describe('heat: air (recalled: tables of dry air at 1 atm)', () => {
  const rows: [t: number, conductivity: number, kinematic: number, prandtl: number][] = [
    [0, 0.0241, 13.3e-6, 0.71],
    [50, 0.0278, 17.9e-6, 0.705],
    [100, 0.0314, 23.1e-6, 0.7],
  ];
  for (const [t, conductivity, kinematic, prandtl] of rows)
    it(`at ${t} °C`, () => {
      const air = airState(t);
      expect(air.conductivity / conductivity).closeTo(1, 0.015);
      expect(air.kinematic / kinematic).closeTo(1, 0.02);
      expect(air.prandtl).closeTo(prandtl, 0.02);
    });
});

describe('heat: the tilted gap (Hollands et al. 1976, worked by hand from its three terms)', () => {
  const byHand = (below: number, above: number, gap: number, tilt: number): number => {
    const mean = (below + above) / 2;
    const air = airState(mean);
    const cos = Math.cos((tilt * Math.PI) / 180);
    const rayleigh = (9.80665 * (below - above) * gap ** 3 * air.prandtl) / ((mean + 273.15) * air.kinematic ** 2);
    const first = 1 - (1708 * Math.sin((1.8 * tilt * Math.PI) / 180) ** 1.6) / (rayleigh * cos);
    const second = Math.max(0, 1 - 1708 / (rayleigh * cos));
    const third = Math.max(0, Math.cbrt((rayleigh * cos) / 5830) - 1);
    return ((1 + 1.44 * first * second + third) * air.conductivity) / gap;
  };
  for (const [below, above, gap, tilt] of [
    [70, 50, 0.025, 45],
    [100, 40, 0.025, 30],
    [60, 30, 0.05, 60],
    [50, 45, 0.01, 45],
  ] as const)
    it(`${below} over ${above} °C, ${gap * 1000} mm, ${tilt}°`, () => {
      expect(gapConvection({ below, above, gap, tilt })).closeTo(byHand(below, above, gap, tilt), 1e-9);
    });
  it('conducts alone under a critical Rayleigh number', () => {
    const k = airState(47.5).conductivity;
    expect(gapConvection({ below: 50, above: 45, gap: 0.008, tilt: 45 })).closeTo(k / 0.008, 1e-9);
  });
  it('is held at 75°', () => {
    expect(gapConvection({ below: 80, above: 40, gap: 0.025, tilt: 90 })).equal(
      gapConvection({ below: 80, above: 40, gap: 0.025, tilt: 75 }),
    );
  });
});

describe('heat: top loss beside Klein’s closed form (1979; D&B 6.4.9, ±0.3 W/m²K as he gives it)', () => {
  const klein = (plateC: number, airC: number, wind: number, emittance: number, tilt: number, n: number): number => {
    const [plate, air] = [plateC + 273.15, airC + 273.15];
    const f = (1 + 0.089 * wind - 0.1166 * wind * emittance) * (1 + 0.07866 * n);
    const c = 520 * (1 - 0.000051 * Math.min(70, tilt) ** 2);
    const e = 0.43 * (1 - 100 / plate);
    const convection = 1 / (n / ((c / plate) * ((plate - air) / (n + f)) ** e) + 1 / wind);
    const radiation =
      (5.67e-8 * (plate + air) * (plate ** 2 + air ** 2)) /
      (1 / (emittance + 0.00591 * n * wind) + (2 * n + f - 1 + 0.133 * emittance) / 0.88 - n);
    return convection + radiation;
  };
  const cases: [plate: number, air: number, wind: number, emittance: number, tilt: number, covers: number][] = [
    [60, 10, 10, 0.95, 45, 1],
    [100, 10, 10, 0.95, 45, 1],
    [140, 40, 10, 0.95, 45, 1],
    [60, 10, 5, 0.95, 45, 1],
    [100, 10, 20, 0.95, 45, 1],
    [100, 10, 10, 0.1, 45, 1],
    [60, 10, 10, 0.95, 45, 2],
    [100, 10, 10, 0.95, 45, 2],
    [100, 10, 10, 0.1, 45, 2],
    [100, 10, 10, 0.95, 20, 1],
  ];
  for (const [plate, air, wind, emittance, tilt, n] of cases)
    it(`plate ${plate}, air ${air}, h ${wind}, emittance ${emittance}, tilt ${tilt}, ${n} covers`, () => {
      const covers = Array.from({ length: n }, () => ({ emittance: 0.88, gap: 0.025 }));
      const ours = topLoss({
        plateTemperature: plate,
        ambientTemperature: air,
        skyTemperature: air,
        windCoefficient: wind,
        tilt,
        plateEmittance: emittance,
        covers,
      });
      expect(ours.coefficient).closeTo(klein(plate, air, wind, emittance, tilt, n), 0.35);
      // Covers lie between plate and air, in order.
      const path = [plate, ...ours.coverTemperatures, air];
      path.slice(1).forEach((t, index) => {
        expect(t).below(path[index] ?? 0);
      });
    });
  it('a bare plate: wind and the sky by the fourth power (derived)', () => {
    const flux = topFlux({
      plateTemperature: 60,
      ambientTemperature: 20,
      skyTemperature: 5,
      windCoefficient: 12,
      tilt: 30,
      plateEmittance: 0.9,
      covers: [],
    });
    expect(flux).closeTo(12 * 40 + 0.9 * 5.670374e-8 * (333.15 ** 4 - 278.15 ** 4), 1e-6);
  });
  it('a pane that insulates loses less than a thin one', () => {
    const at = (conductance: number) =>
      topFlux({
        plateTemperature: 80,
        ambientTemperature: 20,
        skyTemperature: 10,
        windCoefficient: 10,
        tilt: 45,
        plateEmittance: 0.92,
        covers: [{ emittance: 0.9, gap: 0.025, conductance }],
      });
    expect(at(5.3)).below(at(Number.POSITIVE_INFINITY));
    expect(at(1e9)).closeTo(at(Number.POSITIVE_INFINITY), 1e-3);
  });
});

describe('heat: optics', () => {
  it('absorbs by Bouguer’s law along the slanted way (derived)', () => {
    const sheet = { index: 1.526, extinction: 20, thickness: 0.004 };
    const clear = { ...sheet, extinction: 0 };
    const through =
      coverOptics({ covers: [sheet], incidence: 0 }).transmittance /
      coverOptics({ covers: [clear], incidence: 0 }).transmittance;
    expect(through).closeTo(Math.exp(-0.08), 0.001);
  });
  it('sends nothing back at Brewster’s angle in one polarisation: half the light meets no face (derived)', () => {
    const brewster = (Math.atan(1.526) * 180) / Math.PI;
    const { transmittance } = coverOptics({
      covers: [{ index: 1.526, extinction: 0, thickness: 0.003 }],
      incidence: brewster,
    });
    const inside = Math.asin(Math.sin(Math.atan(1.526)) / 1.526);
    const across = (Math.sin(inside - Math.atan(1.526)) / Math.sin(inside + Math.atan(1.526))) ** 2;
    expect(transmittance).closeTo((1 + (1 - across) / (1 + across)) / 2, 1e-9);
  });
  it('passes less the flatter the sun, through any pane of the catalogue', () => {
    for (const id of ['tempered-4', 'tempered-low-iron-4', 'twin-wall-10'] as const) {
      const pane = entry('pane', id);
      const covers = sheetsFor({ ...pane, transmittance: pane.transmittance.likely });
      const at = (incidence: number) => coverOptics({ covers, incidence }).transmittance;
      expect(at(0)).closeTo(pane.transmittance.likely, 1e-6);
      for (const angle of [40, 60, 75, 85]) expect(at(angle)).below(at(angle - 20));
    }
  });
  it('keeps about a hundredth more than transmittance times absorptance (D&B 5.5)', () => {
    const pane = entry('pane', 'tempered-4');
    const covers = sheetsFor({ ...pane, transmittance: 0.84 });
    expect(transmittanceAbsorptance(covers, 0, 0.95) / (0.84 * 0.95)).within(1, 1.015);
    expect(transmittanceAbsorptance([], 0, 0.95)).equal(0.95);
  });
});

describe('heat: limits and signs', () => {
  it('F, F′ and F_R lie between zero and one over the whole field', () => {
    fc.assert(
      fc.property(
        any(0.005, 2),
        any(1, 30),
        any(0.03, 0.4),
        any(0.006, 0.028),
        any(1, 400),
        any(50, 5000),
        any(0.001, 1),
        (conductance, lossCoefficient, pitch, diameter, bond, film, massFlow) => {
          fc.pre(pitch > diameter + 0.002);
          const fin = finEfficiency({ conductance, lossCoefficient, pitch, tubeDiameter: diameter });
          const factor = efficiencyFactor({
            lossCoefficient,
            pitch,
            outerDiameter: diameter,
            innerDiameter: diameter * 0.9,
            finEfficiency: fin,
            bondConductance: bond,
            filmCoefficient: film,
          });
          const removal = heatRemovalFactor({
            massFlow,
            heatCapacity: 4180,
            area: 2,
            lossCoefficient,
            efficiencyFactor: factor,
          });
          for (const share of [fin, factor, removal]) expect(share).within(0, 1);
          expect(removal).at.most(factor + 1e-12);
        },
      ),
    );
  });
  it('a fin of no width is perfect, and F′ is then the chain of plate, bond and film (derived)', () => {
    expect(finEfficiency({ conductance: 0.1, lossCoefficient: 8, pitch: 0.01, tubeDiameter: 0.01 })).equal(1);
    const factor = efficiencyFactor({
      lossCoefficient: 8,
      pitch: 0.01,
      outerDiameter: 0.01,
      innerDiameter: 0.01,
      finEfficiency: 1,
      bondConductance: Number.POSITIVE_INFINITY,
      filmCoefficient: 800,
    });
    expect(factor).closeTo(1 / (1 + 8 / (Math.PI * 800)), 1e-9);
  });
  it('film grows with flow, and water flows go there and back', () => {
    const film = (massFlow: number) =>
      tubeFilm({ massFlow, innerDiameter: 0.0136, length: 1.9, temperature: 40, fluid: 'water' }).coefficient;
    for (const flow of [0.001, 0.004, 0.02, 0.06]) expect(film(flow * 1.3)).above(film(flow));
    expect(massFlowOf(volumeFlow(0.04, 33), 33)).closeTo(0.04, 1e-12);
  });
  it('a dry panel is hotter with more sun, less wind, more back and a warmer day', () => {
    const dry = (change: Partial<typeof fairDay> = {}, panel: Partial<PlateDescription> = {}) =>
      stagnationTemperature(glazedPanel(panel), { ...fairDay, irradiance: 900, massFlow: 0, ...change });
    expect(dry({ irradiance: 1000 })).above(dry());
    expect(dry({ wind: 6 })).below(dry());
    expect(dry({ air: 30, surroundings: 18 })).above(dry());
    expect(dry({}, { backFactor: range(0.4, 0.5, 0.6, 'judgement') })).above(dry());
    expect(dry({ irradiance: 0 })).below(15);
  });
  it('the efficiency line falls, and bends no more than the loss does', () => {
    const line = efficiencyLine(glazedPanel(), fairDay);
    for (const rise of [10, 20, 30]) {
      const { efficiency } = collectorState(glazedPanel(), { ...fairDay, inlet: fairDay.air + rise });
      expect(efficiency).closeTo(line.intercept - (line.slope * rise) / fairDay.irradiance, 0.01);
    }
  });
  it('a warm inlet under a weak sun cools: the panel gives heat away', () => {
    expect(collectorState(glazedPanel(), { ...fairDay, irradiance: 150, inlet: 70 }).usefulHeat).below(0);
  });
});

describe('heat: incidence modifiers', () => {
  const pane = [{ index: 1.526, extinction: 4, thickness: 0.004 }];
  // Recalled: ISO 9806 tests of single-glazed flat plates, K = 1 − b0 (1/cos − 1) with b0 of 0.08 to 0.16.
  for (const angle of [30, 40, 50, 60])
    it(`at ${angle}° lies where tests of single-glazed flat plates put it`, () => {
      const fall = 1 / Math.cos((angle * Math.PI) / 180) - 1;
      expect(incidenceModifier(pane, angle, 0.95)).within(1 - 0.16 * fall, 1 - 0.08 * fall);
    });
  it('falls with the angle, under two panes faster, and of the sky lies near that of 59°', () => {
    expect(incidenceModifier(pane, 0, 0.95)).equal(1);
    fc.assert(
      fc.property(any(20, 80), (angle) => {
        expect(incidenceModifier(pane, angle + 5, 0.95)).below(incidenceModifier(pane, angle, 0.95));
      }),
    );
    for (const angle of [50, 60, 70])
      expect(incidenceModifier([...pane, ...pane], angle, 0.95)).below(incidenceModifier(pane, angle, 0.95));
    const { sky, ground, beam } = modifiersOf(plateModel(glazedPanel()).built(), { incidence: 30, tilt: 45 });
    expect(beam).within(0.97, 1);
    expect(sky).within(0.85, 0.93);
    expect(ground).within(0.6, sky);
  });
});

describe('heat: glycol in the loop', () => {
  it('takes a little heat away and a little more warmth per pass', () => {
    const water = collectorState(glazedPanel(), fairDay);
    const glycol = collectorState(glazedPanel(), { ...fairDay, fluid: { glycol: 0.4 } });
    expect(glycol.usefulHeat / water.usefulHeat).within(0.93, 0.999);
    expect(glycol.gain).above(water.gain);
    expect(glycol.filmCoefficient).below(water.filmCoefficient);
  });
});
