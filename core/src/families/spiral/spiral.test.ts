import { expect } from 'chai';
import * as fc from 'fast-check';
import { coilFriction, spiralDrop } from '../../hydraulic';
import { evenly } from '../../quantity';
import { absorptanceAtAngle, afterExposure, tubesLit, wallResistance } from '../../thermal';
import type { HeaterDocument } from '..';
import { fullSunLevel as fullSun } from '../kit/fullSun';
import { spiral } from '.';
import { spiralEnd, spiralLength } from './archimedes';
import { layOut, spiralPoints } from './layout';
import { spiralParameters } from './parameters';

const panel = (change: Record<string, unknown> = {}): HeaterDocument => {
  const standard = spiral.standard('metric');
  return { id: 'panel-a', ...standard, parameters: { ...standard.parameters, ...change } };
};
const open = (change: Record<string, unknown> = {}) => spiral.open(panel(change), 'heaters.panel-a');
const codes = (change: Record<string, unknown>) => open(change).findings.map(({ code }) => code);

describe('spiral: length', () => {
  it('is the exact integral: against Simpson’s rule over √(r² + b²)', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.1, max: 1, noNaN: true }),
        fc.double({ min: 0.1, max: 2, noNaN: true }),
        fc.double({ min: 0.002, max: 0.06, noNaN: true }),
        (from, more, b) => {
          const steps = 400;
          const sweep = more / b;
          let sum = 0;
          for (let index = 0; index <= steps; index += 1) {
            const weight = index === 0 || index === steps ? 1 : index % 2 === 1 ? 4 : 2;
            sum += weight * Math.hypot(from + (b * sweep * index) / steps, b);
          }
          const simpson = (sum * sweep) / steps / 3;
          expect(spiralLength(from, from + more, b) / simpson).closeTo(1, 1e-9);
          expect(spiralEnd(from, simpson, b)).closeTo(from + more, 1e-6);
        },
      ),
      { numRuns: 100 },
    );
  });
  it('by hand: 7 turns of two hoses 27 mm apart round 700 mm are 2π × 0.539 × 7 = 23.71 m each', () => {
    // Rings of the mean radius (0.35 + 0.728) / 2 = 0.539; the slope of a spiral adds less than a thousandth.
    const { each, outer } = layOut(spiralParameters.parse({}));
    expect(outer).closeTo(0.728, 1e-12);
    expect(each).closeTo(23.71, 0.01);
    // 47.41 m of 20.4 mm bore hold 15.5 L.
    expect((open().hydraulic?.volume ?? 0) * 1000).closeTo(47.41 * (Math.PI / 4) * 0.0204 ** 2 * 1000, 0.01);
  });
});

/** Share of a beam that hits tubes and, of that, what black paint takes up: rays shot at circles one by one. */
function shot(
  diameter: number,
  pitch: number,
  transversal: number,
  longitudinal: number,
): { hit: number; taken: number } {
  const radians = Math.PI / 180;
  const [t, l] = [Math.tan(transversal * radians), Math.tan(longitudinal * radians)];
  const norm = Math.hypot(t, l, 1);
  const [dx, dy, dz] = [t / norm, l / norm, 1 / norm];
  const radius = diameter / 2;
  const draw = evenly(4);
  let hits = 0;
  let taken = 0;
  const rays = 20_000;
  for (let ray = 0; ray < rays; ray += 1) {
    // Through a point of one pitch in the plane of the axes, from far out; the nearest of many tubes is what it hits.
    const x = pitch * draw();
    let best = Number.POSITIVE_INFINITY;
    let cosine = 0;
    for (let tube = -40; tube <= 40; tube += 1) {
      // Along the ray (x + s dx, s dz) in the section; the ray comes in with s falling, so the largest s is met first.
      const [a, b, c] = [dx * dx + dz * dz, 2 * (x - tube * pitch) * dx, (x - tube * pitch) ** 2 - radius ** 2];
      const root = b * b - 4 * a * c;
      if (root < 0) continue;
      const s = (-b + Math.sqrt(root)) / (2 * a);
      if (-s < best) {
        best = -s;
        const [nx, nz] = [(x + s * dx - tube * pitch) / radius, (s * dz) / radius];
        cosine = nx * dx + nz * dz;
      }
    }
    if (best === Number.POSITIVE_INFINITY) continue;
    hits += 1;
    taken += absorptanceAtAngle(Math.acos(Math.min(1, Math.max(0, cosine))) / radians);
  }
  expect(Math.abs(dy)).below(1);
  return { hit: hits / rays, taken: taken / hits };
}

describe('spiral: round hoses in the sun', () => {
  for (const [pitch, transversal, longitudinal] of [
    [0.05, 0, 0],
    [0.05, 45, 0],
    [0.05, 70, 20],
    [0.026, 60, 0],
    [0.025, 30, 50],
    [0.03, 80, 10],
  ] as const)
    it(`catch what rays that are shot at circles do: ${pitch * 1000} mm apart, ${transversal}° across, ${longitudinal}° along`, () => {
      const lit = tubesLit({ diameter: 0.025, pitch }, transversal, longitudinal);
      const by = shot(0.025, pitch, transversal, longitudinal);
      expect(lit.hit).closeTo(by.hit, 0.012);
      expect(lit.taken).closeTo(by.taken, 0.012);
    });
  it('touching, catch all of a beam at any height; apart, d / p of one that is square', () => {
    for (const angle of [0, 30, 60, 85]) expect(tubesLit({ diameter: 0.025, pitch: 0.025 }, angle, 0).hit).equal(1);
    expect(tubesLit({ diameter: 0.02, pitch: 0.05 }, 0, 0).hit).closeTo(0.4, 1e-12);
    // Shaded from where cos t = d / p: 66.4° there.
    expect(tubesLit({ diameter: 0.02, pitch: 0.05 }, 66.5, 0).hit).equal(1);
    expect(tubesLit({ diameter: 0.02, pitch: 0.05 }, 66, 0).hit).below(1);
  });
});

describe('spiral: heat', () => {
  it('holds back by its wall ln(25 / 20.4) ÷ (2π × 0.38) = 0.0852 mK/W', () => {
    expect(wallResistance({ outerDiameter: 0.025, bore: 0.0204, conductivity: 0.38 })).closeTo(0.08515, 5e-5);
  });
  it('gives less with a wall that holds back more', () => {
    const { thermal } = open();
    const state = thermal.state({ ...fullSun, air: 25, surroundings: 17, wind: 1, inlet: 20, massFlow: 0.05 });
    expect(state.efficiency).within(0.55, 0.85);
    const worse = thermal.withKnownInputs({
      oneSided: { low: 2, likely: 2, high: 2, spread: 'normal', kind: 'measured' },
    });
    expect(worse.state({ ...fullSun, inlet: 20, massFlow: 0.05 }).usefulHeat).below(
      thermal.state({ ...fullSun, inlet: 20, massFlow: 0.05 }).usefulHeat,
    );
  });
  it('warms in the sun without flow and stops where it loses what it takes up', () => {
    const { thermal } = open();
    const hour = afterExposure(thermal, fullSun, { from: 20, seconds: 3600 });
    const day = afterExposure(thermal, fullSun, { from: 20, seconds: 6 * 3600 });
    expect(hour).within(50, day);
    expect(Math.abs(thermal.stagnantNetHeat(fullSun)(day))).below(0.02 * 1000 * thermal.apertureArea);
    // An empty capacity check: at the start nearly all of what is kept warms the water.
    const first = afterExposure(thermal, fullSun, { from: 30, seconds: 60 }) - 30;
    const kept = thermal.stagnantNetHeat(fullSun)(30);
    expect(first).closeTo((60 * kept) / (thermal.capacity.dry + thermal.capacity.water), 1e-9);
  });
  it('under a cover is hotter at rest and gives more to warm water in wind', () => {
    const [bare, covered] = [open(), open({ cover: 'twin-wall' })];
    const day = { ...fullSun, wind: 3, inlet: 45, massFlow: 0.04 };
    expect(covered.thermal.state(day).usefulHeat / covered.areas.absorber).above(
      bare.thermal.state(day).usefulHeat / bare.areas.absorber,
    );
    const rest = ({ thermal }: typeof bare) => thermal.state(fullSun).places.plate ?? 0;
    expect(rest(covered)).above(rest(bare) + 10);
  });
});

describe('spiral: water', () => {
  it('loses four times less in two hoses than in one of half their length each, or more', () => {
    const at = { massFlow: 0.05, inlet: 20, temperature: 25, tilt: 0, heat: 0 };
    const winding = { radius: 0.5, length: 30 };
    const one = spiralDrop(
      { starts: 1, bore: 0.02, windings: [winding, winding], volume: 0, drains: { empties: false, how: '' } },
      at,
    );
    const two = spiralDrop(
      { starts: 2, bore: 0.02, windings: [winding], volume: 0, drains: { empties: false, how: '' } },
      at,
    );
    expect(one / two).above(4);
  });
  it('by hand: 30 m of 20 mm at 0.02 kg/s and 25 °C lose what Darcy says with the friction of a coil', () => {
    // 0.02 kg/s of 997 kg/m³ through 0.000314 m²: 0.0639 m/s; μ 0.00089: Re 1 431.
    const speed = 0.02 / 997 / (Math.PI * 0.01 ** 2);
    const reynolds = (997 * speed * 0.02) / 0.00089;
    const friction = coilFriction({ reynolds, bore: 0.02, coilDiameter: 1, relativeRoughness: 0.00035 });
    const drop = spiralDrop(
      {
        starts: 1,
        bore: 0.02,
        windings: [{ radius: 0.5, length: 30 }],
        volume: 0,
        drains: { empties: false, how: '' },
      },
      { massFlow: 0.02, inlet: 25, temperature: 25, tilt: 0, heat: 0 },
    );
    expect(friction).above(64 / reynolds);
    expect(drop).closeTo((friction * 30 * 997 * speed ** 2) / 0.02 / 2, 0.02 * drop);
  });
});

describe('spiral: what cannot be wound', () => {
  it('says overlap, kinks and a base larger than its boards, and each is mended by what it offers', () => {
    for (const [change, code] of [
      [{ pitch: 0.02 }, 'windings-overlap'],
      [{ inner: 0.4 }, 'hose-kinks'],
      [{ rounds: 40 }, 'base-too-large'],
      [
        {
          cover: 'twin-wall',
          hose: 'pe-32x3',
          pitch: 0.034,
          inner: 0.8,
          rounds: 4,
          airGap: 0.06,
          sideBoard: 'planed-90x19',
        },
        'tray-side-too-low',
      ],
    ] as const) {
      const found = open(change).findings.find((one) => one.code === code);
      expect(found?.severity, code).equal('clash');
      if (found?.fix === undefined) throw new Error(`no fix for ${code}`);
      const name = found.path.split('.').pop() ?? '';
      expect(codes({ ...change, [name]: found.fix }), code).not.include(code);
    }
  });
  it('says that the first water scalds, with its temperature', () => {
    const found = open().findings.find(({ code }) => code === 'first-litre-scalds');
    expect(found?.severity).equal('caution');
    expect(Number(found?.values.standing)).within(60, 90);
  });
  it('is not drunk from garden hose', () => {
    expect(open({ hose: 'garden-13x2.5', pitch: 0.02 }).neverDrunk).match(/garden hose/);
    expect(open().neverDrunk).equal(undefined);
  });
});

describe('spiral: several hoses wound together', () => {
  const layout = layOut(spiralParameters.parse({ starts: 3, rounds: 6 }));
  /** m along a polyline. */
  const along = (points: readonly { x: number; y: number }[]) =>
    points
      .slice(1)
      .reduce((sum, { x, y }, index) => sum + Math.hypot(x - (points[index]?.x ?? 0), y - (points[index]?.y ?? 0)), 0);
  it('are as long as each other, begun a third of the way round from each other', () => {
    const lengths = [0, 1, 2].map((start) => along(spiralPoints(layout, start)));
    for (const length of lengths) expect(length / layout.each).closeTo(1, 0.002);
    const middle = layout.side / 2;
    const angles = [0, 1, 2].map((start) => {
      const [first] = spiralPoints(layout, start);
      return Math.atan2((first?.y ?? 0) - middle, (first?.x ?? 0) - middle);
    });
    const apart = ((angles[1] ?? 0) - (angles[0] ?? 0) + 4 * Math.PI) % (2 * Math.PI);
    expect(apart).closeTo((2 * Math.PI) / 3, 1e-6);
  });
  it('would differ by metres begun side by side on one line: a pitch more of radius all the way (worked by hand)', () => {
    // The outer of three begins two pitches further out: 2 × pitch × 2π × rounds more of hose.
    const { pitch, rounds } = layout.parameters;
    const step = 3 * pitch;
    const from = layout.inner + 2 * pitch;
    const outer = spiralLength(from, from + step * rounds, layout.growth);
    expect(outer - layout.each).closeTo(2 * pitch * 2 * Math.PI * rounds, 0.02);
    expect(outer - layout.each).above(1.2);
  });
  it('begin apart in the step that winds them, which also says where their ends lie', () => {
    const wind = open({ starts: 3 })
      .steps()
      .find(({ id }) => id.endsWith('/wind'));
    expect(wind?.does.join(' ')).match(/3 hoses begin on it, ⟦angle:120:0⟧ apart/);
    expect(wind?.checks.map(({ id }) => id)).include('apart');
    const one = open({ starts: 1 })
      .steps()
      .find(({ id }) => id.endsWith('/wind'));
    expect(one?.checks.map(({ id }) => id)).not.include('apart');
  });
});

describe('spiral: the ends of a covered one', () => {
  /** Numbers of the step that drills the back, m: of each hose its inner and its outer hole, from the left and from the near edge. */
  const holesOf = (parameters: Record<string, unknown>) => {
    const drilled = open(parameters)
      .steps()
      .find(({ id }) => id.endsWith('/exits'));
    const rows = drilled?.does.filter((words) => words.includes('inner end')) ?? [];
    return rows.map((words) => {
      const [a = 0, b = 0, c = 0, d = 0] = [...words.matchAll(/⟦([\d.]+)[^⟧]*⟧/g)].map(([, number]) => Number(number));
      return { inner: { x: a, y: b }, outer: { x: c, y: d } };
    });
  };
  const shapes = [1, 2, 3, 4].flatMap((starts) =>
    [0.3, 0.42].map((inner) => ({ starts, inner, rounds: 9 - starts, cover: 'twin-wall' as const })),
  );
  for (const shape of shapes)
    it(`leave through the back, clear of bearers and walls: ${shape.starts} hoses round ${shape.inner * 1000} mm`, () => {
      const layout = layOut(spiralParameters.parse(shape));
      const holes = holesOf(shape);
      expect(holes).length(shape.starts);
      const { side, bearers, bearer, hose, pitch } = { ...layout, pitch: layout.parameters.pitch };
      const half = hose.outerDiameter / 2 + 0.002;
      for (const { inner, outer } of holes)
        for (const at of [inner, outer]) {
          // A nut goes round the thread beside every bearer, and the hole lies inside the walls.
          for (const row of bearers)
            expect(Math.abs(at.y - row), JSON.stringify(at)).above(bearer.width / 2 + half + 0.01);
          for (const edge of [at.x, at.y, side - at.x, side - at.y])
            expect(edge).above(half + (layout.tray?.wall ?? 0));
        }
      // Under the winding's own way on, and not under the next winding in.
      const from = (at: { x: number; y: number }) => Math.hypot(at.x - side / 2, at.y - side / 2);
      for (const { inner, outer } of holes) {
        expect(from(inner)).within(layout.inner - 0.012, layout.inner);
        expect(from(outer)).within(layout.outer, layout.outer + 0.012);
      }
      const ends = spiralPoints(layout, 0);
      const first = holes[0];
      const last = ends.at(-1);
      if (!first || !last) throw new Error('no holes');
      expect(Math.hypot(first.outer.x - last.x, first.outer.y - last.y)).closeTo(0.06, 0.002);
      expect(Math.hypot(first.inner.x - (ends[0]?.x ?? 0), first.inner.y - (ends[0]?.y ?? 0))).closeTo(0.06, 0.002);
      expect(pitch).above(0);
    });
  it('have a bulkhead each, a base under every tie, and clips on all that is pushed on', () => {
    const list = open({ cover: 'twin-wall', starts: 2 }).purchases;
    const of = (role: string) => list.find(({ id }) => id.endsWith(`/${role}`))?.quantity;
    expect(of('bulkhead')).equal(4);
    expect(of('tie-base')).equal(of('tie'));
    // Both sides of four bulkheads, and four tails.
    expect(of('hose-clip')).equal(12);
    const bare = open({ cover: 'none', starts: 2 }).purchases;
    expect(bare.some(({ id }) => /bulkhead|tie-base/.test(id))).equal(false);
  });
});
