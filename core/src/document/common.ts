import * as z from 'zod';

/** An id that the program gives. */
const id = z
  .string()
  .regex(/^[a-z][a-z0-9-]{0,40}$/, 'must be small letters, digits and dashes, beginning with a letter');

/** Entries by their ids: they merge by what they are and not by their place. */
export function keyed<S extends z.ZodType>(
  schema: S,
  limits: { least?: number; most: number; few?: string; key?: z.ZodString },
) {
  const { least = 0, most, few = `at least ${least} of them`, key = id } = limits;
  return z
    .record(key, schema)
    .refine((value) => Object.keys(value).length >= least, few)
    .refine((value) => Object.keys(value).length <= most, `at most ${most} of them`);
}

/** An id of a thing that is sold, made or bought: catalogue ids, roles of parts, keys of prices. */
export const thing = z.string().min(1).max(160);
/** Things that are in a set: by their ids, each `true`. */
export const set = keyed(z.literal(true), { most: 999, key: thing });
export const name = z.string().trim().min(1, 'must not be empty').max(120, 'must be at most 120 characters');
export const money = z.number().min(0, 'a price is not below 0').max(1e6, 'a price is at most 1 000 000');
export const metres = z.number().gt(0, 'must be above 0').max(100, 'must be at most 100 m');
/** Where an entry stands among its like: by this number, and by its id where that is the same. */
export const order = z.number().min(-1e6).max(1e6);
export const monthList = z.array(z.int().min(1).max(12)).max(12);
