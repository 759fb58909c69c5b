import { expect } from 'chai';
import * as fc from 'fast-check';
import { defaultJob, type Job, onHandOf, parseJob, pathSteps, withValueAt } from '../document';
import { type JobInShop, jobShop, openJob } from '../job';
import { trials } from '../quantity/trials.fixture';
import { type LengthMaterial, type MaterialPlan, rippedAlong, type SheetMaterial } from '../shop';
import { foldEvents, parseEvents, type ShopEvent, shelfOf, untouchedShop } from '../shoplog';
import {
  cutBar,
  cutMiscut,
  cutSheet,
  type Done,
  type FieldChanges,
  movePiece,
  putOnShelf,
  recountShelf,
  releaseMaterial,
  uncut,
} from './cutting';

/** A job with its log, as a builder has it at the bench. */
interface Shop extends JobInShop {
  events: ShopEvent[];
}

const begun = (job: Job): Shop => ({ job, state: untouchedShop, events: [] });

function set(shop: Shop, changes: FieldChanges): Shop {
  const next = changes.reduce((one, { path, value }) => withValueAt(one, pathSteps(path), value), shop.job);
  const parsed = parseJob(JSON.parse(JSON.stringify(next)));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return { ...shop, job: parsed.job };
}
/** What was done, in the document and in the log, a minute after what was done before. */
function carry(shop: Shop, { changes, events: happened }: Done): Shop {
  const fresh = happened.map((one, index): ShopEvent => {
    const number = shop.events.length + index + 1;
    const at = new Date(Date.UTC(2026, 4, 1, 10, number)).toISOString();
    return { ...one, id: `e${number}`, at, device: 'bench' };
  });
  const parsed = parseEvents(JSON.parse(JSON.stringify([...shop.events, ...fresh])));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return { ...set(shop, changes), events: parsed.events, state: foldEvents(parsed.events) };
}
const back = (shop: Shop, id: string): Shop => carry(shop, { changes: [], events: uncut(shop, id) });
const shelf = ({ job, state }: Shop) => shelfOf(onHandOf(job.shop), state);
const opened = ({ job, state }: JobInShop) => openJob(job, state);
function lengths(shop: JobInShop, item: string): MaterialPlan & LengthMaterial {
  const found = jobShop(opened(shop)).plan.materials.find((one) => one.item === item);
  if (found?.kind !== 'length') throw new Error(item);
  return found;
}

describe('job: cutting', () => {
  const shop = begun(defaultJob('harp'));
  const risers = jobShop(opened(shop)).parts.find(({ id }) => id.endsWith('/riser'));
  if (risers?.kind !== 'length') throw new Error('a harp has risers');
  const { item } = risers;
  const before = lengths(shop, item);
  const plans = jobShop(opened(shop)).plan.materials;

  it('cuts a bar: its pieces are made, the cost stands, and the plan goes on round it', () => {
    const cut = carry(shop, cutBar(shop, before, 0));
    const after = lengths(cut, item);
    expect(after.plan.bars[0]?.fixed).deep.equal({ by: 'lock', id: 'e1' });
    expect(after.plan.cost).equal(before.plan.cost);
    const pieces = before.plan.bars[0]?.pieces.filter(({ id }) => id === risers.id).length;
    expect(cut.state.made[risers.id]).equal(pieces);
  });
  it('puts an offcut worth keeping on the shelf and writes it into the ledger; a cut taken back takes it away again', () => {
    const rails = plans.flatMap((one) =>
      one.kind === 'length' ? one.plan.bars.map((bar, index) => ({ one, bar, index })) : [],
    );
    const long = rails.find(({ bar }) => bar.offcut > 0.3);
    if (long?.one.kind !== 'length') throw new Error('no bar with a long offcut');
    const cut = carry(shop, cutBar(shop, long.one, long.index));
    expect(shelf(cut)).deep.equal([
      { id: 'e1-rest', item: long.one.item, count: 1, length: Math.round(long.bar.offcut * 1e6) / 1e6 },
    ]);
    expect(cut.state.ledger.map(({ what }) => what)).deep.equal(['returned']);
    const undone = back(cut, 'e1');
    expect(shelf(undone)).deep.equal([]);
    expect(undone.state).deep.include({ cuts: [], made: {}, ledger: [] });
    expect(undone.events).length(2);
    // Too short to keep: nothing comes back.
    const fussy = set(shop, [{ path: 'shop.keep', value: 4 }]);
    expect(shelf(carry(fussy, cutBar(fussy, long.one, long.index)))).deep.equal([]);
  });
  it('takes what lay on hand out of the shed, and gives it back', () => {
    const stocked = set(shop, [{ path: 'shop.onHand', value: { 'shed-1': { item, length: 3, count: 2 } } }]);
    const material = lengths(stocked, item);
    const index = material.plan.bars.findIndex(({ stock }) => stock === 'shed-1');
    const cut = carry(stocked, cutBar(stocked, material, index));
    expect(shelf(cut).find(({ id }) => id === 'shed-1')?.count).equal(1);
    // What the builder counted is not rewritten: the cut is what took one.
    expect(cut.job).deep.equal(stocked.job);
    expect(jobShop(opened(cut)).plan.cost).closeTo(jobShop(opened(stocked)).plan.cost, 1e-9);
    expect(shelf(back(cut, 'e1')).find(({ id }) => id === 'shed-1')?.count).equal(2);
  });
  it('writes into the ledger what is put on the shelf and what a recount finds missing', () => {
    const put = carry(shop, putOnShelf(shop, item, { length: 1.2 }));
    const more = carry(put, putOnShelf(put, 'ply-9', { width: 0.6, height: 0.9 }));
    expect(shelf(more).map(({ id }) => id)).deep.equal(['shed-1', 'shed-2']);
    const four = carry(more, recountShelf(more, 'shed-1', 4));
    const gone = carry(four, recountShelf(four, 'shed-1', 0));
    expect(shelf(gone).map(({ id }) => id)).deep.equal(['shed-2']);
    expect(gone.state.ledger.map(({ what, count }) => [what, count])).deep.equal([
      ['returned', 1],
      ['returned', 1],
      ['returned', 3],
      ['taken', 4],
    ]);
    expect(recountShelf(gone, 'shed-9', 2)).deep.equal({ changes: [], events: [] });
    expect(() => carry(gone, recountShelf(gone, 'shed-2', 1.5))).throw(/count/);
  });
  it('counts the shelf again after cuts: what is said is what is there, whatever the cuts took before and take later', () => {
    const stocked = set(shop, [{ path: 'shop.onHand', value: { 'shed-1': { item, length: 3, count: 3 } } }]);
    const cutOne = (now: Shop) => {
      const material = lengths(now, item);
      const index = material.plan.bars.findIndex(({ stock, fixed }) => stock === 'shed-1' && fixed === undefined);
      return carry(now, cutBar(now, material, index));
    };
    const countOf = (now: Shop, id: string) => shelf(now).find((one) => one.id === id)?.count ?? 0;
    const cut = cutOne(stocked);
    expect(countOf(cut, 'shed-1')).equal(2);
    const counted = carry(cut, recountShelf(cut, 'shed-1', 7));
    expect(countOf(counted, 'shed-1')).equal(7);
    expect(countOf(cutOne(counted), 'shed-1')).equal(6);
    const [offcut] = shelf(counted).filter(({ id }) => id.endsWith('-rest'));
    if (!offcut) throw new Error('three metres leave an offcut');
    const thrown = carry(counted, recountShelf(counted, offcut.id, 0));
    expect(shelf(thrown).map(({ id }) => id)).not.include(offcut.id);
  });
  it('keeps a lock when the design changes and says that the pieces are too short now', () => {
    const cut = carry(shop, cutBar(shop, before, 0));
    const path = ['heaters', 'panel-a', 'parameters', 'riserClear'];
    const now = cut.job.heaters['panel-a']?.parameters.riserClear as number;
    const shorter = lengths(set(cut, [{ path, value: now - 0.01 }]), item);
    expect(new Set(shorter.misfits.map(({ fate }) => fate))).deep.equal(new Set(['long']));
    expect(shorter.plan.bars[0]?.fixed?.by).equal('lock');
    const longer = lengths(set(cut, [{ path, value: now + 0.002 }]), item);
    expect(longer.misfits.every(({ fate }) => fate === 'short')).equal(true);
    expect(longer.plan.cost).above(before.plan.cost);
  });
  it('locks a bar with a piece as it was cut: one more is planned, and a design that takes it makes it good', () => {
    const cut = carry(shop, cutMiscut(shop, before, risers.id, risers.length - 0.003));
    const after = lengths(cut, item);
    expect(after.misfits).deep.equal([
      { part: risers.id, fate: 'short', cut: risers.length - 0.003, wanted: risers.length },
    ]);
    expect(after.plan.cost).above(before.plan.cost);
    const path = ['heaters', 'panel-a', 'parameters', 'riserClear'];
    const clear = cut.job.heaters['panel-a']?.parameters.riserClear as number;
    const drawn = lengths(set(cut, [{ path, value: clear - 0.003 }]), item);
    expect(drawn.misfits.every(({ fate }) => fate !== 'short')).equal(true);
    expect(cutMiscut(shop, before, 'panel-z/none', 1)).deep.equal({ changes: [], events: [] });
  });
  it('locks a sheet as it was cut', () => {
    const sheets = plans.find(({ kind }) => kind === 'sheet');
    if (sheets?.kind !== 'sheet') throw new Error('a harp has sheets');
    const cut = carry(shop, cutSheet(shop, sheets, 0));
    const after = jobShop(opened(cut)).plan.materials.find(({ item: one }) => one === sheets.item);
    expect(after?.plan.cost).equal(sheets.plan.cost);
    expect(after?.misfits).deep.equal([]);
    if (after?.kind !== 'sheet') throw new Error('still a sheet');
    expect(after.plan.sheets[0]?.fixed?.id).equal('e1');
  });
  it('keeps what is left of a sheet where it is worth it, and takes it back when the sheet is unlocked', () => {
    const sheets = plans.find(({ item: one }) => one === 'ply-9');
    if (sheets?.kind !== 'sheet') throw new Error('a harp has a back');
    const fine = set(shop, [{ path: 'shop.keep', value: 0.05 }]);
    const cut = carry(fine, cutSheet(fine, sheets, 0));
    const [rest] = shelf(cut);
    if (!rest || !('width' in rest)) throw new Error('nothing kept');
    const [sheet] = sheets.plan.sheets;
    const area = (sheet?.width ?? 0) * (sheet?.height ?? 0);
    expect(rest.width * rest.height)
      .below(area)
      .above(0.05 ** 2);
    expect(shelf(back(cut, 'e1'))).deep.equal([]);
    const coarse = set(shop, [{ path: 'shop.keep', value: 2 }]);
    expect(shelf(carry(coarse, cutSheet(coarse, sheets, 0)))).deep.equal([]);
  });
  it('lays a piece on another bar by hand, on a bar of its own, and gives all back', () => {
    const timber = plans.find(
      (one): one is MaterialPlan & LengthMaterial => one.kind === 'length' && one.plan.bars.length > 1,
    );
    if (!timber) throw new Error('no material of two bars');
    const own = movePiece(shop.job, timber, { bar: 0, place: 0 }, undefined);
    if (!own.ok) throw new Error(own.why);
    const moved = set(shop, own.changes);
    const after = lengths(moved, timber.item);
    expect(after.plan.cost).at.least(timber.plan.cost);
    expect(after.unruled?.cost).equal(timber.plan.cost);
    const alone = after.plan.bars.filter(({ fixed, pieces }) => fixed?.by === 'overrule' && pieces.length === 1);
    expect(alone.length).at.least(1);
    const released = set(moved, releaseMaterial(moved.job, timber.item));
    expect(lengths(released, timber.item).plan).deep.equal(timber.plan);
  });
  it('takes no piece off a bar that is cut, and none onto a bar that no length to be had could hold', () => {
    const cut = carry(shop, cutBar(shop, before, 0));
    expect(movePiece(cut.job, lengths(cut, item), { bar: 0, place: 0 }, undefined)).deep.equal({
      ok: false,
      why: 'locked',
    });
    const full = { ...before, stock: before.stock.map((one) => ({ ...one, length: 2 })) };
    expect(movePiece(shop.job, full, { bar: 0, place: 0 }, 0)).deep.equal({ ok: false, why: 'no room' });
  });
});

describe('job: whatever is done at the saw, nothing is lost', () => {
  /** What a builder may do, in any order. */
  const deed = fc.record({
    what: fc.constantFrom('lock', 'sheet', 'unlock', 'move', 'own', 'shorter', 'riser', 'release' as const),
    a: fc.nat(50),
    b: fc.nat(50),
    c: fc.nat(50),
  });
  const pick = <T>(list: readonly T[], at: number): T | undefined => list[at % Math.max(1, list.length)];

  function after(shop: Shop, { what, a, b, c }: { what: string; a: number; b: number; c: number }): Shop {
    const { job } = shop;
    const { materials } = jobShop(opened(shop)).plan;
    const bars = materials.filter((one): one is MaterialPlan & LengthMaterial => one.kind === 'length');
    const material = pick(bars, a);
    const sheet = pick(
      materials.filter((one): one is MaterialPlan & SheetMaterial => one.kind === 'sheet'),
      a,
    );
    const bar = material ? b % Math.max(1, material.plan.bars.length) : 0;
    const field = (path: string, by: number): FieldChanges => {
      const now = job.heaters['panel-a']?.parameters[path];
      return typeof now === 'number' ? [{ path: `heaters.panel-a.parameters.${path}`, value: now + by }] : [];
    };
    const changes = (): FieldChanges => {
      switch (what) {
        case 'move':
        case 'own': {
          const pieces = material?.plan.bars[bar]?.pieces.length ?? 0;
          if (!material || pieces === 0) return [];
          const to = what === 'own' ? undefined : c % material.plan.bars.length;
          const moved = movePiece(job, material, { bar, place: c % pieces }, to);
          return moved.ok ? moved.changes : [];
        }
        case 'shorter':
          return field('riserClear', -0.004);
        case 'riser':
          return field('riserCount', job.heaters['panel-a']?.parameters.riserCount === 12 ? -1 : 1);
        default:
          return material ? releaseMaterial(job, material.item) : [];
      }
    };
    if (what === 'lock') return material ? carry(shop, cutBar(shop, material, bar)) : shop;
    if (what === 'sheet')
      return sheet ? carry(shop, cutSheet(shop, sheet, b % Math.max(1, sheet.plan.sheets.length))) : shop;
    if (what === 'unlock') return back(shop, pick(shop.state.cuts, b)?.id ?? '');
    return set(shop, changes());
  }

  it('every piece is cut, laid out or said to have no place; what is paid for stays paid for', () => {
    fc.assert(
      fc.property(fc.array(deed, { minLength: 1, maxLength: 10 }), (deeds) => {
        let now = begun(defaultJob('harp'));
        for (const one of deeds) now = after(now, one);
        const { parts, plan } = jobShop(opened(now));
        for (const material of plan.materials) {
          const blanks = new Map<string, number>();
          const add = (id: string, count: number) => blanks.set(id, (blanks.get(id) ?? 0) + count);
          if (material.kind === 'length') {
            for (const { count, pieces } of material.plan.bars) for (const { id } of pieces) add(id, count);
          } else for (const { placed } of material.plan.sheets) for (const { id } of placed) add(id, 1);
          // Cut ones that are too short, or wanted no more, lie there besides.
          for (const { part, fate } of material.misfits) if (fate !== 'long') add(part, -1);
          for (const { id, count } of material.plan.unplaced) add(id, count);
          // What is ripped rides along with its blank.
          const made = material.kind === 'length' ? rippedAlong(material.rips, blanks) : blanks;
          for (const part of parts.filter(({ item }) => item === material.item))
            expect(made.get(part.id) ?? 0, part.id).equal(part.count);
        }
        const paid = now.state.cuts.reduce((sum, { price }) => sum + price, 0);
        expect(plan.cost).at.least(paid - 1e-9);
        for (const { count } of shelf(now)) expect(count).at.least(0);
      }),
      { numRuns: trials(40, 120) },
    );
  });
});
