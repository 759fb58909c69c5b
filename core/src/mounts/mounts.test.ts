import { expect } from 'chai';
import * as fc from 'fast-check';
import { writeSvg } from '../draw';
import { bareSide, guyPull, type MountedPanel, mounts, netCoefficients, pinAlong, windOn } from '.';
import { anyParameters } from './anyMount.fixture';
import { plumbBrace } from './groundStand';

const panel: MountedPanel = {
  prefix: 'panel-a',
  upslope: 2.024,
  across: 1.124,
  depth: 0.115,
  mass: 66,
  tilts: [
    { name: 'winter', tilt: 60 },
    { name: 'summer', tilt: 25 },
  ],
};
const stand = (
  kind: keyof typeof mounts,
  change: Partial<MountedPanel> = {},
  parameters: Record<string, unknown> = {},
) => mounts[kind].open({ ...mounts[kind].standard('metric'), ...parameters }).under({ ...panel, ...change });
const lengthOf = (kind: keyof typeof mounts, id: string, change: Partial<MountedPanel> = {}) => {
  const part = stand(kind, change).parts.find((one) => one.id === `panel-a/stand-${id}`);
  return part?.kind === 'length' ? part.length : Number.NaN;
};

describe('mounts: wind', () => {
  it('pulls at 2.3 m² in a gust of 40 m/s, steeper than 30°, with 414 kg: 0.613 × 1 600 × 1.8 × 2.3 / 9.81 (worked by hand)', () => {
    const load = windOn({ speed: 40, upslope: 2.3, across: 1, tilt: 45, low: 0.3, mass: 60, base: 1.4 });
    expect(load.pressure).closeTo(980.8, 0.1);
    expect(load.pull).closeTo(413.9, 0.5);
    expect(load.drag).closeTo(413.9 * 9.81 * Math.SQRT1_2, 3);
  });
  // EN 1991-1-4, recalled: overall force of monopitch canopies, the worse of free and blocked.
  for (const [tilt, up, down] of [
    [0, 1.3, 0.2],
    [10, 1.4, 0.5],
    [20, 1.4, 0.8],
    [30, 1.8, 1.2],
    [45, 1.8, 1.35],
  ] as const)
    it(`open to the wind at ${tilt}° sees ${up} up and ${down} down`, () => {
      const open = netCoefficients({ exposure: 'open', tilt, area: 2 });
      expect(open.up).closeTo(up, 1e-9);
      expect(open.down).closeTo(down, 1e-9);
    });
  it('over the corner of a roof sees 2.6 of 1 m², 2.1 of 10 m² and more, by the logarithm between', () => {
    const at = (area: number) => netCoefficients({ exposure: 'roof', tilt: 30, area }).up;
    expect(at(0.5)).equal(2.6);
    expect(at(Math.sqrt(10))).closeTo(2.35, 1e-9);
    expect(at(25)).closeTo(2.1, 1e-9);
  });
  it('asks for what lifting, toppling or sliding takes beyond the weight, whichever is the most (worked by hand)', () => {
    // Flat: 1.3 × 2.3 × 980.8 N up is 299 kg; about the foot 299 × 1.15 over half a base of 1.15 is the same, and nothing slides.
    const flat = windOn({ speed: 40, upslope: 2.3, across: 1, tilt: 0, low: 0, mass: 60, base: 2.3 });
    expect(flat.ballast).closeTo(299 - 60, 0.5);
    expect(flat.way).equal('lifts');
    const tall = windOn({ speed: 40, upslope: 2.3, across: 1, tilt: 60, low: 2, mass: 60, base: 1 });
    expect(tall.way).equal('topples');
    expect(windOn({ speed: 5, upslope: 1, across: 1, tilt: 30, low: 0, mass: 60, base: 1 }).ballast).equal(0);
    // 45° on a wide base: 414 kg square to it are 292.7 up and as much along: 292.7 + 292.7 / 0.4 − 91.
    const slides = windOn({ speed: 40, upslope: 2.3, across: 1, tilt: 45, low: 0, mass: 91, base: 3 });
    expect(slides.way).equal('slides');
    expect(slides.ballast).closeTo(292.7 + 292.7 / 0.4 - 91, 1);
    expect(slides.heldDown).below(slides.ballast);
  });
  it('a heap of ballast so heavy neither lifts, nor slides: friction of what is left holds the drag (checked by forces)', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 60 }), fc.integer({ min: 0, max: 80 }), (speed, tilt) => {
        const mass = 60;
        const load = windOn({ speed, upslope: 2, across: 1.1, tilt, low: 0.3, mass, base: 1.2 });
        const down = (mass + load.ballast) * 9.81 - load.force * Math.cos((tilt * Math.PI) / 180);
        expect(down).at.least(-1e-6);
        expect(0.4 * down + 1e-6).at.least(load.force * Math.sin((tilt * Math.PI) / 180));
      }),
    );
  });
  it('grows with the wind, shrinks with weight and a wider base', () => {
    fc.assert(
      fc.property(fc.integer({ min: 20, max: 60 }), fc.integer({ min: 0, max: 80 }), (speed, tilt) => {
        const at = (change: object) =>
          windOn({ speed, upslope: 2, across: 1.1, tilt, low: 0.3, mass: 60, base: 1.2, ...change }).ballast;
        expect(at({ speed: speed + 5 })).above(at({}) - 1e-9);
        expect(at({ mass: 90 })).at.most(at({}));
        expect(at({ base: 1.6 })).at.most(at({}) + 1e-9);
      }),
    );
  });
});

describe('mounts: a ground stand', () => {
  it('cuts its legs to the underside of the rail, off a skid, the bevel’s long side told (worked by hand)', () => {
    // At 60°, rails of 45 under the panel, legs 45 thick on skids of 45: 300 + 1 874 sin 60° − 45 cos 60° − 45 + 22.5 tan 60° = 1 894.4.
    expect(lengthOf('ground-stand', 'leg-rear') * 1000).closeTo(
      300 + 1874 * 0.866025 - 22.5 - 45 + 22.5 * 1.732051,
      0.01,
    );
    expect(lengthOf('ground-stand', 'leg-front') * 1000).closeTo(
      300 + 150 * 0.866025 - 22.5 - 45 + 22.5 * 1.732051,
      0.01,
    );
    // Feet (2 024 − 300) cos 60° apart.
    expect(stand('ground-stand').base).closeTo(1.724 * 0.5, 1e-9);
    expect(stand('ground-stand').parts[0]?.ends).deep.equal([
      { kind: 'bevel', end: 'far', angle: 60, long: 'inner face' },
    ]);
  });
  it('cuts its braces tip to tip, both ends plumb: a brace of 90 over 1 000 and 500 high is 1 168 and 45 (worked by hand)', () => {
    // Uprights of 45, 1 000 apart in the middle, 500 of rise: 26.57°; 1 045 / cos 26.57° = 1 168.3, and 90 tan 26.57° = 45.
    const brace = plumbBrace({ run: 1, rise: 0.5, upright: 0.045, width: 0.09 });
    expect(brace.angle).closeTo(26.565, 1e-3);
    expect(brace.length * 1000).closeTo(1168.35 + 45, 0.05);
    // To the middle of the upright: 22.5 / cos 26.57° and half of the tip.
    expect(brace.boltIn * 1000).closeTo(25.16 + 22.5, 0.05);
  });
  it('lifts the low edge where a leg would have no short side', () => {
    const flat = stand('ground-stand', { tilts: [{ name: 'all year', tilt: 85 }] }, { low: 0.1 });
    expect(flat.low).above(0.1);
    const leg = flat.parts.find(({ id }) => id.endsWith('leg-front'));
    if (leg?.kind === 'length') expect(leg.length - 0.045 * Math.tan((85 * Math.PI) / 180)).closeTo(0.03, 1e-9);
  });
  it('buys bolts by its own rule: two a foot, one a brace end, four a rail', () => {
    const bolts = stand('ground-stand').purchases.find(({ id }) => id === 'panel-a/stand-bolts');
    expect(bolts?.quantity).equal(2 * 4 + 6 + 4 * 2);
  });
});

describe('mounts: a hinged frame', () => {
  it('pins a prop where triangle and tilt agree: a cos θ + √(p² − a² sin² θ)', () => {
    // a 1.5, p 1.4 at 60°: 0.75 + √(1.96 − 1.6875) = 1.272.
    expect(pinAlong({ tilt: 60, place: 1.5, prop: 1.4 })).closeTo(1.272, 0.001);
    expect(pinAlong({ tilt: 0, place: 1.5, prop: 1.4 })).closeTo(2.9, 1e-12);
  });
  it('holds the panel at its tilt when it is put together from its holes alone', () => {
    const tilts = [20, 35, 60].map((tilt) => ({ name: `${tilt}`, tilt }));
    const parts = stand('hinged-frame', { tilts }).parts;
    const holes = (id: string) => parts.find((part) => part.id === `panel-a/stand-${id}`)?.holes?.[0]?.positions ?? [];
    const [one = 0, other = 0] = holes('prop');
    const prop = other - one;
    // The hinge is 50 from the base's end, on top of it; pins lie in the middle of its 90, lugs 30 under the panel.
    const place = 0.8 * 2.024 - 0.05;
    holes('base').forEach((hole, index) => {
      const pin = { x: hole - 0.05, y: -0.045 };
      // The panel is turned about its hinge until the lug is a prop away from the pin.
      const gap = (tilt: number) => {
        const angle = (tilt * Math.PI) / 180;
        const lug = {
          x: place * Math.cos(angle) + 0.03 * Math.sin(angle),
          y: place * Math.sin(angle) - 0.03 * Math.cos(angle),
        };
        return Math.hypot(lug.x - pin.x, lug.y - pin.y) - prop;
      };
      let [low, high] = [0, 90];
      for (let step = 0; step < 60; step += 1) {
        const middle = (low + high) / 2;
        if (gap(middle) * gap(low) <= 0) high = middle;
        else low = middle;
      }
      expect(low, `hole ${index}`).closeTo([60, 35, 20][index] ?? Number.NaN, 0.01);
    });
  });
  it('stands on its base, or on feet under it: never on both', () => {
    expect(Number.isNaN(lengthOf('hinged-frame', 'foot'))).equal(false);
    expect(lengthOf('hinged-frame', 'foot')).closeTo(0.2 - 0.09, 1e-9);
    expect(stand('hinged-frame', {}, { low: 0.1 }).parts.some(({ id }) => id.endsWith('foot'))).equal(false);
  });
});

describe('mounts: on what is there already', () => {
  it('rests on every rafter that it crosses, two at least (worked by hand)', () => {
    // 1 124 across rafters 600 apart: one more than 1.87 whole bays is two a rail, four in all, two screws each.
    expect(stand('roof-standoff').held).deep.include({ by: 'fixings', count: 8 });
    // 2 300 across: three bays and one more is four a rail.
    const wide = stand('roof-standoff', { across: 2.3 });
    expect(wide.held).deep.include({ count: 16 });
    expect(wide.purchases.find(({ id }) => id === 'panel-a/stand-bracket')?.quantity).equal(8);
    // A narrow panel has its rail made long enough for two rafters: 600 + 100.
    expect(lengthOf('roof-standoff', 'rail', { across: 0.4 })).closeTo(0.7, 1e-9);
  });
  it('lies along the roof: rails as far apart square to it as along it', () => {
    const drawn = stand('roof-standoff').side.dimensions.find(({ id }) => id === 'stand-rails');
    expect(drawn?.value).closeTo(2.024 - 0.5, 1e-9);
    expect(Math.hypot((drawn?.to.x ?? 0) - (drawn?.from.x ?? 0), (drawn?.to.y ?? 0) - (drawn?.from.y ?? 0))).closeTo(
      drawn?.value ?? 0,
      1e-9,
    );
  });
  it('is held off the wall by what the slope goes out (worked by hand)', () => {
    // The upper rail's corner, 1 924 + 45 along and 45 under, is at 1 969 × 0.5 + 45 × 0.866 = 1 023.5; with 5 clear 1 028.5.
    // The lower rail meets the strut at 100 × 0.5 + 45 × 0.866 = 89.0: 939.5 between, and half of 45 / tan 60° = 13.0 more.
    expect(lengthOf('wall-bracket', 'strut') * 1000).closeTo(939.5 + 13, 0.1);
    // Plates as high as it rises between its holds, and 200: 1 824 sin 60° + 200.
    expect(lengthOf('wall-bracket', 'plate')).closeTo(1.824 * Math.sin(Math.PI / 3) + 0.2, 1e-9);
    const strut = stand('wall-bracket').parts.find(({ id }) => id.endsWith('strut'));
    expect(strut?.ends).deep.equal([{ kind: 'bevel', end: 'far', angle: 30, long: 'inner face' }]);
  });
  it('never lies lower than its rails and feet take', () => {
    expect(stand('roof-standoff', {}, { gap: 0.03 }).side.dimensions[0]?.value).closeTo(0.045 + 0.02, 1e-9);
    expect(stand('vehicle-rack', {}, { gap: 0.05 }).low).closeTo(1.9 + 0.09 + 0.02, 1e-9);
  });
  it('lies flat on a vehicle whatever the place asks', () => {
    expect(stand('vehicle-rack').tilt).equal(0);
    expect(stand('vehicle-rack', {}, { bars: 4 }).held).deep.include({ count: 8 });
    expect(lengthOf('vehicle-rack', 'bar')).closeTo(1.324, 1e-9);
  });
  it('shares what is missing among two guys at 45°: 100 kg is 100 × 9.81 / 2 / sin 45° = 694 N each', () => {
    expect(guyPull({ heldDown: 100, drag: 0 })).closeTo(693.4, 0.5);
    expect(guyPull({ heldDown: 0, drag: 0 })).equal(0);
    // 2 kN along the ground: each of two at 45° holds 1 kN / cos 45°.
    expect(guyPull({ heldDown: 100, drag: 2000 })).closeTo(1414.2, 0.1);
  });
});

describe('mounts: every kind', () => {
  for (const kind of Object.keys(mounts) as (keyof typeof mounts)[])
    for (const habit of ['metric', 'imperial'] as const)
      it(`${kind}, ${habit}: whole pieces, holes inside them, a side that draws, over all tilts`, () => {
        fc.assert(
          fc.property(
            fc.integer({ min: 10, max: 80 }),
            fc.double({ min: 0.6, max: 3, noNaN: true }),
            (tilt, upslope) => {
              const design = mounts[kind]
                .open(mounts[kind].standard(habit))
                .under({ ...panel, upslope, tilts: [{ name: 'all year', tilt }] });
              for (const part of design.parts) {
                expect(part.mass, part.id).above(0);
                if (part.kind !== 'length') throw new Error('a stand is of lengths');
                expect(part.length, part.id).above(0);
                for (const at of part.holes?.flatMap(({ positions }) => positions) ?? [])
                  expect(at, part.id).within(0, part.length);
              }
              expect(design.base).above(0);
              expect(writeSvg(design.side, { habit })).not.match(/NaN|undefined|Infinity/);
            },
          ),
          { numRuns: 30 },
        );
      });
  for (const [id, member] of Object.entries(mounts))
    it(`${id}: anywhere in the range of its parameters it has whole pieces, sound numbers and a hold of some kind`, () => {
      const tilts = fc
        .array(fc.integer({ min: 5, max: 85 }), { minLength: 1, maxLength: 4 })
        .map((list) => list.map((tilt, index) => ({ name: `t${index}`, tilt })));
      fc.assert(
        fc.property(anyParameters(id as keyof typeof mounts), tilts, (parameters, set) => {
          const design = member.open(parameters).under({ ...panel, tilts: set });
          for (const part of design.parts) {
            expect(part.mass, part.id).above(0);
            if (part.kind !== 'length') continue;
            expect(part.length, part.id).above(0);
            for (const hole of part.holes?.flatMap(({ positions }) => positions) ?? [])
              expect(hole, part.id).within(0, part.length);
            expect(part.operations.join()).not.match(/NaN|undefined|Infinity/);
          }
          for (const one of design.purchases) expect(one.quantity, one.id).above(0);
          if (design.held.by === 'fixings') expect(design.held.count).above(1);
          expect(design.base).above(0);
          expect(writeSvg(design.side, { habit: 'metric' })).not.match(/NaN|undefined|Infinity/);
        }),
        { numRuns: 60 },
      );
    });
  it('draws a panel without a stand at its tilt too', () => {
    const side = bareSide({ ...panel, tilt: 40 });
    expect(side.dimensions[0]?.value).closeTo(2.024 * Math.sin((40 * Math.PI) / 180), 1e-9);
    expect(writeSvg(side, { habit: 'metric' })).match(/no stand chosen/);
  });
});
