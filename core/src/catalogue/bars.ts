import { type Habit, inch } from '../quantity';
import { materials } from './materials';

/** A drawn aluminium bar: flat, or with a stem in the middle of its flange. */
export interface Bar {
  id: string;
  name: string;
  /** m. Flange, and the whole height over it; a flat bar is as high as it is thick. */
  width: number;
  height: number;
  thickness: number;
  lengths: readonly number[];
  /** Whose shops sell it. */
  tape: Habit;
  source: string;
}

function flat(tape: Habit, id: string, name: string, width: number, thickness: number): Bar {
  const lengths = tape === 'metric' ? [1, 2] : [4, 8].map((feet) => feet * 12 * inch);
  return { id, name, width, height: thickness, thickness, lengths, tape, source: 'trade: drawn flat bar as sold' };
}

/** By their width, ascending: the next one that covers a rim is the first that is wide enough. */
export const bars: readonly Bar[] = [
  ...[15, 20, 25, 30, 40, 50, 60].map((width) =>
    flat('metric', `flat-${width}x5`, `Aluminium flat ${width} × 5`, width / 1000, 0.005),
  ),
  ...(
    [
      ['3_4', '3/4', 0.75],
      ['1', '1', 1],
      ['1-1_4', '1 1/4', 1.25],
      ['1-1_2', '1 1/2', 1.5],
      ['2', '2', 2],
      ['2-1_2', '2 1/2', 2.5],
    ] as const
  ).map(([id, said, width]) =>
    flat('imperial', `flat-${id}x3_16`, `Aluminium flat ${said} × 3/16″`, width * inch, (3 / 16) * inch),
  ),
  {
    id: 'tee-20x20x2',
    name: 'Aluminium T bar 20 × 20 × 2',
    width: 0.02,
    height: 0.02,
    thickness: 0.002,
    lengths: [1, 2],
    tape: 'metric',
    source: 'trade: drawn T bar as sold',
  },
  {
    id: 'tee-3_4x3_4x1_16',
    name: 'Aluminium T bar 3/4 × 3/4 × 1/16″',
    width: 0.75 * inch,
    height: 0.75 * inch,
    thickness: inch / 16,
    lengths: [4, 8].map((feet) => feet * 12 * inch),
    tape: 'imperial',
    source: 'trade: drawn T bar as sold',
  },
];

/** kg/m of a bar: its flange, and a stem where it has one. */
export function barMass({ width, height, thickness }: Bar): number {
  return (width + height - thickness) * thickness * materials.aluminium.density;
}
