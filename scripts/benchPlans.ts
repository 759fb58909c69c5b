// Times and gaps of the cut planners, one line of JSON: read by bench.mjs.

import { sweepDimension } from '@north-pane/core/cutting';
import { defaultJob } from '@north-pane/core/document';
import { editableDimensions, openJob } from '@north-pane/core/job';
import { loadSolver, planLengths, planSheets } from '@north-pane/core/shop';

/** Numbers in [0, 1) that are the same on every machine (Numerical Recipes' generator, recalled). */
function evenly(seed: number): () => number {
  let state = seed;
  return () => {
    state = (Math.imul(state, 1664525) + 1013904223) >>> 0;
    return state / 2 ** 32;
  };
}

const stock = [
  { id: 'a', length: 2.4, price: 11 },
  { id: 'b', length: 3, price: 13.5 },
  { id: 'c', length: 3.6, price: 16 },
  { id: 'd', length: 4.8, price: 21.5 },
];

function job(pieces: number, lengths: number, seed: number) {
  const next = evenly(seed);
  const kinds = Array.from({ length: lengths }, (_, index) => ({
    id: `p${index}`,
    length: Math.round(150 + next() * 1800) / 1000,
    count: 0,
  }));
  for (let piece = 0; piece < pieces; piece += 1) {
    const kind = kinds[Math.floor(next() * lengths)];
    if (kind) kind.count += 1;
  }
  return { pieces: kinds, stock, kerf: 0.003 };
}

const solver = await loadSolver();
const timed = async (work: () => unknown): Promise<number> => {
  const started = performance.now();
  await work();
  return performance.now() - started;
};
const middle = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? Number.NaN;

/** Median time and worst gap over a few jobs. */
async function lengths(pieces: number, kinds: number, seeds: readonly number[]) {
  const times: number[] = [];
  let gap = 0;
  for (const seed of seeds) {
    const query = job(pieces, kinds, seed);
    times.push(
      await timed(async () => {
        const { cost, proof } = await planLengths(query, { solver: async () => solver });
        gap = Math.max(gap, cost / proof.bound - 1);
      }),
    );
  }
  return { time: middle(times), gap: 100 * gap };
}

await lengths(40, 8, [1]);
const usual = await lengths(200, 30, [77, 154, 231, 308, 385]);
const large = await lengths(1000, 60, [5]);
const panel = openJob(defaultJob('harp'));
const pitch = editableDimensions(panel, 0).find(({ id }) => id === 'pitch');
const sweep = pitch ? await timed(() => sweepDimension(panel, 0, pitch, 'metric')) : Number.NaN;
const next = evenly(9);
const sheet = await timed(() =>
  planSheets({
    pieces: Array.from({ length: 20 }, (_, index) => ({
      id: `s${index}`,
      width: 0.1 + Math.round(next() * 500) / 1000,
      height: 0.1 + Math.round(next() * 900) / 1000,
      count: 1,
      turn: index % 2 === 0,
    })),
    stock: [{ id: 'ply', width: 1.22, height: 2.44, price: 48 }],
    kerf: 0.003,
  }),
);
/** The first plan, and all of it within a budget of half a second, of so many pieces that are all different. */
async function different(pieces: number) {
  const query = job(pieces, pieces, 5);
  let first = Number.NaN;
  const started = performance.now();
  const all = await timed(() =>
    planLengths(query, {
      solver: async () => solver,
      seconds: 0.5,
      onProgress: () => {
        if (Number.isNaN(first)) first = performance.now() - started;
      },
    }),
  );
  const draw = evenly(9);
  const sheets = {
    pieces: Array.from({ length: pieces }, (_, index) => ({
      id: `s${index}`,
      width: 0.1 + Math.round(draw() * 500) / 1000,
      height: 0.1 + Math.round(draw() * 900) / 1000,
      count: 1,
      turn: index % 2 === 0,
    })),
    stock: [{ id: 'ply', width: 1.22, height: 2.44, price: 48 }],
    kerf: 0.003,
  };
  let firstSheets = Number.NaN;
  const begun = performance.now();
  const allSheets = await timed(() =>
    planSheets(sheets, {
      seconds: 0.5,
      onProgress: () => {
        if (Number.isNaN(firstSheets)) firstSheets = performance.now() - begun;
      },
    }),
  );
  return { pieces, first, all, firstSheets, allSheets };
}

const sizes = [await different(200), await different(1000), await different(3000)];
console.log(JSON.stringify({ usual, large, sweep, sheet, sizes }));
