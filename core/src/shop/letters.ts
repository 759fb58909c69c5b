import type { Part } from './part';

/** Letters of pieces; I and O are left out: they are read as figures. */
const alphabet = 'ABCDEFGHJKLMNPQRSTUVWXYZ';

/** The letters at a place of a list: A to Z, then AA, AB and so on. */
export function lettersAt(place: number): string {
  const letter = alphabet[place % alphabet.length] ?? '';
  return place < alphabet.length ? letter : lettersAt(Math.floor(place / alphabet.length) - 1) + letter;
}

/** A letter for every part of a job, in the order of its list: the same on stickers, bars, sheets, cards, steps and drawings. */
export function partLetters(parts: readonly Pick<Part, 'id'>[]): ReadonlyMap<string, string> {
  return new Map(parts.map(({ id }, place) => [id, lettersAt(place)]));
}
