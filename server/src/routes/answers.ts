import { zValidator } from '@hono/zod-validator';
import type * as z from 'zod';

/** Checks a request body against a schema; what is wrong is named field by field. */
export function body<S extends z.ZodType>(schema: S) {
  return zValidator('json', schema, (result, context) => {
    if (result.success) return undefined;
    const errors = result.error.issues.map((issue) => ({
      path: issue.path.map(String).join('.'),
      message: issue.message,
    }));
    return context.json({ message: 'The request is not in order.', errors }, 422);
  });
}

export function noJob(id: string) {
  return { message: `There is no job “${id}” on this shelf.` };
}
