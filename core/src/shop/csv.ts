import { csvFormatRows } from 'd3-dsv';

/** A cell that a spreadsheet would run as a formula is made plain text by a leading apostrophe; numbers stay numbers. */
export function safeCell(cell: string | number): string {
  if (typeof cell === 'number') return String(cell);
  return /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
}

/** Rows as CSV (RFC 4180, CRLF at the line ends as spreadsheets write it). */
export function writeCsv(rows: readonly (readonly (string | number)[])[]): string {
  return `${csvFormatRows(rows.map((row) => row.map(safeCell))).replaceAll('\n', '\r\n')}\r\n`;
}
