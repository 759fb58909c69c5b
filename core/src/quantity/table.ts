import { dsvFormat } from 'd3-dsv';

/** A written table: its headings, a row of units under them where there is one, and its rows. */
export interface Table {
  headings: string[];
  /** One for each heading; empty when the file has no such row. */
  units: string[];
  rows: string[][];
  /** Line of the file that `rows[0]` stands in, from 1. */
  firstLine: number;
}

const signs = [',', ';', '\t'] as const;
/** Lines of talk that may stand above the headings. */
const mostPreamble = 60;

/** The sign that parts the lines most evenly into most cells. */
function delimiterOf(lines: readonly string[]): string {
  let best = { sign: ',' as string, score: 0 };
  for (const sign of signs) {
    const counts = new Map<number, number>();
    for (const line of lines) {
      const cells = line.split(sign).length;
      if (cells > 1) counts.set(cells, (counts.get(cells) ?? 0) + 1);
    }
    for (const [cells, often] of counts) {
      const score = (cells * often) / lines.length;
      if (score > best.score) best = { sign, score };
    }
  }
  return best.sign;
}

const number = /^[-−+]?(?:\d+[.,]?\d*|[.,]\d+)(?:e[-+]?\d+)?$/i;

/** A number in a cell, with a point or a comma; undefined when it is none. */
export function readCell(text: string): number | undefined {
  const trimmed = text.trim();
  if (!number.test(trimmed)) return undefined;
  return Number(trimmed.replace(',', '.').replace('−', '-'));
}

function holdsNumbers(cells: readonly string[]): boolean {
  return cells.some((cell) => /\d/.test(cell) && /^[-−+\d.,:/ TZ]+(?:e[-+]?\d+)?$/i.test(cell.trim()));
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
  const all = dsvFormat(delimiter).parseRows(most === Number.POSITIVE_INFINITY ? body : head.join('\n'));
  const wide = Math.max(...all.slice(0, mostPreamble + 10).map((cells) => cells.length));
  // The first row with a number that is as wide as the table; its headings are the wide rows of words above it.
  let first = all.findIndex((cells, index) => index > 0 && cells.length >= wide - 1 && holdsNumbers(cells));
  if (first < 0) first = all.length;
  let heading = first - 1;
  while (heading > 0) {
    const above = all[heading - 1];
    if (!above || above.length < wide - 1 || above.length < 2 || holdsNumbers(above)) break;
    heading -= 1;
  }
  const headings = all[heading]?.map((cell) => cell.trim());
  if (!headings || headings.length < 2) return undefined;
  const units = first - heading > 1 ? (all[first - 1]?.map((cell) => cell.trim()) ?? []) : [];
  return { headings, units, rows: all.slice(first, first + most), firstLine: first + 1 };
}

/** Headings, units and the first few rows, for showing before anything is mapped. */
export function previewTable(text: string): Table | undefined {
  return readTable(text, 5);
}
