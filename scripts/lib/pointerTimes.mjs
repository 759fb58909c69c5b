// How long the hand waits for the picture: from a pointer's event to the paint that follows it, with a slowed processor.

import { settled } from './browser.mjs';

/** How many times slower than this machine. */
const slower = 4;

/**
 * Opens a station of a job on a page whose processor is slowed, and gives a way to time what a hand does there.
 *
 * @param {import('@playwright/test').Browser} browser
 * @param {string} address
 */
async function slowed(browser, address) {
  const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
  await page.goto(address, { waitUntil: 'networkidle' });
  await settled(page);
  await page.evaluate(() => {
    const times = [];
    globalThis.pointerTimes = times;
    const watch = (event) => {
      // An animation frame comes before the paint; a message that is posted in it, after.
      requestAnimationFrame(() => {
        const { port1, port2 } = new MessageChannel();
        port1.onmessage = () => times.push(performance.now() - event.timeStamp);
        port2.postMessage(0);
      });
    };
    for (const kind of ['mousemove', 'click', 'keydown']) window.addEventListener(kind, watch, true);
  });
  const cdp = await page.context().newCDPSession(page);
  await cdp.send('Emulation.setCPUThrottlingRate', { rate: slower });
  return page;
}

const taken = (page) => page.evaluate(() => globalThis.pointerTimes.splice(0));

/** The middle of some times, and the longest of them. */
function summary(times) {
  const sorted = [...times].sort((a, b) => a - b);
  return {
    middle: sorted[Math.floor(sorted.length / 2)] ?? Number.NaN,
    worst: sorted[sorted.length - 1] ?? Number.NaN,
  };
}

/** Drags a handle in steps, a frame apart, with a rest in the middle. */
async function drag(page, handle, step) {
  const box = await handle.boundingBox();
  if (!box) throw new Error('nothing to drag');
  let [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  await taken(page);
  for (let count = 0; count < 40; count += 1) {
    [x, y] = step(x, y, count);
    await page.mouse.move(x, y);
    await page.waitForTimeout(count === 20 ? 500 : 20);
  }
  const times = await taken(page);
  await page.mouse.up();
  return summary(times);
}

/** Presses a thing several times, with a rest after each. */
async function press(page, act) {
  const times = [];
  for (let count = 0; count < 7; count += 1) {
    await taken(page);
    await act(count);
    await page.waitForTimeout(900);
    times.push(...(await taken(page)).slice(-1));
  }
  return summary(times);
}

/**
 * What a hand waits for, in ms with a processor four times slower: `middle` of all steps, and the `worst`.
 *
 * @param {import('@playwright/test').Browser} browser
 * @param {string} job address of a job
 */
export async function pointerTimes(browser, job) {
  const rows = [];
  const row = (what, limit, { middle, worst }) => rows.push({ what, limit, middle, worst });

  const place = await slowed(browser, `${job}/place`);
  const aim = place.getByRole('slider', { name: 'Aim of the pane' });
  row('the aim dragged', 67, await drag(place, aim, (x, y, count) => [x + 3, y + count / 10]));
  const tilt = place.getByRole('slider', { name: 'Tilt of the pane' });
  row('the tilt dragged', 67, await drag(place, tilt, (x, y, count) => [x - 1, y + (count < 20 ? 2 : -1)]));
  const point = place.getByRole('slider', { name: /^Skyline at/ }).nth(2);
  row('a point of the skyline dragged', 67, await drag(place, point, (x, y) => [x - 1, y + 0.5]));
  await place.close();

  const size = await slowed(browser, `${job}/size`);
  row(
    'the tape dragged',
    100,
    await drag(size, size.getByRole('slider', { name: 'riser pitch' }), (x, y) => [x + 4, y]),
  );
  await size.close();

  const cut = await slowed(browser, `${job}/cut`);
  const lock = cut.getByRole('button', { name: /bar 1$/ }).first();
  row('a bar locked as cut', 200, await press(cut, () => lock.click()));
  const price = cut.getByRole('table', { name: 'Buy' }).getByRole('textbox').first();
  row(
    'a price set',
    200,
    await press(cut, async (count) => {
      await price.fill(String(30 + count));
      await taken(cut);
      await price.press('Enter');
    }),
  );
  const ticks = cut.getByRole('group', { name: /^Made: Riser$/ }).getByRole('checkbox');
  row('a piece ticked', 200, await press(cut, (count) => ticks.nth(count).click()));
  await cut.close();

  const pick = await slowed(browser, `${job}/pick`);
  await settled(pick);
  const kinds = pick.getByRole('radio');
  row('another kind looked at on Pick', 200, await press(pick, (count) => kinds.nth(count % 5).click({ force: true })));
  await pick.close();

  const build = await slowed(browser, `${job}/build`);
  const steps = build.getByRole('checkbox', { name: /^Done: / });
  row('a step ticked', 200, await press(build, (count) => steps.nth(count).click()));
  await build.close();

  const forecast = await slowed(browser, `${job}/forecast`);
  const sun = forecast.getByRole('textbox', { name: 'Sun on the pane' });
  row(
    'another sun on Forecast',
    200,
    await press(forecast, async (count) => {
      await sun.fill(String(700 + 10 * count));
      await taken(forecast);
      await sun.press('Enter');
    }),
  );
  await forecast.close();

  const prove = await slowed(browser, `${job}/prove`);
  const skies = prove.getByRole('radio', { name: /clear|thin cloud/ });
  row('a sky chosen on Prove', 200, await press(prove, (count) => skies.nth(count % 2).click({ force: true })));
  await prove.close();
  return { slower, rows };
}
