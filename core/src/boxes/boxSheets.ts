import { type HoleSchedule, type Part, type Recess, sheetPiece } from '../shop';
import { type InsulationPiece, screwHole } from './box';
import { backRoom, type Frame, type PartsQuery, type TimberBox } from './frame';

/** m. A weep hole, screened. */
const weepHole = 0.008;
/** m from the inner face of the low and the high side to the row of weep holes, and from a corner's cleat to the first of a row. */
const weepIn = 0.015;

/** Back and insulation. */
export function sheetParts(made: TimberBox, frame: Frame, { prefix, tubes }: PartsQuery): Part[] {
  const { back } = made;
  const { inside } = frame;
  const under = frame.backUnder - (frame.clad > 0 ? 0 : backRoom);
  const size = { width: inside.length + 2 * under, height: inside.width + 2 * under };
  const holes = [...railScrews(frame, tubes, under), ...weepRows(made, frame, under)];
  return [
    sheetPiece(prefix, back, 'back', 'Back', {
      ...size,
      count: 1,
      operations: made.weeps > 0 ? ['a screen over every weep hole'] : [],
      holes,
      datum: { end: 'cold end', side: 'left' },
    }),
    ...insulationParts(made, frame, prefix),
  ];
}

/** Four screws through the back into each rail, each half-way between two tubes; four evenly where there are no tubes. */
function railScrews(frame: Frame, tubes: readonly number[], under: number): HoleSchedule[] {
  const between = tubes.slice(1).map((tube, index) => (tube + (tubes[index] ?? 0)) / 2 - frame.wall);
  const shares = [0, 1 / 3, 2 / 3, 1];
  const last = between.length - 1;
  const places =
    last < 0
      ? shares.map((share) => frame.inside.width * (0.1 + 0.8 * share))
      : [...new Set(shares.map((share) => Math.round(share * last)))].map((index) => between[index] ?? 0);
  const positions = places.map((place) => place + under);
  return frame.rails.map((middle) => ({
    axis: 'up',
    datum: 'low side',
    middle: ((positions[0] ?? 0) + (positions[positions.length - 1] ?? 0)) / 2,
    positions,
    diameter: screwHole,
    pilot: 0.0025,
    where: 'for the screws into the rail, between the tubes',
    across: { from: 'cold end', distance: middle + under },
  }));
}

/** Weep holes along the low edge of the slope and along the high one, clear of cleats and rails. */
function weepRows({ weeps, cleat, board }: TimberBox, frame: Frame, under: number): HoleSchedule[] {
  if (weeps === 0) return [];
  const { inside, turned, bay } = frame;
  const long = turned ? inside.length : inside.width;
  const high = turned ? inside.width : inside.length;
  const clear = Math.min(long / 4, (cleat > 0 ? Math.max(cleat, board.thickness) : 0) + weepIn);
  const offset = Math.min(weepIn, turned ? weepIn : bay / 2);
  const rails = turned ? frame.rails : [];
  const positions = Array.from({ length: weeps }, (_, index) => {
    const at = clear + ((index + 0.5) * (long - 2 * clear)) / weeps;
    // Where a rail stands over it, beside the rail.
    const rail = rails.find((middle) => Math.abs(middle - at) < board.thickness / 2 + weepHole);
    return (rail === undefined ? at : rail + board.thickness / 2 + weepHole) + under;
  });
  const row = (from: string, distance: number): HoleSchedule => ({
    ...(turned ? {} : { axis: 'up' as const }),
    datum: turned ? 'cold end' : 'low side',
    middle: under + long / 2,
    positions,
    diameter: weepHole,
    pilot: 0.003,
    where: 'to let dew out, screened',
    across: { from, distance },
  });
  return [
    row(turned ? 'low side' : 'cold end', under + offset),
    row(turned ? 'low side' : 'cold end', under + high - offset),
  ];
}

/** Boards of wool between the rails, side by side where a board is smaller than a bay, each where it lies. */
export function insulationPieces(
  { insulation: wool, cleat }: TimberBox,
  { inside, bay, rails, wall }: Pick<Frame, 'inside' | 'bay' | 'rails' | 'wall'>,
  board: number,
): InsulationPiece[] {
  const across = Math.ceil(inside.width / Math.max(wool.width, wool.height) - 1e-9);
  const along = Math.ceil(bay / Math.min(wool.width, wool.height) - 1e-9);
  const size = { width: bay / along, height: inside.width / across };
  const columns = (rails.length + 1) * along;
  return Array.from({ length: columns }, (_, column) =>
    Array.from({ length: across }, (__, row): InsulationPiece => {
      const inCorner = (column === 0 || column === columns - 1) && (row === 0 || row === across - 1);
      return {
        role: inCorner && cleat > 0 ? 'insulation-corner' : 'insulation',
        x: wall + Math.floor(column / along) * (bay + board) + (column % along) * size.width,
        y: wall + row * size.height,
        ...size,
      };
    }),
  ).flat();
}

/** The same as pieces to cut; those in the corners notched at the cleats. */
function insulationParts(made: TimberBox, frame: Frame, prefix: string): Part[] {
  const { insulation: wool, cleat, board } = made;
  const laid = insulationPieces(made, frame, board.thickness);
  const [{ width, height } = { width: 0, height: 0 }] = laid;
  const count = (role: InsulationPiece['role']) => laid.filter((one) => one.role === role).length;
  const piece = (role: InsulationPiece['role'], name: string, recesses: Recess[]): Part[] =>
    count(role) > 0 ? [sheetPiece(prefix, wool, role, name, { width, height, count: count(role), recesses })] : [];
  // A piece that reaches from end to end, or from side to side, has a cleat at each.
  const ends = laid.every(({ x }) => x === laid[0]?.x) ? [0, 1] : [0];
  const sides = laid.every(({ y }) => y === laid[0]?.y) ? [0, 1] : [0];
  const at = (place: number, of: number, deep: number) =>
    place === 0 ? { from: 0, to: deep } : { from: of - deep, to: of };
  const notches = ends.flatMap((end) =>
    sides.map(
      (side): Recess => ({
        kind: 'notch',
        where: 'at its corner',
        purpose: 'round the cleat',
        along: at(end, width, Math.min(cleat, width)),
        up: at(side, height, Math.min(board.thickness, height)),
        into: { from: 0, to: wool.thickness },
      }),
    ),
  );
  return [
    ...piece('insulation', 'Insulation', []),
    ...piece('insulation-corner', 'Insulation, in the corners', notches),
  ];
}

/** Slices off the insulation board, set on edge along sides and ends between the cleats; a hot space higher than the board takes two. */
export function stripParts(made: TimberBox, { inside }: Frame, { prefix, hotSpace, exits }: PartsQuery): Part[] {
  const { insulation: wool, edgeStrip, cleat, board } = made;
  const courses = Math.max(1, Math.ceil(hotSpace / wool.thickness - 1e-9));
  const longest = Math.max(wool.width, wool.height);
  const piece = (id: string, name: string, length: number): Part => {
    const beside = Math.ceil(length / longest - 1e-9);
    return sheetPiece(prefix, wool, id, name, {
      width: edgeStrip,
      height: length / beside,
      count: 2 * courses * beside,
      operations: [
        'a slice off the board, set on edge',
        ...(exits.some(({ side }) => (side === 'low' || side === 'high') === (id === 'strip-side'))
          ? ['cut out round the tubes that pass it']
          : []),
      ],
    });
  };
  return [
    piece('strip-side', 'Edge strip, side', inside.length - 2 * cleat),
    piece('strip-end', 'Edge strip, end', inside.width - 2 * Math.max(edgeStrip, cleat > 0 ? board.thickness : 0)),
  ];
}
