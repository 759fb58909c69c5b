// What is printed for the shop: lists, cards, templates at full size, and all of it in one pack. Nothing is computed here.

export type { PrintContext } from './frame';
export { type PaperKind, paperKinds, printDrawing, printJob } from './pack';
export { jobTemplates } from './templates';
