// Records what random jobs of every kind of heater and the demo give now, over the files of this folder: npm run pin, or
// npm run pin -- harp for one, npm run pin -- harp anew for other jobs too. A commit that does so says which figure was wrong and why it moved.
import { defaultJob, type Job, parseJob, tiltsOf } from '@north-pane/core/document';
import { families } from '@north-pane/core/families';
import * as fc from 'fast-check';
import { anyPanel } from '../core/src/families/anyPanel.fixture';
import { gannetReach } from '../demo/gannetReach';
import { readPinned, resultsOf, writePinned } from './pinned';

/** A job with one or two random panels of a kind, on random loops and stands. */
function anyJob(family: keyof typeof families): fc.Arbitrary<Job> {
  const base = defaultJob(family, { units: 'metric' });
  return fc
    .record({
      panels: fc.array(fc.tuple(anyPanel(families[family]), fc.integer({ min: 1, max: 3 })), {
        minLength: 1,
        maxLength: 2,
      }),
      tilt: fc.integer({ min: 10, max: 70 }),
      units: fc.constantFrom('metric', 'imperial'),
      connection: fc.constantFrom('parallel', 'series'),
      kind: fc.constantFrom('pumped-direct', 'drain-back', 'thermosiphon', 'bath'),
      specificFlow: fc.double({ min: 0.005, max: 0.04, noNaN: true }),
    })
    .map(({ panels, tilt, units, ...loop }) => ({
      ...base,
      units,
      site: {
        ...base.site,
        standing: {
          ...base.site.standing,
          tilts: Object.fromEntries(tiltsOf(base.site).map(({ id, ...one }) => [id, { ...one, tilt }])),
        },
      },
      heaters: Object.fromEntries(
        panels.map(([{ id: _, ...panel }, count], order) => [
          `panel-${order}`,
          { ...panel, order, count, known: undefined },
        ]),
      ),
      loop: { ...base.loop, ...loop },
    }))
    .map((job) => parseJob(JSON.parse(JSON.stringify(job))))
    .filter((parsed) => parsed.ok)
    .map((parsed) => (parsed as { ok: true; job: Job }).job);
}

const [only, anew] = process.argv.slice(2);
for (const id of Object.keys(families) as (keyof typeof families)[]) {
  if (only && only !== id) continue;
  // The jobs stay those that were recorded, whatever is sold since: only what is worked out from them is written again.
  const jobs =
    anew === 'anew'
      ? fc.sample(anyJob(id), { seed: 15, numRuns: 50 })
      : readPinned(`${id}.json.br`).map(({ job }) => job);
  writePinned(
    `${id}.json.br`,
    jobs.map((recorded, index) => {
      const parsed = parseJob(recorded);
      if (!parsed.ok) throw new Error(`${id} ${index + 1}: ${JSON.stringify(parsed.errors)}`);
      return { name: `${id} ${index + 1}`, job: recorded, results: resultsOf(parsed.job) };
    }),
  );
}
if (!only || only === 'demo') {
  const job = gannetReach();
  writePinned('demo.json.br', [{ name: 'Gannet Reach', job, results: resultsOf(job) }]);
}
