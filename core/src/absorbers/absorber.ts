import type { Finding } from '../care';
import type { Range, Tool, Tube } from '../catalogue';
import type { Part, Purchase } from '../shop';
import type { PlateStrip } from '../thermal';

/** The tubes a plate lies on. */
export interface TubeRow {
  /** Prefix of part ids, for instance `panel-a`. */
  prefix: string;
  /** Path of the panel in the job, for instance `heaters.panel-a`. */
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
  /** The tubes lie on it, not under it. */
  bed?: true;
  /** kg/m³. */
  density: number;
  /** How it is put on its tubes: what is done in order, with what, and what is dangerous in it. */
  work: { does: readonly string[]; needs: readonly Tool[]; beware: readonly string[] };
  on(row: TubeRow): {
    /** The plate as heat sees it. */
    plate: PlateStrip;
    /** m. Least pitch at which neighbours do not overlap. */
    leastPitch: number;
    /** W/mK. */
    bond: Range;
    /** W/mK, as met in home-made panels. */
    bondHomeMade: Range;
    /** °C that the plate and its bond stand for years, and what gives first. */
    limit: { name: string; temperature: number };
    parts: Part[];
    purchases: Purchase[];
    /** kg. */
    mass: number;
    /** J/K. */
    heatCapacity: number;
    findings: Finding[];
  };
}

/** A plate of one thickness, a strip of it on each tube, the tube under it. */
export function evenPlate(width: number, tube: Tube, conductance: number): PlateStrip {
  const beside = Math.max(0, (width - tube.outerDiameter) / 2);
  return { width, steps: [{ width: beside, conductance }], mount: 'under', whole: false };
}
