// Puts together 500 random designs of every kind from their cut lists alone, by a new seed each time: the closure test of the core,
// which `npm test` runs on 20. `npm run fuzz -- 2000 7` takes 2 000 designs with seed 7.
import { spawnSync } from 'node:child_process';

const [designs = '500', seed = String(Date.now() % 1_000_000)] = process.argv.slice(2);
const { status } = spawnSync(
  process.execPath,
  ['node_modules/mocha/bin/mocha.js', '--import=tsx', '--no-config', 'core/src/families/closure/closure.test.ts'],
  { stdio: 'inherit', env: { ...process.env, FUZZ: designs, SEED: seed } },
);
process.exit(status ?? 1);
