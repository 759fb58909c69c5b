import { beginJob, expect, saved, stored, test } from './bench';

test('a box of bent metal shows its strips laid flat, and says when the lip misses the pane', async ({ page }) => {
  await beginJob(page, 'Bent box');
  await page.getByLabel('Box', { exact: true }).selectOption('folded-edge');
  await page.getByRole('button', { name: 'Bent edge' }).click();
  const flat = page.getByRole('figure', { name: 'Bent edge of panel-a, laid flat' });
  await expect(flat).toContainText('low, first:');
  await expect(flat).toContainText('left, right mirrored:');
  const lip = page.getByLabel('Lip over the pane');
  await lip.fill('35');
  await lip.press('Enter');
  await expect(page.locator('#finding-lip-shades-plate')).toContainText('Bend a narrower lip');
  await page.locator('#finding-lip-shades-plate').getByRole('button', { name: 'Do that' }).click();
  await expect(page.locator('#finding-lip-shades-plate')).toHaveCount(0);
});

test('a dimension is pulled at its end, stops at the marks, and is one step of undo', async ({ page }) => {
  const id = await beginJob(page, 'Pulled');
  const grip = page.locator('[data-grip="riser-clear"]');
  const box = await grip.boundingBox();
  if (!box) throw new Error('no grip');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 8; step += 1) await page.mouse.move(x - 6 * step, y);
  await page.mouse.up();
  await saved(page);
  const pulled = (await stored(page, id)).document.heaters['panel-a']?.parameters.riserClear ?? 0;
  expect(pulled).toBeLessThan(1.85);
  expect(pulled).toBeGreaterThan(1);
  expect(Math.abs(pulled * 1000 - Math.round(pulled * 1000))).toBeLessThan(1e-6);
  await page.getByRole('button', { name: 'Undo' }).click();
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.riserClear).toBeCloseTo(1.882, 9);
  // Pulled past what fits, it stops there and nothing clashes.
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 8; step += 1) await page.mouse.move(x + 12 * step, y);
  await page.mouse.up();
  await expect(page.locator('[id^="finding-array-too-long"]')).toHaveCount(0);
});

test('a harp of tees may stand under mains pressure; its pieces are cut to one stop', async ({ page }) => {
  const id = await beginJob(page, 'Tees');
  await page.getByLabel('Riser joints').selectOption('tees');
  const room = page.locator('#finding-closed-end-too-short');
  await expect(room).toContainText('tee, piece and cap take');
  await page.getByLabel('Far ends of the headers').selectOption('crossed');
  await expect(room).toHaveCount(0);
  await page.getByRole('button', { name: 'Full size' }).click();
  await expect(page.getByRole('figure', { name: 'Tees of panel-a' })).toContainText('dry-fit yours first');
  await page.goto(`/jobs/${id}/cut`);
  await expect(page.getByRole('article', { name: 'Header piece, tee to tee' })).toContainText('against one stop');
});
