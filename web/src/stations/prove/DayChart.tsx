import { tz } from '@date-fns/tz';
import type { Comparison } from '@north-pane/core/proof';
import { formatNumber, type Habit } from '@north-pane/core/quantity';
import { Band, type BandPoint } from '../../charts/Band';
import { Chart, type Scales } from '../../charts/Chart';
import { chartUnit } from '../../charts/units';
import { SvgText } from '../../drawing/SvgText';
import { ink } from '../../theme/ink';

/** h. A longer silence parts the band. */
const silence = 0.6;

/** Hours of the site's own clock. */
function hourOf(time: number, zone: string): number {
  const at = tz(zone)(new Date(time));
  return at.getHours() + at.getMinutes() / 60 + at.getSeconds() / 3600;
}

/** Gain through one day, or rises of water that stands: what was measured, on the span that was to be expected; steady stretches shaded. */
export function DayChart({ rows, zone, habit }: { rows: readonly Comparison[]; zone: string; habit: Habit }) {
  const unit = chartUnit('temperatureDifference', habit);
  const points = rows.map((row) => ({
    x: hourOf(row.reading.time, zone),
    low: unit.write(row.predicted.low),
    likely: unit.write(row.predicted.gain),
    high: unit.write(row.predicted.high),
    measured: unit.write(row.measuredGain),
    half: unit.write(row.measuredHalf),
    steady: row.steady,
  }));
  const from = Math.floor(Math.min(...points.map((point) => point.x)) - 0.25);
  const to = Math.ceil(Math.max(...points.map((point) => point.x)) + 0.25);
  const top = Math.max(1, ...points.map((point) => Math.max(point.high, point.measured + point.half)));
  const lowest = Math.min(...points.map((point) => point.measured));
  // A reading a hair below zero is no reason for an axis that goes there.
  const bottom = lowest < -0.05 * top ? lowest : 0;
  const few = points.length <= 12;
  // Water that stands is told by how much it rose since it was read before.
  const stands = rows.some((row) => row.since);
  return (
    <Chart
      label={`${stands ? 'Rises' : 'Temperature rise'} through the day: ${points.length} readings against the expected band`}
      xDomain={[from, to]}
      yDomain={[bottom, top]}
      xTitle="hour of the day"
      yTitle={`${stands ? 'rise since the reading before' : 'temperature rise'}, ${unit.symbol}`}
      xTick={(value) => formatNumber(value, Number.isInteger(value) ? 0 : 1)}
    >
      {(scales) => (
        <>
          {!stands && <Steady points={points} scales={scales} />}
          {stands ? (
            points.map((point) => <Span key={point.x} point={point} scales={scales} />)
          ) : (
            <Band points={points} scales={scales} broken={silence} />
          )}
          {points.map((point) => (
            <g key={point.x}>
              {few && (
                <line
                  x1={scales.x(point.x)}
                  x2={scales.x(point.x)}
                  y1={scales.y(point.measured - point.half)}
                  y2={scales.y(point.measured + point.half)}
                  stroke={ink('ink')}
                />
              )}
              <circle cx={scales.x(point.x)} cy={scales.y(point.measured)} r={few ? 5 : 2.8} fill={ink('ink')} />
            </g>
          ))}
          <g>
            <SvgText size={13} x={scales.width} y={14} textAnchor="end" fill={ink('copperText')}>
              expected, line and span
            </SvgText>
            <SvgText size={13} x={scales.width} y={32} textAnchor="end" fill={ink('ink')}>
              ● measured
            </SvgText>
          </g>
        </>
      )}
    </Chart>
  );
}

/** What one reading was to be, with its span: nothing is known between two of them. */
function Span({ point, scales: { x, y } }: { point: BandPoint; scales: Scales }) {
  const half = 9;
  return (
    <g>
      <rect
        x={x(point.x) - half}
        width={2 * half}
        y={y(point.high)}
        height={Math.max(2, y(point.low) - y(point.high))}
        fill={ink('copper')}
        opacity={0.24}
      />
      <path d={`M${x(point.x) - half} ${y(point.likely)}h${2 * half}`} stroke={ink('copperText')} strokeWidth={2} />
    </g>
  );
}

function Steady({ points, scales }: { points: readonly { x: number; steady: boolean }[]; scales: Scales }) {
  const runs: [number, number][] = [];
  points.forEach((point, index) => {
    if (!point.steady) return;
    const run = runs[runs.length - 1];
    if (run && points[index - 1]?.steady) run[1] = point.x;
    else runs.push([point.x, point.x]);
  });
  return runs.map(([from, to]) => (
    <g key={from}>
      <rect
        x={scales.x(from) - 3}
        width={scales.x(to) - scales.x(from) + 6}
        height={scales.height}
        fill={ink('pane')}
        opacity={0.18}
      />
      {to - from > 0.6 && (
        <SvgText x={scales.x(from)} y={scales.height - 8} size={13} fill={ink('paneText')}>
          steady
        </SvgText>
      )}
    </g>
  ));
}
