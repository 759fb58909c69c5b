import { expect } from 'chai';
import * as z from 'zod';
import { defineMember, memberOf, UnknownMember } from '../catalogue';
import { choiceField, countField, entryField, fieldMeta, lengthField } from '.';

const schema = z.strictObject({
  gap: lengthField(0.01, 0.1, 0.025, 'Air gap', 'Plate to pane.'),
  risers: countField(2, 60, 10, 'Risers', 'Parallel tubes.'),
  bed: choiceField({ wet: 'in silicone', dry: 'clipped on' }, 'wet', 'Bed', 'How it lies.'),
  tube: entryField('tube', 'en-1057-15x0.7', 'Tube', 'Copper.', (id) => id.startsWith('en-')),
});

describe('catalogue: fields of parameters', () => {
  it('fill in their defaults', () => {
    expect(schema.parse({})).deep.equal({ gap: 0.025, risers: 10, bed: 'wet', tube: 'en-1057-15x0.7' });
  });
  const wrong: [field: string, value: unknown, words: RegExp][] = [
    ['gap', 0.001, /^Air gap must be at least 10 mm \(3\/8″\)$/],
    ['gap', 1, /^Air gap must be at most 100 mm \(3 15\/16″\)$/],
    ['gap', 'wide', /^Air gap must be a number$/],
    ['gap', Number.NaN, /must be a number/],
    ['risers', 1, /^Risers must be at least 2$/],
    ['risers', 61, /^Risers must be at most 60$/],
    ['risers', 2.5, /whole number/],
    ['bed', 'feathers', /^Bed must be one of: wet, dry$/],
    ['tube', 'astm-b88-m-1_2', /no such tube in the catalogue/],
    ['tube', 7, /must be the id of a tube/],
  ];
  for (const [field, value, words] of wrong)
    it(`say what is wrong with ${field} ${String(value)}`, () => {
      const parsed = schema.safeParse({ [field]: value });
      expect(parsed.error?.issues[0]?.message.replaceAll('\u00a0', ' ')).match(words);
      expect(parsed.error?.issues[0]?.path).deep.equal([field]);
    });
  it('tell faces their label, range and choices, the same object every time', () => {
    expect(fieldMeta(schema.shape.gap)).include({ label: 'Air gap', kind: 'length', low: 0.01, high: 0.1 });
    expect(fieldMeta(schema.shape.bed)?.choices).deep.equal([
      { value: 'wet', words: 'in silicone' },
      { value: 'dry', words: 'clipped on' },
    ]);
    expect(fieldMeta(schema.shape.tube)?.choices?.every(({ value }) => value.startsWith('en-'))).equal(true);
    expect(fieldMeta(schema.shape.gap)).equal(fieldMeta(schema.shape.gap));
    expect(fieldMeta(z.string())).equal(undefined);
  });
});

describe('catalogue: members', () => {
  const twice = defineMember({
    id: 'twice',
    name: 'Twice',
    meaning: 'Doubles a gap.',
    schema,
    standard: () => ({ gap: 0.02 }),
    design: ({ gap, risers }) => ({ gap: 2 * gap, risers }),
  });
  it('open their own parameters, defaults filled in', () => {
    expect(twice.open({ gap: 0.03 })).deep.equal({ gap: 0.06, risers: 10 });
    expect(() => twice.open({ gap: 9 })).throw(z.ZodError);
  });
  it('are found by id, and missed by name', () => {
    expect(memberOf({ twice }, 'doubler', 'twice')).equal(twice);
    expect(() => memberOf({ twice }, 'doubler', 'thrice')).throw(UnknownMember, 'no doubler “thrice”');
    expect(() => memberOf({ twice }, 'doubler', 'toString')).throw(UnknownMember);
  });
});
