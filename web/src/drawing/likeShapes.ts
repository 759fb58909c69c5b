import type { Shape } from '@north-pane/core/draw';

type RectShape = Extract<Shape, { kind: 'rect' }>;

/** Shapes that are drawn as one mark: a single one, or rectangles of one part that stand side by side. */
export interface LikeShapes {
  /** Says which mark of the drawing it is, for as long as the drawing has it. */
  key: string;
  /** At least one; more only of rectangles. */
  shapes: readonly Shape[];
}

/**
 * The shapes of a drawing in their order, rows of like rectangles taken together: a row of forty fins is one mark of the page and not
 * forty. Rectangles that overlap stay apart, since each hides what lies under it.
 */
export function likeShapes(shapes: readonly Shape[]): LikeShapes[] {
  const rows: { name: string; shapes: Shape[] }[] = [];
  for (const shape of shapes) {
    const name = `${shape.layer} ${shape.kind} ${shape.part ?? ''} ${shape.hidden === true}`;
    const row = rows[rows.length - 1];
    const joins =
      row !== undefined &&
      row.name === name &&
      shape.kind === 'rect' &&
      row.shapes.every((other) => other.kind === 'rect' && !overlap(other, shape));
    if (joins) row.shapes.push(shape);
    else rows.push({ name, shapes: [shape] });
  }
  const seen = new Map<string, number>();
  return rows.map((row) => {
    const count = seen.get(row.name) ?? 0;
    seen.set(row.name, count + 1);
    return { key: `${row.name} ${count}`, shapes: row.shapes };
  });
}

/** Whether two rectangles share some of their inside. */
function overlap(a: RectShape, b: RectShape): boolean {
  return a.x < b.x + b.width && b.x < a.x + a.width && a.y < b.y + b.height && b.y < a.y + a.height;
}
