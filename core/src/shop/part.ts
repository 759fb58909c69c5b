/** Holes along a piece, from one datum and from the middle, so that no error adds up. */
export interface HoleSchedule {
  /** Of a sheet: the row runs up its height instead of along its width. */
  axis?: 'up';
  /** Words for where the tape is hooked, for instance `closed end`. */
  datum: string;
  /** m from the datum to the middle of the row. */
  middle: number;
  /** m from the datum to each hole's centre, ascending. */
  positions: readonly number[];
  /** m. Finished hole. */
  diameter: number;
  /** m. Each drawn out into a slot by so much, toward the end of the piece that is nearer; round where left out. */
  slot?: number;
  /** m. Pilot drill. */
  pilot: number;
  /** Words for which face or line, for instance `on the scribed centre line`. */
  where: string;
  /** Set off that line from an edge. */
  across?: { from: string; distance: number /** Rows alike at other distances. */; more?: readonly number[] };
}

/** m. From where to where along one axis of a piece. */
export interface Span {
  from: number;
  to: number;
}

/**
 * Material taken off a piece beside its square cuts, as the block that goes. Of a length `along` runs from its datum end, `up` over its
 * width from the bottom edge, `into` through its thickness from the outer face; of a sheet `along` runs over its width, `up` over its height.
 */
export interface Recess {
  kind: 'rebate' | 'notch' | 'slot';
  /** Words for where it lies, for instance `top inner edge`. */
  where: string;
  /** What it is for, a few words. */
  purpose: string;
  along: Span;
  up: Span;
  into: Span;
  /** Cut down into the wide face, so that it is as deep as it goes `into`; else into the edge, as deep as it goes `up`. */
  onFace?: true;
}

/** An end that is not cut square: a lean over the wide face leaves an edge long, one through the thickness a face. */
export interface EndCut {
  kind: 'mitre' | 'bevel';
  end: 'datum' | 'far';
  /** ° off a square cut. */
  angle: number;
  long: 'top edge' | 'bottom edge' | 'outer face' | 'inner face';
}

/** An edge of ripped timber that is not square: the saw leans by so many ° off square along its whole length. */
export interface RippedEdge {
  edge: 'top edge' | 'bottom edge';
  angle: number;
  /** The face that keeps the full width. */
  long: 'outer face' | 'inner face';
}

/** A straight cut across a sheet that makes two pieces of it, alike when one is turned: m up its height at the datum end and at the far end. */
export interface PairCut {
  from: number;
  to: number;
  /** What the two are, for instance `left and right side`. */
  words: string;
}

/** The end of a piece that it is measured from, and where that end is when the outer face is looked at, bottom edge down. */
export interface PieceDatum {
  end: string;
  side: 'left' | 'right';
}

/** Lines along which a strip of sheet is bent, from one datum. */
export interface BendSchedule {
  /** Words for the edge that they are measured from. */
  datum: string;
  /** m from the datum, ascending. */
  positions: readonly number[];
  /** Which way each is bent, a few words. */
  turns: readonly string[];
}

/** m. Across a piece of timber. */
export interface Section {
  width: number;
  thickness: number;
}

/** What the place of a piece forgives; m. */
export interface PieceSlack {
  short: number;
  long: number;
  words: string;
}

/** A row that like pieces make with what lies between them; m. */
export interface PieceRow {
  pieces: number;
  /** From where to where it is measured, in words, and how long it is. */
  words: string;
  length: number;
}

/** Something to make: `length` pieces come off a bar, `sheet` pieces off a sheet. */
export type Part = {
  /** From its role, for instance `panel-a/riser`: ticks and locks hang on it through design changes. */
  id: string;
  name: string;
  /** Catalogue id of what it is made of. */
  item: string;
  count: number;
  /** Other work on it, a few words each; lengths in them by `sized`. */
  operations: readonly string[];
  /** Rows of holes. */
  holes?: readonly HoleSchedule[];
  /** Rebates, notches and slots. */
  recesses?: readonly Recess[];
  /** Ends that are not square. */
  ends?: readonly EndCut[];
  datum?: PieceDatum;
  bends?: BendSchedule;
  /** Where pieces stand end to end with their fittings, what they come to: the error of each adds up. */
  row?: PieceRow;
  /** m that it may be off and do no harm, and why, in words. */
  slack?: PieceSlack;
  /** kg each. */
  mass: number;
} & (
  | {
      kind: 'length';
      stuff: 'tube' | 'timber' | 'track' | 'bar';
      length: number;
      /** m. Finished width and thickness of timber that is ripped; left out, it is as sold. */
      section?: Section;
      /** An edge of it that is ripped at an angle. */
      ripped?: RippedEdge;
      /** m. Of a formed fin, from the middle of its groove to the edge of either flange, as trimmed. */
      flanges?: readonly [low: number, high: number];
    }
  | { kind: 'sheet'; width: number; height: number; turn: boolean; pair?: PairCut }
);

/** m. Nothing smaller than this can be cut. */
const leastPiece = 0.0005;

/** Whether there is anything of a part to cut: a design that clashes may leave a piece no length at all. */
export function hasSize(part: Part): boolean {
  return part.kind === 'length' ? part.length >= leastPiece : Math.min(part.width, part.height) >= leastPiece;
}

/** Keys of the prices of panes begin so. */
const paneKey = 'pane/';

/** Whether a purchase is the pane. */
export function isPane({ priceKey }: Pick<Purchase, 'priceKey'>): boolean {
  return priceKey.startsWith(paneKey);
}

/** Something to buy that is not cut from a bar or sheet. */
export interface Purchase {
  id: string;
  name: string;
  /** How many or how much, spare allowance included. */
  quantity: number;
  unit: 'each' | 'm' | 'm²' | 'kg' | 'L';
  /** Key in the job's prices, money per unit. */
  priceKey: string;
  /** How the quantity comes about, in words. */
  rule: string;
  /** m. Of what is ordered to size, a pane, or by its length, a screw. */
  size?: { width: number; height: number } | { length: number };
  /** kg in all, where it ends up in the panel. */
  mass: number;
}
