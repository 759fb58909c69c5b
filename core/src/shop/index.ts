// Parts, and getting them out of what shops sell: lengths, sheets, buying, cut lists.
export { planShop } from './buying';
export type { BuyLine, MaterialPlan, Shop, ShopPlan } from './buying';
export { safeCell, writeCsv } from './csv';
export { planLengths, planLengthsFast } from './lengths';
export type { Bar, LengthPiece, LengthPlan, LengthQuery, LengthStock } from './lengths';
export type { HoleSchedule, Part, Purchase } from './part';
export { planSheets, planSheetsFast } from './sheets';
export type { PlacedPiece, SheetPiece, SheetPlan, SheetQuery, SheetStock } from './sheets';
export { guidePrices, tubeMass, usualLengths } from './stock';
export type { OnHand, Sold } from './stock';
