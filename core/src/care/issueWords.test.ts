import { expect } from 'chai';
import * as z from 'zod';
import { issueWords } from '.';

describe('care: what is wrong with a value, in words', () => {
  const rows: [what: string, schema: z.ZodType, value: unknown, words: string][] = [
    ['a number below its least', z.number().min(3), 1, 'must be at least 3'],
    ['a number that must be above', z.number().gt(0), 0, 'must be above 0'],
    ['a number over its most', z.number().max(9), 10, 'must be at most 9'],
    ['words where a number should be', z.number(), 'x', 'must be a number'],
    ['no number', z.number(), Number.NaN, 'must be a number'],
    ['nothing', z.string(), undefined, 'must be text'],
    ['empty words', z.string().min(1), '', 'must not be empty'],
    ['too many words', z.string().max(3), 'four', 'has at most 3 characters'],
    ['an empty list', z.array(z.number()).min(2), [1], 'needs at least 2'],
    ['what is none of some', z.enum(['a', 'b']), 'c', 'must be one of a, b'],
    ['what is not the one', z.literal('a'), 'b', 'must be a'],
    ['a field of its own making', z.strictObject({}), { x: 1 }, 'there is no field “x” here'],
    ['a time that is none', z.iso.datetime(), 'noon', 'is not in the right form'],
    ['none of several', z.union([z.number(), z.boolean()]), 'x', 'is not allowed here'],
  ];
  for (const [what, schema, value, words] of rows)
    it(`${what}: ${words}`, () => {
      const parsed = schema.safeParse(value, { error: issueWords });
      expect(parsed.error?.issues[0]?.message).equal(words);
    });
  it('leaves words that a schema has of its own', () => {
    const parsed = z.number().min(3, 'three at least').safeParse(1, { error: issueWords });
    expect(parsed.error?.issues[0]?.message).equal('three at least');
  });
});
