import { formatIn } from '../quantity';

/** kWh from which tenths say nothing. */
const many = 20;

/** Heat as it is paid for: in kWh by either tape, to no more figures than a screening has. */
export function sayHeat(joules: number): string {
  const kilowattHours = joules / 3.6e6;
  if (kilowattHours < many) return formatIn('energy', joules, 'kWh', 1).text;
  const step = kilowattHours < 1000 ? 5 : 10;
  return formatIn('energy', Math.round(kilowattHours / step) * step * 3.6e6, 'kWh', 0).text;
}
