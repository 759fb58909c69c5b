import { parseJob } from '@north-pane/core/document';
import { expect } from 'chai';
import { revive, unsaved, waitingChanges } from './state';

import { at, job, pitch, risers, tick, Window, withField } from './window.fixture';

describe('sync: an edit on its way', () => {
  it('is persisted at once, sent after a moment of quiet, and is the base when the server has it', () => {
    const window = new Window().set(risers, 11);
    expect(window.asks()).deep.equal(['persist', 'wait 250']);
    window.give({ kind: 'due' });
    expect(window.asks()).deep.equal(['persist', 'send']);
    expect(window.state.sent).deep.include({ save: 'save-0', base: 1 });
    window.give({ kind: 'saved', save: 'save-0', stored: { version: 2, document: withField(job, risers, 11) } });
    expect(window.state.base.version).equal(2);
    expect(unsaved(window.state)).equal(0);
  });
  it('waits for no second timer while one is under way', () => {
    const window = new Window().set(risers, 11).set(risers, 10);
    expect(window.asks()).deep.equal(['persist']);
    window.give({ kind: 'due' });
    expect(window.state.sent?.changes).deep.equal([{ path: risers, before: 12, after: 10 }]);
  });
  it('made while another is on its way stays, and goes by itself', () => {
    const window = new Window().set(risers, 11).give({ kind: 'due' }).set(pitch, 0.09);
    expect(window.state.sent?.changes.length).equal(1);
    window.give({ kind: 'saved', save: 'save-0', stored: { version: 2, document: withField(job, risers, 11) } });
    expect(window.shows(pitch)).equal(0.09);
    expect(waitingChanges(window.state)).deep.equal([{ path: pitch, before: at(job, pitch), after: 0.09 }]);
    window.give({ kind: 'due' });
    expect(window.state.sent).deep.include({ save: 'save-1', base: 2 });
  });
  it('set back before it went is no change at all', () => {
    const window = new Window().set(risers, 11).set(risers, 12).give({ kind: 'due' });
    expect(window.state.sent).equal(undefined);
    expect(unsaved(window.state)).equal(0);
  });
  it('that sets what stands there already is none: nothing is persisted and nothing undone', () => {
    const window = new Window().set(risers, 12);
    expect(window.effects).deep.equal([]);
    expect(window.state.past).deep.equal([]);
  });
  it('goes again with the same id after an answer that did not come, each time later, half a minute at most', () => {
    const window = new Window().set(risers, 11).give({ kind: 'due' });
    const waits: number[] = [];
    for (let tries = 0; tries < 8; tries += 1) {
      window.give({ kind: 'unanswered', what: 'save' });
      for (const effect of window.effects) if (effect.kind === 'wait') waits.push(effect.ms);
      window.give({ kind: 'due' });
      expect(window.asks(), `try ${tries}`).include('send');
      expect(window.state.sent?.save).equal('save-0');
    }
    expect(waits).deep.equal([1000, 2000, 4000, 8000, 16_000, 30_000, 30_000, 30_000]);
    expect(window.state.link).equal('lost');
  });
  it('is told of nobody else’s answer', () => {
    const window = new Window().set(risers, 11).give({ kind: 'due' });
    const before = window.state;
    window.give({ kind: 'saved', save: 'of-another-window', stored: { version: 9, document: job } });
    expect(window.state.sent).equal(before.sent);
    expect(window.state.base.version).equal(1);
  });
});

describe('sync: a field that was changed in two places', () => {
  const theirs = withField(job, risers, 9);
  const clashing = () =>
    new Window()
      .set(risers, 11)
      .give({ kind: 'due' }, { kind: 'clashed', save: 'save-0', stored: { version: 2, document: theirs } });

  it('is shown as theirs, with mine beside it, until somebody chooses', () => {
    const window = clashing();
    expect(window.shows(risers)).equal(9);
    expect(window.state.contested).deep.equal([{ path: risers, yours: 11, theirs: 9 }]);
    expect(window.state.sent).equal(undefined);
    expect(unsaved(window.state)).equal(0);
  });
  it('takes mine as a new edit, which may be undone', () => {
    const window = clashing().give({ kind: 'settle', path: risers, choice: 'yours' });
    expect(window.shows(risers)).equal(11);
    expect(window.state.contested).deep.equal([]);
    window.give({ kind: 'undo' });
    expect(window.shows(risers)).equal(9);
  });
  it('takes theirs without an edit', () => {
    const window = clashing().give({ kind: 'settle', path: risers, choice: 'theirs' });
    expect(window.shows(risers)).equal(9);
    expect(window.state.contested).deep.equal([]);
    expect(waitingChanges(window.state)).deep.equal([]);
  });
  it('is settled by setting it anew', () => {
    const window = clashing().set(risers, 10);
    expect(window.state.contested).deep.equal([]);
    expect(waitingChanges(window.state)).deep.equal([{ path: risers, before: 9, after: 10 }]);
  });
  it('is not asked about where both set the same', () => {
    const same = withField(job, risers, 11);
    const window = new Window()
      .set(risers, 11)
      .give({ kind: 'due' }, { kind: 'clashed', save: 'save-0', stored: { version: 2, document: same } });
    expect(window.state.contested).deep.equal([]);
  });
  it('leaves other fields alone: mine are laid on theirs and go on', () => {
    const window = new Window()
      .set(risers, 11)
      .set(pitch, 0.09)
      .give({ kind: 'due' }, { kind: 'clashed', save: 'save-0', stored: { version: 2, document: theirs } });
    expect(window.shows(risers)).equal(9);
    expect(window.shows(pitch)).equal(0.09);
    expect(waitingChanges(window.state).map(({ path }) => path)).deep.equal([pitch]);
  });
  it('follows what they set next, and is no question any more once it is mine', () => {
    const window = clashing().give(
      { kind: 'stands', version: 3, seq: 0 },
      { kind: 'fetched', stored: { version: 3, document: withField(job, risers, 8) } },
    );
    expect(window.state.contested).deep.equal([{ path: risers, yours: 11, theirs: 8 }]);
    window.give(
      { kind: 'stands', version: 4, seq: 0 },
      { kind: 'fetched', stored: { version: 4, document: withField(job, risers, 11) } },
    );
    expect(window.state.contested).deep.equal([]);
  });
  it('says why mine does not go with the rest, and stays a question', () => {
    const window = clashing();
    window.trouble = () => 'too many for the box';
    window.give({ kind: 'settle', path: risers, choice: 'yours' });
    expect(window.state.notice).include('too many for the box');
    expect(window.state.contested.length).equal(1);
  });
  it('is not set where what it was a part of is gone', () => {
    const { 'panel-a': _, ...others } = job.heaters;
    const window = clashing().give(
      { kind: 'stands', version: 3, seq: 0 },
      { kind: 'fetched', stored: { version: 3, document: { ...job, heaters: others } } },
    );
    window.trouble = (document) => {
      const parsed = parseJob(document);
      return parsed.ok ? undefined : parsed.errors[0]?.message;
    };
    window.give({ kind: 'settle', path: risers, choice: 'yours' });
    expect(window.state.document.heaters).deep.equal(others);
    expect(window.state.notice).match(/is gone|does not go with the rest/);
  });
});

describe('sync: what the server refuses', () => {
  it('is taken off, kept beside with its reason, and not sent again', () => {
    const window = new Window()
      .set(risers, 11)
      .give({ kind: 'due' }, { kind: 'refused', save: 'save-0', why: 'It makes no sound job.' });
    expect(window.shows(risers)).equal(12);
    expect(window.state.contested).deep.equal([{ path: risers, yours: 11, theirs: 12, why: 'It makes no sound job.' }]);
    window.give({ kind: 'due' });
    expect(window.asks()).deep.equal([]);
  });
  it('leaves what was set since', () => {
    const window = new Window()
      .set(risers, 11)
      .give({ kind: 'due' })
      .set(pitch, 0.09)
      .give({ kind: 'refused', save: 'save-0', why: 'no' });
    expect(window.shows(pitch)).equal(0.09);
    expect(waitingChanges(window.state).map(({ path }) => path)).deep.equal([pitch]);
  });
});

describe('sync: undo and redo', () => {
  it('go back and forth over edits, the last one first', () => {
    const window = new Window().set(risers, 11).set(pitch, 0.09);
    window.give({ kind: 'undo' });
    expect([window.shows(risers), window.shows(pitch)]).deep.equal([11, at(job, pitch)]);
    window.give({ kind: 'undo' });
    expect(window.state.document).deep.equal(job);
    window.give({ kind: 'redo' }, { kind: 'redo' });
    expect([window.shows(risers), window.shows(pitch)]).deep.equal([11, 0.09]);
  });
  it('forget what was undone once something else is set', () => {
    const window = new Window().set(risers, 11).give({ kind: 'undo' }).set(pitch, 0.09).give({ kind: 'redo' });
    expect(window.shows(risers)).equal(12);
    expect(window.state.future).deep.equal([]);
  });
  it('leave what another hand has changed since, and say so', () => {
    const window = new Window()
      .set(risers, 11)
      .give(
        { kind: 'due' },
        { kind: 'saved', save: 'save-0', stored: { version: 2, document: withField(job, risers, 11) } },
        { kind: 'stands', version: 3, seq: 0 },
        { kind: 'fetched', stored: { version: 3, document: withField(job, risers, 7) } },
        { kind: 'undo' },
      );
    expect(window.shows(risers)).equal(7);
    expect(window.state.notice).include('Somebody has changed this since');
    // It is not laid back by redo either.
    expect(window.state.future).deep.equal([]);
  });
  it('of an edit that another hand has made already is nothing, and a redo takes nothing of theirs', () => {
    const window = new Window().set(risers, 11).give(
      { kind: 'due' },
      { kind: 'saved', save: 'save-0', stored: { version: 2, document: withField(job, risers, 11) } },
      { kind: 'stands', version: 3, seq: 0 },
      // Somebody else has set it back by hand before I undo mine.
      { kind: 'fetched', stored: { version: 3, document: withField(job, risers, 12) } },
      { kind: 'undo' },
    );
    expect(window.shows(risers)).equal(12);
    expect(window.state.notice).equal(undefined);
    expect(window.state.future).deep.equal([]);
    window.give({ kind: 'redo' });
    expect(window.shows(risers)).equal(12);
  });
  it('do nothing where there is nothing', () => {
    const window = new Window().give({ kind: 'undo' }, { kind: 'redo' });
    expect(window.state.document).equal(job);
    expect(window.effects).deep.equal([]);
  });
  it('take a drag as one, and none that came back to where it began', () => {
    const window = new Window().give({ kind: 'begin drag' });
    for (const value of [11, 10, 9]) window.set(risers, value);
    expect(window.give({ kind: 'due' }).state.sent).equal(undefined);
    window.give({ kind: 'end drag' });
    expect(window.state.past.length).equal(1);
    window.give({ kind: 'undo' });
    expect(window.shows(risers)).equal(12);
    const back = new Window().give({ kind: 'begin drag' }).set(risers, 11).set(risers, 12).give({ kind: 'end drag' });
    expect(back.state.past).deep.equal([]);
  });
  it('remember two hundred edits and no more', () => {
    const window = new Window();
    for (let edit = 0; edit < 230; edit += 1) window.set(pitch, 0.05 + edit * 1e-4);
    expect(window.state.past.length).equal(200);
  });
});

describe('sync: what happened in the shop', () => {
  it('goes to the log at once, persisted first, each event once', () => {
    const window = new Window().give({ kind: 'record', events: [tick('a'), tick('b')] });
    expect(window.asks()).deep.equal(['persist', 'log']);
    window.give({ kind: 'record', events: [tick('b'), tick('c')] });
    expect(window.state.log.map(({ id }) => id)).deep.equal(['a', 'b', 'c']);
    expect(window.state.outbox).deep.equal(['a', 'b', 'c']);
    // One message at a time.
    expect(window.asks()).deep.equal(['persist']);
    window.give({ kind: 'logged', ids: ['a', 'b'], seq: 0 });
    expect(window.state.outbox).deep.equal(['c']);
    expect(window.asks()).include('log');
  });
  it('is taken off again, and said, when the server does not take it', () => {
    const window = new Window().give({ kind: 'record', events: [tick('a')] }).give({
      kind: 'logged',
      ids: ['a'],
      seq: 0,
      refused: [{ id: 'a', index: 0, path: '', message: 'no such part' }],
    });
    expect(window.state.log).deep.equal([]);
    expect(window.state.outbox).deep.equal([]);
    expect(window.state.notice).include('no such part');
  });
  it('of another hand is heard page by page, and knows one’s own events', () => {
    const window = new Window().give(
      { kind: 'record', events: [tick('mine')] },
      { kind: 'stands', version: 1, seq: 3 },
    );
    expect(window.asks()).include('hear');
    window.give({ kind: 'heard', events: [tick('one'), tick('mine')], seq: 2, more: true });
    expect(window.state.log.map(({ id }) => id)).deep.equal(['mine', 'one']);
    // The server has it: its answer was lost.
    expect(window.state.outbox).deep.equal([]);
    expect(window.effects).deep.include({ kind: 'hear', ask: 2, after: 2 });
    window.give({ kind: 'heard', events: [tick('two')], seq: 3, more: false });
    expect(window.asks()).not.include('hear');
  });
});

describe('sync: a server that has moved on, or back', () => {
  it('is fetched from, and what waits here is laid on what is there', () => {
    const window = new Window().set(pitch, 0.09).give({ kind: 'stands', version: 2, seq: 0 });
    expect(window.asks()).deep.equal(['fetch']);
    window.give({ kind: 'fetched', stored: { version: 2, document: withField(job, risers, 9) } });
    expect([window.shows(risers), window.shows(pitch)]).deep.equal([9, 0.09]);
    expect(waitingChanges(window.state).map(({ path }) => path)).deep.equal([pitch]);
  });
  it('is fetched from once for many notices', () => {
    const window = new Window().give({ kind: 'stands', version: 2, seq: 0 });
    expect(window.asks()).deep.equal(['fetch']);
    window.give({ kind: 'stands', version: 3, seq: 0 });
    expect(window.asks()).deep.equal([]);
    window.give({ kind: 'fetched', stored: { version: 2, document: job } });
    expect(window.asks()).deep.equal(['persist', 'fetch']);
  });
  it('that answers with less than was heard of is asked again after pauses, and believed in the end', () => {
    const window = new Window().give({ kind: 'stands', version: 5, seq: 0 });
    const waits: string[] = [];
    for (let answers = 0; answers < 2; answers += 1) {
      window.give({ kind: 'fetched', stored: { version: 1, document: job } });
      expect(window.asks(), `answer ${answers}`).not.include('fetch');
      waits.push(...window.asks());
      window.give({ kind: 'due' });
      expect(window.asks(), `after pause ${answers}`).deep.equal(['fetch']);
    }
    expect(waits).deep.equal(['wait 1000', 'wait 2000']);
    window.give({ kind: 'fetched', stored: { version: 1, document: job } });
    expect(window.asks()).deep.equal([]);
    window.give({ kind: 'stands', version: 5, seq: 0 });
    window.give({ kind: 'fetched', stored: { version: 5, document: withField(job, risers, 9) } });
    expect(window.shows(risers)).equal(9);
    expect(window.state.tries).equal(0);
  });
  it('whose log is shorter than was heard of is asked again after pauses too', () => {
    const window = new Window().give({ kind: 'stands', version: 1, seq: 4 });
    expect(window.asks()).deep.equal(['hear']);
    window.give({ kind: 'heard', events: [], seq: 0, more: false });
    expect(window.asks()).deep.equal(['wait 1000']);
    window.give({ kind: 'due' });
    expect(window.asks()).deep.equal(['hear']);
  });
  it('is not fetched from while a save is on its way: its answer brings what is newest', () => {
    const window = new Window().set(risers, 11).give({ kind: 'due' }, { kind: 'stands', version: 2, seq: 0 });
    expect(window.asks()).deep.equal([]);
    window.give({ kind: 'fetched', stored: { version: 2, document: withField(job, risers, 9) } });
    expect(window.shows(risers)).equal(11);
  });
});

describe('sync: windows that were closed', () => {
  it('hand over what they had not got onto the server: edits, events and questions', () => {
    const gone = new Window().set(pitch, 0.09).give({ kind: 'record', events: [tick('a')] });
    const window = new Window().give({ kind: 'adopt', orphan: gone.state });
    expect(window.shows(pitch)).equal(0.09);
    expect(window.state.outbox).deep.equal(['a']);
    expect(window.asks()).include('persist').and.include('log');
  });
  it('do not overrule what was set here: both are asked about', () => {
    const gone = new Window().set(risers, 9);
    const window = new Window().set(risers, 11).give({ kind: 'adopt', orphan: gone.state });
    expect(window.shows(risers)).equal(11);
    expect(window.state.contested).deep.equal([{ path: risers, yours: 9, theirs: 11 }]);
  });
  it('go on where they were when they are opened anew: what was on its way is sent again', () => {
    const gone = new Window().set(risers, 11).give({ kind: 'due' });
    const window = new Window();
    window.state = revive(gone.state);
    window.give({ kind: 'due' });
    expect(window.effects).deep.include({ kind: 'send', sent: gone.state.sent });
    expect(window.state.dragFrom).equal(undefined);
  });
});
