import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Dimension,
  formatIn,
  formatLength,
  formatNumber,
  formatQuantity,
  type Habit,
  panelMakings,
  sayFinding,
} from '@north-pane/core';
import { useCallback, useState } from 'react';
import { DrawingView } from '../../drawing/DrawingView';
import { Tape } from '../../drawing/Tape';
import { Entry } from '../../parts/Entry';
import { Readout } from '../../parts/Readout';
import { Section } from '../../parts/Section';
import { useDerived } from '../../state/derived';
import { useHabit } from '../../state/habit';
import { useDocument, useJob } from '../../state/job';
import { useHeavy } from '../../workers/useHeavy';
import { MakeUp } from './MakeUp';
import { Matters } from './Matters';
import { Paths } from './Paths';
import { RiserBars } from './RiserBars';

/** The bench: the panel drawn to scale, its dimensions set in place, and what they come to. */
export default function Size() {
  const document = useDocument();
  const habit = useHabit();
  const { open, figures, findings } = useDerived();
  const { beginDrag, endDrag, change } = useJob();
  const [index, setIndex] = useState(0);
  const [chosen, setChosen] = useState('pitch');
  const [typing, setTyping] = useState(false);
  const [opened, setOpened] = useState<string | undefined>(undefined);
  const toggle = useCallback((label: string) => setOpened((now) => (now === label ? undefined : label)), []);
  const at = Math.min(index, open.panels.length - 1);
  const panel = open.panels[at];
  const mine = figures.perPanel[at];
  const { value: bands } = useHeavy(JSON.stringify([document.panels, document.site, document.loop]), (heavy) =>
    heavy.bands(document, {}, 120),
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
          <Box flex={{ base: 'none', md: '1 1 0' }} h={{ base: '236px', md: 'auto' }} minH="0" data-testid="plan">
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
              over={(place) => <RiserBars place={place} shares={mine.riserShares} plan={plan} />}
            />
          </Box>
          <Flex h={{ base: '150px', md: '178px' }} minH="0" align="stretch">
            <Box flex="1" minW="0" data-testid="section">
              <DrawingView
                drawing={section}
                habit={habit}
                chosen={held?.id}
                onChoose={choose}
                entry={entry('section')}
                margin={{ left: 66, right: 130, top: 14, bottom: 22 }}
              />
            </Box>
            <Box w="170px" pt="4" flexShrink={0} display={{ base: 'none', lg: 'block' }} fontSize="14px">
              <Text color="soft">Section, a part of it</Text>
              <Text mt="2">
                The stack needs {formatLength(stack.needed, habit).text}, the board has{' '}
                {formatLength(stack.available, habit).text}.
              </Text>
              <Text fontWeight="600" color={short > 0.0005 ? 'ochreText' : 'paneText'}>
                {short > 0.0005
                  ? `${formatLength(short, habit).text} short`
                  : `${formatLength(-short, habit).text} to spare`}
              </Text>
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
            <Paths paths={mine.state.paths} />
            <Readout
              label="Gain at design flow"
              value={formatQuantity('temperatureDifference', mine.gain, habit).text}
              band={bands && range(bands.gain, (value) => formatQuantity('temperatureDifference', value, habit).number)}
              making={opened === 'Gain at design flow' ? makings?.gain : undefined}
              habit={habit}
              onOpen={toggle}
            />
            <Readout
              label="Efficiency"
              value={formatNumber(mine.efficiency, 2)}
              band={bands && range(bands.efficiency, (value) => formatNumber(value, 2))}
              making={opened === 'Efficiency' ? makings?.efficiency : undefined}
              habit={habit}
              onOpen={toggle}
            />
            <Readout
              label="Dry in sun"
              value={formatQuantity('temperature', mine.stagnationTemperature, habit, 0).text}
              band={
                bands &&
                range(bands.stagnationTemperature, (value) => formatQuantity('temperature', value, habit, 0).number)
              }
              making={opened === 'Dry in sun' ? makings?.dry : undefined}
              habit={habit}
              onOpen={toggle}
            />
            <Readout
              label="Fin between risers"
              value={formatNumber(mine.state.finEfficiency, 2)}
              making={opened === 'Fin between risers' ? makings?.fin : undefined}
              habit={habit}
              onOpen={toggle}
            />
            <Readout
              label="Tube to plate"
              value={formatNumber(mine.state.efficiencyFactor, 2)}
              making={opened === 'Tube to plate' ? makings?.factor : undefined}
              habit={habit}
              onOpen={toggle}
            />
            <Readout
              label="Riser flow, least to most"
              value={`1 : ${formatNumber(Math.max(...mine.riserShares) / Math.min(...mine.riserShares), 2)}`}
              making={opened === 'Riser flow, least to most' ? makings?.riserFlow : undefined}
              habit={habit}
              onOpen={toggle}
            />
            <Readout
              label="Pressure drop"
              value={pressure(mine.pressureDrop, habit)}
              making={opened === 'Pressure drop' ? makings?.pressureDrop : undefined}
              habit={habit}
              onOpen={toggle}
            />
            <Readout
              label="Weight, dry and wet"
              value={`${formatQuantity('mass', mine.dryMass, habit, 0).number}, ${formatQuantity('mass', mine.wetMass, habit, 0).text}`}
              making={opened === 'Weight, dry and wet' ? makings?.weight : undefined}
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
        </Box>
      </Flex>
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

function range(band: { low: number; high: number }, write: (value: number) => string): string {
  return `${write(band.low)} to ${write(band.high)}`;
}

/** Panels drop a few pascals: too little for kPa or psi to show. */
function pressure(value: number, habit: Habit): string {
  if (Math.abs(value) >= 1000) return formatQuantity('pressure', value, habit).text;
  return habit === 'metric' ? formatIn('pressure', value, 'Pa').text : formatIn('pressure', value, 'inH₂O', 3).text;
}
