import type * as z from 'zod';
import type { Habit } from '../quantity';

/** One of a set of interchangeable things (absorbers, boxes, glazings), with its own parameters. */
export interface Member<Design> {
  id: string;
  name: string;
  /** One line: what it is. */
  meaning: string;
  schema: z.ZodObject;
  /** Parameters to begin with. */
  standard(habit: Habit): Record<string, unknown>;
  /** Parses once and returns the design. Throws ZodError; the job document's own check comes first. */
  open(parameters: unknown): Design;
}

/** Ties a member's design to its own parameter type, so that nobody outside casts. */
export function defineMember<S extends z.ZodObject, Design>(member: {
  id: string;
  name: string;
  meaning: string;
  schema: S;
  standard(habit: Habit): Partial<z.infer<S>>;
  design(parameters: z.infer<S>): Design;
}): Member<Design> {
  const { id, name, meaning, schema, standard, design } = member;
  return { id, name, meaning, schema, standard, open: (parameters) => design(schema.parse(parameters)) };
}

/** An id that a registry does not hold: met only by a program that skipped the document's check. */
export class UnknownMember extends Error {
  constructor(
    readonly kind: string,
    readonly id: string,
  ) {
    super(`no ${kind} “${id}”`);
    this.name = 'UnknownMember';
  }
}

/** The member with that id. Throws UnknownMember. */
export function memberOf<M>(registry: Readonly<Record<string, M>>, kind: string, id: string): M {
  const found = Object.hasOwn(registry, id) ? registry[id] : undefined;
  if (!found) throw new UnknownMember(kind, id);
  return found;
}
