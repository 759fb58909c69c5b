import { type HorizonPoint, horizonAt, withHorizonPoint } from '@north-pane/core/sky';
import { useRef } from 'react';
import { useDrag } from '../../drawing/useDrag';
import { ink } from '../../theme/ink';
import { type Dome, pathOf } from './dome';

interface SkylineProps {
  points: readonly HorizonPoint[];
  dome: Dome;
  onPoints(points: HorizonPoint[]): void;
  onBegin(): void;
  onEnd(): void;
}

/** px that a pull must go before it is one. */
const least = 4;
/** Degrees above the rim in which the skyline can be taken hold of where it has no point yet. */
const band = 12;

const whole = (value: number, low: number, high: number) => Math.min(high, Math.max(low, Math.round(value)));

/** Hills, trees and roofs: pulled up from the rim, moved by their points, taken away with Delete or by pulling them under. */
export function Skyline({ points, dome, onPoints, onBegin, onEnd }: SkylineProps) {
  const around = Array.from({ length: 181 }, (_, index) => index * 2);
  const edge = around.map((azimuth) => dome.at({ azimuth, zenith: 90 - horizonAt(points, azimuth) }));
  const rim = around.map((azimuth) => dome.at({ azimuth, zenith: 90 })).reverse();
  const pulled = useRef<{ before: readonly HorizonPoint[]; azimuth: number } | undefined>(undefined);
  const pull = useDrag<SVGPathElement>({
    onMove: (at, from) => {
      if (!pulled.current) {
        if (Math.hypot(at.x - from.x, at.y - from.y) < least) return;
        onBegin();
        pulled.current = { before: points, azimuth: Math.round(dome.from(from.x, from.y).azimuth) % 360 };
      }
      const { before, azimuth } = pulled.current;
      onPoints(withHorizonPoint(before, { azimuth, elevation: whole(dome.from(at.x, at.y).elevation, 0, 85) }));
    },
    onEnd: () => {
      if (pulled.current) onEnd();
      pulled.current = undefined;
    },
  });
  const grip = [
    ...around.map((azimuth) => dome.at({ azimuth, zenith: 90 - horizonAt(points, azimuth) - band })),
    ...rim,
  ];
  return (
    <g>
      <path d={pathOf([...edge, ...rim], true)} fill={ink('timber')} opacity={0.9} />
      <path d={pathOf(edge, true)} fill="none" stroke={ink('ink')} strokeWidth={1.5} />
      <path ref={pull} d={pathOf(grip, true)} fill="transparent" style={{ cursor: 'ns-resize', touchAction: 'none' }}>
        <title>Pull the skyline up where a hill, a tree or a roof stands</title>
      </path>
      {points.map((_, index) => (
        <Handle
          // biome-ignore lint/suspicious/noArrayIndexKey: a point keeps its place in the row while it is dragged
          key={index}
          index={index}
          points={points}
          dome={dome}
          onPoints={onPoints}
          onBegin={onBegin}
          onEnd={onEnd}
        />
      ))}
    </g>
  );
}

function Handle({ index, points, dome, onPoints, onBegin, onEnd }: SkylineProps & { index: number }) {
  const point = points[index] as HorizonPoint;
  // It stays between its neighbours, so that the row keeps its order.
  const low = (points[index - 1]?.azimuth ?? -1) + 1;
  const high = (points[index + 1]?.azimuth ?? 360) - 1;
  const move = (azimuth: number, elevation: number) =>
    onPoints(
      points.map((other, place) =>
        place === index ? { azimuth: whole(azimuth, low, high), elevation: whole(elevation, 0, 85) } : other,
      ),
    );
  const remove = () => onPoints(points.filter((_, place) => place !== index));
  const under = useRef(false);
  const ref = useDrag<SVGGElement>({
    onBegin,
    onMove: (at) => {
      const there = dome.from(at.x, at.y);
      // The first and the last point do not jump round the north.
      const near = ((there.azimuth - point.azimuth + 540) % 360) - 180;
      under.current = there.elevation < -8;
      move(point.azimuth + near, there.elevation);
    },
    onEnd: () => {
      if (under.current) remove();
      under.current = false;
      onEnd();
    },
  });
  const [x, y] = dome.at({ azimuth: point.azimuth, zenith: 90 - point.elevation });
  return (
    <g
      ref={ref}
      transform={`translate(${x} ${y})`}
      style={{ cursor: 'move', touchAction: 'none' }}
      role="slider"
      tabIndex={0}
      aria-label={`Skyline at ${Math.round(point.azimuth)} degrees`}
      aria-valuenow={Math.round(point.elevation)}
      aria-valuemin={0}
      aria-valuemax={85}
      aria-valuetext={`${Math.round(point.elevation)} degrees high`}
      data-takes="up, down: one degree higher or lower | left, right: one degree along the rim | with Shift: by five | Delete: take the point away"
      onKeyDown={(event) => {
        const step = event.shiftKey ? 5 : 1;
        const moves: Record<string, readonly [azimuth: number, elevation: number]> = {
          ArrowUp: [0, step],
          ArrowDown: [0, -step],
          ArrowLeft: [-step, 0],
          ArrowRight: [step, 0],
        };
        const by = moves[event.key];
        const gone = event.key === 'Delete' || event.key === 'Backspace';
        if (!by && !gone) return;
        event.preventDefault();
        if (by) move(point.azimuth + by[0], point.elevation + by[1]);
        else remove();
      }}
    >
      {/* Larger than it looks, for a thumb. */}
      <circle className="thumb" r={14} fill="transparent" />
      <circle r={7} fill={ink('card')} stroke={ink('ink')} strokeWidth={2} />
    </g>
  );
}
