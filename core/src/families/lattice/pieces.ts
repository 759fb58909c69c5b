import type { Point } from '../../draw';
import { paneBarParts, paneBarPlaces, paneBarSlots } from '../../glazings';
import { barPiece, type HoleSchedule, holeRow, type Part, sheetPiece, timberPiece } from '../../shop';
import type { LatticeLayout } from './layout';

/** m. What goes through the back for a bulkhead fitting of half an inch. */
export const portHole = 0.021;
/** m. Across a threaded flange of half an inch with four screws. Trade. */
export const portFlange = 0.056;

/** Rows of bolt holes through a sheet: along both long rims, and across the grid from rim to rim. */
function sheetRows(layout: LatticeLayout): HoleSchedule[] {
  const { parameters, boltHole, lines } = layout;
  const { length, width, rim } = parameters;
  const [first = 0, ...rest] = lines.across;
  return [
    holeRow('low edge', lines.along, {
      diameter: boltHole,
      where: 'for the bolts of the long rims',
      across: { from: 'first long edge', distance: rim / 2, more: [width - rim / 2] },
    }),
    ...(lines.across.length > 0
      ? [
          holeRow('low edge', [rim / 2, ...lines.along.slice(1, -1), length - rim / 2], {
            diameter: boltHole,
            where: 'for the bolts of the grid and of the short rims',
            across: { from: 'first long edge', distance: first, ...(rest.length > 0 ? { more: rest } : {}) },
          }),
        ]
      : []),
  ];
}

/** Ways in and out, a row of one at each corner that has one. */
function portRows({ ports }: LatticeLayout): HoleSchedule[] {
  return ports.map(({ x, y }) =>
    holeRow('low edge', [x], {
      diameter: portHole,
      where: 'for a port; its flange’s own holes are marked through it',
      across: { from: 'first long edge', distance: y },
    }),
  );
}

/** Flat bars on both faces along the edge: the long ones from corner to corner, the short ones between. */
function rimParts(prefix: string, layout: LatticeLayout): Part[] {
  const { parameters, rimBar, boltHole, lines } = layout;
  const { length, width, rim } = parameters;
  // Between the long bars, which may be wider than the rim is wetted from.
  const short = width - 2 * rimBar.width;
  const bar = (id: string, name: string, long: number, positions: readonly number[]) =>
    barPiece(prefix, rimBar, id, name, {
      length: long,
      count: 4,
      operations: ['drill through the sheets’ own holes, deburr', 'round the inner edges: a sharp one cuts the sheet'],
      holes:
        positions.length > 0
          ? [
              holeRow('either end', positions, {
                diameter: boltHole,
                where: 'for the rim bolts',
                across: { from: 'outer edge', distance: rim / 2 },
              }),
            ]
          : [],
    });
  return [
    bar('rim-long', 'Rim bar, long', length, lines.along),
    ...(short > 0
      ? [
          bar(
            'rim-short',
            'Rim bar, short',
            short,
            lines.across.map((y) => y - rimBar.width),
          ),
        ]
      : []),
  ];
}

/** Every so many bolts of a rim, one goes on through the lath. */
const longEvery = 4;

/** Places of a rim's bolts that go through the lath, both ends among them, and of those that stay under it. */
export function lathBolts(positions: readonly number[]): { long: number[]; under: number[] } {
  const last = positions.length - 1;
  const isLong = (index: number) => index === 0 || index === last || index % longEvery === 0;
  return {
    long: positions.filter((_, index) => isLong(index)),
    under: positions.filter((_, index) => !isLong(index)),
  };
}

/** Whether a bolt of the rim ends on the bar or goes on through the lath. */
export function rimBoltRole({ glazing, lines, parameters }: LatticeLayout, { x, y }: Point): 'bolt-rim' | 'bolt-lath' {
  if (!glazing.cover) return 'bolt-rim';
  const { length, rim } = parameters;
  const onShort = Math.min(x, length - x) < rim - 1e-9;
  const [row, at] = onShort ? [lines.across, y] : [lines.along, x];
  return lathBolts(row).long.some((one) => Math.abs(one - at) < 1e-9) ? 'bolt-lath' : 'bolt-rim';
}

/** Laths on the front rim bars that hold the cover off, let in over the bolts under them. */
function lathParts(prefix: string, layout: LatticeLayout): Part[] {
  const { parameters, lathTimber, lathHeight, boltHole, headRoom, glazing, lines, sheet } = layout;
  const { length, width, rim } = parameters;
  if (!glazing.cover) return [];
  const lath = (id: string, name: string, long: number, positions: readonly number[], bars: readonly number[]) => {
    const { long: through, under } = lathBolts(positions);
    const at = { from: 'outer edge', distance: rim / 2 };
    return timberPiece(prefix, lathTimber, id, name, {
      length: long,
      count: 2,
      section: { width: rim, thickness: lathHeight },
      holes: [
        ...(through.length > 0
          ? [
              holeRow('either end', through, {
                diameter: boltHole,
                where: 'for the long bolts, nuts sunk above',
                across: at,
              }),
            ]
          : []),
        ...(under.length > 0
          ? [
              holeRow('either end', under, {
                diameter: headRoom,
                where: 'from below, room for the bolts under it',
                across: at,
              }),
            ]
          : []),
      ],
      recesses: paneBarSlots(bars, { up: lathHeight, into: { from: 0, to: rim }, tape: sheet.tape }).map((slot) => ({
        ...slot,
        up: slot.into,
        into: slot.up,
        onFace: true as const,
      })),
    });
  };
  return [
    lath('lath-long', 'Lath, long', length, lines.along, paneBarPlaces(glazing.bars.count, length)),
    ...(width - 2 * rim > 0
      ? [
          lath(
            'lath-short',
            'Lath, short',
            width - 2 * rim,
            lines.across.map((y) => y - rim),
            [],
          ),
        ]
      : []),
    ...paneBarParts(prefix, glazing.bars, { length: width, stem: rim, tape: sheet.tape }),
  ];
}

/** Everything of a lattice that is cut. */
export function latticePieces(prefix: string, layout: LatticeLayout): Part[] {
  const { parameters, sheet, wool } = layout;
  const { length, width, rim } = parameters;
  const piece = (id: string, name: string, operations: string[], ports: HoleSchedule[]): Part =>
    sheetPiece(prefix, sheet, id, name, {
      width: length,
      height: width,
      count: 1,
      operations,
      holes: [...sheetRows(layout), ...ports],
      datum: { end: 'low edge', side: 'left' },
    });
  const inside = { length: length - 2 * rim, width: width - 2 * rim };
  const along = wool ? Math.ceil(inside.length / Math.max(wool.width, wool.height) - 1e-9) : 0;
  const across = wool ? Math.ceil(inside.width / Math.min(wool.width, wool.height) - 1e-9) : 0;
  return [
    piece(
      'front',
      'Front sheet',
      ['drill both sheets at once', 'deburr both faces', 'degrease, prime, paint black'],
      [],
    ),
    piece('back', 'Back sheet', ['drill both sheets at once', 'deburr both faces'], portRows(layout)),
    ...rimParts(prefix, layout),
    ...lathParts(prefix, layout),
    ...(wool
      ? [
          sheetPiece(prefix, wool, 'backing', 'Wool behind it', {
            width: inside.length / along,
            height: inside.width / across,
            count: along * across,
          }),
        ]
      : []),
  ];
}
