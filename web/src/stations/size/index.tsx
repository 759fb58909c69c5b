import { Box, Flex } from '@chakra-ui/react';
import { sayPoint } from '@north-pane/core/cutting';
import { formatQuantity } from '@north-pane/core/quantity';
import { type ReactNode, useEffect, useLayoutEffect } from 'react';
import { Tape } from '../../drawing/Tape';
import { Later } from '../../parts/Later';
import { usePhone } from '../../parts/usePhone';
import { useSize } from '../../parts/useSize';
import { useHabit } from '../../state/habit';
import { jobActions, useDocument, useJob } from '../../state/job';
import { useSweep, useWasteFree } from '../../state/wasteFree';
import { Column } from './Column';
import { PanelServiceMargins, Plan, ShadeSwitch, SunPaths, UnderPlan } from './Drawings';
import { TypeIn } from './TypeIn';
import { benchFor, heldOf, isShown, setDimension, setTyping, showPanel, useBenchPanel, useBenchView } from './view';

/**
 * The bench: the panel drawn to scale, its dimensions set in place, and what they come to. The frame is drawn once; each
 * part follows the job by itself, so that a step of the tape draws no more than what it moves.
 */
export default function Size() {
  const id = useJob((state) => state.id);
  useLayoutEffect(() => benchFor(id), [id]);
  return (
    <Flex direction="column" h={{ base: 'auto', md: '100%' }} css={{ [low]: { height: 'auto' } }}>
      <Flex flex="1" minH="0" direction={{ base: 'column', md: 'row' }}>
        <Flex direction="column" flex="1" minW="0" p={{ base: '2', md: '3' }} gap="1">
          <PanelTabs />
          <Box
            flex={{ base: 'none', md: '1 1 0' }}
            h={{ base: '290px', md: 'auto' }}
            pt={{ base: '48px', md: '0' }}
            minH={{ base: '0', md: '200px' }}
            position="relative"
            data-testid="plan"
          >
            <ShadeSwitch />
            <Plan />
          </Box>
          <Later>
            <SunPaths />
          </Later>
          <Flex
            h={{ base: 'auto', lg: '178px' }}
            direction={{ base: 'column', lg: 'row' }}
            minH="0"
            align="stretch"
            gap="3"
          >
            <Box
              flex={{ base: 'none', lg: '1' }}
              h={{ base: '200px', lg: 'auto' }}
              minW="0"
              position="relative"
              data-testid="section"
            >
              <Later>
                <UnderPlan />
              </Later>
            </Box>
            <Box w={{ base: '100%', lg: '276px' }} flexShrink={0} contain="layout style">
              <PanelServiceMargins />
            </Box>
          </Flex>
        </Flex>
        <Box
          w={{ base: '100%', md: '300px', xl: '340px' }}
          flexShrink={0}
          borderLeftWidth={{ base: '0', md: '1px' }}
          borderColor="line"
          p="4"
          overflowY="auto"
          contain="layout paint style"
          tabIndex={0}
          role="region"
          aria-label="Readouts"
          data-scrolls="column"
        >
          <Later>
            <Column />
          </Later>
        </Box>
      </Flex>
      <Foot>
        <HeldTape />
      </Foot>
    </Flex>
  );
}

/** A window so low that a tape at its foot would leave nothing of the rest. */
const low = '@media (max-height: 560px)';

/** What has the focus stays clear of the foot also when what stands above it grows: bands, points and findings come a moment later. */
function keepFocusClear(): () => void {
  const main = document.querySelector('main');
  const foot = main?.querySelector('[data-foot]');
  if (!main || !foot) return () => {};
  const watch = new ResizeObserver(() => {
    // The foot may have grown in this very frame.
    document.documentElement.style.setProperty('--np-over-foot', `${foot.clientHeight}px`);
    const at = document.activeElement;
    if (!at || !main.contains(at) || foot.contains(at)) return;
    const [own, covers] = [at.getBoundingClientRect(), foot.getBoundingClientRect()];
    if (own.bottom > covers.top && own.top < covers.bottom) at.scrollIntoView({ block: 'nearest' });
  });
  for (const one of [foot, ...main.querySelectorAll('section, [data-testid="plan"]'), ...main.children])
    watch.observe(one);
  return () => watch.disconnect();
}

/**
 * The tape stays at the foot of a phone while the rest scrolls under it. What gets the focus by key is scrolled clear of it: the station is
 * told how high it is.
 */
function Foot({ children }: { children: ReactNode }) {
  const [ref, { height }] = useSize<HTMLDivElement>();
  const lies = usePhone() && !window.matchMedia('(max-height: 560px)').matches;
  useEffect(() => {
    const { style } = document.documentElement;
    style.setProperty('--np-over-foot', lies ? `${height}px` : '0px');
    return () => {
      style.removeProperty('--np-over-foot');
    };
  }, [height, lies]);
  useEffect(() => (lies ? keepFocusClear() : undefined), [lies]);
  return (
    <Box
      ref={ref}
      data-foot
      position={{ base: 'sticky', md: 'static' }}
      css={{ [low]: { position: 'static' } }}
      bottom="0"
      zIndex={3}
    >
      {children}
    </Box>
  );
}

/** Which panel is on the bench, when there are several kinds. */
function PanelTabs() {
  const { at, open } = useBenchPanel();
  if (open.panels.length < 2) return null;
  return (
    <Flex gap="4" role="tablist">
      {open.panels.map(({ document }, place) => (
        <Box
          as="button"
          role="tab"
          key={document.id}
          aria-selected={place === at}
          fontWeight={place === at ? 600 : 400}
          onClick={() => showPanel(place)}
        >
          {document.id}
        </Box>
      ))}
    </Flex>
  );
}

/** The dimension in hand as a tape. */
function HeldTape() {
  const habit = useHabit();
  const bench = useBenchPanel();
  const { at, panel, mine } = bench;
  const chosen = useBenchView((view) => view.chosen);
  const { beginDrag, endDrag } = jobActions();
  const held = heldOf(panel.design, chosen);
  const edit = held?.edit;
  const job = useDocument();
  useSweep(job, at, held?.id, habit);
  const points = useWasteFree((found) => found.points);
  const marks = points.map((point) => ({ value: point.value, words: sayPoint(point, job.currency) }));
  const typing = useBenchView((view) => view.typing);
  const under = useBenchView((view) => view.under);
  if (!held || !edit) return null;
  const dimension = { ...held, edit };
  const tape = (
    <Tape
      marks={marks}
      label={held.label}
      value={held.value}
      habit={habit}
      low={edit.low}
      high={edit.high}
      lowReason={edit.lowReason}
      highReason={edit.highReason}
      note={`${panel.design.runs.count} ${panel.design.runs.words}, ${formatQuantity('area', mine.absorberArea, habit).text} of absorber`}
      onBegin={beginDrag}
      onValue={(value) => setDimension(at, dimension, value, habit)}
      onEnd={endDrag}
      onType={() => setTyping(true)}
    />
  );
  // One that stands on no drawing that is shown is typed over the tape.
  if (!typing || isShown(panel.design, held, under)) return tape;
  return (
    <Box position="relative">
      <Box position="absolute" bottom="100%" left="3" zIndex={4} w="280px" mb="1">
        <TypeIn key={held.id} panel={at} dimension={dimension} habit={habit} />
      </Box>
      {tape}
    </Box>
  );
}
