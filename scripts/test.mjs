// Everything that must hold, on a machine with Node alone: npm test. One part: npm test -- core (or check, server, e2e).
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { stripVTControlCharacters } from 'node:util';
import { throwAwayCluster } from './lib/cluster.mjs';
import { chromium, ensureDebian, poppler, postgresql } from './lib/debian.mjs';
import { ensureBuild, ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';
import { openServer } from './lib/server.mjs';

const root = join(import.meta.dirname, '..');
const only = process.argv[2];
const bin = (name) => join(root, 'node_modules/.bin', name);
let passed = 0;
let failed = 0;

/** Runs a program, shows what it says, and returns it with the exit code. */
function run(command, args, env = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    const take = (stream) => (chunk) => {
      output += chunk;
      stream.write(chunk);
    };
    child.stdout.on('data', take(process.stdout));
    child.stderr.on('data', take(process.stderr));
    child.on('error', (error) => resolve({ code: 1, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

/** A check that holds or does not. */
async function check(name, command, args) {
  const started = Date.now();
  const { code } = await run(command, args);
  if (code === 0) passed += 1;
  else failed += 1;
  say(`${code === 0 ? 'ok' : 'FAILED'}: ${name} (${seconds(started)})`);
}

/** A test runner: its own counts are added; one that ends badly without a failed test counts as a failure. */
async function tests(name, command, args, env, patterns) {
  const started = Date.now();
  const { code, output } = await run(command, args, env);
  // Runners colour their counts where they think that somebody is looking.
  const plain = stripVTControlCharacters(output);
  const count = (pattern) => [...plain.matchAll(pattern)].reduce((sum, match) => sum + Number(match[1]), 0);
  const good = count(patterns.passed);
  const bad = count(patterns.failed);
  passed += good;
  failed += bad;
  if ((code !== 0 && bad === 0) || good + bad === 0) failed += 1;
  say(`${name}: ${good} passed, ${bad} failed${code === 0 ? '' : ` (exit ${code})`} (${seconds(started)})`);
}

function seconds(since) {
  return `${((Date.now() - since) / 1000).toFixed(0)} s`;
}

const mocha = { passed: /^\s+(\d+) passing/gm, failed: /^\s+(\d+) failing/gm };
const playwright = { passed: /^\s+(\d+) passed/gm, failed: /^\s+(\d+) (?:failed|flaky|did not run)$/gm };
const wanted = (part) => !only || only === part;

ensureDebian([
  ...(wanted('core') ? [poppler] : []),
  ...(wanted('server') || wanted('e2e') ? [postgresql] : []),
  ...(wanted('e2e') ? [chromium] : []),
]);
ensurePackages(root);

if (wanted('check')) {
  await check('types of core', bin('tsc'), ['-p', 'core']);
  await check('types of core and its tests', bin('tsc'), ['-p', 'core/tsconfig.test.json']);
  await check('types of the rest', bin('tsc'), ['-p', '.']);
  await check('lint and format', bin('biome'), ['check', '--error-on-warnings', '.']);
  await check('rooms', bin('tsx'), ['scripts/rooms.ts']);
}
if (wanted('core')) await tests('core', bin('mocha'), ['--config', '.mocharc.json'], {}, mocha);

if (wanted('server') || wanted('e2e')) {
  const cluster = await throwAwayCluster();
  const end = () => {
    cluster.stop();
    process.exit(130);
  };
  process.on('SIGINT', end);
  process.on('SIGTERM', end);
  try {
    const admin = cluster.url('postgres');
    if (wanted('server')) {
      // The start is tested on what is built.
      ensureBuild(root);
      const env = { NORTH_PANE_TEST_CLUSTER: admin };
      await tests('server', bin('mocha'), ['--config', 'server/.mocharc.json'], env, mocha);
    }
    if (wanted('e2e')) {
      ensureBuild(root);
      const server = await openServer({ root, database: cluster.createDatabase('journeys') });
      const args = ['test', '--config', 'e2e/playwright.config.ts', ...process.argv.slice(3)];
      await tests('journeys', bin('playwright'), args, { NORTH_PANE_URL: server.url, CI: '1' }, playwright);
      await server.close();
    }
  } finally {
    cluster.stop();
  }
}

say(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
