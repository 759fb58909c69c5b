import { type Drawing, extent, leader, type Shape, shape } from '../draw';
import type { MaterialPlan } from './buying';

/** m between two bars or sheets on the drawing. */
const apart = 0.12;

/** Bars and sheets of one material with their pieces, one over the other, as a drawing: for printing, and for other programs. */
export function layoutDrawing(material: MaterialPlan): Drawing {
  const shapes: Shape[] = [];
  const labels: Drawing['labels'][number][] = [];
  let y = 0;
  const name = (part: string) => material.parts.find(({ id }) => id === part)?.name ?? part;
  if (material.kind === 'length')
    for (const bar of material.plan.bars) {
      const length = material.stock.find(({ id }) => id === bar.stock)?.length ?? 0;
      y -= apart;
      shapes.push(shape.rect('note', { x: 0, y, width: length, height: apart / 2 }));
      labels.push(leader(`${bar.count} ×`, { x: length, y }, { x: length + 0.03, y }, { size: length }));
      let x = material.trim;
      for (const piece of bar.pieces) {
        shapes.push(shape.rect('timber', { part: piece.id, x, y, width: piece.length, height: apart / 2 }));
        x += piece.length + material.kerf;
      }
    }
  else
    for (const sheet of material.plan.sheets) {
      y -= sheet.height + apart;
      shapes.push(shape.rect('note', { x: 0, y, width: sheet.width, height: sheet.height }));
      for (const { id, x, y: up, width, height } of sheet.placed) {
        shapes.push(shape.rect('back', { part: id, x, y: y + up, width, height }));
        labels.push(
          leader(
            name(id),
            { x: x + width / 2, y: y + up + height / 2 },
            { x: x + width / 2, y: y + up + height / 2 },
            { anchor: 'middle' },
          ),
        );
      }
    }
  return { title: `${material.name}, laid out`, shapes, dimensions: [], labels };
}

/** All materials of a job, one drawing over the other. */
export function layoutDrawings(materials: readonly MaterialPlan[], title: string): Drawing {
  let y = 0;
  const shapes: Shape[] = [];
  const labels: Drawing['labels'][number][] = [];
  for (const material of materials) {
    const drawing = layoutDrawing(material);
    const box = extent(drawing);
    const by = y - (box.bottom + box.height);
    labels.push(leader(material.name, { x: 0, y }, { x: 0, y: y + apart / 3 }));
    shapes.push(...drawing.shapes.map((shape) => lifted(shape, by)));
    labels.push(
      ...drawing.labels.map((label) => ({
        ...label,
        at: { x: label.at.x, y: label.at.y + by },
        to: { x: label.to.x, y: label.to.y + by },
      })),
    );
    y -= box.height + 3 * apart;
  }
  return { title, shapes, dimensions: [], labels };
}

/** Bars and sheets are drawn of rectangles alone. */
function lifted(shape: Shape, by: number): Shape {
  return shape.kind === 'rect' ? { ...shape, y: shape.y + by } : shape;
}
