import { Box, SimpleGrid, Text } from '@chakra-ui/react';
import { type School, sayHeat } from '@north-pane/core/picking';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import { Section } from '../../parts/Section';
import { Bar } from './Bar';

/** Rules of thumb compared, each settled by number for this job. */
export function Arguments({ schools, habit }: { schools: readonly School[]; habit: Habit }) {
  return (
    <Section title="Rules of thumb compared" aside="worked out for this place, this need, these prices">
      <SimpleGrid columns={{ base: 1, md: 2 }} gap="5">
        {schools.map(({ id, title, sides, verdict }) => {
          const most = Math.max(1e-9, ...sides.map(({ year }) => year));
          return (
            <Box key={id} as="section" aria-label={title}>
              <Text as="h3" fontFamily="heading" fontWeight="600" fontSize="17px" mb="1">
                {title}
              </Text>
              <SimpleGrid columns={2} gap="3">
                {sides.map(({ name, year }) => (
                  <Box key={name}>
                    <Text fontSize="14px" color="soft" lineHeight="1.2">
                      {name}
                    </Text>
                    <Bar words={`${sayHeat(year)} a year`} share={year / most} />
                  </Box>
                ))}
              </SimpleGrid>
              <Text fontSize="14px" mt="1.5" lineHeight="1.3">
                {sayWords(verdict, habit)}
              </Text>
            </Box>
          );
        })}
      </SimpleGrid>
    </Section>
  );
}
