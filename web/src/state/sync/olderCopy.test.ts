import { expect } from 'chai';
import { unsaved } from './state';

import { at, job, pitch, risers, tick, Window, withField } from './window.fixture';

describe('sync: a server that was put back to an older copy', () => {
  const ahead = () => {
    const window = new Window().set(risers, 11).give({ kind: 'due' });
    return window.give({
      kind: 'saved',
      save: 'save-0',
      stored: { version: 2, stamp: 'save-0', document: withField(job, risers, 11) },
    });
  };
  const copy = { stored: { version: 1, stamp: 'first', document: withField(job, pitch, 0.1) }, seq: 0 };

  for (const [what, stands] of [
    ['an older version', { version: 1, stamp: 'first', seq: 0 }],
    ['another document of the same version', { version: 2, stamp: 'other', seq: 0 }],
  ] as const)
    it(`is asked, where it is heard to have ${what}, whether it goes on from what was had here`, () => {
      const window = ahead().give({ kind: 'stands', ...stands });
      const had = { version: 2, stamp: 'save-0', seq: 0 };
      expect(window.effects).deep.equal([{ kind: 'fetch', ask: 1, had }]);
      // It does: what was heard came late.
      window.give({ kind: 'fetched', stored: { version: 2, stamp: 'save-0', document: withField(job, risers, 11) } });
      expect(window.asks()).deep.equal([]);
      expect(window.state.otherCopy).equal(undefined);
    });
  it('is asked about its log where that is shorter than was heard here', () => {
    const window = new Window().give({ kind: 'stands', version: 1, seq: 2 });
    window.give({ kind: 'heard', events: [tick('a'), tick('b')], seq: 2, mark: 'b', more: false });
    window.give({ kind: 'stands', version: 1, seq: 1 });
    expect(window.effects).deep.equal([{ kind: 'fetch', ask: 2, had: { version: 1, seq: 2, mark: 'b' } }]);
  });
  it('gets nothing until somebody has chosen, and what is set meanwhile waits', () => {
    const window = ahead().give({ kind: 'parted', copy }).set(risers, 8);
    expect(window.asks()).deep.equal(['persist']);
    window.give({ kind: 'due' }).give({ kind: 'record', events: [tick('a')] });
    expect(window.asks()).deep.equal(['persist']);
  });
  it('takes this window’s copy whole, with all that was done in the shop, when that is chosen', () => {
    const window = ahead().give(
      { kind: 'record', events: [tick('a')] },
      { kind: 'logged', ids: ['a'], seq: 1 },
      { kind: 'parted', copy },
      { kind: 'choose copy', choice: 'yours' },
    );
    expect(window.effects).deep.include({ kind: 'log', events: [tick('a')], after: 0 });
    window.give({ kind: 'due' });
    expect(window.state.sent).deep.include({ base: 1, stamp: 'first' });
    expect(window.state.sent?.changes.map(({ path, after }) => [path, after])).deep.equal([
      [risers, 11],
      [pitch, at(job, pitch)],
    ]);
  });
  it('is shown as it is when that is chosen, without anything of this window', () => {
    const window = ahead()
      .give({ kind: 'record', events: [tick('a')] })
      .give({ kind: 'parted', copy }, { kind: 'choose copy', choice: 'theirs' });
    expect([window.shows(risers), window.shows(pitch)]).deep.equal([12, 0.1]);
    expect(window.state).deep.include({ log: [], outbox: [], past: [], seq: 0 });
    expect(unsaved(window.state)).equal(0);
  });
  it('is sent again what it had acknowledged and has no more', () => {
    const window = new Window().give({ kind: 'record', events: [tick('a')] }, { kind: 'logged', ids: ['a'], seq: 5 });
    expect(window.asks()).include('hear');
    window.give({ kind: 'heard', events: [], seq: 4, more: false });
    expect(window.state.outbox).deep.equal(['a']);
  });
});

describe('sync: windows of one browser', () => {
  const changes = [{ path: risers, before: 12, after: 9 }];
  it('hear what another has done while the server does not answer: it is shown, and not theirs to undo', () => {
    const window = new Window().give({ kind: 'overheard', events: [tick('a')], changes });
    expect(window.shows(risers)).equal(9);
    expect(window.state.log.map(({ id }) => id)).deep.equal(['a']);
    // It is sent by whichever can.
    expect([window.state.outbox, window.state.past]).deep.equal([['a'], []]);
    window.give({ kind: 'undo' });
    expect(window.shows(risers)).equal(9);
    expect(window.give({ kind: 'due' }).state.sent?.changes).deep.equal(changes);
  });
  it('keep what was set here where another has set it too, and what would make no sound job', () => {
    expect(new Window().set(risers, 10).give({ kind: 'overheard', events: [], changes }).shows(risers)).equal(10);
    const strict = new Window();
    strict.trouble = () => 'not sound';
    expect(strict.give({ kind: 'overheard', events: [], changes }).shows(risers)).equal(12);
  });
});
