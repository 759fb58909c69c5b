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

/** A length in metres with its range, default and meaning. */
export function lengthField(low: number, high: number, standard: number, label: string, meaning: string) {
  const words = (value: number) =>
    `${formatLength(value, 'metric', { decimals: 1 }).text.replace('.0', '')} (${formatLength(value, 'imperial').text})`;
  return describeField(
    z
      .number(`${label} must be a number`)
      .min(low, `${label} must be at least ${words(low)}`)
      .max(high, `${label} must be at most ${words(high)}`),
    { label, meaning, kind: 'length', low, high },
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

/** Looks up the range of a parameter's own field, m, kg or count, by the name that its schema gives it. */
export function rangesOf<S extends z.ZodRawShape>(
  schema: z.ZodObject<S>,
): (name: keyof S) => { low: number; high: number } {
  return (name) => {
    const meta = fieldMeta(schema.shape[name] as z.core.$ZodType);
    return { low: meta?.low ?? 0, high: meta?.high ?? 0 };
  };
}
