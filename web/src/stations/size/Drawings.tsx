import { Button, Flex } from '@chakra-ui/react';
import type { Finding } from '@north-pane/core/care';
import { type ServiceMargin, sayFinding } from '@north-pane/core/cautions';
import type { Drawing } from '@north-pane/core/draw';
import { stackShortfall } from '@north-pane/core/families';
import { plateAtWork } from '@north-pane/core/heat';
import { sideOf } from '@north-pane/core/job';
import { formatLength, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { memo, type ReactNode, useDeferredValue, useMemo } from 'react';
import { DrawingView } from '../../drawing/DrawingView';
import type { Pull } from '../../drawing/Grip';
import { goToSection } from '../../parts/Section';
import { phone } from '../../parts/usePhone';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { useJob } from '../../state/job';
import { ink } from '../../theme/ink';
import { Paths } from './Paths';
import { PlateLegend, PlateShade } from './PlateShade';
import { RiserBars } from './RiserBars';
import { ServiceMargins } from './ServiceMargins';
import { TypeIn } from './TypeIn';
import {
  chooseDimension,
  heldOf,
  setDimension,
  showUnder,
  takeDimension,
  toggleShade,
  useBenchPanel,
  useBenchView,
} from './view';

/** The plan, with the share of each riser on it and, when wanted, how warm the plate is. */
export function Plan() {
  const habit = useHabit();
  const { findings } = useDerived();
  const bench = useBenchPanel();
  const { at, figures, panel, mine, plan } = bench;
  const chosen = useBenchView((view) => view.chosen);
  const shaded = useBenchView((view) => view.shaded);
  const { state, massFlow, inlet, riserShares } = mine;
  const plate =
    shaded && state
      ? plateAtWork(panel.design.heat, { ...figures.conditions, massFlow, inlet }, state, sharesOf(riserShares)).plate
      : undefined;
  const marks = findings
    .filter((finding) => finding.path.startsWith(`panels.${at}.`))
    .map((finding) => ({ finding, headline: sayFinding(finding, habit).headline }));
  return (
    <>
      {plate && <PlateLegend plate={plate} habit={habit} />}
      <DrawingView
        drawing={plan}
        habit={habit}
        chosen={heldOf(bench, chosen)?.id}
        onChoose={chooseDimension}
        pull={usePull()}
        entry={useTyping(plan)}
        findings={marks}
        onFinding={showFinding}
        over={(place) => (
          <>
            {plate && <PlateShade place={place} plan={plan} plate={plate} />}
            <RiserBars place={place} shares={mine.riserShares} plan={plan} />
          </>
        )}
      />
    </>
  );
}

/** Shares where the panel has risers that share. */
function sharesOf(shares: readonly number[]): readonly number[] | undefined {
  return shares.length > 0 ? shares : undefined;
}

/** From the sign on the drawing to its words. */
function showFinding(finding: Finding): void {
  goToSection('To look at');
  window.requestAnimationFrame(() => {
    const words = document.getElementById(`finding-${finding.code}`);
    words?.scrollIntoView({ block: 'center' });
    words?.focus({ preventScroll: true });
  });
}

/** Turns the shade of the plan on and off. */
export function ShadeSwitch() {
  const shaded = useBenchView((view) => view.shaded);
  return (
    <Flex position="absolute" zIndex={1} top="0" left="0">
      <Button size="xs" variant="outline" aria-pressed={shaded} onClick={toggleShade}>
        {shaded ? 'As drawn' : 'How warm'}
      </Button>
    </Flex>
  );
}

/** px that the buttons take under a drawing: on a phone they are as tall as a thumb. */
const underButtons = window.matchMedia(phone).matches ? 58 : 40;

const unders = [
  ['section', 'Section'],
  ['side', 'From the side'],
  ['detail', 'Full size'],
  ['bent', 'Bent edge'],
] as const;

/** What stands under the plan: the section, the panel from the side on its stand, or one place of it at full size, or its bent metal. */
export function UnderPlan() {
  const { development } = useBenchPanel().panel.design;
  const wanted = useBenchView((view) => view.under);
  const under = wanted === 'bent' && !development ? 'section' : wanted;
  return (
    <>
      <UnderButtons under={under} bent={development !== undefined} />
      {under === 'section' && <SectionDrawing />}
      {under === 'side' && <SideDrawing />}
      {under === 'detail' && <DetailDrawing />}
      {under === 'bent' && development && <DevelopmentDrawing drawing={development()} />}
    </>
  );
}

const UnderButtons = memo(function UnderButtons({ under, bent }: { under: string; bent: boolean }) {
  return (
    <Flex position="absolute" zIndex={1} bottom="0" left="0" gap="1">
      {unders
        .filter(([view]) => view !== 'bent' || bent)
        .map(([view, words]) => (
          <Button key={view} size="xs" variant="outline" aria-pressed={view === under} onClick={() => showUnder(view)}>
            {words}
          </Button>
        ))}
    </Flex>
  );
});

/** px to a metre on a screen of 96 dots an inch: full size. */
const fullSize = 96 / 0.0254;

/** The place of a panel that must be right, as large as it is, or as large as there is room. */
function DetailDrawing() {
  const habit = useHabit();
  const bench = useBenchPanel();
  const chosen = useBenchView((view) => view.chosen);
  return (
    <DrawingView
      drawing={bench.detail}
      habit={habit}
      chosen={heldOf(bench, chosen)?.id}
      onChoose={chooseDimension}
      pull={usePull()}
      entry={useTyping(bench.detail)}
      most={fullSize}
      margin={{ left: 90, right: 150, top: 18, bottom: underButtons + 8 }}
    />
  );
}

/** Strips of bent metal laid flat. */
function DevelopmentDrawing({ drawing }: { drawing: Drawing }) {
  return (
    <DrawingView drawing={drawing} habit={useHabit()} margin={{ left: 60, right: 110, top: 8, bottom: underButtons }} />
  );
}

/** The panel from the side, at its tilt. */
function SideDrawing() {
  const habit = useHabit();
  const { at, open } = useBenchPanel();
  return (
    <DrawingView
      drawing={sideOf(open, at)}
      habit={habit}
      margin={{ left: 90, right: 110, top: 8, bottom: underButtons }}
    />
  );
}

/** A part of the section, and whether the stack goes into the board. */
function SectionDrawing() {
  const habit = useHabit();
  const bench = useBenchPanel();
  const { panel, section } = bench;
  const chosen = useBenchView((view) => view.chosen);
  const { stack } = panel.design;
  const short = stack ? stackShortfall(stack) : 0;
  const size = (metres: number) => formatLength(metres, habit).text;
  return (
    <>
      <DrawingView
        drawing={section}
        habit={habit}
        chosen={heldOf(bench, chosen)?.id}
        onChoose={chooseDimension}
        pull={usePull()}
        entry={useTyping(section)}
        margin={{
          left: habit === 'metric' ? 48 : 92,
          right: habit === 'metric' ? 124 : 150,
          top: 18,
          bottom: underButtons,
        }}
      />
      {stack && (
        <p
          style={{
            position: 'absolute',
            top: 0,
            right: 0,
            fontSize: 14,
            color: ink(short > 0 ? 'ochreText' : 'soft'),
            fontWeight: short > 0 ? 600 : 400,
          }}
        >
          stack {size(stack.needed)} of {size(stack.available)}:{' '}
          {short > 0 ? `${size(short)} short` : `${size(Math.max(0, stack.available - stack.needed))} to spare`}
        </p>
      )}
    </>
  );
}

/** Dimensions are pulled at their ends as the tape is: one pull is one step of undo. */
function usePull(): Pull {
  const { at } = useBenchPanel();
  const habit = useHabit();
  return useMemo(() => {
    const { beginDrag, endDrag } = useJob.getState();
    return {
      onBegin: ({ id }) => {
        takeDimension(id);
        beginDrag();
      },
      onValue: (dimension, value) => {
        const { edit } = dimension;
        if (edit) setDimension(at, { ...dimension, edit }, value, habit);
      },
      onEnd: endDrag,
    };
  }, [at, habit]);
}

/** Where the chosen dimension is typed, when it stands on this drawing. */
function useTyping(on: Drawing): ReactNode {
  const habit = useHabit();
  const bench = useBenchPanel();
  const { at } = bench;
  const chosen = useBenchView((view) => view.chosen);
  const typing = useBenchView((view) => view.typing);
  const held = heldOf(bench, chosen);
  const edit = held?.edit;
  if (!typing || !held || !edit || !on.dimensions.includes(held)) return undefined;
  return <TypeIn key={held.id} panel={at} dimension={{ ...held, edit }} habit={habit} />;
}

/** Where the sun on the pane goes. */
export function SunPaths() {
  const habit = useHabit();
  const { figures, mine } = useBenchPanel();
  if (!mine.state) return null;
  return (
    <Paths paths={mine.state.paths} sun={formatQuantity('irradiance', figures.conditions.irradiance, habit).text} />
  );
}

/** What cooks in this panel, and in the loop: a frame behind the drawing, which must not wait for it. */
export function PanelServiceMargins() {
  const habit = useHabit();
  const { margins } = useDerived();
  const { at } = useBenchPanel();
  return <ServiceMarginsOf margins={useDeferredValue(margins)} panel={at} habit={habit} />;
}

const ServiceMarginsOf = memo(function ServiceMarginsOf(props: {
  margins: readonly ServiceMargin[];
  panel: number;
  habit: Habit;
}) {
  const { margins, panel, habit } = props;
  return (
    <ServiceMargins margins={margins.filter((one) => one.panel === panel || one.panel === undefined)} habit={habit} />
  );
});
