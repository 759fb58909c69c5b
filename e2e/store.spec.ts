import { readFileSync } from 'node:fs';
import { openStation } from '../scripts/lib/browser.mjs';
import { expect, onShelf, saved, slate, test } from './bench';

test('Juniper Draw, pane first: the pane is typed, the sides follow, a day is forecast, the notebook agrees, templates are printed', async ({
  page,
}) => {
  await (await onShelf(page, 'Juniper Draw wash-down')).click();
  await expect(page).toHaveURL(/\/jobs\/juniper-draw-wash-down\/size$/);
  const profile = page.getByTestId('plan');
  await expect(profile.getByText(/back stud 3′/)).toBeVisible();
  await expect(slate(page, /^problems/)).toHaveText(/^0/);

  // A shorter pane: the tanks no longer go under it, and that is said with the pane that they need.
  const length = page.locator('[data-dimension="pane-length"]');
  await length.click();
  await length.click();
  const entry = page.getByRole('textbox', { name: /box, up the slope/ });
  await entry.fill('47');
  await entry.press('Enter');
  await expect(page.locator('#finding-tanks-too-long')).toBeVisible();
  await expect(slate(page, /^problems/)).toHaveText(/^1/);
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(slate(page, /^problems/)).toHaveText(/^0/);
  await saved(page);

  await openStation(page, 'Forecast');
  const days = page.getByRole('region', { name: 'Clear, average and bad days' });
  await expect(days.getByRole('row', { name: /Hottest/ })).toContainText('°F');
  await page.getByRole('radio', { name: 'bad' }).click();
  await expect(page.getByRole('img', { name: /Top of each tank through the day/ })).toBeVisible();
  await page.getByLabel('Month').selectOption('January');
  await expect(page.getByText('working out the days…')).toHaveCount(0);
  await days.getByRole('button', { name: /^Hottest/ }).click();
  await expect(page.getByText(/draws pushed through/)).toBeVisible();

  await openStation(page, 'Prove');
  await expect(page.getByTestId('verdict')).toContainText(/of rise\. Expected .*It does what it should/);
  await expect(page.getByRole('region', { name: 'Draw tests' })).toContainText('as much as it should');

  await page.getByRole('link', { name: /^4 Cut/ }).click();
  await expect(page.getByRole('article', { name: /Sides, left and right from one piece/ })).toBeVisible();
  await page.getByRole('button', { name: 'Print, files' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Templates, full size, PDF' }).click(),
  ]);
  expect(file.suggestedFilename()).toBe('juniper-draw-wash-down-templates.pdf');
  expect(readFileSync(await file.path(), 'latin1')).toMatch(/^%PDF-/);
});
