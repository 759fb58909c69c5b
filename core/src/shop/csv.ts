import { csvFormatRows } from 'd3-dsv';

/** A cell that a spreadsheet would run as a formula is made plain text by a leading apostrophe; numbers stay numbers. */
export function safeCell(cell: string | number): string {
  if (typeof cell === 'number') return String(cell);
  return /^[=+\-@\t\r]/.test(cell) ? `'${cell}` : cell;
}

/** Byte order mark: a spreadsheet takes a file without it for the letters of its own country. */
const byteOrderMark = '\uFEFF';

/** Rows as CSV (RFC 4180, UTF-8 with its mark, CRLF at the line ends as spreadsheets write it). */
export function writeCsv(rows: readonly (readonly (string | number)[])[]): string {
  return `${byteOrderMark}${csvFormatRows(rows.map((row) => row.map(safeCell))).replaceAll('\n', '\r\n')}\r\n`;
}
