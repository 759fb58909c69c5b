import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { openStation } from '../scripts/lib/browser.mjs';
import { beginJob, expect, onShelf, saved, slate, stored, test } from './bench';

const readings = readFileSync(join(import.meta.dirname, '../demo/readings/gannet-reach.csv'), 'utf8');

test('from the shelf to a verdict: the demo is changed, cut, measured and judged', async ({ page }) => {
  await (await onShelf(page, 'Gannet Reach showers')).click();
  await expect(page).toHaveURL(/\/jobs\/gannet-reach-showers\/size$/);
  const gain = await slate(page, /^temperature rise/).textContent();
  await expect(page.getByRole('group', { name: 'Risers' }).getByText('10', { exact: true })).toBeVisible();

  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await expect(slate(page, /^temperature rise/)).not.toHaveText(gain ?? '');
  await expect(slate(page, /^temperature rise/)).toContainText('−');

  await openStation(page, 'Cut');
  await expect(page.getByRole('article', { name: 'Riser' })).toContainText('18 alike');
  await expect(page.getByRole('article', { name: 'Header, cold' })).toContainText('middle at 449');

  await openStation(page, 'Prove');
  await expect(page.getByTestId('verdict')).toContainText('Colder');

  // The same logger's file under another name, with a line that was torn.
  await page.getByRole('button', { name: 'Import file' }).click();
  const torn = readings.replace(/^2026-02-09 12:00,.*$/m, '2026-02-09 12:00,eighteen,23.7,21.2,984,5.19,2.1');
  await page
    .getByLabel('CSV from a logger or a spreadsheet')
    .setInputFiles({ name: 'shed again.csv', mimeType: 'text/csv', buffer: Buffer.from(torn) });
  await expect(page.getByLabel('water in', { exact: true })).toHaveValue('water in °C');
  await page.getByRole('button', { name: 'Look through it' }).click();
  await expect(page.getByText('1 line cannot be read:')).toBeVisible();
  await expect(page.getByText(/line 62: inlet “eighteen” is not a number/)).toBeVisible();
  await expect(page.getByText(/Nothing is kept yet/)).toBeVisible();
  await page.getByRole('button', { name: 'Save the 579 good rows' }).click();
  await expect(page.getByText('579 readings kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByLabel('From').selectOption({ label: 'shed again, 579' });
  await expect(page.getByTestId('verdict')).toContainText(/\d\.\d\sK warmer\. Expected \d\.\d to \d\.\d\./);
  await expect(page.getByTestId('verdict')).toContainText('Colder than the panel should be');
});

test('a change of risers shows everywhere before the next frame', async ({ page }) => {
  await beginJob(page, 'One frame');
  await expect(page.getByTestId('plan').locator('svg')).toBeVisible();
  const before = await page.locator('header').textContent();
  const seen = await page.evaluate(async () => {
    // A row of like parts is drawn as one path of many outlines.
    const count = () =>
      [...document.querySelectorAll('[data-testid="plan"] path')].reduce(
        (sum, path) => sum + (path.getAttribute('d')?.split('M').length ?? 1) - 1,
        0,
      );
    const shapes = count();
    const button = document.querySelector<HTMLButtonElement>('[aria-label="One less: Risers"]');
    button?.click();
    await new Promise((resolve) => requestAnimationFrame(resolve));
    return { fewer: shapes - count(), header: document.querySelector('header')?.textContent ?? '' };
  });
  // A riser and its strip of plate.
  expect(seen.fewer).toBe(2);
  expect(seen.header).not.toBe(before);
});

test('what is changed is there after a reload, at the same station, and can be undone before', async ({ page }) => {
  const id = await beginJob(page, 'Kept through a reload');
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await page.keyboard.press('Control+z');
  await saved(page);
  await expect.poll(async () => (await stored(page, id)).document.heaters['panel-a']?.parameters.riserCount).toBe(11);
  await page.keyboard.press('4');
  await expect(page).toHaveURL(/\/cut$/);
  await page.reload();
  await expect(page.getByRole('article', { name: 'Riser' })).toContainText('11 alike');
});

test('a job is begun from the shelf, and not without a name', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a job' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText('Give the job a name.')).toBeVisible();
  await page.getByLabel('Project name').fill('Goat dairy');
  await page.getByLabel('Units and stock').selectOption('imperial');
  await page.getByLabel('Latitude, longitude').fill('36.6 N, 105.8 W');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page).toHaveURL(/\/jobs\/goat-dairy\/pick$/);
  // Nothing is shown of a heater before one is picked.
  await expect(page.locator('header.slate')).toContainText('No heater picked yet');
  await page.getByRole('link', { name: /^3 Size, not begun/ }).click();
  await page.getByRole('button', { name: 'Begin with a harp' }).click();
  await expect(slate(page, 'pane area')).toContainText('ft²');
});
