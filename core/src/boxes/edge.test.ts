import { expect } from 'chai';
import * as fc from 'fast-check';
import { extent } from '../draw';
import { glazings } from '../glazings';
import { bendDeduction, boxes, courses, develop } from '.';

const pane = glazings['tempered-glass'].open({ length: 2, width: 1.1 });
const folded = (parameters: Record<string, unknown> = {}, turned = false) =>
  boxes['folded-edge'].open({ ...boxes['folded-edge'].standard('metric'), ...parameters }).around(pane, turned);
const partsOf = (box = folded()) => box.parts({ prefix: 'p', railDepth: 0.05, exits: [], hotSpace: 0.05, tubes: [] });
const part = (id: string, box = folded()) => partsOf(box).find((one) => one.id === `p/${id}`);

describe('bent edge: a strip laid flat', () => {
  it('is less than its legs by what the bends take (worked by hand)', () => {
    // 0.6 mm sheet round 1 mm: 2 (1 + 0.6) − π/2 (1 + 0.44 × 0.6) = 3.2 − 1.9855 = 1.2145 mm a bend.
    expect(bendDeduction(0.001, 0.0006) * 1000).closeTo(1.2145, 1e-4);
    // Legs 40 + 130 + 19 = 189; less two bends 186.571. First bend at 40 − 0.607, second at 170 − 1.822.
    const { width, bends } = develop([0.04, 0.13, 0.019], 0.001, 0.0006);
    expect(width * 1000).closeTo(186.571, 1e-3);
    expect(bends.map((at) => Math.round(at * 1e6) / 1e3)).deep.equal([39.393, 168.178]);
  });
  it('folds up again to its legs: what lies between the lines is each leg less its bends', () => {
    fc.assert(
      fc.property(
        fc.array(fc.double({ min: 0.015, max: 0.3, noNaN: true }), { minLength: 2, maxLength: 5 }),
        fc.double({ min: 0.0005, max: 0.004, noNaN: true }),
        fc.double({ min: 0.0003, max: 0.001, noNaN: true }),
        (legs, radius, thickness) => {
          const { width, bends } = develop(legs, radius, thickness);
          const off = bendDeduction(radius, thickness);
          const edges = [0, ...bends, width];
          legs.forEach((leg, index) => {
            const flat = (edges[index + 1] ?? 0) - (edges[index] ?? 0);
            const outermost = index === 0 || index === legs.length - 1;
            expect(flat).closeTo(leg - (outermost ? off / 2 : off), 1e-12);
          });
        },
      ),
    );
  });
});

describe('boxes: folded edge', () => {
  it('is as deep as back, board, seat and metal: 9 + 115 + 7 + 0.6 = 131.6', () => {
    expect(folded().depth).closeTo(0.1316, 1e-12);
    expect(folded().paneTop).closeTo(0.131, 1e-12);
    // Pane 2 000 on boards of 19: 2 000 + 6 − 38 = 1 968 inside, 1 968 + 2 × 19.6 = 2 007.2 outside.
    expect(folded().outside.length).closeTo(2.0072, 1e-12);
    expect(boxes['folded-edge'].open({}).paneToOutside(pane)).closeTo(0.0072, 1e-12);
  });
  it('has strips that lap downhill: the low one tabs under the sides, the sides under the high one', () => {
    const height = (id: string, box = folded()) => {
      const one = part(id, box);
      return one?.kind === 'sheet' ? one.height * one.count : Number.NaN;
    };
    // Across 1 107.2, two tabs of 25; sides 2 007.2 and one tab; the high strip none.
    expect(height('edge-low')).closeTo(1.1572, 1e-9);
    expect(height('edge-high')).closeTo(1.1072, 1e-9);
    expect(height('edge-left')).closeTo(2.0322, 1e-9);
    // Turned, the long side lies low; 2 057.2 still comes off one sheet of 2 500.
    expect(height('edge-low', folded({}, true))).closeTo(2.0572, 1e-9);
    expect(part('edge-left')?.operations.join()).match(/[Mm]irror of the right/);
    expect(part('edge-right')?.operations.join()).match(/[Mm]irror of the left/);
  });
  it('pieces a strip that is longer than the sheet, with a lap', () => {
    // 2 032.2 off sheets of 2 000: two of (2 032.2 + 50)/2 = 1 041.1.
    const left = part('edge-left', folded({ metal: 'edge-aluminium-0.7' }));
    expect(left?.count).equal(2);
    if (left?.kind === 'sheet') expect(left.height).closeTo(1.0412, 1e-9);
  });
  it('closes its back in courses from the bottom up: each reaches over the one below', () => {
    // 2 007 up the slope in courses of at most 300 lapped 50: (2 007.2 − 50)/250 = 7.8, so eight of (2 007.2 + 350)/8.
    const { count, height } = courses({ upslope: 2.0072, across: 1.1 });
    expect(count).equal(8);
    expect(height).closeTo(2.3572 / 8, 1e-12);
    expect(part('back-course')?.count).equal(8);
    expect(part('back-course', folded({ flashing: 'none' }))).equal(undefined);
    fc.assert(
      fc.property(fc.double({ min: 0.2, max: 3.4, noNaN: true }), (upslope) => {
        const made = courses({ upslope, across: 1 });
        expect(made.height).at.most(0.3 + 1e-9);
        expect(made.count * made.height - (made.count - 1) * 0.05).closeTo(upslope, 1e-9);
      }),
    );
  });
  it('says a lip that does not hold the pane, or shades the plate', () => {
    const codes = (parameters: Record<string, unknown>) =>
      folded(parameters)
        .findings('heaters.panel-a', [])
        .map(({ code, fix }) => [code, fix]);
    expect(codes({})).deep.equal([]);
    expect(codes({ lip: 0.03 })).deep.equal([['lip-shades-plate', 0.019]]);
    // 0.6 of metal and 8 of clearance before the pane begins, 5 to hold it: 13.6, so 14.
    const acrylic = glazings.acrylic.open({ clearance: 0.008 });
    const loose = boxes['folded-edge'].open({ lip: 0.012 }).around(acrylic).findings('heaters.panel-a', []);
    expect(loose.map(({ code, fix }) => [code, fix])).deep.equal([['lip-misses-pane', 0.014]]);
  });
  it('is drawn flat with its notches: nothing outside the strips, each as long as its part', () => {
    const drawing = folded().development?.('p');
    if (!drawing) throw new Error('no development');
    const strips = drawing.shapes.filter((shape) => shape.kind === 'path');
    expect(strips.map(({ part }) => part)).deep.equal(['p/edge-low', 'p/edge-left', 'p/edge-high']);
    for (const strip of strips) {
      const xs = strip.kind === 'path' ? strip.points.map(({ x }) => x) : [];
      const cut = part((strip.part ?? '').slice(2));
      expect(Math.max(...xs) - Math.min(...xs)).closeTo(cut?.kind === 'sheet' ? cut.height : 0, 1e-9);
    }
    const bends = drawing.labels.filter(({ words }) => words === 'bend').map(({ size }) => size);
    expect(bends).deep.equal(part('edge-low')?.bends?.positions);
    expect(extent(drawing).width).above(2);
  });
});

describe('boxes: what they may have besides', () => {
  const rebated = (parameters: Record<string, unknown> = {}) =>
    boxes['rebated-timber'].open({ ...boxes['rebated-timber'].standard('metric'), ...parameters }).around(pane);
  it('a lid is as large as the box, its pane over the box’s rim (worked by hand)', () => {
    const box = rebated({ lid: 'mitred' });
    // Opening 2 000 + 6 − 20 = 1 986; frames 45 wide: outside 2 076; boards of 19: inside 2 038.
    expect(box.opening.length).closeTo(1.986, 1e-12);
    expect(box.outside.length).closeTo(2.076, 1e-12);
    expect(box.inside.length).closeTo(2.038, 1e-12);
    expect(box.depth).closeTo(0.115 + 0.019, 1e-12);
    expect(box.solid).closeTo(0.115, 1e-12);
    const lengthOf = (id: string, made = box) => {
      const one = part(id, made);
      return one?.kind === 'length' ? one.length : Number.NaN;
    };
    expect(lengthOf('lid-side')).closeTo(2.076, 1e-12);
    expect(lengthOf('lid-end')).closeTo(1.176, 1e-12);
    // Butted, the ends go between the sides: 1 176 − 90.
    expect(lengthOf('lid-end', rebated({ lid: 'butted' }))).closeTo(1.086, 1e-12);
    expect(part('side-low', box)?.operations.join()).not.match(/for the pane/);
    expect(box.purchases('p').map(({ id }) => id)).include.members(['p/hinge', 'p/lid-clip', 'p/lid-gasket']);
    expect(
      rebated()
        .purchases('p')
        .map(({ id }) => id),
    ).not.include('p/hinge');
  });
  it('keeps the pane in the same seat whether bedded or in a lid', () => {
    expect(boxes['layered-timber'].open({ lid: 'butted' }).around(pane).opening.width).closeTo(1.086, 1e-12);
    expect(rebated().opening).deep.equal(rebated().inside);
  });
  it('headers go in through a side that comes off, and through no other', () => {
    const exits = [{ side: 'high' as const, along: 0.1, up: 0.07, diameter: 0.032 }];
    const onEnds = [{ side: 'hot' as const, along: 0.1, up: 0.07, diameter: 0.017 }];
    const codes = (side: string, where: typeof exits | typeof onEnds) =>
      rebated({ side })
        .findings('heaters.panel-a', where)
        .map(({ code }) => code);
    expect(codes('fixed', exits)).deep.equal(['array-cannot-go-in']);
    expect(codes('removable', exits)).deep.equal([]);
    expect(codes('fixed', onEnds)).deep.equal([]);
    // Out at both ends it is longer than the box is inside: one end comes off.
    const both = [
      { side: 'cold' as const, along: 0.1, up: 0.07, diameter: 0.017 },
      { side: 'hot' as const, along: 1, up: 0.07, diameter: 0.017 },
    ];
    expect(codes('fixed', both as unknown as typeof onEnds)).deep.equal(['array-cannot-go-in']);
    expect(codes('removable', both as unknown as typeof onEnds)).deep.equal([]);
    const parts = rebated().parts({ prefix: 'p', railDepth: 0.05, exits, hotSpace: 0.05, tubes: [] });
    expect(parts.find(({ id }) => id === 'p/side-high')?.operations.join()).match(/no glue/);
    expect(parts.find(({ id }) => id === 'p/side-low')?.operations.join()).not.match(/no glue/);
  });
  it('edge strips line the sides, keep heat in and take their room', () => {
    const lined = rebated({ edgeStrip: 0.02 });
    expect(lined.room.length).closeTo(1.986 - 0.04, 1e-12);
    // In series: 20 mm of wool over 0.036 adds 0.556 m²K/W to 19 mm of wood over 0.13.
    const { layers } = lined.rim(0.05);
    expect(layers.reduce((sum, { thickness, conductivity }) => sum + thickness / conductivity, 0)).closeTo(
      0.02 / 0.036 + 0.019 / 0.13,
      1e-9,
    );
    const strips = partsOf(lined).filter(({ id }) => id.includes('/strip-'));
    const run = strips.reduce((sum, one) => sum + (one.kind === 'sheet' ? one.height * one.count : 0), 0);
    // Between the cleats of 20 by 19: twice 1 986 less 40, and twice 1 086 less two strips of 20.
    expect(run).closeTo(2 * 1.946 + 2 * 1.046, 1e-9);
    // A hot space of 80 wants two slices of a 50 mm board.
    const high = lined.parts({ prefix: 'p', railDepth: 0.05, exits: [], hotSpace: 0.08, tubes: [] });
    expect(high.find(({ id }) => id === 'p/strip-end')?.count).equal(2 * (strips[1]?.count ?? 0));
  });
  it('handles stand on the outside, hanging plates within the back', () => {
    for (let count = 0; count <= 6; count += 1) {
      const { handles, outside } = rebated({ handles: count });
      expect(handles.length).equal(count);
      for (const { x, y } of handles)
        expect(x === 0 || x === outside.length || y === 0 || y === outside.width, `${count}`).equal(true);
    }
    const { hangers, outside } = rebated({ hanging: 'plates' });
    expect(hangers.length).equal(4);
    for (const { x, y } of hangers) expect(x > 0 && x < outside.length && y > 0 && y < outside.width).equal(true);
  });
  it('drills the weep holes along the edges that lie low and high, clear of rails and cleats', () => {
    const weepsOf = (turned: boolean) => {
      const box = boxes['rebated-timber'].open({ weeps: 3 }).around(pane, turned);
      const back = box
        .parts({ prefix: 'p', railDepth: 0.05, exits: [], hotSpace: 0.05, tubes: [] })
        .find(({ id }) => id === 'p/back');
      return { box, rows: back?.holes?.filter(({ where }) => where.includes('dew')) ?? [] };
    };
    // Not turned the slope runs along the tubes: rows stand up at the cold end and at the hot one, 15 in and 6 under the sides.
    const across = weepsOf(false);
    expect(across.rows.map(({ axis, positions }) => [axis, positions.length])).deep.equal([
      ['up', 3],
      ['up', 3],
    ]);
    expect(across.rows[0]?.across?.distance).closeTo(0.006 + 0.015, 1e-12);
    expect(across.rows[1]?.across?.distance).closeTo(0.006 + 1.986 - 0.015, 1e-12);
    const along = weepsOf(true);
    expect(along.rows[0]?.axis).equal(undefined);
    for (const at of along.rows[0]?.positions ?? [])
      for (const rail of along.box.rails) expect(Math.abs(at - 0.006 - rail)).above(0.0095 + 0.004);
  });
});
