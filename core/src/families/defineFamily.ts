import type * as z from 'zod';
import type { Habit } from '../quantity';
import type { Part, Purchase } from '../shop';
import type { ThermalModel } from '../thermal';
import {
  type Family,
  fieldsOf,
  type HeaterDesign,
  type HeaterDocument,
  type Orientation,
  problemsOf,
  type SalvageFit,
  usualOrientation,
} from './family';
import { massOf } from './kit/totals';

/** A panel of one kind, opened: what its views, findings and steps are made from. */
export interface Opened<P, L, M> {
  id: string;
  /** The panel's own path in the job. */
  path: string;
  /** Path in the job of one of its parameters. */
  at(field: keyof P & string): string;
  parameters: P;
  layout: L;
  thermal: M;
  parts: Part[];
  purchases: Purchase[];
  /** kg. Of parts and purchases. */
  mass: number;
  /** How it stands, and where the job has that. */
  standing: Orientation;
  known: HeaterDocument['known'];
}

/** Where most kinds have nothing to say: nothing that grows, nothing to try first, no pane in the wind. */
const none = { growth: [], trials: [], underWind: () => [] } satisfies Partial<HeaterDesign>;

type Said = keyof typeof none;
type Own = Omit<HeaterDesign, 'parts' | 'purchases' | 'thermal' | 'dryMass' | Said> & Partial<Pick<HeaterDesign, Said>>;

type Shared =
  | 'id'
  | 'name'
  | 'subtitle'
  | 'meaning'
  | 'words'
  | 'standardLoop'
  | 'turns'
  | 'lies'
  | 'notOn'
  | 'argues'
  | 'scrapOrNew'
  | 'fit';

/**
 * Defines a kind that has all its parameters to itself: parses them, lays it out, and gives the layout to each of its duties. A kind of
 * tubes on a plate, with an absorber, a box and a glazing to choose, is defined by `definePlateFamily`.
 */
export function defineFamily<S extends z.ZodObject, L, M extends ThermalModel>(
  kind: Pick<Family, Shared> & {
    schema: S;
    /** Parameters to begin with. */
    standard(habit: Habit): z.infer<S>;
    /** Parameters as an older document has them, brought up to date. */
    upToDate?(parameters: Record<string, unknown>): Record<string, unknown>;
    layOut(parameters: z.infer<S>, standing: Orientation): L;
    thermal(layout: L, known: HeaterDocument['known']): M;
    /** What it is made of. */
    list(id: string, layout: L): { parts: Part[]; purchases: Purchase[] };
    design(opened: Opened<z.infer<S>, L, M>): Own;
    /** How it is drawn round what is on hand. */
    salvage?(made: Family): SalvageFit;
  },
): Family {
  const {
    schema,
    standard,
    upToDate = (parameters) => parameters,
    layOut,
    thermal,
    list,
    design,
    salvage,
    ...shared
  } = kind;
  const made: Family = {
    ...shared,
    standard: (habit) => ({ family: kind.id, parameters: standard(habit), count: 1, turned: false }),
    problems: (panel) => problemsOf(schema, ['parameters'], upToDate(panel.parameters)),
    fields: (panel) => fieldsOf(schema, 'parameters', upToDate(panel.parameters)),
    open: ({ id, parameters: raw, known }, path, standing = usualOrientation): HeaterDesign => {
      const parameters = schema.parse(upToDate(raw));
      const layout = layOut(parameters, standing);
      const model = thermal(layout, known);
      const { parts, purchases } = list(id, layout);
      const mass = massOf(parts, purchases);
      const at = (field: string) => `${path}.parameters.${field}`;
      const opened = { id, path, at, parameters, layout, thermal: model, parts, purchases, mass, standing, known };
      return { ...none, ...design(opened), parts, purchases, thermal: model, dryMass: mass };
    },
  };
  return salvage ? { ...made, salvage: salvage(made) } : made;
}
