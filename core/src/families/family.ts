import * as z from 'zod';
import { type Finding, issueWords, type Words } from '../care';
import type { Range, SolderAlloy } from '../catalogue';
import type { Drawing, Point } from '../draw';
import { fieldMeta } from '../field';
import type { WindOnPane } from '../glazings';
import type { HydraulicModel, WaterAt, WaterState } from '../hydraulic';
import type { Habit } from '../quantity';
import type { SectionSource } from '../readout';
import type { Part, Purchase, Template } from '../shop';
import type { Step } from '../steps';
import type { OperatingConditions, ThermalModel, ThermalState } from '../thermal';
import type { LeftOut, Salvage, Taken } from './salvage';

/** A choice of a shared thing (absorber, box, glazing) in the job document. */
export interface Chosen {
  kind: string;
  parameters: Record<string, unknown>;
}

/** A panel as the job document holds it. */
export interface HeaterDocument {
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
  known?: Readonly<Record<string, Range>> | undefined;
}

/** A view of a heater that its family draws. */
export interface DrawnView {
  /** What the view is called, short, and how it shows the heater. */
  name: string;
  words: string;
  draw(): Drawing;
  /** Metal laid flat before it is bent: printed at full size when it is asked for. */
  flat?: true;
  /** The one that is worked on first, where that is not the plan. */
  leads?: true;
  /** It shows the heater from the side as it stands: there is no other picture of that. */
  side?: true;
}

/** Views by id in the order in which they are looked at; `plan` is the one that stands for the heater. */
export type DrawnViews = { plan: DrawnView } & Record<string, DrawnView>;

/** Something that grows when it is hot, and the room it has for that. */
export interface GrowingThing {
  name: string;
  /** Id of a place of the thermal model. */
  place: string;
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
  /** Id of a place of the thermal model. */
  place: string;
  /** °C. */
  limit: number;
  /** What the job may plan in its place for a hot panel. */
  hotter?: { name: string; limit: number };
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

/** m by which a stack does not go into its box; zero where it does. */
export function stackShortfall({ needed, available }: Stack): number {
  const short = needed - available;
  return short > stackGives ? short : 0;
}

/** A working point of a heater: what it meets, and what heat and water do there. */
export interface HeaterAtWork {
  boundary: OperatingConditions;
  state: ThermalState;
  water?: { at: WaterAt; state: WaterState };
}

/** Where something joins a heater from outside: water in and out, air, steam. */
export interface Port {
  /** `cold`, `hot`, `vent`, `relief` and the like; numbered where there are several. */
  id: string;
  /** In a list: `cold in`. */
  name: string;
  /** m. Its middle on the plan, and over the underside of the heater. */
  at: Point;
  up: number;
  /** What stands there to be joined, in words; lengths by `sized`. */
  end: string;
  /** Id of the bought thing that goes onto it; nothing where it ends open or is joined by another port's. */
  fitting?: string;
  /** How what is joined to it lies, in words. */
  fall: string;
}

/** One heater, parsed and bound: all that the stations ask of it. */
export interface HeaterDesign {
  areas: { aperture: number; absorber: number; gross: number };
  /** m. Outside of the panel along its risers and across them. */
  outside: { length: number; width: number; depth: number };
  /** How many runs of tube or strips it has, and what they are called. */
  runs: { count: number; words: string };
  drawings: DrawnViews;
  /** What joins it from outside, where water comes in first. */
  ports: Port[];
  /** Layers of the panel from the pane down, m each, and what the box offers. */
  stack?: Stack & { layers: { name: string; thickness: number }[] };
  /** For one panel; a job with several alike makes them so many times. */
  parts: Part[];
  purchases: Purchase[];
  thermal: ThermalModel;
  /** None: water is carried to it. */
  hydraulic?: HydraulicModel;
  /** What only this kind can show of a working point. */
  sections?(work: HeaterAtWork): SectionSource[];
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
  wettedMetal: 'copper' | 'zinc' | 'aluminium' | 'steel' | 'none';
  /** What of it makes its water unfit to drink whatever is done, in words; nothing where lead-free joints are enough. */
  neverDrunk?: string;
  /** A charge of its own boils in it at every sun: that is how it works. */
  boilsInside?: true;
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

/** How a heater stands, as far as its own design follows it. */
export interface Orientation {
  /** Degrees of its pane from level. */
  tilt: number;
  /** Where the job has it. */
  path?: string;
  /** Degrees of the place, north positive, and of the aim clockwise from true north. */
  sun?: { latitude: number; aim: number };
}

/** Where nothing is said of how a heater stands. */
export const usualOrientation: Orientation = { tilt: 45 };

/** A heater drawn round what is on hand. */
export interface Salvaged {
  panel: HeaterDocument;
  taken: Taken[];
  /** What was tried and does not go; things that it has no use for are not named. */
  left?: LeftOut[];
}

/** How a kind is drawn round what is on hand; things that it has no use for are passed over. */
export type SalvageFit = (panel: HeaterDocument, things: readonly Salvage[], standing?: Orientation) => Salvaged;

/** What is wrong with a panel document: path in the panel, and what to do. */
export interface HeaterProblem {
  path: (string | number)[];
  message: string;
}

/** A panel with something of it otherwise, and what it is called. */
export interface PanelVariant {
  name: string;
  of(panel: HeaterDocument): HeaterDocument;
}

/** Sides that builders take in what they argue about. */
export type ArgumentSide = 'glazed' | 'copper' | 'plastic' | 'behind glass' | 'pumped';

export interface Family {
  id: string;
  name: string;
  /** What it is, in five words under its name. */
  subtitle: string;
  meaning: string;
  /**
   * A loop that a new job begins with: one that stays filled with glycol, mains water through it on its way to another heater, the store's
   * own water in the warm months and none in frost, or none at all: filled by hand and left in the sun. One that runs empty when the pump stops where left out.
   */
  standardLoop?: 'filled' | 'preheat' | 'summer' | 'by hand';
  /** Its build leaves no choice which way its tubes lie. */
  turns?: false;
  /** How it lies on the ground or a roof while it has no stand, where that is not leaning at the tilt of the place. */
  lies?: 'level';
  /** Why it does not go on a stand that lays it so; undefined where it does. */
  notOn?(lays: 'level' | 'leaning'): string | undefined;
  /** A complete panel to begin with. */
  standard(habit: Habit): Omit<HeaterDocument, 'id'>;
  /** The pane is given and all else follows: the panel with its tubes and plate filling the box round it. For kinds with a pane. */
  fit?(panel: HeaterDocument, standing?: Orientation): HeaterDocument;
  /** The panel drawn round what is on hand. For kinds that can use something of it. */
  salvage?: SalvageFit;
  /** Sides that it stands for in what builders argue about, each as it is called there. */
  argues?: Partial<Readonly<Record<ArgumentSide, string>>>;
  /** The same panel without a pane. */
  bare?(panel: HeaterDocument): HeaterDocument;
  /** The same panel with its dearest part out of scrap, and bought new; each as it is called where the two are held against each other. */
  scrapOrNew?: readonly [PanelVariant, PanelVariant];
  /** Empty when the panel can be opened. */
  problems(panel: HeaterDocument): HeaterProblem[];
  fields(panel: HeaterDocument): Field[];
  /** Parses once and returns the bound design. `path` is the panel's own in the job. Throws ZodError, RangeError. */
  open(panel: HeaterDocument, path: string, standing?: Orientation): HeaterDesign;
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
export function problemsOf(schema: z.ZodObject, path: string[], values: unknown): HeaterProblem[] {
  const parsed = schema.safeParse(values, { error: issueWords });
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
): HeaterProblem[] {
  const member = Object.hasOwn(registry, chosen.kind) ? registry[chosen.kind] : undefined;
  if (!member)
    return [{ path: [name, 'kind'], message: `${name} must be one of: ${Object.keys(registry).join(', ')}` }];
  return problemsOf(member.schema, [name, 'parameters'], chosen.parameters);
}
