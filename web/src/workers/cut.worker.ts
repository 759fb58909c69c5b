import headingFont from '@fontsource/barlow-semi-condensed/files/barlow-semi-condensed-latin-600-normal.woff?url';
import cyrillicFont from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-400-normal.woff?url';
import cyrillicExtFont from '@fontsource/source-sans-3/files/source-sans-3-cyrillic-ext-400-normal.woff?url';
import greekFont from '@fontsource/source-sans-3/files/source-sans-3-greek-400-normal.woff?url';
import greekExtFont from '@fontsource/source-sans-3/files/source-sans-3-greek-ext-400-normal.woff?url';
import textFont from '@fontsource/source-sans-3/files/source-sans-3-latin-400-normal.woff?url';
import latinExtFont from '@fontsource/source-sans-3/files/source-sans-3-latin-ext-400-normal.woff?url';
import vietnameseFont from '@fontsource/source-sans-3/files/source-sans-3-vietnamese-400-normal.woff?url';
import { shrinkToSave, stretchToStock, sweepTogether, wasteFreePoints } from '@north-pane/core/cutting';
import { type LetterSet, letterSetsOf } from '@north-pane/core/draw';
import { findDimension, type JobInShop, openJob } from '@north-pane/core/job';
import { type PaperKind, type PrintContext, paperLetters, printJob } from '@north-pane/core/papers';
import type { Habit } from '@north-pane/core/quantity';
import { loadSolver, type MaterialPlan, proveMaterial, type ShopPlan, type Solver } from '@north-pane/core/shop';
import { expose } from 'comlink';
import binary from 'highs/runtime?url';

/** Fonts of letters beside the Latin ones of western Europe, fetched for the names that need them. */
const fontOf: Record<LetterSet, string> = {
  'latin-ext': latinExtFont,
  vietnamese: vietnameseFont,
  greek: greekFont,
  'greek-ext': greekExtFont,
  cyrillic: cyrillicFont,
  'cyrillic-ext': cyrillicExtFont,
};

let loading: Promise<Solver> | undefined;

/** The solver, fetched when a plan first needs it. */
function solver(): Promise<Solver> {
  loading ??= loadSolver(binary);
  return loading;
}

function dimensionOf({ job, state }: JobInShop, index: number, id: string) {
  const found = findDimension(openJob(job, state), index, id);
  if (!found) throw new NoDimension();
  return found;
}

/** Thrown where the size in hand is on no drawing any more. */
class NoDimension extends Error {
  override readonly name = 'NoDimension';
  constructor() {
    super('The size in hand is gone from the drawing: choose another one');
  }
}

async function bytesOf(address: string): Promise<Uint8Array> {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`${address}: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
}

const cut = {
  /** A paper for the shop, as the bytes of a PDF. */
  async print(
    kind: PaperKind,
    { job, state }: JobInShop,
    plan: ShopPlan,
    about: Omit<PrintContext, 'job' | 'fonts'>,
  ): Promise<Uint8Array<ArrayBuffer>> {
    const sets = letterSetsOf(JSON.stringify([job, about.revision, paperLetters]));
    const [text, heading, ...fallback] = await Promise.all(
      [textFont, headingFont, ...sets.map((set) => fontOf[set])].map(bytesOf),
    );
    if (!text || !heading) throw new RangeError('fonts are missing');
    return new Uint8Array(
      await printJob(kind, openJob(job, state), plan, { ...about, fonts: { text, heading, fallback } }),
    );
  },
  /** Plans materials again by the planners that prove; each better plan is told at once. */
  async prove(materials: readonly MaterialPlan[], onPlan: (material: MaterialPlan) => void): Promise<MaterialPlan[]> {
    const proved: MaterialPlan[] = [];
    for (const material of materials) {
      const best = await proveMaterial(material, { solver, onProgress: onPlan });
      onPlan(best);
      proved.push(best);
    }
    return proved;
  },
  /** Sizes of a dimension at which less is wasted. */
  points: (at: JobInShop, index: number, dimension: string, habit: Habit, onProgress: (share: number) => void) =>
    wasteFreePoints(at, index, dimensionOf(at, index, dimension), habit, { solver, onProgress }),
  stretch: (at: JobInShop, index: number, habit: Habit, onProgress: (share: number) => void) =>
    stretchToStock(at, index, habit, { onProgress }),
  shrink: (at: JobInShop, index: number, habit: Habit, onProgress: (share: number) => void) =>
    shrinkToSave(at, index, habit, { reach: 0.25, onProgress }),
  together: (at: JobInShop, index: number, dimension: string, habit: Habit, onProgress: (share: number) => void) =>
    sweepTogether(at, index, dimensionOf(at, index, dimension), habit, { reach: 0.2, onProgress }),
};

export type CutWork = typeof cut;
expose(cut);
