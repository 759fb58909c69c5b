import type { Timber } from '../catalogue';
import { paneBarParts, paneBarPlaces, paneBarSlots } from '../glazings';
import { sized } from '../quantity';
import { type HoleSchedule, type Part, type Recess, type Span, timberPiece } from '../shop';
import { type Exit, outerBoard, screwHole } from './box';
import { sheetParts, stripParts } from './boxSheets';
import { edgeParts } from './edge';
import { backLedge, type Frame, type PartsQuery, type TimberBox } from './frame';

export function boxParts(made: TimberBox, frame: Frame, query: PartsQuery): Part[] {
  const { board, cladding, edge, rails, lid } = made;
  const { inside } = frame;
  const { prefix } = query;
  const rail = timberPiece(prefix, board, 'rail', 'Cross rail', {
    length: inside.width,
    count: rails,
    section: { width: query.railDepth, thickness: board.thickness },
    recesses: railNotches(made, inside.width, query.railDepth),
    slack: { short: 0.004, long: 0, words: 'it is screwed from below: a gap at its end does no harm' },
  });
  return [
    ...sideParts(made, frame, query),
    ...(cladding ? claddingParts(cladding, frame, query) : []),
    ...(edge ? edgeParts(edge, frame, prefix) : []),
    ...(lid ? lidParts(made, lid.timber, frame, prefix) : []),
    ...(made.cleat > 0 ? [cleatPart(made, frame, prefix)] : []),
    ...(rails > 0 ? [rail] : []),
    ...paneBarParts(prefix, frame.bars, {
      length: frame.seat.width - 2 * barRoom,
      stem: bearing(made) + barRoom,
      tape: board.tape,
    }),
    ...sheetParts(made, frame, query),
    ...(made.edgeStrip > 0 && query.hotSpace > 0 ? stripParts(made, frame, query) : []),
  ];
}

/** Notches at the upper corners of a rail for the strips that line the sides. */
function railNotches({ edgeStrip, insulation, board }: TimberBox, length: number, depth: number): Recess[] {
  if (edgeStrip <= 0 || depth <= insulation.thickness) return [];
  return [0, length - edgeStrip].map((from) => ({
    kind: 'notch',
    where: 'in its upper corner',
    purpose: 'for the edge strip',
    along: { from, to: from + edgeStrip },
    up: { from: insulation.thickness, to: depth },
    into: { from: 0, to: board.thickness },
  }));
}

/** m of room at each end of a pane bar, and from its stem to the bearing. */
const barRoom = 0.001;

/** m that the pane bears on, from the wall of its hollow inward. */
function bearing({ board, lid, cladding, edge, ledge }: TimberBox): number {
  return !lid && (cladding || edge) ? board.thickness : ledge;
}

/** Slots for the flanges of the pane's bars in a long side, or in that side of the lid. */
function barSlots(made: TimberBox, frame: Frame, length: number, board: { up: number; into: Span }): Recess[] {
  const first = (length - frame.opening.length) / 2;
  const places = paneBarPlaces(frame.bars.count, frame.opening.length).map((at) => first + at);
  return paneBarSlots(places, { ...board, tape: made.board.tape });
}

/** The rebates of a board of the box: for the pane above and the back below, on the inner face. */
function boardRebates(made: TimberBox, frame: Frame, length: number, between: boolean): Recess[] {
  const { board, back, lid, ledge } = made;
  if (frame.clad > 0) return [];
  const { thickness, width } = board;
  // A long side is stopped where the recess of the end begins: run through, it would open the corner.
  const stopped = (wide: number) => (between ? 0 : thickness - wide);
  const along = (wide: number) => ({ from: stopped(wide), to: length - stopped(wide) });
  const pane: Recess[] =
    lid || frame.seatDepth <= 0
      ? []
      : [
          {
            kind: 'rebate',
            where: 'top inner edge',
            purpose: 'for the pane',
            along: along(ledge),
            up: { from: width - frame.seatDepth, to: width },
            into: { from: thickness - ledge, to: thickness },
          },
        ];
  return [
    ...pane,
    {
      kind: 'rebate',
      where: 'bottom inner edge',
      purpose: 'for the back',
      along: along(backLedge),
      up: { from: 0, to: back.thickness },
      into: { from: thickness - backLedge, to: thickness },
    },
  ];
}

/** The screws of the corners through a board: one row, at each of their heights. */
function cornerRows(made: TimberBox, frame: Frame, on: 'side' | 'end', length: number): HoleSchedule[] {
  const raised = frame.clad > 0 ? made.back.thickness : 0;
  const off = on === 'side' ? frame.clad : frame.wall;
  const mine = frame.cornerScrews.filter((screw) => screw.on === on);
  const [low, ...more] = [...new Set(mine.map(({ up }) => up))].sort((a, b) => a - b).map((up) => up - raised);
  if (low === undefined) return [];
  return [
    {
      datum: on === 'side' ? 'cold end' : 'low side',
      middle: length / 2,
      positions: [...new Set(mine.map(({ along }) => along - off))].sort((a, b) => a - b),
      diameter: screwHole,
      pilot: 0.003,
      where: made.cleat > 0 ? 'for the screws into the corner cleats' : 'for the screws into the end boards',
      across: { from: 'bottom edge', distance: low, more },
    },
  ];
}

/**
 * The holes that tubes come out of through a board, as a row.
 *
 * @param board.off m from the outside of the box to the board's own end; `raised`, from the box's underside to its bottom edge
 */
function exitRows(
  exits: readonly Exit[],
  side: Exit['side'],
  board: { length: number; off: number; raised: number },
): HoleSchedule[] {
  const mine = exits.filter((exit) => exit.side === side).sort((a, b) => a.along - b.along);
  const [first] = mine;
  if (!first) return [];
  const onEnd = side === 'cold' || side === 'hot';
  return [
    {
      datum: onEnd ? 'low side' : 'cold end',
      middle: board.length / 2,
      positions: mine.map((hole) => hole.along - board.off),
      diameter: first.diameter,
      ...(first.slot ? { slot: Math.abs(first.slot) } : {}),
      pilot: 0.003,
      where: `through the board, for the ${onEnd ? 'tube' : 'header'}`,
      across: { from: 'bottom edge', distance: first.up - board.raised },
    },
  ];
}

/** Sides and ends; holes where a tube comes out, from the board's own end and bottom edge. */
function sideParts(made: TimberBox, frame: Frame, { prefix, exits }: PartsQuery): Part[] {
  const { board, back, lid } = made;
  const { inside, clad } = frame;
  const standing = clad > 0;
  const raised = standing ? back.thickness : 0;
  const operations = [
    'square both ends',
    ...(standing && !lid ? ['round the top inner edge that the pane lies on'] : []),
  ];
  const sideLength = inside.length + 2 * board.thickness;
  // The side that the headers go through; where they go through both, one of them is enough.
  const comesOff =
    made.side === 'removable' ? exits.find(({ side }) => side === 'low' || side === 'high')?.side : undefined;
  const onEnds = exits.some((exit) => exit.side === 'cold' || exit.side === 'hot');
  const end = (which: 'cold' | 'hot') =>
    // Without exits both are one and the same piece.
    timberPiece(prefix, board, onEnds ? `end-${which}` : 'end', onEnds ? `End board, ${which} end` : 'End board', {
      length: inside.width,
      count: onEnds ? 1 : 2,
      operations,
      recesses: boardRebates(made, frame, inside.width, true),
      holes: [
        ...exitRows(exits, which, { length: inside.width, off: frame.wall, raised }),
        ...cornerRows(made, frame, 'end', inside.width),
      ],
      // Looked at from outside the box, the low side lies to the right of its cold end and to the left of its hot one.
      datum: { end: 'low side', side: which === 'cold' ? 'right' : 'left' },
    });
  const side = (which: 'low' | 'high') =>
    timberPiece(prefix, board, `side-${which}`, `Side board, ${which}`, {
      length: sideLength,
      count: 1,
      operations: [
        ...operations,
        ...(comesOff === which ? ['screws and no glue: it comes off to let the headers in'] : []),
      ],
      recesses: [
        ...boardRebates(made, frame, sideLength, false),
        ...(lid
          ? []
          : barSlots(made, frame, sideLength, {
              up: standing ? board.width : board.width - frame.seatDepth,
              into: standing
                ? { from: 0, to: board.thickness }
                : { from: board.thickness - made.ledge, to: board.thickness },
            })),
      ],
      holes: [
        ...exitRows(exits, which, { length: sideLength, off: clad, raised }),
        ...cornerRows(made, frame, 'side', sideLength),
      ],
      datum: { end: 'cold end', side: which === 'low' ? 'left' : 'right' },
    });
  return [side('low'), side('high'), ...(onEnds ? [end('cold'), end('hot')] : [end('hot')])];
}

/** The boards round the outside, as deep as the box; those that tubes come out of drilled as the boards behind them. */
function claddingParts(cladding: Timber, frame: Frame, { prefix, exits }: PartsQuery): Part[] {
  const { outside, rimTop } = frame;
  const sides = [
    { side: 'low', words: 'low side', length: outside.length, off: 0 },
    { side: 'high', words: 'high side', length: outside.length, off: 0 },
    { side: 'cold', words: 'cold end', length: outside.width - 2 * cladding.thickness, off: cladding.thickness },
    { side: 'hot', words: 'hot end', length: outside.width - 2 * cladding.thickness, off: cladding.thickness },
  ] as const;
  const roles = new Map<string, Part>();
  for (const { side, words, length, off } of sides) {
    const role = outerBoard(side, exits);
    const known = roles.get(role);
    if (known) {
      known.count += 1;
      continue;
    }
    const own = exits.some((exit) => exit.side === side);
    const onEnd = side === 'cold' || side === 'hot';
    roles.set(
      role,
      timberPiece(
        prefix,
        cladding,
        role,
        own ? `Outer board, ${words}` : onEnd ? 'Outer board, end' : 'Outer board, side',
        {
          length,
          count: 1,
          section: { width: Math.min(rimTop, cladding.width), thickness: cladding.thickness },
          holes: exitRows(exits, side, { length, off, raised: 0 }),
          datum: onEnd
            ? { end: 'low side', side: side === 'cold' ? 'right' : 'left' }
            : { end: 'cold end', side: side === 'low' ? 'left' : 'right' },
        },
      ),
    );
  }
  return [...roles.values()];
}

/**
 * The frame that the pane lies in, as long and as wide as the box. A piece lies with its wide face down: `up` runs from its outer edge
 * to its inner one, `into` from its underside to its top.
 */
function lidParts(made: TimberBox, timber: Timber, frame: Frame, prefix: string): Part[] {
  const { lid, ledge } = made;
  const { outside, seatDepth } = frame;
  const mitred = lid?.corners === 'mitred';
  const { width, thickness } = timber;
  const floor = Math.max(0, thickness - seatDepth);
  const rebate = (length: number, stop: number): Recess => ({
    kind: 'rebate',
    where: 'upper inner edge',
    purpose: 'for the pane',
    along: { from: stop, to: length - stop },
    up: { from: width - ledge, to: width },
    into: { from: floor, to: thickness },
    onFace: true,
  });
  // The slot is cut into the floor of the rebate, across it.
  const slots = barSlots(made, frame, outside.length, { up: 0, into: { from: 0, to: 0 } }).map(
    (slot): Recess => ({
      ...slot,
      up: { from: width - ledge, to: width },
      into: { from: Math.max(0, floor - (slot.up.to - slot.up.from)), to: floor },
      onFace: true,
    }),
  );
  const piece = (id: string, name: string, length: number, recesses: Recess[]): Part =>
    timberPiece(prefix, timber, id, name, {
      length,
      count: 2,
      operations: mitred ? [] : ['square both ends'],
      recesses: seatDepth > 0 ? recesses : [],
      ends: mitred
        ? (['datum', 'far'] as const).map((which) => ({
            kind: 'mitre' as const,
            end: which,
            angle: 45,
            long: 'bottom edge' as const,
          }))
        : [],
    });
  const endLength = mitred ? outside.width : outside.width - 2 * width;
  return [
    piece('lid-side', 'Lid, side', outside.length, [rebate(outside.length, mitred ? 0 : width - ledge), ...slots]),
    piece('lid-end', 'Lid, end', endLength, [rebate(endLength, 0)]),
  ];
}

/** Corner cleats, ripped from the side board: as thick as it is. */
function cleatPart(made: TimberBox, frame: Frame, prefix: string): Part {
  const { board, cleat, back } = made;
  return timberPiece(prefix, board, 'cleat', 'Corner cleat', {
    length: Math.max(0.01, frame.solid - back.thickness - 0.002),
    count: 4,
    section: { width: cleat, thickness: board.thickness },
    operations: [`set it under the pane’s bearing by ${sized(0.002)}`],
    slack: { short: 0.015, long: 0, words: 'it only has to hold its screws' },
  });
}
