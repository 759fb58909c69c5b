import { type Drawing, drawOn, extent, type Point } from '../draw';
import { formatLength, formatNumber, type Habit } from '../quantity';
import { inks, newSheet, type Print, sheetRoom } from './frame';

/** A drawing that is to stand on a sheet, with what is written over it and what else is drawn on it. */
export interface SheetDrawing {
  /** In a sentence: what it shows. */
  words: string;
  drawing: Drawing;
  /** Draws more on it, once it is placed. */
  over?(place: (point: Point) => Point): void;
}

/** Scales to which a drawing is brought, largest first: what a rule reads, by either tape. */
const usualScales: Record<Habit, readonly number[]> = {
  metric: [0.2, 0.5, 1, 2, 2.5, 5, 10, 20, 25, 50, 100, 200],
  imperial: [0.25, 0.5, 1, 2, 4, 8, 12, 16, 24, 48, 96, 192],
};
/** mm. Of the words over a drawing; letters on it, and about how wide one is; beside and under it for the figures of its dimensions. */
const head = 7;
const letters = 2.8;
const letterWide = 0.52 * letters;
const aside = 5;
/** mm between drawings. */
const apart = 6;

/** mm of paper about a drawing's own zero that it takes at a scale (mm to a metre), words on leaders in it. */
function paperBox(
  drawing: Drawing,
  scale: number,
  habit: Habit,
): { left: number; bottom: number; width: number; height: number } {
  const box = extent(drawing);
  let [left, right] = [box.left * scale, (box.left + box.width) * scale];
  for (const { to, words, size, anchor } of drawing.labels) {
    const written = `${words}${size === undefined ? '' : ` ${formatLength(size, habit, { bare: true }).text}`}`;
    const long = letterWide * written.length + 1;
    const at = to.x * scale - { start: 0, middle: long / 2, end: long }[anchor];
    left = Math.min(left, at);
    right = Math.max(right, at + long);
  }
  return {
    left: left - aside,
    bottom: box.bottom * scale - aside,
    width: right - left + 2 * aside,
    height: box.height * scale + 2 * aside,
  };
}

/** The largest usual scale, as 1 to so many, at which a drawing goes into a room of so many mm; where none is, the one that just does. */
function largestScale(drawing: Drawing, room: { width: number; height: number }, habit: Habit): number {
  const fits = (part: number) => {
    const { width, height } = paperBox(drawing, 1000 / part, habit);
    return width <= room.width && height <= room.height;
  };
  const scales = usualScales[habit];
  return scales.find(fits) ?? (scales.at(-1) as number);
}

/** Where the next drawing may stand on the sheet that is begun. */
interface Row {
  x: number;
  top: number;
  low: number;
}

/**
 * Drawings on sheets, upright or lying as each is larger, at the largest usual scale at which it fills one alone; two and more to a sheet where
 * they go beside or under each other at that scale.
 */
export function layDrawings(print: Print, title: string, drawings: readonly SheetDrawing[]): void {
  const { habit, size } = print.context;
  let row: Row | undefined;
  for (const one of drawings) {
    const rooms = [false, true].map((lying) => ({ lying, room: sheetRoom(size, lying) }));
    const choices = rooms.map(({ lying, room }) => ({
      lying,
      part: largestScale(one.drawing, { ...room, height: room.height - head }, habit),
    }));
    const [upright, lying] = choices;
    const largest = Math.min(...choices.map(({ part }) => part));
    const shared = row && sharedPlace(print, row, one.drawing, largest);
    if (!shared) {
      newSheet(print, title, lying?.part === largest && upright?.part !== largest);
      print.page.text(
        'Measure nothing off a drawing that can be read as a number.',
        { x: print.left, y: print.bottom - 3 },
        { size: 2.8, colour: inks.soft },
      );
    }
    const part = shared?.part ?? largest;
    const box = paperBox(one.drawing, 1000 / part, habit);
    const tall = box.height + head;
    const at: Row = shared?.row ?? { x: print.left, top: print.y, low: print.y };
    print.page.text(`${one.words}. ${scaleWords(part)}`, { x: at.x, y: at.top - 4 }, { size: 3.6, heading: true });
    const wide = print.right - print.left;
    // One that nothing can stand beside stands in the middle.
    const x = at.x === print.left && box.width > 0.6 * wide ? print.left + (wide - box.width) / 2 : at.x;
    const scale = 1000 / part;
    const origin = { x: x - box.left, y: at.top - head - box.height - box.bottom };
    drawOn(print.page, one.drawing, { scale, origin, habit });
    one.over?.(({ x: across, y: up }) => ({ x: origin.x + across * scale, y: origin.y + up * scale }));
    const written = print.page.measure(`${one.words}. ${scaleWords(part)}`, { size: 3.6, heading: true });
    row = {
      x: Math.max(x + box.width, at.x + written) + apart,
      top: at.top,
      low: Math.min(at.low, at.top - tall),
    };
    print.y = row.low - 2;
  }
}

function scaleWords(part: number): string {
  if (part === 1) return 'At full size.';
  if (part < 1) return `Scale ${formatNumber(1 / part)} : 1.`;
  return `Scale 1 : ${formatNumber(part, part % 1 === 0 ? 0 : 1)}.`;
}

/** How much smaller than alone a drawing may be for the sake of a shared sheet, and mm that it must still be long. Judgement. */
const smallest = { share: 2, long: 70 } as const;

/** Where a drawing goes on the sheet that is begun, and at what scale: as large as alone, or a step or two smaller. */
function sharedPlace(print: Print, row: Row, drawing: Drawing, alone: number): { row: Row; part: number } | undefined {
  const { habit } = print.context;
  for (const part of usualScales[habit]) {
    if (part < alone || part > smallest.share * alone) continue;
    const { width, height } = paperBox(drawing, 1000 / part, habit);
    if (part > alone && Math.max(width, height) < smallest.long) continue;
    const found = nextPlace(print, row, { width, height: height + head });
    if (found) return { row: found, part };
  }
  return undefined;
}

function nextPlace(print: Print, row: Row, needed: { width: number; height: number }): Row | undefined {
  const beside = row.x + needed.width <= print.right && row.top - needed.height >= print.bottom;
  if (beside) return row;
  const top = row.low - apart;
  const under = print.left + needed.width <= print.right && top - needed.height >= print.bottom;
  return under ? { x: print.left, top, low: top } : undefined;
}
