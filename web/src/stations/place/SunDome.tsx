import { Box } from '@chakra-ui/react';
import type { Job } from '@north-pane/core/document';
import { hourMarks, paneEdge, sunPath, sunPosition, sunTimes, yearPaths } from '@north-pane/core/sky';
import { SvgText } from '../../drawing/SvgText';
import { useSize } from '../../parts/useSize';
import { ink } from '../../theme/ink';
import { AimWheel, wheelWidth } from './AimWheel';
import { type Dome, domeOf, pathOf } from './dome';
import { liveDrag, useLiveStanding } from './live';
import { Skyline } from './Skyline';

interface SunDomeProps {
  site: Job['site'];
  now: Date;
  /** Degrees; the aim at which a fixed pane gets most, when it is worked out. */
  bestAim: number | undefined;
}

/**
 * The sky over the site: the year's paths of the sun with today's hours, the skyline to be drawn by pulling it up, and the
 * aim of the pane as a handle on the rim.
 */
export function SunDome(props: SunDomeProps) {
  const { site, now, bestAim } = props;
  const { aim, tilt, horizon } = useLiveStanding();
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const size = Math.min(width, height || width);
  const dome = domeOf(Math.max(40, size / 2 - wheelWidth - 2));
  const edge = paneEdge({ tilt, aim });
  const pane = dome.at({ zenith: tilt, azimuth: aim });
  // What lies behind the pane: between its edge over the sky and the rim on its back.
  const back = Array.from({ length: 61 }, (_, index) => dome.at({ zenith: 90, azimuth: aim + 270 - index * 3 }));
  return (
    <Box
      ref={ref}
      w="100%"
      h="100%"
      minH="300px"
      data-room
      role="group"
      aria-label="The sky from above, north up, the horizon at the rim"
    >
      {size > 0 && (
        // biome-ignore lint/a11y/noSvgWithoutTitle: named by the group about it; a title would pop up everywhere over it
        <svg width={width} height={size} viewBox={`0 0 ${width} ${size}`}>
          <g transform={`translate(${width / 2} ${size / 2})`}>
            <circle r={dome.radius} fill={ink('card')} stroke={ink('ink')} strokeWidth={1.5} />
            {[30, 60].map((zenith) => (
              <circle
                key={zenith}
                r={(dome.radius * zenith) / 90}
                fill="none"
                stroke={ink('line')}
                strokeDasharray="2 4"
              />
            ))}
            <path d={`M0 ${-dome.radius}V${dome.radius}M${-dome.radius} 0H${dome.radius}`} stroke={ink('line')} />
            <path d={pathOf([...edge.map(dome.at), ...back], true)} fill={ink('ink')} opacity={0.07} />
            <Paths site={site} dome={dome} now={now} />
            <path
              d={pathOf(edge.map(dome.at))}
              fill="none"
              stroke={ink('paneText')}
              strokeWidth={1.5}
              strokeDasharray="6 4"
            />
            <path d={`M0 0L${pane[0]} ${pane[1]}`} stroke={ink('paneText')} strokeWidth={2} />
            <rect
              x={pane[0] - 6}
              y={pane[1] - 6}
              width={12}
              height={12}
              fill={ink('pane')}
              stroke={ink('card')}
              strokeWidth={2}
            />
            <Skyline
              points={horizon}
              dome={dome}
              onPoints={(points) => liveDrag.set('horizon', points)}
              onBegin={liveDrag.onBegin}
              onEnd={liveDrag.onEnd}
            />
            {[30, 60].map((zenith) => (
              <SvgText key={zenith} x={5} y={(dome.radius * zenith) / 90 - 4} size={12} fill={ink('soft')}>
                {90 - zenith}°
              </SvgText>
            ))}
            <AimWheel
              dome={dome}
              aim={aim}
              tilt={tilt}
              bestAim={bestAim}
              onAim={(value) => liveDrag.set('aim', value)}
              onBegin={liveDrag.onBegin}
              onEnd={liveDrag.onEnd}
            />
          </g>
        </svg>
      )}
    </Box>
  );
}

/** px that the name of a path keeps from what is written beside it. */
const nameRoom = { x: 46, y: 24 };

/** A place on a path for its name: at its noon, or so far along it that it meets no hour. */
function freePlace(
  path: readonly (readonly [number, number])[],
  taken: readonly { x: number; y: number }[],
): readonly [number, number] | undefined {
  const at = (share: number) => path[Math.round(share * (path.length - 1))];
  const places = [0.5, 0.42, 0.58, 0.34, 0.66, 0.27, 0.73, 0.2, 0.8].map(at);
  const free = places.find(
    (place) =>
      place && taken.every(({ x, y }) => Math.abs(x - place[0]) > nameRoom.x || Math.abs(y - place[1]) > nameRoom.y),
  );
  return free ?? places[0];
}

const hotSide = (latitude: number, month: number) =>
  month === 5 ? latitude >= 0 : month === 11 ? latitude < 0 : undefined;

/** The year's paths, thin; both solstices by name; today's thick, with its hours and the sun where it stands now. */
function Paths({ site, dome, now }: { site: Job['site']; dome: Dome; now: Date }) {
  const { latitude, longitude, elevation, zone } = site;
  const day = Math.floor(now.getTime() / 86_400_000);
  const paths = yearPaths({ latitude, longitude, elevation }, new Date(day * 86_400_000).getUTCFullYear());
  const { noon } = sunTimes({ near: now, latitude, longitude });
  const today = sunPath({ near: noon, latitude, longitude, elevation, minutes: 5 });
  const hours = hourMarks(today, zone).map(({ hour, point }) => {
    const [x, y] = dome.at(point);
    const out = Math.hypot(x, y) || 1;
    return { hour, x, y, name: { x: x + (x / out) * 15, y: y + (y / out) * 15 } };
  });
  const taken = [
    ...hours.flatMap(({ hour, x, y, name }) => (hour % 3 === 0 ? [{ x, y }, name] : [])),
    // The figures of the rings.
    ...[30, 60].map((zenith) => ({ x: 15, y: (dome.radius * zenith) / 90 - 8 })),
  ];
  const sun = sunPosition({ at: now, latitude, longitude, elevation });
  return (
    <>
      {paths.map(({ month, name, points }) => {
        const hot = hotSide(latitude, month);
        const colour = hot === undefined ? 'line' : hot ? 'hot' : 'cold';
        const place = hot === undefined ? undefined : freePlace(points.map(dome.at), taken);
        return (
          <g key={name}>
            <path
              d={pathOf(points.map(dome.at))}
              fill="none"
              stroke={ink(colour)}
              strokeWidth={hot === undefined ? 1.25 : 2.5}
            />
            {hot !== undefined && place && (
              <SvgText
                x={place[0]}
                y={place[1] + (hot === latitude < 0 ? 18 : -8)}
                textAnchor="middle"
                size={13}
                bold
                fill={ink(hot ? 'copperText' : 'paneText')}
              >
                {name}
              </SvgText>
            )}
          </g>
        );
      })}
      <path d={pathOf(today.map(dome.at))} fill="none" stroke={ink('ink')} strokeWidth={3} />
      {hours.map(({ hour, x, y, name }) => {
        const named = hour % 3 === 0;
        return (
          <g key={hour}>
            <circle cx={x} cy={y} r={named ? 4.5 : 2.5} fill={ink('ink')} />
            {named && (
              <SvgText
                x={name.x}
                y={name.y}
                textAnchor="middle"
                dominantBaseline="central"
                size={13}
                bold
                fill={ink('ink')}
                stroke={ink('card')}
                strokeWidth={3}
                paintOrder="stroke"
              >
                {hour}
              </SvgText>
            )}
          </g>
        );
      })}
      {sun.zenith < 90 && (
        <circle
          cx={dome.at(sun)[0]}
          cy={dome.at(sun)[1]}
          r={10}
          fill={ink('ochre')}
          stroke={ink('card')}
          strokeWidth={2.5}
          data-testid="sun-now"
        />
      )}
    </>
  );
}
