import { type Dimension, dim, type Label, leader, type Shape, shape } from '../../draw';
import type { ParameterRange } from '../../field';
import { type GlazingDesign, paneBarPlaces } from '../../glazings';

/** m. A film is drawn as thick as a line can be seen. */
const leastDrawn = 0.001;

/** A cover that lies over a panel without a rebate, cut across: over what and to where it reaches. */
export function coverShapes(
  prefix: string,
  glazing: GlazingDesign,
  at: { x: number; y: number; width: number },
): Shape[] {
  if (!glazing.cover) return [];
  return [shape.rect('pane', { part: `${prefix}/pane`, ...at, height: Math.max(leastDrawn, glazing.pane.thickness) })];
}

/** The same cover from above: hidden, so that what lies under it is seen. */
export function coverOutline(prefix: string, glazing: GlazingDesign, length: number, width: number): Shape[] {
  if (!glazing.cover) return [];
  return [shape.rect('pane', { hidden: true, part: `${prefix}/pane`, x: 0, y: 0, width: length, height: width })];
}

/** The bars under it, each along its middle. */
export function coverBars(prefix: string, glazing: GlazingDesign, length: number, width: number): Shape[] {
  return paneBarPlaces(glazing.bars.count, length).map((x) =>
    shape.line('pane', { x, y: 0 }, { x, y: width }, { hidden: true, part: `${prefix}/pane-bar` }),
  );
}

/** Its name and thickness beside the cut. */
export function coverLabel(glazing: GlazingDesign, at: { x: number; y: number }): Label[] {
  if (!glazing.cover) return [];
  return [leader('cover', at, { x: at.x + 0.03, y: at.y + 0.012 }, { size: glazing.pane.thickness, fine: true })];
}

/** The air under it, to be changed in place. */
export function coverGap(
  glazing: GlazingDesign,
  { x, y, value, label, range }: { x: number; y: number; value: number; label: string; range: ParameterRange },
): Dimension[] {
  if (!glazing.cover) return [];
  return [dim.up('air-gap', label, { x, y }, value, { offset: 0, edit: range })];
}
