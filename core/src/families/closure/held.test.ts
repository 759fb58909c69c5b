import { expect } from 'chai';
import { everyTrial } from '../../quantity/trials.fixture';
import { type Family, families } from '..';
import { buildable } from './buildable.fixture';
import { fixingsOf, loose } from './held.fixture';
import { CutList } from './list.fixture';

const designs = everyTrial ? Number(process.env.COUNT ?? 500) : 15;
const seed = everyTrial ? Number(process.env.SEED ?? 1) : 1;

/** Screws that a fixture does not look at, and why. */
const elsewhere: Record<string, string> = {
  'port-screws': 'machine screws with nuts',
  'cladding-screws': 'as long as both boards but 2 mm',
  'edge-screws': 'through metal into ply: the tip is in the insulation',
};

describe('held: every screw passes what lies before it, and grips in what is behind', () => {
  for (const family of Object.values<Family>(families))
    it(`${family.id}, seed ${seed}`, function () {
      this.timeout(Math.max(60_000, designs * 2000));
      let looked = 0;
      for (const { panel, design } of buildable(family, designs, seed)) {
        const list = new CutList(panel.id, design.parts, design.purchases);
        expect(loose(family.id, list), JSON.stringify(panel)).deep.equal([]);
        const screws = design.purchases
          .filter(({ priceKey, id }) => priceKey === 'screw' && !/screen|clip/.test(id))
          .map(({ id }) => id.slice(panel.id.length + 1));
        for (const role of screws) {
          looked += 1;
          expect(fixingsOf(family.id).includes(role) || role in elsewhere, `${role} is looked at by nobody`).equal(
            true,
          );
        }
      }
      expect(looked).above(designs / 2);
    });
  it('finds one that is too short, and one that comes out behind', () => {
    const [one] = [...buildable(families.spiral as Family, 30, 4)].filter(({ design }) =>
      design.purchases.some(({ id }) => id.endsWith('/slat-screws')),
    );
    if (!one) throw new Error('no bare spiral');
    const { panel, design } = one;
    const withLength = (length: number) =>
      loose(
        'spiral',
        new CutList(
          panel.id,
          design.parts,
          design.purchases.map((line) => (line.id.endsWith('/slat-screws') ? { ...line, size: { length } } : line)),
        ),
      );
    expect(withLength(0.02).join()).match(/slat-screws of 20.0 mm pass .* grip/);
    expect(withLength(0.2).join()).match(/slat-screws of 200.0 mm come out/);
  });
});
