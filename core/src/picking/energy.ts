import { formatIn, fromSI, toSI, unitOf } from '../quantity';

/** What heat is bought by. */
const unit = unitOf('energy', 'kWh');
/** kWh from which tenths say nothing. */
const many = 20;

/** kWh of some heat. */
export function kilowattHours(joules: number): number {
  return fromSI(joules, unit);
}

/** Heat as it is paid for: in kWh by either tape, to no more figures than a screening has. */
export function sayHeat(joules: number): string {
  const number = kilowattHours(joules);
  if (number < many) return formatIn('energy', joules, unit.symbol, 1).text;
  const step = number < 1000 ? 5 : 10;
  return formatIn('energy', toSI(Math.round(number / step) * step, unit), unit.symbol, 0).text;
}
