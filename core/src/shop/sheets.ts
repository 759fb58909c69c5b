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
  sheets: {
    stock: string;
    width: number;
    height: number;
    placed: PlacedPiece[];
    /** A sheet that is cut already. */
    fixed?: { by: 'lock'; id: string };
  }[];
  cost: number;
  /** m² of bought and used sheets that are in no piece. */
  waste: number;
  /** Money: no plan can cost less. */
  bound: number;
  proof: { status: 'proved' | 'gap' };
  unplaced: SheetPiece[];
}

/** A rectangle of a sheet; m. */
export interface Room {
  x: number;
  y: number;
  width: number;
  height: number;
}
/** A single piece. */
export type One = Omit<SheetPiece, 'count'>;

const tiny = 1e-7;

/** What is planned: single pieces that some sheet to be had can hold, and what none can. */
export interface SheetTask {
  stock: readonly SheetStock[];
  wanted: readonly SheetPiece[];
  singles: readonly One[];
  unplaced: readonly SheetPiece[];
  kerf: number;
  /** Money for the area alone, in whole sheets where one kind is to be had. */
  bound: number;
}

export function sheetTask(query: SheetQuery): SheetTask {
  const stock = query.stock.filter((one) => (one.available ?? 1) > 0);
  const fits = (piece: One, room: { width: number; height: number }) =>
    orientations(piece).some(([width, height]) => width <= room.width + tiny && height <= room.height + tiny);
  const all = query.pieces.filter((piece) => piece.count > 0);
  const unplaced = all.filter((piece) => !stock.some((sheet) => fits(piece, sheet)));
  const wanted = all.filter((piece) => !unplaced.includes(piece));
  const singles: One[] = wanted.flatMap(({ count, ...piece }) => Array.from({ length: count }, () => piece));
  return { stock, wanted, singles, unplaced, kerf: query.kerf, bound: areaBound(singles, stock, query.kerf) };
}

export const sheetOrders: readonly ((a: One, b: One) => number)[] = [
  (a, b) => b.width * b.height - a.width * a.height,
  (a, b) => Math.max(b.width, b.height) - Math.max(a.width, a.height),
  (a, b) => b.height - a.height || b.width - a.width,
  (a, b) => b.width - a.width || b.height - a.height,
];
export const sheetSplits = ['short', 'along', 'across'] as const;
export type SheetSplit = (typeof sheetSplits)[number];

/** Whether one layout is better than another: more pieces on it, then cheaper, then one larger rest. */
export function betterLayout(one: Layout, other: Layout | undefined): boolean {
  if (!other || one.left.length !== other.left.length) return !other || one.left.length < other.left.length;
  return one.cost < other.cost - 1e-9 || (one.cost < other.cost + 1e-9 && one.biggest > other.biggest + tiny);
}

/**
 * Plans pieces on sheets with cuts that go edge to edge, at once: pieces in several orders, each into the free
 * rectangle it fits tightest, the rest split along either side; the cheapest of all those kept.
 * The bound is what the bare area costs at the best price per square metre.
 */
export function planSheetsFast(query: SheetQuery): SheetPlan {
  const task = sheetTask(query);
  return sheetPlan(task, quickLayout(task));
}

/** Pieces beyond which every order and split is too much to try at once, and kinds up to which one good sheet is cut again and again. */
const mostSingly = 200;
const mostRepeated = 60;

/** Whether a task is too large to try every order and split at once. */
export function isLarge({ singles }: SheetTask): boolean {
  return singles.length > mostSingly;
}

/** The best of a few orders and splits, in a few tries. */
export function quickLayout(task: SheetTask): Layout {
  const { stock, singles, wanted, kerf, bound } = task;
  let best: Layout | undefined;
  if (isLarge(task)) {
    // Many of a few kinds are laid as one good sheet, often; many kinds piece by piece, once or twice.
    best = wanted.length <= mostRepeated ? repeatedLayout(task) : undefined;
    for (const order of sheetOrders.slice(0, best ? 0 : 2)) {
      const layout = lay([...singles].sort(order), stock, kerf, 'short');
      if (betterLayout(layout, best)) best = layout;
    }
    return best ?? { sheets: [], cost: 0, left: [], biggest: 0 };
  }
  let tries = 0;
  const choices =
    stock.length > 1
      ? [stock, ...stock.map((one) => stock.filter((other) => other === one || other.price === 0))]
      : [stock];
  for (const choice of choices)
    for (const order of sheetOrders)
      for (const split of sheetSplits) {
        // As few sheets as the area asks for cannot be bettered; only their offcut can, and a few looks are enough.
        if (best && best.left.length === 0 && best.cost <= bound + 1e-9 && tries >= 3) break;
        const layout = lay([...singles].sort(order), choice, kerf, split);
        tries += 1;
        if (betterLayout(layout, best)) best = layout;
      }
  return best ?? { sheets: [], cost: 0, left: [], biggest: 0 };
}

/**
 * Sheet after sheet: the one that holds most for its money, laid of as many pieces as could go on it, and cut as often as there are
 * pieces for it.
 */
function repeatedLayout({ stock, wanted, kerf }: SheetTask): Layout {
  const left = new Map(wanted.map((piece) => [piece.id, piece.count]));
  const had = new Map(stock.map((one) => [one.id, one.available ?? Number.POSITIVE_INFINITY]));
  const sheets: Layout['sheets'] = [];
  let cost = 0;
  for (;;) {
    let best: { sheet: Layout['sheets'][number]; one: SheetStock; rate: number } | undefined;
    for (const one of stock) {
      if ((had.get(one.id) ?? 0) <= 0) continue;
      const some = wanted.flatMap(({ count: _, ...piece }): One[] => {
        const most = Math.floor((one.width * one.height) / (piece.width * piece.height));
        return Array.from({ length: Math.min(left.get(piece.id) ?? 0, most) }, () => piece);
      });
      for (const order of sheetOrders)
        for (const split of sheetSplits) {
          const [sheet] = lay([...some].sort(order), [{ ...one, available: 1 }], kerf, split).sheets;
          const area = (sheet?.placed ?? []).reduce((sum, { width, height }) => sum + width * height, 0);
          const rate = area / Math.max(one.price, 1e-9);
          if (sheet && area > 0 && (!best || rate > best.rate + 1e-12)) best = { sheet, one, rate };
        }
    }
    if (!best) break;
    const { sheet, one } = best;
    const used = new Map<string, number>();
    for (const { id } of sheet.placed) used.set(id, (used.get(id) ?? 0) + 1);
    const times = Math.min(
      had.get(one.id) ?? 0,
      ...[...used].map(([id, count]) => Math.floor((left.get(id) ?? 0) / count)),
    );
    for (let copy = 0; copy < times; copy += 1) sheets.push(sheet);
    for (const [id, count] of used) left.set(id, (left.get(id) ?? 0) - times * count);
    had.set(one.id, (had.get(one.id) ?? 0) - times);
    cost += times * one.price;
  }
  const rooms = sheets.flatMap(({ free }) => free.map(({ width, height }) => width * height));
  return {
    sheets,
    cost,
    left: wanted.flatMap(({ count: _, ...piece }) => Array.from({ length: left.get(piece.id) ?? 0 }, () => piece)),
    biggest: rooms.reduce((most, room) => Math.max(most, room), 0),
  };
}

/** A layout as the answer to its task. */
export function sheetPlan({ wanted, unplaced, bound }: SheetTask, layout: Layout): SheetPlan {
  const sheetArea = layout.sheets.reduce((sum, sheet) => sum + sheet.width * sheet.height, 0);
  const placedArea = layout.sheets
    .flatMap((sheet) => sheet.placed)
    .reduce((sum, piece) => sum + piece.width * piece.height, 0);
  const short = wanted
    .map((piece) => ({ ...piece, count: layout.left.filter((one) => one.id === piece.id).length }))
    .filter((piece) => piece.count > 0);
  return {
    sheets: layout.sheets.map(({ stock: id, width, height, placed }) => ({ stock: id, width, height, placed })),
    cost: layout.cost,
    waste: sheetArea - placedArea,
    bound: Math.min(bound, layout.cost),
    proof: { status: layout.cost <= bound + 1e-6 && short.length === 0 ? 'proved' : 'gap' },
    unplaced: [...unplaced, ...short],
  };
}

export interface Layout {
  sheets: { stock: string; width: number; height: number; placed: PlacedPiece[]; free: Room[] }[];
  cost: number;
  left: One[];
  /** m². Largest single rest. */
  biggest: number;
}

/** Each piece in its turn into the free rectangle that it fits tightest. */
export function lay(pieces: readonly One[], stock: readonly SheetStock[], kerf: number, split: SheetSplit): Layout {
  const sheets: Layout['sheets'] = [];
  const taken = new Map<string, number>();
  const left: One[] = [];
  let cost = 0;
  for (const piece of pieces) {
    let spot = tightest(piece, sheets);
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
      spot = tightest(piece, [sheet]);
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

function tightest<S extends { free: readonly Room[] }>(piece: One, sheets: readonly S[]) {
  let best: { sheet: S; room: Room; width: number; height: number; turned: boolean; slack: number } | undefined;
  const ways = orientations(piece);
  for (const sheet of sheets)
    for (const room of sheet.free)
      for (const [width, height, turned] of ways) {
        if (width > room.width + tiny || height > room.height + tiny) continue;
        const slack = Math.min(room.width - width, room.height - height);
        if (!best || slack < best.slack - tiny) best = { sheet, room, width, height, turned, slack };
      }
  return best;
}

/** The two rectangles left of a room by one cut edge to edge and one across the strip. */
function rest(room: Room, width: number, height: number, kerf: number, split: SheetSplit): Room[] {
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

/**
 * Money that the area costs at the best price for it. Each piece takes a kerf along on two sides, of a sheet that is as much
 * larger; where one kind of sheet is to be had, in whole sheets, and no fewer than pieces that cannot share one.
 */
function areaBound(singles: readonly One[], stock: readonly SheetStock[], kerf: number): number {
  const grown = ({ width, height }: { width: number; height: number }) => (width + kerf) * (height + kerf);
  let wanted = singles.reduce((sum, piece) => sum + grown(piece), 0);
  const [only, other] = stock;
  if (only && !other) {
    // Two pieces that are both more than half the sheet either way, whichever way they fit on it, cannot share one.
    const big = singles.filter((piece) =>
      orientations(piece)
        .filter(([w, h]) => w <= only.width + tiny && h <= only.height + tiny)
        .every(([w, h]) => 2 * w + kerf > only.width + tiny && 2 * h + kerf > only.height + tiny),
    ).length;
    return Math.max(Math.ceil(wanted / grown(only) - 1e-9), big) * only.price;
  }
  let bound = 0;
  for (const one of [...stock].sort((a, b) => a.price / grown(a) - b.price / grown(b))) {
    if (wanted <= tiny) break;
    const used = Math.min(wanted, grown(one) * (one.available ?? Number.POSITIVE_INFINITY));
    bound += (used / grown(one)) * one.price;
    wanted -= used;
  }
  return bound;
}
