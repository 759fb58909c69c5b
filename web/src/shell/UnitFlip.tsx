import { Flex } from '@chakra-ui/react';
import type { Habit } from '@north-pane/core/quantity';
import { SlateButton } from '../parts/SlateButton';
import { useView } from '../state/view';

const habits: { habit: Habit; words: string; means: string }[] = [
  { habit: 'metric', words: 'mm °C', means: 'Metric' },
  { habit: 'imperial', words: 'ft °F', means: 'Feet and inches' },
];

/** Which tape is read. Changes what is shown and nothing that is stored. */
export function UnitFlip({ own }: { own: Habit }) {
  const chosen = useView((view) => view.habit) ?? own;
  const setHabit = useView((view) => view.setHabit);
  return (
    <Flex role="group" aria-label="Units" gap="1">
      {habits.map(({ habit, words, means }) => (
        <SlateButton
          key={habit}
          type="button"
          aria-label={means}
          aria-pressed={chosen === habit}
          onClick={() => setHabit(habit)}
        >
          {words}
        </SlateButton>
      ))}
    </Flex>
  );
}
