import { Box, Heading, Text } from '@chakra-ui/react';
import { errorWords } from '@north-pane/core/care';
import { Link, useRouteError } from 'react-router';

/** Where an address leads nowhere, or a screen broke: what happened and the way back. */
export function Lost() {
  const error = useRouteError();
  const broke = error instanceof Error ? errorWords(error) : undefined;
  return (
    <Box as="main" maxW="34rem" mx="auto" mt="20vh" px="6">
      <Heading as="h1" fontSize="28px" mb="3">
        {broke ? 'This screen broke.' : 'There is nothing at this address.'}
      </Heading>
      {broke && (
        <Text mb="3" color="soft">
          {broke}. What was saved is safe; reload to go on.
        </Text>
      )}
      <Link to="/">
        <Text as="span" color="paneText" fontWeight="600">
          Back to the shelf of jobs
        </Text>
      </Link>
    </Box>
  );
}
