import { inch } from '../quantity';
/** A soldered copper elbow of 90° for one size of tube; m. */
export interface Elbow {
  /** Tube that goes in. */
  outerDiameter: number;
  /** Middle of the bend to the stop in its socket: the laying length. */
  laying: number;
  /** How deep the socket is. */
  socket: number;
  /** Across the outside of the fitting. */
  across: number;
  /** Middle of the bend to the end of the spigot of a street elbow. */
  spigot: number;
}

/**
 * Socket depths are those of EN 1254-1 and ASME B16.22. Laying lengths are left to the makers and differ by millimetres:
 * usual ones, from the trade. Dry-fit yours.
 */
const elbows: readonly Elbow[] = [
  ...(
    [
      [10, 8.5, 7.8],
      [12, 10, 8.6],
      [15, 12, 10.6],
      [18, 14, 12.6],
      [22, 17, 15.4],
      [28, 22, 18.4],
      [35, 27, 23],
      [42, 32, 27],
    ] as const
  ).map(([outside, laying, socket]) => of(outside / 1000, laying / 1000, socket / 1000)),
  ...(
    [
      [0.375, 0.31, 0.31],
      [0.5, 0.38, 0.38],
      [0.625, 0.5, 0.5],
      [0.875, 0.69, 0.75],
      [1.125, 0.88, 0.91],
      [1.375, 1.06, 0.97],
      [1.625, 1.25, 1.09],
    ] as const
  ).map(([outside, laying, socket]) => of(outside * inch, laying * inch, socket * inch)),
];

function of(outerDiameter: number, laying: number, socket: number): Elbow {
  return { outerDiameter, laying, socket, across: outerDiameter + 0.0022, spigot: laying + socket };
}

/** The elbow that takes a tube. Every tube of the catalogue has one. */
export function elbowFor(outerDiameter: number): Elbow {
  const found = elbows.find((elbow) => Math.abs(elbow.outerDiameter - outerDiameter) < 1e-5);
  return found ?? of(outerDiameter, 0.8 * outerDiameter, 0.75 * outerDiameter);
}
