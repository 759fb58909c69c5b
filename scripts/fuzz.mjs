// Two trials of `npm test` at length, by a new seed each time, which is printed.
//   npm run fuzz                   500 random designs of every kind put together again from their cut lists alone
//   npm run fuzz -- 2000 7         2 000 of them with seed 7
//   npm run fuzz -- sync           500 000 schedules of two windows and a server that fails
//   npm run fuzz -- sync 20000 7   20 000 of them with seed 7
import { spawnSync } from 'node:child_process';

const given = process.argv.slice(2);
const sync = given[0] === 'sync';
const [count = sync ? '500000' : '500', seed = String(Date.now() % 1_000_000)] = sync ? given.slice(1) : given;
console.log(`${count} by seed ${seed}`);
const { status } = spawnSync(
  process.execPath,
  [
    'node_modules/mocha/bin/mocha.js',
    '--import=tsx',
    '--no-config',
    sync ? 'web/src/state/sync/machine.test.ts' : 'core/src/families/closure/closure.test.ts',
  ],
  { stdio: 'inherit', env: { ...process.env, ...(sync ? { SYNC_FUZZ: count } : { FUZZ: count }), SEED: seed } },
);
process.exit(status ?? 1);
