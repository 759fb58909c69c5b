import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';

const find = createRequire(import.meta.url).resolve;

/** The fonts that papers are written in. */
export function paperFonts() {
  return {
    text: readFileSync(find('@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff')),
    heading: readFileSync(find('@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff')),
  };
}
