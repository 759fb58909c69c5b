import { Box, Flex, Text } from '@chakra-ui/react';
import { monthNames, type OffPoint, type StandingShares, type StandingStudy } from '@north-pane/core/sky';
import { line } from 'd3';
import { Chart, type Scales } from '../../charts/Chart';
import { ink } from '../../theme/ink';

const percent = (share: number) => share * 100;

/** Loss if aimed wrongly: share of the best by how far the aim is turned from it, and by tilt. */
export function OffAim(props: { study: StandingStudy; shares: StandingShares; aim: number; tilt: number }) {
  const { study, shares, aim, tilt } = props;
  const off = ((aim - study.best.year.aim + 540) % 360) - 180;
  const month = monthNames[study.darkestMonth - 1] ?? '';
  const side = (value: number) => (value === 0 ? '0' : `${Math.abs(value)}° ${value < 0 ? 'left' : 'right'}`);
  return (
    <>
      <Flex direction={{ base: 'column', md: 'row', lg: 'column' }} gap="2">
        <Box flex={{ md: '1', lg: 'none' }} minW="0" h="230px">
          <Chart
            label={`Share of the best fixed pane by how far it is turned from the best aim; now ${side(Math.round(off))}`}
            xDomain={[-90, 90]}
            yDomain={[0, 100]}
            xTicks={[-90, -45, 0, 45, 90]}
            xTick={(value) => `${Math.abs(value)}°`}
            xTitle="turned left or right of the best aim"
            yTitle="% of the best"
          >
            {(scales) => (
              <Lines points={study.offAim} scales={scales} at={Math.abs(off) <= 90 ? off : undefined} shares={shares} />
            )}
          </Chart>
        </Box>
        <Box flex={{ md: '1', lg: 'none' }} minW="0" h="230px">
          <Chart
            label={`Share of the best fixed pane by tilt at this aim; now ${Math.round(tilt)} degrees`}
            xDomain={[0, 90]}
            yDomain={[0, 100]}
            xTicks={[0, 15, 30, 45, 60, 75, 90]}
            xTick={(value) => `${value}°`}
            xTitle="tilt, at this aim"
            yTitle="% of the best"
          >
            {(scales) => <Lines points={study.offTilt} scales={scales} at={tilt} shares={shares} />}
          </Chart>
        </Box>
      </Flex>
      <Flex gap="5" fontSize="14px" color="soft" wrap="wrap">
        <Key colour="copperText" words="the whole year" />
        <Key colour="cold" dashed words={`${month}, of a pane set for ${month}`} />
        <Text>Ring: as it stands.</Text>
      </Flex>
    </>
  );
}

function Lines(props: { points: readonly OffPoint[]; scales: Scales; at: number | undefined; shares: StandingShares }) {
  const { points, scales, at, shares } = props;
  const draw = (of: (point: OffPoint) => number) =>
    line<OffPoint>(
      (point) => scales.x(point.at),
      (point) => scales.y(percent(of(point))),
    )([...points]) ?? '';
  return (
    <g>
      <path d={draw((point) => point.darkest)} fill="none" stroke={ink('cold')} strokeWidth={2} strokeDasharray="6 4" />
      <path d={draw((point) => point.year)} fill="none" stroke={ink('copperText')} strokeWidth={2.5} />
      {at !== undefined && (
        <>
          <circle
            cx={scales.x(at)}
            cy={scales.y(percent(shares.darkest))}
            r={5}
            fill={ink('card')}
            stroke={ink('cold')}
            strokeWidth={2.5}
          />
          <circle
            cx={scales.x(at)}
            cy={scales.y(percent(shares.year))}
            r={6}
            fill={ink('card')}
            stroke={ink('copperText')}
            strokeWidth={2.5}
          />
        </>
      )}
    </g>
  );
}

function Key({ colour, words, dashed }: { colour: string; words: string; dashed?: boolean }) {
  return (
    <Flex align="center" gap="2">
      <svg width={26} height={6} aria-hidden>
        <line
          x2={26}
          y1={3}
          y2={3}
          stroke={ink(colour)}
          strokeWidth={2.5}
          strokeDasharray={dashed ? '6 4' : undefined}
        />
      </svg>
      <Text>{words}</Text>
    </Flex>
  );
}
