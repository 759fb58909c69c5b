import type { Drawing } from '../draw';
import type { Part, Purchase } from '../shop';
import type { Exposure } from './wind';

/** A panel as its stand meets it; SI. */
export interface MountedPanel {
  /** Prefix of part ids. */
  prefix: string;
  /** m up the slope, across it, and through the box. */
  upslope: number;
  across: number;
  depth: number;
  /** kg, with its water. */
  mass: number;
  /** Tilts it shall stand at, degrees, with their names. */
  tilts: readonly { name: string; tilt: number }[];
}

/** A stand for one panel. */
export interface MountDesign {
  parts: Part[];
  purchases: Purchase[];
  /** Seen from the side, at the first of its tilts. */
  side: Drawing;
  /** m. Front foot to back foot: what keeps it from toppling. */
  base: number;
  /** m. Height of the low edge over the ground. */
  low: number;
  /** Rails across that the panel lies on: m from what holds them to the next, their breadth and their depth under the load; none where it lies on something else. */
  rails?: { count: number; span: number; wide: number; deep: number };
  /** What keeps it where it is in a gust: weight or ropes on the ground, or so many fixings in a roof, a wall, a rack. */
  held: { by: 'none' | 'ballast' | 'guys' } | { by: 'fixings'; count: number; what: string };
  /** Close over a roof; open to the wind on both sides when left out. */
  exposure?: Exposure;
  /** °. What it lies at, where the mount itself says so and not the place. */
  tilt?: number;
}

/** What a stand is made of, bound to its own parameters. */
export interface MountMember {
  under(panel: MountedPanel): MountDesign;
}
