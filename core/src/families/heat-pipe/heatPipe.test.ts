import { expect } from 'chai';
import { evenly } from '../../quantity';
import {
  absorptanceAtAngle,
  annulus,
  annulusAir,
  coverOptics,
  dryOutTemperature,
  floodingLimit,
  heatPipeModel,
  latentHeat,
  sheetsFor,
  sleevedOptics,
  steamDensity,
  stillOnCylinder,
  wallTables,
  windOnCylinder,
} from '../../thermal';
import { fairDay } from '../../thermal/plate/collector.fixture';
import type { HeaterDocument } from '..';
import { fullSunLeaning as fullSun } from '../kit/fullSun';
import { heatPipe } from '.';
import { layOut } from './layout';
import { heatPipeParameters } from './parameters';
import { heatPipeDescription } from './thermal';

const panel = (change: Record<string, unknown> = {}): HeaterDocument => {
  const standard = heatPipe.standard('metric');
  return { id: 'panel-a', ...standard, parameters: { ...standard.parameters, ...change } };
};
const open = (change: Record<string, unknown> = {}) => heatPipe.open(panel(change), 'heaters.panel-a');
const codes = (change: Record<string, unknown>) => open(change).findings.map(({ code }) => code);
const layout = (change: Record<string, unknown> = {}) => layOut(heatPipeParameters.parse(change));

describe('heat pipes: steam in a sealed tube', () => {
  it('weighs what the steam tables say: 0.598 kg/m³ at 100 °C, 2.548 at 150, 7.862 at 200', () => {
    for (const [at, density] of [
      [100, 0.598],
      [150, 2.548],
      [200, 7.862],
    ] as const)
      expect(steamDensity(at) / density, `${at} °C`).within(0.99, 1.015);
  });
  it('takes up what the steam tables say: 2 257 kJ/kg at 100 °C, 2 358 at 60, 1 940 at 200', () => {
    for (const [at, heat] of [
      [100, 2.257e6],
      [60, 2.358e6],
      [200, 1.94e6],
    ] as const)
      expect(latentHeat(at) / heat, `${at} °C`).within(0.97, 1.03);
  });
  it('carries at 60 °C in 13.6 mm, by hand: 0.526 × 2.36e6 × 1.453e-4 × √(9.81 × 0.0136 × 983 × 0.13) ÷ (1 + 0.107)² = 608 W', () => {
    expect(floodingLimit(0.0136, 60) / 608).within(0.97, 1.03);
    // A tube twice as wide carries 2^2.5 as much.
    expect(floodingLimit(0.0272, 60) / floodingLimit(0.0136, 60)).closeTo(2 ** 2.5, 1e-9);
  });
  it('is all steam where the charge over the volume is its density', () => {
    expect(dryOutTemperature(2.548 * 2e-4, 2e-4)).closeTo(150, 1);
    expect(dryOutTemperature(200 * 2e-4, 2e-4)).equal(Number.POSITIVE_INFINITY);
  });
});

describe('heat pipes: round the sleeve', () => {
  it('Churchill and Bernstein: 12.7 mm at 128 °C in 26 °C air at 10 m/s is 96 W/m²K (recalled, Incropera example 7.4)', () => {
    // Evaluated there at a film of 350 K.
    expect(windOnCylinder({ wind: 10, diameter: 0.0127, film: 77 })).within(93, 100);
  });
  it('Churchill and Chu: 0.1 m at 165 °C in 23 °C air is 7.3 W/m²K: Ra 5.07e6, Nu 23.3 (recalled, Incropera example 9.4)', () => {
    expect(stillOnCylinder({ surface: 165, air: 23, diameter: 0.1 })).within(7.2, 7.4);
  });
  it('is conduction alone between two cylinders close together: 2πk / ln(D/d)', () => {
    // Air at 25 °C conducts 0.0261 W/mK.
    expect(annulusAir(annulus(0.04, 0.042), 30, 20)).closeTo((2 * Math.PI * 0.0261) / Math.log(1.05), 0.02);
    expect(annulusAir(annulus(0.04, 0.09), 80, 20)).above((2 * Math.PI * 0.028) / Math.log(2.25));
  });
});

/** Rays shot one by one at strips or pipes in their sleeves: what black paint takes up of a beam on the breadth of one. */
function shot(
  absorber: { diameter: number; strip?: number; pitch: number; sleeve?: number },
  transversal: number,
  longitudinal: number,
): number {
  const radians = Math.PI / 180;
  const sheets = sheetsFor({ index: 1.575, sheets: 1, transmittance: 0.86 });
  const [t, l] = [Math.tan(transversal * radians), Math.tan(longitudinal * radians)];
  const norm = Math.hypot(t, l, 1);
  const [dx, dz] = [t / norm, 1 / norm];
  const across = Math.hypot(dx, dz);
  const draw = evenly(11);
  const rays = 12_000;
  const breadth = absorber.strip ?? absorber.diameter;
  let taken = 0;
  // Angle of the ray on a circle that it passes so far from the middle.
  const onCircle = (off: number, radius: number) =>
    Math.acos(Math.min(1, Math.sqrt(Math.max(0, 1 - (off / radius) ** 2)) * across)) / radians;
  for (let ray = 0; ray < rays; ray += 1) {
    const x = absorber.pitch * draw();
    // Distance of the ray, in the section, from the middle of each tube; those are met in the order of x from the sun's side.
    const off = (tube: number) => ((x - tube * absorber.pitch) * dz) / across;
    let target: number | undefined;
    let light = 1;
    if (absorber.strip !== undefined) {
      // Strips lie in the plane: the ray passes it once, at x.
      target = [0, 1].find((tube) => Math.abs(x - tube * absorber.pitch) < (absorber.strip ?? 0) / 2);
      if (target === undefined) continue;
      light = absorptanceAtAngle(Math.acos(dz) / radians);
    } else {
      // The sun stands toward larger x: the first pipe met is the one farthest that way.
      for (let tube = 40; tube >= -40; tube -= 1)
        if (Math.abs(off(tube)) < absorber.diameter / 2) {
          target = tube;
          break;
        }
      if (target === undefined) continue;
      light = absorptanceAtAngle(onCircle(off(target), absorber.diameter / 2));
    }
    if (absorber.sleeve !== undefined) {
      const radius = absorber.sleeve / 2;
      for (let tube = 40; tube >= target; tube -= 1) {
        if (Math.abs(off(tube)) >= radius) continue;
        const through = coverOptics({ covers: sheets, incidence: onCircle(off(tube), radius) }).transmittance;
        light *= tube === target ? through : through ** 2;
      }
    }
    taken += light;
  }
  return (taken / rays) * (absorber.pitch / breadth);
}

describe('heat pipes: optics of a round sleeve by two angles', () => {
  const sheets = sheetsFor({ index: 1.575, sheets: 1, transmittance: 0.86 });
  const cases: readonly [absorber: Parameters<typeof shot>[0], transversal: number, longitudinal: number][] = [
    [{ diameter: 0.015, pitch: 0.1, sleeve: 0.088 }, 0, 0],
    [{ diameter: 0.015, pitch: 0.1, sleeve: 0.088 }, 50, 20],
    [{ diameter: 0.022, pitch: 0.1 }, 40, 40],
    [{ diameter: 0.015, strip: 0.07, pitch: 0.1, sleeve: 0.088 }, 0, 0],
    [{ diameter: 0.015, strip: 0.07, pitch: 0.1, sleeve: 0.088 }, 35, 50],
    [{ diameter: 0.015, strip: 0.07, pitch: 0.1, sleeve: 0.088 }, 55, 0],
  ];
  for (const [absorber, transversal, longitudinal] of cases)
    it(`keeps what rays that are shot do: ${absorber.strip ? 'strip' : 'pipe'}, ${absorber.sleeve ? 'sleeved' : 'bare'}, ${transversal}° across, ${longitudinal}° along`, () => {
      const wall = absorber.sleeve ? wallTables(1.575)(sheets[0]?.extinction ?? 0) : undefined;
      const kept = sleevedOptics(absorber).beam(1, wall, transversal, longitudinal);
      expect(kept / shot(absorber, transversal, longitudinal)).within(0.97, 1.03);
    });
  it('of the whole sky, a bare pipe far from others keeps π/2 of its breadth, less what paint throws back at a slant', () => {
    const diffuse = sleevedOptics({ diameter: 0.01, pitch: 10 }).diffuse(1, undefined);
    expect(diffuse).within(0.85 * (Math.PI / 2), Math.PI / 2);
  });
});

describe('heat pipes: heat', () => {
  it('goes up a chain: film 1 ÷ (700 × π × 0.015 × 0.034) = 0.892 K/W, strip 1 ÷ (12 × 1.04) = 0.080', () => {
    const { thermal } = open();
    if (!('chain' in thermal)) throw new Error('no heat pipes');
    const chain = (thermal as unknown as { chain(): { id: string; resistance: number }[] }).chain();
    const of = (id: string) => chain.find((one) => one.id === id)?.resistance ?? Number.NaN;
    expect(of('condenser')).closeTo(0.8916, 5e-4);
    expect(of('bond')).closeTo(1 / (12 * 1.04), 1e-6);
    expect(of('wall')).closeTo(Math.log(15 / 13.6) / (2 * Math.PI * 385 * 1.04), 1e-9);
  });
  it('goes one way only: nothing comes back down at night, but what the lagging lets out', () => {
    const { thermal } = open();
    const night = { ...fairDay, irradiance: 0, inlet: 50, massFlow: 0.01 };
    const state = thermal.state(night);
    expect(state.paths.find(({ id }) => id === 'top')?.watts).closeTo(0, 1e-6);
    expect(state.usefulHeat).within(-40, 0);
    expect(thermal.characteristic({ tilt: 45, specificFlow: 0.02 })).include({ kind: 'flow-through', oneWay: true });
  });
  it('carries nothing once its charge is all steam, and is the hotter for it', () => {
    const parameters = heatPipeParameters.parse({});
    const described = heatPipeDescription(layOut(parameters), undefined);
    const day = { ...fairDay, inlet: 20, massFlow: 0.014 };
    const [wet, dry] = [described, { ...described, charge: 1e-6 }].map((one) => heatPipeModel(one).state(day));
    // A milligram in 0.176 L is steam from some 2 °C on.
    expect(dry?.terms).include({ each: 0, limited: 1 });
    expect(wet?.terms).include({ limited: 0 });
    expect(dry?.places.tube).above((wet?.places.tube ?? 0) + 10);
    // What it keeps it loses, all of it.
    const paths = Object.fromEntries((dry?.paths ?? []).map(({ id, watts }) => [id, watts]));
    expect(paths.top).closeTo(dry?.terms.absorbed ?? 0, 1e-6);
  });
  it('is held by its flooding limit, and hotter than free, in a bore that is too narrow', () => {
    const described = heatPipeDescription(layOut(heatPipeParameters.parse({})), undefined);
    const narrow = { ...described, tube: { ...described.tube, bore: 0.002 } };
    const state = heatPipeModel(narrow).state({ ...fullSun, inlet: 20, massFlow: 0.014 });
    expect(state.terms.limited).equal(1);
    expect(state.terms.each).closeTo(floodingLimit(0.002, state.places.tube ?? 0), 0.02 * (state.terms.each ?? 1));
  });
  it('gives more in a sleeve than bare, in wind and cold', () => {
    const day = { ...fairDay, wind: 4, inlet: 30, massFlow: 0.014 };
    expect(open().thermal.state(day).usefulHeat).above(open({ sleeve: 'none' }).thermal.state(day).usefulHeat);
  });
});

describe('heat pipes: by hand', () => {
  it('a sleeve of 6 bottles of 190 mm, 20 mm over each other, is 6 × 170 + 20 = 1 040 mm', () => {
    const { heated, length, axis } = layout();
    expect(heated).closeTo(1.04, 1e-12);
    // 60 of foot, sleeve, 60 of neck, the branch to its mouth; 42 × 1.2 has a bore of 39.6, and 34 mm stand in it.
    expect(length).closeTo(axis - 0.0198 + 0.034, 1e-9);
  });
  it('a measured fill corrects the bore: 4 m ÷ (ρ π L) = d²', () => {
    const drawn = layout();
    const { length } = drawn;
    const fill = 998.2 * (Math.PI / 4) * 0.013 ** 2 * length;
    expect(layout({ fill }).bore * 1000).closeTo(13, 0.05);
    expect(drawn.bore * 1000).closeTo(13.6, 1e-9);
    // And with it the charge, and what the tube carries.
    expect(layout({ fill }).charge / drawn.charge).closeTo((13 / 13.6) ** 2, 0.01);
    expect(open({ fill }).trials.map(({ id }) => id)).not.include('fill');
    expect(open().trials.map(({ id }) => id)).include('fill');
    expect(codes({ fill: 0.5 * fill })).include('fill-far-off');
  });
  it('manifold pieces and tees come out at the bottle pitch', () => {
    const { piece, tee } = layout();
    expect(piece + 2 * tee.runLaying).closeTo(0.1, 1e-12);
  });
});

describe('heat pipes: dangers and clashes', () => {
  it('says stop of every sealed wet pipe, with its pressure: 4.7 bar at 150 °C is what steam has', () => {
    const found = open().findings.find(({ code }) => code === 'sealed-wet-tube');
    expect(found?.severity).equal('stop');
    // 10 bar at 180 °C, absolute; one of them is outside.
    expect(Number(found?.values.at180) / 1e5).closeTo(9, 0.1);
  });
  it('mends each clash by what it offers', () => {
    for (const [change, code] of [
      [{ immersion: 0.05 }, 'tip-meets-wall'],
      [{ pitch: 0.06 }, 'pipes-too-close'],
      [{ lap: 0.05, bottleHeight: 0.09 }, 'lap-eats-bottle'],
      [{ strip: 0.09 }, 'strip-meets-bottle'],
      [{ strip: 0.11, sleeve: 'none' }, 'strips-meet'],
      [{ caps: 'soft' }, 'soft-caps'],
      [{ charge: 50 }, 'charge-floods'],
    ] as const) {
      const found = open(change).findings.find((one) => one.code === code);
      if (found?.fix === undefined) throw new Error(`no fix for ${code}`);
      const name = found.path.split('.').pop() ?? '';
      expect(codes({ ...change, [name]: found.fix }), code).not.include(code);
    }
  });
  it('does not lie flatter than what condenses runs back on', () => {
    const flat = heatPipe.open(panel(), 'heaters.panel-a', { tilt: 8, path: 'site.standing.tilts.a.tilt' });
    expect(flat.findings.find(({ code }) => code === 'pipes-too-flat')).include({
      severity: 'clash',
      path: 'site.standing.tilts.a.tilt',
    });
  });
});

describe('heat pipes: brought in whole', () => {
  const bought = (id: string, change: Record<string, unknown> = {}) =>
    open(change).purchases.find((one) => one.id === `panel-a/${id}`);
  it('have a cap on the foot alone; the tip is closed flush, 13.4 mm in a bore of 13.6', () => {
    expect(bought('cap', { tubes: 7 })?.quantity).equal(7);
    expect(bought('plug', { tubes: 7 })?.quantity).equal(7);
    expect(layout().plug).closeTo(0.0134, 1e-9);
  });
  it('are laid into rails that come apart along their holes: 50 mm of keeper over a hole at 65 of 115', () => {
    const { hole, rail } = layout();
    expect(hole.up).closeTo(0.065, 1e-9);
    expect(rail.width - hole.up).closeTo(0.05, 1e-9);
    // 50 of keeper and 30 of grip: the screw of 80. Ten pipes: two at the ends, one between every second pair.
    expect(bought('keeper-screws')?.quantity).equal(2 * (2 + 4));
    expect(bought('keeper-screws')?.size).deep.equal({ length: 0.08 });
  });
  it('are set before the manifold goes on, and the keepers after it', () => {
    const set = open()
      .steps()
      .find(({ id }) => id.endsWith('/set'));
    const at = (words: RegExp) => set?.does.findIndex((one) => words.test(one)) ?? -1;
    expect(at(/lay the pipes into the open half-holes/)).above(at(/thread the bottles/));
    expect(at(/push the manifold over all tips/)).above(at(/lay the pipes/));
    expect(set?.does.join(' ')).not.match(/through both rails/);
  });
});
