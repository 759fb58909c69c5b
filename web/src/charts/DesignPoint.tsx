import { useRef } from 'react';
import { useDrag } from '../drawing/useDrag';
import { sliderKeys } from '../parts/sliderKeys';
import { ink } from '../theme/ink';
import type { Scales } from './Chart';

/** What pulling a point along its curve does; `x` is in the units of the axis. */
export interface PointPull {
  label: string;
  /** The value as it is read. */
  words: string;
  low: number;
  high: number;
  /** Of one step by key, in the units of the axis. */
  step: number;
  onBegin?(): void;
  onMove(x: number): void;
  onEnd?(): void;
}

/** Where the job stands now, with its way down to the axis; pulled along the curve, or nudged by keys, where that changes something. */
export function DesignPoint({ scales, x, y, pull }: { scales: Scales; x: number; y: number; pull?: PointPull }) {
  const [px, py] = [scales.x(x), scales.y(y)];
  if (!(px >= -1 && px <= scales.width + 1)) return null;
  return (
    <g>
      <path d={`M${px} ${scales.height}V${py}H0`} stroke={ink('paneText')} strokeDasharray="4 4" fill="none" />
      {pull ? (
        <Handle scales={scales} x={x} px={px} py={py} pull={pull} />
      ) : (
        <circle cx={px} cy={py} r={7} fill={ink('pane')} stroke={ink('card')} strokeWidth={2} />
      )}
    </g>
  );
}

function Handle(props: { scales: Scales; x: number; px: number; py: number; pull: PointPull }) {
  const { scales, x, px, py, pull } = props;
  const { label, words, low, high, step, onBegin, onMove, onEnd } = pull;
  // Where it was taken hold of: the pointer need not be in its middle.
  const begun = useRef(px);
  const ref = useDrag<SVGGElement>({
    onBegin: () => {
      begun.current = px;
      onBegin?.();
    },
    onMove: (at, from) => onMove(Math.min(high, Math.max(low, scales.x.invert(begun.current + at.x - from.x)))),
    onEnd: () => onEnd?.(),
  });
  return (
    <g
      ref={ref}
      transform={`translate(${px} ${py})`}
      style={{ cursor: 'ew-resize', touchAction: 'none' }}
      {...sliderKeys(label, words, {
        value: x / step,
        low: Math.round(low / step),
        high: Math.round(high / step),
        onValue: (steps) => {
          onBegin?.();
          onMove(steps * step);
          onEnd?.();
        },
      })}
    >
      <circle className="thumb" r={16} fill="transparent" />
      <circle r={9} fill={ink('paneFill')} stroke={ink('card')} strokeWidth={2} />
      <path d="M-3.5 -3L-6 0L-3.5 3M3.5 -3L6 0L3.5 3" fill="none" stroke="white" strokeWidth={1.5} />
    </g>
  );
}
