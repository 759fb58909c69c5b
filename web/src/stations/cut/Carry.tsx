import { Text } from '@chakra-ui/react';
import { jobWeights } from '@north-pane/core/figures';
import { formatQuantity, type Habit } from '@north-pane/core/quantity';
import { Section } from '../../parts/Section';
import { useDerived } from '../../state/derived';

/** What is lifted: each panel dry, full, without its pane, and the heaviest piece. */
export function Carry({ habit }: { habit: Habit }) {
  const { open, figures } = useDerived();
  const mass = (value: number) => formatQuantity('mass', value, habit, value < 10 ? 1 : 0).text;
  return (
    <Section title="To carry" aside="each panel">
      {jobWeights(open, figures).map((one) => (
        <Text key={one.panel} py="1" borderBottomWidth="1px" borderColor="line">
          <b>{one.panel}</b>: {mass(one.dry)} dry, {one.lifters}; {mass(one.wet)} full
          {one.pane !== undefined && one.unglazed !== undefined
            ? `; ${mass(one.unglazed)} without its pane of ${mass(one.pane)}`
            : ''}
          . Heaviest piece: {one.heaviest.name.toLowerCase()}, {mass(one.heaviest.mass)}.
        </Text>
      ))}
    </Section>
  );
}
