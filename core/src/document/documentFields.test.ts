import { expect } from 'chai';
import * as z from 'zod';
import { partField, wholeField } from '../field';
import { changesBetween, pathSteps, valueAtPath, withValueAt } from './changes';
import { defaultJob } from './defaults';
import { describeChange } from './describeChanges';
import { documentFields, fieldAt, fieldTable, resultKey } from './documentFields';
import { parseJob } from './parse';
import { jobSchema } from './schema';

const job = defaultJob('harp');

/** Leaves of a JSON value, by their paths. */
function leaves(value: unknown, path: string[] = []): string[][] {
  if (typeof value !== 'object' || value === null) return [path];
  return Object.entries(value).flatMap(([step, inner]) => leaves(inner, [...path, step]));
}

describe('job: fields of the document', () => {
  it('are declared, every one: nothing of a job but its form, its order and its ids has no label', () => {
    const bare = leaves(job)
      .filter((path) => fieldAt(job, path) === undefined)
      .map((path) => path.join('.'));
    expect(
      bare.every((path) => /^(format|version)$|\.order$|\.kind$|^heaters\.panel-a\.mount/.test(path)),
      bare.join(),
    ).equal(true);
  });
  it('have a label, a meaning, and a range whose ends are in order', () => {
    expect(documentFields().length).above(60);
    for (const { path, meta } of documentFields()) {
      expect(meta.label, path.join('.')).match(/\S/);
      expect(meta.meaning, path.join('.')).match(/\.$/);
      if (meta.low !== undefined) expect(meta.low, path.join('.')).below(meta.high ?? Number.NaN);
    }
  });
  it('are held to the range that they tell, at both ends', () => {
    let held = 0;
    for (const { path, meta } of documentFields()) {
      const { low, high } = meta;
      const real = path.map((step) => (step === '*' ? (path[0] === 'heaters' ? 'panel-a' : 'tank-a') : step));
      if (low === undefined || high === undefined || valueAtPath(job, real) === undefined) continue;
      const beyond = (value: number) => parseJob(withValueAt(job, real, value));
      for (const value of [low - 1e-3 * (high - low), high + 1e-3 * (high - low)]) {
        const read = beyond(value);
        expect(read.ok, `${real.join('.')} = ${value}`).equal(false);
        if (!read.ok) expect(read.errors[0]?.message, real.join('.')).include(meta.label);
      }
      expect(beyond((low + high) / 2).ok, `${real.join('.')} halfway`).equal(
        meta.kind !== 'count' || (low + high) % 2 === 0,
      );
      held += 1;
    }
    expect(held).above(12);
  });
  it('move the keys of what depends on them, and no others', () => {
    for (const [path, value, moved] of [
      ['name', 'Shed', []],
      ['decisions.unpicked', true, []],
      ['site.climate', { kind: 'broad', type: 'desert' }, ['weather', 'sun', 'heat', 'need', 'findings']],
      ['site.exposure.windShare', 0.6, ['heat', 'need', 'findings']],
      ['need.months', [6, 7], ['sun', 'need']],
      ['shop.kerfs.tube', 0.001, ['pieces']],
      ['stores.tank-a.volume', 0.3, ['heat', 'need', 'findings']],
      ['heaters.panel-a.parameters.pitch', 0.1, ['heat', 'need', 'pieces', 'findings']],
      ['heaters.panel-a.count', 2, ['sun', 'heat', 'need', 'pieces', 'findings']],
    ] as const) {
      const after = withValueAt(job, pathSteps(path), value);
      const results = (['weather', 'sun', 'heat', 'need', 'pieces', 'findings'] as const).filter(
        (one) => resultKey(job, [one]) !== resultKey(after, [one]),
      );
      expect(results, path).deep.equal([...moved]);
    }
  });
  it('are added by one declaration: label, words, range, key and table follow', () => {
    const guests = wholeField({ label: 'Guests', meaning: 'Who stay in summer.', low: 0, high: 40, moves: ['need'] });
    const { need } = jobSchema.shape;
    const more = jobSchema.extend({ need: need.extend({ guests: guests.optional() }) }) as unknown as typeof jobSchema;
    const after = withValueAt(job, ['need', 'guests'], 4);
    const path = ['need', 'guests'];
    expect(fieldAt(after, path, more)).include({ label: 'Guests', kind: 'count', high: 40 });
    expect(more.safeParse({ ...after, need: { ...after.need, guests: 41 } }).error?.issues[0]?.message).equal(
      'Guests must be at most 40',
    );
    expect(resultKey(job, ['need'], more)).not.equal(resultKey(after, ['need'], more));
    expect(resultKey(job, ['heat'], more)).equal(resultKey(after, ['heat'], more));
    const added = documentFields(more).filter(
      (one) => !documentFields().some(({ path: known }) => known.join() === one.path.join()),
    );
    expect(added.map(({ optional }) => optional)).deep.equal([true]);
    expect(fieldTable(added)).include('| `need.guests` | Guests | Who stay in summer. |');
  });
  it('that hold a list or a record are named as a whole', () => {
    const part = partField(z.array(z.number()), { label: 'Series', meaning: 'Numbers.' });
    expect(documentFields(z.strictObject({ part })).map(({ meta }) => meta.label)).deep.equal(['Series']);
    const [change] = changesBetween(job, withValueAt(job, ['site', 'horizon'], [{ azimuth: 1, elevation: 2 }]));
    if (!change) throw new Error('nothing changed');
    expect(describeChange(job, change, 'metric')).deep.equal({
      name: 'Skyline',
      before: 'another one',
      after: 'another one',
    });
  });
});
