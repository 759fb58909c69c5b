import type { Dimension, Edit, Label, Layer, Point, Shape } from './model';

/** What a shape has beside its layer and its geometry. */
type More = Pick<Shape, 'part' | 'hidden'>;
type Rect = { x: number; y: number; width: number; height: number };

/** Shapes of a drawing, by layer; m. */
export const shape = {
  rect: (layer: Layer, rest: Rect & More): Shape => ({ kind: 'rect', layer, ...rest }),
  circle: (layer: Layer, centre: Point, radius: number, more: More = {}): Shape => ({
    kind: 'circle',
    layer,
    centre,
    radius,
    ...more,
  }),
  line: (layer: Layer, from: Point, to: Point, more: More = {}): Shape => ({ kind: 'line', layer, from, to, ...more }),
  /** An open path. */
  path: (layer: Layer, points: readonly Point[], more: More = {}): Shape => ({
    kind: 'path',
    layer,
    points,
    closed: false,
    ...more,
  }),
  /** A closed path. */
  outline: (layer: Layer, points: readonly Point[], more: More = {}): Shape => ({
    kind: 'path',
    layer,
    points,
    closed: true,
    ...more,
  }),
};

/** How far a dimension can be typed; one that is the parameter itself needs no scale and offset. */
export type EditRange = Omit<Edit, 'scale' | 'offset'> & Partial<Pick<Edit, 'scale' | 'offset'>>;

interface DimensionRest {
  /** m. The dimension line stands so far to the left of the way. */
  offset: number;
  edit?: EditRange | undefined;
}

/** A dimension between any two points; `value` is what is written there, m. */
function between(
  id: string,
  label: string,
  from: Point,
  to: Point,
  { value, offset, edit }: DimensionRest & { value: number },
): Dimension {
  return { id, label, from, to, offset, value, ...(edit ? { edit: { scale: 1, offset: 0, ...edit } } : {}) };
}

/** Dimensions of a drawing by where they begin and how long they are; m. */
export const dim = {
  /** Along x. */
  across: (id: string, label: string, from: Point, value: number, rest: DimensionRest): Dimension =>
    between(id, label, from, { x: from.x + value, y: from.y }, { value, ...rest }),
  /** Along y. */
  up: (id: string, label: string, from: Point, value: number, rest: DimensionRest): Dimension =>
    between(id, label, from, { x: from.x, y: from.y + value }, { value, ...rest }),
  between,
};

/** A few words on a leader from `at` to where they stand; they begin there unless anchored otherwise. */
export function leader(
  words: string,
  at: Point,
  to: Point,
  more: Partial<Pick<Label, 'anchor' | 'tone' | 'size' | 'fine'>> = {},
): Label {
  return { words, at, to, anchor: 'start', ...more };
}
