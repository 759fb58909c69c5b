import type { Part, Purchase } from '../../shop';
import type { FlatDescription } from '../../thermal';
import type { HeaterDesign } from '../family';

/** kg of parts and purchases. */
export function massOf(parts: readonly Part[], purchases: readonly Purchase[]): number {
  return (
    parts.reduce((sum, part) => sum + part.mass * part.count, 0) + purchases.reduce((sum, one) => sum + one.mass, 0)
  );
}

/** The areas of a heater by its thermal description. */
export function areasOf(heat: FlatDescription): HeaterDesign['areas'] {
  return { aperture: heat.apertureArea, absorber: heat.absorberArea, gross: heat.grossArea };
}

/** The areas of a heater that is all absorber where the sun comes in; `outside` in m. */
export function grossOf(
  { apertureArea }: { apertureArea: number },
  outside: { length: number; width: number },
): HeaterDesign['areas'] {
  return { aperture: apertureArea, absorber: apertureArea, gross: outside.length * outside.width };
}
