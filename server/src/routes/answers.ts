import { zValidator } from '@hono/zod-validator';
import * as z from 'zod';
import { unkeepable } from '../text';

/** What is wrong with a request, field by field. */
export function fieldErrors(error: { issues: readonly { path: readonly PropertyKey[]; message: string }[] }) {
  const errors = error.issues.map(({ path, message }) => ({ path: path.map(String).join('.'), message }));
  return { message: 'The request is not in order.', errors };
}

/** Serial numbers of the database. */
export const serial = z.coerce.number().int().min(1).max(2_147_483_647);

/** Checks a request body against a schema; what is wrong is named field by field. */
export function body<S extends z.ZodType>(schema: S) {
  return zValidator('json', schema, (result, context) => {
    if (!result.success) return context.json(fieldErrors(result.error), 422);
    const path = unkeepable(result.data);
    if (path === undefined) return undefined;
    const message = 'It holds a sign that cannot be kept: a NUL, or half of a pair. Take it out.';
    return context.json({ message, errors: [{ path, message }] }, 422);
  });
}

/** Checks what stands behind the question mark of an address against a schema; what is wrong is named field by field. */
export function asked<S extends z.ZodType>(schema: S) {
  return zValidator('query', schema, (result, context) => {
    if (!result.success) return context.json(fieldErrors(result.error), 422);
    return unkeepable(result.data) === undefined ? undefined : context.json({ message: 'There is no such name.' }, 422);
  });
}

export function noJob(id: string) {
  return { message: `There is no job “${id.slice(0, 60)}” on this shelf.` };
}

/** Said to a sender who has seen what this database never had: it was put back to an older copy since. */
export const olderCopy = { message: 'The server has an older copy of this job.', parted: true };
