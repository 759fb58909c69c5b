import { TZDate } from '@date-fns/tz';
import type { Job } from '../document';
import {
  type Lettering,
  openPaper,
  type Paper,
  type PaperFonts,
  type PaperPage,
  type PaperSize,
  paperSizes,
} from '../draw';
import type { Habit } from '../quantity';

/** What stands on every sheet that is printed, and what it is printed with. */
export interface PrintContext {
  job: Job;
  /** For instance `revision 3 and 2 changes`. */
  revision: string;
  at: Date;
  habit: Habit;
  size: PaperSize;
  fonts: PaperFonts;
}

/** mm. */
export const margin = 12;
const headHeight = 13;
const footHeight = 8;

export const inks = {
  ink: '#22303A',
  soft: '#545E63',
  line: '#B9B09C',
  copper: '#93481F',
  brick: '#9E2F25',
  ochre: '#7A5A05',
};

const habits: Record<Habit, string> = {
  metric: 'sizes in millimetres',
  imperial: 'sizes in feet, inches and sixteenths',
};

/** A paper that is written from the top down, sheet after sheet. */
export interface Print {
  paper: Paper;
  context: PrintContext;
  page: PaperPage;
  /** mm from the foot of the sheet: what is written next stands under it. */
  y: number;
  /** mm. Of what may be written on. */
  left: number;
  right: number;
  bottom: number;
  /** Heading of each sheet, in order. */
  titles: string[];
}

export async function beginPrint(context: PrintContext, title: string): Promise<Print> {
  const paper = await openPaper(context.size, context.fonts, {
    title: `${context.job.name}: ${title}`,
    at: context.at,
  });
  const print: Print = {
    paper,
    context,
    page: undefined as never,
    y: 0,
    left: margin,
    right: 0,
    bottom: 0,
    titles: [],
  };
  return print;
}

/** Goes on with a new sheet. */
export function newSheet(print: Print, title: string, lying = false): void {
  const page = print.paper.add(lying);
  print.page = page;
  print.titles.push(title);
  print.right = page.width - margin;
  print.bottom = margin + footHeight;
  print.y = page.height - margin - headHeight;
}

/** mm that may be written on of a sheet that stands or lies. */
export function sheetRoom(size: PaperSize, lying: boolean): { width: number; height: number } {
  const { width, height } = paperSizes[size];
  const [wide, high] = lying ? [height, width] : [width, height];
  return { width: wide - 2 * margin, height: high - 2 * margin - headHeight - footHeight };
}

/** A new sheet of the same name where less than `needed` mm are left. */
export function makeRoom(print: Print, needed: number): void {
  if (print.y - needed >= print.bottom) return;
  const { width, height } = print.page;
  newSheet(print, print.titles[print.titles.length - 1] ?? '', width > height);
}

/** Writes words in lines that fit, downwards. */
export function write(
  print: Print,
  words: string,
  lettering: Lettering & { indent?: number; room?: number } = {},
): void {
  const { indent = 0, room, ...letters } = lettering;
  const size = letters.size ?? 3.5;
  const width = room ?? print.right - print.left - indent;
  for (const line of lines(print.page, words, width, letters)) {
    makeRoom(print, size * 1.35);
    print.y -= size * 1.35;
    print.page.text(line, { x: print.left + indent, y: print.y + size * 0.3 }, letters);
  }
}

/** Words parted into lines of at most so many mm. */
export function lines(page: PaperPage, words: string, width: number, lettering: Lettering = {}): string[] {
  const found: string[] = [];
  const space = page.measure(' ', lettering);
  let line = '';
  let long = 0;
  // A whole number and its fraction stay together.
  for (const word of words.replaceAll(/(\d) (?=\d+\/\d)/g, '$1\u00a0').split(' ')) {
    const own = page.measure(word, lettering);
    if (line && long + space + own > width) {
      found.push(line);
      line = word;
      long = own;
    } else {
      long += line ? space + own : own;
      line = line ? `${line} ${word}` : word;
    }
  }
  if (line) found.push(line);
  return found;
}

/** @param needed mm under it that belong to it */
export function heading(print: Print, words: string, needed = 15): void {
  const size = 5;
  makeRoom(print, size * 2 + needed);
  print.y -= size * 0.6;
  write(print, words, { heading: true, size });
  print.y -= 1;
}

/** mm. The least letters that a long name is set in, in two lines; what is longer still ends in dots. */
const leastName = 3;

/** The name of the job at the head of a sheet: smaller where it is long, and in two lines where that is not enough. */
function headName(page: PaperPage, name: string, top: number, room: number): void {
  for (let size = 5; size >= leastName; size -= 0.5)
    if (page.measure(name, { heading: true, size }) <= room) {
      page.text(name, { x: margin, y: top - 4 }, { heading: true, size });
      return;
    }
  const letters = { heading: true, size: leastName };
  const [first = '', ...more] = lines(page, broken(page, name, room, letters), room, letters);
  const second = more.join(' ');
  page.text(first, { x: margin, y: top - 1.6 }, letters);
  page.text(
    page.measure(second, letters) <= room ? second : shortened(page, second, room, letters),
    { x: margin, y: top - 5.2 },
    letters,
  );
}

/** Words longer than a line parted where they must be. */
function broken(page: PaperPage, words: string, room: number, letters: Lettering): string {
  return words
    .split(' ')
    .map((word) => {
      if (page.measure(word, letters) <= room) return word;
      let line = '';
      const found: string[] = [];
      for (const letter of word) {
        if (page.measure(line + letter, letters) > room) {
          found.push(line);
          line = '';
        }
        line += letter;
      }
      return [...found, line].join(' ');
    })
    .join(' ');
}

function shortened(page: PaperPage, words: string, room: number, letters: Lettering): string {
  let kept = words;
  while (kept.length > 1 && page.measure(`${kept} …`, letters) > room) kept = kept.slice(0, -1);
  return `${kept.trimEnd()} …`;
}

/** The day on the calendar of a place, as 2026-05-01. */
function dayAt(at: Date, zone: string): string {
  const there = new TZDate(at.getTime(), zone);
  const two = (value: number) => String(value).padStart(2, '0');
  return `${there.getFullYear()}-${two(there.getMonth() + 1)}-${two(there.getDate())}`;
}

/** Job, revision, date, unit habit and number on every sheet, and the file. */
export async function finishPrint({ paper, context, titles }: Print): Promise<Uint8Array> {
  const { job, revision, at, habit } = context;
  // The name is measured first, so that the first sheet knows whether letters are missing.
  paper.pages[0]?.measure(`${job.name} ${revision}`);
  paper.pages.forEach((page, index) => {
    const top = page.height - margin;
    const title = titles[index] ?? '';
    const lettering = { heading: true, size: 5 };
    page.text(title, { x: page.width - margin, y: top - 4 }, { ...lettering, align: 'end' });
    headName(page, job.name, top, page.width - 2 * margin - page.measure(title, lettering) - 6);
    page.text(
      `${revision}, ${dayAt(at, job.site.zone)}, ${habits[habit]}`,
      { x: margin, y: top - 8.5 },
      {
        size: 3.2,
        colour: inks.soft,
      },
    );
    page.line(
      { x: margin, y: top - 10.5 },
      { x: page.width - margin, y: top - 10.5 },
      { stroke: inks.ink, width: 0.4 },
    );
    if (paper.missing.size > 0) {
      page.text(
        'A question mark in a name stands for a letter that these papers have no font for.',
        { x: margin, y: margin + 4 },
        { size: 2.8, colour: inks.soft },
      );
    }
    page.text(
      'North Pane. Your local code and a licensed plumber or electrician stand above this.',
      { x: margin, y: margin },
      {
        size: 2.8,
        colour: inks.soft,
      },
    );
    page.text(
      `${index + 1} of ${paper.pages.length}`,
      { x: page.width - margin, y: margin },
      { size: 3.2, align: 'end' },
    );
  });
  return paper.save();
}
