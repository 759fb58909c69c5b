import { expect } from 'chai';
import { families } from '..';
import { buildBatchBox } from '../closure/batchBox.fixture';
import { CutList } from '../closure/list.fixture';
import { layOut } from './layout';
import { batchBoxParameters } from './parameters';

const laid = (change: Record<string, unknown> = {}, tilt = 45) => layOut(batchBoxParameters.parse(change), tilt);
const open = (change: Record<string, unknown> = {}, tilt = 45) => {
  const standard = families['batch-box'].standard('metric');
  return families['batch-box'].open(
    { id: 'b', ...standard, parameters: { ...standard.parameters, ...change } },
    'heaters.panel-a',
    { tilt },
  );
};
const part = (id: string, change: Record<string, unknown> = {}, tilt = 45) => {
  const found = open(change, tilt).parts.find((one) => one.id === `b/${id}`);
  if (!found) throw new Error(`no ${id}`);
  return found;
};
const codes = (change: Record<string, unknown>, tilt?: number) => open(change, tilt).findings.map(({ code }) => code);

describe('batch box: a box worked by hand', () => {
  // Pane 1 230 with 3 mm to grow at each end, at 45°: 1 236 × 0.70711 = 874.0 deep. Walls of 12 ply and 45 studs: 57.
  const layout = laid();
  it('is as deep as its pane is long times the cosine, and rises by the tangent', () => {
    expect(layout.depth).closeTo(1.236 * Math.SQRT1_2, 1e-6);
    expect(layout.back - layout.front).closeTo(layout.depth, 1e-9);
    // Up from the floor: 40 of foam, 30 left free, 90 of bearer on edge, 180 × cos 25° = 163.1 to the middle of the first tank, and
    // (60 + 180) / cos 45° = 339.4 to the plane, which has risen by as much as the tank's middle lies behind the front, at 45°.
    const [first] = layout.cradle.lying;
    expect(layout.front).closeTo(0.04 + 0.03 + 0.09 + 0.1631 + 0.3394 - (first?.x ?? 0), 2e-4);
  });
  it('has studs whose long edges end under the sloping rail: 45 of rail takes 63.6 of height at 45°', () => {
    expect(layout.studs.front).closeTo(layout.front + 0.057 - 0.0636, 1e-4);
    expect(layout.studs.back).closeTo(layout.front + layout.depth - 0.012 - 0.0636, 1e-4);
  });
  it('bevels studs, posts and sloping rails at the tilt: 37° is 75.4 in 100', () => {
    for (const id of ['stud-front', 'stud-back', 'rail-slope'])
      for (const end of part(id, {}, 37).ends ?? []) expect(end.angle, id).closeTo(37, 1e-9);
    expect(part('rail-slope', {}, 37).ends?.map(({ long }) => long)).deep.equal(['bottom edge', 'top edge']);
    // Long point to long point: (874.0 − 24) / cos 45° + 45 × tan 45°.
    const rail = part('rail-slope');
    if (rail.kind !== 'length') throw new Error('no length');
    expect(rail.length).closeTo((layout.depth - 0.024) / Math.SQRT1_2 + 0.045, 1e-9);
  });
  it('rips the pane rails so that they lie in the plane: 25 low and 25 + 45 × tan 45° = 70 high', () => {
    const rail = part('pane-rail');
    if (rail.kind !== 'length') throw new Error('no length');
    expect(rail.section?.width).closeTo(0.07, 1e-9);
    expect(rail.ripped).deep.equal({ edge: 'top edge', angle: 45, long: 'inner face' });
  });
  it('saws both sides out of one sheet along one line, alike when one is turned', () => {
    const sides = part('sides');
    if (sides.kind !== 'sheet' || !sides.pair) throw new Error('no pair');
    expect(sides.height).closeTo(layout.front + layout.back, 1e-9);
    // The lower piece has front and back as they are; the upper one what is left of the height, the other way round.
    expect([sides.height - sides.pair.to, sides.height - sides.pair.from]).deep.equal([
      sides.height - layout.back,
      sides.height - layout.front,
    ]);
    expect(sides.height - sides.pair.to).closeTo(layout.front, 1e-9);
  });
  it('sets the tanks as far under the pane as was asked, clear of front and back', () => {
    const { tankPlaces, wall, slope, depth, parameters } = layout;
    for (const place of tankPlaces) {
      const middle = wall + place * slope.cos;
      expect(middle - parameters.tankDiameter / 2 - wall).at.least(parameters.around - 1e-9);
      expect(depth - wall - middle - parameters.tankDiameter / 2).at.least(parameters.around - 1e-9);
    }
    const [first = 0, second = 0] = tankPlaces;
    expect(second - first - parameters.tankDiameter).at.least(parameters.around);
  });
  it('holds 92 L a tank: π/4 × 0.355² × 0.98 × 0.95', () => {
    expect(layout.tankVolume).closeTo((Math.PI / 4) * 0.355 ** 2 * 0.98 * 0.95, 1e-9);
    expect(open().hydraulic?.volume).closeTo(2 * layout.tankVolume, 1e-12);
  });
  it('weighs its steel by shell and ends: 2.5 mm of π × 0.36 × 0.98 and twice π/4 × 0.36²', () => {
    const tank = open().purchases.find(({ id }) => id === 'b/tank');
    expect(tank?.mass).closeTo(2 * 7850 * 0.0025 * (Math.PI * 0.36 * 0.98 + (Math.PI / 2) * 0.36 ** 2), 1e-6);
  });
});

describe('batch box: its cradle', () => {
  it('carries two tanks of 115 kg on bearers of 45 by 90 on edge: 2.9 MPa (worked by hand)', () => {
    // Half of 1 130 N over 980 in a span of 1 127: 565 × (1127 / 4 − 980 / 8) = 90 N·m down, tan 25° of it aside.
    // 90 / 60.75e-6 + 42 / 30.4e-6 = 1.48 + 1.38.
    const { bearer } = laid().cradle;
    expect([bearer.wide, bearer.deep]).deep.equal([0.045, 0.09]);
    expect(bearer.stress.bending / 1e6).closeTo(2.9, 0.06);
  });
  it('takes studs under small tanks, and rails on edge as soon as studs would be bent too far', () => {
    const small = laid({ tankDiameter: 0.25, tankLength: 0.6, paneWidth: 0.8 }).cradle.bearer;
    expect(small.deep).equal(0.045);
    expect(small.stress.bending).most(5.91e6);
    expect(laid().cradle.bearer.deep).equal(0.09);
  });
  it('props what leans where a rail alone breaks', () => {
    const leaning = { stand: 'upright', tankLength: 1.2, tankDiameter: 0.4, paneLength: 2.2, tanks: 2 };
    const { bearer } = laid(leaning, 50).cradle;
    expect(bearer.propped).equal(true);
    expect(part('post-back', leaning, 50).count).equal(3);
    expect(part('foot-stop', leaning, 50).count).equal(3);
    expect(part('post-back', { ...leaning, tankDiameter: 0.3, tankLength: 0.8 }, 50).count).equal(2);
  });
  it('lays each tank between its two bearers, clear of those of the next', () => {
    for (const tilt of [30, 45, 60]) {
      const { cradle, parameters } = laid({ paneLength: 2 }, tilt);
      const [low, high] = cradle.lying;
      if (!low || !high) throw new Error('two tanks lie');
      const radius = parameters.tankDiameter / 2;
      // Where it touches: as far from its middle as its radius.
      for (const one of [low, high])
        expect(Math.hypot(one.x - one.low, one.z - one.top), `${tilt}`).closeTo(radius, 1e-9);
      const corner = Math.hypot(
        high.low - cradle.bearer.wide - low.x,
        Math.max(0, high.top - cradle.bearer.deep - low.z),
      );
      expect(corner, `${tilt}`).above(radius);
    }
  });
  it('says with its number that it would break, and is mended by a stouter rail where one is sold', () => {
    const weak = { tankDiameter: 0.5, tankLength: 1.3, paneWidth: 1.6, paneLength: 1.6, tanks: 1 };
    const clash = open(weak, 35).findings.find(({ code }) => code === 'cradle-weak');
    expect(clash?.values.bending).above(5.91e6);
    expect(clash?.path).equal('heaters.panel-a.parameters.rail');
    expect(clash?.fix).a('string');
    expect(codes({ ...weak, rail: clash?.fix }, 35)).not.include('cradle-weak');
  });
  it('has two straps over each tank, long enough to go round it', () => {
    const strap = open().purchases.find(({ id }) => id === 'b/tank-strap');
    // Round but for 50° of 360: 180 × 2π × 310/360 = 974, and 100 at each end; four of them.
    expect(strap?.quantity).closeTo(4 * (0.974 + 0.2), 0.002);
  });
});

describe('batch box: what does not go', () => {
  it('says how much longer or wider the pane must be, and is mended by it', () => {
    for (const change of [{ paneLength: 0.9 }, { paneWidth: 1.1 }]) {
      const clash = open(change).findings.find(({ code }) => code.startsWith('tanks-'));
      expect(clash?.code).equal('paneLength' in change ? 'tanks-too-long' : 'tanks-too-wide');
      const field = clash?.path.split('.').pop() ?? '';
      expect(codes({ ...change, [field]: clash?.fix })).not.include(clash?.code);
    }
  });
  it('knows a tilt that no box is built at, sides larger than a sheet, and foam thicker than its studs', () => {
    expect(codes({}, 10)).include('box-tilt');
    expect(codes({ tankDiameter: 0.6, paneLength: 1.8 })).include('sheet-too-small');
    const thick = open({ insulation: 'polyiso-50' }).findings.find(({ code }) => code === 'insulation-too-thick');
    expect(thick?.fix).equal('polyiso-40');
    expect(codes({}, 62)).include('rail-too-narrow');
  });
  it('stops at a used tank, and walks it through its four tests before anything else', () => {
    expect(codes({})).not.include('used-tank');
    const used = open({ tankKind: 'used' });
    expect(used.findings.find(({ code }) => code === 'used-tank')).include({ severity: 'caution' });
    const steps = used.steps();
    for (const [id, words] of [
      ['isolate', /licensed person/],
      ['strip', /never use the old relief valve/],
      ['tank-test', /never air/],
      ['anode', /No valve|no valve/],
    ] as const) {
      const step = steps.find((one) => one.id === `b/step/${id}`);
      expect(step?.beware.join(' '), id).match(words);
      expect(step?.beware[0], id).match(/^Stop: /);
    }
    const blacken = steps.find((one) => one.id === 'b/step/blacken');
    expect(blacken?.after).deep.equal(['b/step/anode']);
  });
});

describe('batch box: fitted to its pane', () => {
  it('takes as many tanks as go under it, as long as it is wide', () => {
    const family = families['batch-box'];
    const standard = family.standard('metric');
    const panel = { id: 'b', ...standard, parameters: { ...standard.parameters, paneLength: 1.75, paneWidth: 1.3 } };
    const fitted = family.fit?.(panel, { tilt: 45 });
    if (!fitted) throw new Error('no fit');
    const { findings } = family.open(fitted, 'heaters.panel-a', { tilt: 45 });
    expect(findings.filter(({ code }) => code.startsWith('tanks-'))).deep.equal([]);
    expect(fitted.parameters.tanks).equal(3);
    expect(Number(fitted.parameters.tankLength)).closeTo(1.306 - 0.114 - 0.1, 0.0011);
  });
});

describe('batch box: sides larger than a sheet', () => {
  // Six feet of pane at 45°: 1.836 × 0.70711 = 1.298 deep, more than the 1.2 of a sheet.
  const six = { paneLength: 1.83, paneWidth: 1.19 };
  it('are joined on a stud of their own, each part on a sheet, and clash no more', () => {
    expect(codes(six)).not.include('sheet-too-small');
    const [front, back] = [part('sides-front', six), part('sides-back', six)];
    if (front.kind !== 'sheet' || back.kind !== 'sheet') throw new Error('sides are sheet');
    expect(front.width + back.width).closeTo(1.836 * Math.SQRT1_2, 1e-6);
    // At 45° the side rises by as much as it goes back: where the sheets meet both are as high.
    expect((front.pair?.to ?? 0) - (front.pair?.from ?? 0)).closeTo(front.width, 1e-9);
    expect(back.pair?.from).closeTo(front.pair?.to ?? 0, 1e-9);
    for (const one of [front, back]) expect(Math.min(one.width, one.height)).at.most(1.2);
  });
  it('have two studs there that end under the sloping rail, and insulation on both sides of them', () => {
    const layout = laid(six);
    const stud = part('stud-joint', six);
    if (stud.kind !== 'length' || !layout.joint) throw new Error('no stud');
    expect(stud.count).equal(2);
    // Long edge behind, half of 45 further back: front + (at + 22.5) − 63.6.
    expect(stud.length).closeTo(layout.front + layout.joint.at + 0.0225 - 0.0636, 1e-4);
    const [before, behind] = [part('insulation-front-sides', six), part('insulation-back-sides', six)];
    if (before.kind !== 'sheet' || behind.kind !== 'sheet') throw new Error('insulation is sheet');
    expect(before.width + behind.width + 0.045 + 2 * 0.057).closeTo(layout.depth, 1e-6);
  });
  it('are one piece where a sheet has them, and the step says where both meet otherwise', () => {
    expect(open().parts.map(({ id }) => id)).include('b/sides');
    expect(laid().joint).equal(undefined);
    expect(
      open({ paneLength: 1.83 })
        .steps()
        .find(({ id }) => id.endsWith('/frame'))
        ?.does.join(' '),
    ).match(/both sheets of a side meet/);
  });
  for (const stand of ['lying', 'upright'] as const)
    for (const tanks of [1, 2, 3])
      it(`go together from the list alone, with their cradle: ${tanks} ${stand}`, () => {
        let joined = 0;
        for (const paneLength of [1.5, 1.7, 1.83, 2])
          for (const tilt of [25, 35, 45]) {
            const parameters = {
              ...six,
              paneLength,
              tanks,
              stand,
              tankDiameter: tanks === 3 ? 0.26 : 0.32,
              tankLength: 0.9,
            };
            const design = open(parameters, tilt);
            if (design.findings.some(({ severity }) => severity === 'clash')) continue;
            if (!design.parts.some(({ id }) => id === 'b/stud-joint')) continue;
            joined += 1;
            const list = new CutList('b', design.parts, design.purchases);
            const standard = families['batch-box'].standard('metric');
            expect(
              buildBatchBox(list, { ...standard.parameters, ...parameters }),
              `${paneLength} at ${tilt}`,
            ).deep.equal([]);
          }
        expect(joined).above(1);
      });
});
