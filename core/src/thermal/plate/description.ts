import type { Range } from '../../catalogue';
import type { FinStep, TubeMount } from '../fin';
import type { FlatDescription } from '../flat/description';

/** The plate on one tube. */
export interface PlateStrip {
  /** m. Plate on one tube (W). */
  width: number;
  /** One side of a tube, from it outward. */
  steps: readonly FinStep[];
  mount: TubeMount;
  /** One sheet over all tubes, so that heat also passes from tube to tube. */
  whole: boolean;
}

/** Tubes on a plate as heat sees them. */
export interface PlateDescription extends FlatDescription {
  plate: PlateStrip;
  /** m and kg/m³ of the plate as drawn: what a piece of it on a scale is held against. */
  sheet: { thickness: number; density: number };
  tube: {
    outerDiameter: number;
    innerDiameter: number;
    /** m. Of one run. */
    length: number;
    /** Runs side by side. */
    count: number;
    /** All fed at once, or one after the other. */
    path: 'parallel' | 'serpentine';
    /** Lies across the slope, level, instead of up it. */
    across: boolean;
    /** W/K. Conductivity times thickness of the wall. */
    wallConductance: number;
  };
  /** W/mK of tube (C_b). */
  bond: Range;
  /** The bond as it is met in home-made panels. */
  bondHomeMade: Range;
  /** m. Area of the panel over its rim: what the room takes from a bare one by its own stirring. */
  side: number;
}
