import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import {
  defaultJob,
  familyIds,
  heatersOf,
  onHandOf,
  parseJob,
  readDocument,
  soldOf,
  tiltsOf,
} from '@north-pane/core/document';
import { evaluateOpen } from '@north-pane/core/figures';
import { jobShop, openJob } from '@north-pane/core/job';
import { foldEvents, shelfOf } from '@north-pane/core/shoplog';
import { expect } from 'chai';

const folder = join(import.meta.dirname, 'documents/version-1');
const kept = (file: string) => JSON.parse(readFileSync(join(folder, file), 'utf8')) as Record<string, never>;
const read = (file: string) => {
  const found = readDocument(kept(file));
  if (!found.ok) throw new Error(`${file}: ${JSON.stringify(found.errors)}`);
  return found;
};

interface Version1 {
  panels: { id: string; count: number; parameters: unknown }[];
  site: { standing: { tilts: { name: string; tilt: number }[] } };
  shop: {
    sold: { id: string; price: number }[];
    onHand: { id: string; count: number }[];
    ledger: { at: string; what: string; count: number }[];
    without: string[];
    have: string[];
  };
  decisions: {
    ticks: Record<string, number>;
    locks: { price: number; pieces?: unknown[]; placed?: unknown[] }[];
    checks: Record<string, string>;
    overrules: unknown[];
  };
}

describe('document: kept documents of version 1', () => {
  for (const file of readdirSync(folder))
    it(`${file}: is read, written at version 2 and read again the same`, () => {
      const { job, from } = read(file);
      expect(from).equal(1);
      expect(job.version).equal(2);
      const again = readDocument(JSON.parse(JSON.stringify(job)));
      expect(again).deep.equal({ ok: true, job, from: 2, events: [] });
      expect(evaluateOpen(openJob(job)).apertureArea).above(0);
    });

  it('of every kind as it began is the same job as one begun today', () => {
    // Kinds that came later have no document of version 1; things that are sold since then have no price in an old one.
    const old = familyIds.filter((id) => readdirSync(folder).includes(`${id}.json`));
    expect(old).deep.equal(['harp', 'serpentine', 'lattice', 'trickle', 'batch-box']);
    for (const id of old) {
      const { job } = read(`${id}.json`);
      const today = defaultJob(id);
      const prices = Object.fromEntries(
        Object.entries(today.shop.prices).filter(([key]) => Object.hasOwn(job.shop.prices, key)),
      );
      const sold = Object.fromEntries(
        Object.entries(today.shop.sold).filter(([key]) => Object.hasOwn(job.shop.sold, key)),
      );
      // The better sensor is planned since then; an old heater has the one that was usual.
      const { hotSensor: _, ...loop } = today.loop;
      expect(job, id).deep.equal({ ...today, loop, shop: { ...today.shop, prices, sold } });
      expect(Object.keys(prices).length, id).equal(Object.keys(job.shop.prices).length);
    }
  });

  describe('of a shop in the middle of its work', () => {
    const before = kept('busy-shop.json') as unknown as Version1;
    const { job, events } = read('busy-shop.json');
    const state = foldEvents(events);

    it('keeps heaters, tilts and prices by their ids, in their order', () => {
      expect(heatersOf(job).map(({ id, count }) => [id, count])).deep.equal(
        before.panels.map(({ id, count }) => [id, count]),
      );
      expect(tiltsOf(job.site).map(({ name, tilt }) => [name, tilt])).deep.equal(
        before.site.standing.tilts.map(({ name, tilt }) => [name, tilt]),
      );
      expect(new Map(soldOf(job.shop).map(({ id, price }) => [id, price]))).deep.equal(
        new Map(before.shop.sold.map(({ id, price }) => [id, price])),
      );
      expect(Object.keys(job.shop.without ?? {})).deep.equal(before.shop.without);
      expect(Object.keys(job.shop.have ?? {})).deep.equal(before.shop.have);
      expect(Object.keys(job.decisions.overrules ?? {})).deep.equal(['bar-1']);
      expect(Object.keys(job.asBuilt)).deep.equal(['/heaters/panel-b/known']);
    });
    it('has its ticks, cuts, checks and ledger as events, and they come to what it said', () => {
      expect(state.cuts.map(({ price }) => price)).deep.equal(before.decisions.locks.map(({ price }) => price));
      for (const [id, count] of Object.entries(before.decisions.ticks))
        if (id.includes('/step/')) expect(state.steps[id]).equal(true);
        else expect(state.made[id], id).equal(count);
      expect(state.checks).deep.equal(before.decisions.checks);
      expect(Object.keys(state.acknowledged)).deep.equal(['closed-loop']);
      expect(state.acknowledged['closed-loop']?.words).equal('');
      expect(state.ledger.map(({ at, what, count }) => [at, what, count])).deep.equal(
        before.shop.ledger.map(({ at, what, count }) => [at, what, count]),
      );
    });
    it('has as much on the shelf as it had, and taking a cut back puts one more there', () => {
      const shelf = new Map(shelfOf(onHandOf(job.shop), state).map(({ id, count }) => [id, count]));
      expect(shelf).deep.equal(new Map(before.shop.onHand.map(({ id, count }) => [id, count])));
      const [cut] = state.cuts.filter(({ onHand }) => onHand);
      if (!cut) throw new Error('nothing was cut from the shelf');
      const back = foldEvents([
        ...events,
        { kind: 'taken-back', event: cut.id, id: 'back', at: '2026-06-01T00:00:00Z', device: 'bench' },
      ]);
      const after = new Map(shelfOf(onHandOf(job.shop), back).map(({ id, count }) => [id, count]));
      expect(after.get(cut.stock)).equal((shelf.get(cut.stock) ?? 0) + 1);
    });
    it('plans what is left to cut round what is cut', () => {
      const { plan } = jobShop(openJob(job, state));
      const locked = plan.materials.flatMap(({ plan: one }): { fixed?: { by: string } | undefined }[] =>
        'bars' in one ? one.bars : one.sheets,
      );
      expect(locked.filter(({ fixed }) => fixed?.by === 'lock')).length(state.cuts.length);
    });
    it('read twice gives the same events, so that they are there once', () => {
      expect(read('busy-shop.json').events).deep.equal(events);
      expect(new Set(events.map(({ id }) => id)).size).equal(events.length);
    });
  });

  it('that are shaped like nothing of that version are refused with words, and nothing is thrown', () => {
    for (const broken of [
      { ...kept('harp.json'), panels: undefined },
      { ...kept('harp.json'), decisions: null },
      { ...kept('harp.json'), site: { standing: 7 } },
      { format: 'north-pane/job', version: 1 },
    ])
      expect(parseJob(broken))
        .nested.property('errors[0].message')
        .match(/no document of version 1|must|Invalid/);
  });
});
