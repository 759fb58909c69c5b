import { area, line } from 'd3';
import { useId } from 'react';
import { ink } from '../theme/ink';
import type { Scales } from './Chart';

export interface BandPoint {
  x: number;
  low: number;
  likely: number;
  high: number;
}

/**
 * What is expected: the likely line and the span that nine in ten lie in. Gaps part it; what lies beyond the axes is not drawn.
 *
 * @param props.aside one that stands behind another: grey and dashed
 */
export function Band({
  points,
  scales,
  broken,
  aside,
}: {
  points: readonly BandPoint[];
  scales: Scales;
  broken?: number;
  aside?: boolean;
}) {
  const { x, y, width, height } = scales;
  const room = useId();
  const runs: BandPoint[][] = [];
  for (const point of points) {
    const run = runs[runs.length - 1];
    const last = run?.[run.length - 1];
    if (run && last && (broken === undefined || point.x - last.x <= broken)) run.push(point);
    else runs.push([point]);
  }
  const span = area<BandPoint>()
    .x((point) => x(point.x))
    .y0((point) => y(point.low))
    .y1((point) => y(point.high));
  const middle = line<BandPoint>()
    .x((point) => x(point.x))
    .y((point) => y(point.likely));
  return (
    <g clipPath={`url(#${room})`}>
      <clipPath id={room}>
        <rect width={width} height={height} />
      </clipPath>
      {runs.map((run) => (
        <g key={run[0]?.x}>
          <path d={span(run) ?? ''} fill={ink(aside ? 'soft' : 'copper')} opacity={aside ? 0.16 : 0.24} />
          <path
            d={middle(run) ?? ''}
            fill="none"
            stroke={ink(aside ? 'soft' : 'copperText')}
            strokeWidth={aside ? 1.5 : 2}
            strokeDasharray={aside ? '6 4' : undefined}
          />
        </g>
      ))}
    </g>
  );
}
