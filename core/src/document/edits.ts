import { enablePatches, Immer } from 'immer';
import { type Change, changesBetween, type FieldPath, pathSteps, same, valueAtPath, withValueAt } from './changes';

enablePatches();
/** What is set freezes nothing: the same values stand in caches of their own. */
const immer = new Immer({ autoFreeze: false });

type Fields = Record<string | number, unknown>;

/**
 * Sets fields of a document together.
 *
 * @param fields each by its path; `undefined` takes a field out
 * @returns the document, and what of it changed: each path with what stood there and what stands there now
 *
 * Throws RangeError on a path that leads through a value without fields.
 */
export function setFields<T extends object>(
  document: T,
  fields: readonly { path: FieldPath; value: unknown }[],
): { document: T; edits: Change[] } {
  const [next, patches] = immer.produceWithPatches(document, (draft) => {
    for (const { path, value } of fields) setField(draft as Fields, pathSteps(path), value);
  });
  const edits = patches.flatMap(({ path }) => {
    const [before, after] = [valueAtPath(document, path), valueAtPath(next, path)];
    // A patch that sets a whole record becomes one edit per field, so that two devices can add to it, after one edit that creates the record
    // empty, so that undoing removes the record with its last field.
    return [...begun(before, after, path), ...changesBetween(before, after, path)];
  });
  return { document: next, edits: withoutRepeats(edits) };
}

/** Records that come new with an edit, the outer before what is in it: each as begun empty. */
function begun(before: unknown, after: unknown, path: readonly (string | number)[]): Change[] {
  if (typeof after !== 'object' || after === null || Array.isArray(after)) return [];
  const inner = (held: unknown) =>
    Object.entries(after).flatMap(([key, value]) => begun(valueAtPath(held, [key]), value, [...path, key]));
  if (before === undefined)
    return Object.keys(after).length === 0 ? [] : [{ path: [...path], before: undefined, after: {} }, ...inner({})];
  return typeof before === 'object' && before !== null && !Array.isArray(before) ? inner(before) : [];
}

function setField(draft: Fields, path: readonly (string | number)[], value: unknown): void {
  assertPath(draft, path);
  let held = draft;
  for (const step of path.slice(0, -1)) {
    if (held[step] === undefined) {
      if (value === undefined) return;
      held[step] = {};
    }
    held = held[step] as Fields;
  }
  const last = path[path.length - 1];
  if (last === undefined) throw new RangeError('no field without a path');
  if (value === undefined) delete held[last];
  else held[last] = value;
}

/** Throws RangeError where a path leads through a value without fields, or by a name that is none. */
function assertPath(draft: Fields, path: readonly (string | number)[]): void {
  withValueAt({}, path.length > 0 ? path : ['no field'], null);
  let held: unknown = draft;
  for (const step of path.slice(0, -1)) {
    held = (held as Fields)[step];
    if (held === undefined) return;
    if (typeof held !== 'object' || held === null || Array.isArray(held))
      throw new RangeError(`no field at ${path.join('.')}: a list changes as a whole`);
  }
}

/** Each path once; a path within another that changed as a whole goes with that one. */
function withoutRepeats(edits: readonly Change[]): Change[] {
  const seen = new Set<string>();
  return edits.filter(({ path }) => {
    const key = JSON.stringify(path);
    if (seen.has(key)) return false;
    seen.add(key);
    return true;
  });
}

/** Whether an edit only begins an empty record, or takes one away that was begun. */
function isBeginning({ before, after }: Change): boolean {
  const empty = (value: unknown) => typeof value === 'object' && value !== null && Object.keys(value).length === 0;
  return (before === undefined && empty(after)) || (empty(before) && after === undefined);
}

/** What the other way round brings back what was. */
export function inverse(edits: readonly Change[]): Change[] {
  return edits.map(({ path, before, after }) => ({ path, before: after, after: before })).reverse();
}

/**
 * Applies edits to a document as it is now, wherever a path still has the value from before the edit. A path that already has the new value is
 * listed neither in `laid` nor in `left`; a path that has been changed since keeps its value and is listed in `left`.
 */
export function applyEdits<T>(document: T, edits: readonly Change[]): { document: T; laid: Change[]; left: Change[] } {
  let now = document;
  const laid: Change[] = [];
  const left: Change[] = [];
  for (const edit of edits) {
    const { path, before, after } = edit;
    const stands = valueAtPath(now, path);
    // What stands there already is no edit of this hand: taken back later it would take somebody else's value.
    if (same(stands, after)) continue;
    if (!same(stands, before)) {
      // A record that somebody has put more into stays: what of it was one's own is a path of its own.
      if (!isBeginning(edit)) left.push(edit);
      continue;
    }
    try {
      now = withValueAt(now, path, after);
      laid.push(edit);
    } catch (error) {
      // What it was a part of is gone.
      if (!(error instanceof RangeError)) throw error;
      left.push(edit);
    }
  }
  return { document: now, laid, left };
}
