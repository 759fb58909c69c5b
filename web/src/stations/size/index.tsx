import { Box, Button, Flex, Text } from '@chakra-ui/react';
import { type Dimension, formatLength, formatQuantity, panelMakings, plateAtWork, sayFinding } from '@north-pane/core';
import { lazy, Suspense, useCallback, useState } from 'react';
import { DrawingView } from '../../drawing/DrawingView';
import { Tape } from '../../drawing/Tape';
import { Entry } from '../../parts/Entry';
import { Section } from '../../parts/Section';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';
import { useHeavy } from '../../workers/useHeavy';
import { Cooks } from './Cooks';
import { Curve } from './Curve';
import { Figures } from './Figures';
import { MakeUp } from './MakeUp';
import { Marks } from './Marks';
import { Matters } from './Matters';
import { Paths } from './Paths';
import { PlateLegend, PlateShade } from './PlateShade';
import { RiserBars } from './RiserBars';
import { Still } from './Still';
import { WaterShare } from './WaterShare';

const SpreadDialog = lazy(async () => ({ default: (await import('./SpreadDialog')).SpreadDialog }));

/** The bench: the panel drawn to scale, its dimensions set in place, and what they come to. */
export default function Size() {
  const document = useDocument();
  const habit = useHabit();
  const { open, figures, findings, cooking } = useDerived();
  const { beginDrag, endDrag, change } = useJob();
  const [index, setIndex] = useState(0);
  const [chosen, setChosen] = useState('pitch');
  const [typing, setTyping] = useState(false);
  const [opened, setOpened] = useState<string | undefined>(undefined);
  const [shaded, setShaded] = useState(false);
  const [spreads, setSpreads] = useState(false);
  const toggle = useCallback((label: string) => setOpened((now) => (now === label ? undefined : label)), []);
  const at = Math.min(index, open.panels.length - 1);
  const panel = open.panels[at];
  const mine = figures.perPanel[at];
  const physical = JSON.stringify([document.panels, document.site, document.loop, at, habit]);
  const { value: bench } = useHeavy(`bench ${physical}`, (heavy) => heavy.bench(document, at, habit));
  const take = useCallback((id: string) => {
    setTyping(false);
    setChosen(id);
  }, []);
  const setHeader = useCallback(
    (id: string) => useJob.getState().change(`panels.${at}.${open.panels[at]?.design.water.headers.path}`, id),
    [at, open],
  );
  if (!panel || !mine) return null;

  const { design } = panel;
  const plan = design.drawing('plan');
  const section = design.drawing('section');
  const dimensions = [...plan.dimensions, ...section.dimensions].filter((dimension) => dimension.edit);
  const held = dimensions.find((dimension) => dimension.id === chosen) ?? dimensions[0];
  const edit = held?.edit;
  const choose = (dimension: Dimension) => {
    // The first touch takes the dimension in hand, the second opens it for typing.
    setTyping(dimension.id === chosen);
    setChosen(dimension.id);
  };
  const set = (value: number): string | undefined => {
    if (!held || !edit) return undefined;
    const size = (metres: number) => formatLength(metres, habit).text;
    const name = `${held.label[0]?.toUpperCase()}${held.label.slice(1)}`;
    if (value < edit.low - 1e-9) return `${name} is at least ${size(edit.low)} here: below that ${edit.lowReason}.`;
    if (value > edit.high + 1e-9) return `${name} is at most ${size(edit.high)} here: above that ${edit.highReason}.`;
    const outcome = change(`panels.${at}.${edit.path}`, Math.round((value * edit.scale + edit.offset) * 1e7) / 1e7);
    return outcome.ok ? undefined : outcome.message;
  };
  const marks = findings
    .filter((finding) => finding.path.startsWith(`panels.${at}.`))
    .map((finding) => ({ finding, headline: sayFinding(finding, habit).headline }));
  const makings = opened ? panelMakings(figures, design, at) : undefined;
  const drawn = new Set(dimensions.flatMap((dimension) => (dimension.edit ? [dimension.edit.path] : [])));
  const entry = (place: 'plan' | 'section') =>
    typing && held && (place === 'plan' ? plan : section).dimensions.includes(held) ? (
      <Box bg="card" borderWidth="2px" borderColor="pane" borderRadius="3px" p="3" boxShadow="md">
        <Entry
          label={held.label}
          value={held.value}
          kind="length"
          habit={habit}
          autoFocus
          size="md"
          onValue={set}
          onDone={() => setTyping(false)}
        />
      </Box>
    ) : undefined;
  const { conditions } = figures;
  const plate = shaded
    ? plateAtWork(design.heat, { ...conditions, massFlow: mine.massFlow }, mine.state, mine.riserShares).plate
    : undefined;
  const mineCooking = cooking.filter((one) => one.panel === at || one.panel === undefined);
  const { stack } = design;
  const short = stack.needed - stack.available;

  return (
    <Flex direction="column" h={{ base: 'auto', md: '100%' }}>
      <Flex flex="1" minH="0" direction={{ base: 'column', md: 'row' }}>
        <Flex direction="column" flex="1" minW="0" p={{ base: '2', md: '3' }} gap="1">
          {open.panels.length > 1 && (
            <Flex gap="4" role="tablist">
              {open.panels.map((one, place) => (
                <Box
                  as="button"
                  role="tab"
                  key={one.document.id}
                  aria-selected={place === at}
                  fontWeight={place === at ? 600 : 400}
                  onClick={() => setIndex(place)}
                >
                  {one.document.id}
                </Box>
              ))}
            </Flex>
          )}
          <Box
            flex={{ base: 'none', md: '1 1 0' }}
            h={{ base: '236px', md: 'auto' }}
            minH="0"
            position="relative"
            data-testid="plan"
          >
            <Flex position="absolute" zIndex={1} top="0" left="0" direction="column" align="start" gap="1">
              <Button size="xs" variant="outline" aria-pressed={shaded} onClick={() => setShaded(!shaded)}>
                {shaded ? 'As drawn' : 'How warm'}
              </Button>
              {plate && <PlateLegend plate={plate} habit={habit} />}
            </Flex>
            <DrawingView
              drawing={plan}
              habit={habit}
              chosen={held?.id}
              onChoose={choose}
              entry={entry('plan')}
              findings={marks}
              onFinding={(finding) =>
                globalThis.document.getElementById(`finding-${finding.code}`)?.scrollIntoView({ block: 'center' })
              }
              over={(place) => (
                <>
                  {plate && <PlateShade place={place} plan={plan} plate={plate} />}
                  <RiserBars place={place} shares={mine.riserShares} plan={plan} />
                </>
              )}
            />
          </Box>
          <Paths paths={mine.state.paths} sun={formatQuantity('irradiance', conditions.irradiance, habit).text} />
          <Flex
            h={{ base: 'auto', md: '178px' }}
            direction={{ base: 'column', lg: 'row' }}
            minH="0"
            align="stretch"
            gap="3"
          >
            <Box flex="1" minW="0" minH={{ base: '150px', lg: '0' }} position="relative" data-testid="section">
              <DrawingView
                drawing={section}
                habit={habit}
                chosen={held?.id}
                onChoose={choose}
                entry={entry('section')}
                margin={{ left: 48, right: 124, top: 12, bottom: 24 }}
              />
              <Text
                position="absolute"
                bottom="0"
                right="0"
                fontSize="14px"
                color={short > 0.0005 ? 'ochreText' : 'soft'}
                fontWeight={short > 0.0005 ? 600 : 400}
              >
                stack {formatLength(stack.needed, habit).text}, board {formatLength(stack.available, habit).text}:{' '}
                {short > 0.0005
                  ? `${formatLength(short, habit).text} short`
                  : `${formatLength(-short, habit).text} to spare`}
              </Text>
            </Box>
            <Box w={{ base: '100%', lg: '276px' }} flexShrink={0}>
              <Cooks cooking={mineCooking} habit={habit} />
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
        >
          <Section
            title="What this panel does"
            aside={`${formatQuantity('irradiance', conditions.irradiance, habit).text}, air ${formatQuantity('temperature', conditions.air, habit, 0).text}`}
          >
            <Figures
              panel={mine}
              bands={bench?.bands}
              makings={makings}
              opened={opened}
              habit={habit}
              onOpen={toggle}
            />
          </Section>
          <Section title="To look at" aside={findings.length === 0 ? undefined : String(findings.length)}>
            <Matters findings={findings} habit={habit} />
          </Section>
          <Section title="Made of">
            <MakeUp panel={panel.document} index={at} habit={habit} drawn={drawn} />
          </Section>
          {bench && (
            <>
              <Section title="When nothing flows">
                <Still
                  still={bench.still}
                  open={open}
                  figures={figures}
                  index={at}
                  opened={opened}
                  habit={habit}
                  onOpen={toggle}
                />
              </Section>
              <Section title="How it shares its water">
                <WaterShare water={bench.water} habit={habit} onHeader={setHeader} />
              </Section>
              <Section title="What a mark is worth" aside="to the heat of this panel">
                <Marks marks={bench.marks} gap={bench.gap} habit={habit} onChoose={take} />
              </Section>
              <Section title="Efficiency">
                <Curve curve={bench.curve} efficiency={mine.efficiency} habit={habit} />
              </Section>
            </>
          )}
          <Section title="How sure">
            <Text fontSize="14px" mb="2">
              Bond, pane, paint, insulation, wind and sun are only known within limits. The bands come of that.
            </Text>
            <Button size="xs" variant="outline" onClick={() => setSpreads(true)}>
              Show and set the limits
            </Button>
          </Section>
        </Box>
      </Flex>
      {spreads && (
        <Suspense fallback={null}>
          <SpreadDialog open={open} index={at} habit={habit} onClose={() => setSpreads(false)} />
        </Suspense>
      )}
      {held && edit && (
        <Box position={{ base: 'sticky', md: 'static' }} bottom="0" zIndex={3}>
          <Tape
            label={held.label}
            value={held.value}
            habit={habit}
            low={edit.low}
            high={edit.high}
            lowReason={edit.lowReason}
            highReason={edit.highReason}
            note={`${mine.riserShares.length} risers, ${formatQuantity('area', mine.absorberArea, habit).text} of plate`}
            onBegin={beginDrag}
            onValue={set}
            onEnd={endDrag}
            onType={() => setTyping(true)}
          />
        </Box>
      )}
    </Flex>
  );
}
