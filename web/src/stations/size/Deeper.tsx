import { Text } from '@chakra-ui/react';
import { evaluateOpen, stillDerivations } from '@north-pane/core/figures';
import { openJob } from '@north-pane/core/job';
import type { Habit } from '@north-pane/core/quantity';
import { memo, type ReactNode } from 'react';
import { FoldingSection } from '../../parts/Section';
import { useJob } from '../../state/job';
import type { Bench, Told } from '../../workers/heavy.worker';
import { Curve } from './Curve';
import { Marks } from './Marks';
import { isStillReadout, Still } from './Still';
import { WaterShare } from './WaterShare';

/** What was worked out, or at its place why it cannot be. */
function Shown<T>({ of, children }: { of: Told<T>; children(value: T): ReactNode }) {
  if ('value' in of) return children(of.value);
  return (
    <Text fontSize="14px" color="ochreText" overflowWrap="anywhere">
      Cannot be worked out: {of.trouble}. All else still holds.
    </Text>
  );
}

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
    const derivations = () => {
      const job = useJob.getState().document;
      if (!job) return undefined;
      const open = openJob(job);
      return stillDerivations(open, evaluateOpen(open), index);
    };
    const setHeader = (path: string, id: string) => useJob.getState().change(`panels.${index}.${path}`, id);
    return (
      <>
        <FoldingSection title="When nothing flows" shut>
          <Shown of={bench.still}>
            {(still) => (
              <Still
                still={still}
                derivations={isStillReadout(opened) ? derivations() : undefined}
                opened={opened}
                habit={habit}
                onOpen={onOpen}
              />
            )}
          </Shown>
        </FoldingSection>
        {!('value' in bench.water && bench.water.value === undefined) && (
          <FoldingSection title="How it shares its water" shut>
            <Shown of={bench.water}>
              {(water) =>
                water && <WaterShare water={water} habit={habit} onHeader={(id) => setHeader(water.headerPath, id)} />
              }
            </Shown>
          </FoldingSection>
        )}
        <FoldingSection title="What a mark is worth" shut aside="to the heat of this panel">
          <Shown of={bench.marks}>
            {(marks) => (
              <Marks
                marks={marks}
                gap={'value' in bench.gap ? bench.gap.value : undefined}
                habit={habit}
                onChoose={onChoose}
              />
            )}
          </Shown>
        </FoldingSection>
        <FoldingSection title="Efficiency" shut>
          <Shown of={bench.curve}>
            {(curve) => <Curve curve={curve} efficiency={bench.efficiency} habit={habit} />}
          </Shown>
        </FoldingSection>
      </>
    );
  },
  (before, after) =>
    before.bench === after.bench &&
    before.index === after.index &&
    before.habit === after.habit &&
    before.opened === after.opened,
);
