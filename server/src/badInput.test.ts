import { defaultJob } from '@north-pane/core/document';
import { expect } from 'chai';
import { createJob } from './db/jobs';
import { type Bench, openBench } from './testing';

const sensors = { thermometers: 'glass', flow: 'meter', sun: 'phone' };
const reading = { time: 1_770_000_000_000, inlet: 18, outlet: 24, air: 20, flow: 4e-5, sky: 'clear' };
const mapping = { time: { column: 'time', zone: 'utc' }, columns: {} };
const change = { path: ['name'], before: 'Shed', after: 'Barn' };

/** Requests that nobody's own page sends, and the field that each is refused by. */
const rows: [what: string, path: string, body: unknown, field: string][] = [
  ['a job of no kind', '/api/jobs', { name: 'x', family: 'samovar', units: 'metric' }, ''],
  ['a job in cubits', '/api/jobs', { name: 'x', units: 'cubits' }, ''],
  ['a job with more than it needs', '/api/jobs', { name: 'x', units: 'metric', colour: 'red' }, ''],
  ['a job whose name is a book', '/api/jobs', { name: 'x'.repeat(121), units: 'metric' }, 'name'],
  [
    'a job that needs nothing a day',
    '/api/jobs',
    { name: 'x', units: 'metric', need: { kind: 'washing', volumePerDay: 0, target: 45, drinking: false } },
    'need.volumePerDay',
  ],
  ['nothing at all', '/api/jobs', null, ''],
  ['a list', '/api/jobs', [], ''],
  ['changes to no version', '/api/jobs/shed/changes', { changes: [change] }, 'base'],
  ['changes to version zero', '/api/jobs/shed/changes', { base: 0, changes: [change] }, 'base'],
  ['no changes', '/api/jobs/shed/changes', { base: 1, changes: [] }, 'changes'],
  ['a change of nothing', '/api/jobs/shed/changes', { base: 1, changes: [{ path: [] }] }, 'changes.0.path'],
  [
    'a path through a dozen doors',
    '/api/jobs/shed/changes',
    { base: 1, changes: [{ path: new Array(13).fill('x') }] },
    'changes.0.path',
  ],
  ['a note like a novel', '/api/jobs/shed/revisions', { note: 'x'.repeat(201) }, 'note'],
  ['a build without a date', '/api/jobs/shed/builds', { revisionId: 1, installedFrom: 'last summer' }, 'installedFrom'],
  [
    'a reading with an instrument that is none',
    '/api/jobs/shed/readings',
    { reading, sensors: { ...sensors, sun: 'nose' } },
    'sensors.sun',
  ],
  [
    'a reading of boiling ice',
    '/api/jobs/shed/readings',
    { reading: { ...reading, inlet: -50 }, sensors },
    'reading.inlet',
  ],
  [
    'a reading from before there was time',
    '/api/jobs/shed/readings',
    { reading: { ...reading, time: -1 }, sensors },
    'reading.time',
  ],
  [
    'a reading of a purple sky',
    '/api/jobs/shed/readings',
    { reading: { ...reading, sky: 'purple' }, sensors },
    'reading.sky',
  ],
  [
    'a reading without a sun',
    '/api/jobs/shed/readings',
    { reading: { ...reading, sky: undefined }, sensors },
    'reading.sky',
  ],
  [
    'a file without a name',
    '/api/jobs/shed/readings/import',
    { text: 'a,b', mapping, source: ' ', sensors, keep: 'nothing' },
    'source',
  ],
  [
    'a file to be kept somehow',
    '/api/jobs/shed/readings/import',
    { text: 'a,b', mapping, source: 'x', sensors, keep: 'some' },
    'keep',
  ],
  [
    'a file with a column of goats',
    '/api/jobs/shed/readings/import',
    {
      text: 'a,b',
      mapping: { ...mapping, columns: { goats: { column: 'a', unit: 'each' } } },
      source: 'x',
      sensors,
      keep: 'nothing',
    },
    'mapping.columns',
  ],
];

describe('server: bad input', () => {
  let bench: Bench;
  before(async () => {
    bench = await openBench();
    await createJob(bench.database, { ...defaultJob('harp'), name: 'Shed' });
  });
  after(async () => {
    // Nothing broke, and nothing was written.
    expect(bench.troubles).deep.equal([]);
    const { rows: counts } = await bench.database.pool.query(
      'select (select count(*)::int from jobs) jobs, (select max(version) from jobs) version, (select count(*)::int from revisions) revisions, (select count(*)::int from readings) readings',
    );
    expect(counts[0]).deep.equal({ jobs: 1, version: 1, revisions: 0, readings: 0 });
    await bench.close();
  });
  for (const [what, path, body, field] of rows)
    it(`refuses ${what}, by the field`, async () => {
      const answer = await bench.request(path, {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify(body),
      });
      expect(answer.status).equal(422);
      const told = (await answer.json()) as { message: string; errors: { path: string; message: string }[] };
      expect(told.message).equal('The request is not in order.');
      expect(told.errors.map((error) => error.path)).include(field);
    });
  it('refuses a change that would put a stranger into the document', async () => {
    for (const [path, after] of [
      [['__proto__', 'polluted'], true],
      [['heaters', 'panel-a', '__proto__', 'polluted'], true],
      [['colour'], 'red'],
      [['site', 'horizon', 7], { azimuth: 1, elevation: 2 }],
    ] as const) {
      const answer = await bench.request('/api/jobs/shed/changes', {
        method: 'POST',
        headers: { 'content-type': 'application/json' },
        body: JSON.stringify({ base: 1, changes: [{ path, after }] }),
      });
      expect(answer.status, path.join('.')).within(400, 499);
    }
    expect(({} as Record<string, unknown>).polluted).equal(undefined);
  });
});
