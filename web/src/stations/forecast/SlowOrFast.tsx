import { Box, Grid, Text } from '@chakra-ui/react';
import { comparedFlows, type FlowArgument, type FlowPoint } from '@north-pane/core/figures';
import { formatNumber, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { type Fluid, volumeFlow } from '@north-pane/core/thermal';

/** Slow and hot against fast and efficient, in this job's own numbers. */
export function SlowOrFast(props: { argument: FlowArgument; inlet: number; fluid: Fluid | undefined; habit: Habit }) {
  const { argument, inlet, fluid, habit } = props;
  const { slow, now, fast, boils } = argument;
  const boiling = `The water would boil: at ${formatQuantity('temperature', boils, habit, 0).text} in this loop.`;
  const more = (a: FlowPoint, b: FlowPoint) => Math.round(100 * (a.usefulHeat / b.usefulHeat - 1));
  const difference = (value: number) => formatQuantity('temperatureDifference', value, habit).text;
  const cards: { title: string; edge: string; point: FlowPoint | undefined; words: string | undefined }[] = [
    {
      title: 'Slow and hot',
      edge: 'hot',
      point: slow,
      words:
        slow &&
        now &&
        `${difference(slow.gain - now.gain)} hotter than now, and ${-more(slow, now)} % less heat: the absorber stands at ${formatQuantity('temperature', slow.body, habit, 0).text} and loses it.`,
    },
    {
      title: 'As it stands',
      edge: 'pane',
      point: now,
      words: now && `${formatNumber(100 * now.efficiency)} % of the sun on the pane.`,
    },
    {
      title: 'Fast and efficient',
      edge: 'cold',
      point: fast,
      words:
        fast &&
        now &&
        `${formatNumber(comparedFlows.fast)} times the flow for ${more(fast, now)} % more heat, and water only ${difference(fast.gain)} warmer a pass.`,
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
      {cards.map(({ title, edge, point, words }) => (
        <Box key={title} bg="card" borderLeftWidth="4px" borderColor={edge} px="3" py="2">
          <Text fontSize="14px" color="soft">
            {title}
            {point && `, ${formatQuantity('flow', volumeFlow(point.massFlow, inlet, fluid), habit).text}`}
          </Text>
          <Text fontFamily="heading" fontWeight="600" fontSize="20px" whiteSpace="nowrap">
            {point
              ? `+${difference(point.gain)}, ${formatQuantity('power', point.usefulHeat, habit).text}`
              : 'no figure'}
          </Text>
          <Text fontSize="14px">{point ? words : boiling}</Text>
        </Box>
      ))}
    </Grid>
  );
}
