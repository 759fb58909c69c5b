import { expect } from 'chai';
import * as fc from 'fast-check';
import { entry } from '../catalogue';
import { sayWords } from '../quantity';
import { type Part, workWords } from '../shop';
import { steppedFin } from '../thermal';
import { absorbers, type TubeRow } from '.';
import { lapCount, lapSteps } from './nestedFins';

const row: TubeRow = {
  prefix: 'p',
  path: 'heaters.panel-a',
  tube: entry('tube', 'en-1057-15x0.7'),
  count: 10,
  pitch: 0.106,
  length: 1.88,
};
const foil = (parameters: Record<string, unknown> = {}, change: Partial<TubeRow> = {}) =>
  absorbers['soldered-foil'].open(parameters).on({ ...row, ...change });
const track = (parameters: Record<string, unknown> = {}, change: Partial<TubeRow> = {}) =>
  absorbers['snap-tracks'].open(parameters).on({ ...row, ...change });

describe('absorbers: copper sheet soldered on', () => {
  it('is a strip to a tube, as wide as the pitch', () => {
    expect(foil().plate.width).equal(0.106);
    expect(foil().parts).length(1);
    expect(foil().parts[0]).include({ id: 'p/strip', count: 10, width: 0.106, height: 1.88 });
  });
  it('weighs 8 940 × 0.3 mm a square metre and conducts 385 × 0.3 mm', () => {
    const sheet = 10 * 0.106 * 1.88 * 0.0003 * 8940;
    // Two fillets of 2 mm, each half a square, are one square of 2 mm along every strip.
    const solder = 0.002 ** 2 * 18.8 * 7400;
    expect(foil().mass).closeTo(sheet + solder, 1e-9);
    expect(foil().plate.steps).deep.equal([{ width: (0.106 - 0.015) / 2, conductance: 385 * 0.0003 }]);
    expect(foil().purchases[0]?.quantity).closeTo(solder, 1e-12);
  });
  it('has the bond of the design notes, worse and cheaper when soldered in places', () => {
    expect(foil().bond).include({ low: 30, likely: 100, high: 300 });
    expect(foil({ seam: 'skipped' }).bond).include({ low: 8, likely: 15, high: 30 });
    expect(foil({ seam: 'skipped' }).purchases[0]?.quantity).below(foil().purchases[0]?.quantity ?? 0);
  });
});

describe('absorbers: aluminium tracks clipped on', () => {
  it('covers a tube of 1 880 with a whole track, a gap of 3 and a piece of 677', () => {
    const parts = track().parts;
    expect(parts.map((part) => part.id)).deep.equal(['p/track', 'p/track-rest']);
    expect(parts[1]?.kind === 'length' && parts[1].length).closeTo(1.88 - 1.2 - 0.003, 1e-12);
  });
  it('leaves off a rest too short to clip', () => {
    expect(track({}, { length: 1.24 }).parts.map((part) => part.id)).deep.equal(['p/track']);
    expect(track({}, { length: 0.8 }).parts.map((part) => part.id)).deep.equal(['p/track-rest']);
  });
  it('is no wider than itself, nor than the pitch', () => {
    expect(track().plate.width).equal(0.1);
    expect(track({}, { pitch: 0.09 }).plate.width).equal(0.09);
    expect(track({}, { pitch: 0.09 }).findings[0]).include({ code: 'tracks-overlap', fix: 0.1 });
    expect(track().findings).deep.equal([]);
  });
  it('takes silicone only when bedded, and bonds better for it', () => {
    expect(track().purchases[0]).include({ unit: 'L', priceKey: 'silicone' });
    expect(track({ bed: 'dry' }).purchases).deep.equal([]);
    expect(track({ bed: 'dry' }).bond.high).at.most(track().bond.likely);
    for (const bed of ['bedded', 'dry']) {
      const { bond, bondHomeMade } = track({ bed });
      expect(bondHomeMade.likely).below(bond.likely);
      expect(bondHomeMade.low).below(bond.low);
    }
  });
});

const finned = (parameters: Record<string, unknown> = {}, change: Partial<TubeRow> = {}) =>
  absorbers['nested-fins'].open(parameters).on({ ...row, ...change });

describe('absorbers: nested fins', () => {
  it('lie in as many layers as reach there: 60 mm flanges on a pitch of 100 lap 20 mm between the tubes', () => {
    const steps = lapSteps({ pitch: 0.1, flange: 0.06, tubeDiameter: 0.016, conductance: 0.1 });
    // From the tube's edge at 8 to 40 mm one layer, from 40 to 50 two.
    expect(steps).length(2);
    expect(steps[0]?.width).closeTo(0.032, 1e-12);
    expect(steps[1]?.width).closeTo(0.01, 1e-12);
    expect(steps.map(({ conductance }) => conductance)).deep.equal([0.1, 0.2]);
  });
  it('cover the half pitch whatever the flange, and never less than one layer where they meet', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 0.05, max: 0.3, noNaN: true }),
        fc.double({ min: 0.5, max: 1.9, noNaN: true }),
        (pitch, share) => {
          const steps = lapSteps({ pitch, flange: share * pitch, tubeDiameter: 0.015, conductance: 1 });
          expect(steps.reduce((sum, { width }) => sum + width, 0)).closeTo(pitch / 2 - 0.0075, 1e-9);
          for (const { conductance } of steps) expect(conductance).at.least(1);
        },
      ),
    );
  });
  it('count three layers under each tube once they reach the next one', () => {
    expect(lapCount(0.1, 0.06)).equal(1);
    expect(lapCount(0.1, 0.1)).equal(3);
    expect(lapCount(0.1, 0.21)).equal(5);
  });
  it('are trimmed to what the pitch leaves: 106 less half a tube of 15 is 98.5', () => {
    const [inner, outer] = finned().parts;
    expect(sayWords(workWords(inner as Part)[0] ?? '', 'metric')).match(/trim both flanges to 9[89]\smm/);
    // Beside the outer tubes there is no next one: half a pitch, 53, so that ten tubes take ten pitches and no more.
    expect(outer?.kind === 'length' && outer.flanges).deep.equal([0.053, 0.0985]);
    expect(workWords(finned({}, { pitch: 0.3 }).parts[0] as Part).join()).not.match(/trim/);
  });
  it('fill a tube of 1 880 with three whole fins and a rest, greased or not', () => {
    const parts = finned().parts;
    expect(parts.map(({ id, count }) => [id, count])).deep.equal([
      ['p/fin', 24],
      ['p/fin-outer', 6],
      ['p/fin-rest', 8],
      ['p/fin-rest-outer', 2],
    ]);
    expect(finned().purchases[0]?.quantity).closeTo(0.009 * 10 * (3 * 0.6 + 1.88 - 3 * 0.603), 1e-9);
    expect(finned({ groove: 'dry' }).purchases).deep.equal([]);
    expect(finned({ groove: 'dry' }).bond.likely).below(finned().bond.low);
  });
  it('say where they leave a gap, and what pitch closes it', () => {
    const [gap] = finned({ fin: 'fin-200' }, { pitch: 0.25 }).findings;
    expect(gap).include({ code: 'fins-leave-gap' });
    expect(steppedFin(finned({ fin: 'fin-200' }, { pitch: 0.25 }).plate.steps, 6)).within(0.5, 1);
    expect(finned({ fin: 'fin-200' }, { pitch: Number(gap?.fix) }).findings).deep.equal([]);
  });
  it('conduct better than one layer of the same sheet', () => {
    const lapped = steppedFin(finned().plate.steps, 6);
    const single = steppedFin([{ width: (0.106 - 0.015) / 2, conductance: 211 * 0.0004 }], 6);
    expect(lapped).above(single);
  });
});

describe('absorbers: a flat plate, and a black board', () => {
  const plate = (parameters: Record<string, unknown> = {}) => absorbers['clipped-plate'].open(parameters).on(row);
  const board = () => absorbers['painted-board'].open({}).on(row);
  it('lay one sheet under all tubes: 1 060 mm of two pieces with a lap of 20', () => {
    const [piece] = plate().parts;
    if (piece?.kind !== 'sheet') throw new Error('no sheet');
    expect(piece.count).equal(2);
    expect(piece.width).closeTo(1.06 / 2 + 0.01, 1e-12);
    expect(plate().plate.whole).equal(true);
    expect(plate().purchases[0]?.quantity).equal(10 * Math.ceil(1.88 / 0.2));
    expect(plate({ hold: 'wire' }).bond.likely).below(plate().bond.likely);
  });
  it('take the board for an air path and not for a fin, the tube on top of it in the sun', () => {
    expect(board().plate.mount).equal('over');
    expect(steppedFin(board().plate.steps, 8)).above(0.99);
    expect(board().bond).include({ low: 0.5, likely: 1, high: 2 });
    expect(board().limit.temperature).below(100);
  });
  it('rank by their bonds: soldered, greased, bedded, clipped, on a board', () => {
    const likely = [foil(), finned(), track(), plate(), board()].map(({ bond }) => bond.likely);
    expect(likely).deep.equal([...likely].sort((a, b) => b - a));
  });
});
