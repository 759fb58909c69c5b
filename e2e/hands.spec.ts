import type { CDPSession, Locator, Page } from '@playwright/test';
import { beginJob, expect, saved, stored, test, unfold } from './bench';

const screens = [
  ['a laptop', { width: 1280, height: 800 }],
  ['a phone', { width: 390, height: 844 }],
  ['a page four times enlarged', { width: 320, height: 256 }],
] as const;

for (const [what, size] of screens)
  test(`a job is begun with nothing but a pointer on ${what}`, async ({ page }) => {
    await page.setViewportSize(size);
    await page.goto('/');
    await page.getByRole('button', { name: 'Begin a job' }).click();
    const dialog = page.getByRole('dialog');
    await dialog.getByLabel('Project name').fill(`Begun on ${what}`);
    await dialog.getByRole('radio', { name: 'Choose a climate' }).click();
    const begin = dialog.getByRole('button', { name: 'Begin', exact: true });
    await inside(page, begin);
    await begin.click();
    await expect(page).toHaveURL(/\/pick$/);
    await expect(page.getByRole('heading', { level: 1 })).toContainText('Begun on');
    await page.getByRole('radio', { name: 'Lattice' }).click();
    await page.getByRole('button', { name: 'Build this: lattice' }).click();
    await expect(page).toHaveURL(/\/size$/);
  });

/** An element lies whole within the screen. */
async function inside(page: Page, element: Locator): Promise<void> {
  const box = await element.boundingBox();
  const screen = page.viewportSize();
  if (!box || !screen) throw new Error('nothing to measure');
  expect(box.x).toBeGreaterThanOrEqual(0);
  expect(box.y).toBeGreaterThanOrEqual(0);
  expect(box.x + box.width).toBeLessThanOrEqual(screen.width + 0.5);
  expect(box.y + box.height).toBeLessThanOrEqual(screen.height + 0.5);
}

const dialogs: [station: string, name: string, open: (page: Page) => Promise<unknown>][] = [
  ['size', 'Keys', (page) => page.keyboard.press('?')],
  ['size', 'Another kind of heater', (page) => page.getByRole('button', { name: 'Another kind' }).click()],
  ['size', 'What overheats', (page) => page.getByRole('button', { name: /^What overheats: all/ }).click()],
  [
    'size',
    'What could still be wrong',
    async (page) => {
      await unfold(page, 'How sure');
      await page.getByRole('button', { name: 'Show and set the limits' }).click();
    },
  ],
  [
    'size',
    'Versions',
    async (page) => {
      await page.getByRole('button', { name: 'More', exact: true }).click();
      await page.getByRole('button', { name: 'Versions' }).click();
    },
  ],
  ['place', 'Twelve monthly means of your own', (page) => page.getByRole('button', { name: 'Twelve means' }).click()],
  ['place', 'Import weather file', (page) => page.getByRole('button', { name: 'Import weather file' }).click()],
  ['prove', 'Tests by hand', (page) => page.getByRole('button', { name: 'Test by hand' }).click()],
  ['prove', 'Import file of readings', (page) => page.getByRole('button', { name: 'Import file' }).click()],
];

for (const station of ['size', 'place', 'prove'])
  test(`every dialog of ${station} scrolls within 320 by 256, and every button of it can be pressed`, async ({
    page,
  }) => {
    await page.setViewportSize({ width: 320, height: 256 });
    await beginJob(page, `Small screen ${station}`, station);
    await expect(page.locator('main')).not.toContainText('Setting out');
    for (const [, name, open] of dialogs.filter(([at]) => at === station)) {
      await open(page);
      const dialog = page.getByRole('dialog', { name });
      await expect(dialog).toBeVisible();
      await inside(page, dialog);
      const buttons = await dialog.getByRole('button').all();
      expect(buttons.length, name).toBeGreaterThan(0);
      // First and last of them, and some between: a table has the same buttons in every row.
      for (const button of [...buttons.slice(0, 6), ...buttons.slice(6).slice(-6)]) {
        await button.scrollIntoViewIfNeeded();
        await inside(page, button);
        if (await button.isEnabled()) await button.click({ trial: true });
      }
      await page.keyboard.press('Escape');
      await expect(dialog).toHaveCount(0);
    }
  });

test('the tilt is dragged by its knob, the picture at once and the job when the hand rests', async ({ page }) => {
  const id = await beginJob(page, 'Tilted', 'place');
  const knob = page.getByRole('slider', { name: 'Tilt of the pane' });
  await expect(knob).toHaveAttribute('aria-valuenow', '45');
  const box = await knob.boundingBox();
  if (!box) throw new Error('no knob');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 10; step += 1) await page.mouse.move(x - 2 * step, y + 5 * step);
  await expect(knob).not.toHaveAttribute('aria-valuenow', '45');
  await page.mouse.up();
  const tilt = Number(await knob.getAttribute('aria-valuenow'));
  expect(tilt).toBeLessThan(35);
  await saved(page);
  expect((await stored(page, id)).document.site.standing.tilts['tilt-a']?.tilt).toBe(tilt);
  await page.keyboard.press('Control+z');
  await expect(knob).toHaveAttribute('aria-valuenow', '45');
});

test('Cut ends where its last card ends, and the page under it never scrolls', async ({ page }) => {
  await beginJob(page, 'Ends', 'cut');
  await expect(page.getByRole('table', { name: 'Buy' })).toBeVisible();
  const ends = await page.evaluate(() => {
    const main = document.querySelector('main');
    if (!main) throw new Error('no main');
    main.scrollTop = 1e6;
    document.documentElement.scrollTop = 1e6;
    const content = Math.max(
      ...[...main.querySelectorAll('article, table, section')].map((one) => one.getBoundingClientRect().bottom),
    );
    return { page: document.documentElement.scrollTop, blank: main.getBoundingClientRect().bottom - content };
  });
  expect(ends.page).toBe(0);
  expect(ends.blank).toBeLessThan(140);
});

/** A finger that rests, moves and lets go. */
async function carry(cdp: CDPSession, from: { x: number; y: number }, to: { x: number; y: number }): Promise<void> {
  const touch = (type: 'touchStart' | 'touchMove' | 'touchEnd', at?: { x: number; y: number }) =>
    cdp.send('Input.dispatchTouchEvent', { type, touchPoints: at ? [at] : [] });
  await touch('touchStart', from);
  await new Promise((resolve) => setTimeout(resolve, 450));
  for (let step = 1; step <= 12; step += 1)
    await touch('touchMove', {
      x: from.x + ((to.x - from.x) * step) / 12,
      y: from.y + ((to.y - from.y) * step) / 12,
    });
  await touch('touchEnd');
}

test('a piece is carried to another bar by a finger', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 900, height: 1200 } });
  const page = await context.newPage();
  const id = await beginJob(page, 'Carried', 'cut');
  const bars = page.getByTestId('bar-en-1057-15x0.7');
  await expect(bars.first()).toBeVisible();
  const piece = bars.first().getByRole('button').first();
  await piece.scrollIntoViewIfNeeded();
  const box = await piece.boundingBox();
  if (!box) throw new Error('no piece');
  const from = { x: box.x + box.width / 2, y: box.y + box.height / 2 };
  const cdp = await context.newCDPSession(page);
  await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [from] });
  await expect(page.getByText('a bar of its own')).toBeVisible();
  await cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
  const own = async () => {
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchStart', touchPoints: [from] });
    await expect(page.getByText('a bar of its own')).toBeVisible();
    const there = await page.getByText('a bar of its own').boundingBox();
    await cdp.send('Input.dispatchTouchEvent', { type: 'touchEnd', touchPoints: [] });
    if (!there) throw new Error('no place');
    return { x: there.x + there.width / 2, y: there.y + there.height / 2 };
  };
  await carry(cdp, from, await own());
  await saved(page);
  expect((await stored(page, id)).document.decisions).toHaveProperty('overrules');
  await context.close();
});

/** What can be pressed, filled or dragged, and is smaller than a fingertip; links within running text are let be. */
function tooSmall(page: Page, least: number): Promise<string[]> {
  return page.evaluate((smallest) => {
    const all = document.querySelectorAll<Element>(
      'button, a[href], input, select, textarea, [role="slider"], [role="button"], [role="checkbox"]',
    );
    return [...all].flatMap((one) => {
      if (!one.checkVisibility({ opacityProperty: false, visibilityProperty: true })) return [];
      // A piece narrower than a fingertip says how far beside it reaches.
      const { width, height } = (one.querySelector('.reach') ?? one).getBoundingClientRect();
      if (width === 0 || height === 0 || Math.min(width, height) >= smallest - 0.5) return [];
      const name = one.getAttribute('aria-label') ?? one.textContent ?? one.tagName;
      return [`${one.tagName} ${name.slice(0, 40)}: ${width.toFixed(0)} × ${height.toFixed(0)}`];
    });
  }, least);
}

test('everything that is pressed is 24 px at the least', async ({ page }) => {
  const id = await beginJob(page, 'Large enough', 'size');
  for (const station of ['place', 'size', 'cut', 'build', 'forecast', 'prove']) {
    await page.goto(`/jobs/${id}/${station}`);
    await expect(page.locator('main')).not.toContainText('Setting out');
    await expect(page.locator('main').locator('h2, h3, p').first()).toBeVisible();
    expect(await tooSmall(page, 24), station).toEqual([]);
  }
});

test('on a phone it is 44 px, everywhere', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, isMobile: true, viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  const id = await beginJob(page, 'Thumbs', 'size');
  for (const station of ['place', 'size', 'cut', 'build', 'forecast', 'prove']) {
    await page.goto(`/jobs/${id}/${station}`);
    await expect(page.locator('main')).not.toContainText('Setting out');
    await expect(page.locator('main').locator('h2, h3, p').first()).toBeVisible();
    expect(await tooSmall(page, 44), station).toEqual([]);
  }
  await context.close();
});
