import { bought, type Purchase } from '../../shop';

/** L of flat black paint for an area: two coats, 10 m² to the litre. */
export function blackPaint(prefix: string, area: number): Purchase {
  return bought(prefix, 'black', 'Flat black paint', [(2 * area) / 10, 'L'], {
    priceKey: 'paint',
    rule: 'two coats',
    mass: 0.2,
  });
}

/** L of primer and etch for an area: 12 m² to the litre. */
export function primer(prefix: string, area: number): Purchase {
  return bought(prefix, 'primer', 'Etch primer', [area / 12, 'L'], {
    priceKey: 'primer',
    rule: 'one thin coat on bright metal, before the black',
    mass: 0.05,
  });
}

/** L of black on a list of purchases: what a step that lays it on is checked by. */
export function litresOf(purchases: readonly Purchase[]): number {
  return purchases.find(({ id }) => id.endsWith('/black'))?.quantity ?? 0;
}
