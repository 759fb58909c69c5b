import { Box, Flex, SimpleGrid, Text } from '@chakra-ui/react';
import { isWarmWater, type Job, same, warmWaterWords } from '@north-pane/core/document';
import { poolCooling, poolNeed } from '@north-pane/core/forecasting';
import { formatQuantity, formatRough, type Habit } from '@north-pane/core/quantity';
import { monthsOfSeason, type Season, seasons } from '@north-pane/core/sky';
import { jobActions } from '../../state/job';
import { Chips } from '../Chips';
import { FieldAt } from '../FieldAt';
import { Section } from '../Section';
import { TextButton } from '../TextButton';
import { DayDrawn } from './DayDrawn';

/** What the water is for: how much, how hot, when in the day, drunk or not, frost, and what heats it now. */
export function Need({ job, habit }: { job: Job; habit: Habit }) {
  const { change, changeAll } = jobActions();
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
    if (!isWarmWater(target)) return warmWaterWords(habit);
    return need.pool ? setPool({ target }) : set('need.target')(target);
  };
  const season = seasons.find((one) => same(monthsOfSeason(one, job.site.latitude), need.months ?? []));
  return (
    <Section title="The need" aside={`${formatRough('volume', need.volumePerDay, habit).text} a day`}>
      <SimpleGrid columns={2} gap="2">
        <FieldAt
          path="need.kind"
          onValue={(kind) =>
            kind === 'pool'
              ? setPool({})
              : taken([
                  { path: 'need.kind', value: kind },
                  { path: 'need.pool', value: undefined },
                ])
          }
        />
        {need.pool ? (
          <FieldAt path="need.pool.area" onValue={(area) => setPool({ area: Number(area) })} />
        ) : (
          <FieldAt path="need.volumePerDay" label="A day" onValue={(volume) => setVolume(Number(volume))} />
        )}
        {need.pool && <FieldAt path="need.pool.depth" onValue={(depth) => setPool({ depth: Number(depth) })} />}
        <FieldAt path="need.target" onValue={(target) => setTarget(Number(target))} />
        <FieldAt
          path="need.heats.by"
          absent="nothing, or not said"
          onValue={(by) =>
            set('need.heats')(by === undefined ? undefined : { by, price: need.heats?.price ?? usualPrice })
          }
        />
      </SimpleGrid>
      {need.heats && <FieldAt path="need.heats.price" label={`${currency} for a kWh of ${need.heats.by}, as bought`} />}
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
        <FieldAt path="need.drinking" />
        <FieldAt path="need.frost" />
      </Flex>
    </Section>
  );
}

/** Money for a kWh, until somebody says what it is. */
const usualPrice = 0.25;
