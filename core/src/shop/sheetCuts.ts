import type { PlacedPiece, Room } from './sheets';

/** One cut edge to edge through a part of a sheet. */
export interface SheetCut {
  /** Along the sheet's height (at a distance from its left edge) or across it (from its lower edge). */
  direction: 'along' | 'across';
  /** m from the left or lower edge of the part that is cut to the near side of the kerf. */
  at: number;
  /** The part that is cut; m from the sheet's lower left corner. */
  room: Room;
}

/** A layout that no run of cuts edge to edge can make. */
export class NotGuillotine extends Error {
  constructor(readonly room: Room) {
    super(`pieces at ${room.x}, ${room.y} cannot be parted by cuts edge to edge`);
  }
}

const tiny = 1e-6;

/**
 * The order in which a sheet is cut so that every cut goes edge to edge: each part is cut where no piece is crossed, longest cuts
 * first, until each piece lies alone.
 *
 * @throws NotGuillotine where there is no such order
 */
export function cutOrder(sheet: LaidSheet, kerf: number): SheetCut[] {
  return takenApart(sheet, kerf).cuts;
}

/** What is left of a sheet when it has been cut in that order: rectangles, largest first. */
export function sheetOffcuts(sheet: LaidSheet, kerf: number): Room[] {
  return takenApart(sheet, kerf).rests.sort((a, b) => b.width * b.height - a.width * a.height);
}

type LaidSheet = { width: number; height: number; placed: readonly PlacedPiece[] };

function takenApart(sheet: LaidSheet, kerf: number): { cuts: SheetCut[]; rests: Room[] } {
  const cuts: SheetCut[] = [];
  const rests: Room[] = [];
  const waiting: { room: Room; placed: readonly PlacedPiece[] }[] = [
    { room: { x: 0, y: 0, width: sheet.width, height: sheet.height }, placed: sheet.placed },
  ];
  for (let part = waiting.shift(); part; part = waiting.shift()) {
    const { room, placed } = part;
    if (placed.length === 0) {
      rests.push(room);
      continue;
    }
    const [only] = placed;
    if (
      placed.length === 1 &&
      only &&
      Math.abs(only.width - room.width) < tiny &&
      Math.abs(only.height - room.height) < tiny
    )
      continue;
    const cut = firstCut(room, placed, kerf);
    if (!cut) throw new NotGuillotine(room);
    cuts.push(cut);
    const along = cut.direction === 'along';
    const edge = (along ? room.x : room.y) + cut.at;
    const before = (piece: PlacedPiece) => (along ? piece.x + piece.width : piece.y + piece.height) <= edge + tiny;
    const [near, far] = [placed.filter(before), placed.filter((piece) => !before(piece))];
    // A sliver thinner than the saw goes into dust: the piece behind it begins where it lies.
    const from = Math.min(edge + kerf, ...far.map((piece) => (along ? piece.x : piece.y)));
    const rest = (along ? room.x + room.width : room.y + room.height) - from;
    if (cut.at > tiny)
      waiting.push({ room: along ? { ...room, width: cut.at } : { ...room, height: cut.at }, placed: near });
    if (rest > tiny)
      waiting.push({
        room: along ? { ...room, x: from, width: rest } : { ...room, y: from, height: rest },
        placed: far,
      });
  }
  return { cuts, rests };
}

/**
 * The longest cut of a part that crosses no piece; of two as long the one nearer to the edge. A single piece is cut out so that the
 * larger rest stays whole.
 */
function firstCut(room: Room, placed: readonly PlacedPiece[], kerf: number): SheetCut | undefined {
  const found: (SheetCut & { length: number; rest: number })[] = [];
  for (const direction of ['along', 'across'] as const) {
    const along = direction === 'along';
    const low = (piece: PlacedPiece) => (along ? piece.x : piece.y);
    const high = (piece: PlacedPiece) => low(piece) + (along ? piece.width : piece.height);
    const start = along ? room.x : room.y;
    const size = along ? room.width : room.height;
    // Behind a piece, or before one that lies off the edge; from the edge itself where that is less than the saw takes.
    const before = placed
      .filter((piece) => low(piece) > start + tiny)
      .map((piece) => Math.max(start, low(piece) - kerf));
    const clear = (edge: number) => (edge < start + tiny ? start + 2 * tiny : edge + kerf);
    for (const edge of [...placed.map(high), ...before]) {
      const at = edge - start;
      if (at > size - tiny) continue;
      if (placed.some((piece) => low(piece) < clear(edge) - tiny && high(piece) > edge + tiny)) continue;
      const length = along ? room.height : room.width;
      found.push({ direction, at, room, length, rest: (size - at - kerf) * length });
    }
  }
  found.sort((a, b) => (placed.length === 1 ? b.rest - a.rest : b.length - a.length) || a.at - b.at);
  const [best] = found;
  return best && { direction: best.direction, at: best.at, room: best.room };
}
