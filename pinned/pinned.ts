import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, brotliDecompressSync, constants } from 'node:zlib';
import { jobSteps } from '@north-pane/core/building';
import { jobFindings, sayFinding } from '@north-pane/core/cautions';
import type { Job } from '@north-pane/core/document';
import { evaluateBands, evaluateOpen, evaluateWithCost, heaterDerivations } from '@north-pane/core/figures';
import { jobParts, jobShop, openJob } from '@north-pane/core/job';
import type { ShopPlan } from '@north-pane/core/shop';

/** A job with everything that was worked out from it when it was recorded. */
export interface Pinned {
  name: string;
  job: unknown;
  results: Record<string, unknown>;
}

const folder = import.meta.dirname;

/** Plain JSON of a value, as it comes back from a file: what is undefined is not there, NaN is null. */
const plain = (value: unknown): unknown => JSON.parse(JSON.stringify(value));

/** Everything that is worked out from a job. What throws is recorded by its message. */
export function resultsOf(job: Job): Record<string, unknown> {
  const attempt = (work: () => unknown): unknown => {
    try {
      return plain(work());
    } catch (error) {
      return { error: String(error) };
    }
  };
  const open = openJob(job);
  const list = attempt(() => jobParts(open));
  return {
    figures: attempt(() => evaluateWithCost(open)),
    bands: attempt(() => evaluateBands(job, {}, { samples: 16, seed: 1 })),
    derivations: attempt(() => {
      const figures = evaluateOpen(open);
      return open.panels.map(({ design }, index) => heaterDerivations(figures, design, index));
    }),
    findings: attempt(() =>
      jobFindings(open).map((finding) => ({ ...finding, words: sayFinding(finding, job.units) })),
    ),
    list,
    cuts: attempt(() => cutsOf(jobShop(open).plan)),
    steps: attempt(() => jobSteps(open)),
  };
}

/** A plan without what the list of pieces says already. */
function cutsOf({ materials, ...plan }: ShopPlan) {
  return { ...plan, materials: materials.map(({ parts: _, decided: __, ...material }) => material) };
}

/** Names of the files of recorded jobs. */
export function pinnedFiles(): string[] {
  return readdirSync(folder).filter((name) => name.endsWith('.json.br'));
}

export function readPinned(file: string): Pinned[] {
  return JSON.parse(brotliDecompressSync(readFileSync(join(folder, file))).toString('utf8')) as Pinned[];
}

export function writePinned(file: string, jobs: readonly Pinned[]): void {
  const text = Buffer.from(JSON.stringify(jobs));
  const params = { [constants.BROTLI_PARAM_LGWIN]: 24, [constants.BROTLI_PARAM_SIZE_HINT]: text.length };
  writeFileSync(join(folder, file), brotliCompressSync(text, { params }));
}

/**
 * Where two plain values differ: numbers by more than 1e-9 of the larger, all else at all.
 *
 * @returns paths with both values, the first 20
 */
export function differences(before: unknown, after: unknown, path = ''): string[] {
  if (typeof before === 'number' && typeof after === 'number') {
    const size = Math.max(Math.abs(before), Math.abs(after));
    return Math.abs(before - after) <= 1e-9 * size + 1e-12 ? [] : [`${path}: ${before} -> ${after}`];
  }
  if (typeof before === 'string' && typeof after === 'string' && before !== after) {
    // A text holds its quantities as numbers with all their digits.
    const [a, b] = [before, after].map((text) => text.split(/(-?\d+(?:\.\d+)?(?:e-?\d+)?)/));
    const alike =
      a?.length === b?.length &&
      a?.every((part, index) =>
        index % 2 === 0 ? part === b?.[index] : differences(Number(part), Number(b?.[index])).length === 0,
      );
    return alike ? [] : [`${path}: ${show(before)} -> ${show(after)}`];
  }
  if (before === null || after === null || typeof before !== 'object' || typeof after !== 'object')
    return before === after ? [] : [`${path}: ${show(before)} -> ${show(after)}`];
  if (Array.isArray(before) !== Array.isArray(after)) return [`${path}: a list on one side only`];
  const names = new Set([...Object.keys(before), ...Object.keys(after)]);
  const found: string[] = [];
  for (const name of names) {
    const [a, b] = [before, after].map((one) => (one as Record<string, unknown>)[name]);
    found.push(...differences(a, b, path === '' ? name : `${path}.${name}`));
    if (found.length >= 20) return found.slice(0, 20);
  }
  return found;
}

function show(value: unknown): string {
  const text = JSON.stringify(value) ?? 'absent';
  return text.length > 200 ? `${text.slice(0, 200)}…` : text;
}
