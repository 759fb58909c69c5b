import type { Range } from '../../catalogue';

/** Section of a round trough with a pipe in it; m, and radians from its lowest line. */
export interface TroughSection {
  /** Of the mirror. */
  radius: number;
  /** From the lowest line to either edge of the trough, and to either edge of the mirror film. */
  opening: number;
  film: number;
  /** Outside of the pipe. */
  pipe: number;
  /** Middle of the pipe over the lowest line of the mirror. */
  height: number;
}

/** Round mirrors side by side up the slope, each with a black pipe along it, one water through all of them. SI. */
export interface TroughDescription {
  /** Troughs in series. */
  count: number;
  section: TroughSection;
  /** m between the caps of each. */
  length: number;
  /** m². Outside to outside. */
  grossArea: number;
  /** m. Inside of the pipe. */
  bore: number;
  /** W/K. Conductivity times thickness of its wall. */
  wallConductance: number;
  reflectance: Range;
  /** mrad by which the mirror's slope is off, root mean square. */
  slope: Range;
  /** Share of the wind that reaches the pipe. */
  shelter: Range;
  absorptance: Range;
  emittance: Range;
  /** J/K of all pipe, and of the water in it. */
  capacity: { dry: number; water: number };
  known?: Readonly<Record<string, Range>> | undefined;
}
