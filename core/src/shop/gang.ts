import { mirrorImages } from './features';
import type { Part } from './part';

type LengthPart = Part & { kind: 'length' };

/** Pieces that are cut against one stop. */
export interface Gang {
  item: string;
  stuff: LengthPart['stuff'];
  /** m. Where the stop stands. */
  length: number;
  count: number;
  parts: LengthPart[];
}

const tiny = 5e-5;

/** Pieces of one stuff and one length together, longest first: one stop cuts them all, and what is too short goes on to the next. */
export function gangs(parts: readonly Part[]): Gang[] {
  const found: Gang[] = [];
  for (const part of parts) {
    if (part.kind !== 'length') continue;
    const known = found.find(({ item, length }) => item === part.item && Math.abs(length - part.length) < tiny);
    if (known) {
      known.count += part.count;
      known.parts.push(part);
    } else found.push({ item: part.item, stuff: part.stuff, length: part.length, count: part.count, parts: [part] });
  }
  return found.sort((a, b) => a.item.localeCompare(b.item) || b.length - a.length);
}

/**
 * Pairs of parts that are each other's mirror picture and that no turning makes alike. Left and right are marked together, laid face to
 * face, so that no two left ones are made.
 */
export function handedPairs(parts: readonly Part[]): [Part, Part][] {
  const pairs: [Part, Part][] = [];
  const taken = new Set<string>();
  for (const one of parts)
    for (const other of parts)
      if (one !== other && !taken.has(one.id) && !taken.has(other.id) && mirrorImages(one, other)) {
        pairs.push([one, other]);
        taken.add(one.id);
        taken.add(other.id);
      }
  return pairs;
}
