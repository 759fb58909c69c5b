import { type Drawing, extent } from '@north-pane/core/draw';
import { likeShapes } from '../drawing/likeShapes';
import { type Placing, ShapeMark } from '../drawing/ShapeMark';

/** The plan of a panel without words or sizes, as small as a stamp. */
export function Silhouette({ drawing, size }: { drawing: Drawing; size: { width: number; height: number } }) {
  const shapes = drawing.shapes.filter(({ layer }) => layer !== 'note');
  const box = extent({ ...drawing, shapes, dimensions: [], labels: [] });
  const scale = Math.min(size.width / box.width, size.height / box.height);
  const place: Placing = {
    scale,
    x: (metres) => (metres - box.left) * scale,
    y: (metres) => (box.bottom + box.height - metres) * scale,
  };
  return (
    <svg width={box.width * scale} height={box.height * scale} aria-hidden>
      {likeShapes(shapes).map((like) => (
        <ShapeMark key={like.key} shapes={like.shapes} place={place} />
      ))}
    </svg>
  );
}
