import { Box, Text } from '@chakra-ui/react';
import { designConditions } from '@north-pane/core/job';
import { formatNumber, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { Band } from '../../charts/Band';
import { Chart } from '../../charts/Chart';
import { chartUnit } from '../../charts/units';
import { ink } from '../../theme/ink';

/** Efficiency against how much warmer the water comes in than the air, with the band of a well-made panel. */
export function Curve(props: {
  /** Where there is none the water would boil. */
  curve: readonly { rise: number; efficiency: { low: number; likely: number; high: number } | undefined }[];
  efficiency: number | undefined;
  habit: Habit;
}) {
  const { curve, efficiency, habit } = props;
  const unit = chartUnit('temperatureDifference', habit);
  const points = curve.flatMap(({ rise, efficiency: span }) => (span ? [{ x: unit.write(rise), ...span }] : []));
  const now = unit.write(designConditions.inlet - designConditions.air);
  return (
    <>
      <Box h="190px">
        <Chart
          label={`Efficiency at ${formatQuantity('irradiance', designConditions.irradiance, habit).text} against water in above air, with its band`}
          xDomain={[0, points[points.length - 1]?.x ?? 1]}
          yDomain={[0, 0.8]}
          xTitle={`water in above air, ${unit.symbol}`}
          yTitle="efficiency on the pane"
          yTick={(value) => formatNumber(value, 1)}
        >
          {(scales) => (
            <>
              <Band points={points} scales={scales} />
              {efficiency !== undefined && (
                <circle
                  cx={scales.x(now)}
                  cy={scales.y(efficiency)}
                  r={6}
                  fill={ink('pane')}
                  stroke={ink('card')}
                  strokeWidth={2}
                />
              )}
            </>
          )}
        </Chart>
      </Box>
      <Text fontSize="13px" color="soft">
        At the design sun and flow. The point: as the figures above.
      </Text>
    </>
  );
}
