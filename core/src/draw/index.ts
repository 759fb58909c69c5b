// The drawing model (shapes and dimensions in metres, by layer) and its writers. Who draws what is the families' business.

export type { OnPaper } from './drawOn';
export { drawOn } from './drawOn';
export { writeDxf } from './dxf';
export type { LetterSet } from './letters';
export { letterSetsOf } from './letters';
export type { Dimension, Drawing, Edit, Extent, Label, Layer, Point, Shape } from './model';
export { dimensionLine, direction, extent } from './model';
export type { Lettering, Paper, PaperFonts, PaperPage, PaperSize, Pen } from './paper';
export { openPaper, paperSizes } from './paper';
export type { SvgOptions } from './svg';
export { scaleFor, writeSvg } from './svg';
export type { Tile } from './tile';
export { tiles } from './tile';
