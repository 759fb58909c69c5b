import { Box, Flex, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { families } from '@north-pane/core/families';
import { evaluateWithCost } from '@north-pane/core/figures';
import { openJob } from '@north-pane/core/job';
import { formatMoney, formatQuantity, type Habit, type QuantityKind } from '@north-pane/core/quantity';
import { Circle, CircleCheckBig } from 'lucide-react';
import { useId } from 'react';
import { Radio, radioFocus } from './Radio';
import { Silhouette } from './Silhouette';

/** px of a silhouette. */
const size = { width: 150, height: 96 };

/** A figure in whole units, or that there is none. */
function said(kind: QuantityKind, value: number | undefined, habit: Habit): string {
  return value === undefined ? 'no figure' : formatQuantity(kind, value, habit, 0).text;
}

/** The kinds of heater side by side, each drawn and worked out as the job would be with it. */
export function LineUp(props: {
  chosen: string;
  habit: Habit;
  /** The job with its first panel of that kind. */
  jobOf(family: string): Job;
  onChoose(family: string): void;
}) {
  const { chosen, habit, jobOf, onChoose } = props;
  const group = useId();
  const cards = Object.values(families).map(({ id, name, meaning }) => {
    const job = jobOf(id);
    const open = openJob(job);
    return {
      id,
      name,
      meaning,
      job,
      figures: evaluateWithCost(open),
      plan: open.panels[0]?.design.drawings.plan.draw(),
    };
  });
  return (
    <Flex role="radiogroup" aria-label="Kind of heater" direction="column" gap="2">
      {cards.map(({ id, name, meaning, job, figures, plan }) => (
        <Box
          key={id}
          position="relative"
          borderWidth="2px"
          borderColor={id === chosen ? 'paneFill' : 'edge'}
          borderRadius="3px"
          bg="card"
          p="3"
          css={radioFocus}
        >
          <Radio
            group={group}
            label={name}
            describedBy={`${group}-${id}`}
            checked={id === chosen}
            onChoose={() => onChoose(id)}
          />
          <Flex gap="4" align={{ base: 'start', md: 'center' }} direction={{ base: 'column', md: 'row' }}>
            <Box w={`${size.width}px`} flexShrink={0}>
              {plan && <Silhouette drawing={plan} size={size} />}
            </Box>
            <Box position="absolute" right="3" top="3" color={id === chosen ? 'paneText' : 'soft'}>
              {id === chosen ? <CircleCheckBig size={22} aria-hidden /> : <Circle size={22} aria-hidden />}
            </Box>
            <Box minW="0" id={`${group}-${id}`}>
              <Text fontFamily="heading" fontWeight="600" fontSize="19px">
                {name}
              </Text>
              <Text fontSize="14px" color="soft">
                {meaning}
              </Text>
              <Text fontSize="14px" mt="1">
                {said('power', figures.usefulHeat, habit)} in full sun, dry{' '}
                {said('temperature', figures.stagnationTemperature, habit)}, holds{' '}
                {formatQuantity('volume', figures.waterVolume, habit).text},{' '}
                {formatQuantity('mass', figures.dryMass, habit, 0).text}, about{' '}
                {figures.cost === undefined ? 'no figure' : formatMoney(figures.cost, job.currency, 0)}
              </Text>
            </Box>
          </Flex>
        </Box>
      ))}
    </Flex>
  );
}
