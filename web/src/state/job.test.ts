import { defaultJob, type Job } from '@north-pane/core/document';
import { expect } from 'chai';
import * as fc from 'fast-check';
import { useJob } from './job';

const state = () => useJob.getState();
const risers = () => state().document?.panels[0]?.parameters.riserCount;
const path = 'panels.0.parameters.riserCount';

describe('web: the job document in hand', () => {
  beforeEach(() => state().open('shed', { version: 1, document: defaultJob('harp') }));

  it('takes a change that makes a sound job', () => {
    expect(state().change(path, 9)).deep.equal({ ok: true });
    expect(risers()).equal(9);
    expect(state().kept?.document.panels[0]?.parameters.riserCount).equal(12);
  });
  it('refuses one that does not, in a sentence, and sets nothing', () => {
    const before = state().document;
    expect(state().change(path, 2.5)).deep.equal({ ok: false, message: 'Risers must be a whole number.' });
    expect(state().change('site.latitude', 95)).deep.equal({ ok: false, message: 'Latitude is -90 to 90.' });
    expect(state().document).equal(before);
    expect(state().past).deep.equal([]);
  });
  it('sets several fields as one change, or none of them', () => {
    const both = [
      { path, value: 10 },
      { path: 'panels.0.parameters.pitch', value: 0.1 },
    ];
    expect(state().changeAll(both).ok).equal(true);
    expect(state().past).length(1);
    expect(
      state().changeAll([
        { path, value: 8 },
        { path: 'panels.0.parameters.pitch', value: -1 },
      ]).ok,
    ).equal(false);
    expect(risers()).equal(10);
  });
  it('undoes and does again, and forgets what was undone at the next change', () => {
    state().change(path, 11);
    state().change(path, 10);
    state().undo();
    expect(risers()).equal(11);
    state().redo();
    expect(risers()).equal(10);
    state().undo();
    state().undo();
    expect(risers()).equal(12);
    state().undo();
    expect(risers()).equal(12);
    state().change(path, 5);
    state().redo();
    expect(risers()).equal(5);
  });
  it('makes one drag one undo, and a drag that comes back none', () => {
    state().beginDrag();
    for (const count of [11, 10, 9]) state().change(path, count);
    state().endDrag();
    expect(state().past).length(1);
    state().undo();
    expect(risers()).equal(12);
    const before = state().document;
    state().beginDrag();
    state().endDrag();
    expect(state().document).equal(before);
    expect(state().past).length(0);
  });
  it('shares what a change does not touch', () => {
    const { shop } = state().document as Job;
    state().change(path, 9);
    expect(state().document?.shop).equal(shop);
  });
  it('begins anew with another job', () => {
    state().change(path, 9);
    state().open('dairy', { version: 4, document: defaultJob('harp', { units: 'imperial' }) });
    expect(state()).include({ id: 'dairy', saving: 'saved', conflict: undefined });
    expect(state().past).deep.equal([]);
  });
  it('comes back to the start by undoing everything, whatever was done', () => {
    const step = fc.oneof(
      fc.record({ kind: fc.constant('change' as const), count: fc.integer({ min: -2, max: 70 }) }),
      fc.record({ kind: fc.constant('undo' as const), count: fc.constant(0) }),
      fc.record({ kind: fc.constant('redo' as const), count: fc.constant(0) }),
    );
    fc.assert(
      fc.property(fc.array(step, { maxLength: 30 }), (steps) => {
        const start = defaultJob('harp');
        state().open('shed', { version: 1, document: start });
        for (const { kind, count } of steps) {
          if (kind === 'change') state().change(path, count);
          else state()[kind]();
          expect(risers()).within(2, 60);
        }
        while (state().past.length > 0) state().undo();
        expect(state().document).equal(start);
      }),
      { numRuns: 30 },
    );
  });
});
