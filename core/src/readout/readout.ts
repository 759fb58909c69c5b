import type { QuantityKind } from '../quantity';

/** A number with what it measures; `number` has no unit, `digits` decimals are worth showing. */
export interface Measured {
  value: number;
  kind: QuantityKind | 'number';
  digits?: number;
}

/** How a figure comes about: enough to check it with a pencil. */
export interface Derivation {
  name: string;
  formula: string;
  source: string;
  inputs: ({ label: string } & Measured)[];
}

/** A figure as a face shows it. */
export interface Readout {
  id: string;
  label: string;
  kind: QuantityKind | 'number' | 'ratio';
  /** Decimals; those of the kind when left out. */
  digits?: number;
  /** SI; two where a figure is a pair (dry and wet), none where it cannot be worked out so far. */
  values: readonly number[];
  derivation?: Derivation;
}
