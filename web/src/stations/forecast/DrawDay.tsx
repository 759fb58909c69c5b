import type { StoreDay } from '@north-pane/core/forecasting';
import { formatNumber, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { area, line } from 'd3';
import { Chart, type Scales } from '../../charts/Chart';
import { chartUnit } from '../../charts/units';
import { SvgText } from '../../drawing/SvgText';
import { ink } from '../../theme/ink';

const hours = [0, 3, 6, 9, 12, 15, 18, 21, 24];
/** From the first tank, which mains cools, to the last, which is drawn from. */
const inks = ['cold', 'pane', 'ochreText', 'copperText'];
/** Share of the chart's height that the sun of the day takes up at its most, and W/m² that this stands for. */
const sunRoom = { share: 0.35, full: 1000 };

/** The top of each tank by the hour, the air, the sun as a shape behind them, and what is drawn when. */
export function DrawDay({ day, habit }: { day: StoreDay; habit: Habit }) {
  const unit = chartUnit('temperature', habit);
  const all = day.samples.flatMap(({ temperatures, air }) => [...temperatures, air]).map(unit.write);
  const [least, most] = [Math.min(...all), Math.max(...all)];
  const room = 0.08 * Math.max(1, most - least);
  const label = day.draws.map(({ hour }) => formatNumber(hour, 1)).join(', ');
  return (
    <Chart
      label={`Top of each tank through the day, up to ${formatNumber(most, 0)} ${unit.symbol}; drawn at hours ${label}`}
      xDomain={[0, 24]}
      yDomain={[Math.min(least, most - 10) - room, most + 3 * room]}
      xTicks={hours}
      xTitle="hour of the day"
      yTitle={`top of the tank, ${unit.symbol}`}
    >
      {(scales) => (
        <>
          <Sun day={day} scales={scales} habit={habit} />
          <Air day={day} scales={scales} write={unit.write} />
          {day.lines.map((name, tank) => (
            <Tank key={name} {...{ day, tank, name, scales }} write={unit.write} />
          ))}
          {day.draws.map(({ hour, temperature }) => (
            <g key={hour}>
              <line
                x1={scales.x(hour)}
                x2={scales.x(hour)}
                y1={0}
                y2={scales.height}
                stroke={ink('soft')}
                strokeDasharray="3 4"
              />
              <circle
                cx={scales.x(hour)}
                cy={scales.y(unit.write(temperature))}
                r={5}
                fill={ink('card')}
                stroke={ink('ink')}
                strokeWidth={2}
              />
              <SvgText size={13} x={scales.x(hour) + 5} y={13} fill={ink('ink')}>
                {`drawn at ${formatQuantity('temperature', temperature, habit, 0).text}`}
              </SvgText>
            </g>
          ))}
        </>
      )}
    </Chart>
  );
}

interface Drawing {
  day: StoreDay;
  scales: Scales;
  /** In the unit of the axis. */
  write(value: number): number;
}

function Sun({ day, scales: { x, height }, habit }: Omit<Drawing, 'write'> & { habit: Habit }) {
  const most = Math.max(...day.samples.map(({ sun }) => sun));
  const top = (sun: number) => height * (1 - (sunRoom.share * sun) / sunRoom.full);
  const shape = area<{ hour: number; sun: number }>()
    .x(({ hour }) => x(hour))
    .y0(height)
    .y1(({ sun }) => top(sun));
  const { lidOpen } = day;
  return (
    <g>
      <path d={shape(day.samples) ?? ''} fill={ink('ochre')} opacity={0.22} />
      <SvgText size={13} x={x(12)} y={height - 6} textAnchor="middle" fill={ink('ochreText')}>
        {`sun on the pane, most ${formatQuantity('irradiance', most, habit, 0).text}`}
      </SvgText>
      {lidOpen && (
        <>
          <line
            x1={x(lidOpen.from)}
            x2={x(lidOpen.to)}
            y1={height - 2}
            y2={height - 2}
            stroke={ink('ochreText')}
            strokeWidth={4}
          />
          <SvgText size={13} x={x(lidOpen.to) + 6} y={height - 6} fill={ink('ochreText')}>
            lid shut
          </SvgText>
        </>
      )}
    </g>
  );
}

function Air({ day, scales: { x, y }, write }: Drawing) {
  const path = line<StoreDay['samples'][number]>()
    .x(({ hour }) => x(hour))
    .y(({ air }) => y(write(air)));
  const last = day.samples[day.samples.length - 1];
  return (
    <g>
      <path d={path(day.samples) ?? ''} fill="none" stroke={ink('soft')} strokeWidth={1.5} strokeDasharray="6 4" />
      {last && (
        <SvgText size={13} x={x(24) - 4} y={y(write(last.air)) - 6} textAnchor="end" fill={ink('soft')}>
          air
        </SvgText>
      )}
    </g>
  );
}

function Tank({ day, tank, name, scales: { x, y }, write }: Drawing & { tank: number; name: string }) {
  const at = (sample: StoreDay['samples'][number]) => y(write(sample.temperatures[tank] ?? 0));
  const path = line<StoreDay['samples'][number]>()
    .x(({ hour }) => x(hour))
    .y(at);
  const colour = ink(inks[inks.length - day.lines.length + tank] ?? 'ink');
  const end = day.samples[day.samples.length - 1];
  return (
    <g>
      <path d={path(day.samples) ?? ''} fill="none" stroke={colour} strokeWidth={2.5} />
      {end && (
        <SvgText size={14} bold x={x(24) - 4} y={at(end) - 7} textAnchor="end" fill={colour}>
          {name}
        </SvgText>
      )}
    </g>
  );
}
