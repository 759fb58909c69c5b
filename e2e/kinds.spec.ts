import { accessible, beginJob, expect, saved, slate, stored, test } from './bench';

test('a serpentine is begun from the line-up, with its turns drawn and its tube in one way', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a job' }).click();
  await page.getByLabel('Project name').fill('To and fro');
  await page.getByLabel('Latitude, longitude').fill('52.3 N, 1.9 W');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'To and fro', level: 1 })).toBeVisible();
  await page.getByRole('radio', { name: 'Serpentine' }).click();
  await page.getByRole('button', { name: 'Build this: serpentine' }).click();
  await expect(page.getByText(/^\d+ runs,/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Riser flow/ })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'What a mark is worth' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'Flow balance' })).toHaveCount(0);
  await page.getByRole('link', { name: /^4 Cut/ }).click();
  await expect(page.getByText('Stub between two elbows').first()).toBeVisible();
});

test('a harp becomes a serpentine and says what stays behind; up the slope it does not drain', async ({ page }) => {
  const id = await beginJob(page, 'Made over');
  await page.getByRole('button', { name: 'Another kind' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: 'Serpentine' }).click();
  await expect(dialog).toContainText(/Comes along:.*pane.*box/);
  await expect(dialog).toContainText(/Stays behind:.*header tube/);
  await accessible(page);
  await dialog.getByRole('button', { name: 'Make it that kind' }).click();
  await expect(dialog).toBeHidden();
  await expect(slate(page, /^problems/)).toHaveText(/^0/);
  await page.getByRole('checkbox', { name: 'Tubes lie across the slope' }).click();
  await expect(page.locator('#finding-panel-holds-water')).toContainText('it freezes there');
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']).toMatchObject({ family: 'serpentine', turned: false });
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('12 risers,')).toBeVisible();
});
