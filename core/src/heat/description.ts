import type { Range } from '../catalogue';
import type { FinStep, TubeMount } from './fin';
import type { Fluid } from './fluids';
import type { Cavities } from './losses';
import type { ThermalStack } from './stack';
import type { Sunlit } from './sunlit';

/** A tube-and-plate panel as heat sees it: what a family hands over. Uncertain inputs keep their spread. */
export interface CollectorDescription {
  /** m². Lets sun in. */
  apertureArea: number;
  /** m². Plate that loses heat; what the sun reaches of it is told by `sunlit`. */
  absorberArea: number;
  /** Opening, plate and what shades it. */
  sunlit: Sunlit;
  /** m². Outside to outside. */
  grossArea: number;
  /** From the plate outward; none is a bare panel. */
  covers: readonly {
    index: number;
    sheets: number;
    transmittance: Range;
    emittance: number;
    /** Share of long-wave radiation that passes; nought when left out. */
    longWave?: number;
    /** m. */
    gap: number;
    /** W/m²K through the solid; Infinity for thin sheets. */
    conductance: number;
    /** Air spaces inside a hollow pane. */
    cavities?: Cavities;
  }[];
  /** Share let through by dirt and condensation. */
  dirt: Range;
  absorptance: Range;
  emittance: Range;
  plate: {
    /** m. Plate on one tube. */
    width: number;
    /** One side of a tube, from it outward. */
    steps: readonly FinStep[];
    mount: TubeMount;
    /** One sheet over all tubes, so that heat also passes from tube to tube. */
    whole: boolean;
  };
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
    /** m between two sheets that the water wets all over, in the place of a tube. */
    slot?: number;
    /** W/m²K of a film that runs down the plate, in the place of a tube. */
    film?: number;
  };
  /** W/mK of tube. */
  bond: Range;
  /** The bond as it is met in home-made panels. */
  bondHomeMade: Range;
  /** Share of the plate that is wet and open to the pane: it steams. None when left out. */
  wet?: number;
  /** From the plate down. */
  back: ThermalStack;
  /** Long-wave emittance of a back that stands open to wind and ground; its `back.outside` is not used then. */
  bareBack?: number;
  /** Times the book value, as built. */
  backFactor: Range;
  /** Round the hot space; m². */
  rim: ThermalStack & { area: number };
  rimFactor: Range;
  /** J/K. Metal and a share of the pane; water; the share of insulation and sides that swings with the plate. */
  capacity: { dry: number; water: number; box: number };
  /** Spreads that the builder knows better, in the place of those above. */
  known?: Partial<Record<UncertainInput, Range>> | undefined;
}

/** Sun, air and water at one moment. */
export interface HeatConditions {
  /** W/m² on the pane, in all. */
  irradiance: number;
  /** Share of it that is beam; of the rest, `groundShare` comes from the ground. */
  beamShare: number;
  groundShare: number;
  /** Degrees of the beam from square. */
  incidence: number;
  /** °C. */
  air: number;
  /** °C that the pane radiates to. */
  surroundings: number;
  /** m/s at the panel. */
  wind: number;
  /** °C. */
  inlet: number;
  /** kg/s through this panel; 0 stands still. */
  massFlow: number;
  /** Degrees from level. */
  tilt: number;
  /** Water when left out. */
  fluid?: Fluid;
}

/** What is uncertain in a panel and its day. `plate`, `back`, `edge`, `wind` and `sun` are factors on what was said. */
export const uncertainInputs = [
  'bond',
  'transmittance',
  'dirt',
  'absorptance',
  'emittance',
  'plate',
  'back',
  'edge',
  'wind',
  'sun',
] as const;
export type UncertainInput = (typeof uncertainInputs)[number];
