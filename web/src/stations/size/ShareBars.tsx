import type { Drawing } from '@north-pane/core/draw';
import type { Section } from '@north-pane/core/readout';
import type { Placing } from '../../drawing/ShapeMark';
import { ink } from '../../theme/ink';

/** A bar beside each rectangle of a layer on the plan, as long as its share. */
export function ShareBars(props: { place: Placing; section: Extract<Section, { kind: 'shares' }>; plan: Drawing }) {
  const { place, section, plan } = props;
  const { shares, layer } = section;
  const bars = plan.shapes.filter((shape) => shape.layer === layer && shape.kind === 'rect');
  if (shares.length === 0) return null;
  const most = Math.max(...shares);
  return (
    <g aria-hidden>
      {bars.map((bar, index) => {
        if (bar.kind !== 'rect') return null;
        const length = (0.16 * bar.width * (shares[index] ?? 0)) / most;
        const y = place.y(bar.y) + 3;
        return (
          <line
            key={bar.y}
            x1={place.x(bar.x + bar.width * 0.06)}
            x2={place.x(bar.x + bar.width * 0.06 + length)}
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
