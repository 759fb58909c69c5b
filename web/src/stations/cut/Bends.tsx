import { Box, Flex, Text } from '@chakra-ui/react';
import type { Habit } from '@north-pane/core/quantity';
import type { Part } from '@north-pane/core/shop';
import { LengthText } from '../../parts/LengthText';

/** Lines along which a strip is bent, from one edge, and which way each goes. */
export function BendsFigures({
  bends,
  habit,
  size,
  notes = '14px',
}: {
  bends: NonNullable<Part['bends']>;
  habit: Habit;
  /** Of the figures, and of what is said about them. */
  size: string;
  notes?: string;
}) {
  return (
    <Box mb="2">
      <Text color="soft" fontSize={notes}>
        Bend lines from the {bends.datum}
      </Text>
      <Flex wrap="wrap" columnGap="4" fontFamily="heading" fontWeight="600" fontSize={size} lineHeight="1.35">
        {bends.positions.map((position, index) => (
          <Text as="span" key={position}>
            <LengthText value={position} habit={habit} bare inchesOnly decimals={1} fraction={64} />
            <Text as="span" fontSize={notes} fontWeight="400" color="soft">
              {' '}
              {bends.turns[index]}
            </Text>
          </Text>
        ))}
      </Flex>
    </Box>
  );
}
