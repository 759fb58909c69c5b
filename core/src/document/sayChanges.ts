import { type Family, type Field, families, fieldsOf, type HeaterDocument } from '../families';
import { mounts } from '../mounts';
import { formatNumber, formatQuantity, type Habit } from '../quantity';
import { type Change, changesBetween } from './changes';
import { fieldText } from './fieldText';
import type { Job } from './schema';

/** Names of the fields that are no panel's, by their paths; the longest that fits is taken. */
const names: readonly [path: string, name: string][] = [
  ['name', 'Name of the job'],
  ['units', 'The shop’s tape'],
  ['currency', 'Money'],
  ['site.latitude', 'Latitude'],
  ['site.longitude', 'Longitude'],
  ['site.elevation', 'Height of the place'],
  ['site.zone', 'Time zone'],
  ['site.standing.aim', 'Aim'],
  ['site.standing.tilts', 'Tilt'],
  ['site.standing.front', 'Row in front'],
  ['site.standing.roof', 'Roof'],
  ['site.horizon', 'Skyline'],
  ['site.exposure.albedo', 'Ground before the pane'],
  ['site.exposure.windShare', 'Wind at the pane'],
  ['site.climate', 'Weather'],
  ['site.mains', 'Mains water'],
  ['site.declination', 'Declination'],
  ['site.hottest', 'Hottest hour'],
  ['site', 'Place'],
  ['need.pool', 'The pool'],
  ['need.months', 'Months that matter most'],
  ['need.hours', 'The day by the hour'],
  ['need.heats', 'What heats it now'],
  ['need', 'Need'],
  ['loop.specificFlow', 'Flow'],
  ['loop.glycol', 'Glycol'],
  ['loop.pipe', 'Pipes of the loop'],
  ['loop', 'Loop'],
  ['stores', 'Store'],
  ['shop.sold', 'Price'],
  ['shop.prices', 'Price'],
  ['shop.onHand', 'Your shed'],
  ['shop.things', 'On hand'],
  ['shop.without', 'What the shop has'],
  ['shop.kerfs', 'Saw cut'],
  ['shop.trims', 'Trim of the ends'],
  ['shop.spares', 'Spare'],
  ['shop', 'Shop'],
  ['decisions.unpicked', 'Kind of heater picked'],
  ['decisions.ties', 'Pieces from one length'],
  ['decisions', 'Cut plan'],
  ['asBuilt', 'As built'],
];

function nameOf(path: string): string {
  const found = names.find(([start]) => path === start || path.startsWith(`${start}.`));
  return found?.[1] ?? 'The job';
}

/** What a value outside the heaters reads as; nothing where it is a list or a part and its name says enough. */
function plainText(path: string, value: unknown, habit: Habit): string | undefined {
  if (typeof value === 'string') return value;
  if (typeof value === 'boolean') return value ? 'yes' : 'no';
  if (typeof value !== 'number') return undefined;
  if (path === 'site.standing.aim' || path.endsWith('.tilt')) return `${formatNumber(value)}°`;
  if (path === 'site.elevation') return formatQuantity('height', value, habit).text;
  if (path === 'loop.glycol') return `${formatNumber(100 * value)} %`;
  if (path.startsWith('shop.sold') || path.startsWith('shop.prices')) return formatNumber(value, 2);
  return undefined;
}

/** A change of one field of a panel, by the field's own name. */
function panelChange(before: Job, after: Job, change: Change, habit: Habit): string {
  const [, id = '', ...rest] = change.path;
  const heater = after.heaters[String(id)] ?? before.heaters[String(id)];
  const panel = heater && ({ id: String(id), ...heater } as HeaterDocument);
  const place = rest.join('.');
  if (!panel || place === '') return 'Panels';
  if (place === 'count') return `Panels alike: ${change.before} to ${change.after}`;
  if (place === 'turned') return `Tubes lie ${change.after ? 'across the slope' : 'up the slope'}`;
  if (place.startsWith('family')) return 'Kind of heater';
  if (place.startsWith('known')) return 'Limits of what is not known for sure';
  const field = fieldsIn(panel).find(({ path }) => path === place);
  if (!field) {
    const part = String(rest[0] ?? '');
    return part === 'mount' ? 'What it stands on' : `${part[0]?.toUpperCase() ?? ''}${part.slice(1)} changed`;
  }
  const { label } = field.meta;
  const text = (value: unknown) => (value === undefined ? 'nothing' : fieldText(field.meta, value, habit));
  return `${label}: ${text(change.before)} to ${text(change.after)}`;
}

/** A field by its name and two values that it could have, as a person reads them. */
export function sayField(
  job: Job,
  { path, before, after }: Change,
  habit: Habit,
): { name: string; before: string; after: string } {
  const field = path[0] === 'heaters' && path.length > 2 ? heaterField(job, path) : undefined;
  const dotted = path.join('.');
  const text = (value: unknown): string => {
    if (value === undefined) return 'nothing';
    if (field) return fieldText(field.meta, value, habit);
    return plainText(dotted, value, habit) ?? (typeof value === 'object' ? 'another one' : String(value));
  };
  const own = path[0] === 'heaters' ? `Heater ${String(path[1] ?? '')}` : nameOf(dotted);
  return { name: field?.meta.label ?? own, before: text(before), after: text(after) };
}

/** The field of a heater that a path leads to; nothing where it leads to no single one. */
function heaterField(job: Job, path: readonly (string | number)[]): Field | undefined {
  const [, id = '', ...rest] = path;
  const heater = job.heaters[String(id)];
  if (!heater) return undefined;
  const panel = { id: String(id), ...heater } as HeaterDocument;
  return fieldsIn(panel).find((one) => one.path === rest.join('.'));
}

/** Fields of a heater and of what it stands on. */
function fieldsIn(panel: HeaterDocument): Field[] {
  const family: Family | undefined = families[panel.family as keyof typeof families];
  const mount = panel.mount && mounts[panel.mount.kind as keyof typeof mounts];
  return [
    ...(family?.fields(panel) ?? []),
    ...(mount && panel.mount ? fieldsOf(mount.schema, 'mount.parameters', panel.mount.parameters) : []),
  ];
}

/** Fields told by name; more than these are told by number. */
const mostTold = 3;

/**
 * What differs between two states of a job, in words: `Riser pitch: 89 mm to 106 mm`. Several fields are parted by semicolons; of
 * many the first few are told and the rest counted. Empty where nothing differs.
 */
export function sayChanges(before: Job, after: Job, habit: Habit): string {
  const told = new Set<string>();
  for (const change of changesBetween(before, after)) {
    if (change.path[0] === 'heaters' && change.path.length > 1) {
      told.add(panelChange(before, after, change, habit));
      continue;
    }
    const path = change.path.join('.');
    const [from, to] = [change.before, change.after].map((value) => plainText(path, value, habit));
    const name = nameOf(path);
    told.add(
      to === undefined ? `${name} changed` : from === undefined ? `${name}: ${to}` : `${name}: ${from} to ${to}`,
    );
  }
  const all = [...told];
  const rest = all.length - mostTold;
  return [...all.slice(0, mostTold), ...(rest > 0 ? [`${rest} more`] : [])].join('; ');
}
