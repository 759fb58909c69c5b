import { type Dimension, dimensionLine, direction } from '@north-pane/core/draw';
import { formatLength, type Habit } from '@north-pane/core/quantity';
import { ink } from '../theme/ink';
import { Grip, type Pull } from './Grip';
import type { Placing } from './ShapeMark';
import { SvgLength } from './SvgLength';
import { SvgText } from './SvgText';

/** px. A shorter line has no room for a grip beside its number. */
const leastToPull = 40;

export interface DimensionMarkProps {
  dimension: Dimension;
  place: Placing;
  habit: Habit;
  chosen: boolean;
  onChoose?(): void;
  /** Makes it one that can be pulled. */
  pull?: Pull;
}

/** px. Where the line and the number of a dimension stand on the screen; the number is `wide` by 22 px about `at`, upright where it is turned. */
export function layOutDimension(dimension: Dimension, place: Placing, habit: Habit) {
  const own = dimensionLine(dimension);
  const from = { x: place.x(own.from.x), y: place.y(own.from.y) };
  const to = { x: place.x(own.to.x), y: place.y(own.to.y) };
  const { along } = direction(from, to);
  const upright = Math.abs(along.y) > Math.abs(along.x);
  const length = Math.hypot(to.x - from.x, to.y - from.y);
  const middle = { x: (from.x + to.x) / 2, y: (from.y + to.y) / 2 };
  // A number wider than its line stands beside it, and is then read from below.
  const wide = habit === 'imperial' ? 78 : 52;
  const beside = length < wide + 14;
  // Away from what is measured: to the left of a line that stands left of it, else to the right.
  const left = upright && own.from.x < dimension.from.x - 1e-9;
  const aside = wide / 2 + 9;
  const at = !beside
    ? middle
    : upright
      ? { x: middle.x + (left ? -aside : aside), y: middle.y }
      : { x: Math.max(from.x, to.x) + aside, y: middle.y };
  const turned = upright && !beside;
  return { from, to, own, along, length, wide, at, turned };
}

/** Witness lines, oblique ticks and the number, read from below or from the right. A number that can be set is a button. */
export function DimensionMark({ dimension, place, habit, chosen, onChoose, pull }: DimensionMarkProps) {
  const { from, to, own, along, length, wide, at, turned } = layOutDimension(dimension, place, habit);
  const tick = (at: { x: number; y: number }) => {
    const [dx, dy] = [(along.x - along.y) * 5, (along.y + along.x) * 5];
    return `M${at.x - dx} ${at.y - dy}L${at.x + dx} ${at.y + dy}`;
  };
  const colour = chosen ? 'white' : ink('ink');
  // Taken in hand it is drawn last, over the others, and being moved it would lose the focus.
  const choose = ({ currentTarget }: { currentTarget: SVGGElement }) => {
    onChoose?.();
    if (!chosen) window.requestAnimationFrame(() => currentTarget.focus({ preventScroll: true }));
  };
  const editable = dimension.edit !== undefined && onChoose !== undefined;
  const number = (
    <g transform={`translate(${at.x} ${at.y})${turned ? ' rotate(-90)' : ''}`}>
      {editable && <rect className="thumb-box" x={-wide / 2} y={-12} width={wide} height={24} fill="transparent" />}
      <rect
        x={-wide / 2}
        y={-11}
        width={wide}
        height={22}
        rx={2}
        fill={chosen ? ink('paneFill') : ink('ground')}
        stroke={editable && !chosen ? ink('line') : 'none'}
      />
      <SvgText textAnchor="middle" dominantBaseline="central" size={16} bold heading fill={colour}>
        <SvgLength value={dimension.value} habit={habit} />
      </SvgText>
    </g>
  );
  const witness = [
    [dimension.from, own.from],
    [dimension.to, own.to],
  ]
    .map(([a, b]) => (a && b ? `M${place.x(a.x)} ${place.y(a.y)}L${place.x(b.x)} ${place.y(b.y)}` : ''))
    .join('');
  return (
    <g>
      <path
        d={witness}
        stroke={ink('soft')}
        strokeWidth={0.75}
        strokeDasharray={dimension.offset ? '2 3' : undefined}
        fill="none"
      />
      <path
        d={`M${from.x} ${from.y}L${to.x} ${to.y}${tick(from)}${tick(to)}`}
        stroke={chosen ? ink('paneText') : ink('ink')}
        strokeWidth={chosen ? 2 : 1.25}
        fill="none"
      />
      {editable ? (
        // biome-ignore lint/a11y/useSemanticElements: a button inside an SVG drawing cannot be an HTML button
        <g
          role="button"
          tabIndex={0}
          aria-label={`${dimension.label}, ${formatLength(dimension.value, habit).text}: set`}
          aria-pressed={chosen}
          style={{ cursor: 'pointer' }}
          data-dimension={dimension.id}
          data-takes="Enter: take it in hand; once more: type a size | comma, full stop: a mark of the tape less or more"
          onClick={choose}
          onKeyDown={(event) => {
            if (event.key !== 'Enter' && event.key !== ' ') return;
            event.preventDefault();
            choose(event);
          }}
        >
          <title>{dimension.label}</title>
          {number}
        </g>
      ) : (
        number
      )}
      {editable && pull && length > leastToPull && (
        <Grip dimension={dimension} from={from} to={to} scale={place.scale} habit={habit} pull={pull} />
      )}
    </g>
  );
}
