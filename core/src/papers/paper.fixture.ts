import type { Job } from '../document';
import type { Lettering, Paper, PaperPage, PaperSize, Pen, Point } from '../draw';
import { paperSizes } from '../draw';
import type { Habit } from '../quantity';
import type { Print } from './frame';

/** Everything that was put on a page, in millimetres. */
export interface Drawn {
  texts: { words: string; x: number; y: number; wide: number; size: number }[];
  lines: { from: Point; to: Point; pen: Pen }[];
  rects: { x: number; y: number; width: number; height: number; pen: Pen }[];
  /** With the clip that was in force, by its place among the clips. */
  circles: { centre: Point; radius: number; clip: number }[];
  clips: { x: number; y: number; width: number; height: number }[];
}

/** mm that a letter takes at a size of one: a plain sans on average. */
const letter = 0.5;

/** A page that remembers. */
export function recordingPage(width: number, height: number): PaperPage & { drawn: Drawn } {
  const drawn: Drawn = { texts: [], lines: [], rects: [], circles: [], clips: [] };
  const measure = (words: string, { size = 3.5 }: Lettering = {}) => words.length * size * letter;
  return {
    drawn,
    width,
    height,
    measure,
    line: (from, to, pen) => {
      drawn.lines.push({ from, to, pen });
    },
    rect: (x, y, w, h, pen) => {
      drawn.rects.push({ x, y, width: w, height: h, pen });
    },
    circle: (centre, radius) => {
      drawn.circles.push({ centre, radius, clip: drawn.clips.length - 1 });
    },
    path: () => undefined,
    text: (words, { x, y }, lettering = {}) => {
      const wide = measure(words, lettering);
      const left = lettering.align === 'end' ? x - wide : lettering.align === 'middle' ? x - wide / 2 : x;
      // Upright words are as wide as they are tall.
      if (!lettering.turn) drawn.texts.push({ words, x: left, y, wide, size: lettering.size ?? 3.5 });
    },
    clipped: (x, y, w, h, draw) => {
      drawn.clips.push({ x, y, width: w, height: h });
      draw();
    },
  };
}

/** A print on remembering pages. */
export function recordingPrint(
  job: Job,
  { size = 'a4', habit = 'metric' }: { size?: PaperSize; habit?: Habit } = {},
): { print: Print; pages: (PaperPage & { drawn: Drawn })[] } {
  const pages: (PaperPage & { drawn: Drawn })[] = [];
  const paper: Paper = {
    size,
    pages,
    missing: new Set(),
    add: (lying = false) => {
      const { width, height } = paperSizes[size];
      const page = lying ? recordingPage(height, width) : recordingPage(width, height);
      pages.push(page);
      return page;
    },
    save: async () => new Uint8Array(),
  };
  const fonts = { text: new Uint8Array(), heading: new Uint8Array() };
  const context = { job, revision: 'revision 1', at: new Date('2026-05-01T12:00:00Z'), habit, size, fonts };
  const print: Print = {
    paper,
    context,
    page: undefined as never,
    y: 0,
    left: 12,
    right: 0,
    bottom: 0,
    titles: [],
  };
  return { print, pages };
}
