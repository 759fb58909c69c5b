import '../dom.fixture';
import { readFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { ChakraProvider } from '@chakra-ui/react';
import { defaultJob, familyIds } from '@north-pane/core/document';
import { openJob } from '@north-pane/core/job';
import * as fontkit from '@pdf-lib/fontkit';
import { cleanup, render } from '@testing-library/react';
import { expect } from 'chai';
import { system } from '../theme/system';
import { DrawingView } from './DrawingView';

/** A face that the page is set in, with the widths of its letters. */
function face(name: string): (text: string) => number {
  const { resolve } = createRequire(import.meta.url);
  const font = (fontkit as unknown as { default: { create(bytes: Uint8Array): Face } }).default.create(
    readFileSync(resolve(name)),
  );
  const known = new Map<string, number>();
  /** Of a letter; one that is not in this file is as wide as a figure. */
  const wide = (letter: string): number => {
    try {
      return font.layout(letter).advanceWidth / font.unitsPerEm;
    } catch {
      return 0.5;
    }
  };
  return (text) => {
    let sum = 0;
    for (const letter of text) {
      const width = known.get(letter) ?? wide(letter);
      known.set(letter, width);
      sum += width;
    }
    return sum;
  };
}
interface Face {
  unitsPerEm: number;
  layout(text: string): { advanceWidth: number };
}
const body = face('@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff');
const heading = face('@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff');

interface Words {
  text: string;
  left: number;
  right: number;
  top: number;
  bottom: number;
}

/** Where words stand, by their own attributes and the widths of their letters; px. */
function wordsOf(svg: Element): Words[] {
  return [...svg.querySelectorAll('text')].flatMap((one) => {
    const text = one.textContent ?? '';
    if (text.trim() === '') return [];
    const size = Number.parseFloat(one.style.fontSize);
    const wide = (one.style.fontFamily.includes('heading') ? heading : body)(text) * size;
    const moved = /translate\(([-\d.]+) ([-\d.]+)\)( rotate\(-90\))?/.exec(
      one.closest('g[transform]')?.getAttribute('transform') ?? '',
    );
    const x = Number(one.getAttribute('x') ?? 0);
    const y = Number(one.getAttribute('y') ?? 0);
    const anchor = one.getAttribute('text-anchor');
    const before = anchor === 'end' ? wide : anchor === 'middle' ? wide / 2 : 0;
    // Capitals and figures stand 0.7 of the size high, about their middle or on their line.
    const half = 0.35 * size;
    const middle = one.getAttribute('dominant-baseline') === 'central' ? y : y - half;
    const [dx, dy] = [Number(moved?.[1] ?? 0), Number(moved?.[2] ?? 0)];
    if (moved?.[3]) return [{ text, left: dx - half, right: dx + half, top: dy - wide / 2, bottom: dy + wide / 2 }];
    return [
      {
        text,
        left: dx + x - before,
        right: dx + x - before + wide,
        top: dy + middle - half,
        bottom: dy + middle + half,
      },
    ];
  });
}

/** Words that lie outside a drawing, and pairs of them that lie over each other. */
function muddled(words: readonly Words[], width: number, height: number): string[] {
  const out = words
    .filter(({ left, right, top, bottom }) => left < -0.5 || right > width + 0.5 || top < -0.5 || bottom > height + 0.5)
    .map(({ text }) => `outside: ${text}`);
  const over = words.flatMap((one, index) =>
    words
      .slice(index + 1)
      .filter(
        (other) =>
          Math.min(one.right, other.right) - Math.max(one.left, other.left) > 3 &&
          Math.min(one.bottom, other.bottom) - Math.max(one.top, other.top) > 3,
      )
      .map(({ text }) => `${one.text} over ${text}`),
  );
  return [...out, ...over];
}

const rooms = [
  { what: 'a phone', width: 358, height: 420 },
  { what: 'a laptop', width: 800, height: 520 },
];

describe('web: words of a drawing stay inside it and apart', () => {
  let room = rooms[0] as (typeof rooms)[number];
  const { prototype } = window.HTMLElement;
  const before = [
    ['clientWidth', Object.getOwnPropertyDescriptor(prototype, 'clientWidth')],
    ['clientHeight', Object.getOwnPropertyDescriptor(prototype, 'clientHeight')],
  ] as const;
  after(() => {
    cleanup();
    for (const [name, own] of before) if (own) Object.defineProperty(prototype, name, own);
  });
  const sized = () => {
    Object.defineProperty(prototype, 'clientWidth', { get: () => room.width, configurable: true });
    Object.defineProperty(prototype, 'clientHeight', { get: () => room.height, configurable: true });
  };

  it('finds words that lie over each other, and words that run out', () => {
    const at = (left: number, text: string) => ({ text, left, right: left + 40, top: 100, bottom: 112 });
    expect(muddled([at(10, 'a'), at(30, 'b')], 358, 420)).deep.equal(['a over b']);
    expect(muddled([at(330, 'c')], 358, 420)).deep.equal(['outside: c']);
    expect(muddled([at(10, 'a'), at(60, 'b')], 358, 420)).deep.equal([]);
  });

  for (const family of familyIds)
    for (const units of ['metric', 'imperial'] as const)
      it(`of a ${family}, ${units}: every view, on a phone and on a laptop`, () => {
        const panel = openJob(defaultJob(family, { units })).panels[0];
        if (!panel) throw new Error('no heater');
        let seen = 0;
        for (const one of rooms) {
          room = one;
          sized();
          for (const [view, { draw }] of Object.entries(panel.design.drawings)) {
            cleanup();
            const drawing = draw();
            const { container } = render(
              <ChakraProvider value={system}>
                {/* The view that leads has the usual margins; beside it there is room for the words of the layers. */}
                {view === 'section' || view === 'joint' ? (
                  <DrawingView
                    drawing={drawing}
                    habit={units}
                    margin={{
                      left: units === 'metric' ? 48 : 92,
                      right: units === 'metric' ? 124 : 150,
                      top: 18,
                      bottom: 44,
                    }}
                  />
                ) : (
                  <DrawingView drawing={drawing} habit={units} />
                )}
              </ChakraProvider>,
            );
            const svg = container.querySelector('svg');
            if (!svg) throw new Error(`${view} is not drawn`);
            const words = wordsOf(svg);
            seen += words.length;
            expect(muddled(words, one.width, one.height), `${view} on ${one.what}`).deep.equal([]);
          }
        }
        expect(seen).at.least(12);
      });
});
