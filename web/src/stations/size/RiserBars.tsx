import type { Drawing } from '@north-pane/core/draw';
import type { Placing } from '../../drawing/ShapeMark';
import { ink } from '../../theme/ink';

/** A bar beside each riser on the plan, as long as its share of the water. */
export function RiserBars({ place, shares, plan }: { place: Placing; shares: readonly number[]; plan: Drawing }) {
  const risers = plan.shapes.filter((shape) => shape.layer === 'tube' && shape.kind === 'rect');
  if (shares.length === 0) return null;
  const most = Math.max(...shares);
  return (
    <g aria-hidden>
      {risers.map((riser, index) => {
        if (riser.kind !== 'rect') return null;
        const length = (0.16 * riser.width * (shares[index] ?? 0)) / most;
        const y = place.y(riser.y) + 3;
        return (
          <line
            key={riser.y}
            x1={place.x(riser.x + riser.width * 0.06)}
            x2={place.x(riser.x + riser.width * 0.06 + length)}
            y1={y}
            y2={y}
            stroke={ink('ink')}
            strokeWidth={3}
            opacity={0.75}
          />
        );
      })}
    </g>
  );
}
