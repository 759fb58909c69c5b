import { expect } from 'chai';
import * as fc from 'fast-check';
import { defaultJob, familyIds, type Job, parseJob, pathSteps, withValueAt } from '../document';
import { jobShop, openJob } from '../job';
import { mounts } from '../mounts';
import { type LengthMaterial, type MaterialPlan, rippedAlong, type SheetMaterial } from '../shop';
import { cutMiss } from './cutMiss';
import {
  type FieldChanges,
  lockBar,
  lockMiscut,
  lockSheet,
  movePiece,
  putOnShelf,
  recountShelf,
  releaseMaterial,
  unlock,
} from './cutting';

const at = '2026-05-01T10:00:00Z';

function set(job: Job, changes: FieldChanges): Job {
  const next = changes.reduce((one, { path, value }) => withValueAt(one, pathSteps(path), value), job);
  const parsed = parseJob(JSON.parse(JSON.stringify(next)));
  if (!parsed.ok) throw new Error(JSON.stringify(parsed.errors));
  return parsed.job;
}
function lengths(job: Job, item: string): MaterialPlan & LengthMaterial {
  const found = jobShop(openJob(job)).plan.materials.find((one) => one.item === item);
  if (found?.kind !== 'length') throw new Error(item);
  return found;
}

describe('job: cutting', () => {
  const job = defaultJob('harp');
  const risers = jobShop(openJob(job)).parts.find(({ id }) => id.endsWith('/riser'));
  if (risers?.kind !== 'length') throw new Error('a harp has risers');
  const { item } = risers;
  const before = lengths(job, item);

  it('locks a bar: its pieces are ticked, the cost stands, and the plan goes on round it', () => {
    const locked = set(job, lockBar(job, before, 0, at));
    const after = lengths(locked, item);
    expect(after.plan.bars[0]?.fixed).deep.equal({ by: 'lock', id: 'cut-1' });
    expect(after.plan.cost).equal(before.plan.cost);
    const pieces = before.plan.bars[0]?.pieces.filter(({ id }) => id === risers.id).length;
    expect(locked.decisions.ticks[risers.id]).equal(pieces);
  });
  it('puts an offcut worth keeping on the shelf and writes it into the ledger; unlocking takes it away again', () => {
    const rails = jobShop(openJob(job)).plan.materials.flatMap((one) =>
      one.kind === 'length' ? one.plan.bars.map((bar, index) => ({ one, bar, index })) : [],
    );
    const long = rails.find(({ bar }) => bar.offcut > 0.3);
    if (long?.one.kind !== 'length') throw new Error('no bar with a long offcut');
    const locked = set(job, lockBar(job, long.one, long.index, at));
    expect(locked.shop.onHand).deep.equal([
      { id: 'cut-1-rest', item: long.one.item, count: 1, length: Math.round(long.bar.offcut * 1e6) / 1e6 },
    ]);
    expect(locked.shop.ledger?.map(({ what }) => what)).deep.equal(['returned']);
    const undone = set(locked, unlock(locked, 'cut-1', at));
    expect(undone.shop.onHand).deep.equal([]);
    expect(undone.decisions.locks).deep.equal([]);
    expect(undone.shop.ledger?.map(({ what }) => what)).deep.equal(['returned', 'taken']);
    // Too short to keep: nothing comes back.
    const fussy = withValueAt(job, ['shop', 'keep'], 4);
    expect(set(fussy, lockBar(fussy, long.one, long.index, at)).shop.onHand).deep.equal([]);
  });
  it('takes what lay on hand out of the shed, and gives it back', () => {
    const stocked = withValueAt(job, ['shop', 'onHand'], [{ id: 'shed-1', item, length: 3, count: 2 }]);
    const material = lengths(stocked, item);
    const index = material.plan.bars.findIndex(({ stock }) => stock === 'shed-1');
    const locked = set(stocked, lockBar(stocked, material, index, at));
    expect(locked.shop.onHand.find(({ id }) => id === 'shed-1')?.count).equal(1);
    expect(jobShop(openJob(locked)).plan.cost).closeTo(jobShop(openJob(stocked)).plan.cost, 1e-9);
    const undone = set(locked, unlock(locked, 'cut-1', at));
    expect(undone.shop.onHand.find(({ id }) => id === 'shed-1')?.count).equal(2);
  });
  it('writes into the ledger what is put on the shelf and what a recount finds missing', () => {
    const put = set(set(job, putOnShelf(job, item, { length: 1.2 }, at)), []);
    const more = set(put, putOnShelf(put, 'ply-9', { width: 0.6, height: 0.9 }, at));
    expect(more.shop.onHand.map(({ id }) => id)).deep.equal(['shed-1', 'shed-2']);
    const four = set(more, recountShelf(more, 'shed-1', 4, at));
    const gone = set(four, recountShelf(four, 'shed-1', 0, at));
    expect(gone.shop.onHand.map(({ id }) => id)).deep.equal(['shed-2']);
    expect(gone.shop.ledger?.map(({ what, count }) => [what, count])).deep.equal([
      ['returned', 1],
      ['returned', 1],
      ['returned', 3],
      ['taken', 4],
    ]);
    expect(recountShelf(gone, 'shed-9', 2, at)).deep.equal([]);
    expect(() => set(gone, recountShelf(gone, 'shed-2', 1.5, at))).throw(/onHand/);
  });
  it('keeps a lock when the design changes and says that the pieces are too short now', () => {
    const locked = set(job, lockBar(job, before, 0, at));
    const path = ['panels', 0, 'parameters', 'riserClear'];
    const now = locked.panels[0]?.parameters.riserClear as number;
    const shorter = lengths(withValueAt(locked, path, now - 0.01), item);
    expect(new Set(shorter.misfits.map(({ fate }) => fate))).deep.equal(new Set(['long']));
    expect(shorter.plan.bars[0]?.fixed?.by).equal('lock');
    const longer = lengths(withValueAt(locked, path, now + 0.002), item);
    expect(longer.misfits.every(({ fate }) => fate === 'short')).equal(true);
    expect(longer.plan.cost).above(before.plan.cost);
  });
  it('locks a bar with a piece as it was cut: one more is planned, and a design that takes it makes it good', () => {
    const locked = set(job, lockMiscut(job, before, risers.id, risers.length - 0.003, at));
    const after = lengths(locked, item);
    expect(after.misfits).deep.equal([
      { part: risers.id, fate: 'short', cut: risers.length - 0.003, wanted: risers.length },
    ]);
    expect(after.plan.cost).above(before.plan.cost);
    const path = ['panels', 0, 'parameters', 'riserClear'];
    const clear = locked.panels[0]?.parameters.riserClear as number;
    const drawn = lengths(withValueAt(locked, path, clear - 0.003), item);
    expect(drawn.misfits.every(({ fate }) => fate !== 'short')).equal(true);
    expect(lockMiscut(job, before, 'panel-z/none', 1, at)).deep.equal([]);
  });
  it('locks a sheet as it was cut', () => {
    const sheets = jobShop(openJob(job)).plan.materials.find(({ kind }) => kind === 'sheet');
    if (sheets?.kind !== 'sheet') throw new Error('a harp has sheets');
    const locked = set(job, lockSheet(job, sheets, 0, at));
    const after = jobShop(openJob(locked)).plan.materials.find(({ item: one }) => one === sheets.item);
    expect(after?.plan.cost).equal(sheets.plan.cost);
    expect(after?.misfits).deep.equal([]);
    if (after?.kind !== 'sheet') throw new Error('still a sheet');
    expect(after.plan.sheets[0]?.fixed?.id).equal('cut-1');
  });
  it('keeps what is left of a sheet where it is worth it, and takes it back when the sheet is unlocked', () => {
    const sheets = jobShop(openJob(job)).plan.materials.find(({ item: one }) => one === 'ply-9');
    if (sheets?.kind !== 'sheet') throw new Error('a harp has a back');
    const fine = withValueAt(job, ['shop', 'keep'], 0.05);
    const locked = set(fine, lockSheet(fine, sheets, 0, at));
    const [rest] = locked.shop.onHand;
    if (!rest || !('width' in rest)) throw new Error('nothing kept');
    const [sheet] = sheets.plan.sheets;
    const area = (sheet?.width ?? 0) * (sheet?.height ?? 0);
    expect(rest.width * rest.height)
      .below(area)
      .above(0.05 ** 2);
    expect(set(locked, unlock(locked, 'cut-1', at)).shop.onHand).deep.equal([]);
    const coarse = withValueAt(job, ['shop', 'keep'], 2);
    expect(set(coarse, lockSheet(coarse, sheets, 0, at)).shop.onHand).deep.equal([]);
  });
  it('lays a piece on another bar by hand, on a bar of its own, and gives all back', () => {
    const timber = jobShop(openJob(job)).plan.materials.find(
      (one): one is MaterialPlan & LengthMaterial => one.kind === 'length' && one.plan.bars.length > 1,
    );
    if (!timber) throw new Error('no material of two bars');
    const own = movePiece(job, timber, { bar: 0, place: 0 }, undefined);
    if (!own.ok) throw new Error(own.why);
    const moved = set(job, own.changes);
    const after = lengths(moved, timber.item);
    expect(after.plan.cost).at.least(timber.plan.cost);
    expect(after.unruled?.cost).equal(timber.plan.cost);
    const alone = after.plan.bars.filter(({ fixed, pieces }) => fixed?.by === 'overrule' && pieces.length === 1);
    expect(alone.length).at.least(1);
    const released = set(moved, releaseMaterial(moved, timber.item));
    expect(lengths(released, timber.item).plan).deep.equal(timber.plan);
  });
  it('takes no piece off a bar that is cut, and none onto a bar that no length to be had could hold', () => {
    const locked = set(job, lockBar(job, before, 0, at));
    expect(movePiece(locked, lengths(locked, item), { bar: 0, place: 0 }, undefined)).deep.equal({
      ok: false,
      why: 'locked',
    });
    const full = { ...before, stock: before.stock.map((one) => ({ ...one, length: 2 })) };
    expect(movePiece(job, full, { bar: 0, place: 0 }, 0)).deep.equal({ ok: false, why: 'no room' });
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

  function after(job: Job, { what, a, b, c }: { what: string; a: number; b: number; c: number }): Job {
    const { materials } = jobShop(openJob(job)).plan;
    const bars = materials.filter((one): one is MaterialPlan & LengthMaterial => one.kind === 'length');
    const material = pick(bars, a);
    const sheet = pick(
      materials.filter((one): one is MaterialPlan & SheetMaterial => one.kind === 'sheet'),
      a,
    );
    const bar = material ? b % Math.max(1, material.plan.bars.length) : 0;
    const field = (path: string, by: number): FieldChanges => {
      const now = job.panels[0]?.parameters[path];
      return typeof now === 'number' ? [{ path: `panels.0.parameters.${path}`, value: now + by }] : [];
    };
    const changes = (): FieldChanges => {
      switch (what) {
        case 'lock':
          return material ? lockBar(job, material, bar, at) : [];
        case 'sheet':
          return sheet ? lockSheet(job, sheet, b % Math.max(1, sheet.plan.sheets.length), at) : [];
        case 'unlock':
          return unlock(job, pick(job.decisions.locks ?? [], b)?.id ?? '', at);
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
          return field('riserCount', job.panels[0]?.parameters.riserCount === 12 ? -1 : 1);
        default:
          return material ? releaseMaterial(job, material.item) : [];
      }
    };
    return set(job, changes());
  }

  it('every piece is cut, laid out or said to have no place; what is paid for stays paid for', () => {
    fc.assert(
      fc.property(fc.array(deed, { minLength: 1, maxLength: 10 }), (deeds) => {
        let now = defaultJob('harp');
        for (const one of deeds) now = after(now, one);
        const { parts, plan } = jobShop(openJob(now));
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
        const paid = (now.decisions.locks ?? []).reduce((sum, { price }) => sum + price, 0);
        expect(plan.cost).at.least(paid - 1e-9);
        for (const { count } of now.shop.onHand) expect(count).at.least(0);
      }),
      { numRuns: 120 },
    );
  });
});

describe('job: cut at another length than wanted', () => {
  const job = defaultJob('harp');
  const open = openJob(job);
  const part = jobShop(open).parts.find(({ id }) => id.endsWith('/riser'));
  if (part?.kind !== 'length') throw new Error('a harp has risers');

  it('is good within half a mark, good enough within what its place forgives, and is cut again where it is too long', () => {
    expect(cutMiss(open, part.id, part.length + 0.0004).kind).equal('good');
    // It enters 7; 4.26 seal and 8.73 choke: 5.48 shorter or 3.46 longer still does.
    expect(cutMiss(open, part.id, part.length - 0.005)).deep.include({ kind: 'slack', fits: [] });
    expect(cutMiss(open, part.id, part.length + 0.003).kind).equal('slack');
    expect(cutMiss(open, part.id, part.length - 0.006).kind).equal('short');
    expect(cutMiss(open, part.id, part.length + 0.005)).deep.include({ kind: 'long', fits: [] });
  });
  it('says what one more costs, and which size of the design would make all of them so', () => {
    const miss = cutMiss(open, part.id, part.length - 0.008);
    expect(miss.kind).equal('short');
    expect(miss.recut?.cost).at.least(0);
    // Eight millimetres off a riser: the clear gap by as much.
    const clear = miss.fits.find(({ path }) => path.endsWith('riserClear'));
    expect(clear && clear.to - clear.from).closeTo(-0.008, 1e-4);
    // Headers move in their holes, so that the sides' holes and the plate go with them.
    expect(clear?.others.map(({ name }) => name)).include.members([
      'Side board, low',
      'Side board, high',
      'Plate strip',
    ]);
  });
  it('tells which made pieces a way out would spoil', () => {
    const ticked = withValueAt(job, ['decisions', 'ticks'], { 'panel-a/strip': 3 });
    const miss = cutMiss(openJob(ticked), part.id, part.length - 0.008);
    const clear = miss.fits.find(({ path }) => path.endsWith('riserClear'));
    expect(clear?.others.find(({ name }) => name === 'Plate strip')?.made).equal(3);
    expect(() => cutMiss(open, 'panel-a/none', 1)).throw(RangeError);
  });
  it('holds over hundreds of misses: the piece is right, the pane as ordered, all else that changes is told, least trouble first', function () {
    this.timeout(120_000);
    let asked = 0;
    let answered = 0;
    for (const family of familyIds)
      for (const units of ['metric', 'imperial'] as const) {
        const mine = withValueAt(defaultJob(family, { units }), ['panels', 0, 'mount'], {
          kind: 'ground-stand',
          parameters: mounts['ground-stand'].standard(units),
        });
        const drawn = openJob(mine);
        const before = jobShop(drawn);
        const paneOf = (shop: typeof before) =>
          JSON.stringify(shop.purchases.find(({ id }) => id.endsWith('/pane'))?.size, (_, value) =>
            typeof value === 'number' ? Math.round(value * 1e5) : value,
          );
        for (const piece of before.parts) {
          if (piece.kind !== 'length') continue;
          for (const off of [0.0015, 0.006, 0.02]) {
            const cut = piece.length - off;
            if (cut < 0.02) continue;
            asked += 1;
            const miss = cutMiss(drawn, piece.id, cut);
            if (miss.kind !== 'short') {
              expect(piece.slack?.short, piece.id).at.least(off - 1e-9);
              continue;
            }
            let [findings, spoiled] = [0, 0];
            for (const fit of miss.fits) {
              answered += 1;
              const then = openJob(withValueAt(mine, pathSteps(fit.path), fit.value));
              const after = jobShop(then);
              const reached = after.parts.find(({ id }) => id === piece.id);
              expect(reached?.kind === 'length' && Math.abs(reached.length - cut), piece.id).below(5.1e-4);
              expect(paneOf(after), `${piece.id} by ${fit.path}`).equal(paneOf(before));
              // Told are exactly the parts that differ, held against each other here as texts.
              const text = (one: unknown) =>
                JSON.stringify(one, (key, value) =>
                  key === 'mass' || key === 'operations' || key === 'slack' || key === 'row'
                    ? undefined
                    : typeof value === 'number'
                      ? Math.round(value * 1e5)
                      : value,
                );
              const told = new Set(fit.others.map(({ name }) => name));
              for (const one of after.parts) {
                const old = before.parts.find(({ id }) => id === one.id);
                if (one.id === piece.id || (old && text(old) === text(one))) continue;
                expect(told.has(one.name), `${piece.id} by ${fit.path}: ${one.name} changes and is not told`).equal(
                  true,
                );
              }
              expect(fit.findings.length).at.least(findings);
              if (fit.findings.length > findings) [findings, spoiled] = [fit.findings.length, 0];
              const made = fit.others.reduce((sum, other) => sum + other.made, 0);
              expect(made).at.least(spoiled);
              spoiled = made;
            }
          }
        }
      }
    expect(asked).above(290);
    expect(answered).above(100);
  });
});
