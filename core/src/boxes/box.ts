import type { Finding } from '../care';
import type { Range, Tool } from '../catalogue';
import type { Drawing, Point } from '../draw';
import type { GlazingDesign } from '../glazings';
import type { Part, Purchase } from '../shop';
import type { ThermalStack } from '../thermal';

/** m. Clearance hole of a 4 mm screw. */
export const screwHole = 0.0045;

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
  /** m. Drawn out by so much along the board, for what grows: below zero toward the cold end. Round where left out. */
  slot?: number;
}

/** Whether an array comes out at both ends: it goes in only while one end board is off. */
export function throughBothEnds(exits: readonly Exit[]): boolean {
  return exits.some(({ side }) => side === 'cold') && exits.some(({ side }) => side === 'hot');
}

/** The role of a board round the outside of a box: one that something comes out of is a piece of its own. */
export function outerBoard(side: Exit['side'], exits: readonly Exit[]): string {
  if (exits.some((exit) => exit.side === side)) return `cladding-${side}`;
  return side === 'low' || side === 'high' ? 'cladding-side' : 'cladding-end';
}

/** A frame with the pane in it that lifts off the box. m. */
export interface Lid {
  /** Across a frame piece, seen from above. */
  width: number;
  /** Of the frame over the box. */
  height: number;
  /** That the pane bears on, all round. */
  ledge: number;
  corners: 'mitred' | 'butted';
}

/** Bent metal round the box. m. */
export interface Skin {
  thickness: number;
  /** Leg under the back. */
  under: number;
  /** Leg over the pane, from the outside of the box inwards. */
  lip: number;
}

/** A piece of insulation where it lies, seen from above; m. */
export interface InsulationPiece {
  role: 'insulation' | 'insulation-corner';
  x: number;
  y: number;
  width: number;
  height: number;
}

/** A screw at a corner of a box; m, as an exit is measured. */
export interface CornerScrew {
  on: 'side' | 'end';
  along: number;
  up: number;
}

/** A box round the pane that it is made for. Length runs along the risers, width along the headers. */
export interface BoxDesign {
  name: string;
  /** Clear space between the boards, and what of it is left for tubes when strips line the sides. */
  inside: { length: number; width: number };
  room: { length: number; width: number };
  outside: { length: number; width: number };
  /** What lets the sun in: inside the bearing of the pane. */
  opening: { length: number; width: number };
  /** m. Sides, all boards of them, and the board that rails, cleats and inner sides are of. */
  wall: number;
  board: number;
  /** m from the outer face to where two boards of a side meet; nothing where it is one. */
  seam: number | undefined;
  /** m that the back reaches under the sides, and the room it has there. */
  backUnder: number;
  backRoom: number;
  /** m that the pane may bear on all round, from the rebate's wall inward; nothing without a pane. */
  ledge: number;
  /** m of metal under the box, below its underside. */
  below: number;
  /** m from the underside of the box: to its very top, to the pane's upper face, to the top of the sides, and as far as they are whole. */
  depth: number;
  paneTop: number;
  rimTop: number;
  solid: number;
  /** m. Pane and gasket. */
  seatDepth: number;
  lid: Lid | undefined;
  skin: Skin | undefined;
  /** Courses of metal over the back. */
  flashed: boolean;
  back: number;
  insulation: number;
  insulationPieces: InsulationPiece[];
  /** m. Insulation along the inner face of the sides. */
  edgeStrip: number;
  /** m. Corner cleat, zero for none. */
  cleat: number;
  /** m. Corner cleat across: along the side board, and square to it; zero for none. */
  cleatThickness: number;
  /** m. The thinnest cleat that its screws grip in. */
  leastCleat: number;
  /** m. Where the corner screws come through the long side boards, and through the ends. */
  cornerScrews: CornerScrew[];
  /** m from the cold end inside to the middle of each rail. */
  rails: number[];
  /** The same for another number of rails. */
  railsOf(count: number): number[];
  /** Where hands take hold, and where it is hung, seen from above. */
  handles: Point[];
  hangers: Point[];
  /** Insulation and back, by book values. */
  backStack: ThermalStack;
  /** J/K. Share of insulation and sides that swings with the plate. */
  heatCapacity: number;
  /** Times the book value, as built. */
  backFactor: Range;
  /** The sides, for the height of the hot space in metres. */
  rim(height: number): ThermalStack & { area: number };
  /** °C, with the name of what it is. */
  limits: Record<'insulation' | 'back' | 'side', { name: string; limit: number }>;
  parts(query: {
    prefix: string;
    railDepth: number;
    exits: readonly Exit[];
    hotSpace: number;
    tubes: readonly number[];
  }): Part[];
  purchases(prefix: string): Purchase[];
  /** How it is put together and how it is closed over what lies in it, in order. */
  work: { frame: readonly string[]; close: readonly string[]; needs: readonly Tool[] };
  /** What is to be looked at in the box itself. `path` is the panel's own in the job. */
  findings(path: string, exits: readonly Exit[]): Finding[];
  /** What must be set for a pane with so much room round it to bear on the box still; nothing where it cannot. `path` is the panel's own in the job. */
  mendBearing(clearance: number, path: string): { path: string; value: number }[] | undefined;
  /** Id of the least deep side board of the same kind with which so much goes under the pane; nothing where none is sold. */
  deeper(needed: number): string | undefined;
  /** Strips of bent metal laid flat, with bend lines and notches; nothing for a box without any. */
  development?(prefix: string): Drawing;
}

/** How a box takes a pane. */
export interface BoxMember {
  /** `turned`: the risers lie across the slope, so that a long side is the low edge. */
  around(glazing: GlazingDesign, turned?: boolean): BoxDesign;
  /** What is added to the pane's length and width to get the outside; needed to solve a typed outside back to a pane. */
  paneToOutside(glazing: GlazingDesign): number;
}
