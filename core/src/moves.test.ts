import { expect } from 'chai';
import { jobFindings } from './cautions';
import { defaultJob, documentFields, type Job, parseJob, valueAtPath, withValueAt } from './document';
import type { Result } from './field';
import { evaluateOpen } from './figures';
import { jobParts, openJob } from './job';

/** A number that tells of every part of a value: what moves at all moves it. */
const written = (value: unknown) =>
  JSON.stringify(value, (_, inner) => (typeof inner === 'function' ? undefined : inner));

/** What is worked out at once from a document, by the result that it is part of. */
const works: Partial<Record<Result, (job: Job) => unknown>> = {
  heat: (job) => {
    const { cost: _, unpriced: __, ...figures } = evaluateOpen(openJob(job));
    return figures;
  },
  findings: (job) => jobFindings(openJob(job)),
  pieces: (job) => jobParts(openJob(job)),
};

/** Values that a field may have besides the one that it has; none for what is set whole. */
function others({ meta }: ReturnType<typeof documentFields>[number], value: unknown): unknown[] {
  const { kind, low, high, choices } = meta;
  if (kind === 'flag') return [value !== true];
  if (choices) return choices.map((one) => one.value).filter((one) => one !== value);
  if (low === undefined || high === undefined) return [];
  const at = (share: number) => low + share * (high - low);
  return kind === 'count' ? [low + 1, low + 2] : [at(0.02), at(0.3), at(0.8)];
}

describe('job: a field says what it moves', () => {
  // A result that a field moves and does not name would be shown as it was before the change.
  for (const kind of ['harp', 'serpentine', 'batch-box', 'spiral'])
    it(`${kind}: whatever else of the document is changed, no result moves that it does not name`, () => {
      const job = defaultJob(kind);
      const before = Object.entries(works).map(([result, work]) => [result, work, written(work(job))] as const);
      const tried: string[] = [];
      for (const field of documentFields()) {
        const path = field.path.map((step) => (step === '*' ? (Object.keys(valueAt(job, field.path))[0] ?? '') : step));
        if (path.includes('')) continue;
        for (const value of others(field, valueAtPath(job, path))) {
          const changed = withValueAt(job, path, value);
          if (!parseJob(changed).ok) continue;
          tried.push(path.join('.'));
          for (const [result, work, was] of before)
            if (written(work(changed)) !== was)
              expect(field.meta.moves, `${path.join('.')} = ${String(value)} moves ${result}`).include(result);
        }
      }
      // Not passed over: most fields that hold a single value were tried.
      expect(new Set(tried).size).above(35);
    });
});

/** The entries whose ids stand at the star of a path. */
function valueAt(job: Job, path: readonly string[]): object {
  const found = valueAtPath(job, path.slice(0, path.indexOf('*')));
  return typeof found === 'object' && found !== null ? found : {};
}
