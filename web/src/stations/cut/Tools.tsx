import { Flex, Text } from '@chakra-ui/react';
import { TickBox } from '../../parts/TickBox';
import { useJob } from '../../state/job';
import { toggleHave } from './have';

const none: readonly string[] = [];

/** Every tool that the steps ask for, each to tick when it is at hand: they are lent or owned and are in no sum. */
export function Tools({ tools }: { tools: readonly string[] }) {
  const have = useJob((state) => state.document?.shop.have ?? none);
  return (
    <Flex wrap="wrap" gap="2" columnGap="4" role="group" aria-label="Tools">
      {tools.map((tool) => {
        const id = `tool/${tool}`;
        return (
          <Flex key={tool} align="center" gap="2" minW="190px">
            <TickBox ticked={have.includes(id)} label={`Have it: ${tool}`} onTick={() => toggleHave(id)} />
            <Text>{tool}</Text>
          </Flex>
        );
      })}
    </Flex>
  );
}
