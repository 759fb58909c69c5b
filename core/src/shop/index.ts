// Parts, and getting them out of what shops sell: lengths, sheets, buying, cut lists.

export type { Bar, LengthPiece, LengthPlan, LengthQuery, LengthStock } from './bars';
export { gapOf, keptOffcuts } from './bars';
export type {
  BuyLine,
  CutStuff,
  Having,
  Kerfs,
  LengthMaterial,
  MaterialPlan,
  SheetMaterial,
  Shop,
  ShopPlan,
} from './buying';
export { kerfOf, planShop, sheetStuff, sumShop } from './buying';
export { safeCell, writeCsv } from './csv';
export { leftOut, stuffOf, wasteShare } from './cutPlanSummary';
export type { CutDecisions, Fate, Lock, Misfit, Overrule } from './decided';
export { cutTolerance } from './decided';
export type { ExactOptions } from './exact';
export { planLengths } from './exact';
export { faceOf, featureWords, madeAlike, mirrorImages, rowDistances, sectionOf, workWords } from './features';
export type { Gang, Mate } from './gang';
export { gangs, handedPairs, matesOf, mateWords, twinPairs } from './gang';
export { layoutDrawing, layoutDrawings } from './layoutDrawing';
export { planLengthsFast } from './lengths';
export { diagonalOf, holeReach } from './markOut';
export type { BendSchedule, EndCut, HoleSchedule, Part, PieceDatum, Purchase, Recess, Section, Span } from './part';
export { hasSize, isPane } from './part';
export { barPiece, evenlyAlong, holeRow, sheetPiece, timberPiece } from './pieces';
export type { ProveOptions } from './prove';
export { isProved, proofKey, proveMaterial } from './prove';
export { bought, screws } from './purchase';
export type { Rip, RipPlan } from './rips';
export { planRips, ripLines, rippedAlong } from './rips';
export type { SheetCut } from './sheetCuts';
export { cutOrder, NotGuillotine, sheetOffcuts } from './sheetCuts';
export type { SheetSearchOptions } from './sheetSearch';
export { planSheets } from './sheetSearch';
export type { PlacedPiece, SheetPiece, SheetPlan, SheetQuery, SheetStock } from './sheets';
export { planSheetsFast } from './sheets';
export type { Solved, Solver } from './solver';
export { loadSolver } from './solver';
export type { OnHand, Sold } from './stock';
export { guidePrices, tubeMass, usualLengths } from './stock';
export type { Template } from './template';
export { partTemplates } from './template';
