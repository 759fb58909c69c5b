import { Box } from '@chakra-ui/react';
import { formatQuantity, formatRough, type Habit } from '@north-pane/core/quantity';
import type { PaneSun } from '@north-pane/core/site';
import { monthNames, perDay } from '@north-pane/core/sky';
import { useId } from 'react';
import { SvgText } from '../../drawing/SvgText';
import { useSize } from '../../parts/useSize';
import { heatInk, ink } from '../../theme/ink';

/** W/m² at the hot end of the scale: a monthly mean hardly passes it. */
const hottest = 900;
/** W/m² of sun that must have been there for its loss to be shown, and the share that is left of it. */
const worthSeeing = 40;
const mostLeft = 0.6;
const left = 38;
const right = 66;
const top = 18;
const bottom = 34;

/** Sun on the pane by month and hour: a mean over all days, hatched where the skyline or the row in front takes it. */
export function SunByHour({ sun, habit }: { sun: PaneSun; habit: Habit }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const hatch = useId();
  const { means, free, months } = sun;
  const lit = Array.from({ length: 24 }, (_, hour) => hour).filter((hour) =>
    Array.from({ length: 12 }, (_, month) => free[month * 24 + hour] ?? 0).some((value) => value > 8),
  );
  const first = lit[0] ?? 6;
  const last = lit[lit.length - 1] ?? 18;
  const hours = Array.from({ length: last - first + 1 }, (_, index) => first + index);
  const across = Math.max(0, width - left - right) / hours.length;
  const down = Math.max(0, height - top - bottom) / 12;
  const days = perDay(months);
  const irradiance = (value: number) => formatQuantity('irradiance', value, habit).text;
  const unit = `${formatRough('insolation', 0, habit).unit} a day`;
  return (
    <Box ref={ref} w="100%" h="100%" minH="240px" data-room>
      {width > 0 && (
        <svg
          width={width}
          height={height}
          viewBox={`0 0 ${width} ${height}`}
          role="img"
          aria-label={`Sun on the pane by month and hour. ${days
            .map((sum, month) => `${monthNames[month]}: ${formatRough('insolation', sum, habit).text} a day`)
            .join('; ')}`}
        >
          <defs>
            <pattern id={hatch} width={6} height={6} patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <line y2={6} stroke={ink('ink')} strokeWidth={2.5} />
            </pattern>
          </defs>
          <SvgText x={width} y={12} size={12.5} textAnchor="end" fill={ink('soft')}>
            {unit}
          </SvgText>
          {monthNames.map((name, month) => (
            <g key={name} transform={`translate(${left} ${top + month * down})`}>
              <SvgText x={-6} y={down / 2} size={12.5} textAnchor="end" dominantBaseline="central" fill={ink('ink')}>
                {name.slice(0, 3)}
              </SvgText>
              {hours.map((hour, index) => {
                const mean = means[month * 24 + hour] ?? 0;
                const might = free[month * 24 + hour] ?? 0;
                if (might < 4) return null;
                const taken = might > worthSeeing && mean < might * mostLeft;
                const box = {
                  x: index * across + 0.5,
                  y: 0.5,
                  width: Math.max(0, across - 1),
                  height: Math.max(0, down - 1),
                };
                return (
                  <g key={hour} data-taken={taken || undefined}>
                    <title>{`${name}, ${hour} to ${hour + 1}: ${irradiance(mean)}${taken ? `; ${irradiance(might)} without what stands before it` : ''}`}</title>
                    <rect {...box} fill={heatInk(mean / hottest)} />
                    {taken && <rect {...box} fill={`url(#${hatch})`} opacity={0.55} />}
                  </g>
                );
              })}
              <SvgText
                x={width - left}
                y={down / 2}
                size={13}
                bold
                heading
                textAnchor="end"
                dominantBaseline="central"
                fill={ink('ink')}
              >
                {formatRough('insolation', days[month] ?? 0, habit).number}
              </SvgText>
            </g>
          ))}
          {hours
            .filter((hour) => hour % 3 === 0)
            .map((hour) => (
              <SvgText
                key={hour}
                x={left + (hour - first) * across}
                y={height - bottom + 15}
                size={12.5}
                textAnchor="middle"
                fill={ink('soft')}
              >
                {hour}
              </SvgText>
            ))}
          <SvgText x={left} y={height - 3} size={12.5} fill={ink('soft')}>
            hour on the site’s clock
          </SvgText>
          <Legend x={width - 190} y={height - 12} irradiance={irradiance} />
        </svg>
      )}
    </Box>
  );
}

function Legend({ x, y, irradiance }: { x: number; y: number; irradiance(value: number): string }) {
  const steps = 9;
  return (
    <g transform={`translate(${x} ${y})`}>
      <SvgText x={-5} y={9} size={12.5} textAnchor="end" fill={ink('soft')}>
        0
      </SvgText>
      {Array.from({ length: steps }, (_, step) => (
        // biome-ignore lint/suspicious/noArrayIndexKey: the steps never change places
        <rect key={step} x={step * 13} width={12} height={10} fill={heatInk(step / (steps - 1))} />
      ))}
      <SvgText x={steps * 13 + 4} y={9} size={12.5} fill={ink('soft')}>
        {irradiance(hottest)}
      </SvgText>
    </g>
  );
}
