// What the builder decides about stock: locked cuts, miscuts, what to look at before the saw, sizes that waste
// nothing, substitutes.

export { type CutMiss, cutMiss, isSlip, type MissFit } from './cutMiss';
export {
  cutBar,
  cutMiscut,
  cutSheet,
  type Done,
  type FieldChanges,
  freeId,
  keepOf,
  movePiece,
  putOnShelf,
  recountShelf,
  releaseMaterial,
  uncut,
} from './cutting';
export { guideForUnpriced } from './guide';
export { lastLook } from './lastLook';
export { type StockFit, shrinkToSave, stretchToStock, sweepTogether } from './stockFits';
export { sayFit, sayPoint, sayPointFully } from './stockWords';
export { type Substitute, substitutes } from './substitute';
export { sweepDimension } from './sweep';
export { provedShop, type WasteFreePoint, wasteFreePoints } from './wasteFree';
