/**
 * Sets of letters that fonts of many scripts are commonly parted into, by the first and last code points that tell that
 * one is needed beside the Latin letters of western Europe. Source: blocks of the Unicode Standard, 15.0.
 */
const sets = {
  'latin-ext': [
    [0x0100, 0x02c5],
    [0x02c7, 0x02d7],
    [0x02dd, 0x02ff],
    [0x1d00, 0x1dbf],
    [0x1e00, 0x1eff],
    [0x20a0, 0x20ab],
    [0x20ad, 0x20c4],
    [0x2020, 0x2020],
    [0x2113, 0x2113],
    [0x2c60, 0x2c7f],
    [0xa720, 0xa7ff],
  ],
  vietnamese: [
    [0x01a0, 0x01b0],
    [0x0300, 0x0329],
    [0x1ea0, 0x1ef9],
  ],
  greek: [[0x0370, 0x03ff]],
  'greek-ext': [[0x1f00, 0x1fff]],
  cyrillic: [
    [0x0400, 0x04ff],
    [0x2116, 0x2116],
  ],
  'cyrillic-ext': [
    [0x0460, 0x052f],
    [0x1c80, 0x1c8a],
    [0x20b4, 0x20b4],
    [0x2de0, 0x2dff],
    [0xa640, 0xa69f],
    [0xfe2e, 0xfe2f],
  ],
} as const satisfies Record<string, readonly (readonly [number, number])[]>;

export type LetterSet = keyof typeof sets;

/** Sets of letters that words need beside the Latin of western Europe, so that only their fonts are fetched. */
export function letterSetsOf(words: string): LetterSet[] {
  const codes = new Set(Array.from(words, (letter) => letter.codePointAt(0) ?? 0));
  return (Object.keys(sets) as LetterSet[]).filter((name) =>
    [...codes].some((code) => sets[name].some(([from, to]) => code >= from && code <= to)),
  );
}
