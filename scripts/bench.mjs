// What things cost, as a table with each limit: npm run bench. Ends badly beyond twice a limit.
// Limits are those of the reference machine; a fixed loop, timed before each group of rows, says how much slower this one is just now.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { mkdtemp, rm } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { gzipSync } from 'node:zlib';
import { chromiumLaunch } from './lib/browser.mjs';
import { throwAwayCluster } from './lib/cluster.mjs';
import { chromium as chromiumPackage, ensureDebian, postgresql } from './lib/debian.mjs';
import { ensureBuild, ensurePackages } from './lib/packages.mjs';
import { pointerTimes } from './lib/pointerTimes.mjs';
import { machineFactor } from './lib/referenceLoop.mjs';
import { say } from './lib/say.mjs';
import { openServer } from './lib/server.mjs';
import { serverTimes } from './lib/serverTimes.mjs';
import { stationTimes } from './lib/stationTimes.mjs';

const root = join(import.meta.dirname, '..');
ensureDebian([postgresql, chromiumPackage]);
ensurePackages(root);
ensureBuild(root);
const { chromium } = await import('@playwright/test');
const { build } = await import('vite');

const rows = [];
/** How much slower than the reference machine this one was before the group of rows that is being timed. */
let factor = machineFactor();
say(`This machine takes ${factor.toFixed(2)} times as long as the reference machine: limits in time are scaled by it.`);
const nextGroup = () => {
  factor = machineFactor();
};
/** A limit in time is scaled; a size, a share or a number of times is not. */
const row = (what, value, unit, limit) =>
  rows.push({ what, value, unit, limit: unit === 'ms' || unit === 'µs' ? limit * factor : limit, factor });

/** kB gzip of a chunk and everything that it imports at once. */
function scriptSize(manifest, name, seen = new Set()) {
  if (seen.has(name)) return 0;
  seen.add(name);
  const chunk = manifest[name];
  const own = gzipSync(readFileSync(join(root, 'web/dist', chunk.file))).length / 1000;
  return (chunk.imports ?? []).reduce((sum, other) => sum + scriptSize(manifest, other, seen), own);
}

const manifest = JSON.parse(readFileSync(join(root, 'web/dist/.vite/manifest.json'), 'utf8'));
row('script before the shelf paints', scriptSize(manifest, 'index.html'), 'kB gzip', 250);

const cluster = await throwAwayCluster();
const database = cluster.createDatabase('bench');
const server = await openServer({ root, database });
const browser = await chromium.launch(chromiumLaunch);
const scratch = await mkdtemp(join(tmpdir(), 'north-pane-bench-'));
try {
  for (const { what, value, limit } of await stationTimes(browser, server.url)) row(what, value, 'ms', limit);

  nextGroup();
  const shelf = await browser.newPage();
  await shelf.goto(`${server.url}/jobs/gannet-reach-showers/size`, { waitUntil: 'networkidle' });
  await shelf.waitForSelector('[aria-label="One less: Risers"]');
  const riser = await shelf.evaluate(async () => {
    const drawn = [];
    const whole = [];
    for (let round = 0; round < 30; round += 1) {
      const button = document.querySelector(`[aria-label="One ${round % 2 === 0 ? 'less' : 'more'}: Risers"]`);
      const started = performance.now();
      button.click();
      // Handlers and what is drawn at once are done in the same task; a layout makes it whole.
      await Promise.resolve();
      document.body.getBoundingClientRect();
      drawn.push(performance.now() - started);
      // The column and the smaller drawing follow in a task of their own.
      await new Promise((resolve) => requestIdleCallback(resolve));
      whole.push(performance.now() - started);
    }
    return [drawn, whole].map((times) => times.sort((a, b) => a - b)[15]);
  });
  row('a riser more or less on the bench: plan and slate', riser[0], 'ms', 16.7);
  row('  and the column beside them', riser[1], 'ms', 50);

  nextGroup();
  const hand = await pointerTimes(browser, `${server.url}/jobs/gannet-reach-showers`);
  for (const { what, limit, middle, worst } of hand.rows) {
    row(`${what}, hand to picture, processor ${hand.slower}× slower`, middle, 'ms', limit);
    row('  at the worst', worst, 'ms', 4 * limit);
  }

  await build({
    configFile: false,
    logLevel: 'error',
    build: {
      lib: { entry: join(root, 'scripts/benchCore.ts'), formats: ['iife'], name: 'core', fileName: () => 'core.js' },
      outDir: scratch,
      emptyOutDir: false,
    },
  });
  nextGroup();
  const page = await browser.newPage();
  await page.addScriptTag({ path: join(scratch, 'core.js') });
  const timed = await page.evaluate(() => {
    const { core } = globalThis;
    const job = core.defaultJob('harp');
    // As a worker meets it: once, and nothing of it warm.
    const began = performance.now();
    core.compareKinds(job);
    const kinds = performance.now() - began;
    const median = (rounds, work) => {
      for (let round = 0; round < Math.min(rounds, 5); round += 1) work();
      const times = Array.from({ length: rounds }, () => {
        const started = performance.now();
        work();
        return performance.now() - started;
      });
      return times.sort((a, b) => a - b)[Math.floor(rounds / 2)];
    };
    const panel = {
      risers: 60,
      riserLength: 1.9,
      riserBore: 0.0136,
      headerBore: 0.0262,
      pitch: 0.09,
      massFlow: 0.2,
      temperature: 30,
      connection: 'diagonal',
    };
    const reach = { latitude: -40.9, longitude: 172.9, elevation: 4, zone: 'Pacific/Auckland' };
    const at = Date.UTC(2026, 0, 1);
    const suns = median(5, () => {
      for (let index = 0; index < 20_000; index += 1)
        core.sunPosition({ at: new Date(at + index * 600_000), ...reach });
    });
    const months = core.broadMonths('maritime', reach.latitude, reach.elevation);
    // A logger's year, a line every ten minutes.
    const year = core.syntheticYear(months, reach, 3);
    const lines = ['time,GHI W/m2,Temp C'];
    for (let index = 0; index < 365 * 144; index += 1) {
      const hour = Math.floor(index / 6);
      const written = new Date(year.start + index * 600_000).toISOString();
      lines.push(
        `${written.slice(0, 16)}Z,${year.columns.global[hour].toFixed(1)},${year.columns.air[hour].toFixed(1)}`,
      );
    }
    const file = lines.join('\n');
    const proposed = core.proposeWeather(core.previewTable(file));
    const sky = core.skyYear(year, reach);
    const place = core.around(sky, {
      horizon: [
        { azimuth: 60, elevation: 5 },
        { azimuth: 120, elevation: 20 },
      ],
      albedo: 0.2,
    });
    const kindTimes = core.familyIds.map((family) => {
      const begun = core.defaultJob(family);
      const conditions = {};
      return {
        family,
        figures: median(25, () => core.evaluateJob(begun)),
        findings: median(25, () => core.jobFindings(core.openJob(begun))),
        bands: median(5, () => core.evaluateBands(begun, conditions, { samples: 200, seed: 1 })),
        // Opened anew each time: a fit is made once for each open job.
        characteristic: median(5, () => core.heaterCharacteristic(core.openJob(begun), 0)),
      };
    });
    return {
      kindTimes,
      kinds,
      sunsPerSecond: 20_000 / (suns / 1000),
      made: median(5, () => core.syntheticYear(months, reach, 3)),
      file: median(5, () => core.readWeather(file, proposed.mapping, reach)),
      study: median(5, () =>
        core.studyStanding(sky, place, { latitude: reach.latitude, standing: { aim: 12, tilt: 38 } }),
      ),
      manifold: median(100, () => core.manifoldFlow(panel)),
    };
  });
  for (const { family, figures, findings, bands, characteristic } of timed.kindTimes) {
    row(`${family}: design figures`, figures, 'ms', 4);
    row(`${family}: findings`, findings, 'ms', 8);
    row(`${family}: bands of 200 samples (in a worker)`, bands, 'ms', 200);
    row(`${family}: characteristic, fitted (in a worker)`, characteristic, 'ms', 250);
  }
  row('flow in 60 risers', timed.manifold, 'ms', 2);
  row('every kind of heater on Pick, the first time (in a worker)', timed.kinds, 'ms', 2000);
  row('a sun position', 1e6 / timed.sunsPerSecond, 'µs', 10);
  row('a made-up year of weather', timed.made, 'ms', 500);
  row('reading a ten-minute year of weather', timed.file, 'ms', 2000);
  row('all tilts and aims, best and off-aim (in a worker)', timed.study, 'ms', 1000);
  nextGroup();
  const times = await serverTimes({ url: server.url, database });
  row(`a file of ${times.rows} readings, to a bare COPY of them`, times.share, 'times', 3);
  row('  in all', times.imported, 'ms', 60_000);
  row('  others wait meanwhile (99 of 100)', times.wait, 'ms', 200);
  row('an edit of a 12-riser job, sent and answered', times.alone, 'ms', 30);
  row(`a save, ${times.clients} clients at once (95 of 100)`, times.save, 'ms', 300);
  row(`a reading by hand, ${times.clients} clients at once (95 of 100)`, times.byHand, 'ms', 300);
} finally {
  await browser.close();
  await server.close();
  cluster.stop();
  await rm(scratch, { recursive: true });
}

nextGroup();
const plans = spawnSync(join(root, 'node_modules/.bin/tsx'), [join(root, 'scripts/benchPlans.ts')], {
  cwd: root,
  encoding: 'utf8',
});
if (plans.status !== 0) throw new Error(plans.stderr);
const { usual, large, sweep, sheet, sizes } = JSON.parse(plans.stdout);
row('200 pieces of 30 lengths on 4 stocks, proved or nearly', usual.time, 'ms', 2000);
row('  the gap left at most', usual.gap, '%', 1);
row('1000 pieces of 60 lengths (in a worker)', large.time, 'ms', 10_000);
row('  the gap left', large.gap, '%', 2);
row('20 pieces on sheets, searched', sheet, 'ms', 1000);
for (const { pieces, first, all, firstSheets, allSheets } of sizes) {
  row(`${pieces} different lengths: the first plan`, first, 'ms', 1000);
  row(`${pieces} different lengths: asked for half a second`, all, 'ms', 1500);
  row(`${pieces} different sheet pieces: the first plan`, firstSheets, 'ms', 1000);
  row(`${pieces} different sheet pieces: asked for half a second`, allSheets, 'ms', 1500);
}
row('the sweep of a pitch (in a worker)', sweep, 'ms', 1000);

const wide = Math.max(...rows.map(({ what }) => what.length));
say(`${'what'.padEnd(wide)}  ${'measured'.padStart(10)}  ${'limit'.padStart(9)}  unit     machine`);
for (const { what, value, unit, limit, factor: machine } of rows)
  say(
    `${what.padEnd(wide)}  ${value.toFixed(2).padStart(10)}  ${limit.toFixed(1).padStart(9)}  ${unit.padEnd(7)}  ${machine.toFixed(2)}${value > limit ? '  over' : ''}`,
  );
process.exitCode = rows.some(({ value, limit }) => !(value <= 2 * limit)) ? 1 : 0;
