import { Box, Button, Dialog, SimpleGrid, Stack, Text } from '@chakra-ui/react';
import { type Finding, issueWords } from '@north-pane/core/care';
import { sayFinding } from '@north-pane/core/cautions';
import type { Job } from '@north-pane/core/document';
import {
  parseFlow,
  type Reading,
  type Sensors,
  sayVerdict,
  skyWords,
  type WindWord,
  windWords,
} from '@north-pane/core/proof';
import { compareJob, jobDoubts } from '@north-pane/core/proving';
import type { Habit, QuantityKind } from '@north-pane/core/quantity';
import { useMutation } from '@tanstack/react-query';
import { useEffect, useMemo, useState } from 'react';
import { Controller, type FieldPath, useForm, useWatch } from 'react-hook-form';
import * as z from 'zod';
import { Chips } from '../../parts/Chips';
import { Entry } from '../../parts/Entry';
import { Frame } from '../../parts/Frame';
import { Section } from '../../parts/Section';
import { answered, api } from '../../state/api';
import { saveNow, useJob } from '../../state/job';
import { refreshSources } from '../../state/readings';
import { useRemembered } from '../../state/remembered';

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
const half = form.partial();
type Half = z.infer<typeof half>;

/** What the fields of water are called where the water stands in its heater. */
const standing = {
  inlet: { label: 'Cold end', what: 'the cold end' },
  outlet: { label: 'Hot end', what: 'the hot end' },
  flow: { label: 'Drawn now', what: 'what is drawn' },
} as const;

interface PadField {
  name: FieldPath<Half> & ('inlet' | 'outlet' | 'air' | 'flow');
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
}: {
  built: Job;
  /** Its water stands: a reading says something together with the last. */
  stands: boolean;
  habit: Habit;
  sensors: Sensors;
  last: Reading | undefined;
}) {
  const id = useJob((state) => state.id) ?? '';
  const [left, leave] = useRemembered('reading', half, { wind: 'leaves stir' });
  const fields = fieldsOf(stands);
  const { control, handleSubmit, setValue, reset } = useForm<Half>({ defaultValues: left });
  const typed = useWatch({ control }) as Half;
  useEffect(() => leave(typed), [typed, leave]);
  const filled: Half = { ...typed, air: typed.air ?? last?.air, flow: typed.flow ?? last?.flow };
  const parsed = form.safeParse(filled, { error: issueWords });
  const reading: Omit<Reading, 'time'> | undefined = parsed.success
    ? { ...parsed.data, wind: windWords[parsed.data.wind] }
    : undefined;
  const key = reading ? JSON.stringify(reading) : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the reading
  const said = useMemo(() => {
    if (!reading) return undefined;
    const now = { ...reading, time: Date.now() };
    const compared = compareJob(built, stands && last ? [last, now] : [now], { ...sensors, sun: 'words' });
    return compared.rows.length === 0 ? undefined : sayVerdict(compared.verdict, habit);
  }, [key, built, stands, last, sensors, habit]);
  const [doubted, setDoubted] = useState<{ reading: Reading; doubts: Finding[] } | undefined>(undefined);
  const keep = useMutation({
    networkMode: 'always',
    mutationFn: async (one: Reading) => {
      // It is held against the design as it is saved.
      await saveNow();
      return answered(
        api.api.jobs[':id'].readings.$post({
          param: { id },
          json: { reading: one, sensors: { ...sensors, sun: 'words' } },
        }),
      );
    },
    onSuccess: async () => {
      reset({ wind: typed.wind, air: typed.air, flow: typed.flow });
      await refreshSources(id);
    },
  });
  const ask = () => {
    if (!reading) return;
    const now: Reading = { ...reading, time: Date.now() };
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
          <Button type="submit" variant="solid" size="lg" disabled={!reading || keep.isPending}>
            Keep this reading
          </Button>
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
              <Text>{said.judgement}</Text>
            </Box>
          )}
        </Stack>
      </form>
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
