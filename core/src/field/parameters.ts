import * as z from 'zod';
import { type CatalogueKind, entries, findEntry } from '../catalogue';
import { formatLength, formatQuantity } from '../quantity';
import { describeField, type FieldMeta, fieldMeta } from './meta';

function tagged<S extends z.core.$ZodType>(field: S, tag: Partial<FieldMeta>): S {
  const inner = field instanceof z.ZodDefault ? field.def.innerType : field;
  const meta = fieldMeta(inner);
  if (!meta) throw new TypeError('only a field of the catalogue can be tagged');
  describeField(inner, { ...meta, ...tag });
  return field;
}

/** The same field, as a size of what is bought or found as it is: a tank, a bottle. */
export function asBought<S extends z.core.$ZodType>(field: S): S {
  return tagged(field, { bought: true });
}

/** The same field, tagged as one that means the same in every kind whose field has this tag. */
export function meansSame<S extends z.core.$ZodType>(tag: string, field: S): S {
  return tagged(field, { same: tag });
}

/** Why a range ends below and above, in words that follow a colon. */
type Ends = readonly [low: string, high: string];

/** A length in metres with its range, default and meaning; `ends` says why it is not shorter or longer. */
export function lengthField(low: number, high: number, standard: number, label: string, meaning: string, ends?: Ends) {
  const because = (reason: string | undefined) => (reason ? `: ${reason}` : '');
  const words = (value: number) =>
    `${formatLength(value, 'metric', { decimals: 1 }).text.replace('.0', '')} (${formatLength(value, 'imperial').text})`;
  return describeField(
    z
      .number(`${label} must be a number`)
      .min(low, `${label} must be at least ${words(low)}${because(ends?.[0])}`)
      .max(high, `${label} must be at most ${words(high)}${because(ends?.[1])}`),
    { label, meaning, kind: 'length', low, high, ...(ends ? { lowReason: ends[0], highReason: ends[1] } : {}) },
  ).default(standard);
}

/** A mass in kilograms with its range. */
export function massField(low: number, high: number, standard: number, label: string, meaning: string) {
  const words = (value: number) =>
    `${formatQuantity('mass', value, 'metric').text} (${formatQuantity('mass', value, 'imperial', 1).text})`;
  return describeField(
    z
      .number(`${label} must be a number`)
      .min(low, `${label} must be at least ${words(low)}`)
      .max(high, `${label} must be at most ${words(high)}`),
    { label, meaning, kind: 'mass', low, high },
  ).default(standard);
}

/** A whole number with its range. */
export function countField(low: number, high: number, standard: number, label: string, meaning: string) {
  return describeField(
    z
      .int(`${label} must be a whole number`)
      .min(low, `${label} must be at least ${low}`)
      .max(high, `${label} must be at most ${high}`),
    { label, meaning, kind: 'count', low, high },
  ).default(standard);
}

/** One of a few ways. */
export function choiceField<const V extends string>(
  choices: Readonly<Record<V, string>>,
  standard: NoInfer<V>,
  label: string,
  meaning: string,
) {
  const values = Object.keys(choices) as V[];
  return describeField(z.enum(values as [V, ...V[]], `${label} must be one of: ${values.join(', ')}`), {
    label,
    meaning,
    kind: 'choice',
    choices: values.map((value) => ({ value, words: choices[value] })),
  }).default(standard as never);
}

/** An entry of the catalogue, by id; `among` narrows the list. */
export function entryField(
  list: CatalogueKind,
  standard: string,
  label: string,
  meaning: string,
  among: (id: string) => boolean = () => true,
) {
  return describeField(
    z
      .string(`${label} must be the id of a ${list}`)
      .refine((id) => findEntry(list, id) !== undefined && among(id), `${label}: no such ${list} in the catalogue`),
    {
      label,
      meaning,
      kind: 'entry',
      list,
      choices: entries(list)
        .filter((one) => among(one.id))
        .map((one) => ({ value: one.id, words: one.name })),
    },
  ).default(standard);
}

/** Range of a parameter of a heater, m, kg or count, with the reason at either end. */
export interface ParameterRange {
  /** Path in the panel. */
  path: string;
  low: number;
  high: number;
  lowReason: string;
  highReason: string;
}

/** Looks up the range of a parameter's own field by the name that its schema gives it. */
export function rangesOf<S extends z.ZodRawShape>(schema: z.ZodObject<S>): (name: keyof S & string) => ParameterRange {
  return (name) => {
    const {
      low = 0,
      high = 0,
      lowReason = '',
      highReason = '',
    } = fieldMeta(schema.shape[name] as z.core.$ZodType) ?? {};
    return { path: `parameters.${name}`, low, high, lowReason, highReason };
  };
}
