import { Box, Button, Flex, Heading, SimpleGrid, Text } from '@chakra-ui/react';
import { tz } from '@date-fns/tz';
import { resultKey } from '@north-pane/core/document';
import { type Comparison, isStore, type Sensors, sayLeft, sayVerdict, sensorsSchema } from '@north-pane/core/proof';
import { plantOf } from '@north-pane/core/proving';
import { formatCount, formatNumber } from '@north-pane/core/quantity';
import { format } from 'date-fns';
import { FileUp } from 'lucide-react';
import { lazy, Suspense, useState } from 'react';
import * as z from 'zod';
import { Choice } from '../../parts/Choice';
import { Section } from '../../parts/Section';
import { TextButton } from '../../parts/TextButton';
import { useBuilt, useSayBuilt } from '../../state/built';
import { useHabit } from '../../state/habit';
import { type Source, useSources } from '../../state/readings';
import { useRemembered } from '../../state/remembered';
import { useWork } from '../../workers/useWork';
import { ByHand } from './ByHand';
import { DayChart } from './DayChart';
import { Draws } from './Draws';
import { PlaneChart } from './PlaneChart';
import { ReadingPad } from './ReadingPad';
import { SensorChoices } from './SensorChoices';

const ImportDialog = lazy(() => import('./ImportDialog').then(({ ImportDialog }) => ({ default: ImportDialog })));
const ReadingsDialog = lazy(() =>
  import('./ReadingsDialog').then(({ ReadingsDialog }) => ({ default: ReadingsDialog })),
);
const Revisions = lazy(() => import('../../parts/Revisions').then(({ Revisions }) => ({ default: Revisions })));
const standardSensors: Sensors = { thermometers: 'two digital', flow: 'marked bucket', sun: 'pyranometer' };

/** Did it do what it should: readings by hand and by file, held against the drawing, with a verdict in words. */
export default function Prove() {
  const habit = useHabit();
  const built = useBuilt();
  const sources = useSources();
  const [sourceId, setSourceId] = useRemembered('source', z.number().optional(), undefined);
  const [importing, setImporting] = useState(false);
  const [handSensors, setHandSensors] = useRemembered('sensors', sensorsSchema, { ...standardSensors, sun: 'words' });
  const all = sources.data ?? [];
  const largest = all.reduce<Source | undefined>(
    (best, source) => (!best || source.count > best.count ? source : best),
    undefined,
  );
  const source = all.find((one) => one.id === sourceId) ?? largest;
  const byHand = all.find((one) => one.name === 'by hand');
  const stands = isStore(plantOf(built.document));
  const newest = all
    .flatMap((one) => one.readings.filter((reading) => stands || reading.flow > 0).slice(-1))
    .sort((a, b) => b.time - a.time)[0];

  return (
    <Flex direction={{ base: 'column', lg: 'row' }} minH="100%" p="5" gap="6">
      <Box w={{ base: '100%', lg: '290px' }} flexShrink={0}>
        <ReadingPad
          built={built.document}
          stands={stands}
          habit={habit}
          sensors={handSensors}
          last={byHand?.readings[byHand.readings.length - 1] ?? newest}
          known={built.revision !== undefined}
          kept={byHand?.readings ?? []}
        />
        <Section title="Taken with">
          <SimpleGrid columns={2} gap="3">
            <SensorChoices sensors={handSensors} onSensors={setHandSensors} withoutSun />
          </SimpleGrid>
        </Section>
        <Button variant="outline" size="md" w="100%" onClick={() => setImporting(true)}>
          <FileUp size={17} aria-hidden /> Import file
        </Button>
        <Box mt="5">
          <ByHand />
        </Box>
      </Box>
      {sources.isPending && <Text color="soft">Fetching what was measured…</Text>}
      {sources.isError && (
        <Text role="alert" color="brickText">
          {sources.error.message}
        </Text>
      )}
      {sources.isSuccess && !source && (
        <Box maxW="34rem">
          <Heading as="h2" fontSize="22px" mb="2">
            Nothing measured yet.
          </Heading>
          <Text color="soft">
            {stands
              ? 'In the morning, taps shut and lid open: read the cold and the hot end of the tanks and tap the sky; read again two hours or more later.'
              : 'About noon, under a clear sky, with the water running for a quarter of an hour: read water in and out, time a bucket, tap the sky.'}{' '}
            Or take in a logger’s file.
          </Text>
        </Box>
      )}
      {source && source.count > 0 && <Proof key={source.id} source={source} all={all} onSource={setSourceId} />}
      {importing && (
        <Suspense fallback={null}>
          <ImportDialog sensors={{ ...standardSensors, flow: 'meter' }} onClose={() => setImporting(false)} />
        </Suspense>
      )}
    </Flex>
  );
}

/** What the readings of a source were taken with, each set of instruments once. */
function takenWith({ sensors, readings }: Source): string {
  const sets = new Set(
    readings
      .map((one) => one.sensors ?? sensors)
      .map(({ thermometers, flow, sun }) => `Thermometers: ${thermometers}. Flow: ${flow}. Sun: ${sun}.`),
  );
  return [...sets].join(' Some: ');
}

/** Days of a set of comparisons, by the site's own calendar. */
function daysOf(rows: readonly Comparison[], zone: string): Map<string, Comparison[]> {
  const inZone = tz(zone);
  const days = new Map<string, Comparison[]>();
  for (const row of rows) {
    const day = format(inZone(new Date(row.reading.time)), 'yyyy-MM-dd');
    days.set(day, [...(days.get(day) ?? []), row]);
  }
  return days;
}

/** One source against the design that was built. */
function Proof({ source, all, onSource }: { source: Source; all: readonly Source[]; onSource(id: number): void }) {
  const habit = useHabit();
  const built = useBuilt();
  const sayBuilt = useSayBuilt();
  const { document } = built;
  const zone = document.site.zone;
  const key = `${source.id} ${source.count} ${source.readings.length} ${source.readings[source.readings.length - 1]?.time} ${built.builds.map(({ from, job }) => `${from} ${resultKey(job, ['heat'])}`).join(' ')}`;
  const compared = useWork('compare', key, (heavy) => heavy.compare(built.builds, source.readings, source.sensors));
  const days = daysOf(compared.value?.rows ?? [], zone);
  const [looking, setLooking] = useState(false);
  const [builds, setBuilds] = useState(false);
  const [chosenDay, setDay] = useRemembered('day', z.string().optional(), undefined);
  const names = [...days.keys()];
  // The day with most steady readings says most.
  const best = names.reduce<string | undefined>((most, day) => {
    const steady = (name: string | undefined) =>
      name ? (days.get(name) ?? []).filter((row) => row.steady).length : -1;
    return steady(day) > steady(most) ? day : most;
  }, undefined);
  const day = chosenDay && days.has(chosenDay) ? chosenDay : best;
  const rows = day ? (days.get(day) ?? []) : [];
  if (compared.trouble)
    return (
      <Text role="alert" color="brickText" overflowWrap="anywhere">
        The readings cannot be held against the drawing: {compared.trouble}. Mend what clashes on the bench; what was
        measured is kept.
      </Text>
    );
  if (!compared.value)
    return (
      <Text color="soft" aria-live="polite">
        Holding {formatCount(source.count, 'reading')} against the drawing…
      </Text>
    );
  const { verdict, draws } = compared.value;
  const left = sayLeft(compared.value);
  const stands = verdict.of === 'rise';
  const words = sayVerdict(verdict, habit);
  const dayWords = (name: string) => format(new Date(`${name}T12:00:00`), 'd MMMM yyyy');
  const colour = verdict.judgement === 'agrees' ? 'pane' : verdict.judgement === 'cannot tell' ? 'line' : 'copper';
  return (
    <Flex flex="1" minW="0" direction={{ base: 'column-reverse', xl: 'row' }} gap="6">
      <Box flex="1" minW="0">
        <Flex justify="space-between" align="end" gap="4" wrap="wrap" mb="1">
          <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px">
            {stands ? 'Rises' : 'Temperature rise'} through {day ? dayWords(day) : 'the day'}
            {built.revision ? `, revision ${built.revision.number} as built` : ', as drawn now'}
          </Text>
          {names.length > 1 && day && (
            <Box w="190px">
              <Choice
                label="Day"
                value={day}
                choices={names.map((name) => ({ value: name, words: dayWords(name) }))}
                onValue={setDay}
              />
            </Box>
          )}
        </Flex>
        <Box h={{ base: '260px', md: 'max(280px, calc(50dvh - 110px))' }} data-testid="day-chart">
          {rows.length > 0 && <DayChart rows={rows} zone={zone} habit={habit} />}
        </Box>
        <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="17px" mt="3">
          {stands
            ? 'Warm-ups on the efficiency plane'
            : verdict.steady
              ? 'Steady stretches on the efficiency plane'
              : 'Readings on the efficiency plane'}
        </Text>
        <Box h={{ base: '240px', md: 'max(240px, calc(50dvh - 150px))' }}>
          <PlaneChart rows={compared.value.rows} steadyOnly={verdict.steady} stands={stands} />
        </Box>
      </Box>
      <Box w={{ base: '100%', xl: '280px' }} flexShrink={0}>
        {built.revision ? (
          <Box borderLeftWidth="6px" borderColor={colour} bg="card" p="4" mb="5" data-testid="verdict">
            <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="24px" lineHeight="1.2" mb="2">
              {words.headline}
            </Text>
            <Text mb="2">{words.judgement}</Text>
            {words.hidden && <Text mb="2">{words.hidden}</Text>}
            <Text fontSize="14px" color="soft">
              {words.basis}
            </Text>
          </Box>
        ) : (
          <NotBuilt firstReading={source.readings[0]?.time} />
        )}
        {draws.length > 0 && <Draws draws={draws} zone={zone} habit={habit} />}
        <Section title="Measured" aside={formatCount(source.count, 'reading')}>
          {all.length > 1 && (
            <Choice
              label="From"
              value={String(source.id)}
              choices={all.map((one) => ({ value: String(one.id), words: `${one.name}, ${formatNumber(one.count)}` }))}
              onValue={(id) => onSource(Number(id))}
            />
          )}
          <Text fontSize="14px" mt="1">
            {takenWith(source)}
          </Text>
          <Button size="xs" variant="outline" mt="2" onClick={() => setLooking(true)}>
            Look through them
          </Button>
          {looking && (
            <Suspense fallback={null}>
              <ReadingsDialog source={source} zone={zone} habit={habit} onClose={() => setLooking(false)} />
            </Suspense>
          )}
          {left && (
            <Text fontSize="14px" color="soft">
              {left}
            </Text>
          )}
          {source.count > source.readings.length && (
            <Text fontSize="14px" color="ochreText">
              Only the newest {formatNumber(source.readings.length)} are shown and judged. <OlderReadings />
            </Text>
          )}
        </Section>
        <Section title="Compared with">
          {built.revision ? (
            <Text fontSize="14px">
              Revision {built.revision.number}, built {format(built.revision.from, 'd MMMM yyyy')}
              {built.revision.note ? `: ${built.revision.note}` : ''}.
              {built.builds.length > 1 && ' Older readings against what stood at their time.'}
            </Text>
          ) : (
            <Text fontSize="14px">Nobody has said what was built: the curves are of the design as drawn now.</Text>
          )}
          <Flex gap="2" mt="2" wrap="wrap">
            {built.revision && (
              <Button
                size="xs"
                variant="outline"
                disabled={sayBuilt.isPending}
                // A change stands from now.
                onClick={() => sayBuilt.mutate(new Date())}
              >
                I rebuilt it as drawn now
              </Button>
            )}
            {built.revision && (
              <Button size="xs" variant="outline" onClick={() => setBuilds(true)}>
                Builds and revisions
              </Button>
            )}
          </Flex>
          {builds && (
            <Suspense fallback={null}>
              <Revisions onClose={() => setBuilds(false)} />
            </Suspense>
          )}
          {sayBuilt.isError && (
            <Text role="alert" color="brickText">
              {sayBuilt.error.message}
            </Text>
          )}
        </Section>
        <Text fontSize="13px" color="soft">
          The span is that of a panel as drawn and well made. Bond, pane, sun, flow and thermometers err the same way in
          every reading, so many readings do not shrink them.
        </Text>
      </Box>
    </Flex>
  );
}

/** In the place of a verdict on a heater that nobody said was built. */
function NotBuilt({ firstReading }: { firstReading: number | undefined }) {
  const sayBuilt = useSayBuilt();
  return (
    <Box borderLeftWidth="6px" borderColor="ochre" bg="card" p="4" mb="5" data-testid="verdict">
      <Text as="h2" fontFamily="heading" fontWeight="600" fontSize="22px" lineHeight="1.2" mb="2">
        Is this what you built?
      </Text>
      <Text mb="3">
        The readings are kept. They are judged once you say that the heater on the roof is the one that is drawn here.
        Set its sizes on Size first, as they are.
      </Text>
      <Button
        variant="solid"
        size="md"
        disabled={sayBuilt.isPending}
        // It stood from the first reading on.
        onClick={() => sayBuilt.mutate(new Date(firstReading ?? Date.now()))}
      >
        I built this design
      </Button>
      {sayBuilt.isError && (
        <Text role="alert" color="brickText" mt="2">
          {sayBuilt.error.message}
        </Text>
      )}
    </Box>
  );
}

/** Reads the next older page of what was measured. */
function OlderReadings() {
  const { hasNextPage, isFetchingNextPage, fetchNextPage } = useSources();
  if (!hasNextPage) return null;
  return (
    <TextButton disabled={isFetchingNextPage} onClick={() => void fetchNextPage()}>
      {isFetchingNextPage ? 'Reading…' : 'Read older ones'}
    </TextButton>
  );
}
