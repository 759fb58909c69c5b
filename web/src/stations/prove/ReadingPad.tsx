import { Box, Button, SimpleGrid, Stack, Text } from '@chakra-ui/react';
import {
  compareJob,
  type Habit,
  type Job,
  parseFlow,
  type Reading,
  type Sensors,
  type SkyWord,
  sayVerdict,
  skyWords,
  type WindWord,
  windWords,
} from '@north-pane/core';
import { useMutation } from '@tanstack/react-query';
import { useMemo, useState } from 'react';
import { Chips } from '../../parts/Chips';
import { Entry } from '../../parts/Entry';
import { Section } from '../../parts/Section';
import { answered, api } from '../../state/api';
import { useJob } from '../../state/job';
import { refreshSources } from '../../state/readings';

const winds = Object.keys(windWords) as WindWord[];

/**
 * A reading in four taps: water in, water out, sky, keep. Air, flow and wind stand as they were last time until they are
 * changed. What it says of the panel is shown before it is kept.
 */
export function ReadingPad({
  built,
  habit,
  sensors,
  last,
}: {
  built: Job;
  habit: Habit;
  sensors: Sensors;
  last: Reading | undefined;
}) {
  const id = useJob((state) => state.id) ?? '';
  const [inlet, setInlet] = useState<number | undefined>(undefined);
  const [outlet, setOutlet] = useState<number | undefined>(undefined);
  const [air, setAir] = useState<number | undefined>(undefined);
  const [flow, setFlow] = useState<number | undefined>(undefined);
  const [sky, setSky] = useState<SkyWord | undefined>(undefined);
  const [wind, setWind] = useState<WindWord>('leaves stir');
  const airNow = air ?? last?.air;
  const flowNow = flow ?? last?.flow;
  const reading: Omit<Reading, 'time'> | undefined =
    inlet !== undefined && outlet !== undefined && airNow !== undefined && flowNow !== undefined && sky
      ? { inlet, outlet, air: airNow, flow: flowNow, sky, wind: windWords[wind] }
      : undefined;
  const key = reading ? JSON.stringify(reading) : '';
  // biome-ignore lint/correctness/useExhaustiveDependencies: the key stands for the reading
  const said = useMemo(() => {
    if (!reading) return undefined;
    const { verdict, left } = compareJob(built, [{ ...reading, time: Date.now() }], { ...sensors, sun: 'words' });
    return left > 0 ? undefined : sayVerdict(verdict, habit);
  }, [key, built, sensors, habit]);
  const keep = useMutation({
    mutationFn: (one: Omit<Reading, 'time'>) =>
      answered(
        api.api.jobs[':id'].readings.$post({
          param: { id },
          json: { reading: { ...one, time: Date.now() }, sensors: { ...sensors, sun: 'words' } },
        }),
      ),
    onSuccess: async () => {
      setInlet(undefined);
      setOutlet(undefined);
      setSky(undefined);
      await refreshSources(id);
    },
  });
  const take = (set: (value: number) => void, low: number, high: number, words: string) => (value: number) => {
    if (value < low || value > high) return `${words} is not believable here.`;
    set(value);
    return undefined;
  };
  const missing = [
    inlet === undefined && 'water in',
    outlet === undefined && 'water out',
    airNow === undefined && 'air',
    flowNow === undefined && 'flow',
    !sky && 'the sky',
  ].filter(Boolean);
  return (
    <Section title="A reading now">
      <Stack gap="3">
        <SimpleGrid columns={2} gap="3">
          <Entry
            label="Water in"
            size="lg"
            value={inlet}
            kind="temperature"
            habit={habit}
            onValue={take(setInlet, -20, 150, 'That')}
          />
          <Entry
            label="Water out"
            size="lg"
            value={outlet}
            kind="temperature"
            habit={habit}
            onValue={take(setOutlet, -20, 200, 'That')}
          />
          <Entry
            label="Air"
            size="lg"
            value={airNow}
            kind="temperature"
            habit={habit}
            onValue={take(setAir, -60, 60, 'That')}
          />
          <Entry
            label="Flow, or 9 L in 3:51"
            size="lg"
            value={flowNow}
            kind="flow"
            digits={2}
            habit={habit}
            parse={parseFlow}
            onValue={take(setFlow, 0, 0.01, 'That flow')}
          />
        </SimpleGrid>
        <Chips label="Sky" value={sky} choices={skyWords} onValue={(word) => setSky(word)} />
        <Chips label="Wind" value={wind} choices={winds} onValue={(word) => setWind(word)} />
        <Button
          variant="solid"
          size="lg"
          disabled={!reading || keep.isPending}
          onClick={() => reading && keep.mutate(reading)}
        >
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
    </Section>
  );
}
