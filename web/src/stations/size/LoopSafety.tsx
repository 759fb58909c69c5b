import { Flex } from '@chakra-ui/react';
import { FieldAt } from '../../parts/FieldAt';

/** What is so of place and loop, and what is planned for safety. */
const fields = [
  'need.kind',
  'loop.kind',
  'need.frost',
  'need.drinking',
  'loop.pressurised',
  'loop.relief',
  'loop.expansion',
  'loop.mixing',
  'loop.coil',
  'loop.backflow',
  'loop.cutout',
  'loop.check',
  'loop.hotSensor',
] as const;

/** What the water is for, how it goes round, and what is planned so that nobody is hurt. The dangers stand under Problems and warnings. */
export function LoopSafety() {
  return (
    <Flex direction="column" gap="3">
      {fields.map((path) => (
        <FieldAt key={path} path={path} />
      ))}
    </Flex>
  );
}
