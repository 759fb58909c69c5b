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
import { memo } from 'react';
import { Link } from 'react-router';
import { SlateButton } from '../parts/SlateButton';
import { type Derived, useDerived } from '../state/derived';
import { useHabit } from '../state/habit';
import { useDocument, useJob } from '../state/job';
import { revisionWords, useKeepRevision, useKeptRevision } from '../state/kept';
import { useShopPlan } from '../state/proofs';
import { ink } from '../theme/ink';
import { LightSwitch } from './LightSwitch';
import { UnitFlip } from './UnitFlip';

interface Cell {
  label: string;
  value: string;
  /** Change since the kept revision, when it can be seen at the digits shown. */
  change?: { text: string | undefined; good?: boolean };
  warn?: boolean;
}

/** In the place of a figure that cannot be worked out; the reason stands under To look at. */
const none = 'none';

function cells(
  { figures, findings }: Derived,
  kept: Derived | undefined,
  habit: Habit,
  { currency, spent }: { currency: string; spent: number },
): Cell[] {
  const flow = formatQuantity(
    'flow',
    volumeFlow(figures.massFlow, figures.conditions.inlet, figures.conditions.fluid),
    habit,
  ).text;
  const clashes = findings.filter((one) => one.severity === 'clash' || one.severity === 'stop').length;
  const cautions = findings.filter((one) => one.severity === 'caution').length;
  const moved = (of: (figures: Figures) => number | undefined): number => {
    const [now, then] = [of(figures), kept ? of(kept.figures) : undefined];
    return now === undefined || then === undefined ? 0 : now - then;
  };
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
      value: figures.gain === undefined ? none : formatQuantity('temperatureDifference', figures.gain, habit).text,
      warn: figures.gain === undefined,
      change: { text: formatChange('temperatureDifference', gain, habit), good: gain > 0 },
    },
    {
      label: 'dry in sun',
      value:
        figures.stagnationTemperature === undefined
          ? none
          : formatQuantity('temperature', figures.stagnationTemperature, habit, 0).text,
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
      value: figures.cost === undefined ? none : formatMoney(spent, currency, 0),
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
  const { plan } = useShopPlan();
  const kept = useKeptRevision();
  const habit = useHabit();
  const saving = useJob((state) => state.saving);
  const saved = { saved: 'saved', waiting: 'saving', saving: 'saving', failed: 'not saved' }[saving];
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
      contain="layout paint style"
    >
      <Plate name={document.name} words={`${revisionWords(kept)}, ${saved}`} />
      {cells(derived, kept?.derived, habit, { currency: document.currency, spent: plan.cost }).map((cell) => (
        <SlateCell
          key={cell.label.replace(/ .*/, '')}
          label={cell.label}
          value={cell.value}
          warn={cell.warn}
          moved={cell.change?.text}
          good={cell.change?.good}
        />
      ))}
      <Tools own={document.units} />
    </Flex>
  );
}

const Plate = memo(function Plate({ name, words }: { name: string; words: string }) {
  return (
    <Box px="4" py="2.5" minW={{ base: '160px', md: '216px' }} flexShrink={0}>
      <Link to="/" aria-label={`${name}: back to the shelf`} style={{ display: 'block' }}>
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
          {name}
        </Text>
      </Link>
      <Text fontSize="13px" color="chalkSoft" whiteSpace="nowrap" aria-live="polite">
        {words}
      </Text>
    </Box>
  );
});

interface SlateCellProps {
  label: string;
  value: string;
  warn: boolean | undefined;
  moved: string | undefined;
  good: boolean | undefined;
}

/** One figure of the slate, drawn again only when it changes; plain elements, as the readouts of the bench. */
const SlateCell = memo(function SlateCell({ label, value, warn, moved, good }: SlateCellProps) {
  return (
    <div
      style={{ padding: '8px 16px', borderLeft: `1px solid ${ink('slateLine')}`, flexShrink: 0, whiteSpace: 'nowrap' }}
    >
      <p style={{ fontSize: 13, color: ink('chalkSoft') }}>{label}</p>
      <p style={{ ...vital, color: warn ? '#E5B94E' : ink('chalk') }}>
        {value}{' '}
        {moved && (
          <span
            style={{
              fontSize: 13,
              fontWeight: 500,
              color: moves[good === undefined ? 'plain' : good ? 'good' : 'bad'],
            }}
          >
            {moved}
          </span>
        )}
      </p>
    </div>
  );
});

const vital = { fontFamily: 'var(--np-fonts-heading)', fontWeight: 600, fontSize: 20, lineHeight: 1.2 } as const;

/** Colours on slate of a change for the better, for the worse, and of one that is neither. */
const moves = { good: '#8FC4BD', bad: '#E3A27C', plain: '#A9B5B8' } as const;

/** Undo, redo, keep, units and light. */
const Tools = memo(function Tools({ own }: { own: Habit }) {
  const keep = useKeepRevision();
  const undo = useJob((state) => state.undo);
  const redo = useJob((state) => state.redo);
  const canUndo = useJob((state) => state.past.length > 0);
  const canRedo = useJob((state) => state.future.length > 0);
  return (
    <Flex ml="auto" px="4" gap="2" align="center" borderLeftWidth="1px" borderColor="slateLine" flexShrink={0}>
      <SlateButton type="button" aria-label="Undo" title="Undo" disabled={!canUndo} onClick={undo}>
        <Undo2 size={16} aria-hidden />
      </SlateButton>
      <SlateButton type="button" aria-label="Redo" title="Redo" disabled={!canRedo} onClick={redo}>
        <Redo2 size={16} aria-hidden />
      </SlateButton>
      <SlateButton type="button" title="Keep a revision (k)" disabled={keep.isPending} onClick={() => keep.mutate()}>
        Keep
      </SlateButton>
      <UnitFlip own={own} />
      <LightSwitch />
    </Flex>
  );
});
