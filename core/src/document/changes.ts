/** One field changed: where, what it was and what it becomes; `undefined` stands for not there. */
export interface Change {
  path: (string | number)[];
  before?: unknown;
  after?: unknown;
}

type Container = Record<string, unknown> | unknown[];

function isContainer(value: unknown): value is Container {
  return typeof value === 'object' && value !== null;
}

/** Whether two JSON values are the same. */
export function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (!isContainer(a) || !isContainer(b) || Array.isArray(a) !== Array.isArray(b)) return false;
  const keys = Object.keys(a);
  return (
    keys.length === Object.keys(b).length &&
    keys.every(
      (key) => Object.hasOwn(b, key) && same((a as Record<string, unknown>)[key], (b as Record<string, unknown>)[key]),
    )
  );
}

/**
 * A value equal to `after` in which everything that is as it was before is the same object as before: whoever looks by identity sees only
 * what has changed.
 */
export function sharing<T>(before: unknown, after: T): T {
  if (before === after || same(before, after)) return before as T;
  if (!isContainer(before) || !isContainer(after) || Array.isArray(before) || Array.isArray(after)) return after;
  return Object.fromEntries(
    Object.entries(after).map(([key, value]) => [
      key,
      Object.hasOwn(before, key) ? sharing(before[key], value) : value,
    ]),
  ) as T;
}

/** The value at a path, or undefined. */
export function valueAtPath(document: unknown, path: readonly (string | number)[]): unknown {
  let value = document;
  for (const step of path) {
    if (!isContainer(value) || !Object.hasOwn(value, step)) return undefined;
    value = (value as Record<string | number, unknown>)[step];
  }
  return value;
}

/** Names that are no fields of a document but reach into what it is made of. */
const unnamable = new Set(['__proto__', 'constructor', 'prototype']);

/** Whether a step can be taken in a list or a record: a list takes a place that it has or the next one, and nothing else. */
function isStep(document: Container, step: string | number): boolean {
  if (!Array.isArray(document)) return !unnamable.has(String(step));
  return typeof step === 'number' && Number.isInteger(step) && step >= 0 && step <= document.length;
}

/**
 * A copy with one field set (or taken out, for undefined); everything not on the path is shared. Entries that the path leads through and
 * that are not there yet are made. Throws RangeError on a path through a value that has no fields.
 */
export function withValueAt<T>(document: T, path: readonly (string | number)[], value: unknown): T {
  const [step, ...rest] = path;
  if (step === undefined) return value as T;
  if (!isContainer(document) || !isStep(document, step)) throw new RangeError(`no field at ${path.join('.')}`);
  if (Array.isArray(document) && rest.length === 0 && value === undefined)
    throw new RangeError(`an entry of a list is taken out with the whole list: ${path.join('.')}`);
  const copy: Container = Array.isArray(document) ? [...document] : { ...document };
  const held = Object.hasOwn(document, step) ? (document as Record<string | number, unknown>)[step] : undefined;
  if (rest.length > 0 && held === undefined && value === undefined) return document;
  const inner = rest.length > 0 ? withValueAt(held ?? {}, rest, value) : value;
  if (inner === undefined && !Array.isArray(copy)) delete copy[String(step)];
  else (copy as Record<string | number, unknown>)[step] = inner;
  return copy as T;
}

/**
 * The fields that differ, as deep as the two agree in shape. A list changes as a whole: its places do not say which entry is which. What
 * merges entry by entry stands in the document by ids. What comes new is told field by field, so that two sides can add to one record;
 * what goes, goes whole.
 */
export function changesBetween(before: unknown, after: unknown, path: (string | number)[] = []): Change[] {
  if (same(before, after)) return [];
  const added = before === undefined && isContainer(after) && !Array.isArray(after) && Object.keys(after).length > 0;
  if (added) return changesBetween({}, after, path);
  const bothObjects = isContainer(before) && isContainer(after) && !Array.isArray(before) && !Array.isArray(after);
  if (!bothObjects) return [{ path, before, after }];
  const keys = new Set([...Object.keys(before), ...Object.keys(after)]);
  return [...keys].flatMap((key) =>
    changesBetween(valueAtPath(before, [key]), valueAtPath(after, [key]), [...path, key]),
  );
}

export interface Conflict {
  path: (string | number)[];
  yours: unknown;
  theirs: unknown;
}

/**
 * Lays somebody's changes over a document that has moved on since they began. A field that still is what they saw is
 * set; one that already is what they want is left; any other is a conflict, and then nothing is set. Throws RangeError on a
 * path that leads through no field.
 */
export function mergeChanges<T>(
  current: T,
  changes: readonly Change[],
): { ok: true; document: T } | { ok: false; conflicts: Conflict[] } {
  const conflicts: Conflict[] = [];
  let document = current;
  for (const { path, before, after } of changes) {
    const theirs = valueAtPath(current, path);
    if (same(theirs, after)) continue;
    if (!same(theirs, before)) {
      conflicts.push({ path, yours: after, theirs });
      continue;
    }
    document = withValueAt(document, path, after);
  }
  return conflicts.length > 0 ? { ok: false, conflicts } : { ok: true, document };
}

/** Where a field of a document is: in steps, or dotted where no step has a dot in it. */
export type FieldPath = string | readonly (string | number)[];

/** `heaters.panel-a.parameters.pitch` as steps. A path with an id that has dots in it is given in steps. */
export function pathSteps(path: FieldPath): (string | number)[] {
  if (typeof path !== 'string') return [...path];
  return path.split('.').map((step) => (/^\d+$/.test(step) ? Number(step) : step));
}
