import type { Dimension, Label, Shape } from '../../draw';
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
  return [
    {
      kind: 'rect',
      layer: 'pane',
      part: `${prefix}/pane`,
      ...at,
      height: Math.max(leastDrawn, glazing.pane.thickness),
    },
  ];
}

/** The same cover from above: hidden, so that what lies under it is seen. */
export function coverOutline(prefix: string, glazing: GlazingDesign, length: number, width: number): Shape[] {
  if (!glazing.cover) return [];
  return [
    { kind: 'rect', layer: 'pane', hidden: true, part: `${prefix}/pane`, x: 0, y: 0, width: length, height: width },
  ];
}

/** The bars under it, each along its middle. */
export function coverBars(prefix: string, glazing: GlazingDesign, length: number, width: number): Shape[] {
  return paneBarPlaces(glazing.bars.count, length).map((x) => ({
    kind: 'line',
    layer: 'pane',
    hidden: true,
    part: `${prefix}/pane-bar`,
    from: { x, y: 0 },
    to: { x, y: width },
  }));
}

/** Its name and thickness beside the cut. */
export function coverLabel(glazing: GlazingDesign, at: { x: number; y: number }): Label[] {
  if (!glazing.cover) return [];
  return [
    {
      at,
      to: { x: at.x + 0.03, y: at.y + 0.012 },
      words: 'cover',
      size: glazing.pane.thickness,
      fine: true,
      anchor: 'start',
    },
  ];
}

/** The air under it, to be changed in place. */
export function coverGap(
  glazing: GlazingDesign,
  gap: {
    x: number;
    y: number;
    value: number;
    label: string;
    low: number;
    high: number;
    lowReason: string;
    highReason: string;
  },
): Dimension[] {
  if (!glazing.cover) return [];
  const { x, y, value, label, ...limits } = gap;
  return [
    {
      id: 'air-gap',
      label,
      from: { x, y },
      to: { x, y: y + value },
      offset: 0,
      value,
      edit: { path: 'parameters.airGap', ...limits, scale: 1, offset: 0 },
    },
  ];
}
