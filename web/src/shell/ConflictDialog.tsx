import { Box, Button, Dialog, Flex, Text } from '@chakra-ui/react';
import { Frame } from '../parts/Frame';
import { settle } from '../state/autosave';
import { useJob } from '../state/job';

function plain(value: unknown): string {
  if (value === undefined) return 'nothing';
  return typeof value === 'object' ? 'a whole list or part' : String(value);
}

/** Two windows changed the same field: both values are shown, and one is taken. Nothing else is touched. */
export function ConflictDialog() {
  const conflict = useJob((state) => state.conflict);
  if (!conflict) return null;
  return (
    <Frame title="Changed in two places">
      <Dialog.Body>
        <Text mb="3">
          Somebody else, or another window, changed the same {conflict.fields.length === 1 ? 'field' : 'fields'} since
          this one was opened.
        </Text>
        {conflict.fields.map((field) => (
          <Box key={field.path} borderTopWidth="1px" borderColor="line" py="2">
            <Text fontWeight="600">{field.path.split('.').slice(-1)}</Text>
            <Text color="soft" fontSize="14px">
              yours {plain(field.yours)}, theirs {plain(field.theirs)}
            </Text>
          </Box>
        ))}
      </Dialog.Body>
      <Dialog.Footer>
        <Flex gap="2" wrap="wrap">
          <Button variant="outline" onClick={() => settle('theirs')}>
            Take theirs
          </Button>
          <Button variant="solid" onClick={() => settle('mine')}>
            Keep mine
          </Button>
        </Flex>
      </Dialog.Footer>
    </Frame>
  );
}
