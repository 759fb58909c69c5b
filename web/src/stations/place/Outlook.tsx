import { Box, Button, Flex, SimpleGrid, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { formatQuantity, formatRough, type Habit } from '@north-pane/core/quantity';
import { jobStanding } from '@north-pane/core/site';
import { judgeOutlook, monthNames, type OutlookDay } from '@north-pane/core/sky';
import { CircleCheck, CircleDashed, CircleSlash2 } from 'lucide-react';
import { useOutlook } from '../../state/sky';
import { heatInk, ink } from '../../theme/ink';

const verdicts = {
  good: { words: 'Good test day', Icon: CircleCheck, colour: 'paneText' },
  short: { words: 'A short hour', Icon: CircleDashed, colour: 'ochreText' },
  poor: { words: 'No test day', Icon: CircleSlash2, colour: 'soft' },
} as const;

/** The next three days by the hour: is tomorrow a good day to measure? */
export function Outlook({ job, habit }: { job: Job; habit: Habit }) {
  const outlook = useOutlook();
  const { data } = outlook;
  const days = data
    ? judgeOutlook(data.hours, { ...job.site, ...jobStanding(job), albedo: job.site.exposure.albedo })
        .filter((day) => day.hours.length >= 12)
        .slice(0, 3)
    : [];
  if (outlook.isError)
    return (
      <Flex align="center" gap="4" wrap="wrap">
        <Text role="alert" color="ochreText" flex="1" minW="240px">
          {outlook.error.message}
        </Text>
        <Button size="sm" variant="outline" onClick={() => void outlook.refetch()}>
          Ask again
        </Button>
      </Flex>
    );
  if (!data) return <Text color="soft">Asking for the weather…</Text>;
  return (
    <>
      <SimpleGrid columns={{ base: 1, md: 3 }} gap="4">
        {days.map((day) => (
          <Day key={day.day} day={day} habit={habit} />
        ))}
      </SimpleGrid>
      <Text fontSize="13px" color={data.standIn ? 'ochreText' : 'soft'} mt="2">
        {data.standIn
          ? 'Made up: no weather service is set, so a stand-in answers with invented weather for this latitude. Look at the sky before you trust it.'
          : `By ${data.source}, made ${new Date(data.made).toLocaleString('en-GB', { timeZone: job.site.zone })}.`}
      </Text>
    </>
  );
}

/** W/m² at the top of the bars: a clear noon on a pane that is square to it. */
const brightest = 1150;

function Day({ day, habit }: { day: OutlookDay; habit: Habit }) {
  const { words, Icon, colour } = verdicts[day.verdict];
  const temperature = (value: number) => formatQuantity('temperature', value, habit, 0).text;
  const lit = day.hours.filter((hour) => hour.hour >= 5 && hour.hour <= 20);
  return (
    <Box borderWidth="1px" borderColor="line" bg="card" p="3" data-testid="outlook-day">
      <Flex justify="space-between" align="baseline">
        <Text fontFamily="heading" fontWeight="600" fontSize="18px">
          {day.date} {monthNames[day.month - 1]?.slice(0, 3)}
        </Text>
        <Flex align="center" gap="1.5" color={colour} fontWeight="600" whiteSpace="nowrap">
          <Icon size={16} aria-hidden />
          {words}
        </Flex>
      </Flex>
      <svg width="100%" height={62} viewBox="0 0 160 62" preserveAspectRatio="none" aria-hidden>
        {lit.map(({ hour, onPane, fit }) => {
          const high = Math.max(0.5, (56 * Math.min(brightest, onPane)) / brightest);
          return (
            <g key={hour} transform={`translate(${(hour - 5) * 10} 0)`}>
              <rect x={0.75} width={8.5} y={58 - high} height={high} fill={heatInk(onPane / brightest)} />
              {fit && <rect x={0.75} width={8.5} y={59} height={3} fill={ink('paneFill')} />}
            </g>
          );
        })}
      </svg>
      <Flex justify="space-between" fontSize="12.5px" color="soft" mb="1">
        <span>5:00</span>
        <span>13:00</span>
        <span>21:00</span>
      </Flex>
      <Text fontSize="14px">{day.reason}</Text>
      <Text fontSize="14px" color="soft">
        {formatRough('insolation', day.sun, habit).text} on the pane, air {temperature(day.airLow)} to{' '}
        {temperature(day.airHigh)}
      </Text>
    </Box>
  );
}
