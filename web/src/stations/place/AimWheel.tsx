import { formatAim, formatNumber } from '@north-pane/core/quantity';
import { SvgText } from '../../drawing/SvgText';
import { useDrag } from '../../drawing/useDrag';
import { sliderKeys } from '../../parts/sliderKeys';
import { ink } from '../../theme/ink';
import type { Dome } from './dome';

/** px of the wheel outside the dome's rim. */
export const wheelWidth = 34;
const winds = [
  ['N', 0],
  ['E', 90],
  ['S', 180],
  ['W', 270],
] as const;
const radians = Math.PI / 180;

/** px of a pane seen from above, up the slope: flat it is as deep as it is long, upright no more than its thickness. */
function depthOf(tilt: number): number {
  return Math.max(5, 24 * Math.cos(tilt * radians));
}

/** A ring of directions about the dome, with the pane's aim as a handle and the best aim as a copper point. */
export function AimWheel(props: {
  dome: Dome;
  aim: number;
  tilt: number;
  bestAim: number | undefined;
  onAim(aim: number): void;
  onBegin(): void;
  onEnd(): void;
}) {
  const { dome, aim, tilt, bestAim, onAim, onBegin, onEnd } = props;
  const knob = useDrag<SVGGElement>({
    onBegin,
    onMove: ({ x, y }) => onAim(Math.round(dome.from(x, y).azimuth) % 360),
    onEnd,
  });
  const out = (azimuth: number, beyond: number): [number, number] => {
    const far = dome.radius + beyond;
    return [far * Math.sin(azimuth * radians), -far * Math.cos(azimuth * radians)];
  };
  const [x, y] = out(aim, 17);
  return (
    <g>
      {Array.from({ length: 72 }, (_, index) => index * 5).map((azimuth) => {
        const long = azimuth % 30 === 0;
        const [x1, y1] = out(azimuth, 3);
        const [x2, y2] = out(azimuth, long ? 10 : 6);
        return <line key={azimuth} x1={x1} y1={y1} x2={x2} y2={y2} stroke={ink('soft')} strokeWidth={long ? 1.5 : 1} />;
      })}
      {winds.map(([letter, azimuth]) => {
        // Under the handle nobody reads it: it steps inside the rim.
        const covered = Math.abs(((azimuth - aim + 540) % 360) - 180) < 14;
        const [lx, ly] = out(azimuth, covered ? -16 : 20);
        return (
          <SvgText
            key={letter}
            x={lx}
            y={ly}
            textAnchor="middle"
            dominantBaseline="central"
            size={16}
            bold
            heading
            fill={ink('ink')}
          >
            {letter}
          </SvgText>
        );
      })}
      {bestAim !== undefined && (
        <g transform={`rotate(${bestAim}) translate(0 ${-dome.radius})`} pointerEvents="none">
          <path d="M0 1L-7 13H7Z" fill={ink('copper')} />
        </g>
      )}
      <g
        ref={knob}
        transform={`translate(${x} ${y}) rotate(${aim})`}
        style={{ cursor: 'grab', touchAction: 'none' }}
        {...sliderKeys('Aim of the pane', `${formatAim(aim)}, ${formatNumber(aim)} degrees from true north`, {
          value: aim,
          low: 0,
          high: 360,
          round: true,
          onValue: onAim,
        })}
      >
        {/* Larger than it looks, for a thumb, but not over the rim: there the skyline is taken hold of. */}
        <circle cy={-5} r={22} fill="transparent" />
        {/* The pane from above: as wide as it is, as deep as its tilt leaves of it, its low edge toward what it looks at. */}
        <rect
          x={-17}
          y={-5 - depthOf(tilt) / 2}
          width={34}
          height={depthOf(tilt)}
          fill={ink('paneFill')}
          stroke={ink('card')}
          strokeWidth={2}
        />
        <path d={`M-17 ${-5 - depthOf(tilt) / 2}H17`} stroke={ink('ink')} strokeWidth={2.5} />
      </g>
    </g>
  );
}
