import { expect } from 'chai';
import { system } from './system';

/** Relative luminance and contrast as WCAG 2.2 defines them. */
function luminance(hex: string): number {
  const channel = (at: number) => {
    const value = Number.parseInt(hex.slice(at, at + 2), 16) / 255;
    return value <= 0.04045 ? value / 12.92 : ((value + 0.055) / 1.055) ** 2.4;
  };
  return 0.2126 * channel(1) + 0.7152 * channel(3) + 0.0722 * channel(5);
}
function contrast(a: string, b: string): number {
  const [light = 0, dark = 0] = [luminance(a), luminance(b)].sort((x, y) => y - x);
  return (light + 0.05) / (dark + 0.05);
}

/** The colour of a name by day and by night, as the theme has it. */
function colour(name: string): { day: string; night: string } {
  const token = system._config.theme?.semanticTokens?.colors as Record<
    string,
    { value: { base: string; _dark: string } }
  >;
  const found = token[name];
  if (!found) throw new Error(`no colour ${name}`);
  return { day: found.value.base, night: found.value._dark };
}

/** AA for text: what is written on what. */
const written: [text: string, grounds: string[]][] = [
  ['ink', ['ground', 'card', 'well', 'timber', 'wool']],
  ['soft', ['ground', 'card', 'well']],
  ['copperText', ['ground', 'card']],
  ['paneText', ['ground', 'card', 'well']],
  ['ochreText', ['ground', 'card', 'well']],
  ['brickText', ['ground', 'card']],
  ['chalk', ['slate']],
  ['chalkSoft', ['slate']],
  ['tapeInk', ['tape']],
];

/** WCAG 2.2, 1.4.11: edges of what is pressed or filled, and the focus ring, on what they stand on. */
const edges: [edge: string, grounds: string[]][] = [
  ['edge', ['ground', 'card', 'well']],
  ['border', ['ground', 'card', 'well']],
  ['focus', ['ground', 'card', 'well']],
  ['slateEdge', ['slate']],
];

describe('web: contrast', () => {
  for (const [edge, grounds] of edges)
    for (const ground of grounds)
      for (const light of ['day', 'night'] as const)
        it(`${edge} on ${ground} by ${light} is 3 or more`, () => {
          expect(contrast(colour(edge)[light], colour(ground)[light])).at.least(3);
        });
  it('the focus ring on slate is 3 or more', () => {
    for (const light of ['day', 'night'] as const)
      expect(contrast(colour('focus').night, colour('slate')[light])).at.least(3);
  });
  for (const [text, grounds] of written)
    for (const ground of grounds)
      for (const light of ['day', 'night'] as const)
        it(`${text} on ${ground} by ${light} is 4.5 or more`, () => {
          expect(contrast(colour(text)[light], colour(ground)[light])).at.least(4.5);
        });
  it('white on what is pressed or stopped is 4.5 or more', () => {
    for (const name of ['paneFill', 'paneDeep', 'brick', 'copper'])
      for (const light of ['day', 'night'] as const)
        expect(contrast('#FFFFFF', colour(name)[light]), `${name} by ${light}`).at.least(4.5);
  });
  it('measures black on white as 21', () => expect(contrast('#000000', '#FFFFFF')).closeTo(21, 0.01));
});
