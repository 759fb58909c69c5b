import type { Finding } from '../care';
import type { Range, Tube } from '../catalogue';
import type { Part, Purchase } from '../shop';

/** The tubes a plate lies on. */
export interface TubeRow {
  /** Prefix of part ids, for instance `panel-a`. */
  prefix: string;
  /** Path of the panel in the job, for instance `panels.0`. */
  path: string;
  tube: Tube;
  count: number;
  /** m. */
  pitch: number;
  /** m of tube under the plate. */
  length: number;
}

/** A plate on a row of tubes. */
export interface AbsorberDesign {
  name: string;
  /** m. Of the plate above the tube. */
  thickness: number;
  on(row: TubeRow): {
    /** m of plate on one tube. */
    finWidth: number;
    /** m. Least pitch at which neighbours do not overlap. */
    leastPitch: number;
    /** W/K. Conductivity times thickness. */
    plateConductance: number;
    /** W/mK. */
    bond: Range;
    parts: Part[];
    purchases: Purchase[];
    /** kg. */
    mass: number;
    /** J/K. */
    heatCapacity: number;
    findings: Finding[];
  };
}
