// What lets the sun in and keeps the wind out. One member a kind, registered here.
import type { Member } from '../catalogue';
import type { GlazingDesign } from './glazing';
import { acrylic, annealedGlass, fibreglass, film, noGlazing, sealedUnit, temperedGlass, twinWall } from './pane';

export const glazings = {
  'tempered-glass': temperedGlass,
  'twin-wall': twinWall,
  'annealed-glass': annealedGlass,
  'sealed-unit': sealedUnit,
  fibreglass,
  acrylic,
  film,
  none: noGlazing,
} as const satisfies Record<string, Member<GlazingDesign>>;

export type { GlazingDesign } from './glazing';
export { paneBarParts, paneBarPlaces, paneBarSlots } from './paneBars';
export { glazingWords, type WindOnPane } from './paneFindings';
export { bears, bending, leafDeflection, rigidityOf } from './strength';
