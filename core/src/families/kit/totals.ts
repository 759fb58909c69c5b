import type { CollectorDescription } from '../../heat';
import type { Part, Purchase } from '../../shop';
import type { PanelDesign } from '../family';

/** kg of parts and purchases. */
export function massOf(parts: readonly Part[], purchases: readonly Purchase[]): number {
  return (
    parts.reduce((sum, part) => sum + part.mass * part.count, 0) + purchases.reduce((sum, one) => sum + one.mass, 0)
  );
}

/** The areas of a panel by its heat. */
export function areasOf(heat: CollectorDescription): PanelDesign['areas'] {
  return { aperture: heat.apertureArea, absorber: heat.absorberArea, gross: heat.grossArea };
}
