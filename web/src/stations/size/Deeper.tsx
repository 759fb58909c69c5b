import { evaluateOpen, type Habit, openJob, stillMakings } from '@north-pane/core';
import { memo } from 'react';
import { Section } from '../../parts/Section';
import { useJob } from '../../state/job';
import type { Bench } from '../../workers/heavy.worker';
import { Curve } from './Curve';
import { Marks } from './Marks';
import { isStillReadout, Still } from './Still';
import { WaterShare } from './WaterShare';

/**
 * What the worker finds about a panel a moment after a change. Drawn again only when it has found it: while the tape is
 * dragged nothing here moves.
 */
export const Deeper = memo(
  function Deeper(props: {
    bench: Bench;
    index: number;
    opened: string | undefined;
    habit: Habit;
    onOpen(label: string): void;
    onChoose(id: string): void;
  }) {
    const { bench, index, opened, habit, onOpen, onChoose } = props;
    const makings = () => {
      const job = useJob.getState().document;
      if (!job) return undefined;
      const open = openJob(job);
      return stillMakings(open, evaluateOpen(open), index);
    };
    const setHeader = (id: string) => useJob.getState().change(`panels.${index}.${bench.water?.headerPath}`, id);
    return (
      <>
        <Section title="When nothing flows">
          <Still
            still={bench.still}
            makings={isStillReadout(opened) ? makings() : undefined}
            opened={opened}
            habit={habit}
            onOpen={onOpen}
          />
        </Section>
        {bench.water && (
          <Section title="How it shares its water">
            <WaterShare water={bench.water} habit={habit} onHeader={setHeader} />
          </Section>
        )}
        <Section title="What a mark is worth" aside="to the heat of this panel">
          <Marks marks={bench.marks} gap={bench.gap} habit={habit} onChoose={onChoose} />
        </Section>
        <Section title="Efficiency">
          <Curve curve={bench.curve} efficiency={bench.efficiency} habit={habit} />
        </Section>
      </>
    );
  },
  (before, after) =>
    before.bench === after.bench &&
    before.index === after.index &&
    before.habit === after.habit &&
    before.opened === after.opened,
);
