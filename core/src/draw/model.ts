/** A drawing as data: shapes and dimensions in metres, y upwards, grouped by layer. Writers scale and round. */

export interface Point {
  x: number;
  y: number;
}

/** What a shape stands for; a writer turns it into a line type, a colour or a DXF layer. */
export type Layer =
  | 'timber'
  | 'back'
  | 'insulation'
  | 'plate'
  | 'tube'
  | 'header'
  | 'pane'
  | 'rail'
  | 'fixing'
  | 'hole'
  | 'centre'
  | 'note';

interface ShapeBase {
  layer: Layer;
  /** Id of the part that it shows, when it shows one. */
  part?: string;
  /** Drawn dashed: an edge that is behind something. */
  hidden?: boolean;
}

export type Shape = ShapeBase &
  (
    | { kind: 'rect'; x: number; y: number; width: number; height: number }
    | { kind: 'circle'; centre: Point; radius: number }
    | { kind: 'line'; from: Point; to: Point }
    | { kind: 'path'; points: readonly Point[]; closed: boolean }
  );

/** How a typed dimension is solved back: parameter = scale * dimension + offset. */
export interface Edit {
  /** Path in the panel, for instance `parameters.pitch` or `glazing.length`. */
  path: string;
  /** m. Least and most the dimension can be with all else as it is. */
  low: number;
  high: number;
  scale: number;
  offset: number;
  /** Why it cannot be less or more. */
  lowReason: string;
  highReason: string;
  /** Field of the panel that gives room beyond `high`: so many m of it for a metre of the dimension. */
  room?: { path: string; share: number };
}

/** A dimension between two points; the dimension line stands `offset` to the left of the way from `from` to `to`. */
export interface Dimension {
  id: string;
  /** What is measured, in a few words. */
  label: string;
  from: Point;
  to: Point;
  offset: number;
  /** m. */
  value: number;
  edit?: Edit;
}

/** A few words on a leader; `size` is written behind them in the reader's unit. */
export interface Label {
  at: Point;
  /** Where the words stand; the leader goes from `at` to here. */
  to: Point;
  words: string;
  size?: number;
  /** Written to tenths of a millimetre or to 64ths, for what is thin. */
  fine?: boolean;
  anchor: 'start' | 'middle' | 'end';
  /** Cold or hot water, where the words are about it. */
  tone?: 'cold' | 'hot';
}

export interface Drawing {
  title: string;
  shapes: readonly Shape[];
  dimensions: readonly Dimension[];
  labels: readonly Label[];
}

export interface Extent {
  left: number;
  bottom: number;
  width: number;
  height: number;
}

function moved(point: Point, by: Point): Point {
  return { x: point.x + by.x, y: point.y + by.y };
}

/** Unit vector from one point to another, and the one to its left. */
export function direction(from: Point, to: Point): { along: Point; left: Point } {
  const length = Math.hypot(to.x - from.x, to.y - from.y) || 1;
  const along = { x: (to.x - from.x) / length, y: (to.y - from.y) / length };
  return { along, left: { x: -along.y, y: along.x } };
}

/** Corners of a rectangle, round from its lower left one. */
export function corners({ x, y, width, height }: { x: number; y: number; width: number; height: number }): Point[] {
  return [
    { x, y },
    { x: x + width, y },
    { x: x + width, y: y + height },
    { x, y: y + height },
  ];
}

/** Ends of a dimension's own line. */
export function dimensionLine(dimension: Dimension): { from: Point; to: Point } {
  const { left } = direction(dimension.from, dimension.to);
  const by = { x: left.x * dimension.offset, y: left.y * dimension.offset };
  return { from: moved(dimension.from, by), to: moved(dimension.to, by) };
}

/** The box round everything drawn, dimension lines and labels included; writers add their own margin for text. */
export function extent(drawing: Drawing): Extent {
  let left = Number.POSITIVE_INFINITY;
  let right = Number.NEGATIVE_INFINITY;
  let bottom = Number.POSITIVE_INFINITY;
  let top = Number.NEGATIVE_INFINITY;
  const take = (x: number, y: number) => {
    left = Math.min(left, x);
    right = Math.max(right, x);
    bottom = Math.min(bottom, y);
    top = Math.max(top, y);
  };
  for (const shape of drawing.shapes) {
    switch (shape.kind) {
      case 'rect':
        take(shape.x, shape.y);
        take(shape.x + shape.width, shape.y + shape.height);
        break;
      case 'circle':
        take(shape.centre.x - shape.radius, shape.centre.y - shape.radius);
        take(shape.centre.x + shape.radius, shape.centre.y + shape.radius);
        break;
      case 'line':
        take(shape.from.x, shape.from.y);
        take(shape.to.x, shape.to.y);
        break;
      case 'path':
        for (const point of shape.points) take(point.x, point.y);
        break;
      default:
        shape satisfies never;
    }
  }
  for (const dimension of drawing.dimensions) {
    const line = dimensionLine(dimension);
    take(line.from.x, line.from.y);
    take(line.to.x, line.to.y);
  }
  for (const label of drawing.labels) take(label.to.x, label.to.y);
  return { left, bottom, width: right - left, height: top - bottom };
}
