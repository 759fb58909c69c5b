// What is printed or saved to take along: lists, cards, drawings, templates, labels.

export type { PrintContext } from './frame';
export { buyAmount, buyListCsv, buySize, buyUnit, cutListCsv } from './listsCsv';
export { type PaperKind, paperKinds, paperLetters, printDrawing, printJob } from './pack';
