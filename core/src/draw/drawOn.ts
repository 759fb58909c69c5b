import { fineMarks, formatLength, type Habit } from '../quantity';
import { paperInk } from './look';
import { type Dimension, type Drawing, dimensionLine, direction, type Point } from './model';
import type { PaperPage, Pen } from './paper';

export interface OnPaper {
  /** mm of paper to a metre of the thing; 1000 is full size. */
  scale: number;
  /** mm. Where the drawing's own zero lies on the page. */
  origin: Point;
  habit: Habit;
  /** Lines without fills, for what is drawn through to the thing. */
  bare?: boolean;
}

/** mm. */
const letters = 2.8;

/** Draws a drawing of the model on a page, dimensions and labels in the reader's unit. */
export function drawOn(page: PaperPage, drawing: Drawing, { scale, origin, habit, bare }: OnPaper): void {
  const place = ({ x, y }: Point): Point => ({ x: origin.x + x * scale, y: origin.y + y * scale });
  for (const shape of drawing.shapes) {
    const { stroke, fill } = paperInk[shape.layer];
    const pen: Pen = {
      stroke,
      width: shape.layer === 'centre' ? 0.15 : 0.3,
      ...(shape.hidden || bare ? {} : { fill }),
      ...(shape.hidden || shape.layer === 'centre' ? { dash: [1.6, 1] as const } : {}),
    };
    switch (shape.kind) {
      case 'rect': {
        const corner = place(shape);
        page.rect(corner.x, corner.y, shape.width * scale, shape.height * scale, pen);
        break;
      }
      case 'circle':
        page.circle(place(shape.centre), shape.radius * scale, pen);
        break;
      case 'line':
        page.line(place(shape.from), place(shape.to), pen);
        break;
      case 'path':
        page.path(shape.points.map(place), shape.closed, pen);
        break;
      default:
        shape satisfies never;
    }
  }
  for (const dimension of drawing.dimensions) drawDimension(page, dimension, place, habit);
  for (const label of drawing.labels) {
    const to = place(label.to);
    // Words on the spot need no line to it.
    if (label.at.x !== label.to.x || label.at.y !== label.to.y)
      page.line(place(label.at), to, { stroke: '#5A6469', width: 0.15 });
    const size =
      label.size === undefined
        ? ''
        : ` ${formatLength(label.size, habit, { bare: true, ...(label.fine ? fineMarks : {}) }).text}`;
    page.text(
      `${label.words}${size}`,
      { x: to.x + (label.anchor === 'start' ? 0.8 : 0), y: to.y - 1 },
      {
        size: letters,
        align: label.anchor,
      },
    );
  }
}

function drawDimension(page: PaperPage, dimension: Dimension, place: (point: Point) => Point, habit: Habit): void {
  const line = dimensionLine(dimension);
  const [from, to] = [place(line.from), place(line.to)];
  const thin: Pen = { stroke: '#5A6469', width: 0.12 };
  page.line(place(dimension.from), from, thin);
  page.line(place(dimension.to), to, thin);
  page.line(from, to, { stroke: '#22303A', width: 0.25 });
  const { along } = direction(from, to);
  for (const at of [from, to]) {
    const [dx, dy] = [(along.x - along.y) * 1.1, (along.y + along.x) * 1.1];
    page.line({ x: at.x - dx, y: at.y - dy }, { x: at.x + dx, y: at.y + dy }, { stroke: '#22303A', width: 0.3 });
  }
  const upright = Math.abs(along.y) > Math.abs(along.x);
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  const at = upright ? { x: middle.x - 0.9, y: middle.y } : { x: middle.x, y: middle.y + 0.9 };
  page.text(formatLength(dimension.value, habit, { bare: true }).text, at, {
    size: letters,
    align: 'middle',
    turn: upright ? 90 : 0,
  });
}
