import * as z from 'zod';
import { type Family, families, fieldsOf, type HeaterDocument } from '../families';
import { type FieldMeta, fieldMeta, type Result } from '../field';
import { mounts } from '../mounts';
import { heaterSchema, type Job, jobSchema } from './schema';

type Schema = z.core.$ZodType;
type Path = readonly (string | number)[];

/** A field as it is declared; `*` stands in its path for an id that the builder's entries have. */
export interface DocumentField {
  path: string[];
  meta: FieldMeta;
  /** It may be left out, or be null. */
  optional: boolean;
}

/** What stands in a schema, without what says that it may be missing. */
function bare(schema: Schema): Schema {
  if (schema instanceof z.ZodOptional || schema instanceof z.ZodNullable || schema instanceof z.ZodDefault)
    return bare(schema.def.innerType as Schema);
  return schema;
}

/** Fields and records below a schema, by name; a record has one entry, `*`. */
function below(schema: Schema): [step: string, schema: Schema][] {
  const inner = bare(schema);
  if (inner instanceof z.ZodObject) return Object.entries(inner.shape) as [string, Schema][];
  if (inner instanceof z.ZodRecord) return [['*', inner.valueType as Schema]];
  return [];
}

function walk(schema: Schema, path: string[]): DocumentField[] {
  return below(schema).flatMap(([step, inner]): DocumentField[] => {
    const here = [...path, step];
    const meta = fieldMeta(inner);
    return [...(meta ? [{ path: here, meta, optional: bare(inner) !== inner }] : []), ...walk(inner, here)];
  });
}

let known: DocumentField[] | undefined;

/** Every field of the document that is declared, but those of a heater's own kind. */
export function documentFields(schema: Schema = jobSchema): readonly DocumentField[] {
  if (schema !== jobSchema) return walk(schema, []);
  known ??= walk(jobSchema, []);
  return known;
}

/** What is said of a field by its path: of the deepest that is declared on the way there. Undefined where the document has none. */
export function fieldAt(job: Job, path: Path, root: Schema = jobSchema): FieldMeta | undefined {
  let schema: Schema | undefined = root;
  let found: FieldMeta | undefined;
  for (const step of path) {
    const entries: [string, Schema][] = schema ? below(schema) : [];
    schema = (entries.find(([name]) => name === String(step)) ?? entries.find(([name]) => name === '*'))?.[1];
    found = (schema && fieldMeta(schema)) ?? found;
  }
  return heaterField(job, path) ?? found;
}

/** A field of a heater's own kind, of its absorber, box or pane, or of what it stands on. */
function heaterField(job: Job, path: Path): FieldMeta | undefined {
  const [room, id = '', ...rest] = path;
  const heater = room === 'heaters' ? job.heaters[String(id)] : undefined;
  if (!heater) return undefined;
  const panel = { id: String(id), ...heater } as HeaterDocument;
  const family: Family | undefined = families[panel.family as keyof typeof families];
  const mount = panel.mount && mounts[panel.mount.kind as keyof typeof mounts];
  const fields = [
    ...(family?.fields(panel) ?? []),
    ...(mount && panel.mount ? fieldsOf(mount.schema, 'mount.parameters', panel.mount.parameters) : []),
  ];
  return fields.find((one) => one.path === rest.join('.'))?.meta;
}

/** Results that depend on everything that a heater is made of. */
const ofHeaters: readonly Result[] = ['heat', 'need', 'pieces', 'findings'];

/** What of a value some results depend on; undefined where nothing of it. */
function dependedOn(value: unknown, schema: Schema, results: ReadonlySet<Result>): unknown {
  const meta = fieldMeta(schema);
  if (meta) return meta.moves?.some((one) => results.has(one)) ? value : undefined;
  // All that a heater is made of moves whatever is worked out of it; the sky over it only by the fields that say so.
  if (bare(schema) === heaterSchema && ofHeaters.some((one) => results.has(one))) return value;
  if (typeof value !== 'object' || value === null) return undefined;
  const entries = below(schema);
  const parts = Object.entries(value).flatMap(([step, inner]): [string, unknown][] => {
    const of = (entries.find(([name]) => name === step) ?? entries.find(([name]) => name === '*'))?.[1];
    const part = of && dependedOn(inner, of, results);
    return part === undefined ? [] : [[step, part]];
  });
  return parts.length > 0 ? Object.fromEntries(parts) : undefined;
}

/** Keys by document and results: a document never changes, it is replaced. */
const keys = new WeakMap<Job, Map<string, string>>();

/** Everything that some results depend on, as one text: as long as it is the same, so are they. */
export function resultKey(job: Job, results: readonly Result[], root: Schema = jobSchema): string {
  if (root !== jobSchema) return JSON.stringify(dependedOn(job, root, new Set(results)));
  const name = results.join();
  const own = keys.get(job) ?? new Map<string, string>();
  keys.set(job, own);
  const key = own.get(name) ?? JSON.stringify(dependedOn(job, jobSchema, new Set(results)));
  own.set(name, key);
  return key;
}

/** Fields as a table in Markdown: what each is, where, in which unit and between what. */
export function fieldTable(fields: readonly DocumentField[] = documentFields()): string {
  const rows = fields.map(({ path, meta, optional }) => {
    const { label, meaning, moves = [] } = meta;
    const cells = [`\`${path.join('.')}\``, label, meaning, unitWords(meta), rangeWords(meta), moves.join(', ')];
    return `| ${cells.join(' | ')}${optional ? ' (may be left out)' : ''} |`;
  });
  return [
    '| path | label | what it is | unit | range | results that depend on it |',
    '|---|---|---|---|---|---|',
    ...rows,
  ].join('\n');
}

const si: Partial<Record<string, string>> = {
  length: 'm',
  height: 'm',
  area: 'm²',
  volume: 'm³',
  mass: 'kg',
  temperature: '°C',
  speed: 'm/s',
  angle: '°',
};

function unitWords({ kind, quantity, percent, choices }: FieldMeta): string {
  if (kind === 'quantity') return si[quantity ?? ''] ?? '';
  if (kind === 'length' || kind === 'mass') return si[kind] ?? '';
  if (kind === 'choice') return (choices ?? []).map(({ value }) => `\`${value}\``).join(', ');
  if (kind === 'flag') return 'yes or no';
  return percent ? 'share, 0 to 1' : kind === 'part' ? 'set whole' : kind;
}

function rangeWords({ low, high, lowReason, highReason }: FieldMeta): string {
  if (low === undefined || high === undefined) return '';
  const end = (value: number, reason: string | undefined) => `${value}${reason ? ` (${reason})` : ''}`;
  return `${end(low, lowReason)} to ${end(high, highReason)}`;
}
