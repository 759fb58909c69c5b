import { expect } from 'chai';
import { defaultJob, type Job } from '../document';
import { evaluateBands, evaluateJob } from '.';

/** Heaters of several kinds in one job, in the loop of the first. */
function together(...kinds: string[]): Job {
  const [first, ...others] = kinds.map((kind) => defaultJob(kind));
  if (!first) throw new RangeError('no kinds');
  const heaters = Object.fromEntries(
    [first, ...others].map((job, order) => [`heater-${order}`, { ...Object.values(job.heaters)[0], order }]),
  );
  return { ...first, heaters } as Job;
}

describe('figures: heaters of unlike kind in one job', () => {
  const alone = { harp: evaluateJob(defaultJob('harp')), box: evaluateJob(defaultJob('batch-box')) };

  for (const kinds of [
    ['harp', 'batch-box'],
    ['batch-box', 'harp'],
  ])
    it(`each has its own flow: ${kinds.join(' beside ')}`, () => {
      // The loop of the harp, whichever comes first: a batch box has none.
      const job = { ...together(...kinds), loop: defaultJob('harp').loop };
      const figures = evaluateJob(job);
      const [harp, box] = kinds[0] === 'harp' ? figures.perHeater : figures.perHeater.toReversed();
      expect(harp?.massFlow).closeTo(alone.harp.massFlow, 1e-12);
      expect(harp?.usefulHeat).closeTo(alone.harp.usefulHeat ?? 0, 1e-6);
      expect(box?.massFlow).equal(0);
      expect(box?.usefulHeat).closeTo(alone.box.usefulHeat ?? 0, 1e-6);
    });
  it('their heat is added up, and rise and outlet are those of the water that flows', () => {
    const figures = evaluateJob(together('harp', 'batch-box'));
    expect(figures.usefulHeat).closeTo((alone.harp.usefulHeat ?? 0) + (alone.box.usefulHeat ?? 0), 1e-6);
    expect(figures.gain).closeTo(alone.harp.gain ?? 0, 1e-9);
    expect(figures.efficiency).closeTo(
      (figures.usefulHeat ?? 0) / (figures.conditions.irradiance * figures.apertureArea),
      1e-12,
    );
    expect(figures.efficiency).within(
      Math.min(alone.harp.efficiency ?? 0, alone.box.efficiency ?? 0),
      Math.max(alone.harp.efficiency ?? 0, alone.box.efficiency ?? 0),
    );
  });
  it('the band of the whole holds the figure of the whole', () => {
    const job = together('harp', 'batch-box');
    const { usefulHeat } = evaluateBands(job, {}, { samples: 40 });
    expect(usefulHeat?.likely).closeTo(evaluateJob(job).usefulHeat ?? 0, 1e-6);
    expect(usefulHeat?.low).below(usefulHeat?.likely ?? 0);
    expect(usefulHeat?.high).above(usefulHeat?.likely ?? 0);
  });
  it('in series the water runs through the panels and passes the box by', () => {
    const job = together('harp', 'batch-box', 'harp');
    const inSeries = evaluateJob({ ...job, loop: { ...job.loop, connection: 'series' } });
    const [first, box, last] = inSeries.perHeater;
    expect(first?.massFlow).equal(last?.massFlow);
    expect(box?.massFlow).equal(0);
    expect(last?.inlet).closeTo(first?.outletTemperature ?? 0, 1e-9);
  });
  it('two that are their own stores stand, as one does', () => {
    const figures = evaluateJob(together('batch-box', 'roof-tube'));
    expect(figures.massFlow).equal(0);
    expect(figures.exposure).equal(4 * 3600);
    for (const heater of figures.perHeater) expect(heater.usefulHeat).above(0);
  });
});
