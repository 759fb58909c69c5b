import { defaultJob, withValueAt } from '@north-pane/core/document';
import { expect } from 'chai';
import { derive } from './derived';

describe('web: what is worked out from a document', () => {
  const job = defaultJob('harp');
  it('is worked out once for each document', () => {
    expect(derive(job)).equal(derive(job));
    expect(derive({ ...job })).not.equal(derive(job));
  });
  it('moves drawing, parts, money and findings together', () => {
    const more = derive(withValueAt(job, ['heaters', 'panel-a', 'parameters', 'riserCount'], 13));
    const now = derive(job);
    const count = (derived: typeof now) => derived.parts.find((part) => part.id === 'panel-a/riser')?.count;
    expect([count(now), count(more)]).deep.equal([12, 13]);
    expect(more.figures.cost).above(now.figures.cost ?? Number.NaN);
    expect(more.figures.waterVolume).above(now.figures.waterVolume);
    expect(more.findings.map((finding) => finding.code)).deep.equal(['array-too-wide']);
    const tubes = (derived: typeof now) =>
      derived.open.panels[0]?.design.drawings.plan.draw().shapes.filter((shape) => shape.layer === 'tube').length;
    expect([tubes(now), tubes(more)]).deep.equal([12, 13]);
  });
  it('costs the plan that it shows', () => {
    const { figures, plan } = derive(job);
    expect(figures.cost).equal(plan.cost);
  });
});
