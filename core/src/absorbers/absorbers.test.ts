import { expect } from 'chai';
import { entry } from '../catalogue';
import { absorbers, type TubeRow } from '.';

const row: TubeRow = {
  prefix: 'p',
  path: 'panels.0',
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
