import { Text } from '@chakra-ui/react';
import type { ReactNode } from 'react';

/** What a station comes to, in a sentence at its top: paler while it is worked out anew. */
export function Sentence({ id, fresh, children }: { id: string; fresh: boolean; children: ReactNode }) {
  return (
    <Text
      as="p"
      fontFamily="heading"
      fontWeight="600"
      fontSize={{ base: '20px', md: '23px' }}
      lineHeight="1.25"
      mt="3"
      mb="3"
      minH="58px"
      data-testid={id}
      color={fresh ? 'ink' : 'soft'}
    >
      {children}
    </Text>
  );
}
