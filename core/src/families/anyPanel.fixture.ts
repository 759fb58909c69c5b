import * as fc from 'fast-check';
import { type Family, type HeaterDocument, standardChoice } from '.';

type Values = Record<string, unknown>;
const copy = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T;

/** Any value that a field takes. */
function anyValue(field: ReturnType<Family['fields']>[number]): fc.Arbitrary<unknown> {
  const { meta } = field;
  if (meta.kind === 'length' || meta.kind === 'mass')
    return fc.double({ min: meta.low ?? 0, max: meta.high ?? 1, noNaN: true });
  if (meta.kind === 'count') return fc.integer({ min: meta.low ?? 0, max: meta.high ?? 10 });
  return fc.constantFrom(...(meta.choices ?? []).map(({ value }) => value));
}

/** A panel of a family with kinds of absorber, box and pane, and every parameter of all of them, anywhere in its range. */
export function anyPanel(family: Family): fc.Arbitrary<HeaterDocument> {
  const base: HeaterDocument = { id: 'p', ...family.standard('metric') };
  const kinds = family.fields(base).filter(({ path }) => path.endsWith('.kind'));
  return fc
    .tuple(fc.boolean(), ...kinds.map((field) => anyValue(field)))
    .map(([turned, ...chosen]) => {
      const panel: Values = copy({ ...base, turned });
      kinds.forEach(({ path }, index) => {
        const [name = ''] = path.split('.');
        panel[name] = standardChoice(name as 'box', String(chosen[index]), 'metric');
      });
      return panel as unknown as HeaterDocument;
    })
    .chain((panel) => {
      const fields = family.fields(panel).filter(({ path }) => !path.endsWith('.kind'));
      return fc.tuple(...fields.map((field) => anyValue(field))).map((values) => {
        const made = copy(panel) as unknown as Record<string, Values & { parameters?: Values }>;
        fields.forEach(({ path }, index) => {
          const [head = '', name = '', inner = ''] = path.split('.');
          if (head === 'parameters') (made.parameters as Values)[name] = values[index];
          else if (made[head]?.parameters) made[head].parameters[inner] = values[index];
        });
        return made as unknown as HeaterDocument;
      });
    });
}
