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

/**
 * Runs a program and returns what it said with the exit code. It is shown as it comes, or all at once when it is over, so that two that run
 * beside each other are not mixed up.
 */
function run(command, args, env = {}, live = false) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    });
    let output = '';
    const take = (chunk) => {
      output += chunk;
      if (live) process.stdout.write(chunk);
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    child.on('error', (error) => resolve({ code: 1, output: String(error) }));
    child.on('close', (code) => {
      if (!live) process.stdout.write(output);
      resolve({ code: code ?? 1, output });
    });
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
async function tests(name, command, args, env, patterns, live = false) {
  const started = Date.now();
  const { code, output } = await run(command, args, env, live);
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

async function checks() {
  await check('types of core', bin('tsc'), ['-p', 'core']);
  await check('types of core and its tests', bin('tsc'), ['-p', 'core/tsconfig.test.json']);
  await check('types of the rest', bin('tsc'), ['-p', '.']);
  await check('lint and format', bin('biome'), ['check', '--error-on-warnings', '.']);
  await check('rooms', bin('tsx'), ['scripts/rooms.ts']);
}

/** @param beside whether the journeys run at the same time */
async function core(beside) {
  await tests('core', bin('mocha'), ['--config', '.mocharc.json'], {}, mocha, !beside);
}

async function server(cluster, beside) {
  const env = { NORTH_PANE_TEST_CLUSTER: cluster.url('postgres') };
  await tests('server', bin('mocha'), ['--config', 'server/.mocharc.json'], env, mocha, !beside);
}

async function journeys(cluster) {
  const open = await openServer({ root, database: cluster.createDatabase('journeys') });
  const args = ['test', '--config', 'e2e/playwright.config.ts', ...process.argv.slice(3)];
  await tests('journeys', bin('playwright'), args, { NORTH_PANE_URL: open.url, CI: '1' }, playwright, true);
  await open.close();
}

const started = Date.now();
// One build serves the server's tests, which try the start, and the journeys.
if (wanted('server') || wanted('e2e')) ensureBuild(root);
if (wanted('check')) await checks();
const cluster = wanted('server') || wanted('e2e') ? await throwAwayCluster() : undefined;
const end = () => {
  cluster?.stop();
  process.exit(130);
};
process.on('SIGINT', end);
process.on('SIGTERM', end);
try {
  // What computes runs beside what mostly waits for a browser.
  const beside = !only;
  await Promise.all([
    (async () => {
      if (wanted('core')) await core(beside);
      if (cluster && wanted('server')) await server(cluster, beside);
    })(),
    cluster && wanted('e2e') ? journeys(cluster) : undefined,
  ]);
} finally {
  cluster?.stop();
}

say(`all of it: ${seconds(started)}`);
say(`${passed} passed, ${failed} failed`);
process.exitCode = failed > 0 || passed === 0 ? 1 : 0;
