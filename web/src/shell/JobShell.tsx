import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { errorWords } from '@north-pane/core/care';
import { heatersOf, isPicked, type Job } from '@north-pane/core/document';
import { families } from '@north-pane/core/families';
import { type ReactNode, type RefObject, Suspense, useEffect, useRef, useState } from 'react';
import { Link, useLocation, useParams } from 'react-router';
import { Boundary } from '../parts/Boundary';
import { beginWork } from '../state/busy';
import { useDocument, useJob } from '../state/job';
import { useOpened } from '../state/openJob';
import { useProving } from '../state/proofs';
import { Announcer } from './Announcer';
import { Contested } from './Contested';
import { KeepAgain } from './KeepAgain';
import { useNextStation } from './marks';
import { Rail } from './Rail';
import { Shortcuts } from './Shortcuts';
import { Slate } from './Slate';
import { type Station, stations } from './stations';
import { useStationMemory } from './useStationMemory';

/** One job open: slate on top, rail beside, and the station that the address names. */
export function JobShell() {
  const { jobId = '', station: stationId = '' } = useParams();
  const failed = useOpened(jobId);
  const openId = useJob((state) => state.id);
  const trouble = useJob((state) => state.trouble);
  useEffect(() => {
    const ended = beginWork();
    const wait = window.setTimeout(() => {
      // What does not load now is asked for again when its station is opened.
      void Promise.allSettled(stations.map((one) => one.load())).then(ended);
    }, 600);
    return () => {
      window.clearTimeout(wait);
      ended();
    };
  }, []);

  const station = stations.find((one) => one.id === stationId);
  const name = useJob((state) => state.document?.name);
  useEffect(() => {
    document.title = name && station ? `${name}: ${station.name}` : 'North Pane';
    return () => {
      document.title = 'North Pane';
    };
  }, [name, station]);
  if (failed) return <Notice headline={failed} />;
  if (!station)
    return <Notice headline={`There is no station “${stationId}”.`} to={`/jobs/${jobId}/size`} words="To the bench" />;
  if (openId !== jobId)
    return (
      <Box bg="slate" h="64px" color="chalkSoft" px="6" py="5">
        Opening…
      </Box>
    );
  return <Opened station={station} jobId={jobId} trouble={trouble} />;
}

/** The shell of an open job, with one of its stations. */
function Opened({ station, jobId, trouble }: { station: Station; jobId: string; trouble: string | undefined }) {
  const main = useRef<HTMLElement>(null);
  useStationMemory(main, `${jobId}/${station.id}`);
  const { Screen } = station;
  return (
    <Flex direction="column" h="100dvh" overflow="hidden" className="shell">
      <SkipLink main={main} />
      <PaperHead station={station.name} />
      <Slate />
      {trouble && (
        <Box role="alert" bg="brick" color="white" px="6" py="2" fontSize="14px">
          {trouble}
        </Box>
      )}
      <Contested />
      <BuiltAlready station={station.id} jobId={jobId} />
      <Flex flex="1" minH="0" direction={{ base: 'column-reverse', md: 'row' }}>
        <Rail current={station.id} jobId={jobId} />
        <Box
          as="main"
          ref={main}
          tabIndex={-1}
          flex="1"
          minW="0"
          minH="0"
          overflow="auto"
          position="relative"
          aria-label={station.name}
          // Words for readers and lifted pieces are placed in here: placed against the page they would make it longer.
          css={{ scrollPaddingBottom: 'var(--np-over-foot, 0px)', '&:focus-visible': { outline: 'none !important' } }}
        >
          <Suspense
            fallback={
              <Text p="6" color="soft">
                Loading…
              </Text>
            }
          >
            <Boundary of={station.id} fallback={(error, again) => <Broken error={error} again={again} />}>
              <NeedsHeater station={station}>
                <Screen />
                <Next from={station.id} jobId={jobId} />
              </NeedsHeater>
            </Boundary>
          </Suspense>
        </Box>
      </Flex>
      <Shortcuts jobId={jobId} />
      <Announcer />
      <Boundary of={station.id} fallback={() => null}>
        <Proving />
      </Boundary>
      <KeepAgain />
    </Flex>
  );
}

/** At the end of a station: where to go from here, and why. */
function Next({ from, jobId }: { from: Station['id']; jobId: string }) {
  const next = useNextStation(from);
  if (!next) return null;
  return (
    <Box as="nav" aria-label="Next station" className="no-print" px={{ base: '4', md: '6' }} pt="2" pb="8">
      <Link to={`/jobs/${jobId}/${next.id}`} style={{ display: 'inline-flex', alignItems: 'center', minHeight: 44 }}>
        <span>
          <Text as="span" color="paneText" fontWeight="600">
            Next: {next.name}
          </Text>
          <Text as="span" color="soft">
            {' '}
            ({next.reason})
          </Text>
        </span>
      </Link>
    </Box>
  );
}

/** A station that is about the heater; before one is picked, what to do. */
function NeedsHeater({ station, children }: { station: Station; children: ReactNode }) {
  const job = useDocument();
  const change = useJob((state) => state.change);
  if (!station.needsHeater || isPicked(job)) return children;
  const kind = kindOf(job);
  return (
    <Box p={{ base: '4', md: '6' }} maxW="40rem">
      <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="22px" mb="2">
        Pick a kind of heater first
      </Text>
      <Text mb="4">
        Pick lines up every kind for this place, with what each gives, costs and asks of you. Or begin with the usual
        one and change it later.
      </Text>
      <Flex gap="2" wrap="wrap">
        <Button asChild size="lg" variant="solid">
          <Link to="../pick" relative="path">
            Go to Pick
          </Link>
        </Button>
        <Button size="lg" variant="outline" onClick={() => change(['decisions', 'unpicked'], undefined)}>
          Begin with a {kind.toLowerCase()}
        </Button>
      </Flex>
    </Box>
  );
}

function kindOf(job: Job): string {
  const family = heatersOf(job)[0]?.family ?? '';
  return families[family as keyof typeof families]?.name ?? family;
}

/** The first stop of the Tab key: past slate and rail, to the station. */
function SkipLink({ main }: { main: RefObject<HTMLElement | null> }) {
  return (
    <Button
      className="no-print"
      variant="solid"
      size="sm"
      position="absolute"
      top="2"
      left="2"
      zIndex="10"
      css={{ '&:not(:focus)': { clipPath: 'inset(50%)', width: '1px', height: '1px', overflow: 'hidden' } }}
      onClick={() => main.current?.focus()}
    >
      Skip to the content
    </Button>
  );
}

/** The way of somebody whose heater stands already: its sizes, then a reading. */
function BuiltAlready({ station, jobId }: { station: string; jobId: string }) {
  const { state } = useLocation();
  const [away, setAway] = useState(false);
  if ((state as { built?: boolean } | null)?.built !== true || station !== 'size' || away) return null;
  return (
    <Flex
      role="status"
      bg="card"
      borderBottomWidth="1px"
      borderLeftWidth="5px"
      borderColor="paneFill"
      px="4"
      py="2"
      gap="3"
      align="center"
      wrap="wrap"
      className="no-print"
    >
      <Text flex="1 1 300px">
        Set the sizes as your heater has them: tap a dimension and type. Then say that it is built, and note a reading.
      </Text>
      <Link to={`/jobs/${jobId}/prove`}>
        <Text as="span" color="paneText" fontWeight="600">
          Next: the first reading
        </Text>
      </Link>
      <Button size="sm" variant="outline" onClick={() => setAway(true)}>
        Close
      </Button>
    </Flex>
  );
}

/** In place of a station that broke: what can be done. Slate, rail and undo go on. */
function Broken({ error, again }: { error: unknown; again(): void }) {
  const undo = useJob((state) => state.undo);
  const past = useJob((state) => (state.sync?.past.length ?? 0) > 0);
  return (
    <Box p="6" maxW="40rem" role="alert">
      <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="22px" mb="2">
        This station cannot be shown
      </Text>
      <Text mb="4">{errorWords(error)}. What you set is kept; the other stations go on.</Text>
      <Flex gap="2" wrap="wrap">
        {past && (
          <Button
            variant="solid"
            onClick={() => {
              undo();
              again();
            }}
          >
            Undo the last change
          </Button>
        )}
        <Button variant="outline" onClick={again}>
          Try again
        </Button>
      </Flex>
    </Box>
  );
}

/** What stands at the head of a printed station, and nowhere else. */
function PaperHead({ station }: { station: string }) {
  return (
    <p className="on-paper" aria-hidden>
      <span className="still-working">Not all of this was worked out when it was printed: print it again. </span>
      North Pane, {station},{' '}
      {new Date().toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })}
    </p>
  );
}

/** Works in the background for whatever station is open. */
function Proving() {
  useProving();
  return null;
}

function Notice({
  headline,
  to = '/',
  words = 'Back to the shelf of jobs',
}: {
  headline: string;
  to?: string;
  words?: string;
}) {
  return (
    <Box as="main" maxW="34rem" mx="auto" mt="20vh" px="6" role="alert">
      <Text as="h1" fontFamily="heading" fontWeight="600" fontSize="26px" mb="3">
        {headline}
      </Text>
      <Link to={to}>
        <Text as="span" color="paneText" fontWeight="600">
          {words}
        </Text>
      </Link>
    </Box>
  );
}
