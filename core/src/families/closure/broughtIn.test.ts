import { expect } from 'chai';
import { everyTrial } from '../../quantity/trials.fixture';
import type { Part } from '../../shop';
import { type Family, families, type HeaterDesign, type HeaterDocument } from '..';
import { buildBatchBox } from './batchBox.fixture';
import { tooLate, tooTight } from './broughtIn.fixture';
import { buildable } from './buildable.fixture';
import { CutList } from './list.fixture';

const designs = everyTrial ? Number(process.env.COUNT ?? 500) : 15;
const seed = everyTrial ? Number(process.env.SEED ?? 1) : 1;

const typedIn = ({ parameters, box, glazing }: HeaterDocument) => ({
  ...box?.parameters,
  ...glazing?.parameters,
  ...parameters,
});
const listOf = (panel: HeaterDocument, { parts, purchases }: Pick<HeaterDesign, 'parts' | 'purchases'>) =>
  new CutList(panel.id, parts, purchases);
const begun = (id: keyof typeof families) => {
  const family: Family = families[id];
  const panel: HeaterDocument = { id: 'p', ...family.standard('metric') };
  return { panel, design: family.open(panel, 'heaters.panel-a') };
};

describe('brought in: what lies inside goes in before it is closed, and passes the holes on its way', () => {
  for (const family of Object.values<Family>(families))
    it(`${family.id}, seed ${seed}`, function () {
      this.timeout(Math.max(60_000, designs * 2000));
      let looked = 0;
      for (const { panel, design } of buildable(family, designs, seed)) {
        expect(tooLate(family.id, panel.id, design.steps()), JSON.stringify(panel)).deep.equal([]);
        const tight = tooTight(family.id, listOf(panel, design), typedIn(panel));
        expect(tight.wrong, JSON.stringify(panel)).deep.equal([]);
        looked += tight.looked;
      }
      // Tanks, hose and roof pipes pass no hole of their own list: their fixtures hold them against fittings.
      if (['harp', 'serpentine', 'trickle', 'heat-pipe', 'trough'].includes(family.id))
        expect(looked).above(designs / 3);
    });
  it('finds ports that are fitted after both sheets are bolted together', () => {
    const { panel, design } = begun('lattice');
    const steps = design.steps();
    const late = steps.map((one) =>
      one.id.endsWith('/ports')
        ? { ...one, after: [`${panel.id}/step/bolt`] }
        : one.id.endsWith('/bolt')
          ? { ...one, after: [] }
          : one,
    );
    expect(tooLate('lattice', panel.id, steps)).deep.equal([]);
    expect(tooLate('lattice', panel.id, late).join()).match(/ports comes in at .*, after “bolt”/);
  });
  it('finds a hole of 16 mm that a pipe of 17.2 mm does not pass', () => {
    const { panel, design } = begun('heat-pipe');
    const narrowed = design.parts.map(
      (part): Part =>
        part.id.endsWith('/rail')
          ? { ...part, holes: (part.holes ?? []).map((row) => ({ ...row, diameter: 0.0145 })) }
          : part,
    );
    expect(tooTight('heat-pipe', listOf(panel, design), {}).wrong).deep.equal([]);
    const { wrong } = tooTight('heat-pipe', listOf(panel, { parts: narrowed, purchases: design.purchases }), {});
    expect(wrong.join()).match(/a pipe of 15.0 mm does not pass a hole of 14.5 mm/);
  });
});

describe('carried: what is planted in a box of tanks is found', () => {
  const { panel, design } = begun('batch-box');
  const built = (change: (part: Part) => Part) =>
    buildBatchBox(listOf(panel, { parts: design.parts.map(change), purchases: design.purchases }), typedIn(panel)).join(
      '; ',
    );
  it('nothing, in the box as it is begun', () => {
    expect(built((part) => part)).equal('');
  });
  it('bearers of half the timber, bent beyond what softwood stands for years', () => {
    expect(built((part) => (part.id.endsWith('/bearer') ? { ...part, item: 'planed-45x19' } : part))).match(
      /bent to \d+\.\d MPa/,
    );
  });
  it('posts that are too short: the tank lies in the insulation of the floor', () => {
    const short = built((part) =>
      part.id.endsWith('/post-1') && part.kind === 'length' ? { ...part, length: 0.02 } : part,
    );
    expect(short).match(/floor’s insulation/);
  });
});
