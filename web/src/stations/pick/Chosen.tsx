import { Box, Button, Flex, SimpleGrid, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { type KindCase, reasonsOf } from '@north-pane/core/picking';
import { formatNumber, type Habit, sayWords } from '@north-pane/core/quantity';
import { useId } from 'react';
import { Tools } from '../../parts/Tools';

function Sentences({
  title,
  words,
  habit,
  tone,
}: {
  title: string;
  words: readonly string[];
  habit: Habit;
  tone: string;
}) {
  const id = useId();
  return (
    <Box as="section" aria-labelledby={id} borderLeftWidth="5px" borderColor={tone} pl="3">
      <Text as="h3" id={id} fontFamily="heading" fontWeight="600" fontSize="16px">
        {title}
      </Text>
      <Box as="ul" listStyleType="none">
        {words.map((one) => (
          <Text as="li" key={one} mt="1" lineHeight="1.3">
            {sayWords(one, habit)}
          </Text>
        ))}
        {words.length === 0 && <Text color="soft">Nothing here.</Text>}
      </Box>
    </Box>
  );
}

/** The kind in hand: what speaks for it here and against, the tools it asks for, and the way on to the bench. */
export function Chosen(props: {
  one: KindCase;
  job: Job;
  habit: Habit;
  /** It is what the job is drawn as. */
  taken: boolean;
  onTake(): void;
  onSize(): void;
}) {
  const { one, job, habit, taken, onTake, onSize } = props;
  const reasons = reasonsOf(job, one, habit);
  const { hours } = one;
  return (
    <Box as="section" aria-label={one.name} data-testid="chosen-kind">
      <Flex justify="space-between" align="center" gap="4" wrap="wrap" mb="3">
        <Box flex="1 1 300px">
          <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="22px" lineHeight="1.2">
            {one.name}
          </Text>
          <Text color="soft">{one.meaning}</Text>
        </Box>
        <Flex gap="2" wrap="wrap">
          {taken && one.taken.length > 0 && (
            <Button size="lg" variant="outline" onClick={onTake}>
              Draw it round what is on hand
            </Button>
          )}
          <Button size="lg" variant="solid" onClick={taken ? onSize : onTake}>
            {taken ? `Size this ${one.name.toLowerCase()}` : `Build this: ${one.name.toLowerCase()}`}
          </Button>
        </Flex>
      </Flex>
      <SimpleGrid columns={{ base: 1, md: 2 }} gap="5">
        <Sentences title="For it" words={reasons.for} habit={habit} tone="paneFill" />
        <Sentences title="Against it" words={reasons.against} habit={habit} tone="ochre" />
      </SimpleGrid>
      <Box mt="4">
        <Text fontSize="14px" color="soft" mb="1">
          {one.tools.length} tools, {formatNumber(hours.low, 0)} to {formatNumber(hours.high, 0)} hours for somebody who
          does it for the first time. Tick what you have.
        </Text>
        <Tools tools={one.tools} />
      </Box>
    </Box>
  );
}
