import { expect } from 'chai';
import { defaultJob, pathSteps, withValueAt } from '../document';
import { evaluateJob } from './evaluate';
import { jobSummary } from './jobSummary';

describe('figures: the summary of a job', () => {
  const job = withValueAt(defaultJob('harp'), pathSteps('heaters.panel-a.count'), 3);

  it('counts heaters and agrees with the figures', () => {
    const figures = evaluateJob(job);
    const summary = jobSummary(job);
    expect(summary).deep.include({ panels: 3, clashes: 0, trouble: undefined });
    expect(summary.apertureArea).equal(figures.apertureArea);
    expect(summary.gain).closeTo(figures.gain ?? Number.NaN, 1e-12);
    expect(summary.cost).closeTo(figures.cost ?? Number.NaN, 1e-9);
  });
  it('counts what keeps it from being built, and no caution', () => {
    const wide = withValueAt(job, pathSteps('heaters.panel-a.parameters.pitch'), 0.2);
    expect(jobSummary(wide).clashes).above(0);
    const foam = withValueAt(job, pathSteps('heaters.panel-a.box.parameters.insulation'), 'polyiso-50');
    expect(jobSummary(foam).clashes).equal(0);
  });
  it('gives the reason and no figure for one that cannot be opened', () => {
    const broken = withValueAt(job, pathSteps('heaters.panel-a.family'), 'kettle');
    expect(jobSummary(broken)).deep.include({
      name: job.name,
      panels: 3,
      gain: undefined,
      cost: undefined,
      clashes: 1,
    });
    expect(jobSummary(broken).trouble).match(/kettle/);
  });
});
