import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { errorWords } from '@north-pane/core/care';
import { useEffect, useState } from 'react';
import { Choose } from '../parts/Choose';
import { answered, api, queries } from '../state/api';
import { useJob } from '../state/job';
import { useLine } from '../state/sync/line';
import { unsaved } from '../state/sync/state';

/**
 * Fields that were set here and stand otherwise on the server: both values, and whose they are. Theirs stands until somebody chooses; all
 * else goes on being saved meanwhile.
 */
export function Contested() {
  const contested = useJob((state) => state.sync?.contested);
  const notice = useJob((state) => state.sync?.notice);
  const parted = useJob((state) => state.sync?.otherCopy !== undefined);
  const offline = useJob((state) => (state.sync?.link === 'lost' ? unsaved(state.sync) : 0));
  if (parted) return <OtherCopy />;
  if ((contested?.length ?? 0) === 0 && !notice) return offline > 0 ? <Offline waits={offline} /> : <Unheard />;
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

/** The server's copy of the job is older than this window's, or another one: somebody chooses before anything is saved. */
function OtherCopy() {
  const give = useJob((state) => state.give);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const both = async () => {
    const { sync } = useJob.getState();
    if (!sync) return;
    const document = { ...sync.document, name: `${sync.document.name}, this window` };
    try {
      await answered(api.api.jobs.$post({ json: { document } }));
    } catch (error) {
      setTrouble(errorWords(error));
      return;
    }
    void queries.invalidateQueries({ queryKey: ['jobs'] });
    give({ kind: 'choose copy', choice: 'theirs' });
  };
  return (
    <Box
      as="section"
      role="alert"
      aria-label="Two copies of this job"
      bg="card"
      borderBottomWidth="1px"
      borderLeftWidth="5px"
      borderColor="ochre"
      px="4"
      py="2"
      className="no-print"
    >
      <Text mb="2">
        The server has an older copy of this job than this window, as after a backup was restored. Nothing more is saved
        until you choose which copy to use.
      </Text>
      <Flex gap="2" wrap="wrap">
        <Button size="sm" variant="solid" onClick={() => give({ kind: 'choose copy', choice: 'yours' })}>
          Use this window’s copy
        </Button>
        <Button size="sm" variant="outline" onClick={() => give({ kind: 'choose copy', choice: 'theirs' })}>
          Use the server’s copy
        </Button>
        <Button size="sm" variant="outline" onClick={both}>
          Use the server’s, and save this one as a new job
        </Button>
      </Flex>
      {trouble && <Text color="brickText">{trouble}</Text>}
    </Box>
  );
}

/** ms that a line may be closed before it is said: a server that is started again takes a moment. */
const patience = 4000;

/** Said while what other screens do is not heard, though this one saves. */
function Unheard() {
  const open = useLine((state) => state.open);
  const [late, setLate] = useState(false);
  useEffect(() => {
    if (open) {
      setLate(false);
      return undefined;
    }
    const timer = window.setTimeout(() => setLate(true), patience);
    return () => window.clearTimeout(timer);
  }, [open]);
  if (open || !late) return null;
  return (
    <Text role="status" bg="card" borderBottomWidth="1px" borderColor="line" px="4" py="2" className="no-print">
      Changes from other screens do not arrive just now; trying again. What you do here is saved.
    </Text>
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
