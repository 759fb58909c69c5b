import { materials, type Range, range, type Sheet, type Timber } from '../catalogue';
import type { GlazingDesign } from '../glazings';
import type { HoleSchedule, Part, Purchase } from '../shop';
import type { BoxDesign, BoxMember, Exit } from './box';

/** m. Rebate along the bottom inner edge that a let-in back lies in. */
const backLedge = 0.007;
/** W/m²K. Still air inside a warm cavity and sheltered air outside: ISO 6946 surface values, rounded. */
const inner = 8;
const outer = 15;
/** Conductivity as built, times the book value: gaps and squeezing; damp through a leaking lid or wet timber. */
const asBuilt: Record<'dry' | 'damp', Range> = {
  dry: range(1.1, 1.2, 1.3, 'judgement'),
  damp: range(1.3, 1.6, 2, 'judgement'),
};
/** m between screws along the rim. */
const screwSpacing = 0.15;

/** What a box of boards is made of. */
export interface TimberBox {
  board: Timber;
  /**
   * Boards round the outside. With them the inner boards stand on the back, the pane lies on their edges, and the outer ones
   * reach from under the back to the top of the pane; without them pane and back are let into rebates.
   */
  cladding?: Timber;
  back: Sheet;
  insulation: Sheet;
  state: 'dry' | 'damp';
  rails: number;
  /** m that the pane bears on, of a rebated box; of a clad one it is the inner board less the clearance. */
  ledge: number;
  cleat: number;
}

/** Sizes that everything else of a box hangs on. */
interface Frame {
  inside: { length: number; width: number };
  outside: { length: number; width: number };
  wall: number;
  depth: number;
  bay: number;
  /** m. How far the back reaches under the sides. */
  backUnder: number;
}

function frameOf(made: TimberBox, glazing: GlazingDesign): Frame {
  const { board, cladding, back, rails } = made;
  const clad = cladding?.thickness ?? 0;
  const wall = board.thickness + clad;
  const bearing = cladding ? board.thickness - glazing.clearance : made.ledge;
  const insideOf = (pane: number) => pane + 2 * (glazing.clearance - bearing - (cladding ? glazing.clearance : 0));
  const inside = { length: insideOf(glazing.pane.length), width: insideOf(glazing.pane.width) };
  return {
    inside,
    outside: { length: inside.length + 2 * wall, width: inside.width + 2 * wall },
    wall,
    depth: cladding ? back.thickness + board.width + glazing.seatDepth : board.width,
    bay: (inside.length - rails * board.thickness) / (rails + 1),
    backUnder: cladding ? board.thickness : backLedge,
  };
}

/** A box of board sides, sheet back and cross rails round a pane. */
export function timberBox(made: TimberBox): BoxMember {
  const { board, cladding, back, insulation: wool, rails: railCount, cleat } = made;
  return {
    paneToOutside: (glazing) => frameOf(made, glazing).outside.length - glazing.pane.length,
    around: (glazing): BoxDesign => {
      const frame = frameOf(made, glazing);
      const { inside, outside, wall, depth, bay } = frame;
      const perimeter = 2 * (inside.length + inside.width);
      const wood = materials.softwood;
      return {
        name: `${board.name}${cladding ? ` in ${cladding.name}` : ''}, ${back.name} back, ${wool.name}`,
        inside,
        outside,
        wall,
        seam: cladding?.thickness,
        backUnder: frame.backUnder,
        depth,
        back: back.thickness,
        insulation: wool.thickness,
        cleat,
        cornerScrews: [0.3, 0.7].flatMap((share) =>
          [1, -1].map((end) => {
            const inset = cleat > 0 ? wall + cleat / 2 : wall / 2;
            return { along: end > 0 ? inset : outside.length - inset, up: depth * share };
          }),
        ),
        rails: Array.from(
          { length: railCount },
          (_, index) => (index + 1) * (bay + board.thickness) - board.thickness / 2,
        ),
        backStack: {
          layers: [wool, back].map((sheet) => ({
            name: sheet.name,
            thickness: sheet.thickness,
            conductivity: materials[sheet.material].conductivity,
          })),
          outside: outer,
        },
        backFactor: asBuilt[made.state],
        rim: (height) => ({
          area: perimeter * Math.max(0, height),
          layers: [{ name: board.name, thickness: wall, conductivity: wood.conductivity }],
          inside: inner,
          outside: outer,
        }),
        limits: {
          insulation: { name: wool.name, limit: materials[wool.material].serviceLimit },
          back: { name: back.name, limit: materials[back.material].serviceLimit },
          side: { name: board.name, limit: wood.serviceLimit },
        },
        findings: (path) =>
          cladding && cladding.width < depth - 1e-9
            ? [
                {
                  code: 'cladding-too-narrow',
                  severity: 'clash',
                  path: `${path}.box.parameters.cladding`,
                  values: { board: cladding.width, needed: depth },
                },
              ]
            : [],
        parts: (query) => boxParts(made, frame, glazing, query),
        purchases: (prefix) => boxPurchases(made, frame, prefix),
      };
    },
  };
}

interface PartsQuery {
  prefix: string;
  railDepth: number;
  exits: readonly Exit[];
}

/** kg of a board of so much, by its thickness. */
function boardMass(board: Timber, length: number, width = board.width): number {
  return length * width * board.thickness * materials.softwood.density;
}

function boxParts(made: TimberBox, frame: Frame, glazing: GlazingDesign, query: PartsQuery): Part[] {
  const { board, cladding, rails } = made;
  const { inside } = frame;
  const rail: Part = {
    id: `${query.prefix}/rail`,
    name: 'Cross rail',
    item: board.id,
    kind: 'length',
    stuff: 'timber',
    length: inside.width,
    count: rails,
    operations: ['rip to depth'],
    mass: boardMass(board, inside.width, query.railDepth),
  };
  return [
    ...sideParts(made, frame, query),
    ...(cladding ? claddingParts(cladding, frame, query) : []),
    ...(made.cleat > 0 ? [cleatPart(made, frame, glazing, query.prefix)] : []),
    ...(rails > 0 ? [rail] : []),
    ...sheetParts(made, frame, query.prefix),
  ];
}

/** Sides and ends; holes where a tube comes out, from the board's own end and bottom edge. */
function sideParts(made: TimberBox, frame: Frame, { prefix, exits }: PartsQuery): Part[] {
  const { board, cladding, back } = made;
  const { inside } = frame;
  const clad = cladding?.thickness ?? 0;
  const raised = cladding ? back.thickness : 0;
  const operations = cladding
    ? ['square both ends', 'round the top inner edge that the pane lies on']
    : ['rebate the top inner edge for the pane', 'rebate the bottom inner edge for the back'];
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
        pilot: 0.003,
        where: `through the board, for the ${onEnd ? 'tube' : 'header'}`,
        across: { from: 'bottom edge', distance: first.up - raised },
      },
    };
  };
  const piece = (id: string, name: string, length: number, count: number, more: { holes?: HoleSchedule }): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: board.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count,
    operations,
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
  return [
    piece('side-low', 'Side board, low', sideLength, 1, holes('low', sideLength, clad)),
    piece('side-high', 'Side board, high', sideLength, 1, holes('high', sideLength, clad)),
    ...(onEnds ? [end('cold'), end('hot')] : [piece('end', 'End board', inside.width, 2, {})]),
  ];
}

/** The boards round the outside; exit holes are drilled through both at once. */
function claddingParts(cladding: Timber, { outside, depth }: Frame, { prefix, exits }: PartsQuery): Part[] {
  const piece = (id: string, name: string, length: number): Part => ({
    id: `${prefix}/${id}`,
    name,
    item: cladding.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count: 2,
    operations: [
      `rip to the depth of the box`,
      ...(exits.length > 0 ? ['screw on, then drill the exit holes through both boards'] : []),
    ],
    mass: boardMass(cladding, length, Math.min(depth, cladding.width)),
  });
  return [
    piece('cladding-side', 'Outer board, side', outside.length),
    piece('cladding-end', 'Outer board, end', outside.width - 2 * cladding.thickness),
  ];
}

/** Corner cleats, ripped from what is left of the side board. */
function cleatPart(made: TimberBox, frame: Frame, glazing: GlazingDesign, prefix: string): Part {
  const { board, cleat, back, cladding } = made;
  const length = Math.max(0.01, (cladding ? board.width : frame.depth - back.thickness - glazing.seatDepth) - 0.002);
  return {
    id: `${prefix}/cleat`,
    name: 'Corner cleat',
    item: board.id,
    kind: 'length',
    stuff: 'timber',
    length,
    count: 4,
    operations: [`rip ${Math.round(cleat * 1000)} mm square, two to a width`],
    mass: length * cleat ** 2 * materials.softwood.density,
  };
}

/** Back and insulation. */
function sheetParts(made: TimberBox, { inside, bay, backUnder }: Frame, prefix: string): Part[] {
  const { back, insulation: wool, rails } = made;
  const width = inside.length + 2 * backUnder;
  const height = inside.width + 2 * backUnder;
  // Boards of wool are smaller than a bay: pieces side by side, as few as will do.
  const across = Math.ceil(inside.width / Math.max(wool.width, wool.height) - 1e-9);
  const along = Math.ceil(bay / Math.min(wool.width, wool.height) - 1e-9);
  const piece = { width: bay / along, height: inside.width / across };
  const mass = (sheet: Sheet, size: { width: number; height: number }) =>
    size.width * size.height * sheet.thickness * materials[sheet.material].density;
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
      operations: [],
      mass: mass(back, { width, height }),
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
      mass: mass(wool, piece),
    },
  ];
}

function boxPurchases(made: TimberBox, { outside, depth }: Frame, prefix: string): Purchase[] {
  const round = 2 * (outside.length + outside.width);
  const perRim = Math.ceil(round / screwSpacing);
  const screws = 8 + made.rails * 4 + perRim * (made.cladding ? 2 : 1);
  return [
    {
      id: `${prefix}/screws`,
      name: 'Stainless screws 4 × 40',
      quantity: screws,
      unit: 'each',
      priceKey: 'screw',
      rule: `two a corner, four a rail, every 150 mm round the back${made.cladding ? ' and through the outer boards' : ''}`,
      mass: 0.004 * screws,
    },
    {
      id: `${prefix}/box-paint`,
      name: 'Exterior paint',
      quantity: (round * depth * 2 * 2) / 10,
      unit: 'L',
      priceKey: 'paint',
      rule: 'two coats inside and out, 10 m² to the litre',
      mass: 0.2,
    },
  ];
}
