import { Button, Flex, Text } from '@chakra-ui/react';
import { resultKey } from '@north-pane/core/document';
import { heaterReadouts } from '@north-pane/core/figures';
import { formatQuantity } from '@north-pane/core/quantity';
import { lazy, Suspense, useState } from 'react';
import { Now } from '../../parts/Later';
import { Matters } from '../../parts/Matters';
import { FoldingSection, goToSection } from '../../parts/Section';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import type { Bench } from '../../workers/heavy';
import { useWork } from '../../workers/useWork';
import { Deeper } from './Deeper';
import { Figures } from './Figures';
import { LoopSafety } from './LoopSafety';
import { MakeUp } from './MakeUp';
import { takeDimension, toggleReadout, useBenchPanel, useBenchView, viewOf } from './view';
import { WasteNothing } from './WasteNothing';

const SpreadDialog = lazy(async () => ({ default: (await import('./SpreadDialog')).SpreadDialog }));

/** What the worker finds of the panel on the bench, a moment behind the drawing. */
function useBench(): Bench | undefined {
  const { job: document } = useDerived().open;
  const habit = useHabit();
  const { at } = useBenchPanel();
  const key = resultKey(document, ['heat', 'pieces']);
  return useWork('bench', `${at} ${habit} ${key}`, (heavy) => heavy.bench(document, at, habit)).value;
}

/** The figures, the clashes, the make-up, and what lies deeper. */
export function Column() {
  const bench = useBench();
  const habit = useHabit();
  const { at } = useBenchPanel();
  const opened = useBenchView((view) => view.opened);
  return (
    <>
      <Jumps />
      <ToLookAt />
      <Does bench={bench} />
      <WasteNothing />
      <Now>
        <MadeOf />
        <Safety />
      </Now>
      {bench && (
        <Deeper
          bench={bench}
          index={at}
          opened={opened}
          habit={habit}
          onOpen={toggleReadout}
          onChoose={takeDimension}
        />
      )}
      <Now>
        <HowSure />
      </Now>
    </>
  );
}

const jumps = [
  ['Problems and warnings', 'Problems'],
  ['What this panel does', 'Does'],
  ['Save material', 'Material'],
  ['Made of', 'Made of'],
  ['Loop and safety', 'Loop'],
] as const;

/** From the drawing to what is said of it: each opens its section. */
function Jumps() {
  return (
    <Flex as="nav" aria-label="Parts of this column" gap="1" wrap="wrap" mb="3" className="no-print">
      {jumps.map(([title, words]) => (
        <Button key={title} size="xs" variant="outline" px="2" onClick={() => goToSection(title)}>
          {words}
        </Button>
      ))}
    </Flex>
  );
}

function Does({ bench }: { bench: Bench | undefined }) {
  const habit = useHabit();
  const { at, figures, panel } = useBenchPanel();
  const opened = useBenchView((view) => view.opened);
  const { irradiance, air } = figures.conditions;
  return (
    <FoldingSection
      title="What this panel does"
      aside={`${formatQuantity('irradiance', irradiance, habit).text}, air ${formatQuantity('temperature', air, habit, 0).text}`}
    >
      <Figures
        readouts={heaterReadouts(figures, panel.design, at)}
        bands={bench?.bands}
        opened={opened}
        habit={habit}
        onOpen={toggleReadout}
      />
    </FoldingSection>
  );
}

function ToLookAt() {
  const habit = useHabit();
  const { findings } = useDerived();
  return (
    <FoldingSection title="Problems and warnings" aside={findings.length === 0 ? undefined : String(findings.length)}>
      <Matters findings={findings} habit={habit} />
    </FoldingSection>
  );
}

function MadeOf() {
  const habit = useHabit();
  const { at, panel } = useBenchPanel();
  const drawn = new Set(
    ['plan', 'section'].flatMap(
      (view) => viewOf(panel.design, view)?.dimensions.flatMap(({ edit }) => (edit ? [edit.path] : [])) ?? [],
    ),
  );
  return (
    <FoldingSection title="Made of">
      <MakeUp panel={panel.document} index={at} habit={habit} drawn={drawn} />
    </FoldingSection>
  );
}

function Safety() {
  return (
    <FoldingSection title="Loop and safety" shut>
      <LoopSafety />
    </FoldingSection>
  );
}

function HowSure() {
  const [shown, setShown] = useState(false);
  return (
    <FoldingSection title="How sure" shut>
      <Text fontSize="14px" mb="2">
        Bond, pane, paint, insulation, wind and sun are only known within limits. The bands come of that.
      </Text>
      <Button size="xs" variant="outline" onClick={() => setShown(true)}>
        Show and set the limits
      </Button>
      {shown && (
        <Suspense fallback={null}>
          <Limits onClose={() => setShown(false)} />
        </Suspense>
      )}
    </FoldingSection>
  );
}

function Limits({ onClose }: { onClose(): void }) {
  const habit = useHabit();
  const { at, open } = useBenchPanel();
  return <SpreadDialog open={open} index={at} habit={habit} onClose={onClose} />;
}
