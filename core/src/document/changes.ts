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

/** A copy with one field set (or taken out, for undefined); everything not on the path is shared. Throws RangeError. */
export function withValueAt<T>(document: T, path: readonly (string | number)[], value: unknown): T {
  const [step, ...rest] = path;
  if (step === undefined) return value as T;
  if (!isContainer(document) || !isStep(document, step)) throw new RangeError(`no field at ${path.join('.')}`);
  if (Array.isArray(document) && rest.length === 0 && value === undefined)
    throw new RangeError(`an entry of a list is taken out with the whole list: ${path.join('.')}`);
  const copy: Container = Array.isArray(document) ? [...document] : { ...document };
  const inner =
    rest.length > 0 ? withValueAt((document as Record<string | number, unknown>)[step], rest, value) : value;
  if (inner === undefined && !Array.isArray(copy)) delete copy[String(step)];
  else (copy as Record<string | number, unknown>)[step] = inner;
  return copy as T;
}

/**
 * The fields that differ, as deep as the two agree in shape. Lists of unlike length change as a whole: their places do
 * not say which entry is which.
 */
export function changesBetween(before: unknown, after: unknown, path: (string | number)[] = []): Change[] {
  if (same(before, after)) return [];
  const bothLists = Array.isArray(before) && Array.isArray(after) && before.length === after.length;
  const bothObjects = isContainer(before) && isContainer(after) && !Array.isArray(before) && !Array.isArray(after);
  if (!bothLists && !bothObjects) return [{ path, before, after }];
  const keys = new Set([...Object.keys(before as Container), ...Object.keys(after as Container)]);
  return [...keys].flatMap((key) => {
    const step = bothLists ? Number(key) : key;
    return changesBetween(valueAtPath(before, [step]), valueAtPath(after, [step]), [...path, step]);
  });
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

/** `panels.0.parameters.pitch` as steps. */
export function pathSteps(path: string): (string | number)[] {
  return path.split('.').map((step) => (/^\d+$/.test(step) ? Number(step) : step));
}
