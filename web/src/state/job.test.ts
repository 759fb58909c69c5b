import { defaultJob, type Job } from '@north-pane/core/document';
import type { ShopEvent } from '@north-pane/core/shoplog';
import { expect } from 'chai';
import * as fc from 'fast-check';
import { NotSaved, record, saveNow, savingOf, useJob } from './job';
import type { Effect, Input } from './sync/messages';
import { openSync } from './sync/state';

const state = () => useJob.getState();
const risers = () => state().document?.heaters['panel-a']?.parameters.riserCount;
const path = 'heaters.panel-a.parameters.riserCount';

/** What the machine asked to be done, in order. */
let asked: Effect[] = [];
const kinds = () => asked.map(({ kind }) => kind);
function open(document: Job = defaultJob('harp'), version = 1, id = 'shed'): void {
  asked = [];
  state().open(id, openSync({ version, document }, { events: [], seq: 0 }), (effects) => {
    asked.push(...effects);
  });
}
const give = (input: Input) => state().give(input);
const sent = () => asked.find((effect) => effect.kind === 'send');

describe('web: the job document in hand', () => {
  beforeEach(() => open());
  after(() => state().close());

  it('takes a change that makes a sound job', () => {
    expect(state().change(path, 9)).deep.equal({ ok: true });
    expect(risers()).equal(9);
    expect(state().sync?.base.document.heaters['panel-a']?.parameters.riserCount).equal(12);
  });
  it('refuses one that does not, in a sentence, and sets nothing', () => {
    const before = state().document;
    expect(state().change(path, 2.5)).deep.equal({ ok: false, message: 'Risers must be a whole number.' });
    expect(state().change('site.latitude', 95)).deep.equal({ ok: false, message: 'Latitude is −90 to 90: the pole.' });
    expect(state().document).equal(before);
    expect(state().sync?.past).deep.equal([]);
  });
  it('sets several fields as one change, or none of them', () => {
    const both = [
      { path, value: 10 },
      { path: 'heaters.panel-a.parameters.pitch', value: 0.1 },
    ];
    expect(state().changeAll(both).ok).equal(true);
    expect(state().sync?.past).length(1);
    expect(
      state().changeAll([
        { path, value: 8 },
        { path: 'heaters.panel-a.parameters.pitch', value: -1 },
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
    expect(state().sync?.past).length(1);
    state().undo();
    expect(risers()).equal(12);
    const before = state().document;
    state().beginDrag();
    state().endDrag();
    expect(state().document).equal(before);
    expect(state().sync?.past).length(0);
  });
  it('shares what a change does not touch', () => {
    const { shop } = state().document as Job;
    state().change(path, 9);
    expect(state().document?.shop).equal(shop);
  });
  it('begins anew with another job', () => {
    state().change(path, 9);
    open(defaultJob('harp', { units: 'imperial' }), 4, 'dairy');
    expect(state().id).equal('dairy');
    expect(savingOf(state().sync)).equal('saved');
    expect(state().sync?.past).deep.equal([]);
  });
  it('comes back to the start by undoing everything, whatever was done', () => {
    const one = fc.oneof(
      fc.record({ kind: fc.constant('change' as const), count: fc.integer({ min: -2, max: 70 }) }),
      fc.record({ kind: fc.constant('undo' as const), count: fc.constant(0) }),
      fc.record({ kind: fc.constant('redo' as const), count: fc.constant(0) }),
    );
    fc.assert(
      fc.property(fc.array(one, { maxLength: 30 }), (steps) => {
        const start = defaultJob('harp');
        open(start);
        for (const { kind, count } of steps) {
          if (kind === 'change') state().change(path, count);
          else state()[kind]();
          expect(risers()).within(2, 60);
        }
        while ((state().sync?.past.length ?? 0) > 0) state().undo();
        expect(state().document).deep.equal(start);
      }),
      { numRuns: 30 },
    );
  });
});

describe('web: what was done in the shop', () => {
  beforeEach(() => open());
  after(() => state().close());

  it('is seen at once, persisted and sent, and no undo of the design touches it', () => {
    record([{ kind: 'made', part: 'panel-a/riser', count: 2 }]);
    expect(state().shop.made).deep.equal({ 'panel-a/riser': 2 });
    expect(kinds()).deep.equal(['persist', 'log']);
    state().change(path, 9);
    state().undo();
    state().undo();
    expect(state().shop.made).deep.equal({ 'panel-a/riser': 2 });
    expect(savingOf(state().sync)).equal('saving');
  });
  it('of another hand is heard and counted once', () => {
    record([{ kind: 'made', part: 'panel-a/riser', count: 1 }]);
    const [own] = state().sync?.log ?? [];
    const theirs: ShopEvent = {
      kind: 'made',
      part: 'panel-a/riser',
      count: 1,
      id: 'theirs',
      at: '2026-05-01T10:00:00Z',
      device: 'phone',
    };
    give({ kind: 'heard', ask: 0, events: [own as ShopEvent, theirs], seq: 2, more: false });
    give({ kind: 'heard', ask: 0, events: [theirs], seq: 2, more: false });
    expect(state().shop.made).deep.equal({ 'panel-a/riser': 2 });
    expect(state().sync?.outbox).deep.equal([]);
  });
});

describe('web: what waits for a save', () => {
  beforeEach(() => open());
  after(() => state().close());
  const stored = () => ({ version: 2, document: state().document as Job });
  const failed = (promise: Promise<unknown>) =>
    promise.then(
      () => 'went through',
      (error: unknown) => (error instanceof NotSaved ? error.message : String(error)),
    );

  it('goes on at once where everything is saved', async () => {
    expect(await saveNow()).equal(1);
  });
  it('sends what waits without waiting, and goes on at the version of its answer', async () => {
    state().change(path, 9);
    expect(sent()).equal(undefined);
    const waiting = saveNow();
    const effect = sent();
    if (effect?.kind !== 'send') throw new Error('nothing was sent');
    give({ kind: 'saved', save: effect.sent.save, stored: stored() });
    expect(await waiting).equal(2);
    expect(savingOf(state().sync)).equal('saved');
  });
  it('says so when the server does not answer, and keeps nothing on what was not saved', async () => {
    state().change(path, 9);
    const waiting = failed(saveNow());
    give({ kind: 'unanswered', what: 'save' });
    expect(await waiting).match(/not saved yet/);
    expect(savingOf(state().sync)).equal('offline');
    // Asked again, it tries again; and goes on when that is answered.
    const again = saveNow();
    const effect = sent();
    if (effect?.kind !== 'send') throw new Error('nothing was sent');
    give({ kind: 'saved', save: effect.sent.save, stored: stored() });
    expect(await again).equal(2);
  });
  it('says that somebody has to choose first', async () => {
    state().change(path, 9);
    const waiting = failed(saveNow());
    const effect = sent();
    if (effect?.kind !== 'send') throw new Error('nothing was sent');
    const theirs = defaultJob('harp');
    const heater = theirs.heaters['panel-a'];
    if (!heater) throw new Error('a job has a heater');
    heater.parameters = { ...heater.parameters, riserCount: 7 };
    give({ kind: 'clashed', save: effect.sent.save, stored: { version: 2, document: theirs } });
    expect(await waiting).match(/Choose which value stands/);
    expect(risers()).equal(7);
    expect(savingOf(state().sync)).equal('asked');
    give({ kind: 'settle', path: path.split('.'), choice: 'yours' });
    expect(risers()).equal(9);
    expect(savingOf(state().sync)).equal('saving');
  });
});
