import type { Range } from '../../catalogue';

/** Sealed tubes with a little water in them, each in a clear sleeve or bare, their upper ends in the water of a manifold. SI. */
export interface HeatPipeDescription {
  count: number;
  /** m². Outside to outside. */
  grossArea: number;
  tube: {
    /** m. Outside and inside. */
    diameter: number;
    bore: number;
    /** m in the sun, and in the water of the manifold. */
    heated: number;
    wet: number;
    /** m of it in all. */
    length: number;
    /** W/mK of its wall. */
    conductivity: number;
  };
  /** Thin black metal round each, flat to both sides: m across, W/K (conductivity times thickness), and how well it holds the pipe, W/mK. */
  strip?: { width: number; conductance: number; bond: Range };
  /** m, middle to middle. */
  pitch: number;
  /** kg of water in one tube. */
  charge: number;
  /** Nothing: the tubes are bare. */
  sleeve?: {
    /** m. Outside. */
    diameter: number;
    index: number;
    transmittance: Range;
    emittance: number;
    /** J/K of all of them. */
    capacity: number;
  };
  absorptance: Range;
  emittance: Range;
  /** W/m²K inside where the water boils and where it condenses, and outside where the manifold's water takes it. */
  boiling: Range;
  condensing: Range;
  condenser: Range;
  /** Manifold: m of it, its outside, and the lagging round it. */
  manifold: { length: number; diameter: number; lagging: { thickness: number; conductivity: number }; factor: Range };
  /** J/K of metal, and of the water in the manifold. */
  capacity: { dry: number; water: number };
  known?: Readonly<Record<string, Range>> | undefined;
}
