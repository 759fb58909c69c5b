import type { Finding } from '../care';
import type { Pane } from '../catalogue';
import type { Purchase } from '../shop';
import type { FlatDescription } from '../thermal';
import type { PanePaths, WindOnPane } from './paneFindings';

/** A pane in its seat, or the open top of a bare panel. */
export interface GlazingDesign {
  name: string;
  pane: { length: number; width: number; thickness: number };
  /** m round the pane for it to grow in. */
  clearance: number;
  /** m. Pane and gasket: how deep the rebate must be. */
  seatDepth: number;
  /** As heat meets it; the gap below it is the panel's. Nothing over a bare panel. */
  cover: Omit<FlatDescription['covers'][number], 'gap'> | undefined;
  /** 1/K. How it grows. */
  expansion: number;
  /** °C. */
  serviceLimit: number;
  /** kg, and J/K. */
  mass: number;
  heatCapacity: number;
  /** Bars that hold it up, across its length: the share of a square sun that they keep off, m across and m deep under the pane. */
  bars: { count: number; shade: number; width: number; depth: number };
  /** What is particular in laying it, in order. */
  work: readonly string[];
  purchases(prefix: string): Purchase[];
  /** What is to be looked at in the pane itself, over a gap of so many metres. `path` is the panel's own in the job. */
  findings(path: string, gap: number): Finding[];
  /** How it stands the site's gust and snow over a gap of so many metres. */
  underWind(gap: number, wind: WindOnPane, paths: PanePaths): Finding[];
}

/** What every pane kind is made from. */
export interface PaneKind {
  id: string;
  name: string;
  meaning: string;
  kind: Pane['kind'];
  standardPane: { metric: string; imperial: string };
  /** m. */
  clearance: number;
  /** Bars to begin with. */
  bars: number;
}
