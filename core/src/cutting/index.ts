// What the builder decides about stock: locked cuts, miscuts, what to look at before the saw, sizes that waste
// nothing, substitutes.

export { type CutMiss, cutMiss, isSlip, type MissFit } from './cutMiss';
export {
  type FieldChanges,
  keepOf,
  lockBar,
  lockMiscut,
  lockSheet,
  movePiece,
  putOnShelf,
  recountShelf,
  releaseMaterial,
  unlock,
} from './cutting';
export { guideForUnpriced } from './guide';
export { lastLook } from './lastLook';
export { type StockFit, shrinkToSave, stretchToStock, sweepTogether } from './stockFits';
export { sayFit, sayPoint, sayPointFully } from './stockWords';
export { type Substitute, substitutes } from './substitute';
export { sweepDimension } from './sweep';
export { provedShop, type WasteFreePoint, wasteFreePoints } from './wasteFree';
