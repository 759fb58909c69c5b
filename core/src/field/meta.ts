import * as z from 'zod';
import type { CatalogueKind } from '../catalogue';
import type { QuantityKind } from '../quantity';

/**
 * What is worked out from a document, as far as a field can move it: the weather of the place, the sun on the pane, what the heaters
 * give, days and years of the need, pieces with their plan and money, and the findings.
 */
export type Result = 'weather' | 'sun' | 'heat' | 'need' | 'pieces' | 'findings';

/** What a field is, said once: a face shows it, a route checks it, an undo names it by this. */
export interface FieldMeta {
  label: string;
  /** One line: what it is. */
  meaning: string;
  /** `part` is a record or a list that is set whole. */
  kind: 'length' | 'mass' | 'count' | 'quantity' | 'number' | 'choice' | 'entry' | 'flag' | 'text' | 'part';
  /** For `quantity`. */
  quantity?: QuantityKind;
  /** For `number`: it is shown times a hundred, with this after it. */
  percent?: true;
  /** Decimals that are shown, where the kind does not say. */
  digits?: number;
  /** SI. */
  low?: number;
  high?: number;
  /** Why the range ends there. */
  lowReason?: string;
  highReason?: string;
  /** For `choice` and `entry`: value and words. */
  choices?: readonly { value: string; words: string }[];
  /** For `entry`: which list, and which of it. */
  list?: CatalogueKind;
  /** Fields of different kinds that mean the same thing say the same here: its value comes along when the kind is changed. */
  same?: string;
  /** It is a size of something that is bought or found as it is: no miscut piece is answered by another one. */
  bought?: true;
  /** Results that depend on it; nothing is worked out from a field without one. */
  moves?: readonly Result[];
}

/** By schema. Not a Zod registry: that gives a new copy at every look, and faces compare what they are given. */
const metas = new WeakMap<z.core.$ZodType, FieldMeta>();

/** Says what a field is. */
export function describeField<S extends z.core.$ZodType>(schema: S, meta: FieldMeta): S {
  metas.set(schema, meta);
  return schema;
}

/** What was said of a field, through a default, `optional` and `nullable`; undefined where nothing was. */
export function fieldMeta(field: z.core.$ZodType): FieldMeta | undefined {
  const own = metas.get(field);
  if (own) return own;
  if (field instanceof z.ZodDefault || field instanceof z.ZodOptional || field instanceof z.ZodNullable)
    return fieldMeta(field.def.innerType as z.core.$ZodType);
  return undefined;
}
