// Units, and reading and writing them as people do. The only place that converts; everything else is SI
// (metres, kilograms, seconds, pascals, watts; °C for temperatures, degrees for angles).
export { formatIn, formatLength, formatMoney, formatNumber, formatQuantity } from './format';
export type { LengthOptions, LengthReading, Written } from './format';
export { parseNumber, parseQuantity } from './parse';
export type { Parsed } from './parse';
export { fromSI, habitUnit, nudgeLength, quantityKinds, tapeMark, toSI, toTapeMark, unitOf } from './units';
export type { Habit, QuantityKind, Unit } from './units';
