import { madeAlike, mirrorImages } from './features';
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

/** Another part that goes with one: its mirror picture, or the same piece under another name. */
export interface Mate {
  part: Part;
  hand: 'mirror' | 'same';
}

/** Each part with the first that `fits` it, every part in one pair at most. */
function pairs(parts: readonly Part[], fits: (one: Part, other: Part) => boolean): [Part, Part][] {
  const found: [Part, Part][] = [];
  const taken = new Set<string>();
  for (const one of parts)
    for (const other of parts)
      if (one !== other && !taken.has(one.id) && !taken.has(other.id) && fits(one, other)) {
        found.push([one, other]);
        taken.add(one.id);
        taken.add(other.id);
      }
  return found;
}

/**
 * Pairs of parts that are each other's mirror picture and that no turning makes alike. Left and right are marked together, laid face to
 * face, so that no two left ones are made.
 */
export function handedPairs(parts: readonly Part[]): [Part, Part][] {
  return pairs(parts, mirrorImages);
}

/** Pairs of drilled or rebated parts that are one and the same piece, turned end for end: marked against one stop, drilled alike. */
export function twinPairs(parts: readonly Part[]): [Part, Part][] {
  const worked = parts.filter(({ holes, recesses, ends }) => holes ?? recesses ?? ends);
  return pairs(worked, madeAlike);
}

/** What each part is marked together with, by its id. */
export function matesOf(parts: readonly Part[]): Map<string, Mate> {
  const mates = new Map<string, Mate>();
  const add =
    (hand: Mate['hand']) =>
    ([one, other]: [Part, Part]) => {
      mates.set(one.id, { part: other, hand });
      mates.set(other.id, { part: one, hand });
    };
  twinPairs(parts).forEach(add('same'));
  handedPairs(parts).forEach(add('mirror'));
  return mates;
}

/** What is said of a piece and its mate, in words. */
export function mateWords({ part, hand }: Mate): string {
  return hand === 'mirror'
    ? `the other hand of: ${part.name}. Mark both together, laid face to face`
    : `the same piece as: ${part.name}, turned end for end. Mark both together`;
}
