// How long a builder waits for a page: the shelf, a job's first figures, and each station, cold and from the rail.

import { openStation, settled, stationsOf } from './browser.mjs';

const rounds = 5;
const middle = (times) => [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? Number.NaN;

/** The median of some rounds, each in a context of its own, so that nothing is cached. */
async function cold(browser, act) {
  const times = [];
  for (let round = 0; round < rounds; round += 1) {
    const context = await browser.newContext({ viewport: { width: 1280, height: 800 } });
    const page = await context.newPage();
    times.push(await act(page));
    await context.close();
  }
  return middle(times);
}

/** ms from asking for an address until something of it is there. */
async function until(page, address, find) {
  const started = performance.now();
  await page.goto(address, { waitUntil: 'commit' });
  await find(page).first().waitFor();
  return performance.now() - started;
}

/**
 * Rows of the bench.
 *
 * @param {import('@playwright/test').Browser} browser
 * @param {string} url of the server
 */
export async function stationTimes(browser, url) {
  const job = `${url}/jobs/gannet-reach-showers`;
  const rows = [
    {
      what: 'the shelf, cold',
      value: await cold(browser, (page) => until(page, url, (one) => one.getByRole('article'))),
      limit: 1000,
    },
    {
      what: 'a job’s first figures, cold',
      value: await cold(browser, (page) =>
        until(page, `${job}/size`, (one) => one.locator('header p').filter({ hasText: /\d/ })),
      ),
      limit: 1000,
    },
  ];
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(`${job}/build`, { waitUntil: 'networkidle' });
  await settled(page);
  const names = (await stationsOf(page)).map(({ name }) => name);
  for (const name of names) {
    const times = [];
    for (let round = 0; round < rounds; round += 1) {
      // From elsewhere, and not always from the same station.
      await openStation(page, names.filter((other) => other !== name)[round % 2]);
      await settled(page);
      const started = performance.now();
      await openStation(page, name);
      await page.locator(`main[aria-label="${name}"]`).locator('h2, p').first().waitFor();
      times.push(performance.now() - started);
    }
    rows.push({ what: `${name} opened from the rail`, value: middle(times), limit: 300 });
  }
  await page.close();
  rows.push({
    what: 'the day of a batch box, from opening Forecast, cold',
    value: await cold(browser, async (one) => {
      await one.goto(`${url}/jobs/juniper-draw-wash-down/build`, { waitUntil: 'networkidle' });
      await settled(one);
      const started = performance.now();
      await openStation(one, 'Forecast');
      await one.getByRole('row', { name: /Hottest/ }).waitFor();
      return performance.now() - started;
    }),
    limit: 500,
  });
  return rows;
}
