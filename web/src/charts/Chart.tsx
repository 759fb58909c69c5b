import { Box } from '@chakra-ui/react';
import { type ScaleLinear, scaleLinear } from 'd3';
import type { ReactNode } from 'react';
import { SvgText } from '../drawing/SvgText';
import { useSize } from '../parts/useSize';
import { ink } from '../theme/ink';

export interface Scales {
  x: ScaleLinear<number, number>;
  y: ScaleLinear<number, number>;
  width: number;
  height: number;
}

interface ChartProps {
  /** What it shows, for those who cannot see it. */
  label: string;
  /** In the units of the axes. */
  xDomain: readonly [number, number];
  yDomain: readonly [number, number];
  xTitle: string;
  yTitle: string;
  xTick?(value: number): string;
  yTick?(value: number): string;
  xTicks?: readonly number[];
  children(scales: Scales): ReactNode;
  onPick?(x: number): void;
  /** Something in it is taken hold of: then it is no picture to readers of the page, but a group. */
  handled?: boolean;
}

const margin = { left: 54, right: 14, top: 26, bottom: 42 };

/** Axes with their units, and whatever is drawn between them. */
export function Chart({
  label,
  xDomain,
  yDomain,
  xTitle,
  yTitle,
  xTick,
  yTick,
  xTicks,
  children,
  onPick,
  handled,
}: ChartProps) {
  const [ref, size] = useSize<HTMLDivElement>();
  const width = Math.max(0, size.width - margin.left - margin.right);
  const height = Math.max(0, size.height - margin.top - margin.bottom);
  const x = scaleLinear(xDomain, [0, width]);
  const y = scaleLinear(yDomain, [height, 0]).nice(5);
  const acrossTicks = xTicks ?? x.ticks(Math.max(3, Math.floor(width / 80)));
  return (
    <Box ref={ref} w="100%" h="100%" minH="0" data-room>
      {width > 0 && (
        <svg
          width={size.width}
          height={size.height}
          viewBox={`0 0 ${size.width} ${size.height}`}
          role={handled ? 'group' : 'img'}
          aria-label={label}
          style={{ display: 'block', cursor: onPick ? 'crosshair' : undefined }}
          onPointerDown={(event) =>
            onPick?.(x.invert(event.clientX - event.currentTarget.getBoundingClientRect().left - margin.left))
          }
        >
          <g transform={`translate(${margin.left} ${margin.top})`}>
            {y.ticks(5).map((tick) => (
              <g key={tick} transform={`translate(0 ${y(tick)})`}>
                <line x2={width} stroke={ink('line')} />
                <SvgText size={13} x={-8} textAnchor="end" dominantBaseline="central" fill={ink('soft')}>
                  {yTick ? yTick(tick) : String(tick)}
                </SvgText>
              </g>
            ))}
            {acrossTicks.map((tick) => (
              <g key={tick} transform={`translate(${x(tick)} ${height})`}>
                <line y2={5} stroke={ink('soft')} />
                <SvgText size={13} y={19} textAnchor="middle" fill={ink('soft')}>
                  {xTick ? xTick(tick) : String(tick)}
                </SvgText>
              </g>
            ))}
            <line x2={width} y1={height} y2={height} stroke={ink('soft')} />
            <SvgText size={13} x={-margin.left + 6} y={-12} fill={ink('soft')}>
              {yTitle}
            </SvgText>
            <SvgText size={13} x={width} y={height + 36} textAnchor="end" fill={ink('soft')}>
              {xTitle}
            </SvgText>
            {children({ x, y, width, height })}
          </g>
        </svg>
      )}
    </Box>
  );
}
