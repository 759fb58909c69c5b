import { Text } from '@chakra-ui/react';
import type { DeepSection } from '@north-pane/core/figures';
import { pathOf } from '@north-pane/core/job';
import type { Habit } from '@north-pane/core/quantity';
import type { Section } from '@north-pane/core/readout';
import type { ReactNode } from 'react';
import { PlainTable } from '../../parts/PlainTable';
import { FoldingSection } from '../../parts/Section';
import { jobActions, jobNow } from '../../state/job';
import type { Bench, Told } from '../../workers/heavy';
import { Choices } from './Choices';
import { Curve } from './Curve';
import { Figures } from './Figures';
import { Marks } from './Marks';
import { ShareMap } from './ShareMap';

function Trouble({ trouble }: { trouble: string }) {
  return (
    <Text fontSize="14px" color="ochreText" overflowWrap="anywhere">
      Cannot be worked out: {trouble}. All else still holds.
    </Text>
  );
}

/** What was worked out, or at its place why it cannot be. */
function Shown<T>({ of, children }: { of: Told<T>; children(value: T): ReactNode }) {
  return 'value' in of ? children(of.value) : <Trouble trouble={of.trouble} />;
}

interface DeeperProps {
  bench: Bench;
  index: number;
  opened: string | undefined;
  habit: Habit;
  onOpen(label: string): void;
  onChoose(id: string): void;
}

/**
 * What the worker finds about a heater a moment after a change. Drawn again only when it has found it: while the tape is
 * dragged nothing here moves.
 */
export function Deeper(props: DeeperProps) {
  const { bench, habit, onChoose } = props;
  return (
    <>
      {bench.sections.map((one) => (
        <FoldingSection
          key={'section' in one ? one.section.id : one.id}
          title={'section' in one ? one.section.title : one.title}
          shut
        >
          <Deep {...props} one={one} />
        </FoldingSection>
      ))}
      <FoldingSection title="What a mark is worth" shut aside="to the heat of this panel">
        <Shown of={bench.marks}>{(marks) => <Marks marks={marks} habit={habit} onChoose={onChoose} />}</Shown>
      </FoldingSection>
    </>
  );
}

/** One section by its kind. */
function Deep({ one, index, opened, habit, onOpen }: DeeperProps & { one: DeepSection }) {
  if ('trouble' in one) return <Trouble trouble={one.trouble} />;
  const section: Section = one.section;
  switch (section.kind) {
    case 'figures':
      return <Figures readouts={section.readouts} opened={opened} habit={habit} onOpen={onOpen} />;
    case 'choices':
      return (
        <Choices
          section={section}
          habit={habit}
          onChoose={(value) => jobActions().change(`${pathOf(jobNow(), index)}.${section.path}`, value)}
        />
      );
    case 'curve':
      return <Curve section={section} habit={habit} />;
    case 'table':
      return <PlainTable section={section} habit={habit} headed />;
    case 'map':
      return <ShareMap section={section} habit={habit} />;
    // Those lie on the drawing and beside it.
    case 'balance':
    case 'shares':
    case 'field':
      return null;
    default:
      return section satisfies never;
  }
}
