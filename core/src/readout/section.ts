import type { Measured, Readout } from './readout';

/** Heat by where it went. */
export interface BalanceSection {
  kind: 'balance';
  /** W/m² on the pane. */
  irradiance: number;
  paths: readonly { id: string; words: string; watts: number }[];
}

/** Shares of a whole that parts of a drawing carry: one for each rectangle of a layer of the plan, in their order. */
export interface SharesSection {
  kind: 'shares';
  layer: string;
  shares: readonly number[];
}

/** °C over the rectangles of a layer of the plan: by rectangle, line across it, and part along it. */
export interface FieldSection {
  kind: 'field';
  layer: string;
  values: readonly (readonly (readonly number[])[])[];
}

/** Choices of one field of the heater, each with what it comes to. */
export interface ChoicesSection {
  kind: 'choices';
  /** Path in the heater. */
  path: string;
  /** Sentences before and after the list, quantities in them by `measured`. */
  lead: string;
  tail: string;
  choices: readonly {
    /** What the field is set to. */
    set: string | number;
    name: string | Measured;
    value: Measured | { value: number; kind: 'ratio'; digits: number };
    chosen: boolean;
    /** What is to be said for it. */
    advised?: string;
  }[];
}

/** A band along an axis, and where the design stands. */
export interface CurveSection {
  kind: 'curve';
  x: { title: string; kind: Measured['kind'] };
  y: { title: string; kind: Measured['kind']; digits?: number };
  points: readonly { x: number; low: number; likely: number; high: number }[];
  now?: { x: number; y: number };
  note: string;
}

/** Figures that belong together. */
export interface FiguresSection {
  kind: 'figures';
  readouts: readonly Readout[];
}

/** Rows of words, quantities in them by `measured` and `sized`. */
export interface TableSection {
  kind: 'table';
  columns: readonly string[];
  rows: readonly (readonly string[])[];
  /** Sentences under it. */
  note: string;
}

/** Shares over two axes: a row for each y, from the first up, a value for each x; and the cell that the design is nearest to. */
export interface MapSection {
  kind: 'map';
  x: { title: string; values: readonly Measured[] };
  y: { title: string; values: readonly Measured[] };
  /** 0 to 1. */
  shares: readonly (readonly number[])[];
  now?: { row: number; column: number };
  note: string;
}

/** What a section holds, by its kind. */
export type SectionBody =
  | BalanceSection
  | SharesSection
  | FieldSection
  | ChoicesSection
  | CurveSection
  | FiguresSection
  | TableSection
  | MapSection;

/** What a face draws of a heater beside its readouts. */
export type Section = { id: string; title: string } & SectionBody;

/** A section that is worked out when it is shown; `deep` takes longer than a frame and is asked for in a worker. */
export interface SectionSource {
  id: string;
  title: string;
  deep?: true;
  /** Nothing where there is nothing to show. */
  make(): SectionBody | undefined;
}
