// Units, and reading and writing them as people do. The only place that converts; everything else is SI
// (metres, kilograms, seconds, pascals, watts; °C for temperatures, degrees for angles).

export type { LengthOptions } from './format';
export {
  fineMarks,
  formatChange,
  formatCount,
  formatIn,
  formatLength,
  formatMoney,
  formatNumber,
  formatQuantity,
  formatRough,
  signed,
} from './format';
export type { Parsed } from './parse';
export { parseNumber, parseQuantity } from './parse';
export { parsePitch } from './pitch';
export { formatAim, formatPlace, parsePlace } from './place';
export { evenly, normals, normalsOf } from './random';
export { boltSized, measured, sayWords, screwSized, sized } from './sized';
export type { Habit, QuantityKind } from './units';
export {
  foot,
  fromSI,
  habitUnit,
  inch,
  nudgeLength,
  psi,
  quantityKinds,
  tapeMark,
  toSI,
  toTapeMark,
  unitOf,
  unitSymbols,
} from './units';
export { gravity, weighs } from './weight';
