import type { Finding } from '../care';
import type { Range } from '../catalogue';
import type { GlazingDesign } from '../glazings';
import type { ThermalStack } from '../heat';
import type { Part, Purchase } from '../shop';

/** A hole through a board for a tube to come out. */
export interface Exit {
  /** Which board: a long side, or an end. */
  side: 'low' | 'high' | 'cold' | 'hot';
  /** m. Of a long side from its cold end; of an end from the outer face of the low side. */
  along: number;
  /** m from the board's bottom edge. */
  up: number;
  /** m. */
  diameter: number;
}

/** A box round the pane that it is made for. Length runs along the risers, width along the headers. */
export interface BoxDesign {
  name: string;
  /** Clear space inside. */
  inside: { length: number; width: number };
  outside: { length: number; width: number };
  /** m. Sides, all boards of them. */
  wall: number;
  /** m from the outer face to where two boards of a side meet; nothing where it is one. */
  seam: number | undefined;
  /** m that the back reaches under the sides. */
  backUnder: number;
  depth: number;
  back: number;
  insulation: number;
  /** m. Corner cleat, nought for none. */
  cleat: number;
  /** m. Where the corner screws come through the long side boards. */
  cornerScrews: { along: number; up: number }[];
  /** m from the cold end inside to the middle of each rail. */
  rails: number[];
  /** Insulation and back, by book values. */
  backStack: ThermalStack;
  /** Times the book value, as built. */
  backFactor: Range;
  /** The sides, for the height of the hot space in metres. */
  rim(height: number): ThermalStack & { area: number };
  /** °C, with the name of what it is. */
  limits: Record<'insulation' | 'back' | 'side', { name: string; limit: number }>;
  parts(query: { prefix: string; railDepth: number; exits: readonly Exit[] }): Part[];
  purchases(prefix: string): Purchase[];
  /** What is to be looked at in the box itself. `path` is the panel's own in the job. */
  findings(path: string): Finding[];
}

/** How a box takes a pane. */
export interface BoxMember {
  around(glazing: GlazingDesign): BoxDesign;
  /** What is added to the pane's length and width to get the outside; needed to solve a typed outside back to a pane. */
  paneToOutside(glazing: GlazingDesign): number;
}
