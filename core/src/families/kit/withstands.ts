import type { GlazingDesign } from '../../glazings';
import type { MaterialInPanel } from '../family';

/** What sits at a place of the panel and the temperature that it stands; `path` is the field that changes it. */
export function withstands(
  place: string,
  { name, serviceLimit }: { name: string; serviceLimit: number },
  path?: string,
): MaterialInPanel {
  return { name, place, limit: serviceLimit, ...(path ? { path } : {}) };
}

/** The cover, where there is one. */
export function coverWithstands({ cover, name, serviceLimit }: GlazingDesign, path: string): MaterialInPanel[] {
  return cover ? [withstands('inner pane', { name, serviceLimit }, path)] : [];
}
