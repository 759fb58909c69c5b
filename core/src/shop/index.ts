// Parts, and getting them out of what shops sell: lengths, sheets, buying, cut lists.

export type { BuyLine, MaterialPlan, Shop, ShopPlan } from './buying';
export { planShop } from './buying';
export { safeCell, writeCsv } from './csv';
export type { ExactOptions } from './exact';
export { planLengths } from './exact';
export type { Bar, LengthPiece, LengthPlan, LengthQuery, LengthStock } from './lengths';
export { planLengthsFast } from './lengths';
export type { BendSchedule, HoleSchedule, Part, Purchase } from './part';
export type { PlacedPiece, SheetPiece, SheetPlan, SheetQuery, SheetStock } from './sheets';
export { planSheets, planSheetsFast } from './sheets';
export type { Solved, Solver } from './solver';
export { loadSolver } from './solver';
export type { OnHand, Sold } from './stock';
export { guidePrices, tubeMass, usualLengths } from './stock';
