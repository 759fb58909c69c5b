import { dsvFormat } from 'd3-dsv';

/** A written table: its headings, a row of units under them where there is one, and its rows. */
export interface Table {
  headings: string[];
  /** One for each heading; empty when the file has no such row. */
  units: string[];
  rows: string[][];
  /** Line of the file that `rows[0]` stands in, from 1. */
  firstLine: number;
  /** Lines in which a quotation mark opens and does not close: they are empty rows here, and swallow nothing. */
  unclosed: ReadonlySet<number>;
}

/** Characters of a cell. What is longer is no number, no time and no name of anything. */
export const longestCell = 64;

/** A cell as it is told in a sentence: cut where it is long. */
export function quoteCell(cell: string): string {
  return cell.length > 40 ? `“${cell.slice(0, 40)}…”` : `“${cell}”`;
}

/** Cells that loggers write for nothing. */
const nothing = /^(|-|--|na|n\/a|nan|null|none|-99+(\.0+)?|-6999(\.0+)?)$/i;

/** Whether a cell says that nothing was measured. */
export function isNothing(cell: string): boolean {
  return cell.length <= longestCell && nothing.test(cell.trim());
}

const signs = [',', ';', '\t'] as const;
/** Broken rows that may stand between the headings and the first whole row. */
const mostShort = 8;
/** Lines of talk that may stand above the headings. */
const mostPreamble = 60;

/** Columns of the widest table there is. A row of more is broken, and tells nothing of the rest. */
const mostColumns = 512;

/** The number of cells that most of the rows agree on, wide ones counting for more, and how far they do. */
function commonWidth(widths: readonly number[]): { cells: number; score: number } {
  const often = new Map<number, number>();
  for (const cells of widths) if (cells > 1 && cells <= mostColumns) often.set(cells, (often.get(cells) ?? 0) + 1);
  let best = { cells: 0, score: 0 };
  for (const [cells, count] of often) if (cells * count > best.score) best = { cells, score: cells * count };
  return best;
}

/** The sign that parts the lines most evenly into most cells. */
function delimiterOf(lines: readonly string[]): string {
  let best = { sign: ',' as string, score: 0 };
  for (const sign of signs) {
    const { score } = commonWidth(lines.map((line) => line.split(sign).length));
    if (score > best.score) best = { sign, score };
  }
  return best.sign;
}

const number = /^[-−+]?(?:\d+[.,]?\d*|[.,]\d+)(?:e[-+]?\d+)?$/i;
/** A comma before three digits: thousands in one country, thousandths in another. */
const doubtful = /^[-−+]?\d{1,3}(?:,\d{3})+$/;

/** Which mark parts whole from decimal, where the file's owner has said so. */
export type DecimalMark = 'point' | 'comma';

/**
 * A number in a cell, with a point or a comma; undefined when it is none, and when it is too long to be one. `doubt` when only its
 * owner can say whether `1,050` is a thousand and fifty or one and a twentieth.
 */
export function readCell(text: string, mark?: DecimalMark): number | 'doubt' | undefined {
  if (text.length > longestCell) return undefined;
  const trimmed = text.trim();
  if (doubtful.test(trimmed)) {
    if (mark === undefined) return 'doubt';
    return Number(trimmed.replace('−', '-').replace(mark === 'point' ? /,/g : ',', mark === 'point' ? '' : '.'));
  }
  if (!number.test(trimmed)) return undefined;
  return Number(trimmed.replace(',', '.').replace('−', '-'));
}

function holdsNumbers(cells: readonly string[]): boolean {
  return cells.some(
    (cell) => cell.length <= longestCell && /\d/.test(cell) && /^[-−+\d.,:/ TZ]+(?:e[-+]?\d+)?$/i.test(cell.trim()),
  );
}

/** Whether a quotation mark opens in a line and does not close in it. One walk over the line. */
function opensQuote(line: string, delimiter: string): boolean {
  let at = 0;
  while (at < line.length) {
    if (line[at] !== '"') {
      const next = line.indexOf(delimiter, at);
      if (next < 0) return false;
      at = next + 1;
      continue;
    }
    // In a quoted cell two marks stand for one.
    at += 1;
    for (;;) {
      const close = line.indexOf('"', at);
      if (close < 0) return true;
      at = close + 1;
      if (line[at] !== '"') break;
      at += 1;
    }
    const next = line.indexOf(delimiter, at);
    if (next < 0) return false;
    at = next + 1;
  }
  return false;
}

/** The text with every line emptied in which a quotation mark does not close, and the numbers of those lines. */
function withoutUnclosed(text: string, delimiter: string): { text: string; unclosed: Set<number> } {
  const unclosed = new Set<number>();
  if (!text.includes('"')) return { text, unclosed };
  const lines = text.split('\n');
  lines.forEach((line, index) => {
    if (!line.includes('"') || !opensQuote(line, delimiter)) return;
    unclosed.add(index + 1);
    lines[index] = '';
  });
  return { text: unclosed.size > 0 ? lines.join('\n') : text, unclosed };
}

/** The text with every line cut off that has more cells than any table: it is refused by its number like any that is too wide, and fills no memory. */
function withoutEndlessLines(text: string, delimiter: string): string {
  let cells = 0;
  let from = 0;
  let kept = '';
  for (let at = 0; at < text.length; at += 1) {
    const sign = text[at];
    if (sign === '\n') cells = 0;
    else if (sign === delimiter) cells += 1;
    if (cells <= mostColumns) continue;
    const end = text.indexOf('\n', at);
    kept += text.slice(from, at);
    from = end < 0 ? text.length : end;
    at = from - 1;
    cells = 0;
  }
  return from === 0 ? text : kept + text.slice(from);
}

/**
 * Parts a text into a table: finds the sign between cells, talk above the headings and a row of units below them.
 * Undefined when nothing in it looks like a table.
 *
 * @param most rows wanted at most
 */
export function readTable(text: string, most = Number.POSITIVE_INFINITY): Table | undefined {
  const body = text.startsWith('\uFEFF') ? text.slice(1) : text;
  const head = body.slice(0, 40_000).split(/\r?\n/, mostPreamble + 40);
  const written = head.filter((line) => line.trim() !== '');
  if (written.length === 0) return undefined;
  const delimiter = delimiterOf(written);
  const whole = most === Number.POSITIVE_INFINITY ? body : head.join('\n');
  const { text: closed, unclosed } = withoutUnclosed(withoutEndlessLines(whole, delimiter), delimiter);
  const all = dsvFormat(delimiter).parseRows(closed);
  const wide = commonWidth(all.slice(0, mostPreamble + 10).map((cells) => cells.length)).cells;
  const isWords = (cells: readonly string[] | undefined) =>
    cells !== undefined && cells.length >= Math.max(2, wide - 1) && !holdsNumbers(cells);
  // The first row with a number that is as wide as the table; its headings are the wide rows of words above it.
  let first = all.findIndex((cells, index) => index > 0 && cells.length >= wide - 1 && holdsNumbers(cells));
  if (first < 0) first = all.length;
  let heading = first - 1;
  // Short or broken rows between headings and first whole row are rows of the table too, to be refused by their own line.
  const words = all.slice(Math.max(0, first - mostShort), first).findLastIndex(isWords);
  if (words >= 0 && !isWords(all[heading])) {
    heading = Math.max(0, first - mostShort) + words;
    first = heading + 1;
  }
  while (heading > 0) {
    const above = all[heading - 1];
    if (!isWords(above)) break;
    heading -= 1;
  }
  const headings = all[heading]?.map((cell) => cell.trim().slice(0, longestCell));
  if (!headings || headings.length < 2) return undefined;
  const units = first - heading > 1 ? (all[first - 1]?.map((cell) => cell.trim().slice(0, longestCell)) ?? []) : [];
  return { headings, units, rows: all.slice(first, first + most), firstLine: first + 1, unclosed };
}

/** Headings, units and the first few rows, for showing before anything is mapped. */
export function previewTable(text: string): Table | undefined {
  return readTable(text, 5);
}
