import { fieldText } from '../field';
import type { Habit } from '../quantity';
import { type Change, changesBetween } from './changes';
import { fieldAt } from './documentFields';
import type { Job } from './schema';

/** Places of a document that are no fields of their own, by where they begin. */
const rooms: Readonly<Record<string, string>> = {
  site: 'Place',
  need: 'Need',
  loop: 'Loop',
  stores: 'Store',
  shop: 'Shop',
  decisions: 'Cut plan',
};
const parts: Readonly<Record<string, string>> = {
  absorber: 'Absorber',
  box: 'Box',
  glazing: 'Pane',
  mount: 'What it stands on',
};

/** What the place of a change is called. */
function placeName(job: Job, path: Change['path']): string {
  const [room, id, part] = path;
  const own = fieldAt(job, path)?.label;
  if (own) return own;
  if (room !== 'heaters') return rooms[String(room)] ?? 'The job';
  return part === undefined ? `Heater ${String(id ?? '')}`.trim() : (parts[String(part)] ?? 'The heater');
}

/** A field by its name and two values that it could have, as a person reads them. */
export function describeChange(
  job: Job,
  { path, before, after }: Change,
  habit: Habit,
): { name: string; before: string; after: string } {
  const meta = fieldAt(job, path);
  const text = (value: unknown): string => {
    if (value === undefined || value === null) return 'nothing';
    return (meta && fieldText(meta, value, habit)) ?? (typeof value === 'object' ? 'another one' : String(value));
  };
  return { name: placeName(job, path), before: text(before), after: text(after) };
}

/** Changes that are listed by name; the rest are counted. */
const mostTold = 3;

/**
 * What differs between two states of a job, in words: `Riser pitch: 89 mm to 106 mm`. Several fields are parted by semicolons; of
 * many the first few are listed and the rest counted. Empty where nothing differs.
 */
export function describeChanges(before: Job, after: Job, habit: Habit): string {
  const told = new Set<string>();
  for (const change of changesBetween(before, after)) {
    const job = fieldAt(after, change.path) ? after : before;
    const meta = fieldAt(job, change.path);
    const [from, to] = [change.before, change.after].map((value) => meta && fieldText(meta, value, habit));
    const name = placeName(job, change.path);
    told.add(
      to === undefined ? `${name} changed` : from === undefined ? `${name}: ${to}` : `${name}: ${from} to ${to}`,
    );
  }
  const all = [...told];
  const rest = all.length - mostTold;
  return [...all.slice(0, mostTold), ...(rest > 0 ? [`${rest} more`] : [])].join('; ');
}
