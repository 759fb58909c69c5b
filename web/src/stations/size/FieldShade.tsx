import type { Drawing } from '@north-pane/core/draw';
import { formatQuantity, type Habit } from '@north-pane/core/quantity';
import type { Section } from '@north-pane/core/readout';
import { useId } from 'react';
import type { Placing } from '../../drawing/ShapeMark';
import { heatInk } from '../../theme/ink';

type Field = Extract<Section, { kind: 'field' }>;

/** °C of the coldest and the hottest place of a plate, to whole degrees outward. */
function plateSpan(plate: Field['values']): { low: number; high: number } {
  const all = plate.flatMap((strip) => strip.flat());
  return { low: Math.floor(Math.min(...all)), high: Math.ceil(Math.max(...all)) };
}

/** Which colour is how warm. */
export function FieldLegend({ field: { values: plate }, habit }: { field: Field; habit: Habit }) {
  const { low, high } = plateSpan(plate);
  const text = (value: number) => formatQuantity('temperature', value, habit, 0).text;
  const stops = [0, 0.25, 0.5, 0.75, 1].map(heatInk).join(', ');
  return (
    <span
      style={{
        position: 'absolute',
        zIndex: 1,
        top: 36,
        left: 0,
        display: 'flex',
        alignItems: 'center',
        gap: 5,
        fontSize: 13,
      }}
    >
      {text(low)}
      <span style={{ width: 34, height: 10, background: `linear-gradient(to right, ${stops})` }} />
      {text(high)}
    </span>
  );
}

/** A field of temperatures over the plan: every rectangle of its layer in lines, part by part along the water. */
export function FieldShade({ place, plan, field }: { place: Placing; plan: Drawing; field: Field }) {
  const { values: plate, layer } = field;
  const id = useId();
  const strips = plan.shapes.flatMap((shape) => (shape.layer === layer && shape.kind === 'rect' ? [shape] : []));
  const { low, high } = plateSpan(plate);
  const share = (value: number) => (high > low ? (value - low) / (high - low) : 0);
  return (
    <g aria-hidden>
      {strips.flatMap((strip, row) =>
        (plate[row] ?? []).map((line, across, lines) => {
          const height = strip.height / lines.length;
          const name = `${id}-${row}-${across}`;
          return (
            <g key={name}>
              <linearGradient id={name}>
                {line.map((value, part) => (
                  <stop
                    // biome-ignore lint/suspicious/noArrayIndexKey: the parts along the water lie in order
                    key={part}
                    offset={(part + 0.5) / line.length}
                    style={{ stopColor: heatInk(share(value)) }}
                  />
                ))}
              </linearGradient>
              <rect
                x={place.x(strip.x)}
                y={place.y(strip.y + (lines.length - across) * height)}
                width={strip.width * place.scale}
                height={height * place.scale + 0.5}
                fill={`url(#${name})`}
              />
            </g>
          );
        }),
      )}
    </g>
  );
}
