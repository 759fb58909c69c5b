// Tables of readings as they come in files: headings, columns, numbers as they are written in cells.

export { isNothing, longestCell, previewTable, quoteCell, readCell, readTable, type Table } from './table';
