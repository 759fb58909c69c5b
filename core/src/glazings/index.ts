// What lets the sun in and keeps the wind out. One member a kind, registered here.
import type { Member } from '../catalogue';
import type { GlazingDesign } from './glazing';
import { temperedGlass, twinWall } from './pane';

export const glazings = {
  'tempered-glass': temperedGlass,
  'twin-wall': twinWall,
} as const satisfies Record<string, Member<GlazingDesign>>;

export type { GlazingDesign } from './glazing';
