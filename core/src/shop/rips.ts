import { findEntry } from '../catalogue';
import { sized } from '../quantity';
import type { LengthPiece } from './bars';
import type { Part } from './part';

/** A blank that is cut to length and then ripped: the part that it is named after, and what else comes out of it. */
export interface Rip {
  part: string;
  /** m. Of the blank. */
  length: number;
  /** How many blanks alike. */
  count: number;
  /** Pieces of each part that come out of one blank. */
  gives: { part: string; count: number }[];
}

export interface RipPlan {
  /** What the planner of lengths is asked for: whole pieces, and blanks under the id of their longest part. */
  pieces: LengthPiece[];
  /** Blanks that give more than one piece. */
  rips: Rip[];
}

const tiny = 1e-7;

type LengthPart = Part & { kind: 'length' };

/** A strip of a blank, as wide as the pieces that come off it end to end. */
interface Strip {
  width: number;
  left: number;
}

interface Blank {
  part: string;
  length: number;
  widthLeft: number;
  strips: Strip[];
  gives: Map<string, number>;
}

/**
 * Pieces that are ripped from one stock, gathered on shared blanks: strips side by side over the board's width, shorter pieces end to end
 * on a strip, thin ones on top of each other, a kerf between any two. First fit, longest first; nothing is turned on its grain.
 *
 * @param parts of one item; those as wide and thick as the stock stay as they are
 * @param kerf m, of the saw that rips
 * @param alone ids of parts that are each planned by themselves, because a bar of them is cut or laid out by hand already
 */
export function planRips(parts: readonly LengthPart[], kerf: number, alone: ReadonlySet<string> = new Set()): RipPlan {
  const board = findEntry('timber', parts[0]?.item ?? '');
  const ripped = board ? parts.filter((part) => part.section && !alone.has(part.id)) : [];
  const whole = parts.filter((part) => !ripped.includes(part));
  const pieces: LengthPiece[] = whole.map(({ id, length, count }) => ({ id, length, count }));
  if (!board || ripped.length === 0) return { pieces, rips: [] };
  const units = ripped
    .flatMap((part) => {
      const { width, stack } = laidInto(part, board, kerf);
      const each: { part: LengthPart; width: number; pieces: number }[] = [];
      for (let left = part.count; left > 0; left -= stack) each.push({ part, width, pieces: Math.min(stack, left) });
      return each;
    })
    .sort((a, b) => b.part.length - a.part.length || b.width - a.width || a.part.id.localeCompare(b.part.id));
  const blanks: Blank[] = [];
  for (const { part, width, pieces: many } of units) {
    const blank = roomFor(blanks, part.length, width, kerf) ?? begin(blanks, part, board.width);
    const strip = blank.strips.find((one) => one.width >= width - tiny && one.left >= part.length - tiny);
    if (strip) strip.left -= part.length + kerf;
    else {
      blank.widthLeft -= width + (blank.strips.length > 0 ? kerf : 0);
      blank.strips.push({ width, left: blank.length - part.length - kerf });
    }
    blank.gives.set(part.id, (blank.gives.get(part.id) ?? 0) + many);
  }
  const rips = new Map<string, Rip>();
  for (const { part, length, gives } of blanks) {
    const list = [...gives].map(([id, count]) => ({ part: id, count }));
    const key = JSON.stringify([part, length, list]);
    const known = rips.get(key);
    if (known) known.count += 1;
    else rips.set(key, { part, length, count: 1, gives: list });
  }
  const wanted = new Map<string, LengthPiece>();
  for (const { part, length, count } of rips.values()) {
    const known = wanted.get(part);
    wanted.set(part, { id: part, length, count: count + (known?.count ?? 0) });
  }
  // In the order of the list, so that a plan does not change by it.
  const order = parts.map(({ id }) => id);
  return {
    pieces: [...pieces, ...wanted.values()].sort((a, b) => order.indexOf(a.id) - order.indexOf(b.id)),
    rips: [...rips.values()].filter(({ gives }) => gives.length > 1 || (gives[0]?.count ?? 0) > 1),
  };
}

/** How a piece lies in the board: how wide a strip it takes, and how many come out of the board's thickness; the way that gives more. */
function laidInto(
  { section }: LengthPart,
  board: { width: number; thickness: number },
  kerf: number,
): { width: number; stack: number } {
  const { width, thickness } = section ?? board;
  const stacked = (thin: number) => Math.floor((board.thickness + kerf + tiny) / (thin + kerf));
  const beside = (wide: number) => Math.floor((board.width + kerf + tiny) / (wide + kerf));
  const upright = { width, stack: Math.max(1, stacked(thickness)) };
  const lying = { width: thickness, stack: stacked(width) };
  if (lying.stack < 1) return upright;
  const better = lying.stack * beside(lying.width) > upright.stack * beside(upright.width) || stacked(thickness) < 1;
  return better ? lying : upright;
}

function roomFor(blanks: readonly Blank[], length: number, width: number, kerf: number): Blank | undefined {
  return (
    blanks.find(({ strips }) => strips.some((one) => one.width >= width - tiny && one.left >= length - tiny)) ??
    blanks.find((one) => one.length >= length - tiny && one.widthLeft >= width + kerf - tiny)
  );
}

function begin(blanks: Blank[], part: LengthPart, width: number): Blank {
  const blank: Blank = { part: part.id, length: part.length, widthLeft: width, strips: [], gives: new Map() };
  blanks.push(blank);
  return blank;
}

/** What comes out of each ripped blank, in words; lengths by `sized`. */
export function ripLines({ rips, parts }: { rips: readonly Rip[]; parts: readonly Part[] }): string[] {
  const name = (id: string) => parts.find((part) => part.id === id)?.name ?? id;
  return rips.map(({ length, count, gives }) => {
    const list = gives.map((one) => `${one.count} × ${name(one.part)}`).join(', ');
    return `${count} ${count === 1 ? 'blank' : 'blanks'} of ${sized(length)}, each ripped into ${list}`;
  });
}

/** Pieces that are done with so many blanks cut of each part: the blanks’ own, and what rides along with them. */
export function rippedAlong(rips: readonly Rip[], cut: ReadonlyMap<string, number>): Map<string, number> {
  const done = new Map(cut);
  const left = new Map(cut);
  for (const { part, count, gives } of rips) {
    const blanks = Math.min(count, left.get(part) ?? 0);
    if (blanks <= 0) continue;
    left.set(part, (left.get(part) ?? 0) - blanks);
    for (const one of gives) {
      // The blank itself is counted already as one piece of its part.
      const more = blanks * (one.part === part ? one.count - 1 : one.count);
      done.set(one.part, (done.get(one.part) ?? 0) + more);
    }
  }
  return done;
}
