import { Box } from '@chakra-ui/react';
import { formatQuantity, formatRough, type Habit } from '@north-pane/core/quantity';
import { type MonthlyClimate, monthNames } from '@north-pane/core/sky';
import { SvgText } from '../../drawing/SvgText';
import { useSize } from '../../parts/useSize';
import { ink } from '../../theme/ink';

const high = 74;
const secondsInDay = 86_400;

/** Twelve months of sun on the flat as bars, with the air below: enough to see whether a file is of this place. */
export function MonthBars({ months, habit }: { months: MonthlyClimate; habit: Habit }) {
  const [ref, { width }] = useSize<HTMLDivElement>();
  const across = width / 12;
  const most = Math.max(...months.global, 50);
  const sun = (month: number) => formatRough('insolation', (months.global[month] ?? 0) * secondsInDay, habit);
  return (
    <Box ref={ref} w="100%" my="2">
      {width > 0 && (
        <svg
          width={width}
          height={high + 62}
          role="img"
          aria-label={`Sun on the flat a day and mean air: ${monthNames
            .map(
              (name, month) =>
                `${name} ${sun(month).text}, ${formatQuantity('temperature', months.air[month] ?? 0, habit, 0).text}`,
            )
            .join('; ')}`}
        >
          {monthNames.map((name, month) => {
            const tall = (high * (months.global[month] ?? 0)) / most;
            return (
              <g key={name} transform={`translate(${month * across} 16)`}>
                <rect x={3} y={high - tall} width={Math.max(0, across - 6)} height={tall} fill={ink('ochre')} />
                <SvgText x={across / 2} y={high - tall - 4} size={12} textAnchor="middle" fill={ink('ink')}>
                  {sun(month).number}
                </SvgText>
                <SvgText x={across / 2} y={high + 15} size={12.5} textAnchor="middle" fill={ink('ink')}>
                  {name.slice(0, 3)}
                </SvgText>
                <SvgText x={across / 2} y={high + 31} size={12} textAnchor="middle" fill={ink('soft')}>
                  {formatQuantity('temperature', months.air[month] ?? 0, habit, 0).number}
                </SvgText>
              </g>
            );
          })}
          <SvgText x={3} y={high + 60} size={12} fill={ink('soft')}>
            bars: sun on the flat, {sun(0).unit} a day; below: mean air, {formatQuantity('temperature', 0, habit).unit}
          </SvgText>
        </svg>
      )}
    </Box>
  );
}
