import { expect } from 'chai';
import * as fc from 'fast-check';
import { trials } from '../quantity/trials.fixture';
import { applyEdits, defaultJob, inverse, mergeChanges, setFields, valueAtPath } from '.';

const job = defaultJob('harp');
const pitch = ['heaters', 'panel-a', 'parameters', 'pitch'];

describe('document: edits', () => {
  it('say what stood there and what stands there now, and share what they do not touch', () => {
    const { document, edits } = setFields(job, [
      { path: 'heaters.panel-a.parameters.pitch', value: 0.1 },
      { path: ['shop', 'have', 'tool/torch'], value: true },
    ]);
    expect(edits).have.deep.members([
      { path: pitch, before: 0.089, after: 0.1 },
      // The record comes new with its first field.
      { path: ['shop', 'have'], before: undefined, after: {} },
      { path: ['shop', 'have', 'tool/torch'], before: undefined, after: true },
    ]);
    expect(document.site).equal(job.site);
    expect(document.shop.sold).equal(job.shop.sold);
    expect(valueAtPath(job, pitch)).equal(0.089);
    expect(Object.isFrozen(document.shop)).equal(false);
  });
  it('of nothing are none', () => {
    expect(setFields(job, [{ path: pitch, value: 0.089 }]).edits).deep.equal([]);
    expect(setFields(job, [{ path: ['shop', 'have', 'x'], value: undefined }]).document).equal(job);
  });
  it('tell a new heater field by field and one that goes as a whole', () => {
    const heater = { ...job.heaters['panel-a'], order: 1 };
    const added = setFields(job, [{ path: ['heaters', 'panel-b'], value: heater }]);
    expect(added.edits.every(({ path }) => path[1] === 'panel-b')).equal(true);
    expect(added.edits.map(({ path }) => path.join('.'))).include('heaters.panel-b.parameters.pitch');
    const gone = setFields(added.document, [{ path: ['heaters', 'panel-b'], value: undefined }]);
    expect(gone.edits).deep.equal([{ path: ['heaters', 'panel-b'], before: heater, after: undefined }]);
    expect(gone.document).deep.equal(job);
  });
  it('refuse a path through a number, and names that reach into what a record is made of', () => {
    expect(() => setFields(job, [{ path: [...pitch, 'deep'], value: 1 }])).throw(RangeError);
    for (const name of ['__proto__', 'constructor', 'prototype'])
      expect(() => setFields(job, [{ path: ['shop', 'have', name], value: true }]), name).throw(RangeError);
    expect(() => setFields(job, [{ path: [], value: 1 }])).throw(RangeError);
  });
  it('are taken back where nobody was since, and left where somebody was', () => {
    const mine = setFields(job, [
      { path: pitch, value: 0.1 },
      { path: 'name', value: 'Mine' },
    ]);
    const theirs = setFields(mine.document, [{ path: 'name', value: 'Theirs' }]).document;
    const back = applyEdits(theirs, inverse(mine.edits));
    expect(valueAtPath(back.document, pitch)).equal(0.089);
    expect(back.document.name).equal('Theirs');
    expect(back.left.map(({ path }) => path)).deep.equal([['name']]);
  });
  it('leave what was a part of something that is gone', () => {
    const mine = setFields(job, [
      { path: [...pitch.slice(0, 2), 'mount'], value: { kind: 'ground-stand', parameters: {} } },
    ]);
    const without = setFields(mine.document, [{ path: ['heaters'], value: 7 as never }]).document;
    expect(applyEdits(without, mine.edits)).property('laid').deep.equal([]);
  });
  it('whatever they are: laid on again they give the same, and their inverse gives back what was', () => {
    const key = fc.constantFrom('a', 'b', 'c');
    const tree = fc.letrec((tie) => ({
      node: fc.oneof(
        { maxDepth: 3 },
        fc.integer({ min: 0, max: 3 }),
        fc.constantFrom([1], [1, 2], 'x'),
        fc.dictionary(key, tie('node'), { maxKeys: 3 }),
      ),
    })).node;
    const document = fc.dictionary(key, tree, { maxKeys: 3 }) as fc.Arbitrary<Record<string, unknown>>;
    const fields = fc.array(
      fc.record({ path: fc.array(key, { minLength: 1, maxLength: 3 }), value: fc.option(tree, { nil: undefined }) }),
      { minLength: 1, maxLength: 3 },
    );
    let edited = 0;
    fc.assert(
      fc.property(document, fields, (before, wanted) => {
        let result: ReturnType<typeof setFields<Record<string, unknown>>>;
        try {
          result = setFields(before, wanted);
        } catch (error) {
          expect(error).instanceOf(RangeError);
          return;
        }
        edited += 1;
        const again = mergeChanges(before, result.edits);
        expect(again).deep.equal({ ok: true, document: result.document });
        const back = applyEdits(result.document, inverse(result.edits));
        expect(back.left).deep.equal([]);
        expect(withoutEmpty(back.document)).deep.equal(withoutEmpty(before));
      }),
      { numRuns: trials(800, 3000), seed: 16 },
    );
    expect(edited).above(trials(400, 1500));
  });
});

/** Records with nothing in them left out: a field added field by field goes field by field, and what held it may stay. */
function withoutEmpty(value: unknown): unknown {
  if (typeof value !== 'object' || value === null || Array.isArray(value)) return value;
  const entries = Object.entries(value)
    .map(([key, one]) => [key, withoutEmpty(one)] as const)
    .filter(([, one]) => one !== undefined);
  return entries.length > 0 ? Object.fromEntries(entries) : undefined;
}

describe('document: a record that comes new with an edit', () => {
  const job = defaultJob('harp');
  const mount = ['heaters', 'panel-a', 'mount'];
  const stand = { kind: 'ground-stand', parameters: { timber: 'planed-90x45', low: 0.3, anchor: 'none' } };

  it('goes with it when it is taken back, and comes back with it', () => {
    const { document, edits } = setFields(job, [{ path: mount, value: stand }]);
    const back = applyEdits(document, inverse(edits));
    expect(back.left).deep.equal([]);
    expect(back.document).deep.equal(job);
    expect(valueAtPath(back.document, mount)).equal(undefined);
    const again = applyEdits(back.document, edits);
    expect(again.left).deep.equal([]);
    expect(again.document).deep.equal(document);
  });
  it('is recorded as one edit per field, so that two devices can add to one record', () => {
    const { edits } = setFields(job, [{ path: mount, value: stand }]);
    expect(edits.map(({ path }) => path.join('.'))).include('heaters.panel-a.mount.parameters.low');
    const have = ['shop', 'have', 'panel-a/caps'];
    const mine = setFields(job, [{ path: have, value: true }]);
    const theirs = setFields(mine.document, [{ path: ['shop', 'have', 'panel-a/unions'], value: true }]);
    // Undoing mine keeps what the other device has put into the record, and reports no conflict.
    const back = applyEdits(theirs.document, inverse(mine.edits));
    expect(back.left).deep.equal([]);
    expect(valueAtPath(back.document, ['shop', 'have'])).deep.equal({ 'panel-a/unions': true });
  });
  it('is not undone where another device has changed a field of it, and that field is reported', () => {
    const { document, edits } = setFields(job, [{ path: mount, value: stand }]);
    const changed = setFields(document, [{ path: [...mount, 'parameters', 'low'], value: 0.5 }]).document;
    const back = applyEdits(changed, inverse(edits));
    expect(back.left.map(({ path }) => path.at(-1))).deep.equal(['low']);
    expect(valueAtPath(back.document, [...mount, 'parameters'])).deep.equal({ low: 0.5 });
  });
});

describe('document: an edit that stood already', () => {
  const job = defaultJob('harp');
  it('is neither applied nor reported as conflict, and undoing it keeps the other device’s value', () => {
    const { document, edits } = setFields(job, [{ path: pitch, value: 0.1 }]);
    // Another device has set it back meanwhile.
    const theirs = setFields(document, [{ path: pitch, value: 0.089 }]).document;
    const undone = applyEdits(theirs, inverse(edits));
    expect(undone).deep.include({ laid: [], left: [] });
    expect(undone.document).equal(theirs);
    // An edit that was not applied is not undone: their value stays.
    expect(applyEdits(undone.document, inverse(undone.laid)).document).equal(theirs);
  });
});
