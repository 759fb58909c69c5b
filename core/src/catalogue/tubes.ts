import { type Habit, inch } from '../quantity';

/** Copper tube as shops sell it. */
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
  /** Sold straight and hard, or soft in a coil. */
  temper: 'hard' | 'coil';
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
        lengths: [10 * 0.3048, 20 * 0.3048],
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
      lengths: [60 * 0.3048],
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

export const tubes: readonly Tube[] = [...european(), ...american()];

/** m. Inside diameter. */
export function bore(tube: Tube): number {
  return tube.outerDiameter - 2 * tube.wall;
}
