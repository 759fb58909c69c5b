import { findEntry } from '../catalogue';
import { sized } from '../quantity';
import type { EndCut, HoleSchedule, Part, Recess, Section, Span } from './part';

const tiny = 5e-5;

/** m. Finished width and thickness of timber, as ripped, else as sold; of a bar over its flange and its height. Nothing for tube and sheet. */
export function sectionOf(part: Part): Section | undefined {
  if (part.kind !== 'length') return undefined;
  const bar = part.stuff === 'bar' ? findEntry('bar', part.item) : undefined;
  if (bar) return { width: bar.width, thickness: bar.height };
  if (part.stuff !== 'timber') return undefined;
  if (part.section) return part.section;
  const board = findEntry('timber', part.item);
  return board && { width: board.width, thickness: board.thickness };
}

/** m. How far a piece reaches along its datum line and up from it: length and width of a length, width and height of a sheet. */
export function faceOf(part: Part): { along: number; up: number } {
  if (part.kind === 'sheet') return { along: part.width, up: part.height };
  return { along: part.length, up: sectionOf(part)?.width ?? findEntry('tube', part.item)?.outerDiameter ?? 0 };
}

/** m. How far a row of holes, and each row alike with it, lies from the edge it is measured from; in the middle where it says nothing. */
export function rowDistances({ across, axis }: HoleSchedule, face: { along: number; up: number }): number[] {
  if (!across) return [(axis === 'up' ? face.along : face.up) / 2];
  return [across.distance, ...(across.more ?? [])];
}

/** Rip, rebates, notches and end cuts of a piece in words, lengths by `sized`. */
export function featureWords(part: Part): string[] {
  return [
    ripWords(part),
    rippedWords(part),
    pairWords(part),
    flangeWords(part),
    ...endWords(part.ends ?? [], part),
    ...(part.recesses ?? []).map((one) => recessWords(one, part)),
  ]
    .filter((words): words is string => words !== undefined)
    .filter((words, index, all) => all.indexOf(words) === index);
}

/** All work on a piece beside its holes and bends, in words: what its features ask first, and the row it must come to. */
export function workWords(part: Part): string[] {
  const row = rowWords(part);
  return [...featureWords(part), ...part.operations, ...(row ? [row] : [])];
}

function ripWords(part: Part): string | undefined {
  const section = part.kind === 'length' ? part.section : undefined;
  if (!section) return undefined;
  const sold = findEntry('timber', part.item);
  const whole = sold && Math.abs(sold.thickness - section.thickness) < tiny;
  return whole
    ? `rip to ${sized(section.width)} wide`
    : `rip to ${sized(section.width)} by ${sized(section.thickness)}`;
}

function rippedWords(part: Part): string | undefined {
  const ripped = part.kind === 'length' ? part.ripped : undefined;
  if (!ripped) return undefined;
  return `rip its ${ripped.edge} with the saw leant ${degrees(ripped.angle)}° (${riseWords(ripped.angle)}), the ${ripped.long} keeps the full width`;
}

function pairWords(part: Part): string | undefined {
  const pair = part.kind === 'sheet' ? part.pair : undefined;
  if (!pair) return undefined;
  return `saw it across from ${sized(pair.from)} up at the ${part.datum?.end ?? 'first end'} to ${sized(pair.to)} up at the other: ${pair.words}, one turned over to mirror the other`;
}

const degrees = (angle: number) => Math.round(angle * 10) / 10;
/** Degrees from which a rise over a run is no help. */
const steepest = 75;
/** m of run by which a slope is told. */
const toldRun = 0.1;

/** A slope by its rise over a run, as it is set on a bevel gauge. */
function riseWords(angle: number): string {
  return `${sized(toldRun * Math.tan((angle * Math.PI) / 180))} in ${sized(toldRun)}`;
}

function flangeWords(part: Part): string | undefined {
  const flanges = part.kind === 'length' ? part.flanges : undefined;
  if (!flanges) return undefined;
  const [one, other] = flanges;
  return Math.abs(one - other) < tiny
    ? `trim both flanges to ${sized(one)} from the middle of the groove`
    : `trim one flange to ${sized(Math.min(one, other))} and the other to ${sized(Math.max(one, other))} from the middle of the groove`;
}

function endWords(ends: readonly EndCut[], part: Part): string[] {
  const said = ({ kind, angle, long }: EndCut, which: string) =>
    `${kind} ${which} ${degrees(angle)}°${kind === 'bevel' && angle < steepest ? ` (${riseWords(angle)})` : ''}, the ${long} stays long`;
  const [one, other] = ends;
  if (one && other && said(one, '') === said(other, '')) return [said(one, 'both ends')];
  const name = ({ end }: EndCut) => (end === 'datum' ? `the ${part.datum?.end ?? 'first end'}` : 'the other end');
  return ends.map((end) => said(end, name(end)));
}

function size(span: Span): number {
  return span.to - span.from;
}

function recessWords(recess: Recess, part: Part): string {
  const { kind, where, purpose, along, up, into, onFace } = recess;
  const [wide, deep] = onFace ? [size(up), size(into)] : [size(into), size(up)];
  if (kind !== 'rebate')
    return `${kind} ${where} ${purpose}: ${sized(size(along), true)} along by ${sized(deep, true)} deep, from ${sized(along.from)} to ${sized(along.to)}`;
  const far = Math.max(0, faceOf(part).along - along.to);
  const near = Math.max(0, along.from);
  const stopped =
    near < tiny && far < tiny
      ? 'run through'
      : Math.abs(near - far) < tiny
        ? `stopped ${sized(near, true)} from each end`
        : `stopped ${sized(near, true)} from the ${part.datum?.end ?? 'datum end'} and ${sized(far, true)} from the other`;
  return `rebate the ${where} ${purpose}: ${sized(wide, true)} wide by ${sized(deep, true)} deep, ${stopped}`;
}

/** A piece as numbers in one frame, so that two can be held against each other: looked at on its outer face, from its left end. */
interface Shape {
  size: number[];
  holes: number[][];
  recesses: number[][];
  ends: number[][];
}

const round = (value: number) => Math.round(value * 1e4);

function sortedRows(rows: number[][]): number[][] {
  return rows.map((row) => row.map(round)).sort((a, b) => JSON.stringify(a).localeCompare(JSON.stringify(b)));
}

/** How a piece may be laid before it is compared. */
interface Turn {
  along: boolean;
  up: boolean;
  into: boolean;
}

/** Ways to turn a piece over without a mirror, and the one that is its mirror picture. */
const turns: readonly Turn[] = [
  { along: false, up: false, into: false },
  { along: true, up: true, into: false },
  { along: true, up: false, into: true },
  { along: false, up: true, into: true },
];
const mirror: Turn = { along: true, up: false, into: false };

function shapeOf(part: Part, turn: Turn): Shape {
  const { along: length, up: width } = faceOf(part);
  const tube = part.kind === 'length' && part.stuff === 'tube';
  const thickness = sectionOf(part)?.thickness ?? 0;
  // From the left end: a datum at the right is measured from the other.
  const flipped = (part.datum?.side === 'right') !== turn.along;
  const flip = (span: Span, whole: number, yes: boolean): Span =>
    yes ? { from: whole - span.to, to: whole - span.from } : span;
  const row = (holes: HoleSchedule): number[][] =>
    rowDistances(holes, { along: length, up: width }).flatMap((distance) =>
      holes.positions.map((position) => {
        const [x, y] = holes.axis === 'up' ? [distance, position] : [position, distance];
        return [flipped ? length - x : x, tube ? 0 : turn.up ? width - y : y, holes.diameter, holes.slot ?? 0];
      }),
    );
  const ended = ({ end, angle, long, kind }: EndCut): number[] => {
    const overFace = long === 'top edge' || long === 'bottom edge';
    const first = long === 'top edge' || long === 'outer face';
    const side = first !== (overFace ? turn.up : turn.into);
    return [(end === 'datum') !== flipped ? 0 : 1, angle, overFace ? 0 : 1, side ? 0 : 1, kind === 'mitre' ? 0 : 1];
  };
  return {
    size: [length, width, thickness, ...flangesOf(part)].map(round),
    holes: sortedRows((part.holes ?? []).flatMap(row)),
    recesses: sortedRows(
      (part.recesses ?? []).map((recess) => {
        const a = flip(recess.along, length, flipped);
        const u = flip(recess.up, width, turn.up);
        const i = flip(recess.into, thickness, turn.into);
        return [a.from, a.to, u.from, u.to, i.from, i.to];
      }),
    ),
    ends: sortedRows((part.ends ?? []).map(ended)),
  };
}

/** Narrow one first: turned end for end a fin has them the other way round. */
function flangesOf(part: Part): number[] {
  return [...((part.kind === 'length' ? part.flanges : undefined) ?? [])].sort((a, b) => a - b);
}

function same(one: Shape, other: Shape): boolean {
  return JSON.stringify(one) === JSON.stringify(other);
}

/** Whether two parts of one stuff are one and the same piece, however they are turned. */
export function madeAlike(one: Part, other: Part): boolean {
  if (one.kind !== other.kind || one.item !== other.item) return false;
  const wanted = shapeOf(other, { along: false, up: false, into: false });
  return turns.some((turn) => same(shapeOf(one, turn), wanted));
}

/** Whether two parts are each other's mirror picture and no turning makes them alike: a left and a right piece. */
export function mirrorImages(one: Part, other: Part): boolean {
  if (one.kind !== other.kind || one.item !== other.item || madeAlike(one, other)) return false;
  const wanted = shapeOf(other, { along: false, up: false, into: false });
  return turns.some((turn) =>
    same(shapeOf(one, { along: turn.along !== mirror.along, up: turn.up, into: turn.into }), wanted),
  );
}

/** What a row of like pieces must come to, in words; nothing for a piece that stands by itself. */
function rowWords({ row }: Part): string | undefined {
  return row && `${row.pieces} in a row with their fittings: ${row.words} ${sized(row.length, true)}`;
}
