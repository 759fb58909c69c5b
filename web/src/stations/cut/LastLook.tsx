import { Box, Flex, Text } from '@chakra-ui/react';
import { lastLook } from '@north-pane/core/cutting';
import { type Habit, sayWords } from '@north-pane/core/quantity';
import type { ShopPlan } from '@north-pane/core/shop';
import { Section } from '../../parts/Section';
import { TickBox } from '../../parts/TickBox';
import { useDerived } from '../../state/derived';
import { record } from '../../state/job';

/** What to be sure of before anything is cut: ticked when it was found right, asked again when it changes. */
export function LastLook({ plan, habit }: { plan: ShopPlan; habit: Habit }) {
  const { open } = useDerived();
  const items = lastLook(open, plan);
  const left = items.filter(({ settled }) => !settled).length;
  if (items.length === 0) return null;
  return (
    <Section title="A last look before the saw" aside={left === 0 ? 'all found right' : `${left} still open`}>
      <Box
        as="ul"
        listStyleType="none"
        bg="card"
        borderLeftWidth="5px"
        borderColor={left > 0 ? 'ochre' : 'pane'}
        px="3"
        py="1"
      >
        {items.map(({ id, words, value, settled, open: stays }) => (
          <Look
            key={id}
            id={id}
            said={sentence(sayWords(words, habit))}
            value={value}
            settled={settled}
            stays={stays}
          />
        ))}
      </Box>
    </Section>
  );
}

/** One thing to be sure of. */
function Look(props: {
  id: string;
  said: string;
  /** What it is found right at. */
  value: string;
  settled: boolean;
  stays: boolean | undefined;
}) {
  const { id, said, value, settled, stays } = props;
  const tick = () => record([{ kind: 'checked', check: id, value: settled ? null : value }]);
  return (
    <Flex as="li" align="center" gap="3" py="1.5">
      {stays ? (
        <Text aria-hidden="true" color="ochreText" fontWeight="600" w="32px" textAlign="center" fontSize="20px">
          !
        </Text>
      ) : (
        <TickBox ticked={settled} label={said} onTick={tick} />
      )}
      <Text color={settled ? 'soft' : 'ink'}>{said}</Text>
    </Flex>
  );
}

function sentence(words: string): string {
  return `${words[0]?.toUpperCase() ?? ''}${words.slice(1)}.`;
}
