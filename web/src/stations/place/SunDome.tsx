import { Box } from '@chakra-ui/react';
import { type PathPoint, type SunPosition, sunPath } from '@north-pane/core';
import { arc, line } from 'd3';
import { useMemo } from 'react';
import { SvgText } from '../../drawing/SvgText';
import { useSize } from '../../parts/useSize';
import { ink } from '../../theme/ink';

interface Site {
  latitude: number;
  longitude: number;
  elevation: number;
}

const radians = Math.PI / 180;

/** The sky from above, north up: the sun's path at both solstices, the equinox and today, and which way the pane looks. */
export function SunDome({ site, aim, tilt, today }: { site: Site; aim: number; tilt: number; today: Date }) {
  const [ref, { width, height }] = useSize<HTMLDivElement>();
  const size = Math.min(width, height || width);
  const radius = Math.max(40, size / 2 - 30);
  const { latitude, longitude, elevation } = site;
  const year = today.getUTCFullYear();
  const paths = useMemo(() => {
    const of = (near: Date) => sunPath({ near, latitude, longitude, elevation });
    const day = (month: number, date: number) => of(new Date(Date.UTC(year, month, date, 12)));
    return { june: day(5, 21), december: day(11, 21), equinox: day(2, 20), today: of(today) };
  }, [latitude, longitude, elevation, year, today]);
  // Straight up in the middle, the horizon at the rim: zenith angle is distance.
  const at = ({ zenith, azimuth }: SunPosition): [number, number] => [
    (radius * zenith * Math.sin(azimuth * radians)) / 90,
    (-radius * zenith * Math.cos(azimuth * radians)) / 90,
  ];
  const draw = line<PathPoint>(
    (point) => at(point)[0],
    (point) => at(point)[1],
  );
  const pane = at({ zenith: tilt, azimuth: aim });
  const wing = (offset: number) => at({ zenith: 90, azimuth: aim + offset });
  const named: [keyof typeof paths, string, string, number][] = [
    ['june', 'June', latitude >= 0 ? 'hot' : 'cold', 2],
    ['december', 'December', latitude >= 0 ? 'cold' : 'hot', 2],
    ['equinox', 'March, September', 'soft', 1.5],
    ['today', 'today', 'ink', 3],
  ];
  return (
    <Box ref={ref} w="100%" h="100%" minH="260px">
      {size > 0 && (
        <svg
          width={width}
          height={size}
          role="img"
          aria-label={`Sun paths at latitude ${latitude.toFixed(1)}; pane aimed ${Math.round(aim)} degrees from north, tilted ${Math.round(tilt)}`}
        >
          <g transform={`translate(${width / 2} ${size / 2})`}>
            <circle r={radius} fill={ink('card')} stroke={ink('ink')} strokeWidth={1.5} />
            {[30, 60].map((zenith) => (
              <g key={zenith}>
                <circle r={(radius * zenith) / 90} fill="none" stroke={ink('line')} />
                <SvgText x={4} y={(radius * zenith) / 90 - 4} size={12} fill={ink('soft')}>
                  {90 - zenith}°
                </SvgText>
              </g>
            ))}
            <path d={`M0 ${-radius}V${radius}M${-radius} 0H${radius}`} stroke={ink('line')} />
            {[
              ['N', 0],
              ['E', 90],
              ['S', 180],
              ['W', 270],
            ].map(([letter, azimuth]) => {
              const [x, y] = at({ zenith: 90 + 1100 / radius, azimuth: Number(azimuth) });
              return (
                <SvgText
                  key={letter}
                  x={x}
                  y={y}
                  textAnchor="middle"
                  dominantBaseline="central"
                  size={15}
                  bold
                  heading
                  fill={ink('ink')}
                >
                  {letter}
                </SvgText>
              );
            })}
            {/* What the pane can see of the sky: the half of it on its own side. */}
            <path
              d={
                arc()({
                  innerRadius: 0,
                  outerRadius: radius,
                  startAngle: (aim - 90) * radians,
                  endAngle: (aim + 90) * radians,
                }) ?? ''
              }
              fill={ink('pane')}
              opacity={0.09}
            />
            {named.map(([key, , colour, strokeWidth]) => (
              <path key={key} d={draw(paths[key]) ?? ''} fill="none" stroke={ink(colour)} strokeWidth={strokeWidth} />
            ))}
            {named.slice(0, 2).map(([key, words, colour]) => {
              const path = paths[key];
              const noon = path[Math.floor(path.length / 2)];
              if (!noon) return null;
              const [x, y] = at(noon);
              return (
                <SvgText
                  key={key}
                  x={x}
                  y={colour === 'hot' ? y + 18 : y - 8}
                  textAnchor="middle"
                  size={13}
                  bold
                  fill={ink(colour === 'hot' ? 'copperText' : 'paneText')}
                >
                  {words}
                </SvgText>
              );
            })}
            <HourTicks path={paths.today} at={at} />
            <path
              d={`M${wing(-90)[0]} ${wing(-90)[1]}L${wing(90)[0]} ${wing(90)[1]}`}
              stroke={ink('paneText')}
              strokeWidth={1.5}
              strokeDasharray="6 4"
            />
            <path d={`M0 0L${pane[0]} ${pane[1]}`} stroke={ink('paneText')} strokeWidth={3} />
            <rect
              x={pane[0] - 7}
              y={pane[1] - 7}
              width={14}
              height={14}
              fill={ink('pane')}
              stroke={ink('card')}
              strokeWidth={2}
            />
          </g>
        </svg>
      )}
    </Box>
  );
}

/** A dot on today's path at each whole solar hour. */
function HourTicks({ path, at }: { path: readonly PathPoint[]; at(position: SunPosition): [number, number] }) {
  const middle = Math.floor(path.length / 2);
  return path.map((point, index) => {
    if ((index - middle) % 6 !== 0) return null;
    const [x, y] = at(point);
    return <circle key={point.at.getTime()} cx={x} cy={y} r={index === middle ? 5 : 3} fill={ink('ink')} />;
  });
}
