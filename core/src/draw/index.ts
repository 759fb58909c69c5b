// The drawing model (shapes and dimensions in metres, by layer) and its writers. Who draws what is the families' business.

export type { Dimension, Drawing, Edit, Extent, Label, Layer, Point, Shape } from './model';
export { dimensionLine, direction, extent } from './model';
export type { SvgOptions } from './svg';
export { scaleFor, writeSvg } from './svg';
