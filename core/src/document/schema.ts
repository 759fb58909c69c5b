import * as z from 'zod';
import { chosenProblems, type Family, families, type HeaterDocument } from '../families';
import { flagField, optionField, partField, quantityField, textField, wholeField } from '../field';
import { mounts } from '../mounts';

import { keyed, name, order, thing } from './common';
import { loopSchema } from './loopFields';
import { needSchema } from './needFields';
import { shopSchema } from './shopFields';
import { siteSchema } from './siteFields';

export const jobFormat = 'north-pane/job';
export const jobVersion = 2;

const chosen = z.strictObject({ kind: z.string(), parameters: z.record(z.string(), z.unknown()) });

/** Low, likely and high in the unit of the input; factors for plate, back, edge, wind and sun. */
const knownSpread = z
  .strictObject({
    low: z.number().gt(0, 'must be above 0').max(1e4),
    likely: z.number().gt(0, 'must be above 0').max(1e4),
    high: z.number().gt(0, 'must be above 0').max(1e4),
    spread: z.enum(['normal', 'log-normal']),
    kind: z.enum(['standard', 'data sheet', 'textbook', 'trade', 'judgement', 'measured']),
  })
  .refine(({ low, likely, high }) => low <= likely && likely <= high, 'low, likely and high must rise');

let inputIds: ReadonlySet<string> | undefined;

/** Ids of the uncertain inputs of all kinds of heater: one that a heater lost with a change of kind may stay, a slip of the pen may not. */
function knownInputIds(): ReadonlySet<string> {
  inputIds ??= new Set(
    Object.values<Family>(families).flatMap((family) =>
      family.open({ id: 'any', ...family.standard('metric') }, '').thermal.inputs.map(({ id: input }) => input),
    ),
  );
  return inputIds;
}

const inputId = z.string().refine((value) => knownInputIds().has(value), {
  error: ({ input }) =>
    `“${String(input)}” is nothing uncertain of a heater; known: ${[...knownInputIds()].join(', ')}`,
});

/** One heater; its parameters and parts have fields of their own, by its kind. */
export const heaterSchema = z
  .strictObject({
    order,
    family: textField(z.string(), { label: 'Kind of heater', meaning: 'What it is.' }),
    parameters: z.record(z.string(), z.unknown()),
    absorber: chosen.optional(),
    box: chosen.optional(),
    glazing: chosen.optional(),
    mount: chosen.optional(),
    count: wholeField({
      label: 'Number of panels',
      meaning: 'How many of this one, alike.',
      low: 1,
      high: 24,
      moves: ['heat', 'need', 'pieces', 'findings', 'sun'],
    }),
    turned: flagField({
      label: 'Tubes lie across the slope',
      meaning: 'And not up it.',
      moves: ['heat', 'need', 'pieces', 'findings', 'sun'],
    }),
    /** By input. */
    known: partField(z.record(inputId, knownSpread), {
      label: 'Limits of what is not known for sure',
      meaning: 'Spreads that stand above the catalogue’s.',
      moves: ['heat', 'need', 'findings'],
    }).optional(),
  })
  .superRefine((value, context) => {
    const family = Object.hasOwn(families, value.family) ? families[value.family as keyof typeof families] : undefined;
    if (!family) {
      context.addIssue({
        code: 'custom',
        path: ['family'],
        message: `“${value.family}” is no kind of heater here; known: ${Object.keys(families).join(', ')}`,
      });
      return;
    }
    if (value.mount)
      for (const problem of chosenProblems(mounts, 'mount', value.mount))
        context.addIssue({ code: 'custom', path: problem.path, message: problem.message });
    for (const problem of family.problems({ id: 'any', ...value } as HeaterDocument))
      context.addIssue({ code: 'custom', path: problem.path, message: problem.message });
  });

const partIds = z.array(thing).min(1).max(500);

const storeSchema = z.strictObject({
  kind: optionField({
    label: 'Store',
    meaning: 'What the warm water stands in.',
    choices: { tank: 'tank', barrel: 'polyethylene barrel' },
    moves: ['need', 'findings'],
  }),
  volume: quantityField('volume', {
    label: 'Store holds',
    meaning: 'Water in it.',
    low: 0,
    above: true,
    high: 100,
    lowReason: 'a store holds something',
    highReason: 'more is a pool',
    moves: ['need', 'heat', 'findings'],
  }),
});

/** The job document: the only design state there is. SI throughout. */
export const jobSchema = z.strictObject({
  format: z.literal(jobFormat, 'this is not a North Pane job'),
  version: z.literal(jobVersion),
  name: textField(name, { label: 'Project name', meaning: 'What you call it.' }),
  units: optionField({
    label: 'Units and stock',
    meaning: 'The tape of the shop, and which stock it sells.',
    choices: { metric: 'millimetres, metric stock', imperial: 'feet and inches, imperial stock' },
    moves: ['pieces', 'need', 'findings'],
  }),
  currency: textField(z.string().min(1).max(4), {
    label: 'Currency',
    meaning: 'What money is called here.',
    moves: ['pieces', 'need'],
  }),
  site: siteSchema,
  need: needSchema,
  heaters: keyed(heaterSchema, { least: 1, most: 12, few: 'a job has at least one heater' }),
  stores: keyed(storeSchema, { most: 12 }),
  loop: loopSchema,
  shop: shopSchema,
  /** The builder's plans over the planner's head; what was done is no plan and stands in the log of the shop. */
  decisions: z.strictObject({
    /** The heater that stands in the job is an example to work with. */
    unpicked: partField(z.literal(true), {
      label: 'Kind of heater not picked',
      meaning: 'The one that stands here is an example.',
    }).optional(),
    overrules: partField(keyed(z.strictObject({ item: thing, stock: thing, pieces: partIds }), { most: 200 }), {
      label: 'Cut plan',
      meaning: 'Bars laid out by hand.',
      moves: ['pieces'],
    }).optional(),
    /** By part id: those of one word together. */
    ties: partField(z.record(thing, name), {
      label: 'Pieces from one length',
      meaning: 'Pieces that come off one bar.',
      moves: ['pieces'],
    }).optional(),
  }),
  /** What was measured, laid over the design, by where it belongs (a JSON pointer, RFC 6901). */
  asBuilt: partField(
    keyed(z.strictObject({ value: z.unknown(), source: z.string().max(2000) }), {
      most: 500,
      key: z.string().regex(/^(\/[^/]*)+$/, 'must be a JSON pointer'),
    }),
    {
      label: 'As built',
      meaning: 'What was measured, laid over the design.',
      moves: ['heat', 'pieces', 'findings', 'need'],
    },
  ),
});

export type Job = z.infer<typeof jobSchema>;

/** JSON Schema of the document, for those who write jobs with other tools. Family parameters are open in it. */
export function jobJsonSchema(): unknown {
  return z.toJSONSchema(jobSchema, { unrepresentable: 'any', io: 'input' });
}
