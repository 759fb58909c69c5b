import type { Range } from '../../catalogue';
import type { FlatDescription } from '../flat/description';
import type { RoundTubes } from '../roundTubes';

/** Hose or pipe wound flat: round tubes side by side that are their own absorber. */
export interface CoilDescription extends FlatDescription {
  /** Hoses in parallel, and m of each. */
  starts: number;
  length: number;
  /** m. */
  outerDiameter: number;
  bore: number;
  /** W/mK of its wall. */
  conductivity: number;
  tubes: RoundTubes;
  /** How much more its wall holds back than a tube heated all round, since the sun heats one half: 1 to 2. */
  oneSided: Range;
  /** Surface that the wind reaches over the plan of the tubes; only of a bare one. */
  surface: Range;
}
