// Remakes docs/screenshots from the demo: one current picture of each main view. npm run screenshots
import { mkdirSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { chromiumLaunch, settled, stationsOf } from './lib/browser.mjs';
import { throwAwayCluster } from './lib/cluster.mjs';
import { chromium as chromiumPackage, ensureDebian, postgresql } from './lib/debian.mjs';
import { ensureBuild, ensurePackages } from './lib/packages.mjs';
import { say } from './lib/say.mjs';
import { openServer } from './lib/server.mjs';

const root = join(import.meta.dirname, '..');
ensureDebian([postgresql, chromiumPackage]);
ensurePackages(root);
ensureBuild(root);
const { chromium } = await import('@playwright/test');

const job = '/jobs/gannet-reach-showers';
const dairy = '/jobs/juniper-draw-wash-down';
const greenhouse = '/jobs/ferncliff-propagation-bench';
const bench = { width: 1280, height: 800 };
const phone = { width: 390, height: 844 };
/** Begins a job of another family beside the demo and gives its bench's address. */
const begun = (family, name) => async (server) => {
  const answer = await fetch(`${server.url}/api/jobs`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ name, family, units: 'metric' }),
  });
  return `/jobs/${(await answer.json()).id}/size`;
};
const shown = (words) => (page) => page.getByRole('button', { name: words, exact: true }).click();
/** What is done, or waited for, at a station before its picture. */
const acts = {
  pick: (page) => page.getByRole('table', { name: 'Kinds of heater' }).waitFor({ timeout: 30_000 }),
  place: (page) => page.getByTestId('standing-sentence').filter({ hasText: 'best fixed' }).waitFor({ timeout: 30_000 }),
  build: (page) => page.getByRole('button', { name: 'Solder the second header' }).click(),
  size: (page) =>
    page
      .getByText(/of stock|No size near/)
      .first()
      .waitFor({ timeout: 30_000 }),
  cut: (page) => page.getByText('being proved').first().waitFor({ state: 'detached', timeout: 30_000 }),
  prove: (page) => page.getByTestId('verdict').waitFor(),
};
/** Jobs that show a station better than the first one does. */
const jobOf = { pick: greenhouse };

/** A picture of every station that works: the rail has them. */
async function stationPictures(browser, server) {
  const page = await browser.newPage({ viewport: bench });
  await page.goto(`${server.url}${job}/size`, { waitUntil: 'networkidle' });
  const stations = await stationsOf(page);
  await page.close();
  return stations.map(({ id }) => ({ name: id, path: `${jobOf[id] ?? job}/${id}`, size: bench, act: acts[id] }));
}

/** Name, address or what gives one, size, view settings, and what is done before the picture. */
const otherPictures = [
  { name: 'shelf', path: '/', size: bench },
  {
    name: 'size-warm',
    path: `${job}/size`,
    size: bench,
    act: async (page) => {
      await page.getByRole('button', { name: 'How warm' }).click();
      await page.getByRole('button', { name: 'What a mark is worth' }).click();
      await page.getByText('What a mark is worth').evaluate((words) => words.scrollIntoView());
    },
  },
  {
    name: 'size-overheats',
    path: `${job}/size`,
    size: bench,
    act: (page) => page.getByRole('button', { name: /^What overheats: all/ }).click(),
  },
  { name: 'size-phone', path: `${job}/size`, size: phone },
  {
    name: 'size-serpentine',
    path: begun('serpentine', 'Wash-house serpentine'),
    size: bench,
    act: shown('Full size'),
  },
  { name: 'size-trough', path: begun('trough', 'Wash-house mirrors'), size: bench, act: shown('Rays') },
  { name: 'size-heat-pipe', path: begun('heat-pipe', 'Wash-house heat pipes'), size: bench, act: shown('Full size') },
  { name: 'size-batch-box', path: `${dairy}/size`, size: bench },
  {
    name: 'forecast-batch-box',
    path: `${dairy}/forecast`,
    size: bench,
    act: (page) => page.getByText('Hottest, at the top').waitFor(),
  },
  { name: 'cut-phone', path: `${job}/cut`, size: phone, act: shown('Shop mode') },
  { name: 'prove-night', path: `${job}/prove`, size: bench, view: { light: 'night' }, act: acts.prove },
  { name: 'prove-phone', path: `${job}/prove`, size: phone, act: acts.prove },
];

const folder = join(root, 'docs/screenshots');
mkdirSync(folder, { recursive: true });
for (const old of readdirSync(folder)) rmSync(join(folder, old));
const cluster = await throwAwayCluster();
const server = await openServer({ root, database: cluster.createDatabase('screenshots') });
const browser = await chromium.launch(chromiumLaunch);
try {
  for (const { name, path, size, view = {}, act } of [...(await stationPictures(browser, server)), ...otherPictures]) {
    const page = await browser.newPage({ viewport: size, locale: 'en-GB', reducedMotion: 'reduce' });
    await page.addInitScript(
      (state) => {
        localStorage.setItem('north-pane-view', JSON.stringify({ state, version: 0 }));
      },
      { light: 'day', ...view },
    );
    const address = typeof path === 'string' ? path : await path(server);
    await page.goto(`${server.url}${address}`, { waitUntil: 'networkidle' });
    await act?.(page);
    // Bands come from a worker, a moment after the rest.
    await settled(page);
    await page.screenshot({ path: join(folder, `${name}.png`) });
    await page.close();
    say(`docs/screenshots/${name}.png`);
  }
} finally {
  await browser.close();
  await server.close();
  cluster.stop();
}
