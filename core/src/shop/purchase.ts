import type { Habit } from '../quantity';
import { screwSized } from '../quantity';
import type { Purchase } from './part';

/** One line of the buy list. `id` is its role, without the prefix. */
export function bought(prefix: string, line: Purchase): Purchase {
  return { ...line, id: `${prefix}/${line.id}` };
}

/** kg of a stainless wood screw of 4 mm, by its length in metres: 4 × 40 weighs 4 g. */
const screwMass = 0.1;

/** Wood screws of one length; nothing where none are wanted. */
export function screws(
  prefix: string,
  one: { id: string; quantity: number; length: number; tape: Habit; rule: string },
): Purchase[] {
  const { id, quantity, length, rule } = one;
  if (quantity === 0) return [];
  return [
    bought(prefix, {
      id,
      name: `Stainless screws ${screwSized(length)}`,
      quantity,
      unit: 'each',
      priceKey: 'screw',
      rule,
      size: { length },
      mass: screwMass * length * quantity,
    }),
  ];
}
