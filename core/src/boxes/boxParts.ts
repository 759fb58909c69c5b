import { materials, type Sheet, type Timber } from '../catalogue';
import { sized } from '../quantity';
import type { HoleSchedule, Part, Purchase } from '../shop';
import type { Exit } from './box';
import { edgeParts } from './edge';
import type { Frame, TimberBox } from './timberBox';

/** m between screws along the rim. */
const screwSpacing = 0.15;
/** m. Clearance hole of a 4 mm screw. */
const screwHole = 0.0045;
/** m. A weep hole, screened. */
const weepHole = 0.008;

interface PartsQuery {
  prefix: string;
  railDepth: number;
  exits: readonly Exit[];
  /** m between insulation and pane: what an edge strip covers. */
  hotSpace: number;
  /** m from the outer face of the low side to each tube: the rails' screws miss them. */
  tubes: readonly number[];
}

/** kg of a board of so much, by its thickness. */
function boardMass(board: Timber, length: number, width = board.width): number {
  return length * width * board.thickness * materials.softwood.density;
}

export function boxParts(made: TimberBox, frame: Frame, query: PartsQuery): Part[] {
  const { board, cladding, edge, rails, lid } = made;
  const { inside } = frame;
  const rail: Part = {
    id: `${query.prefix}/rail`,
    name: 'Cross rail',
    item: board.id,
    kind: 'length',
    stuff: 'timber',
    length: inside.width,
    count: rails,
    operations: [`rip to ${sized(query.railDepth)} deep`],
    ...railScrews(frame, query.tubes),
    mass: boardMass(board, inside.width, query.railDepth),
  };
  return [
    ...sideParts(made, frame, query),
    ...(cladding ? claddingParts(cladding, frame, query) : []),
    ...(edge ? edgeParts(edge, frame, query.prefix) : []),
    ...(lid ? lidParts(made, lid.timber, frame, query.prefix) : []),
    ...(made.cleat > 0 ? [cleatPart(made, frame, query.prefix)] : []),
    ...(rails > 0 ? [rail] : []),
    ...sheetParts(made, frame, query.prefix),
    ...(made.edgeStrip > 0 && query.hotSpace > 0 ? stripParts(made, frame, query) : []),
  ];
}

/** Four screws through the back into each rail, each half-way between two tubes. */
function railScrews({ wall }: Frame, tubes: readonly number[]): { holes?: HoleSchedule } {
  const between = tubes.slice(1).map((tube, index) => (tube + (tubes[index] ?? 0)) / 2 - wall);
  const last = between.length - 1;
  if (last < 0) return {};
  const chosen = [...new Set([0, 1 / 3, 2 / 3, 1].map((share) => Math.round(share * last)))];
  const positions = chosen.map((index) => between[index] ?? 0);
  return {
    holes: {
      datum: 'low side',
      middle: ((positions[0] ?? 0) + (positions[positions.length - 1] ?? 0)) / 2,
      positions,
      diameter: screwHole,
      pilot: 0.0025,
      where: 'for the screws from the back, between the tubes',
    },
  };
}

/** Sides and ends; holes where a tube comes out, from the board's own end and bottom edge. */
function sideParts(made: TimberBox, frame: Frame, { prefix, exits }: PartsQuery): Part[] {
  const { board, back, lid } = made;
  const { inside, clad } = frame;
  const standing = clad > 0;
  const raised = standing ? back.thickness : 0;
  const operations = standing
    ? ['square both ends', ...(lid ? [] : ['round the top inner edge that the pane lies on'])]
    : [...(lid ? [] : ['rebate the top inner edge for the pane']), 'rebate the bottom inner edge for the back'];
  const sideLength = inside.length + 2 * board.thickness;
  const holes = (side: Exit['side'], length: number, off: number): { holes?: HoleSchedule } => {
    const mine = exits.filter((exit) => exit.side === side).sort((a, b) => a.along - b.along);
    const [first] = mine;
    if (!first) return {};
    const onEnd = side === 'cold' || side === 'hot';
    return {
      holes: {
        datum: onEnd ? 'low side' : 'cold end',
        middle: length / 2,
        positions: mine.map((hole) => hole.along - off),
        diameter: first.diameter,
        ...(first.slot ? { slot: Math.abs(first.slot) } : {}),
        pilot: 0.003,
        where: `through the board, for the ${onEnd ? 'tube' : 'header'}`,
        across: { from: 'bottom edge', distance: first.up - raised },
      },
    };
  };
  // The side that the headers go through; where they go through both, one of them is enough.
  const comesOff =
    made.side === 'removable' ? exits.find(({ side }) => side === 'low' || side === 'high')?.side : undefined;
  const piece = (
    id: string,
    name: string,
    length: number,
    count: number,
    more: { holes?: HoleSchedule },
    work: string[] = [],
  ): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: board.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count,
    operations: [...operations, ...work],
    mass: boardMass(board, length),
    ...more,
  });
  const onEnds = exits.some((exit) => exit.side === 'cold' || exit.side === 'hot');
  const end = (which: 'cold' | 'hot') =>
    piece(
      `end-${which}`,
      which === 'cold' ? 'End board, low end' : 'End board, high end',
      inside.width,
      1,
      holes(which, inside.width, frame.wall),
    );
  const side = (which: 'low' | 'high') =>
    piece(
      `side-${which}`,
      `Side board, ${which}`,
      sideLength,
      1,
      holes(which, sideLength, clad),
      comesOff === which ? ['screws and no glue: it comes off to let the headers in'] : [],
    );
  return [
    side('low'),
    side('high'),
    ...(onEnds ? [end('cold'), end('hot')] : [piece('end', 'End board', inside.width, 2, {})]),
  ];
}

/** The boards round the outside; exit holes are drilled through both at once. */
function claddingParts(cladding: Timber, { outside, rimTop }: Frame, { prefix, exits }: PartsQuery): Part[] {
  const piece = (id: string, name: string, length: number): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: cladding.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count: 2,
    operations: [
      `rip to ${sized(rimTop)}, the depth of the box`,
      ...(exits.length > 0 ? ['screw on, then drill the exit holes through both boards'] : []),
    ],
    mass: boardMass(cladding, length, Math.min(rimTop, cladding.width)),
  });
  return [
    piece('cladding-side', 'Outer board, side', outside.length),
    piece('cladding-end', 'Outer board, end', outside.width - 2 * cladding.thickness),
  ];
}

/** The frame that the pane lies in, as long and as wide as the box. */
function lidParts({ lid, ledge }: TimberBox, timber: Timber, { outside }: Frame, prefix: string): Part[] {
  const mitred = lid?.corners === 'mitred';
  const rebate = `rebate the upper inner edge, ${sized(ledge)} wide, for the pane`;
  const piece = (id: string, name: string, length: number): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: timber.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count: 2,
    operations: [mitred ? 'mitre both ends 45°, the long edge outside' : 'square both ends', rebate],
    mass: boardMass(timber, length),
  });
  return [
    piece('lid-side', 'Lid, side', outside.length),
    piece('lid-end', 'Lid, end', mitred ? outside.width : outside.width - 2 * timber.width),
  ];
}

/** Corner cleats, ripped from what is left of the side board. */
function cleatPart(made: TimberBox, frame: Frame, prefix: string): Part {
  const { board, cleat, back } = made;
  const length = Math.max(0.01, frame.solid - back.thickness - 0.002);
  return {
    id: `${prefix}/cleat`,
    name: 'Corner cleat',
    item: board.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count: 4,
    operations: [`rip ${sized(cleat)} square, two to a width`],
    mass: length * cleat ** 2 * materials.softwood.density,
  };
}

function pieceMass(sheet: Sheet, { width, height }: { width: number; height: number }): number {
  return width * height * sheet.thickness * materials[sheet.material].density;
}

/** Back and insulation. */
function sheetParts(made: TimberBox, frame: Frame, prefix: string): Part[] {
  const { back, insulation: wool, rails, weeps } = made;
  const { inside, bay, backUnder, turned } = frame;
  const width = inside.length + 2 * backUnder;
  const height = inside.width + 2 * backUnder;
  // Boards of wool are smaller than a bay: pieces side by side, as few as will do.
  const across = Math.ceil(inside.width / Math.max(wool.width, wool.height) - 1e-9);
  const along = Math.ceil(bay / Math.min(wool.width, wool.height) - 1e-9);
  const piece = { width: bay / along, height: inside.width / across };
  const lowEdge = turned ? 'long edge that lies low' : 'short edge that lies low';
  return [
    {
      id: `${prefix}/back`,
      name: 'Back',
      item: back.id,
      kind: 'sheet',
      width,
      height,
      turn: true,
      count: 1,
      operations:
        weeps > 0
          ? [`${weeps} weep holes of ${sized(weepHole)} along the ${lowEdge} and ${weeps} along the high one, screened`]
          : [],
      mass: pieceMass(back, { width, height }),
    },
    {
      id: `${prefix}/insulation`,
      name: 'Insulation',
      item: wool.id,
      kind: 'sheet',
      ...piece,
      turn: true,
      count: (rails + 1) * across * along,
      operations: [],
      mass: pieceMass(wool, piece),
    },
  ];
}

/** Slices off the insulation board, set on edge along sides and ends; a hot space higher than the board takes two. */
function stripParts(made: TimberBox, { inside }: Frame, { prefix, hotSpace }: PartsQuery): Part[] {
  const { insulation: wool, edgeStrip } = made;
  const courses = Math.max(1, Math.ceil(hotSpace / wool.thickness - 1e-9));
  const longest = Math.max(wool.width, wool.height);
  const piece = (id: string, name: string, length: number): Part => {
    const beside = Math.ceil(length / longest - 1e-9);
    const size = { width: edgeStrip, height: length / beside };
    return {
      id: `${prefix}/${id}`,
      name,
      item: wool.id,
      kind: 'sheet',
      ...size,
      turn: true,
      count: 2 * courses * beside,
      operations: ['a slice off the board, set on edge'],
      mass: pieceMass(wool, size),
    };
  };
  return [
    piece('strip-side', 'Edge strip, side', inside.length),
    piece('strip-end', 'Edge strip, end', inside.width - 2 * edgeStrip),
  ];
}

export function boxPurchases(made: TimberBox, { outside, rimTop }: Frame, prefix: string): Purchase[] {
  const round = 2 * (outside.length + outside.width);
  const perRim = Math.ceil(round / screwSpacing);
  const jacketed = made.cladding !== undefined || made.edge !== undefined;
  const screws = 8 + made.rails * 4 + perRim * (jacketed ? 2 : 1);
  const line = (
    id: string,
    name: string,
    quantity: number,
    unit: Purchase['unit'],
    priceKey: string,
    rule: string,
    mass: number,
  ): Purchase => ({ id: `${prefix}/${id}`, name, quantity, unit, priceKey, rule, mass });
  const around = made.cladding
    ? ' and through the outer boards'
    : made.edge
      ? ' and through the metal, under the back'
      : '';
  return [
    line(
      'screws',
      'Stainless screws 4 × 40',
      screws,
      'each',
      'screw',
      `two a corner, four a rail, every 150 mm round the back${around}`,
      0.004 * screws,
    ),
    line(
      'box-paint',
      'Exterior paint',
      // Metal is bought painted: its box is painted inside.
      (round * rimTop * (made.edge ? 1 : 2) * 2) / 10,
      'L',
      'paint',
      `two coats inside${made.edge ? '' : ' and out'}, 10 m² to the litre`,
      0.2,
    ),
    ...(made.lid
      ? [
          line('lid-gasket', 'Gasket between lid and box', round, 'm', 'gasket', 'once round the rim', 0.05 * round),
          line('hinge', 'Stainless hinges for the lid', 2, 'each', 'hinge', 'two along the high edge', 0.2),
          line(
            'lid-clip',
            'Toggle clips for the lid',
            4,
            'each',
            'lid-clip',
            'two along the low edge, one a side',
            0.2,
          ),
        ]
      : []),
    ...(made.handles > 0
      ? [
          line(
            'handle',
            'Handles, stainless',
            made.handles,
            'each',
            'handle',
            'as drawn, bolted through',
            0.12 * made.handles,
          ),
        ]
      : []),
    ...(made.hanging === 'plates'
      ? [line('hanger', 'Hanging plates', 4, 'each', 'hanger', 'a fifth in from the ends of the back', 0.6)]
      : []),
    ...(made.weeps > 0
      ? [line('weep-screen', 'Insect screens', 2 * made.weeps, 'each', 'weep-screen', 'one a weep hole', 0.002)]
      : []),
  ];
}
