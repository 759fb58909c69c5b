import { memberOf } from '../catalogue';
import type { Habit } from '../quantity';
import type { Family, HeaterDocument } from './family';
import { families } from './registry';
import { whyNotOn } from './stands';

/** A panel made over into another kind, with what came along and what did not, in words. */
export interface ChangedKind {
  panel: HeaterDocument;
  kept: string[];
  left: string[];
}

/** How paths of a kind's own parameters begin. */
const own = 'parameters.';

/**
 * Makes a panel of another kind out of one: pane, box, absorber, stand, count, and every parameter that means the same by its tag come along
 * where the new kind has them and takes them; the rest is fitted to the pane. Throws UnknownMember on an unknown kind.
 */
export function changeKind(panel: HeaterDocument, familyId: string, habit: Habit): ChangedKind {
  const before: Family = memberOf<Family>(families, 'kind of heater', panel.family);
  const after: Family = memberOf<Family>(families, 'kind of heater', familyId);
  const fields = before.fields(panel).filter(({ path }) => path.startsWith(own));
  let made: HeaterDocument = { id: panel.id, ...after.standard(habit), count: panel.count };
  const kept: string[] = ['how many'];
  const left: string[] = [];
  for (const name of ['glazing', 'box', 'absorber'] as const) {
    const chosen = panel[name];
    if (!chosen) continue;
    const tried = { ...made, [name]: chosen };
    const words = name === 'glazing' ? 'pane' : name;
    if (made[name] && after.problems(tried).length === 0) {
      made = tried;
      kept.push(words);
    } else left.push(words);
  }
  const { mount } = panel;
  if (mount) {
    const goes = whyNotOn(familyId, mount.kind) === undefined;
    if (goes) made = { ...made, mount };
    (goes ? kept : left).push('stand');
  }
  const carried = new Map<string, string>();
  const wanted = new Map(
    after.fields(made).flatMap(({ path, meta }) => (meta.same && path.startsWith(own) ? [[meta.same, path]] : [])) as [
      string,
      string,
    ][],
  );
  for (const { value, meta } of fields) {
    const words = meta.label.toLowerCase();
    const name = wanted.get(meta.same ?? '')?.slice(own.length);
    const tried = name && { ...made, parameters: { ...made.parameters, [name]: value } };
    if (tried && after.problems(tried).length === 0) {
      made = tried;
      kept.push(words);
      carried.set(name, words);
    } else left.push(words);
  }
  const fitted = (document: HeaterDocument) => after.fit?.(document) ?? document;
  const standard = after.standard(habit).parameters;
  // A size that fits its own kind may not fit here: an air gap over tanks is too much over a plate. What clashes stays behind.
  for (const [name, words] of carried) {
    const clashes = clashesOf(after, fitted(made));
    if (clashes === 0) break;
    const without = { ...made, parameters: { ...made.parameters, [name]: standard[name] } };
    if (clashesOf(after, fitted(without)) >= clashes) continue;
    made = without;
    kept.splice(kept.indexOf(words), 1);
    left.push(words);
  }
  return { panel: fitted(made), kept, left };
}

function clashesOf(family: Family, panel: HeaterDocument): number {
  return family.open(panel, '').findings.filter(({ severity }) => severity === 'clash').length;
}
