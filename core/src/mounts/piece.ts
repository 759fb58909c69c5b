import { entry, type Timber } from '../catalogue';
import { choiceField, entryField } from '../field';
import { type Purchase, timberPiece } from '../shop';

/** A field for the timber that a mount is made of: stout enough for a bolt. */
export function timberField(meaning: string) {
  return entryField('timber', 'planed-90x45', 'Timber', meaning, (id) => entry('timber', id).thickness > 0.03);
}

/** A field for what keeps a mount from lifting and toppling. A document that does not speak of it has nothing. */
export const anchorField = choiceField(
  { none: 'nothing yet', ballast: 'ballast on the base', guys: 'guys to ground anchors' },
  'none',
  'Held down by',
  'What keeps it from lifting, toppling and sliding in the gust.',
);

/** One kind of piece of a mount. */
export function piece(
  prefix: string,
  timber: Timber,
  { id, name, ...one }: Parameters<typeof timberPiece>[4] & { id: string; name: string },
): ReturnType<typeof timberPiece> {
  return timberPiece(prefix, timber, `stand-${id}`, name, one);
}

/** Bolts, screws and clamps of a mount, by count. */
export function fixings(
  prefix: string,
  one: { name: string; quantity: number; priceKey: string; rule: string; each: number; id?: string },
): Purchase {
  const { each, id = 'bolts', ...rest } = one;
  return { id: `${prefix}/stand-${id}`, unit: 'each', mass: each * one.quantity, ...rest };
}
