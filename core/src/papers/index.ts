export type { PrintContext } from './frame';
export { buyAmount, buyListCsv, buySize, buyUnit, cutListCsv } from './listsCsv';
export { type PaperKind, paperKinds, printDrawing, printJob } from './pack';
