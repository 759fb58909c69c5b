// The library changes what it gives in place: the compiler may not keep it.
'use no memo';

import { Box, Button, Dialog, Flex, Input, SimpleGrid, Stack, Text } from '@chakra-ui/react';
import { tz } from '@date-fns/tz';
import { type Finding, issueWords } from '@north-pane/core/care';
import { sayFinding } from '@north-pane/core/cautions';
import type { Job } from '@north-pane/core/document';
import { parseFlow, type Reading, type Sensors, skyWords, type WindWord, windWords } from '@north-pane/core/proof';
import { jobDoubts } from '@north-pane/core/proving';
import { formatQuantity, type Habit, type QuantityKind } from '@north-pane/core/quantity';
import { readTime } from '@north-pane/core/time';
import { useMutation } from '@tanstack/react-query';
import { format } from 'date-fns';
import { useId, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import * as z from 'zod';
import { Chips } from '../../parts/Chips';
import { Entry } from '../../parts/Entry';
import { Frame } from '../../parts/Frame';
import { Section } from '../../parts/Section';
import { answered, api } from '../../state/api';
import { saveNow, useJob } from '../../state/job';
import { refreshSources, useTakeOutReadings } from '../../state/readings';
import { useRemembered } from '../../state/remembered';
import { useReadingVerdict } from './useReadingVerdict';
import { useRememberForm } from './useRememberForm';

const winds = Object.keys(windWords) as [WindWord, ...WindWord[]];

const believable = (low: number, high: number, what: string) =>
  z
    .number(`${what} is still to be said.`)
    .min(low, `${what} is not believable here.`)
    .max(high, `${what} is not believable here.`);

const form = z.object({
  inlet: believable(-20, 150, 'Water in'),
  outlet: believable(-20, 200, 'Water out'),
  air: believable(-60, 60, 'Air'),
  flow: believable(0, 0.01, 'Flow'),
  sky: z.enum(skyWords, 'The sky is still to be said.'),
  wind: z.enum(winds),
});
/** As it is while it is being filled: what is half filled is found again. */
const half = form.partial().extend({
  /** The moment by the clock of the site, as a field of date and time writes it; now where it is empty. */
  when: z.string().optional(),
  /** ms since 1970 of the reading that is being mended. */
  mends: z.number().optional(),
});
type Half = z.infer<typeof half>;

/** What the fields of water are called where the water stands in its heater. */
const standing = {
  inlet: { label: 'Cold end', what: 'the cold end' },
  outlet: { label: 'Hot end', what: 'the hot end' },
  flow: { label: 'Drawn now', what: 'what is drawn' },
} as const;

interface PadField {
  name: 'inlet' | 'outlet' | 'air' | 'flow';
  label: string;
  kind: QuantityKind;
  what: string;
}
const flowing: PadField[] = [
  { name: 'inlet', label: 'Water in', kind: 'temperature', what: 'water in' },
  { name: 'outlet', label: 'Water out', kind: 'temperature', what: 'water out' },
  { name: 'air', label: 'Air', kind: 'temperature', what: 'air' },
  { name: 'flow', label: 'Flow, or 9 L in 3:51', kind: 'flow', what: 'flow' },
];

/** The fields of a pad; where the water stands they are its two ends. */
function fieldsOf(stands: boolean): PadField[] {
  if (!stands) return flowing;
  return flowing.map((field) => (field.name === 'air' ? field : { ...field, ...standing[field.name] }));
}

/**
 * A reading in four taps: water in, water out, sky, keep. Air, flow and wind stand as they were last time until they are
 * changed. What it says of the panel is shown before it is kept, and what can hardly have been is asked about first.
 */
export function ReadingPad({
  built,
  stands,
  habit,
  sensors,
  last,
  known,
  kept,
}: {
  built: Job;
  /** Its water stands: a reading says something together with the last. */
  stands: boolean;
  habit: Habit;
  sensors: Sensors;
  last: Reading | undefined;
  /** Somebody has said that this was built: what is read is judged. */
  known: boolean;
  /** What was read by hand so far, in order of time. */
  kept: readonly Reading[];
}) {
  const id = useJob((state) => state.id) ?? '';
  const [left, leave] = useRemembered('reading', half, { wind: 'leaves stir' });
  const fields = fieldsOf(stands);
  const { control, handleSubmit, setValue, reset, subscribe } = useForm<Half>({ defaultValues: left });
  const typed = useWatch({ control }) as Half;
  useRememberForm(subscribe, leave);
  const filled: Half = { ...typed, air: typed.air ?? last?.air, flow: typed.flow ?? last?.flow };
  const parsed = form.safeParse(filled, { error: issueWords });
  const reading: Omit<Reading, 'time'> | undefined = parsed.success
    ? { ...parsed.data, wind: windWords[parsed.data.wind] }
    : undefined;
  const typedReading = reading && JSON.stringify(reading);
  const said = useReadingVerdict(typedReading, built, stands ? last : undefined, sensors, habit);
  const zone = built.site.zone;
  const [told, say] = useState('');
  const takeOut = useTakeOutReadings();
  /** The moment that is meant; undefined where it is none. */
  const moment = () => (typed.when ? readTime(typed.when, zone) : Date.now());
  const [doubted, setDoubted] = useState<{ reading: Reading; doubts: Finding[] } | undefined>(undefined);
  const keep = useMutation({
    networkMode: 'always',
    mutationFn: async (one: Reading) => {
      // It is held against the design as it is saved.
      await saveNow();
      const { mends } = typed;
      const kept = await answered(
        api.api.jobs[':id'].readings.$post({
          param: { id },
          json: { reading: one, sensors: { ...sensors, sun: 'words' } },
        }),
      );
      // What it mends goes once it is there itself: nothing is lost where the server does not answer between.
      if (mends !== undefined) await takeOut.mutateAsync({ source: 'by hand', from: mends, to: mends });
      return kept;
    },
    onSuccess: async (_, one) => {
      say(`Kept: ${sayReading(one, zone, habit)}.`);
      // The next one is of the same day: its moment stays to be moved on.
      reset({ wind: typed.wind, air: typed.air, flow: typed.flow, ...(typed.when ? { when: typed.when } : {}) });
      await refreshSources(id);
    },
  });
  const [whenTrouble, setWhenTrouble] = useState<string | undefined>(undefined);
  const ask = () => {
    if (!reading) return;
    const time = moment();
    if (time === undefined || time > Date.now() + ahead) {
      setWhenTrouble('A date and a time that have been.');
      return;
    }
    setWhenTrouble(undefined);
    // One moment has one reading: the mended one stands beside the other until that is taken out.
    const now: Reading = { ...reading, time: time === typed.mends ? time + 1 : time };
    const doubts = jobDoubts(built, now);
    if (doubts.length > 0) setDoubted({ reading: now, doubts });
    else keep.mutate(now);
  };
  const missing = [
    ...fields.filter(({ name }) => filled[name] === undefined).map(({ what }) => what),
    ...(filled.sky ? [] : ['the sky']),
  ];
  return (
    <Section title="A reading now">
      <form onSubmit={handleSubmit(ask)} noValidate>
        <Stack gap="3">
          <SimpleGrid columns={2} gap="3">
            {fields.map(({ name, label, kind }) => (
              <Controller
                key={name}
                control={control}
                name={name}
                render={({ field }) => (
                  <Entry
                    label={label}
                    size="lg"
                    value={field.value ?? (name === 'air' || name === 'flow' ? last?.[name] : undefined)}
                    kind={kind}
                    habit={habit}
                    {...(name === 'flow' ? { digits: 2, parse: parseFlow } : {})}
                    onValue={(value) => {
                      const checked = form.shape[name].safeParse(value, { error: issueWords });
                      if (!checked.success) return checked.error.issues[0]?.message;
                      field.onChange(value);
                      return undefined;
                    }}
                  />
                )}
              />
            ))}
          </SimpleGrid>
          <Chips label="Sky" value={typed.sky} choices={skyWords} onValue={(word) => setValue('sky', word)} />
          <Chips label="Wind" value={typed.wind} choices={winds} onValue={(word) => setValue('wind', word)} />
          <When
            value={typed.when ?? ''}
            trouble={whenTrouble}
            onValue={(when) => setValue('when', when === '' ? undefined : when)}
          />
          <Button type="submit" variant="solid" size="lg" disabled={!reading || keep.isPending}>
            {typed.mends === undefined ? 'Save this reading' : 'Save the correction'}
          </Button>
          {typed.mends !== undefined && (
            <Button variant="outline" size="sm" onClick={() => reset({ wind: typed.wind })}>
              Cancel
            </Button>
          )}
          <Text role="status" fontSize="14px" color="paneText">
            {told}
          </Text>
          {missing.length > 0 && missing.length < 5 && (
            <Text fontSize="14px" color="soft">
              Still to say: {missing.join(', ')}.
            </Text>
          )}
          {keep.isError && (
            <Text role="alert" color="brickText">
              {keep.error.message}
            </Text>
          )}
          {said && (
            <Box borderTopWidth="1px" borderColor="line" pt="3" aria-live="polite">
              <Text fontFamily="heading" fontWeight="600" fontSize="20px">
                {said.headline}
              </Text>
              {known && <Text>{said.judgement}</Text>}
            </Box>
          )}
        </Stack>
      </form>
      <Kept
        readings={kept}
        zone={zone}
        habit={habit}
        onMend={({ time, inlet, outlet, air, flow, sky }) => {
          say('');
          reset({ inlet, outlet, air, flow, sky, wind: typed.wind, when: wallText(time, zone), mends: time });
        }}
      />
      {doubted && (
        <Doubts
          doubts={doubted.doubts}
          habit={habit}
          onMend={() => setDoubted(undefined)}
          onKeep={() => {
            setDoubted(undefined);
            keep.mutate(doubted.reading);
          }}
        />
      )}
    </Section>
  );
}

/** ms by which the clock of a device may be behind the site's. */
const ahead = 300_000;
/** Readings that are shown to be mended; the others stand among what is looked through. */
const shown = 4;

/** A moment as a field of date and time writes it, by the clock of the site. */
function wallText(time: number, zone: string): string {
  return format(tz(zone)(new Date(time)), "yyyy-MM-dd'T'HH:mm");
}

function sayReading({ time, inlet, outlet }: Reading, zone: string, habit: Habit): string {
  const warm = (value: number) => formatQuantity('temperature', value, habit, 1).text;
  return `${wallText(time, zone).replace('T', ' ')}, ${warm(inlet)} in, ${warm(outlet)} out`;
}

/** When it was read: now, or a date and a time by the clock of the site. */
function When(props: { value: string; trouble: string | undefined; onValue(value: string): void }) {
  const { value, trouble, onValue } = props;
  const id = useId();
  return (
    <Box>
      <label htmlFor={id}>
        <Text as="span" fontSize="14px" color="soft">
          Date and time (empty: now)
        </Text>
      </label>
      <Input
        id={id}
        type="datetime-local"
        size="md"
        bg="card"
        borderColor={trouble ? 'brick' : 'edge'}
        value={value}
        aria-invalid={trouble !== undefined}
        onChange={(event) => onValue(event.currentTarget.value)}
      />
      {trouble && (
        <Text role="alert" fontSize="13px" color="brickText">
          {trouble}
        </Text>
      )}
    </Box>
  );
}

/** The last readings by hand, each to be mended. */
function Kept(props: { readings: readonly Reading[]; zone: string; habit: Habit; onMend(reading: Reading): void }) {
  const { readings, zone, habit, onMend } = props;
  if (readings.length === 0) return null;
  return (
    <Box mt="3" aria-label="Read by hand" as="section">
      {readings
        .slice(-shown)
        .reverse()
        .map((one) => (
          <Flex key={one.time} justify="space-between" align="center" gap="2" fontSize="14px">
            <Text>{sayReading(one, zone, habit)}</Text>
            <Button
              size="xs"
              variant="plain"
              aria-label={`Correct: ${sayReading(one, zone, habit)}`}
              onClick={() => onMend(one)}
            >
              correct
            </Button>
          </Flex>
        ))}
    </Box>
  );
}

/** What can hardly have been is asked about before it is kept. */
function Doubts(props: { doubts: readonly Finding[]; habit: Habit; onMend(): void; onKeep(): void }) {
  const { doubts, habit, onMend, onKeep } = props;
  return (
    <Frame title="Can that have been?" onClose={onMend}>
      <Dialog.Body>
        {doubts.map((doubt) => {
          const { headline, detail, remedy } = sayFinding(doubt, habit);
          return (
            <Box key={doubt.code} borderLeftWidth="6px" borderColor="ochre" pl="3" mb="3">
              <Text fontWeight="600" color="ochreText">
                {headline}
              </Text>
              <Text>{detail}</Text>
              <Text color="soft">{remedy}</Text>
            </Box>
          );
        })}
      </Dialog.Body>
      <Dialog.Footer flexWrap="wrap">
        <Button variant="solid" onClick={onMend}>
          Mend it first
        </Button>
        <Button variant="outline" onClick={onKeep}>
          Keep it all the same
        </Button>
      </Dialog.Footer>
    </Frame>
  );
}
