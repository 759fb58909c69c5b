import { expect } from 'chai';
import { defaultJob, isPicked, type Job, setFields, withPick } from '../document';
import { jobSummary } from './jobSummary';

describe('job: a kind of heater that nobody has picked', () => {
  const plain = defaultJob('harp');
  const open: Job = { ...plain, decisions: { unpicked: true } };
  const after = (path: string, value: unknown) => setFields(open, withPick(open, [{ path, value }])).document;

  it('is picked by whatever changes a heater, and by nothing else', () => {
    expect(isPicked(open)).equal(false);
    expect(isPicked(after('need.target', 50))).equal(false);
    expect(isPicked(after('site.latitude', 30))).equal(false);
    const picked = after('heaters.panel-a.parameters.riserCount', 9);
    expect(isPicked(picked)).equal(true);
    expect(picked.heaters['panel-a']?.parameters.riserCount).equal(9);
    // The same kind again is a choice too.
    expect(isPicked(after('heaters', open.heaters))).equal(true);
  });
  it('leaves a job alone that has one', () => {
    const fields = [{ path: 'heaters.panel-a.count', value: 2 }];
    expect(withPick(plain, fields)).equal(fields);
  });
  it('has no figures on the shelf', () => {
    expect(jobSummary(open)).deep.include({ unpicked: true, gain: undefined, cost: undefined, clashes: 0 });
    expect(jobSummary(plain)).not.property('unpicked');
  });
});
