import { Button, Flex } from '@chakra-ui/react';
import type { Finding } from '@north-pane/core/care';
import { type ServiceMargin, sayFinding } from '@north-pane/core/cautions';
import type { Drawing } from '@north-pane/core/draw';
import { stackShortfall } from '@north-pane/core/families';
import { heaterSections, sectionOf } from '@north-pane/core/figures';
import { sideOf } from '@north-pane/core/job';
import { formatLength, formatQuantity, type Habit } from '@north-pane/core/quantity';
import { type ReactNode, useDeferredValue } from 'react';
import { DrawingView } from '../../drawing/DrawingView';
import type { Pull } from '../../drawing/Grip';
import { goToSection } from '../../parts/Section';
import { phone } from '../../parts/usePhone';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { jobActions } from '../../state/job';
import { ink } from '../../theme/ink';
import { FieldLegend, FieldShade } from './FieldShade';
import { Paths } from './Paths';
import { ServiceMargins } from './ServiceMargins';
import { ShareBars } from './ShareBars';
import { TypeIn } from './TypeIn';
import {
  chooseDimension,
  heldOf,
  leadDrawing,
  leadOf,
  setDimension,
  showUnder,
  takeDimension,
  toggleShade,
  useBenchPanel,
  useBenchView,
  viewOf,
  viewsUnder,
} from './view';

/** The view that is worked on; where that is the plan, with what is shared on it and, when wanted, how warm it is. */
export function Plan() {
  const habit = useHabit();
  const { findings } = useDerived();
  const bench = useBenchPanel();
  const { at, open, figures, panel } = bench;
  const chosen = useBenchView((view) => view.chosen);
  const shaded = useBenchView((view) => view.shaded);
  const plan = leadDrawing(panel.design);
  const sections = leadOf(panel.design) === 'plan' ? heaterSections(open, figures, at) : [];
  const shares = sectionOf(sections, 'shares');
  const field = shaded ? sectionOf(sections, 'field') : undefined;
  const marks = findings
    .filter((finding) => finding.path.startsWith(`${panel.path}.`))
    .map((finding) => ({ finding, headline: sayFinding(finding, habit).headline }));
  return (
    <>
      {field?.kind === 'field' && <FieldLegend field={field} habit={habit} />}
      <DrawingView
        drawing={plan}
        habit={habit}
        chosen={heldOf(panel.design, chosen)?.id}
        onChoose={chooseDimension}
        pull={usePull()}
        entry={useTyping(plan)}
        findings={marks}
        onFinding={showFinding}
        over={(place) => (
          <>
            {field?.kind === 'field' && <FieldShade place={place} plan={plan} field={field} />}
            {shares?.kind === 'shares' && <ShareBars place={place} section={shares} plan={plan} />}
          </>
        )}
      />
    </>
  );
}

/** From the sign on the drawing to its words. */
function showFinding(finding: Finding): void {
  goToSection('Problems and warnings');
  window.requestAnimationFrame(() => {
    const words = document.getElementById(`finding-${finding.code}`);
    words?.scrollIntoView({ block: 'center' });
    words?.focus({ preventScroll: true });
  });
}

/** Turns the shade of the plan on and off; only for a heater that has one. */
export function ShadeSwitch() {
  const shaded = useBenchView((view) => view.shaded);
  const { at, open, figures, panel } = useBenchPanel();
  if (leadOf(panel.design) !== 'plan' || !heaterSections(open, figures, at).some(({ id }) => id === 'field'))
    return null;
  return <ShadeButton shaded={shaded} />;
}

function ShadeButton({ shaded }: { shaded: boolean }) {
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

/** What stands under the plan: the heater's other views, and how it looks from the side on its stand. */
export function UnderPlan() {
  const { design } = useBenchPanel().panel;
  const wanted = useBenchView((view) => view.under);
  const { views, under } = viewsUnder(design, wanted);
  const drawing = under === 'side' ? undefined : viewOf(design, under);
  return (
    <>
      <UnderButtons under={under} views={views} />
      {under === 'side' && <SideDrawing />}
      {under === 'section' && drawing && <SectionDrawing drawing={drawing} />}
      {under !== 'section' && drawing && <OtherDrawing drawing={drawing} flat={design.drawings[under]?.flat} />}
    </>
  );
}

function UnderButtons({ under, views }: { under: string; views: readonly { id: string; name: string }[] }) {
  return (
    <Flex position="absolute" zIndex={1} bottom="0" left="0" gap="1">
      {views.map(({ id, name }) => (
        <Button key={id} size="xs" variant="outline" aria-pressed={id === under} onClick={() => showUnder(id)}>
          {name}
        </Button>
      ))}
    </Flex>
  );
}

/** px to a metre on a screen of 96 dots an inch: full size. */
const fullSize = 96 / 0.0254;

/** Any other view, as large as it is, or as large as there is room; metal laid flat as large as there is room. */
function OtherDrawing({ drawing, flat }: { drawing: Drawing; flat: true | undefined }) {
  const habit = useHabit();
  const { design } = useBenchPanel().panel;
  const chosen = useBenchView((view) => view.chosen);
  const pull = usePull();
  const entry = useTyping(drawing);
  if (flat)
    return (
      <DrawingView drawing={drawing} habit={habit} margin={{ left: 60, right: 110, top: 8, bottom: underButtons }} />
    );
  return (
    <DrawingView
      drawing={drawing}
      habit={habit}
      chosen={heldOf(design, chosen)?.id}
      onChoose={chooseDimension}
      pull={pull}
      entry={entry}
      most={fullSize}
      margin={{ left: 90, right: 150, top: 18, bottom: underButtons + 8 }}
    />
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
function SectionDrawing({ drawing: section }: { drawing: Drawing }) {
  const habit = useHabit();
  const { panel } = useBenchPanel();
  const chosen = useBenchView((view) => view.chosen);
  const { stack } = panel.design;
  const short = stack ? stackShortfall(stack) : 0;
  const size = (metres: number) => formatLength(metres, habit).text;
  return (
    <>
      <DrawingView
        drawing={section}
        habit={habit}
        chosen={heldOf(panel.design, chosen)?.id}
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
  return {
    onBegin: ({ id }) => {
      takeDimension(id);
      jobActions().beginDrag();
    },
    onValue: (dimension, value) => {
      const { edit } = dimension;
      if (edit) setDimension(at, { ...dimension, edit }, value, habit);
    },
    onEnd: () => jobActions().endDrag(),
  };
}

/** Where the chosen dimension is typed, when it stands on this drawing. */
function useTyping(on: Drawing): ReactNode {
  const habit = useHabit();
  const { at, panel } = useBenchPanel();
  const chosen = useBenchView((view) => view.chosen);
  const typing = useBenchView((view) => view.typing);
  const held = heldOf(panel.design, chosen);
  const edit = held?.edit;
  if (!typing || !held || !edit || !on.dimensions.includes(held)) return undefined;
  return <TypeIn key={held.id} panel={at} dimension={{ ...held, edit }} habit={habit} />;
}

/** Where the sun on the pane goes. */
export function SunPaths() {
  const habit = useHabit();
  const { at, open, figures } = useBenchPanel();
  const balance = sectionOf(heaterSections(open, figures, at), 'paths');
  if (balance?.kind !== 'balance') return null;
  return <Paths paths={balance.paths} sun={formatQuantity('irradiance', balance.irradiance, habit).text} />;
}

/** What overheats in this panel, and in the loop: a frame behind the drawing, which must not wait for it. */
export function PanelServiceMargins() {
  const habit = useHabit();
  const { margins } = useDerived();
  const { at } = useBenchPanel();
  return <ServiceMarginsOf margins={useDeferredValue(margins)} panel={at} habit={habit} />;
}

function ServiceMarginsOf(props: { margins: readonly ServiceMargin[]; panel: number; habit: Habit }) {
  const { margins, panel, habit } = props;
  return (
    <ServiceMargins margins={margins.filter((one) => one.panel === panel || one.panel === undefined)} habit={habit} />
  );
}
