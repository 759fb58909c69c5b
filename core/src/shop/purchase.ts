import type { Habit } from '../quantity';
import { screwSized } from '../quantity';
import type { Purchase } from './part';

/** One line of the buy list. `id` is its role, without the prefix. */
export function bought(
  prefix: string,
  role: string,
  name: string,
  [quantity, unit]: readonly [quantity: number, unit: Purchase['unit']],
  rest: Omit<Purchase, 'id' | 'name' | 'quantity' | 'unit'>,
): Purchase {
  return { id: `${prefix}/${role}`, name, quantity, unit, ...rest };
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
    bought(prefix, id, `Stainless screws ${screwSized(length)}`, [quantity, 'each'], {
      priceKey: 'screw',
      rule,
      size: { length },
      mass: screwMass * length * quantity,
    }),
  ];
}
