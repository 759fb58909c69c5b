import type * as z from 'zod';
import { type AbsorberDesign, absorbers, absorberWords } from '../absorbers';
import { type BoxMember, boxes, boxWords } from '../boxes';
import type { Words } from '../care';
import { type Member, memberOf } from '../catalogue';
import type { FieldMeta } from '../field';
import { type GlazingDesign, glazings, glazingWords } from '../glazings';
import type { Habit } from '../quantity';
import {
  type Chosen,
  chosenProblems,
  type Family,
  type Field,
  fieldsOf,
  type HeaterDesign,
  type HeaterDocument,
  type HeaterProblem,
  problemsOf,
} from './family';
import { fitPlateSalvage } from './plate/salvage';

/** What a tube-and-plate family is made of, opened. */
export interface PlateBuild<P> {
  id: string;
  path: string;
  parameters: P;
  absorber: AbsorberDesign;
  box: BoxMember;
  glazing: GlazingDesign;
  turned: boolean;
  known: HeaterDocument['known'];
}

const shared = { absorber: absorbers, box: boxes, glazing: glazings } as const;
type Shared = keyof typeof shared;
const sharedNames = Object.keys(shared) as Shared[];

/** What a face shows of the choice itself; made once, so that the same field is the same object. */
const kindMetas = Object.fromEntries(
  sharedNames.map((name): [Shared, FieldMeta] => [
    name,
    {
      label: `${name[0]?.toUpperCase()}${name.slice(1)}`,
      meaning: `Which ${name} the panel has.`,
      kind: 'choice',
      choices: Object.values<Member<unknown>>(shared[name]).map((member) => ({ value: member.id, words: member.name })),
    },
  ]),
) as Record<Shared, FieldMeta>;

/**
 * Defines a family of tubes on a plate in a glazed box: closes over its own parameter type, and composes the absorber,
 * box and glazing it is given.
 */
export function definePlateFamily<S extends z.ZodObject>(family: {
  id: string;
  name: string;
  subtitle: string;
  meaning: string;
  schema: S;
  standard(habit: Habit): {
    parameters: z.infer<S>;
    absorber: keyof typeof absorbers;
    box: keyof typeof boxes;
    glazing: keyof typeof glazings;
    turned: boolean;
  };
  design(build: PlateBuild<z.infer<S>>): HeaterDesign;
  /** Parameters with which tubes and plate fill the box round the pane. */
  fit(build: PlateBuild<z.infer<S>>): Partial<z.infer<S>>;
  words: Readonly<Record<string, Words>>;
  standardLoop?: Family['standardLoop'];
  argues?: Family['argues'];
}): Family {
  const chosen = (panel: HeaterDocument, name: Shared): Chosen => {
    const found = panel[name];
    if (!found) throw new TypeError(`panel ${panel.id} has no ${name}`);
    return found;
  };
  const opened = (panel: HeaterDocument, path: string): PlateBuild<z.infer<S>> => {
    const part = (name: Shared) => chosen(panel, name);
    return {
      id: panel.id,
      path,
      parameters: family.schema.parse(panel.parameters),
      absorber: memberOf(absorbers, 'absorber', part('absorber').kind).open(part('absorber').parameters),
      box: memberOf(boxes, 'box', part('box').kind).open(part('box').parameters),
      glazing: memberOf(glazings, 'glazing', part('glazing').kind).open(part('glazing').parameters),
      turned: panel.turned,
      known: panel.known,
    };
  };
  const made: Family = {
    id: family.id,
    name: family.name,
    subtitle: family.subtitle,
    meaning: family.meaning,
    ...(family.standardLoop ? { standardLoop: family.standardLoop } : {}),
    ...(family.argues ? { argues: family.argues } : {}),
    bare: (panel) => {
      const { length, width } = chosen(panel, 'glazing').parameters;
      const bare = { ...panel, glazing: { kind: 'none', parameters: { length, width } } };
      return made.problems(bare).length === 0 ? bare : panel;
    },
    words: { ...family.words, ...absorberWords, ...boxWords, ...glazingWords },
    standard: (habit) => {
      const { parameters, turned, ...members } = family.standard(habit);
      const choose = (name: Shared): Chosen => ({
        kind: members[name],
        parameters: memberOf<Member<unknown>>(shared[name], name, members[name]).standard(habit),
      });
      return {
        family: family.id,
        parameters,
        absorber: choose('absorber'),
        box: choose('box'),
        glazing: choose('glazing'),
        count: 1,
        turned,
      };
    },
    problems: (panel) => {
      const problems: HeaterProblem[] = problemsOf(family.schema, ['parameters'], panel.parameters);
      for (const name of sharedNames) {
        const part = panel[name];
        if (!part) problems.push({ path: [name], message: `A ${family.name} needs its ${name}.` });
        else problems.push(...chosenProblems(shared[name], name, part));
      }
      return problems;
    },
    fields: (panel): Field[] => [
      ...fieldsOf(family.schema, 'parameters', panel.parameters),
      ...sharedNames.flatMap((name): Field[] => {
        const part = chosen(panel, name);
        const registry = shared[name];
        const member = memberOf<Member<unknown>>(registry, name, part.kind);
        return [
          { path: `${name}.kind`, value: part.kind, meta: kindMetas[name] },
          ...fieldsOf(member.schema, `${name}.parameters`, part.parameters),
        ];
      }),
    ],
    fit: (panel) => {
      const fitted = { ...panel, parameters: { ...panel.parameters, ...family.fit(opened(panel, '')) } };
      return problemsOf(family.schema, [], fitted.parameters).length === 0 ? fitted : panel;
    },
    open: (panel, path) => family.design(opened(panel, path)),
  };
  return { ...made, salvage: fitPlateSalvage(made) };
}

/** Sizes that stay when a builder takes another kind of pane: the hole in the box is what it is. */
const staying = ['length', 'width'];

/** Parameters to begin with when a builder takes another absorber, box or glazing in the place of one. */
export function standardChoice(name: Shared, kind: string, habit: Habit, before?: Chosen): Chosen {
  const member = memberOf<Member<unknown>>(shared[name], name, kind);
  const parameters = member.standard(habit);
  for (const field of staying)
    if (field in parameters && before && field in before.parameters) parameters[field] = before.parameters[field];
  return { kind, parameters };
}
