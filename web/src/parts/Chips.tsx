import { Box, Flex, Text } from '@chakra-ui/react';
import { Check } from 'lucide-react';
import { useId } from 'react';
import { Radio, radioFocus } from './Radio';

/** A few words to tap, one of them taken. */
export function Chips<V extends string>({
  label,
  value,
  choices,
  onValue,
}: {
  label: string;
  value: V | undefined;
  choices: readonly V[];
  onValue(value: V): void;
}) {
  const group = useId();
  return (
    <Box role="radiogroup" aria-label={label}>
      <Text fontSize="14px" color="soft" mb="1">
        {label}
      </Text>
      <Flex wrap="wrap" gap="1.5">
        {choices.map((choice) => {
          const taken = choice === value;
          return (
            <Flex
              key={choice}
              position="relative"
              align="center"
              gap="1"
              px="3"
              minH={{ base: '48px', md: '34px' }}
              borderWidth="1.5px"
              borderColor={taken ? 'paneFill' : 'edge'}
              borderRadius="3px"
              bg={taken ? 'paneFill' : 'card'}
              color={taken ? 'white' : 'ink'}
              fontFamily="heading"
              fontWeight="600"
              css={radioFocus}
            >
              {taken && <Check size={15} aria-hidden />}
              <span aria-hidden>{choice}</span>
              <Radio group={group} label={choice} checked={taken} onChoose={() => onValue(choice)} />
            </Flex>
          );
        })}
      </Flex>
    </Box>
  );
}
