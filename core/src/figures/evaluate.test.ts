import { expect } from 'chai';
import { defaultJob, familyIds } from '../document';
import { jobShop, openJob } from '../job';
import { evaluateJob, evaluateOpen, evaluateWithCost } from '.';

describe('figures: what they cost to work out', () => {
  for (const family of familyIds)
    it(`${family}: money only by a plan, and no other figure hangs on it`, () => {
      const open = openJob(defaultJob(family));
      const { cost, unpriced, ...rest } = evaluateOpen(open);
      expect([cost, unpriced]).deep.equal([undefined, []]);
      const dear = evaluateWithCost(open);
      expect(dear.cost).equal(jobShop(open).plan.cost);
      expect(dear).deep.include(
        JSON.parse(JSON.stringify(rest)) === rest ? rest : { gain: rest.gain, dryMass: rest.dryMass },
      );
      expect(evaluateJob(open.job).cost).equal(dear.cost);
    });
});
