import { zValidator } from '@hono/zod-validator';
import type * as z from 'zod';

/** What is wrong with a request, field by field. */
export function fieldErrors(error: { issues: readonly { path: readonly PropertyKey[]; message: string }[] }) {
  const errors = error.issues.map(({ path, message }) => ({ path: path.map(String).join('.'), message }));
  return { message: 'The request is not in order.', errors };
}

/** Checks a request body against a schema; what is wrong is named field by field. */
export function body<S extends z.ZodType>(schema: S) {
  return zValidator('json', schema, (result, context) => {
    return result.success ? undefined : context.json(fieldErrors(result.error), 422);
  });
}

export function noJob(id: string) {
  return { message: `There is no job “${id}” on this shelf.` };
}
