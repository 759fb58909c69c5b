import { Box } from '@chakra-ui/react';
import { noonSun } from '@north-pane/core/sky';
import { SvgText } from '../../drawing/SvgText';
import { useDrag } from '../../drawing/useDrag';
import { sliderKeys } from '../../parts/sliderKeys';
import { useSize } from '../../parts/useSize';
import { ink } from '../../theme/ink';
import { liveDrag, useLiveStanding } from './live';

interface TiltArcProps {
  latitude: number;
  longitude: number;
  bestTilt: number | undefined;
  now: Date;
}

const radians = Math.PI / 180;
const margin = 26;
/** px of the scale's figures beside the arc. */
const scaleWidth = 34;
/** px of a sun's name beside it, and between the names of two. */
const nameWidth = 72;
const nameHeight = 15;

/** The pane from the side on its arc of tilts, with the noon suns it looks at: dragged by its top, or nudged by keys. */
export function TiltArc(props: TiltArcProps) {
  const { latitude, longitude, bestTilt, now } = props;
  const { aim, tilt } = useLiveStanding();
  const { onBegin, onEnd, set } = liveDrag;
  const onTilt = (value: number) => set('tilt', value);
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  // On the left only the scale's figures need room, on the right the suns' names.
  const radius = Math.max(60, Math.min((width - scaleWidth - nameWidth) / 2, height - margin - 16));
  /** The pane leans back to the left; the sun it looks at stands on the right. */
  const onArc = (angle: number, far = radius): [number, number] => [
    far * Math.cos(angle * radians),
    -far * Math.sin(angle * radians),
  ];
  const knob = useDrag<SVGGElement>({
    onBegin,
    onMove: ({ x, y }) => onTilt(Math.min(90, Math.max(0, Math.round(180 - Math.atan2(-y, x) / radians)))),
    onEnd,
  });
  const year = now.getUTCFullYear();
  const suns = (
    [
      ['June', new Date(Date.UTC(year, 5, 21, 12)), latitude >= 0 ? 'hot' : 'cold'],
      ['Dec', new Date(Date.UTC(year, 11, 21, 12)), latitude >= 0 ? 'cold' : 'hot'],
      ['today', now, 'ochre'],
    ] as const
  ).flatMap(([name, at, colour]) => {
    const noon = noonSun(at, latitude, longitude);
    if (noon.height <= 0) return [];
    const facing = Math.cos((noon.azimuth - aim) * radians) >= 0;
    return [{ name, colour, height: noon.height, angle: facing ? noon.height : 180 - noon.height }];
  });
  // Names that would lie over each other are moved apart, the highest sun's first.
  const named = suns
    .map((sun) => ({ ...sun, at: onArc(sun.angle), line: onArc(sun.angle)[1], beside: onArc(sun.angle)[0] }))
    .sort((a, b) => a.line - b.line);
  for (const [index, sun] of named.entries()) {
    const above = named[index - 1];
    const near = above && Math.abs(above.at[0] - sun.at[0]) < 2 * nameWidth;
    if (above && near && above.line + nameHeight > sun.line) {
      sun.line = above.line + nameHeight;
      // Names one under the other begin at one edge, clear of every sun beside them.
      const edge = Math.max(sun.beside, above.beside);
      sun.beside = edge;
      above.beside = edge;
    }
  }
  const top = onArc(180 - tilt);
  const square = onArc(90 - tilt, radius * 0.55);
  return (
    <Box ref={ref} w="100%" h="100%" minH="210px" data-room role="group" aria-label="The pane from the side">
      {width > 0 && height > 0 && (
        // biome-ignore lint/a11y/noSvgWithoutTitle: named by the group about it; a title would pop up everywhere over it
        <svg width={width} height={height} viewBox={`0 0 ${width} ${height}`}>
          <g transform={`translate(${Math.max(scaleWidth + radius, (width - nameWidth) / 2)} ${radius + margin})`}>
            <path d={pathArc(radius, 180, 90)} fill="none" stroke={ink('soft')} strokeWidth={1.5} />
            <path d={pathArc(radius, 90, 0)} fill="none" stroke={ink('line')} strokeDasharray="2 4" />
            {Array.from({ length: 19 }, (_, index) => index * 5).map((at) => {
              const [x1, y1] = onArc(180 - at);
              const [x2, y2] = onArc(180 - at, radius + (at % 10 === 0 ? 9 : 5));
              return <line key={at} x1={x1} y1={y1} x2={x2} y2={y2} stroke={ink('soft')} />;
            })}
            {[0, 30, 60, 90].map((at) => {
              const [x, y] = onArc(180 - at, radius + 19);
              return (
                <SvgText
                  key={at}
                  x={x}
                  y={y}
                  textAnchor="middle"
                  dominantBaseline="central"
                  size={12}
                  fill={ink('soft')}
                >
                  {at}°
                </SvgText>
              );
            })}
            <line x1={-radius - 12} x2={radius + 12} y1={0} y2={0} stroke={ink('ink')} strokeWidth={1.5} />
            {named.map(({ name, colour, angle, height: high, at: [x, y], line, beside }) => {
              return (
                <g key={name}>
                  <line x2={x} y2={y} stroke={ink(colour)} strokeWidth={1.5} strokeDasharray="5 4" />
                  <circle cx={x} cy={y} r={7} fill={ink(colour)} stroke={ink('card')} strokeWidth={2} />
                  <SvgText
                    x={angle > 90 ? x - 12 : beside + 12}
                    y={line}
                    textAnchor={angle > 90 ? 'end' : 'start'}
                    dominantBaseline="central"
                    size={12.5}
                    bold={name !== 'today'}
                    fill={ink('ink')}
                  >
                    {name} {Math.round(high)}°
                  </SvgText>
                </g>
              );
            })}
            {bestTilt !== undefined && (
              <g transform={`rotate(${bestTilt}) translate(${-radius} 0)`}>
                <title>{`Most sun over the year: ${Math.round(bestTilt)}°`}</title>
                <path d="M-1 0L-12 -6V6Z" fill={ink('copper')} />
              </g>
            )}
            {/* Square out of the pane: what it looks at. */}
            <path d={`M0 0L${square[0]} ${square[1]}`} stroke={ink('paneText')} strokeWidth={1.5} />
            <path d={`M0 0L${top[0]} ${top[1]}`} stroke={ink('pane')} strokeWidth={7} strokeLinecap="round" />
            <g
              ref={knob}
              transform={`translate(${top[0]} ${top[1]})`}
              style={{ cursor: 'grab', touchAction: 'none' }}
              {...sliderKeys('Tilt of the pane', `${Math.round(tilt)} degrees from level`, {
                value: tilt,
                low: 0,
                high: 90,
                onValue: onTilt,
              })}
            >
              <circle className="thumb" r={20} fill="transparent" />
              <circle r={10} fill={ink('paneFill')} stroke={ink('card')} strokeWidth={2.5} />
            </g>
          </g>
        </svg>
      )}
    </Box>
  );
}

/** An arc about the middle from one angle to another, counter-clockwise from the right. */
function pathArc(radius: number, from: number, to: number): string {
  const at = (angle: number) => `${radius * Math.cos(angle * radians)} ${-radius * Math.sin(angle * radians)}`;
  return `M${at(from)}A${radius} ${radius} 0 0 1 ${at(to)}`;
}
