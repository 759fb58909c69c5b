import { Box, Flex, Text } from '@chakra-ui/react';

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
  return (
    <Box role="radiogroup" aria-label={label}>
      <Text fontSize="14px" color="soft" mb="1">
        {label}
      </Text>
      <Flex wrap="wrap" gap="1.5">
        {choices.map((choice) => (
          <Box
            as="button"
            key={choice}
            role="radio"
            aria-checked={choice === value}
            onClick={() => onValue(choice)}
            px="3"
            minH={{ base: '40px', md: '34px' }}
            borderWidth="1.5px"
            borderColor={choice === value ? 'paneFill' : 'line'}
            borderRadius="3px"
            bg={choice === value ? 'paneFill' : 'card'}
            color={choice === value ? 'white' : 'ink'}
            fontFamily="heading"
            fontWeight="600"
            cursor="pointer"
          >
            {choice}
          </Box>
        ))}
      </Flex>
    </Box>
  );
}
