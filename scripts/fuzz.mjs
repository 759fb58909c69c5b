// Trials of `npm test` at length. Each has a question that `npm test` asks of some cases and a night of all of them.
//   npm run fuzz                   every trial of the table, with a fresh seed where it draws its cases
//   npm run fuzz -- list           the table: what `npm test` takes, and what this does
//   npm run fuzz -- closure        one of them; -- closure 2000 7: 2 000 designs by seed 7
import { spawnSync } from 'node:child_process';
import { readdirSync } from 'node:fs';
import { join } from 'node:path';

const root = join(import.meta.dirname, '..');

/** Test files below a folder. */
function testsBelow(folder) {
  return readdirSync(join(root, folder), { recursive: true })
    .filter((name) => /\.test\.tsx?$/.test(name))
    .map((name) => join(folder, name));
}

const shop = testsBelow('core/src/shop');
const table = {
  closure: {
    what: 'random designs of every kind put together again from their cut lists: carried, held, brought in',
    usual: '15 of each kind',
    count: 500,
    files: testsBelow('core/src/families/closure'),
  },
  sync: {
    what: 'schedules of two to seven windows, clocks that are wrong, and a server that fails or is put back',
    usual: '5 000',
    count: 500_000,
    files: ['web/src/state/sync/machine.test.ts'],
  },
  pins: {
    what: 'recorded jobs that give what they gave',
    usual: '10 of each kind, and the demo',
    all: '50 of each kind, and the demo',
    files: ['pinned/pinned.test.ts'],
  },
  range: {
    what: 'designs drawn from the whole range of every parameter',
    usual: '12 to 40 of each kind',
    all: '60 to 150',
    files: [
      'core/src/range.test.ts',
      'core/src/families/range.test.ts',
      'core/src/heaters.test.ts',
      'core/src/kinds.test.ts',
    ],
  },
  planners: {
    what: 'jobs of pieces and stock, planned at once and proved',
    usual: '25 to 600',
    all: '60 to 3 000',
    files: shop,
  },
  cutting: {
    what: 'cuts and miscuts of every piece of every kind; sizes that use stock up',
    usual: 'one miss a piece, four kinds',
    all: 'every miss, every kind, both tapes',
    files: testsBelow('core/src/cutting'),
  },
  proof: {
    what: 'sound panels by a model of their own, judged',
    usual: '600',
    all: '1 200',
    files: ['core/src/proof/soundPanels.test.ts'],
  },
  papers: {
    what: 'papers of every kind on every mount, in both tapes and in every script',
    usual: 'two mounts a kind, three scripts',
    all: 'all',
    files: ['core/src/papers/papers.test.ts', 'np/src/print.test.ts'],
  },
  document: {
    what: 'edits and their inverses; panels at their limits',
    usual: '120 to 800',
    all: '400 to 3 000',
    files: ['core/src/document/edits.test.ts', 'core/src/panel.test.ts'],
  },
};

const [name, given, seed = String(Date.now() % 1_000_000)] = process.argv.slice(2);
if (name === 'list') {
  for (const [id, { what, usual, all, count }] of Object.entries(table))
    console.log(
      `${id.padEnd(10)} ${what}: ${usual} in npm test, ${all ?? count.toLocaleString('en').replaceAll(',', ' ')} here`,
    );
} else if (name && !(name in table)) {
  console.error(`There is no trial ${name}. Those that there are: ${Object.keys(table).join(', ')}.`);
  process.exitCode = 2;
} else {
  for (const [id, { what, files, count }] of Object.entries(table)) {
    if (name && name !== id) continue;
    const env = { ...process.env, TRIALS: 'all', SEED: seed, ...(count ? { COUNT: given ?? String(count) } : {}) };
    console.log(`${id}: ${what}${count ? `, ${env.COUNT} by seed ${seed}` : ''}`);
    const mocha = ['node_modules/mocha/bin/mocha.js', '--import=tsx', '--no-config', '--timeout', '3600000', ...files];
    const { status } = spawnSync(process.execPath, mocha, { cwd: root, stdio: 'inherit', env });
    if (status !== 0) process.exitCode = status ?? 1;
  }
}
