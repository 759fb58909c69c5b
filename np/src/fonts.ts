import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { letterSetsOf, type PaperFonts } from '@north-pane/core/draw';

const find = createRequire(import.meta.url).resolve;
const read = (font: string) => readFileSync(find(`@fontsource/${font}-normal.woff`));

/** The fonts that papers with such words on them are written in. */
export function paperFonts(words: string): PaperFonts {
  return {
    text: read('source-sans-3/files/source-sans-3-latin-400'),
    heading: read('barlow-semi-condensed/files/barlow-semi-condensed-latin-600'),
    fallback: letterSetsOf(words).map((set) => read(`source-sans-3/files/source-sans-3-${set}-400`)),
  };
}
