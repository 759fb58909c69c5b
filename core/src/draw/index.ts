// The drawing model (shapes and dimensions in metres, by layer) and its writers. Who draws what is the families' business.

export { dim, type EditRange, leader, shape } from './build';
export { drawOn } from './drawOn';
export { writeDxf } from './dxf';
export type { LetterSet } from './letters';
export { letterSetsOf } from './letters';
export type { Dimension, Drawing, Edit, Label, Layer, Point, Shape } from './model';
export { dimensionLine, direction, extent } from './model';
export type { Lettering, Paper, PaperFonts, PaperPage, PaperSize, Pen } from './paper';
export { openPaper, paperSizes } from './paper';
export { scaleFor, writeSvg } from './svg';
export { tiles } from './tile';
