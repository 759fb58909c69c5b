import { expect } from 'chai';
import { afterExposure, cylinderLoss, openCylinder } from '../../thermal';
import type { HeaterDocument } from '..';
import { fullSunLevel as fullSun } from '../kit/fullSun';
import { roofTube } from '.';
import { airEnergy } from './findings';
import { gravityFlow } from './hydraulic';
import { layOut } from './layout';
import { roofTubeParameters } from './parameters';
import { roofTubePorts } from './ports';

const panel = (change: Record<string, unknown> = {}): HeaterDocument => {
  const standard = roofTube.standard('metric');
  return { id: 'panel-a', ...standard, parameters: { ...standard.parameters, ...change } };
};
const open = (change: Record<string, unknown> = {}) => roofTube.open(panel(change), 'heaters.panel-a');
const codes = (change: Record<string, unknown>) => open(change).findings.map(({ code }) => code);

describe('roof tube: by hand', () => {
  it('holds two pipes of 101.6 mm bore and 2.3 m: 2 × π/4 × 0.1016² × 2.3 = 37.29 L', () => {
    expect(layOut(roofTubeParameters.parse({})).volume * 1000).closeTo(37.29, 0.01);
  });
  it('200 L of air at 1 bar over the air outside hold some 18 kJ', () => {
    expect(airEnergy(0.2, 1e5) / 1000).closeTo(18, 0.2);
    // Far more than in proportion at ten times the pressure.
    expect(airEnergy(0.2, 1e6) / airEnergy(0.2, 1e5)).above(15);
  });
  it('runs 9.6 L/min from 1.4 m through 3 m of 13 mm hose, and twice the head gives less than twice that', () => {
    const flow = gravityFlow(1.4, 3);
    // v² (1 + 12 + f L / d) = 2 g h: Re 23 700, f 0.0255: v = √(27.5 / (13 + 5.9)) = 1.206 m/s; 0.0001327 m²: 9.6 L/min.
    expect(flow * 60_000).closeTo(9.6, 0.05);
    expect(gravityFlow(2.8, 3) / flow).within(1.35, 1.5);
    expect(gravityFlow(1.4, 10)).below(flow);
  });
});

describe('roof tube: what is drilled', () => {
  const holes = (change: Record<string, unknown> = {}) =>
    open(change).parts.find(({ id }) => id === 'panel-a/pipe')?.holes ?? [];
  it('lies on top at the high end, clear of the cap: a socket of 61 mm on 110, then 84 and 142 (by hand)', () => {
    // 110 / 2 + 6 = 61; 15 to the rim and half of 16: 84; the other half, 30 between and half of 40: 142.
    expect(holes().map(({ datum, positions }) => [datum, Math.round((positions[0] ?? 0) * 1000)])).deep.equal([
      ['high end', 84],
      ['high end', 142],
    ]);
  });
  it('moves in with the socket of a thicker pipe: 86 mm on 160', () => {
    expect(layOut(roofTubeParameters.parse({ pipe: 'pvc-160x6.2' })).socket).closeTo(0.086, 1e-9);
    expect(holes({ pipe: 'pvc-160x6.2' })[0]?.positions[0]).closeTo(0.109, 1e-9);
  });
  it('has the outlet in the low cap, as low as its flange goes: 6 of cap, 4.2 of wall, 2 and 19', () => {
    expect(layOut(roofTubeParameters.parse({})).outlet).closeTo(0.0312, 1e-9);
  });
  it('has its outlet 87.7 over the underside of the saddles: 90 less a seat of 27.5, less 6 of cap, and 31.2', () => {
    const hot = roofTubePorts('panel-a', layOut(roofTubeParameters.parse({}))).find(({ id }) => id === 'hot');
    expect(hot?.up).closeTo(0.0877, 1e-9);
  });
  it('is fitted before it is closed: outlets go into loose caps', () => {
    const steps = open().steps();
    const [caps] = steps.filter(({ id }) => id.endsWith('/caps'));
    expect(caps?.after).deep.equal(['panel-a/step/outlets']);
    expect(steps.find(({ id }) => id.endsWith('/outlets'))?.parts).deep.equal(['panel-a/outlet']);
  });
});

describe('roof tube: heat', () => {
  const night = { ...fullSun, irradiance: 0, air: 10, surroundings: 10, wind: 3 };
  it('cools by its exponential: τ = C ÷ (conductance of its surface and wall), while that hardly moves', () => {
    const { thermal } = open({ pipes: 1 });
    const capacity = thermal.capacity.dry + thermal.capacity.water;
    // From 14 to 12 °C in air of 10 °C the conductance is that of a surface at 13 °C, long wave and wind, with the wall in series.
    const pipe = openCylinder({ diameter: 0.11, air: 10, surroundings: 10, wind: 3, emittance: 0.92 });
    const surface = (cylinderLoss(pipe, 13) / 3) * (2.3 + 0.055);
    const wall = (2 * Math.PI * 0.17 * 2.3) / Math.log(110 / 101.6);
    const conductance = 1 / (1 / surface + 1 / wall);
    const seconds = (capacity / conductance) * Math.log(2);
    expect(afterExposure(thermal, night, { from: 14, seconds })).closeTo(12, 0.06);
  });
  it('loses what a cylinder with its wall in series does, by hand', () => {
    const { thermal } = open({ pipes: 1 });
    const net = thermal.stagnantNetHeat(night)(40);
    // Find the surface by halving: what passes the wall leaves the surface.
    const wall = (2 * Math.PI * 0.17 * 2.3) / Math.log(110 / 101.6);
    const pipe = openCylinder({ diameter: 0.11, air: 10, surroundings: 10, wind: 3, emittance: 0.92 });
    let [low, high] = [10, 40];
    for (let pass = 0; pass < 60; pass += 1) {
      const middle = (low + high) / 2;
      if (cylinderLoss(pipe, middle) * 2.355 < wall * (40 - middle)) low = middle;
      else high = middle;
    }
    expect(net).closeTo(-wall * (40 - low), 0.01 * Math.abs(net));
  });
  it('takes a beam on its breadth, whatever its slant across: hit ÷ cosine, and neighbours shade', () => {
    const { thermal } = open({ pipes: 1 });
    const { beam } = thermal.acceptance;
    expect(beam(60, 0) / beam(0, 0)).closeTo(2, 1e-6);
    const two = open({ pipes: 2, gap: 0.02 }).thermal.acceptance;
    // Two of 110 mm every 130: from cos t = 110 / 130, 32°, the one behind stands in the shade of the other in part.
    expect(two.beam(30, 0) / beam(30, 0)).closeTo(1, 1e-6);
    expect(two.beam(70, 0) / beam(70, 0)).below(0.8);
  });
  it('is warmer after more hours, less warm in more wind, and never above where it stands still', () => {
    const { thermal } = open();
    const after = (hours: number, wind = 1) =>
      afterExposure(thermal, { ...fullSun, wind }, { from: 15, seconds: 3600 * hours });
    expect(after(2)).above(after(1));
    expect(after(4, 5)).below(after(4, 1));
    expect(after(48)).at.most((thermal.state({ ...fullSun, wind: 1 }).places.water ?? 0) + 1e-6);
    expect(after(4)).within(35, 65);
  });
});

describe('roof tube: dangers and clashes', () => {
  it('says stop of air in plastic, with the energy and what the pipe has left when hot', () => {
    const found = open().findings.find(({ code }) => code === 'air-in-plastic');
    expect(found?.severity).equal('stop');
    expect(Number(found?.values.rating)).below(0.7 * Number(found?.values.cold));
    expect(Number(found?.values.energy)).closeTo(airEnergy(0.03729, 1e5), 5);
  });
  it('mends each clash by what it offers', () => {
    for (const [change, code] of [
      [{ gap: 0.0151 }, 'caps-meet'],
      [{ saddles: 2, length: 3 }, 'saddles-too-far'],
    ] as const) {
      const found = open(change).findings.find((one) => one.code === code);
      if (found?.fix === undefined) throw new Error(`no fix for ${code}`);
      expect(codes({ ...change, [found.path.split('.').pop() ?? '']: found.fix }), code).not.include(code);
    }
    expect(codes({ pipe: 'pvc-250x9.6' })).include('saddle-too-low');
    expect(codes({ saddle: 'planed-115x19' })).include('saddle-too-thin');
    expect(codes({})).not.include('saddle-too-thin');
    expect(codes({ pipe: 'pvc-160x6.2', pipes: 3 })).include('rack-overloaded');
  });
});
