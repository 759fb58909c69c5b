/** Pieces wanted of one sheet material, metres. */
export interface SheetPiece {
  id: string;
  width: number;
  height: number;
  count: number;
  /** May be laid the other way round (no grain, no flutes). */
  turn: boolean;
}

export interface SheetStock {
  id: string;
  width: number;
  height: number;
  price: number;
  available?: number;
}

export interface SheetQuery {
  pieces: readonly SheetPiece[];
  stock: readonly SheetStock[];
  /** m lost at each cut. */
  kerf: number;
}

export interface PlacedPiece {
  id: string;
  /** m from the sheet's lower left corner. */
  x: number;
  y: number;
  width: number;
  height: number;
  turned: boolean;
}

export interface SheetPlan {
  sheets: { stock: string; width: number; height: number; placed: PlacedPiece[] }[];
  cost: number;
  /** m² of bought and used sheets that are in no piece. */
  waste: number;
  /** Money: no plan can cost less. */
  bound: number;
  unplaced: SheetPiece[];
}

interface Room {
  x: number;
  y: number;
  width: number;
  height: number;
}
type One = Omit<SheetPiece, 'count'>;

const tiny = 1e-7;

/**
 * Plans pieces on sheets with cuts that go edge to edge, at once: pieces in several orders, each into the free
 * rectangle it fits tightest, the rest split along either side; the cheapest of all those kept.
 * The bound is what the bare area costs at the best price per square metre.
 */
export function planSheetsFast(query: SheetQuery): SheetPlan {
  const stock = query.stock.filter((one) => (one.available ?? 1) > 0);
  const fits = (piece: One, room: { width: number; height: number }) =>
    (piece.width <= room.width + tiny && piece.height <= room.height + tiny) ||
    (piece.turn && piece.height <= room.width + tiny && piece.width <= room.height + tiny);
  const wanted = query.pieces.filter((piece) => piece.count > 0);
  const unplaced = wanted.filter((piece) => !stock.some((sheet) => fits(piece, sheet)));
  const placeable = wanted.filter((piece) => !unplaced.includes(piece));
  const singles: One[] = placeable.flatMap(({ count, ...piece }) => Array.from({ length: count }, () => piece));
  const orders: ((a: One, b: One) => number)[] = [
    (a, b) => b.width * b.height - a.width * a.height,
    (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
    (a, b) => b.height - a.height || b.width - a.width,
    (a, b) => b.width - a.width || b.height - a.height,
  ];
  let best: (Layout & { tries: number }) | undefined;
  const choices =
    stock.length > 1
      ? [stock, ...stock.map((one) => stock.filter((other) => other === one || other.price === 0))]
      : [stock];
  const area = singles.reduce((sum, piece) => sum + piece.width * piece.height, 0);
  const least = wholeSheets(area, stock);
  for (const choice of choices)
    for (const order of orders)
      for (const split of ['short', 'along', 'across'] as const) {
        // A single sheet, or as few as the area asks for, cannot be bettered; only its offcut can, and one look is enough.
        if (best && best.left.length === 0 && best.cost <= least + 1e-9 && best.tries >= 3) break;
        const layout = { ...lay([...singles].sort(order), choice, query.kerf, split), tries: (best?.tries ?? 0) + 1 };
        const better =
          !best ||
          layout.left.length < best.left.length ||
          (layout.left.length === best.left.length &&
            (layout.cost < best.cost - 1e-9 ||
              (layout.cost < best.cost + 1e-9 && layout.biggest > best.biggest + tiny)));
        if (better || !best) best = layout;
        else best.tries = layout.tries;
      }
  const layout = best ?? { sheets: [], cost: 0, left: [], biggest: 0 };
  const sheetArea = layout.sheets.reduce((sum, sheet) => sum + sheet.width * sheet.height, 0);
  const placedArea = layout.sheets
    .flatMap((sheet) => sheet.placed)
    .reduce((sum, piece) => sum + piece.width * piece.height, 0);
  const short = placeable
    .map((piece) => ({ ...piece, count: layout.left.filter((one) => one.id === piece.id).length }))
    .filter((piece) => piece.count > 0);
  return {
    sheets: layout.sheets.map(({ stock: id, width, height, placed }) => ({ stock: id, width, height, placed })),
    cost: layout.cost,
    waste: sheetArea - placedArea,
    bound: areaBound(area, stock),
    unplaced: [...unplaced, ...short],
  };
}

/** The same as a promise: a better planner will stand behind this name. */
export async function planSheets(query: SheetQuery): Promise<SheetPlan> {
  return planSheetsFast(query);
}

interface Layout {
  sheets: { stock: string; width: number; height: number; placed: PlacedPiece[]; free: Room[] }[];
  cost: number;
  left: One[];
  /** m². Largest single rest. */
  biggest: number;
}

function lay(
  pieces: readonly One[],
  stock: readonly SheetStock[],
  kerf: number,
  split: 'along' | 'across' | 'short',
): Layout {
  const sheets: Layout['sheets'] = [];
  const taken = new Map<string, number>();
  const left: One[] = [];
  let cost = 0;
  for (const piece of pieces) {
    let spot = tightest(
      piece,
      sheets.flatMap((sheet) => sheet.free.map((room) => ({ sheet, room }))),
    );
    if (!spot) {
      const open = stock
        .filter((one) => (taken.get(one.id) ?? 0) < (one.available ?? Number.POSITIVE_INFINITY))
        .filter((one) => orientations(piece).some(([w, h]) => w <= one.width + tiny && h <= one.height + tiny))
        .sort((a, b) => a.price / (a.width * a.height) - b.price / (b.width * b.height))[0];
      if (!open) {
        left.push(piece);
        continue;
      }
      taken.set(open.id, (taken.get(open.id) ?? 0) + 1);
      cost += open.price;
      const whole = { x: 0, y: 0, width: open.width, height: open.height };
      const sheet = { stock: open.id, width: open.width, height: open.height, placed: [], free: [whole] };
      sheets.push(sheet);
      spot = tightest(piece, [{ sheet, room: whole }]);
    }
    if (!spot) {
      left.push(piece);
      continue;
    }
    const { sheet, room, width, height, turned } = spot;
    sheet.placed.push({ id: piece.id, x: room.x, y: room.y, width, height, turned });
    sheet.free.splice(sheet.free.indexOf(room), 1, ...rest(room, width, height, kerf, split));
  }
  const rooms = sheets.flatMap((sheet) => sheet.free.map((room) => room.width * room.height));
  return { sheets, cost, left, biggest: Math.max(0, ...rooms) };
}

function orientations(piece: One): [number, number, boolean][] {
  const ways: [number, number, boolean][] = [[piece.width, piece.height, false]];
  if (piece.turn && piece.width !== piece.height) ways.push([piece.height, piece.width, true]);
  return ways;
}

function tightest<S>(piece: One, spots: readonly { sheet: S; room: Room }[]) {
  let best: { sheet: S; room: Room; width: number; height: number; turned: boolean; slack: number } | undefined;
  for (const { sheet, room } of spots)
    for (const [width, height, turned] of orientations(piece)) {
      if (width > room.width + tiny || height > room.height + tiny) continue;
      const slack = Math.min(room.width - width, room.height - height);
      if (!best || slack < best.slack - tiny) best = { sheet, room, width, height, turned, slack };
    }
  return best;
}

/** The two rectangles left of a room by one cut edge to edge and one across the strip. */
function rest(room: Room, width: number, height: number, kerf: number, split: 'along' | 'across' | 'short'): Room[] {
  const right = room.width - width - kerf;
  const above = room.height - height - kerf;
  const wide = split === 'along' || (split === 'short' && right <= above);
  const rooms: Room[] = wide
    ? [
        { x: room.x + width + kerf, y: room.y, width: right, height },
        { x: room.x, y: room.y + height + kerf, width: room.width, height: above },
      ]
    : [
        { x: room.x + width + kerf, y: room.y, width: right, height: room.height },
        { x: room.x, y: room.y + height + kerf, width, height: above },
      ];
  return rooms.filter((one) => one.width > tiny && one.height > tiny);
}

/** Money for as many whole sheets as the area asks for, where only one kind is to be had. */
function wholeSheets(area: number, stock: readonly SheetStock[]): number {
  const [only, other] = stock;
  if (!only || other) return 0;
  return Math.ceil(area / (only.width * only.height) - 1e-9) * only.price;
}

function areaBound(area: number, stock: readonly SheetStock[]): number {
  let wanted = area;
  let bound = 0;
  for (const one of [...stock].sort((a, b) => a.price / (a.width * a.height) - b.price / (b.width * b.height))) {
    if (wanted <= tiny) break;
    const size = one.width * one.height;
    const used = Math.min(wanted, size * (one.available ?? Number.POSITIVE_INFINITY));
    bound += (used / size) * one.price;
    wanted -= used;
  }
  return bound;
}
