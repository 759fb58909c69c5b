import { Box, Grid, Text } from '@chakra-ui/react';
import {
  type FlowArgument,
  type FlowPoint,
  formatNumber,
  formatQuantity,
  type Habit,
  volumeFlow,
} from '@north-pane/core';

/** Slow and hot against fast and efficient, in this job's own numbers. */
export function SlowOrFast({ argument, inlet, habit }: { argument: FlowArgument; inlet: number; habit: Habit }) {
  const { slow, now, fast } = argument;
  const more = (a: FlowPoint, b: FlowPoint) => Math.round(100 * (a.usefulHeat / b.usefulHeat - 1));
  const difference = (value: number) => formatQuantity('temperatureDifference', value, habit).text;
  const cards: { title: string; point: FlowPoint; words: string }[] = [
    {
      title: 'Slow and hot',
      point: slow,
      words: `${difference(slow.gain - now.gain)} hotter than now, and ${-more(slow, now)} % less heat: the plate stands at ${formatQuantity('temperature', slow.plate, habit, 0).text} and loses it.`,
    },
    {
      title: 'As it stands',
      point: now,
      words: `${formatNumber(100 * now.efficiency)} % of the sun on the pane.`,
    },
    {
      title: 'Fast and efficient',
      point: fast,
      words: `Three times the flow for ${more(fast, now)} % more heat, and water only ${difference(fast.gain)} warmer a pass.`,
    },
  ];
  return (
    <Grid
      as="section"
      aria-label="Slow and hot against fast and efficient"
      templateColumns={{ base: '1fr', md: 'repeat(3, minmax(0, 1fr))' }}
      gap="3"
      mb="2"
    >
      {cards.map(({ title, point, words }) => (
        <Box
          key={title}
          bg="card"
          borderLeftWidth="4px"
          borderColor={point === now ? 'pane' : point === slow ? 'hot' : 'cold'}
          px="3"
          py="2"
        >
          <Text fontSize="14px" color="soft">
            {title}, {formatQuantity('flow', volumeFlow(point.massFlow, inlet), habit).text}
          </Text>
          <Text fontFamily="heading" fontWeight="600" fontSize="20px" whiteSpace="nowrap">
            +{difference(point.gain)}, {formatQuantity('power', point.usefulHeat, habit).text}
          </Text>
          <Text fontSize="14px">{words}</Text>
        </Box>
      ))}
    </Grid>
  );
}
