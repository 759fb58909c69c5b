import { Box, Text } from '@chakra-ui/react';
import { Choose } from '../parts/Choose';
import { useJob } from '../state/job';
import { unsaved } from '../state/sync/state';

/**
 * Fields that were set here and stand otherwise on the server: both values, and whose they are. Theirs stands until somebody chooses; all
 * else goes on being saved meanwhile.
 */
export function Contested() {
  const contested = useJob((state) => state.sync?.contested);
  const notice = useJob((state) => state.sync?.notice);
  const offline = useJob((state) => (state.sync?.link === 'lost' ? unsaved(state.sync) : 0));
  if ((contested?.length ?? 0) === 0 && !notice) return offline > 0 ? <Offline waits={offline} /> : null;
  return (
    <Box
      as="section"
      role="alert"
      aria-label="Changed in two places"
      bg="card"
      borderBottomWidth="1px"
      borderLeftWidth="5px"
      borderColor="ochre"
      px="4"
      py="2"
      maxH="40vh"
      overflowY="auto"
      className="no-print"
    >
      {notice && <Text>{notice}</Text>}
      {contested?.map((field) => (
        <Choose key={JSON.stringify(field.path)} field={field} />
      ))}
    </Box>
  );
}

function Offline({ waits }: { waits: number }) {
  return (
    <Text role="status" bg="card" borderBottomWidth="1px" borderColor="line" px="4" py="2" className="no-print">
      The server does not answer: {waits === 1 ? '1 edit waits' : `${waits} edits wait`} in this browser and{' '}
      {waits === 1 ? 'is' : 'are'} sent as soon as it does. Go on working.
    </Text>
  );
}
