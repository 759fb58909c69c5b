import { Box } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { volumeByHour, withHour } from '@north-pane/core/forecasting';
import { formatRough, fromSI, type Habit, habitUnit } from '@north-pane/core/quantity';
import { type KeyboardEvent, useRef, useState } from 'react';
import { SvgText } from '../../drawing/SvgText';
import { useDrag } from '../../drawing/useDrag';
import { useJob } from '../../state/job';
import { ink } from '../../theme/ink';
import { useSize } from '../useSize';

const margin = { left: 4, right: 4, top: 20, bottom: 20 };
/** Hours that are written under the bars. */
const marked = [0, 6, 12, 18];
/** m³ by which an arrow moves an hour, and with Shift. */
const nudge = { fine: 0.001, coarse: 0.01 } as const;

/** Hours, and litres, by which arrows move. */
const hourSteps: Readonly<Record<string, number>> = { ArrowLeft: -1, ArrowRight: 1 };
const volumeSteps: Readonly<Record<string, number>> = { ArrowUp: 1, ArrowDown: -1 };

/** A day's water by the hour: bars that are pulled up and down, or moved by keys; the day's volume goes with them. */
export function DayDrawn({ need, habit }: { need: Job['need']; habit: Habit }) {
  const changeAll = useJob((state) => state.changeAll);
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const [focused, setFocused] = useState(7);
  const [pulled, setPulled] = useState<{ hour: number; volume: number } | undefined>(undefined);
  const held = useRef<typeof pulled>(undefined);
  const stands = volumeByHour(need);
  const volumes = stands.map((volume, hour) => (pulled?.hour === hour ? pulled.volume : volume));
  const most = Math.max(0.02, 1.15 * Math.max(...stands));
  const inner = {
    width: Math.max(1, width - margin.left - margin.right),
    height: Math.max(1, height - margin.top - margin.bottom),
  };
  const wide = inner.width / 24;
  const top = (volume: number) => inner.height * (1 - Math.min(1, volume / most));
  const take = (hour: number, volume: number) => {
    const changes = withHour(need, hour, volume);
    if (changes.length > 0) changeAll(changes);
  };
  const at = ({ x, y }: { x: number; y: number }) => ({
    hour: Math.min(23, Math.max(0, Math.floor((x - margin.left) / wide))),
    volume: Math.max(0, Math.round(((1 - (y - margin.top) / inner.height) * most) / nudge.fine) * nudge.fine),
  });
  const drag = useDrag<SVGRectElement>({
    onBegin: (point) => {
      held.current = at(point);
      setFocused(held.current.hour);
      setPulled(held.current);
    },
    onMove: (point, from) => {
      held.current = { hour: at(from).hour, volume: at(point).volume };
      setPulled(held.current);
    },
    onEnd: () => {
      if (held.current) take(held.current.hour, held.current.volume);
      held.current = undefined;
      setPulled(undefined);
    },
  });
  const onKeyDown = (event: KeyboardEvent) => {
    if (event.ctrlKey || event.metaKey || event.altKey) return;
    const by = event.shiftKey ? nudge.coarse : nudge.fine;
    const step = hourSteps[event.key];
    const change = volumeSteps[event.key];
    if (step !== undefined) setFocused((focused + 24 + step) % 24);
    else if (change !== undefined) take(focused, (stands[focused] ?? 0) + change * by);
    else if (event.key === 'Home') take(focused, 0);
    else return;
    event.preventDefault();
    event.stopPropagation();
  };
  const inUnit = (volume: number) => fromSI(volume, habitUnit('volume', habit));
  const text = (volume: number) => formatRough('volume', volume, habit).text;
  const now = pulled?.hour ?? focused;
  return (
    <Box
      ref={ref}
      h="132px"
      position="relative"
      role="slider"
      tabIndex={0}
      aria-label="Water wanted by the hour"
      aria-orientation="vertical"
      aria-valuemin={0}
      aria-valuemax={Math.ceil(inUnit(most))}
      aria-valuenow={Math.round(inUnit(volumes[focused] ?? 0))}
      aria-valuetext={`from ${focused} to ${focused + 1} o’clock: ${text(volumes[focused] ?? 0)}`}
      data-takes="left, right: another hour | up, down: a litre more or less, with Shift ten | Home: none"
      onKeyDown={onKeyDown}
    >
      <svg width={width} height={height} aria-hidden style={{ display: 'block', touchAction: 'none' }}>
        <g transform={`translate(${margin.left} ${margin.top})`}>
          {volumes.map((volume, hour) => (
            <rect
              // biome-ignore lint/suspicious/noArrayIndexKey: an hour is its place
              key={hour}
              x={hour * wide + 1}
              y={top(volume)}
              width={Math.max(1, wide - 2)}
              height={Math.max(volume > 0 ? 2 : 0, inner.height - top(volume))}
              fill={ink(hour === now ? 'copper' : 'hot')}
              opacity={hour === now ? 1 : 0.75}
            />
          ))}
          <line x1={0} x2={inner.width} y1={inner.height + 0.5} y2={inner.height + 0.5} stroke={ink('edge')} />
          <rect
            x={now * wide}
            y={0}
            width={wide}
            height={inner.height}
            fill="none"
            stroke={ink('edge')}
            strokeDasharray="2 3"
          />
          {marked.map((hour) => (
            <SvgText key={hour} size={13} x={hour * wide + 2} y={inner.height + 15} fill={ink('soft')}>
              {`${hour}:00`}
            </SvgText>
          ))}
        </g>
        <SvgText size={13} x={margin.left} y={13} fill={ink('ink')}>
          {`${now}:00 to ${now + 1}:00, ${text(volumes[now] ?? 0)}`}
        </SvgText>
        <rect ref={drag} x={0} y={0} width={width} height={height} fill="transparent" style={{ cursor: 'ns-resize' }} />
      </svg>
    </Box>
  );
}
