export { isNothing, longestCell, previewTable, quoteCell, readCell, readTable, type Table } from './table';
