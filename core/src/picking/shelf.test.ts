import { expect } from 'chai';
import { putOnShelf, recountShelf } from '../cutting';
import { defaultJob, type Job, onHandOf, setFields } from '../document';
import type { JobInShop } from '../job';
import { foldEvents, type ShopEvent, shelfOf, untouchedShop } from '../shoplog';
import { asShelved, pickKind } from '.';

/** A shop in which something was done, with its events in the log. */
function after(shop: JobInShop, done: ReturnType<typeof putOnShelf>, log: ShopEvent[]): JobInShop {
  const stamp = (index: number) => ({ id: `e${log.length + index}`, at: '2026-05-01T12:00:00Z', device: 'shed' });
  log.push(...done.events.map((one, index): ShopEvent => ({ ...one, ...stamp(index) })));
  return { job: setFields(shop.job, done.changes).document, state: foldEvents(log) };
}

describe('picking: what lies on the shelf', () => {
  const begun: JobInShop = { job: defaultJob('harp'), state: untouchedShop };
  it('comes there several at a time, in the document and in the ledger, and goes again', () => {
    const log: ShopEvent[] = [];
    const put = after(begun, putOnShelf(begun, 'en-1057-15x1', { length: 2 }, 12), log);
    expect(onHandOf(put.job.shop)).deep.equal([{ id: 'shed-1', item: 'en-1057-15x1', count: 12, length: 2 }]);
    expect(put.state.ledger.map(({ what, count }) => [what, count])).deep.equal([['returned', 12]]);
    const gone = after(put, recountShelf(put, 'shed-1', 0), log);
    expect(onHandOf(gone.job.shop)).deep.equal([]);
    expect(gone.state.ledger).length(2);
  });
  it('is what the cuts have left of it, offcuts among it, and kinds are drawn from that', () => {
    const job: Job = {
      ...begun.job,
      shop: { ...begun.job.shop, onHand: { 'shed-1': { item: 'en-1057-15x1', count: 1, length: 2 } } },
    };
    const state = {
      ...untouchedShop,
      moved: {
        'shed-1': { count: -1 },
        'bar-rest': { count: 1, offcut: { item: 'en-1057-15x1', length: 0.7 } },
      },
    };
    const shelved = asShelved({ job, state });
    expect(onHandOf(shelved.shop)).have.deep.members(shelfOf(onHandOf(job.shop), state));
    const items = Object.values(shelved.shop.onHand).filter(({ count }) => count > 0);
    expect(items.map((one) => ('length' in one ? one.length : 0))).deep.equal([0.7]);
    // Nothing of the job but its shelf is another.
    expect({ ...shelved, shop: { ...shelved.shop, onHand: job.shop.onHand } }).deep.equal(job);
    expect(pickKind(asShelved({ job, state: untouchedShop }), 'harp')).deep.equal(pickKind(job, 'harp'));
  });
});
