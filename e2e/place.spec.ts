import { broadMonths, syntheticYear } from '@north-pane/core/sky';
import type { Page } from '@playwright/test';
import { accessible, beginJob, expect, saved, stored, test } from './bench';

const sentence = (page: Page) => page.getByTestId('standing-sentence');

/** Opens Place and waits until the year's sun is worked out. */
async function openPlace(page: Page, name: string): Promise<string> {
  const id = await beginJob(page, name, 'place');
  await expect(sentence(page)).toContainText('best fixed pane');
  return id;
}

/** The middle of the dome and px to its rim. */
async function domeOf(page: Page) {
  const box = await page.locator('[aria-label^="The sky from above"] svg').boundingBox();
  if (!box) throw new Error('the dome is not there');
  return { x: box.x + box.width / 2, y: box.y + box.height / 2, radius: box.height / 2 - 36 };
}

/** Drags from one point to another with steps between, as a hand does. */
async function drag(page: Page, from: [number, number], to: [number, number]) {
  await page.mouse.move(...from);
  await page.mouse.down();
  await page.mouse.move(...to, { steps: 12 });
  await page.mouse.up();
}

/** Cells of the month-by-hour table that the skyline takes. */
const taken = (page: Page) => page.locator('g[data-taken]');

/** A logger's year by the hour at Gannet Reach, by the standard clock, with one broken line. Made up. */
function weatherFile(): string {
  const place = { latitude: -40.9, longitude: 172.9, elevation: 4 };
  const { start, columns } = syntheticYear(broadMonths('maritime', place.latitude, place.elevation), place, 3);
  const lines = ['time,sun W/m2,air C,wind m/s'];
  for (let hour = 0; hour < 8760; hour += 1) {
    const at = new Date(start + (hour + 12) * 3_600_000).toISOString();
    const cell = (values: Float32Array | undefined) => (values?.[hour] ?? 0).toFixed(1);
    lines.push(
      `${at.slice(0, 10)} ${at.slice(11, 16)},${cell(columns.global)},${cell(columns.air)},${cell(columns.wind)}`,
    );
  }
  lines[4000] = 'the mouse ate this';
  return lines.join('\n');
}

test('a hill pulled up in the skyline takes the winter hours, and one undo gives them back', async ({ page }) => {
  const id = await openPlace(page, 'Behind the hill');
  const where = page.getByLabel('Latitude, longitude');
  await where.fill('40.9 S, 172.9 E');
  await where.press('Enter');
  await expect(sentence(page)).toContainText('in June');
  await page.getByLabel('Time zone').selectOption('Europe/London');
  await expect(page.getByText('the clock here should be near UTC+12')).toBeVisible();
  await page.getByLabel('Time zone').selectOption('Pacific/Auckland');
  await expect(page.getByText('the clock here should be near')).toHaveCount(0);
  await expect(page.getByLabel('Aim, ° from north')).toHaveValue('0');
  await expect(page.getByTestId('skyline-cost')).toContainText('Open all round');
  await expect(taken(page)).toHaveCount(0);

  const { x, y, radius } = await domeOf(page);
  // 40° high in the north: above the sun of June at noon, below that of December.
  await drag(page, [x, y - radius + 4], [x, y - radius * (50 / 90)]);
  await expect(page.getByRole('slider', { name: 'Skyline at 0 degrees' })).toHaveAttribute('aria-valuenow', '40');
  await expect(page.getByTestId('skyline-cost')).toContainText(
    /It hides the sun for .* a day in June, for 0 h 00 min in/,
  );
  await expect.poll(() => taken(page).count()).toBeGreaterThan(3);
  const titles = await taken(page).locator('title').allTextContents();
  expect(titles.some((title) => /^June, 1[123] /.test(title))).toBe(true);
  expect(titles.some((title) => /^December, 1[234] /.test(title))).toBe(false);
  await saved(page);
  expect((await stored(page, id)).document.site.horizon).toContainEqual({ azimuth: 0, elevation: 40 });

  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(taken(page)).toHaveCount(0);
  await page.getByRole('button', { name: 'Redo' }).click();
  const point = page.getByRole('slider', { name: 'Skyline at 0 degrees' });
  await point.focus();
  await page.keyboard.press('ArrowDown');
  await expect(point).toHaveAttribute('aria-valuenow', '39');
  await page.keyboard.press('Delete');
  await expect(point).toHaveCount(0);
});

test('aim and tilt turn by hand, by keys and by typing, and the sentence follows', async ({ page }) => {
  const id = await openPlace(page, 'Turned');
  const aim = page.getByRole('slider', { name: 'Aim of the pane' });
  const knob = await aim.boundingBox();
  if (!knob) throw new Error('no handle');
  const { x, y, radius } = await domeOf(page);
  const out = radius + 17;
  await drag(
    page,
    [knob.x + knob.width / 2, knob.y + knob.height / 2],
    [x + out * Math.SQRT1_2, y + out * Math.SQRT1_2],
  );
  await expect(aim).toHaveAttribute('aria-valuetext', /^south-east, 135 degrees/);
  await expect(sentence(page)).toContainText('Facing south-east at 45°');
  await aim.focus();
  await page.keyboard.press('ArrowRight');
  await page.keyboard.press('Shift+ArrowRight');
  await expect(aim).toHaveAttribute('aria-valuenow', '146');
  await page.keyboard.press(',');
  await expect(aim).toHaveAttribute('aria-valuenow', '145');

  const tilt = page.getByRole('slider', { name: 'Tilt of the pane' });
  await tilt.focus();
  await page.keyboard.press('PageUp');
  await expect(tilt).toHaveAttribute('aria-valuenow', '55');
  const typed = page.getByLabel('Tilt, ° or 6/12');
  await typed.fill('12/12');
  await typed.press('Enter');
  await expect(tilt).toHaveAttribute('aria-valuenow', '45');
  await typed.fill('120');
  await typed.press('Enter');
  await expect(page.getByRole('alert')).toContainText('Tilt is 0° to 90°');
  await page.keyboard.press('Escape');
  await saved(page);
  expect((await stored(page, id)).document.site.standing).toMatchObject({
    aim: 145,
    tilts: { 'tilt-a': { tilt: 45 } },
  });
});

test('a weather file with a broken line is looked through, mended and kept; stopping keeps nothing', async ({
  page,
}) => {
  const id = await openPlace(page, 'Measured weather');
  const where = page.getByLabel('Latitude, longitude');
  await where.fill('40.9 S, 172.9 E');
  await where.press('Enter');
  await page.getByLabel('Time zone').selectOption('Pacific/Auckland');
  await page.getByRole('button', { name: 'Import weather file' }).click();
  const file = page.getByLabel('CSV, hourly or finer, from a weather station or a service');
  await file.setInputFiles({ name: 'notes.csv', mimeType: 'text/csv', buffer: Buffer.from('hello') });
  await expect(page.getByRole('alert')).toContainText('no columns that can be told apart');
  await file.setInputFiles({ name: 'mast.csv', mimeType: 'text/csv', buffer: Buffer.from(weatherFile()) });
  await page.getByRole('button', { name: 'Look through it' }).click();
  await expect(page.getByText('line 4001: time “the mouse ate this” is not written as 2026-02-09 11:42')).toBeVisible();
  // Written by the standard clock, read by the clock that is moved in summer.
  await expect(page.locator('[data-matter="weather-clock-misread"]')).toContainText('standard clock all year');
  await page.getByRole('button', { name: 'Read it so' }).click();
  await expect(page.locator('[data-matter="weather-clock-misread"]')).toHaveCount(0);
  await page.getByLabel('Bridge the gaps').check();
  await expect(page.getByRole('status')).toContainText('8 759 lines read');
  await accessible(page);

  // A line that is slow: the sending is stopped, and nothing is kept.
  await page.route('**/weather', () => {});
  await page.getByRole('button', { name: 'Keep this weather' }).click();
  await page.getByRole('button', { name: 'Stop' }).click();
  await expect(page.getByRole('alert')).toContainText('Stopped; nothing was kept.');
  await page.unroute('**/weather');
  await page.getByRole('button', { name: 'Keep this weather' }).click();
  await expect(page.getByRole('dialog')).toHaveCount(0);
  await expect(sentence(page)).toContainText('Weather of the file “mast”.');
  await saved(page);
  expect((await stored(page, id)).document.site.climate).toMatchObject({ kind: 'file' });

  await page.getByRole('combobox', { name: 'Weather' }).selectOption({ label: 'Desert: hardly any rain, hot summers' });
  await expect(sentence(page)).toContainText('“Desert”');
  await page.getByRole('combobox', { name: 'Weather' }).selectOption({ label: 'file “mast”' });
  await expect(sentence(page)).toContainText('Weather of the file “mast”.');
});
