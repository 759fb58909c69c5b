import { expect } from 'chai';
import { gangs, handedPairs, madeAlike, mirrorImages, type Part, type PieceDatum, partTemplates, type Recess } from '.';

const tube: Part = {
  id: 'p/header',
  name: 'Header',
  item: 'en-1057-28x0.9',
  count: 1,
  operations: [],
  mass: 1,
  kind: 'length',
  stuff: 'tube',
  length: 1.1,
  holes: [{ datum: 'closed end', middle: 0.5, positions: [0.1, 0.5, 0.9], diameter: 0.015, pilot: 0.003, where: '' }],
};
const board = (id: string, positions: number[], more: object = {}): Part => ({
  id,
  name: id,
  item: 'planed-115x19',
  count: 1,
  operations: [],
  mass: 1,
  kind: 'length',
  stuff: 'timber',
  length: 2,
  holes: [
    {
      datum: 'cold end',
      middle: 1,
      positions,
      diameter: 0.032,
      pilot: 0.003,
      where: '',
      across: { from: 'bottom edge', distance: 0.07 },
      ...more,
    },
  ],
});

describe('shop: templates', () => {
  it('lay a strip along a tube with a cross at every hole, and a paper round it that its circumference fits', () => {
    const [strip, wrap] = partTemplates(tube);
    const centres = strip?.drawing.shapes.flatMap((shape) => (shape.kind === 'circle' ? [shape.centre.x] : []));
    expect(centres).deep.equal([0.1, 0.5, 0.9]);
    const rect = wrap?.drawing.shapes.find(({ kind }) => kind === 'rect');
    // 28 mm and a tenth of a millimetre of paper on either side: 88.6 mm round.
    expect(rect?.kind === 'rect' && rect.height).closeTo(Math.PI * 0.0282, 1e-6);
  });
  it('roll the drilled round out by the arc: as long as the drill along the tube, longer round it', () => {
    const [, wrap] = partTemplates(tube);
    const hole = wrap?.drawing.shapes.find(({ kind, layer }) => kind === 'path' && layer === 'hole');
    if (hole?.kind !== 'path') throw new Error('no hole');
    const reach = (of: (point: { x: number; y: number }) => number) =>
      Math.max(...hole.points.map(of)) - Math.min(...hole.points.map(of));
    expect(reach(({ x }) => x)).closeTo(0.015, 1e-6);
    const radius = 0.0141;
    expect(reach(({ y }) => y)).closeTo(2 * radius * Math.asin(0.0075 / radius), 1e-6);
  });
  it('mark a hole of a board from the end that is nearer, and drawn out toward it', () => {
    const [near] = partTemplates(board('low', [0.058], { slot: 0.001 }));
    const [far] = partTemplates(board('high', [1.942], { slot: 0.001 }));
    const xs = (template: typeof near) =>
      template?.drawing.shapes.flatMap((shape) =>
        shape.kind === 'circle' ? [Math.round(shape.centre.x * 1e6) / 1e6] : [],
      );
    expect(xs(near)).deep.equal([0.058, 0.057]);
    // At the right end the board lies to the left of its line.
    expect(xs(far)).deep.equal([-0.058, -0.057]);
    expect(far?.words[0]).include('away from the cold end');
  });
  it('leave screw holes to the tape, and pieces without holes alone', () => {
    expect(partTemplates(board('rail', [0.1, 0.2], { diameter: 0.0045 }))).deep.equal([]);
    const { holes: _, ...plain } = tube;
    expect(partTemplates(plain as Part)).deep.equal([]);
  });
});

describe('shop: pieces marked together', () => {
  it('share a stop when they are of one stuff and length, longest first', () => {
    const short = { ...tube, id: 'p/short', length: 0.5, count: 3 };
    const same = { ...tube, id: 'p/other', count: 2 };
    expect(gangs([short, tube, same]).map(({ length, count, parts }) => [length, count, parts.length])).deep.equal([
      [1.1, 3, 2],
      [0.5, 3, 1],
    ]);
  });
  const rebate: Recess = {
    kind: 'rebate',
    where: 'top inner edge',
    purpose: 'for the pane',
    along: { from: 0, to: 2 },
    up: { from: 0.108, to: 0.115 },
    into: { from: 0.009, to: 0.019 },
  };
  const left: PieceDatum = { end: 'cold end', side: 'left' };
  const right: PieceDatum = { end: 'cold end', side: 'right' };
  it('are a pair when each is the other in a mirror, and not when they are alike', () => {
    // Rebated on one edge of one face, so that turning one over puts its rebate elsewhere.
    const made = (id: string, positions: number[], datum = left) => ({
      ...board(id, positions),
      recesses: [rebate],
      datum,
    });
    const [pair] = handedPairs([made('low', [0.058]), made('high', [1.942])]);
    expect(pair?.map(({ id }) => id)).deep.equal(['low', 'high']);
    expect(handedPairs([made('a', [0.058]), made('b', [0.058])])).deep.equal([]);
    expect(handedPairs([made('a', [0.5, 1.5]), made('b', [0.5, 1.5])])).deep.equal([]);
    // The same numbers from an end that stands on the other side when the outer face is looked at: a left and a right one.
    expect(handedPairs([made('low', [0.058]), made('high', [0.058], right)])).length(1);
    expect(handedPairs([made('low', [0.058]), made('high', [1.942], right)])).deep.equal([]);
  });
  it('are no pair where turning one over, end for end, makes it the other', () => {
    expect(handedPairs([board('a', [0.058]), board('b', [1.942])])).deep.equal([]);
    expect(madeAlike(board('a', [0.058]), board('b', [1.942]))).equal(true);
    const header = (positions: number[]) => ({
      ...tube,
      holes: tube.holes?.map((row) => ({ ...row, positions })) ?? [],
    });
    expect(madeAlike(header([0.1, 0.5]), header([0.6, 1]))).equal(true);
    expect(mirrorImages(header([0.1, 0.5]), header([0.6, 1]))).equal(false);
    expect(madeAlike(header([0.1, 0.5]), header([0.1, 0.6]))).equal(false);
  });
  it('tells a bevel whose long side lies on the other face', () => {
    const bevelled = (end: 'datum' | 'far', long: 'top edge' | 'bottom edge'): Part => ({
      ...board(end + long, []),
      holes: [],
      ends: [{ kind: 'bevel', end, angle: 30, long }],
    });
    // Turned over end for end the long edge comes to the other end and stays on top; turned in its plane it goes below.
    expect(madeAlike(bevelled('datum', 'top edge'), bevelled('far', 'top edge'))).equal(true);
    expect(madeAlike(bevelled('datum', 'top edge'), bevelled('far', 'bottom edge'))).equal(true);
    const rebated = (part: Part): Part => ({ ...part, recesses: [rebate] });
    expect(madeAlike(rebated(bevelled('datum', 'top edge')), rebated(bevelled('far', 'top edge')))).equal(false);
    expect(mirrorImages(rebated(bevelled('datum', 'top edge')), rebated(bevelled('far', 'top edge')))).equal(true);
  });
});
