import { type Dimension, direction } from '@north-pane/core/draw';
import { type Habit, toTapeMark } from '@north-pane/core/quantity';
import { useRef } from 'react';
import { ink } from '../theme/ink';
import { useDrag } from './useDrag';

/** What a drag on a dimension does: one drag is one step of undo. */
export interface Pull {
  onBegin(dimension: Dimension): void;
  onValue(dimension: Dimension, value: number): void;
  onEnd(): void;
}

interface GripProps {
  dimension: Dimension;
  /** px. The dimension's own line; the grip sits at its far end. */
  from: { x: number; y: number };
  to: { x: number; y: number };
  /** px to a metre. */
  scale: number;
  habit: Habit;
  pull: Pull;
}

/** A grip at the end of a dimension: pulled along its line, it stops at the marks of the tape. Keys have the tape itself. */
export function Grip({ dimension, from, to, scale, habit, pull }: GripProps) {
  // As it was when the pull began: the drawing is fitted anew while it goes on.
  const begun = useRef({ value: dimension.value, scale, along: { x: 1, y: 0 } });
  const ref = useDrag<SVGGElement>({
    onBegin: () => {
      begun.current = { value: dimension.value, scale, along: direction(from, to).along };
      pull.onBegin(dimension);
    },
    onMove: (at, start) => {
      const { edit } = dimension;
      if (!edit) return;
      const { value, scale: px, along } = begun.current;
      const moved = ((at.x - start.x) * along.x + (at.y - start.y) * along.y) / px;
      pull.onValue(dimension, Math.min(Math.max(toTapeMark(value + moved, habit), edit.low), edit.high));
    },
    onEnd: pull.onEnd,
  });
  const upright = Math.abs(to.y - from.y) > Math.abs(to.x - from.x);
  return (
    <g
      ref={ref}
      aria-hidden
      data-grip={dimension.id}
      style={{ cursor: upright ? 'ns-resize' : 'ew-resize', touchAction: 'none' }}
    >
      {/* Larger than it looks, for a thumb. */}
      <circle className="thumb" cx={to.x} cy={to.y} r={13} fill="transparent" />
      <circle cx={to.x} cy={to.y} r={5.5} fill={ink('paneFill')} stroke={ink('card')} strokeWidth={2} />
    </g>
  );
}
