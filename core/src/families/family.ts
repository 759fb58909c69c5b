import * as z from 'zod';
import type { Finding, Words } from '../care';
import { fieldMeta, type SolderAlloy } from '../catalogue';
import type { Drawing } from '../draw';
import type { Fitting } from '../flow';
import type { WindOnPane } from '../glazings';
import type { CollectorDescription, PanelPlace } from '../heat';
import type { Habit } from '../quantity';
import type { Part, Purchase, Template } from '../shop';
import type { Step } from '../steps';

/** A choice of a shared thing (absorber, box, glazing) in the job document. */
export interface Chosen {
  kind: string;
  parameters: Record<string, unknown>;
}

/** A panel as the job document holds it. */
export interface PanelDocument {
  id: string;
  family: string;
  parameters: Record<string, unknown>;
  absorber?: Chosen;
  box?: Chosen;
  glazing?: Chosen;
  /** What it stands on; nothing while that is not settled. */
  mount?: Chosen;
  /** How many alike. */
  count: number;
  /** Risers lie across the slope instead of up it. */
  turned: boolean;
  /** Spreads of uncertain inputs that the builder knows better than the catalogue. */
  known?: CollectorDescription['known'];
}

/** From above, cut across, and one place of it that must be right, at full size. */
export const views = ['plan', 'section', 'detail'] as const;
export type View = (typeof views)[number];

/** What water meets in a panel, whatever way it goes. */
interface WaterInPanel {
  /** m³. */
  volume: number;
  /** What gives under mains pressure, in words that fit “… under mains pressure”; nothing where it may stand there. */
  weakPoint: string | undefined;
}

/** Risers side by side between two headers. */
export interface ManifoldWater extends WaterInPanel {
  kind: 'manifold';
  risers: number;
  /** m. */
  riserLength: number;
  riserBore: number;
  headerBore: number;
  pitch: number;
  connection: 'diagonal' | 'same-side';
  /** Headers that could be taken, the one that is, and the panel's field that holds it. */
  headers: { choices: { id: string; name: string; bore: number }[]; chosen: string; path: string };
}

/** One long way through all of it. */
export interface SerialWater extends WaterInPanel {
  kind: 'serial';
  /** m. */
  bore: number;
  length: number;
  bends: { fitting: Fitting; count: number };
}

/** A thin layer between two sheets, from one corner to the other. */
export interface SlotWater extends WaterInPanel {
  kind: 'slot';
  /** m. Along the flow, across it, and between the sheets. */
  length: number;
  breadth: number;
  gap: number;
}

/** A film that runs down open strips: nothing to press against but the lift to their heads. */
export interface FilmWater extends WaterInPanel {
  kind: 'film';
  strips: number;
}

export type WaterDescription = ManifoldWater | SerialWater | SlotWater | FilmWater;

/** Something that grows when it is hot, and the room it has for that. */
export interface GrowingThing {
  name: string;
  place: PanelPlace;
  /** m. */
  length: number;
  /** 1/K. */
  expansion: number;
  /** m. */
  room: number;
  /** Path in the job of the field that gives it room. */
  path: string;
  /** Whether that field gives room at each side: half of what is missing mends it. */
  perSide: boolean;
  /** What must be set with so much room at each side, so that what holds it still reaches it; nothing where nothing can. */
  besides?(room: number): { path: string; value: number }[] | undefined;
}

/** Something that has a temperature it can stand, and where in the panel it sits. */
export interface MaterialInPanel {
  name: string;
  place: PanelPlace;
  /** °C. */
  limit: number;
  /** Soft-soldered joints, by their solder: what pressure they hold is asked too. */
  joint?: SolderAlloy;
  /** Path in the job of the field that changes it; left out where nothing drawn does. */
  path?: string;
}

/** m. What lies in a panel from the pane down, and the depth that its box offers. */
export interface Stack {
  needed: number;
  available: number;
}

/** m that a stack may lack: wool and gaskets give that much. Judgement. */
const stackGives = 0.0005;

/** m by which a stack does not go into its box; nought where it does. */
export function stackShortfall({ needed, available }: Stack): number {
  const short = needed - available;
  return short > stackGives ? short : 0;
}

/** One panel, parsed and bound: all that the stations ask of it. */
export interface PanelDesign {
  areas: { aperture: number; absorber: number; gross: number };
  /** m. Outside of the panel along its risers and across them. */
  outside: { length: number; width: number; depth: number };
  /** How many runs of tube or strips it has, and what they are called. */
  runs: { count: number; words: string };
  drawing(view: View): Drawing;
  /** Bent metal laid flat, for a panel that has any. */
  development?(): Drawing;
  /** m and kg/m³. The plate, as drawn. */
  plate: { thickness: number; density: number };
  /** Layers of the panel from the pane down, m each, and what the box offers. */
  stack?: Stack & { layers: { name: string; thickness: number }[] };
  /** For one panel; a job with several alike makes them so many times. */
  parts: Part[];
  purchases: Purchase[];
  heat: CollectorDescription;
  water: WaterDescription;
  materials: MaterialInPanel[];
  growth: GrowingThing[];
  findings: Finding[];
  /** How its pane stands the gust and the snow of a site. */
  underWind(wind: WindOnPane): Finding[];
  /**
   * What is only sure once it has been tried on the real thing, before everything is cut: words with quantities by `sized`. One that
   * has been tried is not among them.
   */
  trials: { id: string; words: string }[];
  /** What is printed at full size beside the templates that its parts give by their holes. */
  templates?(): Template[];
  /** How it is built, in an order in which it can be done. */
  steps(): Step[];
  /** Metal that the water touches, as corrosion has it. */
  wettedMetal: 'copper' | 'zinc' | 'aluminium';
  /** What of it makes its water unfit to drink whatever is done, in words; nothing where lead-free joints are enough. */
  neverDrunk?: string;
  /** Whether it empties by itself when it lies as drawn, and how. */
  drains: { empties: boolean; how: string };
  /** kg. */
  dryMass: number;
}

/** A field of the panel that a builder may set, with where it is and what it is now. */
export interface Field {
  /** Path in the panel, for instance `parameters.pitch`. */
  path: string;
  value: unknown;
  meta: NonNullable<ReturnType<typeof fieldMeta>>;
}

/** What is wrong with a panel document: path in the panel, and what to do. */
export interface PanelProblem {
  path: (string | number)[];
  message: string;
}

export interface Family {
  id: string;
  name: string;
  meaning: string;
  /** A loop that a new job begins with: one that runs empty when the pump stops, or one that stays filled with glycol. Empty when left out. */
  standardLoop?: 'filled';
  /** A complete panel to begin with. */
  standard(habit: Habit): Omit<PanelDocument, 'id'>;
  /** The pane is given and all else follows: the panel with its tubes and plate filling the box round it. For kinds with a pane. */
  fit?(panel: PanelDocument): PanelDocument;
  /** Empty when the panel can be opened. */
  problems(panel: PanelDocument): PanelProblem[];
  fields(panel: PanelDocument): Field[];
  /** Parses once and returns the bound design. `path` is the panel's own in the job. Throws ZodError. */
  open(panel: PanelDocument, path: string): PanelDesign;
  words: Readonly<Record<string, Words>>;
}

/** Fields of a set of parameters by its schema; one that the document does not speak of has what that means. */
export function fieldsOf(schema: z.ZodObject, prefix: string, values: Record<string, unknown>): Field[] {
  return Object.entries(schema.shape).flatMap(([name, field]) => {
    const meta = fieldMeta(field);
    const value = name in values ? values[name] : z.safeParse(field as z.ZodType, undefined).data;
    return meta ? [{ path: `${prefix}.${name}`, value, meta }] : [];
  });
}

/** Problems of one set of parameters by its schema. */
export function problemsOf(schema: z.ZodObject, path: string[], values: unknown): PanelProblem[] {
  const parsed = schema.safeParse(values);
  if (parsed.success) return [];
  return parsed.error.issues.map((issue) => ({
    path: [...path, ...issue.path.map((step) => (typeof step === 'symbol' ? String(step) : step))],
    message: issue.message,
  }));
}

/** Problems of a chosen member of a registry: a kind that is not there, or parameters that it does not take. */
export function chosenProblems(
  registry: Readonly<Record<string, { schema: z.ZodObject }>>,
  name: string,
  chosen: Chosen,
): PanelProblem[] {
  const member = Object.hasOwn(registry, chosen.kind) ? registry[chosen.kind] : undefined;
  if (!member)
    return [{ path: [name, 'kind'], message: `${name} must be one of: ${Object.keys(registry).join(', ')}` }];
  return problemsOf(member.schema, [name, 'parameters'], chosen.parameters);
}
