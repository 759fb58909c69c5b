import type { FlatDescription } from '../flat/description';

/** Water running down open strips of thin metal in streaks, dry metal between them. */
export interface FilmDescription extends FlatDescription {
  strips: {
    count: number;
    /** m. Along the slope, and across. */
    length: number;
    width: number;
    /** W/K. Conductivity times thickness of the metal between the streaks. */
    conductance: number;
    /** m and kg/m³ of that metal: what a piece of it on a scale is held against. */
    thickness: number;
    density: number;
  };
  /** Share of the face that the film covers at its design flow, 0 to 1. */
  wetted: number;
  /** W/m²K between metal and film. */
  filmCoefficient: number;
  /** Steams onto the cover: the film lies open under it. */
  open: boolean;
}
