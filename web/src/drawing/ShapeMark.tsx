import type { Layer, Shape } from '@north-pane/core/draw';
import { line } from 'd3';
import { ink } from '../theme/ink';

/** Line and fill of each layer on the bench. */
const looks: Record<Layer, { stroke: string; fill: string; width: number }> = {
  timber: { stroke: ink('ink'), fill: ink('timber'), width: 1.5 },
  back: { stroke: ink('ink'), fill: ink('timber'), width: 1 },
  insulation: { stroke: ink('line'), fill: ink('wool'), width: 1 },
  plate: {
    stroke: ink('copperText'),
    fill: 'color-mix(in srgb, var(--np-colors-copper) 26%, var(--np-colors-card))',
    width: 0.75,
  },
  tube: {
    stroke: ink('copperText'),
    fill: 'color-mix(in srgb, var(--np-colors-copper) 62%, var(--np-colors-card))',
    width: 1,
  },
  header: { stroke: ink('copperText'), fill: ink('copper'), width: 1.5 },
  pane: {
    stroke: ink('paneText'),
    fill: 'color-mix(in srgb, var(--np-colors-pane) 34%, var(--np-colors-card))',
    width: 1.25,
  },
  rail: { stroke: ink('ink'), fill: ink('timber'), width: 0.75 },
  fixing: { stroke: ink('ink'), fill: ink('ink'), width: 0.5 },
  hole: { stroke: ink('copperText'), fill: ink('card'), width: 1 },
  centre: { stroke: ink('soft'), fill: 'none', width: 0.75 },
  note: { stroke: ink('ink'), fill: 'none', width: 1.5 },
};

export interface Placing {
  x(metres: number): number;
  y(metres: number): number;
  /** px per metre. */
  scale: number;
}

/** One shape of a drawing, or a row of like rectangles, in pixels. */
export function ShapeMark({ shapes, place, lit }: { shapes: readonly Shape[]; place: Placing; lit?: boolean }) {
  const shape = shapes[0];
  if (!shape) return null;
  const own = looks[shape.layer];
  const look = lit ? { ...own, stroke: ink('paneText'), width: 3 } : own;
  const common = {
    stroke: look.stroke,
    strokeWidth: look.width,
    fill: shape.hidden ? 'none' : look.fill,
    strokeDasharray: shape.hidden ? '5 4' : undefined,
  };
  switch (shape.kind) {
    case 'rect':
      return <path d={shapes.map((one) => (one.kind === 'rect' ? rectPath(one, place) : '')).join('')} {...common} />;
    case 'circle':
      return (
        <circle cx={place.x(shape.centre.x)} cy={place.y(shape.centre.y)} r={shape.radius * place.scale} {...common} />
      );
    case 'line':
      return (
        <line
          x1={place.x(shape.from.x)}
          y1={place.y(shape.from.y)}
          x2={place.x(shape.to.x)}
          y2={place.y(shape.to.y)}
          {...common}
        />
      );
    case 'path': {
      const draw = line<{ x: number; y: number }>(
        (point) => place.x(point.x),
        (point) => place.y(point.y),
      );
      const path = draw([...shape.points]) ?? '';
      return <path d={shape.closed ? `${path}Z` : path} {...common} fill={shape.closed ? common.fill : 'none'} />;
    }
    default:
      return shape satisfies never;
  }
}

/** A rectangle as a part of a path. */
function rectPath({ x, y, width, height }: Extract<Shape, { kind: 'rect' }>, place: Placing): string {
  const across = width * place.scale;
  return `M${place.x(x)},${place.y(y)}h${across}V${place.y(y + height)}h${-across}Z`;
}
