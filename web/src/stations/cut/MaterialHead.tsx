import { Flex, Text } from '@chakra-ui/react';

/** Name of a material, and what its plan comes to. */
export function MaterialHead({ name, words }: { name: string; words: string }) {
  return (
    <Flex justify="space-between" align="baseline" columnGap="3" wrap="wrap" mb="1">
      <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px">
        {name}
      </Text>
      <Text fontSize="13px" color="soft">
        {words}
      </Text>
    </Flex>
  );
}
