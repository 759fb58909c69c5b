import * as z from 'zod';
import { formatNumber, formatQuantity, type QuantityKind } from '../quantity';
import { describeField, type FieldMeta } from './meta';

/** What every field of the document says of itself. */
type Said = Pick<FieldMeta, 'label' | 'meaning' | 'digits'> & { moves?: FieldMeta['moves'] };
type Ranged = Said & {
  low: number;
  high: number;
  lowReason?: string;
  highReason?: string;
  /** The low end itself is not in the range. */
  above?: true;
  /** The high end itself is not in the range. */
  below?: true;
};

/** `Glycol is 0 to 60 %`, with the reason for the end that was passed. */
function ranged(said: Ranged, write: (value: number) => string, writeLow = write) {
  const { label, low, high, lowReason, highReason, above, below } = said;
  const words = (reason: string | undefined) =>
    `${label} is ${writeLow(low)} to ${write(high)}${reason ? `: ${reason}` : ''}`;
  const any = z.number(`${label} must be a number`);
  const number = below ? any.lt(high, words(highReason)) : any.max(high, words(highReason));
  return above ? number.gt(low, words(lowReason)) : number.min(low, words(lowReason));
}

/** A quantity in SI with its range, written in both tapes where it is refused. */
export function quantityField(quantity: QuantityKind, said: Ranged) {
  const one = (value: number, habit: 'metric' | 'imperial') => formatQuantity(quantity, value, habit, said.digits).text;
  const write = (value: number) => {
    const [metric, imperial] = [one(value, 'metric'), one(value, 'imperial')];
    return metric === imperial ? metric : `${metric} (${imperial})`;
  };
  return describeField(ranged(said, write), { ...said, kind: 'quantity', quantity });
}

/** A plain number with its range. */
export function numberField(said: Ranged) {
  return describeField(
    ranged(said, (value) => formatNumber(value)),
    { ...said, kind: 'number' },
  );
}

/** A share from 0 to 1, shown in per cent. */
export function percentField(said: Ranged) {
  const hundredfold = (value: number) => formatNumber(100 * value);
  const schema = ranged(said, (value) => `${hundredfold(value)} %`, hundredfold);
  return describeField(schema, { ...said, kind: 'number', percent: true });
}

/** A whole number with its range. */
export function wholeField(said: Ranged) {
  const schema = z
    .int(`${said.label} must be a whole number`)
    .min(said.low, `${said.label} must be at least ${said.low}`)
    .max(said.high, `${said.label} must be at most ${said.high}`);
  return describeField(schema, { ...said, kind: 'count' });
}

/** Yes or no. */
export function flagField(said: Said) {
  return describeField(z.boolean(`${said.label} must be yes or no`), { ...said, kind: 'flag' });
}

/** One of a few, with their words. */
export function optionField<const V extends string>(said: Said & { choices: Readonly<Record<V, string>> }) {
  const values = Object.keys(said.choices) as V[];
  return describeField(z.enum(values as [V, ...V[]], `${said.label} must be one of: ${values.join(', ')}`), {
    ...said,
    kind: 'choice',
    choices: values.map((value) => ({ value, words: said.choices[value] })),
  });
}

/** Text, as its schema has it. */
export function textField<S extends z.ZodType<string>>(schema: S, said: Said): S {
  // A copy: the same schema may stand at several places that are called otherwise.
  return describeField(schema.clone() as S, { ...said, kind: 'text' });
}

/** A record or a list that stands for one thing and is set whole. */
export function partField<S extends z.ZodType>(schema: S, said: Said): S {
  return describeField(schema.clone() as S, { ...said, kind: 'part' });
}
