import type * as z from 'zod';

/** What an issue of a schema has, as far as it is put into words. */
interface Issue {
  code?: string | undefined;
  origin?: string;
  minimum?: number | bigint;
  maximum?: number | bigint;
  inclusive?: boolean;
  expected?: string;
  values?: readonly unknown[];
  keys?: readonly string[];
}

const expectedWords: Record<string, string> = {
  number: 'must be a number',
  int: 'must be a whole number',
  string: 'must be text',
  boolean: 'must be yes or no',
  array: 'must be a list',
  object: 'must be a set of fields',
  record: 'must be a set of fields',
};

/**
 * What is wrong with a value, in a builder's words, where its schema does not say so itself: given to every parse of what people write or
 * send, so that no message of the schema library reaches a screen.
 */
export const issueWords: z.core.$ZodErrorMap = (raw) => {
  const issue = raw as Issue;
  const { origin, minimum, maximum, inclusive = true } = issue;
  switch (issue.code) {
    case 'too_small':
      if (origin === 'string') return minimum === 1 ? 'must not be empty' : `needs at least ${minimum} characters`;
      if (origin === 'array' || origin === 'set') return `needs at least ${minimum}`;
      return `must be ${inclusive ? 'at least' : 'above'} ${minimum}`;
    case 'too_big':
      if (origin === 'string') return `has at most ${maximum} characters`;
      if (origin === 'array' || origin === 'set') return `has at most ${maximum}`;
      return `must be ${inclusive ? 'at most' : 'below'} ${maximum}`;
    case 'invalid_type':
      return expectedWords[issue.expected ?? ''] ?? 'is not allowed here';
    case 'invalid_value':
      return `must be ${(issue.values ?? []).length > 1 ? 'one of' : ''} ${(issue.values ?? []).join(', ')}`.replace(
        '  ',
        ' ',
      );
    case 'unrecognized_keys':
      return `there is no field “${(issue.keys ?? []).join('”, “')}” here`;
    case 'invalid_format':
      return 'is not in the right form';
    default:
      return 'is not allowed here';
  }
};
