import type { CollectorDescription } from '../heat';
import type { Purchase } from '../shop';

/** A pane in its seat. */
export interface GlazingDesign {
  name: string;
  pane: { length: number; width: number; thickness: number };
  /** m round the pane for it to grow in. */
  clearance: number;
  /** m. Pane and gasket: how deep the rebate must be. */
  seatDepth: number;
  /** As heat meets it; the gap below it is the panel's. */
  cover: Omit<CollectorDescription['covers'][number], 'gap'>;
  /** °C. */
  serviceLimit: number;
  /** kg. */
  mass: number;
  purchases(prefix: string): Purchase[];
}
