import { Flex, Text } from '@chakra-ui/react';
import { toggleHave, toolId } from '../state/have';
import { useJob } from '../state/job';
import { TickBox } from './TickBox';

const none: Readonly<Record<string, true>> = {};

/** Every tool that the steps ask for, each to tick when it is at hand: they are lent or owned and are in no sum. */
export function Tools({ tools }: { tools: readonly string[] }) {
  const have = useJob((state) => state.document?.shop.have ?? none);
  return (
    <Flex wrap="wrap" gap="2" columnGap="4" role="group" aria-label="Tools">
      {tools.map((tool) => (
        <Tool key={tool} tool={tool} ticked={have[toolId(tool)] === true} />
      ))}
    </Flex>
  );
}

function Tool({ tool, ticked }: { tool: string; ticked: boolean }) {
  return (
    <Flex align="center" gap="2" minW="190px">
      <TickBox ticked={ticked} label={`Have it: ${tool}`} onTick={() => toggleHave(toolId(tool))} />
      <Text>{tool}</Text>
    </Flex>
  );
}
