import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import { toggleHave, toolId, toolsAtHand } from './have';
import { jobNow, useJob } from './job';
import { openSync } from './sync/state';

describe('web: what the builder has', () => {
  beforeEach(() =>
    useJob
      .getState()
      .open('shed', openSync({ version: 1, document: defaultJob('harp') }, { events: [], seq: 0 }), () => {}),
  );
  after(() => useJob.getState().close());

  it('is marked, and wanted again, as one edit each that undo takes back', () => {
    toggleHave('solder');
    expect(jobNow().shop.have).deep.equal({ solder: true });
    toggleHave('solder');
    expect(jobNow().shop.have ?? {}).deep.equal({});
    useJob.getState().undo();
    expect(jobNow().shop.have).deep.equal({ solder: true });
    useJob.getState().undo();
    expect(jobNow().shop.have ?? {}).deep.equal({});
  });
  it('tells tools from lines of the list', () => {
    toggleHave(toolId('torch'));
    toggleHave(toolId('hand saw'));
    toggleHave('panel-a/solder');
    expect([...toolsAtHand(jobNow())].sort()).deep.equal(['hand saw', 'torch']);
    toggleHave(toolId('torch'));
    expect([...toolsAtHand(jobNow())]).deep.equal(['hand saw']);
  });
  it('has nothing where nothing was ticked', () => {
    expect(toolsAtHand(jobNow()).size).equal(0);
  });
});
