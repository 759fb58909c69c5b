import { Box, Flex, Text } from '@chakra-ui/react';
import { formatLength, type Habit, nudgeLength, tapeMark, toTapeMark } from '@north-pane/core/quantity';
import { type KeyboardEvent, useId, useRef } from 'react';
import { useSingleKeys } from '../parts/keys';
import { LengthText } from '../parts/LengthText';
import { useLatest } from '../parts/useLatest';
import { useSize } from '../parts/useSize';
import { ink } from '../theme/ink';
import { SvgText } from './SvgText';
import { useDrag } from './useDrag';

export interface TapeMark {
  /** m. */
  value: number;
  words: string;
}

export interface TapeProps {
  label: string;
  /** m. */
  value: number;
  habit: Habit;
  /** m. Outside these the size cannot be; the tape is hatched there and goes no further. */
  low: number;
  high: number;
  lowReason: string;
  highReason: string;
  /** Sizes worth stopping at, drawn as copper points. */
  marks?: readonly TapeMark[];
  /** What the size comes to, in a few words. */
  note?: string;
  onBegin(): void;
  onValue(value: number): void;
  onEnd(): void;
  /** Opens typing. */
  onType(): void;
}

/** Marks of the tape by the key that was pressed; up is more, as the figure goes. */
const tapeSteps: Record<string, number> = {
  ArrowRight: 1,
  ArrowUp: 1,
  ArrowLeft: -1,
  ArrowDown: -1,
  PageUp: 10,
  PageDown: -10,
};
const takes =
  'arrows: one mark of the tape | Shift with arrows, page up and down: ten marks | Home, End: as small and as large as it can be | Enter: type a size';

/**
 * Marks to go by comma and full stop: with Shift they write something else on each layout. A key that writes `;` or `:` counts only
 * where the comma or full stop lies on it.
 */
function marksOf({ key, code }: globalThis.KeyboardEvent): number {
  const by: Record<string, number> = { ',': -1, '.': 1, '<': -10, '>': 10 };
  if (key === ';') return code === 'Comma' ? -10 : 0;
  if (key === ':') return code === 'Period' ? 10 : 0;
  return by[key] ?? 0;
}

/** px per metre of tape: a millimetre is 9 px, a sixteenth 14. */
const scale = 9000;
const height = 58;

/**
 * The chosen dimension as a tape measure under a fixed pointer: dragged, nudged by the comma and full stop keys (with
 * Shift by ten), or typed. Limits are hatched, copper points mark sizes worth stopping at.
 */
export function Tape(props: TapeProps) {
  const {
    label,
    value,
    habit,
    low,
    high,
    lowReason,
    highReason,
    marks = [],
    note,
    onBegin,
    onValue,
    onEnd,
    onType,
  } = props;
  const [ref, { width }] = useSize<HTMLDivElement>();
  const hatch = useId();

  const within = (wanted: number) => Math.min(Math.max(wanted, low), high);
  const setTo = (wanted: number) => {
    if (wanted === value) return;
    onBegin();
    onValue(wanted);
    onEnd();
  };
  const nudge = (count: number) => count !== 0 && setTo(within(nudgeLength(value, habit, count)));
  const nudgeBy = useLatest(nudge);
  useSingleKeys(', . < > ; :', (event) => nudgeBy.current(marksOf(event)));

  const begun = useRef(value);
  const svg = useDrag<SVGSVGElement>({
    onBegin: () => {
      begun.current = value;
      onBegin();
    },
    onMove: (at, from) => onValue(within(toTapeMark(begun.current - (at.x - from.x) / scale, habit))),
    onEnd,
  });

  const middle = width / 2;
  const x = (metres: number) => middle + (metres - value) * scale;
  const step = tapeMark(habit);
  const first = Math.ceil((value - middle / scale) / step);
  const last = Math.floor((value + middle / scale) / step);
  const ticks: number[] = [];
  for (let mark = Math.max(0, first); mark <= last; mark += 1) ticks.push(mark);
  const shown = marks.filter((mark) => Math.abs(mark.value - value) < middle / scale);
  const lowEdge = Math.max(0, x(Math.max(0, low)));
  const highEdge = Math.min(width, x(high));

  return (
    <Box bg="card" borderTopWidth="1px" borderColor="line" position="relative" flexShrink={0} data-testid="tape">
      <Hints note={note} close={shown.length > 0} />
      <Box
        ref={ref}
        h={shown.length > 0 ? `${height + 40}px` : `${height}px`}
        position="relative"
        role="slider"
        tabIndex={0}
        aria-label={label}
        aria-valuenow={Math.round(value * 10000) / 10}
        aria-valuemin={Math.round(low * 10000) / 10}
        aria-valuemax={Math.round(high * 10000) / 10}
        aria-valuetext={formatLength(value, habit).text}
        data-takes={takes}
        onKeyDown={(event: KeyboardEvent) => {
          if (event.ctrlKey || event.metaKey || event.altKey) return;
          const step = tapeSteps[event.key];
          if (step !== undefined) nudge(event.shiftKey && Math.abs(step) === 1 ? 10 * step : step);
          else if (event.key === 'Home') setTo(low);
          else if (event.key === 'End') setTo(high);
          else if (event.key === 'Enter') onType();
          else return;
          event.preventDefault();
        }}
      >
        <svg
          ref={svg}
          width={width}
          height={height + (shown.length > 0 ? 40 : 0)}
          style={{ display: 'block', cursor: 'grab', touchAction: 'pan-y' }}
          aria-hidden="true"
        >
          <defs>
            <pattern id={hatch} width="9" height="9" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
              <rect width="9" height="9" fill={ink('tape')} />
              <rect width="4" height="9" fill="#22303A" opacity="0.28" />
            </pattern>
          </defs>
          {spaced(shown, x).map(({ mark, written }) => (
            <g key={mark.value} transform={`translate(${x(mark.value)} 0)`} data-testid="tape-point">
              <title>{mark.words}</title>
              {written && (
                <SvgText textAnchor="middle" y={14} size={13} fill={ink('copperText')}>
                  {mark.words}
                </SvgText>
              )}
              <path d="M-7 24h14l-7 12z" fill={ink('copper')} />
            </g>
          ))}
          <g transform={`translate(0 ${shown.length > 0 ? 40 : 0})`}>
            <rect width={width} height={height} fill={ink('tape')} />
            {lowEdge > 0 && <rect width={lowEdge} height={height} fill={`url(#${hatch})`} />}
            {highEdge < width && <rect x={highEdge} width={width - highEdge} height={height} fill={`url(#${hatch})`} />}
            <path d={`M0 .5H${width}M0 ${height - 0.5}H${width}`} stroke="#22303A" />
            {ticks.map((mark) => (
              <Tick key={mark} mark={mark} habit={habit} x={x(mark * step)} />
            ))}
          </g>
        </svg>
        <div style={{ ...pointer, left: middle - 1 }} />
      </Box>
      <Flex
        align="center"
        px={{ base: '2', md: '4' }}
        py="1"
        minH="38px"
        columnGap="3"
        wrap={{ base: 'wrap', md: 'nowrap' }}
        justify="space-between"
        fontSize="13px"
        color="soft"
      >
        <Reason words={lowEdge > 0 ? `Not less: ${lowReason}` : ''} align="left" />
        <button
          type="button"
          onClick={onType}
          className="plain-target"
          style={sizeButton}
          data-testid="tape-value"
          aria-label={`${label}, ${formatLength(value, habit).text}: type a size`}
        >
          {label} <LengthText value={value} habit={habit} />
        </button>
        <Reason words={highEdge < width ? `Not more: ${highReason}` : ''} align="right" />
      </Flex>
    </Box>
  );
}

/** px to a letter of the words over a point. */
const letter = 6.6;

/** Points with their words, where these do not run into the words before them. */
function spaced(marks: readonly TapeMark[], x: (metres: number) => number): { mark: TapeMark; written: boolean }[] {
  let free = Number.NEGATIVE_INFINITY;
  return [...marks]
    .sort((a, b) => a.value - b.value)
    .map((mark) => {
      const half = (mark.words.length * letter) / 2;
      const written = x(mark.value) - half > free;
      if (written) free = x(mark.value) + half + 8;
      return { mark, written };
    });
}

// Plain and remembered: the tape is drawn again at every step of a drag.
const pointer = {
  position: 'absolute',
  top: 0,
  bottom: 0,
  width: 3,
  background: ink('paneFill'),
  pointerEvents: 'none',
} as const;
const sizeButton = {
  background: ink('paneFill'),
  color: 'white',
  borderRadius: 3,
  padding: '0 16px',
  fontFamily: 'var(--np-fonts-heading)',
  fontWeight: 600,
  fontSize: 17,
  whiteSpace: 'nowrap',
  cursor: 'text',
} as const;

function Hints({ note, close }: { note: string | undefined; close: boolean }) {
  return (
    <Flex justify="space-between" px="4" pt="1.5" pb={close ? '0' : '1.5'} fontSize="13px" color="soft" gap="4">
      <Text>
        Drag the tape, or type a size
        <Text as="span" display={{ base: 'none', md: 'inline' }}>
          , or nudge with the comma and full-stop keys
        </Text>
        .
      </Text>
      {note && (
        <Text whiteSpace="nowrap" display={{ base: 'none', md: 'block' }}>
          {note}
        </Text>
      )}
    </Flex>
  );
}

/** Why the tape goes no further at one end. */
function Reason({ words, align }: { words: string; align: 'left' | 'right' }) {
  return (
    <Text
      flex={{ base: words ? '1 0 100%' : '0 0 0', md: '1 1 0' }}
      order={{ base: 1, md: 0 }}
      textAlign={{ base: 'center', md: align }}
    >
      {words}
    </Text>
  );
}

/** One mark of the tape: longer at halves and tens, numbered where a tape is numbered. */
function Tick({ mark, habit, x }: { mark: number; habit: Habit; x: number }) {
  if (habit === 'metric') {
    const ten = mark % 10 === 0;
    const length = ten ? 30 : mark % 5 === 0 ? 20 : 13;
    return (
      <>
        <line x1={x} x2={x} y1={0} y2={length} stroke="#22303A" strokeWidth={ten ? 1.75 : 1} />
        {ten && (
          <SvgText x={x} y={50} textAnchor="middle" size={18} bold heading fill="#22303A">
            {formatLength(mark * tapeMark('metric'), 'metric', { bare: true }).text}
          </SvgText>
        )}
      </>
    );
  }
  const whole = mark % 16 === 0;
  const length = whole ? 32 : mark % 8 === 0 ? 24 : mark % 4 === 0 ? 18 : mark % 2 === 0 ? 13 : 9;
  const inches = mark / 16;
  const foot = whole && inches % 12 === 0 && inches > 0;
  return (
    <>
      <line x1={x} x2={x} y1={0} y2={length} stroke="#22303A" strokeWidth={whole ? 1.75 : 1} />
      {whole && (
        <SvgText x={x} y={51} textAnchor="middle" size={18} bold heading fill={foot ? '#7A3516' : '#22303A'}>
          {foot ? `${inches / 12}′ 0″` : `${inches >= 12 ? `${Math.floor(inches / 12)}′ ` : ''}${inches % 12}″`}
        </SvgText>
      )}
    </>
  );
}
