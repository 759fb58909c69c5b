import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { saved, test } from './bench';

/** Begins a job of a kind and opens a station of it. */
async function begin(page: Page, family: string, name: string): Promise<void> {
  const answer = await page.request.post('/api/jobs', { data: { name, family, units: 'metric' }, maxRetries: 2 });
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/jobs/${id}/size`);
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

/** Opens one of the deeper sections of the bench. */
async function deeper(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: title, exact: true }).click();
}

test('a trough tells where its pipe belongs, shows where the rays go, and prints its caps', async ({ page }) => {
  await begin(page, 'trough', 'Mirror bank');
  await expect(page.locator('#finding-concentrated-light')).toContainText('°C');
  // Half the radius looks right and is not.
  const height = page.locator('[data-dimension="height"]').first();
  await height.click();
  await height.click();
  const entry = page.getByRole('textbox', { name: /pipe over the mirror/ });
  await entry.fill('46');
  await entry.press('Enter');
  const off = page.locator('#finding-pipe-off-focus');
  await expect(off).toContainText(/% less than at/);
  await off.getByRole('button').first().click();
  await expect(off).toHaveCount(0);
  await saved(page);
  await deeper(page, 'What hits, by height and sun');
  await expect(page.getByRole('cell', { name: /as drawn/ })).toBeVisible();
  await deeper(page, 'Tilt and hours by season');
  await expect(page.getByRole('row', { name: /^June/ })).toBeVisible();
  await page.getByRole('button', { name: 'Rays' }).click();
  await expect(page.getByText(/of 16 meet the pipe/)).toBeVisible();
  await page.getByRole('link', { name: /^4 Cut/ }).click();
  await page.getByRole('button', { name: 'Print, files' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Templates, full size, PDF' }).click(),
  ]);
  expect(readFileSync(await file.path(), 'latin1')).toMatch(/^%PDF-/);
});
