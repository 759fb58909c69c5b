import { Box, Text } from '@chakra-ui/react';
import { tz } from '@date-fns/tz';
import type { DrawTest } from '@north-pane/core/proof';
import { formatQuantity, type Habit } from '@north-pane/core/quantity';
import { format } from 'date-fns';
import { Section } from '../../parts/Section';

const said = {
  agrees: 'as much as it should',
  hotter: 'more than it can hold',
  colder: 'less than it should',
} as const;

/** What was drawn from the tanks at one go, against what tanks of that size give. */
export function Draws({ draws, zone, habit }: { draws: readonly DrawTest[]; zone: string; habit: Habit }) {
  const energy = (joules: number) => formatQuantity('energy', joules, habit).text;
  return (
    <Section title="Draw tests">
      {draws.map(({ from, volume, hot, measured, low, high, judgement }) => (
        <Box key={from} mb="2">
          <Text fontSize="14px" color="soft">
            {format(tz(zone)(new Date(from)), 'd MMMM, HH:mm')}: {formatQuantity('volume', volume, habit, 0).text} from{' '}
            {formatQuantity('temperature', hot, habit, 0).text}
          </Text>
          <Text fontFamily="heading" fontWeight="600" fontSize="18px">
            {energy(measured)}, {said[judgement]}
          </Text>
          <Text fontSize="14px" color="soft">
            Expected {energy(low)} to {energy(high)}, by how far the tanks mix.
          </Text>
        </Box>
      ))}
    </Section>
  );
}
