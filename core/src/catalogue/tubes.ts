import { foot, type Habit, inch, psi } from '../quantity';
import type { MaterialId } from './materials';

/** Tube as shops sell it: of copper where nothing else is said. */
export interface Tube {
  id: string;
  name: string;
  standard: string;
  /** m. */
  outerDiameter: number;
  /** m. */
  wall: number;
  /** m. Usual lengths sold. */
  lengths: readonly number[];
  /** Sold straight and hard, soft in a coil, or of plastic, which is neither soldered nor hot. */
  temper: 'hard' | 'coil' | 'plastic';
  material?: MaterialId;
  /** Pa at 20 °C, of plastic. */
  rating?: number;
  /** Whose shops sell it. */
  tape: Habit;
}

/** ASTM B88, table 1: nominal size -> [outside diameter, wall K, wall L, wall M], inches. */
const astmB88: [size: string, outside: number, k: number, l: number, m: number | undefined][] = [
  ['1/4', 0.375, 0.035, 0.03, undefined],
  ['3/8', 0.5, 0.049, 0.035, 0.025],
  ['1/2', 0.625, 0.049, 0.04, 0.028],
  ['3/4', 0.875, 0.065, 0.045, 0.032],
  ['1', 1.125, 0.065, 0.05, 0.035],
  ['1-1/4', 1.375, 0.065, 0.055, 0.042],
  ['1-1/2', 1.625, 0.072, 0.06, 0.049],
];

/** EN 1057, table of recommended dimensions: outside diameter and wall, millimetres, hard (R250/R290). */
const en1057Hard: [outside: number, wall: number][] = [
  [10, 0.7],
  [12, 0.7],
  [15, 0.7],
  [15, 1],
  [18, 1],
  [22, 0.9],
  [22, 1],
  [28, 0.9],
  [28, 1],
  [35, 1.2],
  [42, 1.2],
];

/** EN 1057 R220, soft in coils. */
const en1057Soft: [outside: number, wall: number][] = [
  [10, 0.8],
  [12, 0.8],
  [15, 1],
];

function american(): Tube[] {
  const tubes: Tube[] = [];
  for (const [size, outside, k, l, m] of astmB88) {
    for (const [type, wall] of [['K', k] as const, ['L', l] as const, ['M', m] as const]) {
      if (wall === undefined) continue;
      tubes.push({
        id: `astm-b88-${type.toLowerCase()}-${size.replace('/', '_')}`,
        name: `${size}″ copper, type ${type}`,
        standard: 'ASTM B88',
        outerDiameter: outside * inch,
        wall: wall * inch,
        lengths: [10 * foot, 20 * foot],
        temper: 'hard',
        tape: 'imperial',
      });
    }
  }
  for (const [size, outside, wall] of [['3/8', 0.5, 0.035] as const, ['1/2', 0.625, 0.04] as const])
    tubes.push({
      id: `astm-b88-l-coil-${size.replace('/', '_')}`,
      name: `${size}″ soft copper coil, type L`,
      standard: 'ASTM B88',
      outerDiameter: outside * inch,
      wall: wall * inch,
      lengths: [60 * foot],
      temper: 'coil',
      tape: 'imperial',
    });
  return tubes;
}

function european(): Tube[] {
  const tube = (outside: number, wall: number, temper: Tube['temper']): Tube => ({
    id: `en-1057-${temper === 'coil' ? 'coil-' : ''}${outside}x${wall}`,
    name: `${outside} × ${wall} copper${temper === 'coil' ? ' coil' : ''}`,
    standard: 'EN 1057',
    outerDiameter: outside / 1000,
    wall: wall / 1000,
    lengths: temper === 'coil' ? [25] : [3, 5],
    temper,
    tape: 'metric',
  });
  return [
    ...en1057Hard.map(([outside, wall]) => tube(outside, wall, 'hard')),
    ...en1057Soft.map(([outside, wall]) => tube(outside, wall, 'coil')),
  ];
}

/** EN 1452-2, PVC-U, PN 10: outside and wall, mm. */
const en1452: readonly [outside: number, wall: number][] = [
  [110, 4.2],
  [160, 6.2],
  [200, 7.7],
  [250, 9.6],
  [315, 12.1],
];
/** ASTM D1785, schedule 40: nominal size, outside and wall, inches; rating at 23 °C, psi. */
const astmD1785: readonly [size: number, outside: number, wall: number, rating: number][] = [
  [4, 4.5, 0.237, 220],
  [6, 6.625, 0.28, 180],
  [8, 8.625, 0.322, 160],
  [10, 10.75, 0.365, 140],
  [12, 12.75, 0.406, 130],
];

function plastic(): Tube[] {
  return [
    ...en1452.map(
      ([outside, wall]): Tube => ({
        id: `pvc-${outside}x${wall}`,
        name: `${outside} × ${wall} PVC pipe`,
        standard: 'EN 1452-2',
        outerDiameter: outside / 1000,
        wall: wall / 1000,
        lengths: [3, 5],
        temper: 'plastic',
        material: 'pvc',
        rating: 10e5,
        tape: 'metric',
      }),
    ),
    ...astmD1785.map(
      ([size, outside, wall, rating]): Tube => ({
        id: `d1785-40-${size}`,
        name: `${size}″ PVC pipe, schedule 40`,
        standard: 'ASTM D1785',
        outerDiameter: outside * inch,
        wall: wall * inch,
        lengths: [10 * foot, 20 * foot],
        temper: 'plastic',
        material: 'pvc',
        rating: rating * psi,
        tape: 'imperial',
      }),
    ),
  ];
}

export const tubes: readonly Tube[] = [...european(), ...american(), ...plastic()];

/** m. Inside diameter. */
export function bore(tube: Tube): number {
  return tube.outerDiameter - 2 * tube.wall;
}
