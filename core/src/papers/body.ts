import { type Drawing, extent } from '../draw';

/** Layers of what is round: it is placed by its middle, and may stand out of the body of a heater. */
export const roundLayers: ReadonlySet<string> = new Set(['tube', 'header']);

/** Share of a drawing that box or frame must reach over to be what is measured from. */
const most = 0.85;

/**
 * m. What places on a drawing are measured from: the outline of box or frame, tubes that stand out of it and what is bought left out; all that is drawn where the
 * tubes themselves are the body.
 *
 * @param made ids of the pieces that are made
 */
export function bodyOf(
  drawing: Drawing,
  made: ReadonlySet<string>,
): { left: number; bottom: number; width: number; height: number } {
  const part = drawing.shapes.filter(
    (shape) => shape.part !== undefined && made.has(shape.part) && shape.kind !== 'line' && shape.layer !== 'hole',
  );
  const of = (shapes: typeof part) => extent({ ...drawing, shapes, dimensions: [], labels: [] });
  const still = part.filter(({ layer, hidden }) => !roundLayers.has(layer) && !hidden);
  const whole = of(part.length > 0 ? part : [...drawing.shapes]);
  if (still.length === 0) return whole;
  const body = of(still);
  return body.width >= most * whole.width && body.height >= most * whole.height ? body : whole;
}
