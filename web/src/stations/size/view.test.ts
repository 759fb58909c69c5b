import { defaultJob, familyIds } from '@north-pane/core/document';
import { openJob } from '@north-pane/core/job';
import { expect } from 'chai';
import { jobNow, useJob } from '../../state/job';
import { openSync } from '../../state/sync/state';
import {
  benchFor,
  chooseDimension,
  heldOf,
  isShown,
  leadOf,
  setDimension,
  showPanel,
  showUnder,
  takeDimension,
  toggleReadout,
  toggleShade,
  useBenchView,
  viewOf,
  viewsUnder,
} from './view';

const designOf = (family: (typeof familyIds)[number]) => {
  const panel = openJob(defaultJob(family)).panels[0];
  if (!panel) throw new Error('no heater');
  return panel.design;
};
const view = () => useBenchView.getState();

describe('web: what of the bench is in hand', () => {
  beforeEach(() => benchFor(undefined));
  afterEach(() => benchFor('another'));

  it('begins anew for another job, and is found as it was left for the same', () => {
    benchFor('one');
    takeDimension('gap');
    toggleShade();
    benchFor('one');
    expect(view()).include({ chosen: 'gap', shaded: true });
    benchFor('two');
    expect(view()).include({ chosen: 'pitch', shaded: false, under: 'section', index: 0 });
  });
  it('takes a dimension in hand at the first touch, and types it at the second', () => {
    const dimension = heldOf(designOf('harp'), 'riser-clear');
    if (!dimension) throw new Error('no dimension');
    chooseDimension(dimension);
    expect(view()).include({ chosen: dimension.id, typing: false });
    chooseDimension(dimension);
    expect(view().typing).equal(true);
    takeDimension('pitch');
    expect(view()).include({ chosen: 'pitch', typing: false });
  });
  it('opens one readout at a time, and ends typing with another panel', () => {
    toggleReadout('a');
    toggleReadout('b');
    expect(view().opened).equal('b');
    toggleReadout('b');
    expect(view().opened).equal(undefined);
    useBenchView.setState({ typing: true });
    showPanel(1);
    expect(view()).include({ index: 1, typing: false });
    showUnder('side');
    expect(view().under).equal('side');
  });
  for (const family of familyIds)
    it(`${family}: has a view that leads, others under it, one of all from the side, and a dimension to begin with`, () => {
      const design = designOf(family);
      const lead = leadOf(design);
      const { views, under } = viewsUnder(design, 'nowhere');
      expect(viewOf(design, lead)).not.equal(undefined);
      expect(viewOf(design, lead)).equal(viewOf(design, lead));
      expect(views.map(({ id }) => id)).not.include(lead);
      // A box of tanks leads with its profile; every other kind is drawn from the side beneath.
      const fromTheSide = views.some(({ id }) => id === 'side');
      expect(fromTheSide).equal(family !== 'batch-box');
      expect(new Set(views.map(({ id }) => id)).size).equal(views.length);
      expect(under).equal(views[0]?.id);
      expect(viewsUnder(design, 'side').under).equal(fromTheSide ? 'side' : 'plan');
      const held = heldOf(design, 'no such dimension');
      expect(held?.edit).not.equal(undefined);
      if (held) expect(isShown(design, held, under) || views.length > 1).equal(true);
    });
});

describe('web: a dimension that is set', () => {
  beforeEach(() =>
    useJob
      .getState()
      .open('shed', openSync({ version: 1, document: defaultJob('harp') }, { events: [], seq: 0 }), () => {}),
  );
  after(() => useJob.getState().close());
  const pitch = () => {
    const found = heldOf(designOf('harp'), 'pitch');
    if (!found?.edit) throw new Error('no pitch');
    return { ...found, edit: found.edit };
  };

  it('goes into the document, and one that is out of bounds is refused with its reason in the tape that is read', () => {
    expect(setDimension(0, pitch(), 0.08, 'metric')).equal(undefined);
    expect(jobNow().heaters['panel-a']?.parameters.pitch).closeTo(0.08, 1e-12);
    expect(setDimension(0, pitch(), 0.5, 'metric')).match(/mm/);
    expect(setDimension(0, pitch(), 0.5, 'imperial')).match(/″|′/);
    expect(setDimension(0, pitch(), 0.001, 'metric')).match(/at least/);
    expect(jobNow().heaters['panel-a']?.parameters.pitch).closeTo(0.08, 1e-12);
  });
});
