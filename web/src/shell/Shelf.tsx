import { Box, Button, Flex, Grid, Heading, Image, Text } from '@chakra-ui/react';
import { formatMoney, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { useInfiniteQuery } from '@tanstack/react-query';
import { Plus } from 'lucide-react';
import { lazy, Suspense, useEffect, useState } from 'react';
import { Link } from 'react-router';
import { useSingleKeys } from '../parts/keys';
import { answered, api, queries } from '../state/api';
import { listen } from '../state/sync/line';
import { useView } from '../state/view';
import { CardMenu } from './CardMenu';
import { KeysButton, KeysDialog } from './KeysDialog';
import { LightSwitch } from './LightSwitch';
import { UnitFlip } from './UnitFlip';

const NewJob = lazy(() => import('./NewJob').then(({ NewJob }) => ({ default: NewJob })));

const loadBench = () => {
  void import('./NewJob');
  void import('./JobShell');
};

/** ms for which changes are gathered before the shelf is asked for again. */
const gathering = 300;

/** Has the cards follow what any screen does. */
function followJobs(): () => void {
  let timer: number | undefined;
  // Asking again would cancel the page that is on its way.
  const refresh = () => {
    if (queries.isFetching({ queryKey: ['jobs'] }) > 0) timer = window.setTimeout(refresh, gathering);
    else void queries.invalidateQueries({ queryKey: ['jobs'] });
  };
  const stop = listen(({ kind }) => {
    if (kind !== 'stands' && kind !== 'gone' && kind !== 'missed') return;
    window.clearTimeout(timer);
    timer = window.setTimeout(refresh, gathering);
  });
  return () => {
    window.clearTimeout(timer);
    stop();
  };
}

/** The bench shelf: every job with its drawing and vital figures. */
export function Shelf() {
  const [away, setAway] = useState(false);
  const jobs = useInfiniteQuery({
    queryKey: ['jobs', away],
    queryFn: ({ pageParam }) => answered(api.api.jobs.$get({ query: { away: away ? 'yes' : 'no', ...pageParam } })),
    initialPageParam: {} as { before?: string; beforeId?: string },
    getNextPageParam: ({ jobs: page, more }) => {
      const last = page[page.length - 1];
      return more && last ? { before: last.updatedAt, beforeId: last.id } : undefined;
    },
  });
  const cards = jobs.data?.pages.flatMap((page) => page.jobs);
  const [beginning, setBeginning] = useState<'new' | 'built' | undefined>(undefined);
  useSingleKeys('u', () => useView.getState().flipHabit('metric'));
  useEffect(() => followJobs(), []);
  useEffect(() => {
    // The first job opened needs core and the bench: fetched while the shelf is looked at.
    const wait = window.setTimeout(loadBench, 800);
    return () => window.clearTimeout(wait);
  }, []);

  return (
    <Flex direction="column" minH="100%">
      <Flex
        as="header"
        bg="slate"
        color="chalk"
        px={{ base: '4', md: '6' }}
        minH="64px"
        py="2"
        wrap="wrap"
        gap="2"
        align="center"
        justify="space-between"
        css={{ '--np-colors-focus': '#8FC4BD' }}
      >
        <Heading as="h1" fontSize="22px" letterSpacing="0.01em">
          North Pane
        </Heading>
        <Flex gap="2">
          <UnitFlip own="metric" />
          <LightSwitch />
          <KeysButton />
        </Flex>
      </Flex>
      <Box as="main" px={{ base: '4', md: '6' }} py="6" maxW="1280px" w="100%" mx="auto">
        <Flex align="center" justify="space-between" mb="5" gap="4" wrap="wrap">
          <Box>
            <Heading as="h2" fontSize="24px">
              {away ? 'Archived jobs' : 'Jobs on the shelf'}
            </Heading>
            <Text color="soft">
              {away
                ? 'They keep everything. Bring them back, or delete them for good, from here.'
                : 'One job is one heater, from the pane in hand to the water it warmed.'}
            </Text>
          </Box>
          <Flex gap="2" wrap="wrap">
            <Button variant="outline" size="md" onClick={() => setAway(!away)}>
              {away ? 'Back to the shelf' : 'Archive'}
            </Button>
            <Button variant="outline" size="md" onClick={() => setBeginning('built')}>
              I have already built one
            </Button>
            <Button variant="solid" size="md" onClick={() => setBeginning('new')}>
              <Plus size={18} aria-hidden /> Begin a job
            </Button>
          </Flex>
        </Flex>
        {jobs.isPending && <Text color="soft">Looking along the shelf…</Text>}
        {jobs.isError && (
          <Box role="alert" borderLeftWidth="4px" borderColor="brick" bg="card" p="4">
            <Text fontWeight="600" color="brickText">
              {jobs.error.message}
            </Text>
            <Button mt="2" variant="outline" size="sm" onClick={() => jobs.refetch()}>
              Look again
            </Button>
          </Box>
        )}
        {cards?.length === 0 && away && <Text color="soft">Nothing is archived.</Text>}
        {cards?.length === 0 && !away && (
          <Box bg="card" borderWidth="1px" borderColor="line" p="8" maxW="36rem">
            <Heading as="h3" fontSize="20px" mb="2">
              The shelf is empty.
            </Heading>
            <Text color="soft">Begin a job with the pane you have: its size sets the box, the box the tubes.</Text>
          </Box>
        )}
        <Grid templateColumns="repeat(auto-fill, minmax(300px, 1fr))" gap="5">
          {cards?.map((job) => (
            <JobCard key={job.id} job={job} />
          ))}
        </Grid>
        {jobs.hasNextPage && (
          <Button mt="5" variant="outline" disabled={jobs.isFetchingNextPage} onClick={() => jobs.fetchNextPage()}>
            More jobs
          </Button>
        )}
      </Box>
      <KeysDialog job={false} />
      {beginning && (
        <Suspense fallback={null}>
          <NewJob built={beginning === 'built'} onClose={() => setBeginning(undefined)} />
        </Suspense>
      )}
    </Flex>
  );
}

interface Card {
  id: string;
  version: number;
  name: string;
  units: Habit;
  currency: string;
  panels: number;
  unpicked?: true | undefined;
  apertureArea?: number | undefined;
  gain?: number | undefined;
  cost?: number | undefined;
  clashes: number;
  putAway: boolean;
  /** Why its document cannot be read. */
  unreadable?: string | undefined;
  /** Why it cannot be worked out at all. */
  trouble?: string | undefined;
  updatedAt: string;
}

function panelWords({ panels, unpicked }: Card): string {
  if (unpicked) return 'no heater picked yet';
  return panels === 1 ? 'one panel' : `${panels} panels`;
}

function JobCard({ job }: { job: Card }) {
  const habit = useView((view) => view.habit) ?? job.units;
  const quantity = (kind: 'area' | 'temperatureDifference', value: number | undefined) =>
    value === undefined ? 'none' : formatQuantity(kind, value, habit).text;
  const figures: [string, string][] = [
    ['pane', quantity('area', job.apertureArea)],
    ['temperature rise', quantity('temperatureDifference', job.gain)],
    ['cost so far', job.cost === undefined ? 'none' : formatMoney(job.cost, job.currency, 0)],
  ];
  if (job.unreadable) return <UnreadableCard job={job} reason={job.unreadable} />;
  return (
    <Box
      as="article"
      bg="card"
      borderWidth="1px"
      borderColor="line"
      borderRadius="3px"
      overflow="hidden"
      _hover={{ borderColor: 'pane' }}
    >
      <Link to={`/jobs/${job.id}/${job.unpicked ? 'pick' : 'size'}`}>
        <Flex bg="well" h="170px" align="center" justify="center" p="4">
          {!job.unpicked && (
            <Image
              src={`/api/jobs/${job.id}/plan.svg?v=${job.version}`}
              alt=""
              maxH="100%"
              maxW="100%"
              w="100%"
              objectFit="contain"
            />
          )}
        </Flex>
        <Box p="4">
          <Heading as="h3" fontSize="19px">
            {job.name}
          </Heading>
          <Text color="soft" fontSize="14px" mb="3">
            {panelWords(job)}, last worked on{' '}
            {new Date(job.updatedAt).toLocaleDateString('en-GB', { day: 'numeric', month: 'long', year: 'numeric' })}
          </Text>
          {job.trouble && (
            <Text fontSize="14px" color="brickText" mb="2" overflowWrap="anywhere">
              Cannot be worked out: {job.trouble}
            </Text>
          )}
          <Flex gap="6">
            {!job.unpicked &&
              figures.map(([label, value]) => (
                <Box key={label}>
                  <Text fontSize="13px" color="soft">
                    {label}
                  </Text>
                  <Text fontFamily="heading" fontWeight="600" fontSize="19px">
                    {value}
                  </Text>
                </Box>
              ))}
            {job.clashes > 0 && (
              <Box>
                <Text fontSize="13px" color="soft">
                  problems
                </Text>
                <Text fontFamily="heading" fontWeight="600" fontSize="19px" color="ochreText">
                  {job.clashes}
                </Text>
              </Box>
            )}
          </Flex>
        </Box>
      </Link>
      <Box px="4" pb="3">
        <CardMenu job={job} />
      </Box>
    </Box>
  );
}

/** A job whose document cannot be read: why, and what stands there to be saved out. It breaks no other. */
function UnreadableCard({ job, reason }: { job: Card; reason: string }) {
  return (
    <Box as="article" bg="card" borderWidth="1px" borderLeftWidth="5px" borderColor="brick" borderRadius="3px" p="4">
      <Heading as="h3" fontSize="19px">
        {job.name}
      </Heading>
      <Text color="brickText" fontWeight="600" mt="2">
        This job cannot be read.
      </Text>
      <Text fontSize="14px" color="soft" overflowWrap="anywhere" my="2">
        {reason}
      </Text>
      <Flex gap="2" align="center" wrap="wrap">
        <Button asChild size="sm" variant="outline">
          <a href={`/api/jobs/${job.id}/document.json`} download={`${job.id}.json`}>
            Save it out
          </a>
        </Button>
        <CardMenu job={job} />
      </Flex>
    </Box>
  );
}
