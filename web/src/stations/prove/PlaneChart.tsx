import type { Comparison } from '@north-pane/core/proof';
import { formatNumber } from '@north-pane/core/quantity';
import { Chart } from '../../charts/Chart';
import { SvgText } from '../../drawing/SvgText';
import { ink } from '../../theme/ink';

/** Dots beyond this many are thinned out evenly. */
const mostDots = 600;

/** Measured and expected efficiency over (water in less air) / sun, for the readings that a verdict may rest on. */
export function PlaneChart({
  rows,
  steadyOnly,
  stands,
}: {
  rows: readonly Comparison[];
  steadyOnly: boolean;
  /** Water that stands has no inlet: its mean is held against the air. */
  stands: boolean;
}) {
  const fit = rows.filter((row) => row.fit && (!steadyOnly || row.steady));
  const every = Math.ceil(fit.length / mostDots);
  const points = fit
    .filter((_, index) => index % every === 0)
    .map(({ reading, efficiency }) => ({ time: reading.time, ...efficiency }));
  const right = Math.max(0.02, ...points.map((point) => point.x)) * 1.1;
  const left = Math.min(0, ...points.map((point) => point.x)) * 1.1;
  return (
    <Chart
      label={`Efficiency plane: ${points.length} readings, measured and expected`}
      xDomain={[left, right]}
      yDomain={[0, 0.9]}
      xTitle={`(${stands ? 'water' : 'water in'} less air) / sun, K m²/W`}
      yTitle="efficiency on the pane"
      xTick={(value) => formatNumber(value, 3)}
      yTick={(value) => formatNumber(value, 1)}
    >
      {({ x, y, width }) => (
        <>
          {points.map((point) => (
            <path
              key={`e${point.time}`}
              d={`M${x(point.x) - 5} ${y(point.predicted)}h10`}
              stroke={ink('copperText')}
              strokeWidth={2}
              opacity={0.7}
            />
          ))}
          {points.map((point) => (
            <circle key={point.time} cx={x(point.x)} cy={y(point.measured)} r={3} fill={ink('ink')} />
          ))}
          <g>
            <SvgText size={13} x={width} y={14} textAnchor="end" fill={ink('copperText')}>
              – expected of the drawing
            </SvgText>
            <SvgText size={13} x={width} y={32} textAnchor="end" fill={ink('ink')}>
              ● measured
            </SvgText>
          </g>
        </>
      )}
    </Chart>
  );
}
