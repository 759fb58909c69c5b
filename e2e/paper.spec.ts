import { beginJob, expect, saved, test } from './bench';

/** Sheets of a PDF, by what its writer notes of each. */
const sheets = (pdf: Buffer) => pdf.toString('latin1').match(/\/Type\s*\/Page[^s]/g)?.length ?? 0;

const stations: [station: string, last: string, least: number][] = [
  ['place', 'About the pane', 3],
  ['pick', 'A screening, to choose by', 2],
  ['size', 'How sure', 3],
  ['cut', 'Insulation', 3],
  ['build', 'Carry it and set it up', 1],
  ['forecast', 'no band is proved until you measure', 1],
  ['prove', 'Tested by hand', 1],
];

test('every station prints whole, every section open, without what can only be pressed', async ({ page }) => {
  const id = await beginJob(page, 'On paper', 'place');
  for (const [station, last, least] of stations) {
    await page.goto(`/jobs/${id}/${station}`);
    await expect(page.locator('main')).not.toContainText('Setting out');
    if (station === 'pick') await expect(page.getByText('Tank behind glass or pumped')).toBeVisible();
    if (station === 'size') await expect(page.getByRole('region', { name: 'Efficiency' })).toHaveCount(1);
    // The last line of the station is on the paper, and nothing of it lies beyond the right edge.
    await page.setViewportSize({ width: 703, height: 1000 });
    await page.emulateMedia({ media: 'print' });
    await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
    await expect(page.getByText(last).last(), station).toBeVisible();
    const measured = await page.evaluate(() => {
      const main = document.querySelector('main');
      if (!main) throw new Error('no main');
      const visible = (one: Element | null) => one !== null && one.getClientRects().length > 0;
      const wide = [...main.querySelectorAll('p, h2, table, svg, article')].filter(
        (one) => one.getBoundingClientRect().right > window.innerWidth + 2,
      );
      return {
        page: document.documentElement.scrollHeight,
        main: main.getBoundingClientRect().bottom + window.scrollY,
        rail: visible(document.querySelector('.rail')),
        tape: visible(document.querySelector('[data-testid="tape"]')),
        buttons: [...main.querySelectorAll('button.chakra-button')].filter(visible).length,
        wide: wide.map((one) => one.tagName + (one.textContent ?? '').slice(0, 30)),
        ground: getComputedStyle(document.body).backgroundColor,
      };
    });
    expect(measured.page, station).toBeGreaterThanOrEqual(Math.floor(measured.main) - 1);
    expect(measured, station).toMatchObject({
      rail: false,
      tape: false,
      buttons: 0,
      wide: [],
      ground: 'rgb(255, 255, 255)',
    });
    await page.evaluate(() => window.dispatchEvent(new Event('afterprint')));
    await page.emulateMedia({ media: null });
    await page.setViewportSize({ width: 1280, height: 800 });
    const pdf = await page.pdf({ format: 'A4', preferCSSPageSize: true });
    expect(sheets(pdf), station).toBeGreaterThanOrEqual(least);
  }
});

test('by night the paper is white too, and what was ticked is ticked on it', async ({ page }) => {
  await beginJob(page, 'Night paper', 'build');
  await page.getByRole('checkbox', { name: 'Done: Mark and cut' }).click();
  await saved(page);
  await page.getByRole('button', { name: /^Light/ }).click();
  await page.getByRole('button', { name: 'Light: by day' }).click();
  await page.emulateMedia({ media: 'print' });
  await page.evaluate(() => window.dispatchEvent(new Event('beforeprint')));
  expect(await page.evaluate(() => document.documentElement.classList.contains('dark'))).toBe(false);
  const tick = page.getByRole('checkbox', { name: 'Done: Mark and cut' }).locator('svg');
  await expect(tick).toBeVisible();
  await expect(tick).toHaveCSS('color', 'rgb(0, 0, 0)');
});
