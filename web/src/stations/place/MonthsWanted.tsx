import { Box, Button, Flex, Text } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { formatAim } from '@north-pane/core/quantity';
import { monthNames, type StandingStudy, sayMonths } from '@north-pane/core/sky';
import { useJob } from '../../state/job';

/** Months in which the water is wanted most, and the pane that they would have. */
export function MonthsWanted({ job, study }: { job: Job; study: StandingStudy | undefined }) {
  const change = useJob((state) => state.change);
  const wanted = job.need.months ?? [];
  const toggle = (month: number) => {
    const next = wanted.includes(month)
      ? wanted.filter((one) => one !== month)
      : [...wanted, month].sort((a, b) => a - b);
    change('need.months', next.length > 0 ? next : undefined);
  };
  return (
    <Box mt="4">
      <Text fontSize="14px" color="soft" mb="1">
        Months that matter most
      </Text>
      <Flex gap="1" wrap="wrap" role="group" aria-label="Months that matter most">
        {monthNames.map((name, index) => {
          const on = wanted.includes(index + 1);
          return (
            <Button
              key={name}
              size="xs"
              variant={on ? 'solid' : 'outline'}
              aria-pressed={on}
              aria-label={name}
              px="2"
              onClick={() => toggle(index + 1)}
            >
              {name.slice(0, 3)}
            </Button>
          );
        })}
      </Flex>
      {study && wanted.length > 0 && (
        <Text fontSize="14px" mt="1.5" data-testid="chosen-best">
          For {sayMonths(study.chosenMonths)} the best is {Math.round(study.best.chosen.tilt)}°,{' '}
          {formatAim(study.best.chosen.aim)}.
        </Text>
      )}
    </Box>
  );
}
