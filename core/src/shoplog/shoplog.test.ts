import { expect } from 'chai';
import * as fc from 'fast-check';
import {
  foldEvents,
  nextClock,
  numberedCut,
  offcutId,
  parseEvents,
  type ShopEvent,
  shelfOf,
  sortEvents,
  untouchedShop,
} from '.';

let made = 0;
const at = (minute: number) => new Date(Date.UTC(2026, 4, 1, 9, minute)).toISOString();
const event = (minute: number, happened: Record<string, unknown>, id = `e${++made}`) =>
  ({ ...happened, id, at: at(minute), device: 'phone' }) as unknown as ShopEvent;
const cut = (minute: number, more: Record<string, unknown> = {}) =>
  event(minute, {
    kind: 'bar-cut',
    item: 'tube',
    stock: 'shed-1',
    price: 0,
    onHand: true,
    length: 3,
    pieces: [{ part: 'a/riser', length: 1.2 }],
    makes: { 'a/riser': 1 },
    rests: [{ length: 1.8 }],
    ...more,
  });

describe('shop log: what events come to', () => {
  it('nothing comes to an untouched shop', () => {
    expect(foldEvents([])).deep.equal(untouchedShop);
  });
  it('counts pieces made by two hands together, and never below zero', () => {
    const events = [1, 2, 3].map((minute) => event(minute, { kind: 'made', part: 'a/riser', count: 1 }));
    expect(foldEvents(events).made).deep.equal({ 'a/riser': 3 });
    expect(foldEvents([...events, event(9, { kind: 'made', part: 'a/riser', count: -7 })]).made).deep.equal({
      'a/riser': 0,
    });
  });
  it('takes a bar from the shelf, puts its offcut there, and counts its pieces once where they were ticked before', () => {
    const ticked = event(1, { kind: 'made', part: 'a/riser', count: 1 });
    const bar = cut(2);
    const state = foldEvents([ticked, bar]);
    expect(state.made).deep.equal({ 'a/riser': 1 });
    const shelf = shelfOf([{ id: 'shed-1', item: 'tube', count: 2, length: 3 }], state);
    expect(shelf).deep.equal([
      { id: 'shed-1', item: 'tube', count: 1, length: 3 },
      { id: offcutId(bar.id, 0), item: 'tube', count: 1, length: 1.8 },
    ]);
    expect(state.ledger.map(({ what }) => what)).deep.equal(['taken', 'returned']);
  });
  it('counts an event that was taken back as if it had not been, and again when that is taken back too', () => {
    const bar = cut(1);
    const back = event(2, { kind: 'taken-back', event: bar.id });
    const again = event(3, { kind: 'taken-back', event: back.id });
    expect(foldEvents([bar, back])).deep.equal({ ...untouchedShop });
    expect(foldEvents([bar, back, again])).deep.equal(foldEvents([bar]));
  });
  it('one bar locked on two screens is one cut, and is named; a second bar like it is another', () => {
    const first = { ...cut(1), ordinal: 0 };
    const same = { ...cut(2), ordinal: 0, device: 'tablet' };
    const second = { ...cut(3), ordinal: 1, device: 'tablet' };
    const state = foldEvents([first, same, second]);
    expect(state.made).deep.equal({ 'a/riser': 2 });
    expect(state.cuts.map(({ id }) => id)).deep.equal([first.id, second.id]);
    expect(state.doubled.map(({ id, as }) => [id, as])).deep.equal([[same.id, first.id]]);
    expect(state.moved['shed-1']?.count).equal(-2);
  });
  it('numbers a cut after those like it that stand, so that one taken back leaves its number', () => {
    const first = { ...cut(1), ordinal: 0 } as ShopEvent;
    const ordinalOf = (events: ShopEvent[]) => (numberedCut(cut(9), events) as { ordinal?: number }).ordinal;
    expect(ordinalOf([])).equal(0);
    expect(ordinalOf([first])).equal(1);
    expect(ordinalOf([first, event(2, { kind: 'taken-back', event: first.id })])).equal(0);
    expect(ordinalOf([{ ...first, stock: 'shop' } as ShopEvent])).equal(0);
  });
  it('a device whose clock is a day ahead can be answered: the next event comes after it', () => {
    const now = Date.parse('2026-05-01T09:00:00Z');
    const ahead = { ...event(0, { kind: 'step', step: 's', done: true }), clock: now + 86_400_000 } as ShopEvent;
    const clock = nextClock([ahead], now);
    const unticked = { ...event(1, { kind: 'step', step: 's', done: false }), clock } as ShopEvent;
    expect(foldEvents([ahead, unticked]).steps).deep.equal({});
    expect(nextClock([], now)).equal(now);
    // Without clocks, times of day stand for them.
    expect(nextClock([event(90, { kind: 'step', step: 's', done: true })], now)).equal(now + 90 * 60_000 + 1);
  });
  it('sorts what is no event from what is, by its id and the field', () => {
    const good = event(1, { kind: 'step', step: 's', done: true });
    const { taken, refused } = sortEvents([good, { ...good, id: 'bad', done: 'perhaps' }, 7]);
    expect(taken.map(({ id }) => id)).deep.equal([good.id]);
    expect(refused.map(({ id, index, path }) => [id, index, path])).deep.equal([
      ['bad', 1, 'done'],
      ['', 2, ''],
    ]);
  });
  it('ends where two events take each other back', () => {
    const events = [
      event(1, { kind: 'taken-back', event: 'y' }, 'x'),
      event(2, { kind: 'taken-back', event: 'x' }, 'y'),
      event(3, { kind: 'taken-back', event: 'z' }, 'z'),
    ];
    expect(foldEvents(events)).deep.equal(untouchedShop);
  });
  it('has the later word on a step, a check and a caution', () => {
    const events = [
      event(1, { kind: 'step', step: 'a/step/drill', done: true }),
      event(2, { kind: 'checked', check: 'look/kerf/timber', value: '0.003' }),
      event(3, { kind: 'acknowledged', caution: 'closed-loop', done: true, words: 'open vent fitted, A. B.' }),
      event(4, { kind: 'step', step: 'a/step/drill', done: false }),
      event(5, { kind: 'checked', check: 'look/kerf/timber', value: null }),
      event(6, { kind: 'acknowledged', caution: 'closed-loop', done: false }),
    ];
    expect(foldEvents(events.slice(0, 3))).deep.include({
      steps: { 'a/step/drill': true },
      checks: { 'look/kerf/timber': '0.003' },
      acknowledged: { 'closed-loop': { at: events[2]?.at, words: 'open vent fitted, A. B.' } },
    });
    expect(foldEvents(events)).deep.equal(untouchedShop);
  });
  it('tells money and hours with what for', () => {
    const state = foldEvents([
      event(1, { kind: 'spent', money: 42.5, note: 'tube' }),
      event(2, { kind: 'worked', hours: 1.5, note: 'drilling' }),
    ]);
    expect(state.spent.map(({ money, note }) => [money, note])).deep.equal([[42.5, 'tube']]);
    expect(state.worked.map(({ hours, note }) => [hours, note])).deep.equal([[1.5, 'drilling']]);
  });
  it('is the same in whatever order events arrive, however often', () => {
    const parts = ['a/riser', 'a/strip'];
    const one = fc
      .record({
        minute: fc.nat(5),
        part: fc.constantFrom(...parts),
        kind: fc.nat(4),
        count: fc.integer({ min: -2, max: 3 }),
      })
      .map(
        ({ minute, part, kind, count }) =>
          [
            event(minute, { kind: 'made', part, count }),
            event(minute, { kind: 'step', step: `${part}/step/x`, done: count > 0 }),
            cut(minute, { makes: { [part]: 1 } }),
            event(minute, { kind: 'checked', check: part, value: count > 0 ? String(count) : null }),
            event(minute, { kind: 'spent', money: count, note: part }),
          ][kind] as ShopEvent,
      );
    fc.assert(
      fc.property(
        fc.array(one, { maxLength: 12 }).chain((list) => {
          const backs = list.slice(0, 3).map((of, index) => event(index + 3, { kind: 'taken-back', event: of.id }));
          const all = [...list, ...backs];
          return fc.tuple(fc.constant(all), fc.shuffledSubarray([...all, ...all], { minLength: 2 * all.length }));
        }),
        ([all, shuffled]) => {
          expect(foldEvents(shuffled)).deep.equal(foldEvents(all));
        },
      ),
      { numRuns: 300 },
    );
  });
});

describe('shop log: what comes from outside', () => {
  const good = event(1, { kind: 'made', part: 'a/riser', count: 1 }, 'good');
  it('takes what it wrote itself', () => {
    expect(parseEvents(JSON.parse(JSON.stringify([good, cut(2)])))).property('ok', true);
  });
  const bad: [what: string, change: Record<string, unknown>, path: string][] = [
    ['a kind that is none', { kind: 'burnt' }, '0.kind'],
    ['a time that is none', { at: 'noon' }, '0.at'],
    ['half a piece', { count: 0.5 }, '0.count'],
    ['an event without an id', { id: '' }, '0.id'],
    ['a part without a name', { part: '' }, '0.part'],
    ['more than it needs', { colour: 'red' }, '0'],
  ];
  for (const [what, change, path] of bad)
    it(`refuses ${what}, by the field`, () => {
      const parsed = parseEvents([{ ...good, ...change }]);
      if (parsed.ok) throw new Error('taken');
      expect(parsed.errors[0]?.path).equal(path);
    });
  it('refuses what is no list', () => {
    expect(parseEvents('events')).property('ok', false);
  });
});
