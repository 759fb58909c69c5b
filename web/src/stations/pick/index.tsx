import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { familyIds, heatersOf, isPicked, type Job, resultKey } from '@north-pane/core/document';
import { families } from '@north-pane/core/families';
import { asShelved, bestKinds, type KindCase, type KindOutcome, pickKind } from '@north-pane/core/picking';
import { formatNumber, formatQuantity, formatRough, type Habit } from '@north-pane/core/quantity';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { Need } from '../../parts/need/Need';
import { Sentence } from '../../parts/Sentence';
import { useHabit } from '../../state/habit';
import { toolsAtHand } from '../../state/have';
import { inShopNow, useDocument, useJob } from '../../state/job';
import { useRemembered } from '../../state/remembered';
import { useWork, useWorks } from '../../workers/useWork';
import { Arguments } from './Arguments';
import { Chosen } from './Chosen';
import { type FilterId, filterIds, filterWords, leftOut, pickSchema } from './filters';
import { LineUpTable } from './LineUpTable';
import { OnHand } from './OnHand';

const untouched = { filters: [] };

/** Which kind of heater suits this place, need, tools, stock and purse: all of them side by side, each as it would be here. */
export default function Pick() {
  const job = useDocument();
  const habit = useHabit();
  const navigate = useNavigate();
  const changeAll = useJob((state) => state.changeAll);
  const [{ filters, chosen }, setPick] = useRemembered('pick', pickSchema, untouched);
  const [trouble, setTrouble] = useState<string | undefined>(undefined);
  const state = useJob((one) => one.shop);
  const shelved = asShelved({ job, state });
  const key = resultKey(shelved, ['need', 'heat', 'pieces', 'findings']);
  const found = useWorks<KindOutcome>(
    'kind',
    key,
    familyIds.map((id) => ({ id, ask: (heavy) => heavy.kind(key, shelved, id) })),
  );
  const fresh = found.every((one) => one.fresh);
  const broken = found.find((one) => one.trouble)?.trouble;
  const schools = useWork('schools', key, (heavy) => heavy.schools(shelved));
  const tools = toolsAtHand(job);
  const now = heatersOf(job)[0]?.family ?? '';
  const outcomes = found.flatMap(({ value }) => (value ? [value] : []));
  const cases = outcomes.filter((one): one is KindCase => 'job' in one);
  const failed = outcomes.flatMap((one) => ('trouble' in one ? [one] : []));
  const reasons = cases.map((one) => ({ one, why: leftOut(filters, one, tools) }));
  const shown = reasons.filter(({ why }) => why.length === 0).map(({ one }) => one);
  const out = reasons.filter(({ why }) => why.length > 0);
  const inHand = cases.find(({ family }) => family === (chosen ?? now)) ?? shown[0];
  const onChoose = (family: string) => setPick({ filters, chosen: family });
  const toggle = (filter: FilterId) =>
    setPick({
      filters: filters.includes(filter) ? filters.filter((one) => one !== filter) : [...filters, filter],
      ...(chosen === undefined ? {} : { chosen }),
    });
  const take = async (family: string) => {
    const { job: made } = pickKind(asShelved(inShopNow()), family);
    const outcome = changeAll([
      { path: 'heaters', value: made.heaters },
      { path: 'loop', value: made.loop },
      { path: 'stores', value: made.stores },
      { path: 'shop.have', value: made.shop.have },
    ]);
    if (outcome.ok) await navigate('../size', { relative: 'path' });
    else setTrouble(outcome.message);
  };
  return (
    <Flex direction={{ base: 'column', lg: 'row' }} p={{ base: '4', md: '5' }} gap="6">
      <Box flex="1" minW="0">
        <Head kinds={outcomes.length < found.length ? [] : cases} fresh={fresh} need={job.need} habit={habit} />
        <Flex gap="2" rowGap="2" wrap="wrap" mb="3" align="center" role="group" aria-label="Show only kinds">
          <Text fontSize="14px" color="soft">
            Only kinds
          </Text>
          {filterIds.map((filter) => (
            <Button
              key={filter}
              size="sm"
              variant={filters.includes(filter) ? 'solid' : 'outline'}
              aria-pressed={filters.includes(filter)}
              onClick={() => toggle(filter)}
            >
              {filterWords[filter]}
            </Button>
          ))}
        </Flex>
        {broken && <Text color="ochreText">Cannot be worked out: {broken}. All else still holds.</Text>}
        {cases.length > 0 && (
          <LineUpTable kinds={shown} job={job} habit={habit} chosen={inHand?.family ?? ''} onChoose={onChoose} />
        )}
        {familyIds.map((id, index) =>
          found[index]?.value || found[index]?.trouble ? null : <GhostRow key={id} id={id} />,
        )}
        {out.length > 0 && (
          <Text mt="2" fontSize="14px" data-testid="left-out">
            <b>Left out:</b> {out.map(({ one, why }) => `${one.name.toLowerCase()} (${why.join('; ')})`).join(', ')}.
          </Text>
        )}
        {failed.map(({ family, name, trouble: why }) => (
          <Text key={family} mt="2" fontSize="14px" color="ochreText">
            {name} cannot be worked out here: {why}.
          </Text>
        ))}
        {trouble && (
          <Text role="alert" color="brickText" mt="2">
            {trouble}
          </Text>
        )}
        {inHand && (
          <Box mt="5">
            <Chosen
              one={inHand}
              job={job}
              habit={habit}
              taken={isPicked(job) && inHand.family === now}
              onTake={() => take(inHand.family)}
              onSize={() => navigate('../size', { relative: 'path' })}
            />
          </Box>
        )}
        <Box mt="6">{schools.value && <Arguments schools={schools.value} habit={habit} />}</Box>
        <Text fontSize="13px" color="soft" mt="2">
          Heat: mean days of each month in the weather of the place, one mixed store, drawn by the need; a month with
          frost is left out for what is emptied then. Band: the weather’s doubt and a fifth of our own. Money: the price
          list on Cut. Hours: by the steps, our judgement. A screening, to choose by; Forecast goes further, and nothing
          is proved until you measure.
        </Text>
      </Box>
      <Box w={{ base: '100%', lg: '300px' }} flexShrink={0}>
        <Need job={job} habit={habit} />
        <OnHand job={job} habit={habit} />
      </Box>
    </Flex>
  );
}

/** In the place of a kind that is still worked out. */
function GhostRow({ id }: { id: string }) {
  const { name } = families[id as keyof typeof families];
  return (
    <Flex align="center" gap="3" minH="58px" px="2" borderBottomWidth="1px" borderColor="line" data-ghost>
      <Box w="78px" h="34px" bg="well" flexShrink={0} />
      <Text fontFamily="heading" fontWeight="600" fontSize="16px" color="soft" w="120px">
        {name}
      </Text>
      <Box flex="1" h="6px" bg="well" />
    </Flex>
  );
}

/** What it comes to, in a sentence. */
function Head(props: { kinds: readonly KindCase[]; fresh: boolean; need: Job['need']; habit: Habit }) {
  const { kinds, fresh, need, habit } = props;
  const best = bestKinds(kinds);
  const percent = (one: KindCase) => `${formatNumber(100 * one.share, 0)} % of the year’s need`;
  const asked = `${formatRough('volume', need.volumePerDay, habit).text} a day at ${formatQuantity('temperature', need.target, habit, 0).text}`;
  const words = !best
    ? 'Drawing every kind, and running each through a year…'
    : best.heat === best.money
      ? `For ${asked}: ${best.heat.name} gives most heat, and most for its money: ${percent(best.heat)}.`
      : `For ${asked}: ${best.heat.name} gives most heat, ${percent(best.heat)}; ${best.money.name} gives most for its money, ${percent(best.money)}.`;
  return (
    <Sentence id="pick-sentence" fresh={fresh}>
      {words}
    </Sentence>
  );
}
