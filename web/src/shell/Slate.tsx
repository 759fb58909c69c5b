import { Box, Flex, Text } from '@chakra-ui/react';
import {
  type Figures,
  formatChange,
  formatMoney,
  formatQuantity,
  type Habit,
  signed,
  volumeFlow,
} from '@north-pane/core';
import { Redo2, Undo2 } from 'lucide-react';
import { Link } from 'react-router';
import { SlateButton } from '../parts/SlateButton';
import { type Derived, useDerived } from '../state/derived';
import { useHabit } from '../state/habit';
import { useDocument, useJob } from '../state/job';
import { useKeepRevision, useKeptRevision } from '../state/kept';
import { LightSwitch } from './LightSwitch';
import { UnitFlip } from './UnitFlip';

interface Cell {
  label: string;
  value: string;
  /** Change since the kept revision, when it can be seen at the digits shown. */
  change?: { text: string | undefined; good?: boolean };
  warn?: boolean;
}

function cells({ figures, findings }: Derived, kept: Derived | undefined, habit: Habit, currency: string): Cell[] {
  const flow = formatQuantity('flow', volumeFlow(figures.massFlow, figures.conditions.inlet), habit).text;
  const clashes = findings.filter((one) => one.severity === 'clash' || one.severity === 'stop').length;
  const cautions = findings.length - clashes;
  const moved = (of: (figures: Figures) => number): number => (kept ? of(figures) - of(kept.figures) : 0);
  const area = moved((one) => one.apertureArea);
  const gain = moved((one) => one.gain);
  const cost = moved((one) => one.cost);
  return [
    {
      label: 'pane area',
      value: formatQuantity('area', figures.apertureArea, habit).text,
      change: { text: formatChange('area', area, habit), good: area > 0 },
    },
    {
      label: `gain at ${flow}`,
      value: formatQuantity('temperatureDifference', figures.gain, habit).text,
      change: { text: formatChange('temperatureDifference', gain, habit), good: gain > 0 },
    },
    {
      label: 'dry in sun',
      value: formatQuantity('temperature', figures.stagnationTemperature, habit, 0).text,
      change: {
        text: formatChange(
          'temperature',
          moved((one) => one.stagnationTemperature),
          habit,
          0,
        ),
      },
    },
    {
      label: 'holds',
      value: formatQuantity('volume', figures.waterVolume, habit).text,
      change: {
        text: formatChange(
          'volume',
          moved((one) => one.waterVolume),
          habit,
        ),
      },
    },
    {
      label: figures.unpriced.length > 0 ? `so far, ${figures.unpriced.length} unpriced` : 'so far',
      value: formatMoney(figures.cost, currency, 0),
      change: { text: signed(cost, 0), good: cost < 0 },
    },
    cautions > 0
      ? { label: 'clashes, cautions', value: `${clashes}, ${cautions}`, warn: true }
      : { label: 'clashes', value: String(clashes), warn: clashes > 0 },
  ];
}

/** The strip across the top: what the job comes to, moving as anything moves. */
export function Slate() {
  const document = useDocument();
  const derived = useDerived();
  const kept = useKeptRevision();
  const keep = useKeepRevision();
  const habit = useHabit();
  const { undo, redo, past, future, saving } = useJob();
  const saved = { saved: 'saved', waiting: 'saving', saving: 'saving', failed: 'not saved' }[saving];
  const revision = !kept
    ? 'no revision kept'
    : kept.changes === 0
      ? `revision ${kept.number}`
      : `revision ${kept.number} and ${kept.changes === 1 ? '1 change' : `${kept.changes} changes`}`;
  return (
    <Flex
      as="header"
      bg="slate"
      color="chalk"
      h="64px"
      flexShrink={0}
      align="stretch"
      overflowX="auto"
      overflowY="hidden"
    >
      <Box px="4" py="2.5" minW={{ base: '160px', md: '216px' }} flexShrink={0}>
        <Link to="/" aria-label={`${document.name}: back to the shelf`} style={{ display: 'block' }}>
          <Text
            as="h1"
            fontFamily="heading"
            fontWeight="600"
            fontSize="17px"
            lineHeight="1.2"
            whiteSpace="nowrap"
            overflow="hidden"
            textOverflow="ellipsis"
            maxW="220px"
          >
            {document.name}
          </Text>
        </Link>
        <Text fontSize="13px" color="chalkSoft" whiteSpace="nowrap" aria-live="polite">
          {revision}, {saved}
        </Text>
      </Box>
      {cells(derived, kept?.derived, habit, document.currency).map((cell) => (
        <Box
          key={cell.label.replace(/ .*/, '')}
          px="4"
          py="2"
          borderLeftWidth="1px"
          borderColor="slateLine"
          flexShrink={0}
        >
          <Text fontSize="13px" color="chalkSoft" whiteSpace="nowrap">
            {cell.label}
          </Text>
          <Text
            as="p"
            fontFamily="heading"
            fontWeight="600"
            fontSize="20px"
            lineHeight="1.2"
            whiteSpace="nowrap"
            color={cell.warn ? '#E5B94E' : 'chalk'}
          >
            {cell.value}{' '}
            {cell.change?.text && (
              <Text
                as="span"
                fontSize="13px"
                fontWeight="500"
                color={cell.change.good === undefined ? 'chalkSoft' : cell.change.good ? '#8FC4BD' : '#E3A27C'}
              >
                {cell.change.text}
              </Text>
            )}
          </Text>
        </Box>
      ))}
      <Flex ml="auto" px="4" gap="2" align="center" borderLeftWidth="1px" borderColor="slateLine" flexShrink={0}>
        <SlateButton type="button" aria-label="Undo" title="Undo" disabled={past.length === 0} onClick={undo}>
          <Undo2 size={16} aria-hidden />
        </SlateButton>
        <SlateButton type="button" aria-label="Redo" title="Redo" disabled={future.length === 0} onClick={redo}>
          <Redo2 size={16} aria-hidden />
        </SlateButton>
        <SlateButton type="button" title="Keep a revision (k)" disabled={keep.isPending} onClick={() => keep.mutate()}>
          Keep
        </SlateButton>
        <UnitFlip own={document.units} />
        <LightSwitch />
      </Flex>
    </Flex>
  );
}
