import { foot, type Habit, inch } from '../quantity';
import type { MaterialId } from './materials';

/** Black hose or pipe of plastic or rubber, sold by the roll. */
export interface Hose {
  id: string;
  name: string;
  material: MaterialId;
  /** m. */
  outerDiameter: number;
  wall: number;
  /** m. As rolls are sold. */
  rolls: readonly number[];
  /** Least radius of a bend, to the middle of the hose, as a multiple of its outside; tighter it flattens and kinks. */
  bendOver: number;
  /** Pa at 20 °C. */
  rating: number;
  /** Whose shops sell it. */
  tape: Habit;
  source: string;
}

const bar = 1e5;

/** EN 12201-2, PE 80 SDR 11: outside and wall, mm. */
const metricPipe: readonly [outside: number, wall: number][] = [
  [20, 2],
  [25, 2.3],
  [32, 3],
];
/** ASTM D2239, SIDR 15: nominal size, inside diameter and wall, inches. */
const americanPipe: readonly [size: string, inside: number, wall: number][] = [
  ['1/2', 0.622, 0.06],
  ['3/4', 0.824, 0.06],
  ['1', 1.049, 0.07],
];

export const hoses: readonly Hose[] = [
  ...metricPipe.map(
    ([outside, wall]): Hose => ({
      id: `pe-${outside}x${wall}`,
      name: `${outside} × ${wall} black polyethylene pipe`,
      material: 'polyethylene',
      outerDiameter: outside / 1000,
      wall: wall / 1000,
      rolls: [25, 50, 100],
      bendOver: 12,
      rating: 12.5 * bar,
      tape: 'metric',
      source: 'EN 12201-2, PE 80 SDR 11, PN 12.5 at 20 °C; bend: trade, 12 outsides laid warm',
    }),
  ),
  {
    id: 'epdm-19x4',
    name: '19 bore black EPDM heater hose',
    material: 'epdm',
    outerDiameter: 0.027,
    wall: 0.004,
    rolls: [20, 40],
    bendOver: 5,
    rating: 6 * bar,
    tape: 'metric',
    source: 'makers of heater hose to ISO 4081: 6 bar; bend five outsides',
  },
  {
    id: 'garden-13x2.5',
    name: '13 bore black garden hose',
    material: 'softPvc',
    outerDiameter: 0.018,
    wall: 0.0025,
    rolls: [15, 25, 50],
    bendOver: 6,
    rating: 8 * bar,
    tape: 'metric',
    source: 'EN ISO 1307, bore 12.5; makers: 8 bar at 20 °C; bend: trade, six outsides',
  },
  ...americanPipe.map(
    ([size, inside, wall]): Hose => ({
      id: `d2239-${size.replace('/', '_')}`,
      name: `${size}″ black polyethylene pipe`,
      material: 'polyethylene',
      outerDiameter: (inside + 2 * wall) * inch,
      wall: wall * inch,
      rolls: [100 * foot, 200 * foot, 300 * foot],
      bendOver: 12,
      rating: 6.9 * bar,
      tape: 'imperial',
      source: 'ASTM D2239, SIDR 15, 100 psi at 23 °C; bend: trade, 12 outsides laid warm',
    }),
  ),
  {
    id: 'epdm-3_4',
    name: '3/4″ black EPDM heater hose',
    material: 'epdm',
    outerDiameter: 1.06 * inch,
    wall: 0.155 * inch,
    rolls: [50 * foot, 100 * foot],
    bendOver: 5,
    rating: 6 * bar,
    tape: 'imperial',
    source: 'makers of heater hose to SAE J20: 6 bar; bend five outsides',
  },
  {
    id: 'garden-5_8',
    name: '5/8″ black garden hose',
    material: 'softPvc',
    outerDiameter: 0.86 * inch,
    wall: 0.118 * inch,
    rolls: [50 * foot, 100 * foot],
    bendOver: 6,
    rating: 8 * bar,
    tape: 'imperial',
    source: 'makers: 8 bar at 20 °C; bend: trade, six outsides',
  },
];

/** m. Inside of a hose. */
export function hoseBore({ outerDiameter, wall }: Hose): number {
  return outerDiameter - 2 * wall;
}

/** Share of its cold rating that a pipe or hose keeps, by °C; nothing above the last. */
const deratings: Readonly<Record<'polyethylene' | 'epdm' | 'softPvc' | 'pvc', readonly (readonly [number, number])[]>> =
  {
    // EN ISO 13761 as EN 12201-2 annex A gives it to 40 °C; 45 °C is where makers stop for water under pressure.
    polyethylene: [
      [20, 1],
      [30, 0.87],
      [40, 0.74],
      [45, 0.6],
    ],
    // Makers of heater hose rate it at its hottest.
    epdm: [
      [20, 1],
      [100, 0.5],
      [120, 0.3],
    ],
    // Makers of garden hose: a third at 50 °C.
    softPvc: [
      [20, 1],
      [40, 0.5],
      [50, 0.33],
    ],
    // Derating of PVC pipe to ASTM D1785 and D2241, table of makers and ASTM F1970: 73 to 140 °F.
    pvc: [
      [23, 1],
      [27, 0.88],
      [32, 0.75],
      [38, 0.62],
      [43, 0.51],
      [49, 0.4],
      [54, 0.31],
      [60, 0.22],
    ],
  };

/**
 * Share of its rating at 20 °C that plastic or rubber pipe keeps at a temperature (°C), straight between the rows of its table; 0 above the
 * last of them, where it has no rating left.
 */
export function pressureDerating(material: keyof typeof deratings, temperature: number): number {
  const rows = deratings[material];
  const last = rows[rows.length - 1] as readonly [number, number];
  if (temperature > last[0]) return 0;
  const above = rows.findIndex(([at]) => temperature <= at);
  const [hot, weak] = rows[above] ?? last;
  const [cold, strong] = rows[above - 1] ?? [hot, weak];
  return hot === cold ? weak : strong + ((weak - strong) * (temperature - cold)) / (hot - cold);
}
