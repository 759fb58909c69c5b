import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { createRequire } from 'node:module';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { defaultJob, type Job } from '@north-pane/core/document';
import { letterSetsOf } from '@north-pane/core/draw';
import { someOf } from '@north-pane/core/fixtures/trials';
import { expect } from 'chai';
import { paperFonts } from './fonts';
import { run } from './run';

/** A grey picture of a page: rows of bytes from the top. */
interface Picture {
  width: number;
  height: number;
  grey: Uint8Array;
}

const dpi = 400;
const perMillimetre = dpi / 25.4;

function program(name: string, args: string[]): Buffer {
  const { status, stdout, stderr } = spawnSync(name, args, { maxBuffer: 1 << 30 });
  if (status !== 0) throw new Error(`${name} (Debian package poppler-utils): ${stderr}`);
  return stdout;
}

/** Reads a binary PGM: `P5 width height 255`, then a byte a pixel. */
function readPgm(bytes: Uint8Array): Picture {
  const head = Buffer.from(bytes.subarray(0, 64)).toString('latin1');
  const found = /^P5\s(\d+)\s(\d+)\s255\s/.exec(head);
  if (!found) throw new Error('not a grey picture');
  return { width: Number(found[1]), height: Number(found[2]), grey: bytes.subarray(found[0].length) };
}

/** Middles of the dark runs along a line of pixels; px. */
function darkRuns(values: readonly number[]): number[] {
  const runs: number[] = [];
  let from = -1;
  values.forEach((value, at) => {
    if (value < 128 && from < 0) from = at;
    if (value >= 128 && from >= 0) {
      runs.push((from + at - 1) / 2);
      from = -1;
    }
  });
  return runs;
}

describe('paper, measured', () => {
  let folder = '';
  before(() => {
    folder = mkdtempSync(join(tmpdir(), 'north-pane-print-'));
  });
  after(() => rmSync(folder, { recursive: true }));

  const print = async (job: Job, options: string): Promise<string> => {
    const bytes = await run(['print', 'job.json', ...options.split(' ')], {
      read: () => JSON.stringify(job),
      fonts: paperFonts,
      now: () => new Date('2026-05-01T12:00:00Z'),
    });
    if (typeof bytes === 'string') throw new Error('a paper is bytes');
    const path = join(folder, 'paper.pdf');
    writeFileSync(path, bytes);
    return path;
  };
  const picture = (path: string, page: number): Picture => {
    const out = join(folder, 'page');
    program('pdftoppm', ['-r', String(dpi), '-gray', '-f', String(page), '-l', String(page), '-singlefile', path, out]);
    return readPgm(readFileSync(`${out}.pgm`));
  };

  for (const { units, paper, long, step } of [
    { units: 'metric', paper: 'a4', long: 100, step: 5 },
    { units: 'imperial', paper: 'letter', long: 4 * 25.4, step: 25.4 / 4 },
  ] as const)
    it(`has a ruler that is true within 0.2 mm both ways, ${paper}`, async () => {
      const path = await print(defaultJob('harp', { units }), `--kind templates --paper ${paper}`);
      const { width, height, grey } = picture(path, 1);
      const at = (x: number, y: number) => grey[Math.round(y) * width + Math.round(x)] ?? 255;
      // The ruler stands 24 mm over the foot of the sheet, 12 mm from its left edge; its shortest ticks are 2 mm.
      const row = height - 25.2 * perMillimetre;
      const across = Array.from({ length: Math.round((long + 15) * perMillimetre) }, (_, x) => at(x, row));
      const ticks = darkRuns(across).map((x) => (x + 0.5) / perMillimetre);
      expect(ticks.length).equal(Math.round(long / step) + 1);
      ticks.forEach((tick, index) => {
        expect(tick - (ticks[0] ?? 0), `tick ${index}`).closeTo(index * step, 0.2);
      });
      // The upright one stands twelve millimetres from the right edge, its shortest ticks 2 mm to the left.
      const column = width - (12 + 1) * perMillimetre;
      const up = Array.from({ length: Math.round((long / 2 + 4) * perMillimetre) }, (_, y) =>
        at(column, height - 22 * perMillimetre - y),
      );
      const rises = darkRuns(up).map((y) => y / perMillimetre);
      expect(rises.length).equal(Math.round(long / 2 / step) + 1);
      rises.forEach((rise, index) => {
        expect(rise - (rises[0] ?? 0), `mark ${index}`).closeTo(index * step, 0.2);
      });
    });

  it('draws the first hole of a header where the card says it is', async () => {
    const job = defaultJob('harp');
    const path = await print(job, '--kind templates');
    const { width, height, grey } = picture(path, 1);
    const at = (x: number, y: number) => grey[Math.round(y) * width + Math.round(x)] ?? 255;
    const parts = JSON.parse(
      (await run(['parts', 'job.json'], {
        read: () => JSON.stringify(job),
        fonts: paperFonts,
        now: () => new Date(0),
      })) as string,
    ) as { id: string; holes?: { positions: number[]; diameter: number }[] }[];
    const holes = parts.find(({ id }) => id.endsWith('header-cold'))?.holes?.[0];
    if (!holes) throw new Error('a header has holes');
    const [first = 0] = holes.positions;
    // Along every row of the strip, the edges of the circle stand to either side of its centre: look for the widest pair.
    const left = 12;
    const wide = holes.diameter * 1000;
    let best = { gap: 0, middle: 0 };
    for (let y = height * 0.2; y < height * 0.5; y += 2) {
      const from = (left + first * 1000 - wide) * perMillimetre;
      const line = Array.from({ length: Math.round(2 * wide * perMillimetre) }, (_, x) => at(from + x, y));
      const runs = darkRuns(line).map((x) => (from + x + 0.5) / perMillimetre);
      const [a, b] = [runs[0], runs[runs.length - 1]];
      if (a === undefined || b === undefined || b - a <= best.gap || b - a > wide + 0.5) continue;
      best = { gap: b - a, middle: (a + b) / 2 };
    }
    expect(best.gap).closeTo(wide, 0.3);
    expect(best.middle - left).closeTo(first * 1000, 0.2);
  });

  it('says on every sheet of the pack which job, revision, date and units it is of', async () => {
    const job = { ...defaultJob('harp'), name: 'Wash house' };
    const path = await print(job, '--revision revision_3');
    const pages = program('pdftotext', ['-layout', path, '-']).toString('utf8').split('\f').slice(0, -1);
    expect(pages.length).above(8);
    pages.forEach((page, index) => {
      expect(page, `sheet ${index + 1}`).match(/Wash house/);
      expect(page, `sheet ${index + 1}`).match(/revision_3, 2026-05-01, sizes in millimetres/);
      expect(page, `sheet ${index + 1}`).match(new RegExp(`${index + 1} of ${pages.length}`));
    });
    const all = pages.join('\n');
    for (const words of ['Buy', 'Mark out', 'Full size', 'A last look before the saw', 'Stops: like pieces'])
      expect(all).include(words);
  });
  it('prints names in any script that a font is there for, and says where one is not', async () => {
    const textOf = async (name: string) =>
      program('pdftotext', [await print({ ...defaultJob('harp'), name }, '--kind buy'), '-']).toString('utf8');
    const told = 'A question mark in a name stands for a letter';
    for (const name of someOf(['Łaźnia Tuřany, Баня №4', 'Μπάνιο ἀνά 3/8', 'Nhà tắm ở Huế', 'Сарай Ѣ ґ'], 2)) {
      const text = await textOf(name);
      expect(text, name).include(name);
      expect(text, name).not.include(told);
    }
    for (const name of someOf(['浴室 2', 'مغسلة', 'Bath \u{1f6bf}'], 1)) {
      const text = await textOf(name);
      expect(text, name).match(/\?/);
      expect(text.split(told).length - 1, name).equal(text.split('\f').length - 1);
    }
  });
  it('finds a font for every letter that its fonts have', () => {
    const { resolve } = createRequire(import.meta.url);
    const ranges = JSON.parse(readFileSync(resolve('@fontsource/source-sans-3/unicode.json'), 'utf8')) as Record<
      string,
      string
    >;
    const codesOf = (subset: string): number[] =>
      (ranges[subset] ?? '').split(',').flatMap((range) => {
        const [from = 0, to = from] = range
          .slice(2)
          .split('-')
          .map((code) => Number.parseInt(code, 16));
        return Array.from({ length: to - from + 1 }, (_, index) => from + index);
      });
    const latin = new Set(codesOf('latin'));
    let seen = 0;
    for (const subset of Object.keys(ranges)) {
      for (const code of codesOf(subset)) {
        if (latin.has(code)) continue;
        seen += 1;
        const found = letterSetsOf(String.fromCodePoint(code));
        expect(
          found.some((one) => codesOf(one).includes(code)),
          `${subset} U+${code.toString(16)}`,
        ).equal(true);
      }
    }
    expect(seen).above(1000);
    expect(letterSetsOf('Wash house, Württemberg, 60 °C ½')).eql([]);
  });
  it('dates a sheet by the calendar of the place', async () => {
    const job = defaultJob('harp');
    // Noon in Greenwich is past midnight there.
    const east = { ...job, site: { ...job.site, zone: 'Pacific/Auckland' } };
    const path = await print(east, '--kind buy');
    expect(program('pdftotext', [path, '-']).toString('utf8')).include('2026-05-02');
  });
  it('prints each list by itself, and a drawing on one sheet', async () => {
    const job = defaultJob('harp');
    for (const [kind, words] of [
      ['buy', 'In all'],
      ['cut', 'Every piece'],
      ['cards', 'Mark out'],
    ])
      expect(program('pdftotext', [await print(job, `--kind ${kind}`), '-']).toString('utf8'), kind).include(words);
    const bytes = await run(['draw', 'job.json', '--view', 'plan', '--format', 'pdf'], {
      read: () => JSON.stringify(job),
      fonts: paperFonts,
      now: () => new Date('2026-05-01T12:00:00Z'),
    });
    const path = join(folder, 'plan.pdf');
    writeFileSync(path, bytes);
    expect(program('pdfinfo', [path]).toString('utf8')).match(/Pages:\s+1\n/);
    expect(program('pdftotext', [path, '-']).toString('utf8')).match(/1 882/);
  });
  it('prints every kind of heater on either paper, with no letter that the fonts lack', async () => {
    for (const family of ['serpentine', 'lattice', 'trickle']) {
      const path = await print(defaultJob(family, { units: 'imperial' }), '--paper letter');
      const text = program('pdftotext', [path, '-']).toString('utf8');
      expect(text, family).include('feet, inches');
      expect(text, family).not.match(/[\ufffd⟦⟧]|undefined|NaN/);
    }
  });
});
