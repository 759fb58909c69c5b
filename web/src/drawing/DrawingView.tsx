import { Box } from '@chakra-ui/react';
import type { Finding } from '@north-pane/core/care';
import { type Dimension, type Drawing, dimensionLine, extent, type Label } from '@north-pane/core/draw';
import { fineMarks, formatLength, type Habit } from '@north-pane/core/quantity';
import type { ReactNode } from 'react';
import { useSize } from '../parts/useSize';
import { ink } from '../theme/ink';
import { DimensionMark, layOutDimension } from './DimensionMark';
import type { Pull } from './Grip';
import { likeShapes } from './likeShapes';
import { type Placing, ShapeMark } from './ShapeMark';
import { SvgLength } from './SvgLength';
import { SvgText } from './SvgText';

interface DrawingViewProps {
  drawing: Drawing;
  habit: Habit;
  /** Id of the dimension in hand. */
  chosen?: string;
  onChoose?(dimension: Dimension): void;
  pull?: Pull;
  /** Typing happens here, on the drawing, over the chosen dimension. */
  entry?: ReactNode;
  findings?: readonly { finding: Finding; headline: string }[];
  onFinding?(finding: Finding): void;
  /** More marks, in the drawing's own places. */
  over?(place: Placing): ReactNode;
  /** px round the drawing for words. */
  margin?: { left: number; right: number; top: number; bottom: number };
  /** Id of the part that is pointed at, here or elsewhere. */
  lit?: string | undefined;
  onLit?(part: string | undefined): void;
  /** px to a metre that it is drawn with at most. */
  most?: number;
}

/** px. Less is no drawing; and what lies to its right where no words stand. */
const leastRoom = 150;
const leastMargin = 64;

/** A drawing from the model, as large as its room allows. */
export function DrawingView({
  drawing: whole,
  habit,
  chosen,
  onChoose,
  pull,
  entry,
  findings = [],
  onFinding,
  over,
  margin: wanted = { left: 24, right: 56, top: 20, bottom: 16 },
  most = Number.POSITIVE_INFINITY,
  lit,
  onLit,
}: DrawingViewProps) {
  const [ref, { width, height }] = useSize<HTMLElement>();
  // Where the words beside it would leave no room for the drawing, it is drawn without them: what they name stands in its list.
  const bare = width > 0 && wanted.right > leastMargin && width - wanted.left - wanted.right < leastRoom;
  const drawing = bare ? { ...whole, labels: [] } : whole;
  const margin = bare ? { ...wanted, right: leastMargin } : wanted;
  const place = withRoomForWords(drawing, { margin, width, height, most, habit });
  const held = drawing.dimensions.find((dimension) => dimension.id === chosen);
  return (
    <>
      <figure aria-label={drawing.title} ref={ref} style={frame}>
        {width > 0 && (
          // biome-ignore lint/a11y/noSvgWithoutTitle: the figure round it has the name; a title here would follow the mouse
          <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`} style={{ display: 'block' }}>
            {likeShapes(drawing.shapes).map(({ key, shapes }) => {
              const part = shapes[0]?.part;
              return onLit && part ? (
                // biome-ignore lint/a11y/noStaticElementInteractions: the light follows the mouse only; the parts are named in their list
                <g key={key} onMouseEnter={() => onLit(part)} onMouseLeave={() => onLit(undefined)}>
                  <ShapeMark shapes={shapes} place={place} lit={part === lit} />
                </g>
              ) : (
                <ShapeMark key={key} shapes={shapes} place={place} />
              );
            })}
            {over?.(place)}
            <Labels drawing={drawing} place={place} habit={habit} width={width} height={height} />
            {/* The one in hand over the others; in one list, so that a mark that is being pulled stays the same mark. */}
            {[...drawing.dimensions.filter((dimension) => dimension !== held), ...(held ? [held] : [])].map(
              (dimension) => (
                <DimensionMark
                  key={dimension.id}
                  dimension={dimension}
                  place={place}
                  habit={habit}
                  chosen={dimension === held}
                  onChoose={onChoose ? () => onChoose(dimension) : undefined}
                  pull={pull}
                />
              ),
            )}
            <Flags findings={findings} place={place} width={width} onFinding={onFinding} />
          </svg>
        )}
      </figure>
      {/* Beside the frame and not in it: what is typed may say more than the drawing has room for. */}
      {entry && held && (
        <Box position="absolute" zIndex={4} w={`${entryWidth}px`} {...beside(held, place, width, height)}>
          {entry}
        </Box>
      )}
    </>
  );
}

/** A drawing laid into its room, as large as that allows, in the middle of it. */
function fitted(
  drawing: Drawing,
  margin: { left: number; right: number; top: number; bottom: number },
  width: number,
  height: number,
  most: number,
): Placing {
  const box = extent(drawing);
  const room = { x: width - margin.left - margin.right, y: height - margin.top - margin.bottom };
  const scale = Math.max(1, Math.min(most, room.x / box.width, room.y / box.height));
  const left = margin.left + (room.x - box.width * scale) / 2;
  const bottom = margin.bottom + (room.y - box.height * scale) / 2;
  return {
    scale,
    x: (metres) => left + (metres - box.left) * scale,
    y: (metres) => height - bottom - (metres - box.bottom) * scale,
  };
}

/** Words that would run out of a drawing get room: it gives way by a quarter to either side at the most. */
function withRoomForWords(
  drawing: Drawing,
  room: {
    margin: { left: number; right: number; top: number; bottom: number };
    width: number;
    height: number;
    most: number;
    habit: Habit;
  },
): Placing {
  const { margin, width, height, most, habit } = room;
  let [left, right] = [0, 0];
  let place = fitted(drawing, margin, width, height, most);
  // Drawn smaller, a number that stood on its line may stand beside it: looked at again.
  for (let pass = 0; pass < 3; pass += 1) {
    const spill = spilled(drawing, place, habit, width);
    if (spill.left + spill.right === 0) break;
    left = Math.min(left + spill.left, width / 4);
    right = Math.min(right + spill.right, width / 4);
    place = fitted(drawing, { ...margin, left: margin.left + left, right: margin.right + right }, width, height, most);
  }
  return place;
}

/** px by which words run out of a drawing, at its left and right. */
function spilled(drawing: Drawing, place: Placing, habit: Habit, width: number): { left: number; right: number } {
  let [left, right] = [0, 0];
  for (const label of drawing.labels) {
    const x = place.x(label.to.x);
    const moved = withinWidth(x, label, habit, width) - x;
    left = Math.max(left, moved);
    right = Math.max(right, -moved);
  }
  // A number beside its line is words too.
  for (const dimension of drawing.dimensions) {
    const { at, wide, turned } = layOutDimension(dimension, place, habit);
    const half = turned ? 11 : wide / 2;
    left = Math.max(left, half - at.x);
    right = Math.max(right, at.x + half - width);
  }
  return { left, right };
}

/** What moves in a drawing moves nothing outside it. Plain: it is drawn again at every step. */
const frame = {
  contain: 'strict',
  position: 'relative',
  width: '100%',
  height: '100%',
  minHeight: 0,
  margin: 0,
  overflow: 'hidden',
} as const;

/** px. */
const entryWidth = 264;
const entryHeight = 96;

/** Where the entry stands: over its dimension. In the lower half it grows upward, else downward, so that what it says later is seen. */
function beside(
  dimension: Dimension,
  place: Placing,
  width: number,
  height: number,
): { left: string; top?: string; bottom?: string } {
  const { from, to } = dimensionLine(dimension);
  const x = place.x((from.x + to.x) / 2) - entryWidth / 2;
  const y = place.y((from.y + to.y) / 2);
  const within = (wanted: number, most: number) => `${Math.max(4, Math.min(wanted, most - 4))}px`;
  const left = within(x, width - entryWidth);
  return y > height / 2
    ? { left, bottom: within(height - y - entryHeight / 2, height - entryHeight) }
    : { left, top: within(y - entryHeight / 2, height - entryHeight) };
}

/** px between two lines of words, at the least. */
const lineStep = 17;

/** px to a letter of the words. */
const letter = 6.7;

/** px of a line of words. */
const lineHeight = 14;

/** px that the words of a label take, with their size. */
function wordsWidth({ words, size, fine }: Label, habit: Habit): number {
  const measure = size === undefined ? '' : ` ${formatLength(size, habit, fine ? fineMarks : {}).text}`;
  return (words.length + measure.length) * letter + 6;
}

/** Where words begin so that they end inside the drawing. */
function withinWidth(x: number, label: Label, habit: Habit, width: number): number {
  const { anchor } = label;
  const long = wordsWidth(label, habit);
  if (long > width) return x;
  const [before, after] = anchor === 'start' ? [0, long] : anchor === 'end' ? [long, 0] : [long / 2, long / 2];
  return Math.min(Math.max(x, before + 2), width - after - 2);
}

/** px to which a line of words steps up or down to be clear of what stands there already; the first that is clear is taken. */
const steps = [0, -16, 16, -28, 28, -40, 40, -56, 56, -72, 72];

/** px. Middle, half width and half height of words or of a number. */
interface Taken {
  x: number;
  y: number;
  across: number;
  down: number;
}

/** Room of a line of words that stands so that neither a dimension's number nor words placed before lie over it. */
function clearOf(taken: readonly Taken[], label: Label, x: number, y: number, height: number, habit: Habit): Taken {
  const across = wordsWidth(label, habit) / 2;
  const middle = label.anchor === 'start' ? x + across : label.anchor === 'end' ? x - across : x;
  const down = lineHeight / 2;
  const clear = (at: number) =>
    at > 8 &&
    at < height - 8 &&
    taken.every((one) => Math.abs(middle - one.x) > across + one.across || Math.abs(at - one.y) > one.down + down);
  const step = steps.find((by) => clear(y + by)) ?? 0;
  return { x: middle, y: y + step, across, down };
}

/** Words on leaders. Those in one column are parted when the drawing is too small to part them by itself. */
function Labels({
  drawing,
  place,
  habit,
  width,
  height,
}: {
  drawing: Drawing;
  place: Placing;
  habit: Habit;
  width: number;
  height: number;
}) {
  const columns = new Map<string, number>();
  // From the top of the page down, so that a label pushes only those below it.
  const ordered = [...drawing.labels].sort((a, b) => b.to.y - a.to.y);
  const taken = drawing.dimensions.map((dimension): Taken => {
    const { at, wide, turned } = layOutDimension(dimension, place, habit);
    return { ...at, across: (turned ? 22 : wide) / 2, down: (turned ? wide : 22) / 2 };
  });
  // A column steps aside as a whole, as far as its longest words ask.
  const columnOf = ({ anchor, to }: Label) => `${anchor}${Math.round(place.x(to.x))}`;
  const aside = new Map<string, number>();
  for (const label of ordered) {
    const column = columnOf(label);
    const own = place.x(label.to.x);
    const moved = withinWidth(own, label, habit, width) - own;
    if (Math.abs(moved) > Math.abs(aside.get(column) ?? 0)) aside.set(column, moved);
  }
  return ordered.map((label) => {
    const column = columnOf(label);
    const x = place.x(label.to.x) + (aside.get(column) ?? 0);
    const above = columns.get(column);
    const room = clearOf(
      taken,
      label,
      x,
      Math.max(place.y(label.to.y), above === undefined ? Number.NEGATIVE_INFINITY : above + lineStep),
      height,
      habit,
    );
    const { y } = room;
    taken.push(room);
    columns.set(column, y);
    return (
      <g key={`${label.words}-${label.at.x}-${label.at.y}`}>
        <line x1={place.x(label.at.x)} y1={place.y(label.at.y)} x2={x} y2={y} stroke={ink('soft')} strokeWidth={0.75} />
        <SvgText
          x={x + (label.anchor === 'start' ? 4 : 0)}
          y={y}
          textAnchor={label.anchor}
          dominantBaseline="central"
          size={14}
          stroke={ink('ground')}
          strokeWidth={3}
          paintOrder="stroke"
          fill={ink(label.tone === 'hot' ? 'copperText' : label.tone === 'cold' ? 'paneText' : 'ink')}
        >
          {label.words}
          {label.size !== undefined && (
            <>
              {' '}
              <SvgLength value={label.size} habit={habit} fine={label.fine} />
            </>
          )}
        </SvgText>
      </g>
    );
  });
}

/** px. Below this width a clash is a sign alone; its words stand in the list. */
const narrow = 520;

/** Clashes where they are: a round sign with its words beside it. Signs that would cover each other stand in a row. */
function Flags({
  findings,
  place,
  width,
  onFinding,
}: {
  findings: NonNullable<DrawingViewProps['findings']>;
  place: Placing;
  width: number;
  onFinding?(finding: Finding): void;
}) {
  const taken: number[] = [];
  const brief = width < narrow;
  return findings.map(({ finding, headline }) => {
    if (!finding.at) return null;
    const x = place.x(finding.at.x);
    let y = place.y(finding.at.y);
    while (taken.some((other) => Math.abs(other - y) < 24)) y += 25;
    taken.push(y);
    const stop = finding.severity === 'stop';
    const toLeft = x > width - 220;
    return (
      // biome-ignore lint/a11y/useSemanticElements: a button inside an SVG drawing cannot be an HTML button
      <g
        key={`${finding.code}-${x}-${y}`}
        role="button"
        tabIndex={0}
        aria-label={headline}
        data-finding={finding.code}
        style={{ cursor: 'pointer' }}
        onClick={() => onFinding?.(finding)}
        onKeyDown={(event) => event.key === 'Enter' && onFinding?.(finding)}
      >
        {!brief && (
          <rect
            x={toLeft ? x - 16 - headline.length * 7 : x - 11}
            y={y - 11}
            width={headline.length * 7 + 27}
            height={22}
            rx={11}
            fill={ink('card')}
            stroke={ink(stop ? 'brick' : 'ochre')}
          />
        )}
        <circle cx={x} cy={y} r={9} fill={ink(stop ? 'brick' : 'ochre')} />
        <SvgText x={x} y={y} textAnchor="middle" dominantBaseline="central" size={13} bold fill="#22303A">
          !
        </SvgText>
        {!brief && (
          <SvgText
            x={toLeft ? x - 14 : x + 13}
            y={y}
            textAnchor={toLeft ? 'end' : 'start'}
            dominantBaseline="central"
            size={13}
            bold
            fill={ink(stop ? 'brickText' : 'ochreText')}
          >
            {headline}
          </SvgText>
        )}
      </g>
    );
  });
}
