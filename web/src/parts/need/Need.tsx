import { Box, Flex, SimpleGrid, Text } from '@chakra-ui/react';
import { heatSources, type Job, same } from '@north-pane/core/document';
import { poolCooling, poolNeed } from '@north-pane/core/forecasting';
import { formatQuantity, formatRough, type Habit } from '@north-pane/core/quantity';
import { monthsOfSeason, type Season, seasons } from '@north-pane/core/sky';
import { useJob } from '../../state/job';
import { Chips } from '../Chips';
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
  const { change, changeAll } = useJob.getState();
  const { need, currency } = job;
  const set = (path: string) => (value: unknown) => {
    const outcome = change(path, value);
    return outcome.ok ? undefined : outcome.message;
  };
  const taken = (changes: Parameters<typeof changeAll>[0]) => {
    const outcome = changeAll(changes);
    return outcome.ok ? undefined : outcome.message;
  };
  const setPool = (pool: Parameters<typeof poolNeed>[1]) => taken(poolNeed(job, pool));
  const setVolume = (volume: number) =>
    volume > 0 ? set('need.volumePerDay')(volume) : 'How much water a day? More than nothing.';
  const setTarget = (target: number) => {
    if (target < leastTarget)
      return `Warm water is ${formatQuantity('temperature', leastTarget, habit, 0).text} or more.`;
    return need.pool ? setPool({ target }) : set('need.target')(target);
  };
  const season = seasons.find((one) => same(monthsOfSeason(one, job.site.latitude), need.months ?? []));
  return (
    <Section title="The need" aside={`${formatRough('volume', need.volumePerDay, habit).text} a day`}>
      <SimpleGrid columns={2} gap="2">
        <Choice
          label="Water for"
          value={need.kind}
          choices={uses}
          onValue={(kind) =>
            kind === 'pool'
              ? setPool({})
              : changeAll([
                  { path: 'need.kind', value: kind },
                  { path: 'need.pool', value: undefined },
                ])
          }
        />
        {need.pool ? (
          <Entry
            label="Pool area"
            value={need.pool.area}
            kind="area"
            habit={habit}
            onValue={(area) => setPool({ area })}
          />
        ) : (
          <Entry label="A day" value={need.volumePerDay} kind="volume" habit={habit} onValue={setVolume} />
        )}
        {need.pool && (
          <Entry
            label="Pool depth"
            value={need.pool.depth}
            kind="height"
            digits={1}
            habit={habit}
            onValue={(depth) => setPool({ depth })}
          />
        )}
        <Entry
          label="How hot"
          value={need.target}
          kind="temperature"
          digits={0}
          habit={habit}
          onValue={(target) => setTarget(target)}
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
      {need.pool && (
        <Text fontSize="13px" color="soft" mt="1">
          {`A pool in the open cools some ${formatQuantity('temperatureDifference', poolCooling, habit, 0).text} in a day: as much heat as ${formatRough('volume', need.volumePerDay, habit).text} a day from the mains.`}
        </Text>
      )}
      <Box mt="2">
        <Chips<Season | 'all year' | 'other months'>
          label="Wanted most in"
          value={season ?? (need.months ? 'other months' : 'all year')}
          choices={['all year', ...seasons, ...(need.months && !season ? (['other months'] as const) : [])]}
          onValue={(value) => {
            if (value === 'other months') return;
            set('need.months')(value === 'all year' ? undefined : monthsOfSeason(value, job.site.latitude));
          }}
        />
      </Box>
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

export const Need = memoOn(NeedDrawn, ({ job, habit }) => [job.need, job.site, job.currency, habit]);

/** °C. What is colder is no warm water. */
const leastTarget = 10;
