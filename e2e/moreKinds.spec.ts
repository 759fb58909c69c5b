import { readFileSync } from 'node:fs';
import { expect, type Page } from '@playwright/test';
import { saved, slate, test } from './bench';

/** Begins a job of a kind and opens a station of it. */
async function begin(page: Page, family: string, name: string): Promise<void> {
  const answer = await page.request.post('/api/jobs', { data: { name, family, units: 'metric' } });
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/jobs/${id}/size`);
  await expect(page.getByRole('heading', { name, level: 1 })).toBeVisible();
}

/** Opens one of the deeper sections of the bench. */
async function deeper(page: Page, title: string): Promise<void> {
  await page.getByRole('button', { name: title, exact: true }).click();
}

test('a bank of heat pipes, from the pitch of its bottles to a printed jig', async ({ page }) => {
  await begin(page, 'heat-pipe', 'Ten pipes');
  await expect(page.locator('#finding-sealed-wet-tube')).toContainText(/901.kPa at 180/);
  // A danger that stops the work is answered for in writing, and may be taken back.
  const stop = page.locator('#finding-sealed-wet-tube');
  await stop.getByRole('button', { name: /^I answer for it/ }).click();
  await expect(stop.getByRole('alert')).toContainText('Write what you do about it');
  await stop.getByLabel(/^In writing/).fill('Boiled out open, in the yard. R. Example');
  await stop.getByRole('button', { name: /^I answer for it/ }).click();
  await expect(page.getByTestId('answered-sealed-wet-tube')).toContainText(
    '“Boiled out open, in the yard. R. Example”',
  );
  await page.reload();
  await expect(page.getByTestId('answered-sealed-wet-tube')).toBeVisible();
  await page.getByRole('button', { name: /^Take back/ }).click();
  // Not answered for, it stands first on Build.
  await page.getByRole('link', { name: /^5 Build/ }).click();
  await expect(page.getByRole('main').getByRole('button', { name: /^I answer for it/ })).toBeVisible();
  await page.getByRole('link', { name: /^3 Size/ }).click();
  // A wider bottle: its sleeves would meet, and the pitch that they need is offered.
  await page.getByLabel('Bottle, across').fill('110');
  await page.getByLabel('Bottle, across').press('Enter');
  await expect(page.locator('#finding-pipes-too-close')).toBeVisible();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.locator('#finding-pipes-too-close')).toHaveCount(0);
  await saved(page);
  await deeper(page, 'One heat pipe');
  await expect(page.getByText('Holds, as drawn')).toBeVisible();
  await deeper(page, 'What one pipe gives, by sun and air');
  await expect(page.getByRole('row', { name: /^900 W\/m²/ })).toContainText(/bare/);

  await page.getByRole('link', { name: /^4 Cut/ }).click();
  await expect(page.getByRole('article', { name: 'Rail' })).toContainText('for the pipes');
  await page.getByRole('button', { name: 'Print, files' }).click();
  const [file] = await Promise.all([
    page.waitForEvent('download'),
    page.getByRole('button', { name: 'Templates, full size, PDF' }).click(),
  ]);
  expect(file.suggestedFilename()).toMatch(/^ten-pipes.*-templates\.pdf$/);
  expect(readFileSync(await file.path(), 'latin1')).toMatch(/^%PDF-/);
});

test('a hose on a roof warms in the sun without flow, and says how hot its first water is', async ({ page }) => {
  await begin(page, 'spiral', 'Hose on the roof');
  await expect(page.locator('#finding-first-litre-scalds')).toContainText('°C');
  await deeper(page, 'While it stands in the sun');
  await expect(page.getByText('First water after hours of full sun')).toBeVisible();
  await deeper(page, 'What a roll of hose gives');
  await page.getByRole('button', { name: /^50 m: 11 turns/ }).click();
  await expect(slate(page, 'holds')).not.toHaveText('15.5 L');
  await saved(page);
  // Hoses closer than they are wide lie on each other.
  const pitch = page.locator('[data-dimension="pitch"]').first();
  // It is in hand already: a click types it.
  await pitch.click();
  const entry = page.getByRole('textbox', { name: /hose to hose/ });
  await entry.fill('20');
  await entry.press('Enter');
  await expect(page.locator('#finding-windings-overlap')).toBeVisible();
});

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
