import { Box, Flex, SimpleGrid, Text } from '@chakra-ui/react';
import { heatSources, type Job } from '@north-pane/core/document';
import { formatRough, type Habit } from '@north-pane/core/quantity';
import { useJob } from '../../state/job';
import { Choice } from '../Choice';
import { ChooseAt } from '../Choose';
import { Entry } from '../Entry';
import { memoOn } from '../memoOn';
import { Section } from '../Section';
import { TextButton } from '../TextButton';
import { TickBox } from '../TickBox';
import { DayDrawn } from './DayDrawn';
import { uses } from './uses';

const sources: readonly { value: (typeof heatSources)[number] | 'nothing'; words: string }[] = [
  { value: 'nothing', words: 'nothing, or not said' },
  ...heatSources.map((value) => ({ value, words: value })),
];

function Tick({ on, words, onTick }: { on: boolean; words: string; onTick(): void }) {
  return (
    <Flex align="center" gap="2">
      <TickBox ticked={on} label={words} onTick={onTick} />
      <Text fontSize="14px" lineHeight="1.2">
        {words}
      </Text>
    </Flex>
  );
}

/** What the water is for: how much, how hot, when in the day, drunk or not, frost, and what heats it now. */
function NeedDrawn({ job, habit }: { job: Job; habit: Habit }) {
  const change = useJob((state) => state.change);
  const { need, currency } = job;
  const set = (path: string) => (value: unknown) => {
    const outcome = change(path, value);
    return outcome.ok ? undefined : outcome.message;
  };
  return (
    <Section title="The need" aside={`${formatRough('volume', need.volumePerDay, habit).text} a day`}>
      <SimpleGrid columns={2} gap="2">
        <Choice label="Water for" value={need.kind} choices={uses} onValue={set('need.kind')} />
        <Entry label="A day" value={need.volumePerDay} kind="volume" habit={habit} onValue={set('need.volumePerDay')} />
        <Entry
          label="How hot"
          value={need.target}
          kind="temperature"
          digits={0}
          habit={habit}
          onValue={set('need.target')}
        />
        <Choice
          label="Heated now by"
          value={need.heats?.by ?? 'nothing'}
          choices={sources}
          onValue={(by) => set('need.heats')(by === 'nothing' ? undefined : { by, price: need.heats?.price ?? 0.25 })}
        />
      </SimpleGrid>
      {need.heats && (
        <Entry
          label={`${currency} for a kWh of ${need.heats.by}, as bought`}
          value={need.heats.price}
          kind="number"
          digits={2}
          habit={habit}
          onValue={set('need.heats.price')}
        />
      )}
      <ChooseAt path={['need', 'volumePerDay']} />
      <ChooseAt path={['need', 'target']} />
      <Box mt="2">
        <Flex justify="space-between" align="baseline" gap="2">
          <Text fontSize="14px" color="soft">
            When in the day: pull a bar
          </Text>
          {need.hours && (
            <TextButton fontSize="14px" onClick={() => set('need.hours')(undefined)}>
              As usual again
            </TextButton>
          )}
        </Flex>
        <DayDrawn need={need} habit={habit} />
      </Box>
      <Flex gap="4" rowGap="2" wrap="wrap" mt="2">
        <Tick on={need.drinking} words="it is drunk" onTick={() => set('need.drinking')(!need.drinking)} />
        <Tick on={need.frost} words="it freezes here" onTick={() => set('need.frost')(!need.frost)} />
      </Flex>
    </Section>
  );
}

export const Need = memoOn(NeedDrawn, ({ job, habit }) => [job.need, job.currency, habit]);
