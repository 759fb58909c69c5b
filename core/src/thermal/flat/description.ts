import type { Range } from '../../catalogue';
import type { Cavities } from '../coverGap';
import type { RoundTubes } from '../roundTubes';
import type { ThermalStack } from '../stack';
import type { Sunlit } from '../sunlit';

/**
 * A flat absorber as heat sees it: covers over it, a back and a rim round it. What plate, wetted sheet and film share; uncertain inputs
 * keep their spread.
 */
export interface FlatDescription {
  /** m². Lets sun in (A_a). */
  apertureArea: number;
  /** m². Absorber that loses heat (A_c); what the sun reaches of it is told by `sunlit`. */
  absorberArea: number;
  /** Opening, absorber and what shades it. */
  sunlit: Sunlit;
  /** m². Outside to outside (A_G). */
  grossArea: number;
  /** From the absorber outward; none is a bare one. */
  covers: readonly {
    index: number;
    sheets: number;
    transmittance: Range;
    emittance: number;
    /** Share of long-wave radiation that passes; zero when left out. */
    longWave?: number;
    /** m. */
    gap: number;
    /** W/m²K through the solid; Infinity for thin sheets. */
    conductance: number;
    /** Air spaces inside a hollow pane. */
    cavities?: Cavities;
  }[];
  /** The absorber is of round tubes that run every way: what they catch by the sun's height is theirs to say. Flat where left out. */
  tubes?: RoundTubes;
  /** Share let through by dirt and condensation. */
  dirt: Range;
  absorptance: Range;
  emittance: Range;
  /** Share of the absorber that is wet and open to the pane: it steams. None when left out. */
  wet?: number;
  /** From the absorber down. */
  back: ThermalStack;
  /** Long-wave emittance of a back that stands open to wind and ground; its `back.outside` is not used then. */
  bareBack?: number;
  /** Times the book value, as built. */
  backFactor: Range;
  /** Round the hot space; m². */
  rim: ThermalStack & { area: number };
  rimFactor: Range;
  /** J/K. Metal and a share of the pane; water; the share of insulation and sides that swings with the absorber. */
  capacity: { dry: number; water: number; box: number };
  /** Spreads that the builder knows better, by the id of the input. */
  known?: Readonly<Record<string, Range>> | undefined;
}
