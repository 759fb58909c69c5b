import { entry, findEntry } from '../catalogue';
import type { Drawing, Label, Point, Shape } from '../draw';
import type { HoleSchedule, Part } from './part';

/** Something printed at full size and laid on, or wrapped round, the piece. */
export interface Template {
  /** From its part's id. */
  id: string;
  name: string;
  /** How it is laid on, in order; lengths by `sized`. */
  words: readonly string[];
  drawing: Drawing;
}

type LengthPart = Part & { kind: 'length' };

/** m. A sheet of paper: round a tube it lies on the outside by so much. */
const paper = 0.0001;
/** m of paper past the join of a wrap-round, to stick down. */
const flap = 0.01;
/** m that a strip goes on past its last hole, and past a board's hole. */
const past = 0.03;
/** m. Smaller holes in a board are for screws: they are marked by the tape. */
const leastHole = 0.008;
/** m. Arm of a cross. */
const arm = 0.008;

/** Templates of a part with holes: flat and wrap-round for tube, the place of each hole for boards. */
export function partTemplates(part: Part): Template[] {
  if (part.kind !== 'length' || !part.holes || part.holes.positions.length === 0) return [];
  const { holes } = part;
  if (part.stuff === 'tube') {
    const tube = findEntry('tube', part.item);
    return tube ? [drillStrip(part, holes, tube.outerDiameter), wrapStrip(part, holes, tube.outerDiameter)] : [];
  }
  return part.stuff === 'timber' && holes.diameter >= leastHole ? [boardHoles(part, holes)] : [];
}

function cross(at: Point, reach = arm): Shape[] {
  return [
    { kind: 'line', layer: 'centre', from: { x: at.x - reach, y: at.y }, to: { x: at.x + reach, y: at.y } },
    { kind: 'line', layer: 'centre', from: { x: at.x, y: at.y - reach }, to: { x: at.x, y: at.y + reach } },
  ];
}

/** A hole as it is finished: round, or drawn out into a slot toward the nearer end. */
function finished(at: Point, { diameter, slot = 0 }: HoleSchedule, outward: number): Shape[] {
  const circle = (x: number): Shape => ({
    kind: 'circle',
    layer: 'hole',
    centre: { x, y: at.y },
    radius: diameter / 2,
  });
  return slot > 0 ? [circle(at.x), circle(at.x + outward * slot)] : [circle(at.x)];
}

function datumMark(words: string, y: number): { shapes: Shape[]; label: Label } {
  return {
    shapes: [{ kind: 'line', layer: 'note', from: { x: 0, y: -y }, to: { x: 0, y } }],
    label: {
      at: { x: 0, y: -y },
      to: { x: 0.004, y: -y - 0.005 },
      words: `${words}: lay this line on it`,
      anchor: 'start',
    },
  };
}

function outline(x: number, y: number, width: number, height: number): Shape {
  return { kind: 'rect', layer: 'note', x, y, width, height };
}

function drillStrip(part: LengthPart, holes: HoleSchedule, diameter: number): Template {
  const last = Math.max(...holes.positions);
  const length = Math.min(part.length, last + past);
  const datum = datumMark(holes.datum, diameter / 2);
  return {
    id: `${part.id}/strip`,
    name: `${part.name}: drill strip`,
    words: [
      'lay the line of the datum on the end of the tube and the long line on the scribed centre line',
      'tape it down, prick every cross, look along the row: the pricks stand in one line',
    ],
    drawing: {
      title: `${part.name}, drill strip`,
      shapes: [
        outline(0, -diameter / 2, length, diameter),
        { kind: 'line', layer: 'centre', from: { x: 0, y: 0 }, to: { x: length, y: 0 } },
        ...datum.shapes,
        ...holes.positions.flatMap((x) => [...finished({ x, y: 0 }, holes, 0), ...cross({ x, y: 0 })]),
      ],
      dimensions: [],
      labels: [datum.label, ...numbers(holes, diameter / 2)],
    },
  };
}

/** Running dimensions at every hole. */
function numbers(holes: HoleSchedule, y: number): Label[] {
  return holes.positions.map((x) => ({
    at: { x, y },
    to: { x, y: y + 0.004 },
    words: '',
    size: x,
    anchor: 'middle' as const,
  }));
}

/** Points round a drilled hole on a tube that is rolled out flat: along the tube as drilled, round it by the arc. */
function rolledOut(at: Point, radius: number, tube: number): Point[] {
  const steps = 48;
  return Array.from({ length: steps }, (_, step) => {
    const angle = (2 * Math.PI * step) / steps;
    const across = Math.min(1, (radius * Math.sin(angle)) / tube);
    return { x: at.x + radius * Math.cos(angle), y: at.y + tube * Math.asin(across) };
  });
}

function wrapStrip(part: LengthPart, holes: HoleSchedule, diameter: number): Template {
  const radius = diameter / 2 + paper;
  const round = 2 * Math.PI * radius;
  const length = Math.min(part.length, Math.max(...holes.positions) + past);
  const quarter = (share: number): Shape => ({
    kind: 'line',
    layer: 'centre',
    from: { x: 0, y: share * round },
    to: { x: length, y: share * round },
  });
  return {
    id: `${part.id}/wrap`,
    name: `${part.name}: wrap-round`,
    words: [
      'cut along both long lines, wrap it round the tube: the edges must meet, with the flap under',
      'lines stand at each quarter of the tube; the row of holes is on the middle one',
    ],
    drawing: {
      title: `${part.name}, wrap-round`,
      shapes: [
        outline(0, -round / 2, length, round),
        outline(0, round / 2, length, flap),
        quarter(-0.25),
        quarter(0),
        quarter(0.25),
        { kind: 'line', layer: 'note', from: { x: 0, y: -round / 2 }, to: { x: 0, y: round / 2 } },
        ...holes.positions.flatMap((x): Shape[] => [
          { kind: 'path', layer: 'hole', closed: true, points: rolledOut({ x, y: 0 }, holes.diameter / 2, radius) },
          ...cross({ x, y: 0 }),
        ]),
      ],
      dimensions: [],
      labels: [
        {
          at: { x: 0, y: -round / 2 },
          to: { x: 0.004, y: -round / 2 - 0.005 },
          words: `${holes.datum}; round the tube`,
          size: round,
          fine: true,
          anchor: 'start',
        },
        ...numbers(holes, 0.012),
      ],
    },
  };
}

function boardHoles(part: LengthPart, holes: HoleSchedule): Template {
  const board = entry('timber', part.item);
  const across = holes.across?.distance ?? board.width / 2;
  // From the end that is nearer, so that a hole at the far end does not cost a length of paper.
  const ends = holes.positions.map((position) =>
    position <= part.length / 2
      ? { x: position, far: false, position }
      : { x: part.length - position, far: true, position },
  );
  const length = Math.min(part.length, Math.max(...ends.map(({ x }) => x)) + holes.diameter / 2 + past);
  const height = Math.min(board.width, across + holes.diameter / 2 + past);
  const both = new Set(ends.map(({ far }) => far)).size > 1;
  return {
    id: `${part.id}/holes`,
    name: `${part.name}: ${holes.positions.length === 1 ? 'hole' : 'holes'}`,
    words: [
      `lay the upright line on the end of the board (${ends.every(({ far }) => far) ? `the end away from the ${holes.datum}` : `the ${holes.datum}`}) and the lower line on its bottom edge`,
      ...(both ? ['holes marked “other end” are laid from the other end, the template turned over'] : []),
      'prick the cross, drill the pilot through, then the hole from both faces',
    ],
    drawing: {
      title: `${part.name}, holes`,
      shapes: [
        outline(0, 0, length, height),
        { kind: 'line', layer: 'note', from: { x: 0, y: 0 }, to: { x: 0, y: height } },
        ...ends.flatMap(({ x }) => [...finished({ x, y: across }, holes, -1), ...cross({ x, y: across }, 0.012)]),
      ],
      dimensions: [],
      labels: ends.map(({ x, far }) => ({
        at: { x, y: across },
        to: { x, y: across + holes.diameter / 2 + 0.006 },
        words: far && both ? 'other end,' : '',
        size: x,
        anchor: 'middle' as const,
      })),
    },
  };
}
