import { type Shape, shape } from '../../draw';

/** Rectangles of the parts of one heater: by the role of each, the corner nearest to zero, and its sides; m. */
export function rectsOf(prefix: string) {
  return (
    layer: Shape['layer'],
    part: string,
    x: number,
    y: number,
    width: number,
    height: number,
    hidden = false,
  ): Shape => shape.rect(layer, { part: `${prefix}/${part}`, x, y, width, height, ...(hidden ? { hidden } : {}) });
}
