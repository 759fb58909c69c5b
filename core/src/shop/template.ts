import { findEntry } from '../catalogue';
import { type Drawing, type Label, leader, type Point, type Shape, shape } from '../draw';
import { faceOf, sectionOf } from './features';
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
  if (part.kind !== 'length') return [];
  const rows = (part.holes ?? []).filter(({ positions }) => positions.length > 0);
  if (part.stuff === 'tube') {
    const tube = findEntry('tube', part.item);
    return tube
      ? rows.flatMap((row) => [drillStrip(part, row, tube.outerDiameter), wrapStrip(part, row, tube.outerDiameter)])
      : [];
  }
  if (part.stuff !== 'timber') return [];
  const marked = rows.filter(({ diameter }) => diameter >= leastHole);
  return [...endTemplates(part), ...(['left', 'right'] as const).flatMap((end) => boardEnd(part, marked, end))];
}

/** m of a piece that the template of its end covers, past the cut. */
const endReach = 0.12;

/** Ends and edges that are not square, at full size: each angle once. */
function endTemplates(part: LengthPart): Template[] {
  const { up } = faceOf(part);
  const thickness = sectionOf(part)?.thickness ?? 0;
  const said = new Set<string>();
  const ends = (part.ends ?? []).flatMap(({ kind, angle, long }): Template[] => {
    const overFace = long === 'top edge' || long === 'bottom edge';
    const across = overFace ? up : thickness;
    const key = `${angle} ${overFace}`;
    if (said.has(key)) return [];
    said.add(key);
    const lean = across * Math.tan((angle * Math.PI) / 180);
    const reach = lean + endReach;
    return [
      {
        id: `${part.id}/end-${overFace ? 'face' : 'edge'}`,
        name: `${part.name}: ${kind} of its end`,
        words: [
          `lay it on the ${overFace ? 'wide face' : 'narrow edge'}, the long corner on the end of the piece, the ${long} along the line that is marked so`,
          'scribe the leaning line, or set a bevel gauge to it; turn it over for an end that leans the other way',
        ],
        drawing: {
          title: `${part.name}, end`,
          shapes: [
            shape.outline('note', [
              { x: 0, y: 0 },
              { x: reach, y: 0 },
              { x: reach, y: across },
              { x: lean, y: across },
            ]),
          ],
          dimensions: [],
          labels: [
            leader(`${long}, long`, { x: reach / 2, y: 0 }, { x: reach / 2, y: 0.005 }, { anchor: 'middle' }),
            leader(
              `${Math.round(angle * 10) / 10}°`,
              { x: lean / 2, y: across / 2 },
              { x: lean / 2 + 0.012, y: across / 2 },
            ),
          ],
        },
      },
    ];
  });
  return [...ends, ...rippedTemplate(part)];
}

/** The section of a piece with an edge that is ripped at an angle, at full size. */
function rippedTemplate(part: LengthPart): Template[] {
  const { ripped } = part;
  const section = sectionOf(part);
  if (!ripped || !section) return [];
  const fall = section.thickness * Math.tan((ripped.angle * Math.PI) / 180);
  return [
    {
      id: `${part.id}/section`,
      name: `${part.name}: its section`,
      words: [
        'cut it out and hold it to the end grain: the saw leans as its upper edge does',
        `the ${ripped.long} is the side that is marked so`,
      ],
      drawing: {
        title: `${part.name}, section`,
        shapes: [
          shape.outline('note', [
            { x: 0, y: 0 },
            { x: section.thickness, y: 0 },
            { x: section.thickness, y: section.width - fall },
            { x: 0, y: section.width },
          ]),
        ],
        dimensions: [],
        labels: [leader(ripped.long, { x: 0, y: section.width / 2 }, { x: 0.005, y: section.width / 2 })],
      },
    },
  ];
}

function cross(at: Point, reach = arm): Shape[] {
  return [
    shape.line('centre', { x: at.x - reach, y: at.y }, { x: at.x + reach, y: at.y }),
    shape.line('centre', { x: at.x, y: at.y - reach }, { x: at.x, y: at.y + reach }),
  ];
}

/** A hole as it is finished: round, or drawn out into a slot toward the nearer end. */
function finished(at: Point, { diameter, slot = 0 }: HoleSchedule, outward: number): Shape[] {
  const circle = (x: number): Shape => shape.circle('hole', { x, y: at.y }, diameter / 2);
  return slot > 0 ? [circle(at.x), circle(at.x + outward * slot)] : [circle(at.x)];
}

function datumMark(words: string, y: number): { shapes: Shape[]; label: Label } {
  return {
    shapes: [shape.line('note', { x: 0, y: -y }, { x: 0, y })],
    label: leader(`${words}: lay this line on it`, { x: 0, y: -y }, { x: 0.004, y: -y - 0.005 }),
  };
}

function outline(x: number, y: number, width: number, height: number): Shape {
  return shape.rect('note', { x, y, width, height });
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
        shape.line('centre', { x: 0, y: 0 }, { x: length, y: 0 }),
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
  return holes.positions.map((x) => leader('', { x, y }, { x, y: y + 0.004 }, { size: x, anchor: 'middle' as const }));
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
  const quarter = (share: number): Shape =>
    shape.line('centre', { x: 0, y: share * round }, { x: length, y: share * round });
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
        shape.line('note', { x: 0, y: -round / 2 }, { x: 0, y: round / 2 }),
        ...holes.positions.flatMap((x): Shape[] => [
          shape.outline('hole', rolledOut({ x, y: 0 }, holes.diameter / 2, radius)),
          ...cross({ x, y: 0 }),
        ]),
      ],
      dimensions: [],
      labels: [
        leader(
          `${holes.datum}; round the tube`,
          { x: 0, y: -round / 2 },
          { x: 0.004, y: -round / 2 - 0.005 },
          { size: round, fine: true },
        ),
        ...numbers(holes, 0.012),
      ],
    },
  };
}

/**
 * The holes of a board that are nearer to one of its ends, as they are seen on its outer face with the bottom edge down, so that a hole at
 * the far end does not cost a length of paper. The end's line is at zero, the board lies to the right or to the left of it.
 */
function boardEnd(part: LengthPart, rows: readonly HoleSchedule[], end: 'left' | 'right'): Template[] {
  const width = faceOf(part).up;
  const datumHere = (part.datum?.side ?? 'left') === end;
  const near = rows.flatMap((row) =>
    row.positions.flatMap((position) => {
      const from = datumHere ? position : part.length - position;
      return from < part.length / 2 || (from === part.length / 2 && end === 'left') ? [{ row, from }] : [];
    }),
  );
  if (near.length === 0) return [];
  const way = end === 'left' ? 1 : -1;
  const length = Math.min(part.length, Math.max(...near.map(({ from, row }) => from + row.diameter / 2)) + past);
  const up = ({ across }: HoleSchedule) => across?.distance ?? width / 2;
  const height = Math.min(width, Math.max(...near.map(({ row }) => up(row) + row.diameter / 2)) + past);
  const datum = part.datum?.end ?? rows[0]?.datum ?? 'datum end';
  return [
    {
      id: `${part.id}/holes-${datumHere ? 'datum' : 'far'}`,
      name: `${part.name}: ${near.length === 1 ? 'hole' : 'holes'} at ${datumHere ? `its ${datum}` : `the end away from its ${datum}`}`,
      words: [
        `lay it on the outer face, bottom edge down: the upright line on the ${datumHere ? datum : `end away from the ${datum}`}, at the ${end}, the lower line on the bottom edge`,
        'prick the cross, drill the pilot through, then the hole from both faces',
      ],
      drawing: {
        title: `${part.name}, holes`,
        shapes: [
          outline(way > 0 ? 0 : -length, 0, length, height),
          shape.line('note', { x: 0, y: 0 }, { x: 0, y: height }),
          ...recessOutlines(part, datumHere, way, length, height),
          ...near.flatMap(({ row, from }) => {
            const at = { x: way * from, y: up(row) };
            return [...finished(at, row, -way), ...cross(at, 0.012)];
          }),
        ],
        dimensions: [],
        labels: near.map(({ row, from }) =>
          leader(
            '',
            { x: way * from, y: up(row) },
            { x: way * from, y: up(row) + row.diameter / 2 + 0.006 },
            { size: from, anchor: 'middle' as const },
          ),
        ),
      },
    },
  ];
}

/** Rebates and notches of a board where the paper covers them, hidden: they are cut from the inner face. */
function recessOutlines(part: LengthPart, datumHere: boolean, way: number, length: number, height: number): Shape[] {
  return (part.recesses ?? []).flatMap(({ along, up }): Shape[] => {
    const span = datumHere ? along : { from: part.length - along.to, to: part.length - along.from };
    const [from, to] = [Math.max(0, span.from), Math.min(length, span.to)];
    const [low, high] = [Math.max(0, up.from), Math.min(height, up.to)];
    if (to <= from || high <= low) return [];
    const x = way > 0 ? from : -to;
    return [shape.rect('note', { hidden: true, x, y: low, width: to - from, height: high - low })];
  });
}
