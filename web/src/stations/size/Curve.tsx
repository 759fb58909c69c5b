import { Box, Text } from '@chakra-ui/react';
import type { Habit } from '@north-pane/core/quantity';
import { formatNumber } from '@north-pane/core/quantity';
import type { Section } from '@north-pane/core/readout';
import { Band } from '../../charts/Band';
import { Chart } from '../../charts/Chart';
import { axisUnit } from '../../charts/units';
import { ink } from '../../theme/ink';

/** A curve with its band, and where the design stands on it. */
export function Curve({ section, habit }: { section: Extract<Section, { kind: 'curve' }>; habit: Habit }) {
  const { x, y, points, now, title, note } = section;
  const [across, up] = [axisUnit(x, habit), axisUnit(y, habit)];
  const drawn = points.map(({ x: at, low, likely, high }) => ({
    x: across.write(at),
    low: up.write(low),
    likely: up.write(likely),
    high: up.write(high),
  }));
  const most = Math.max(...drawn.map(({ high }) => high), 0);
  return (
    <>
      <Box h="190px">
        <Chart
          label={`${title}: ${y.title} against ${x.title}, with its band`}
          xDomain={[0, drawn[drawn.length - 1]?.x ?? 1]}
          yDomain={[0, most]}
          xTitle={across.title}
          yTitle={up.title}
          yTick={(value) => formatNumber(value, y.digits ?? 0)}
        >
          {(scales) => (
            <>
              <Band points={drawn} scales={scales} />
              {now && (
                <circle
                  cx={scales.x(across.write(now.x))}
                  cy={scales.y(up.write(now.y))}
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
        {note}
      </Text>
    </>
  );
}
