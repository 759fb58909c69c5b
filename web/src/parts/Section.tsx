import { Flex, Text } from '@chakra-ui/react';
import { memo, type ReactNode } from 'react';

/** A titled part of a side panel. */
export function Section({ title, aside, children }: { title: string; aside?: ReactNode; children: ReactNode }) {
  return (
    // Plain: many of them stand on the bench and are drawn again with every step.
    <section style={{ marginBottom: 20 }} aria-label={title}>
      <Head title={title} aside={aside} />
      {children}
    </section>
  );
}

const Head = memo(function Head({ title, aside }: { title: string; aside?: ReactNode }) {
  return (
    <Flex justify="space-between" align="baseline" gap="3" borderBottomWidth="1px" borderColor="line" pb="1" mb="2">
      <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px" whiteSpace="nowrap">
        {title}
      </Text>
      <Text fontSize="13px" color="soft" textAlign="right">
        {aside}
      </Text>
    </Flex>
  );
});
