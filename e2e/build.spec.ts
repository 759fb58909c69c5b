import { beginJob, expect, saved, stored, storedShop, test } from './bench';

test('money and hours are noted with what for, summed, and taken back', async ({ page }) => {
  const id = await beginJob(page, 'Noted', 'build');
  const notes = page.getByRole('region', { name: 'Money and hours' });
  await notes.getByRole('button', { name: 'Note it' }).click();
  await expect(notes.getByRole('alert')).toContainText('Say what for.');
  await notes.getByLabel('What for').fill('tube from the yard');
  await notes.getByLabel('Money, $').fill('a lot');
  await notes.getByRole('button', { name: 'Note it' }).click();
  await expect(notes.getByRole('alert')).toContainText('Money and hours are numbers.');
  await notes.getByLabel('Money, $').fill('84.50');
  await notes.getByLabel('Hours').fill('1.5');
  await notes.getByRole('button', { name: 'Note it' }).click();
  await expect(notes.getByText(/84\.50, 1\.5 h/)).toBeVisible();
  await notes.getByRole('button', { name: 'Take back: tube from the yard' }).first().click();
  await saved(page);
  const { spent, worked } = await storedShop(page, id);
  expect(spent.length + worked.length).toBe(1);
});

test('the build is walked step by step, and the ticks are kept', async ({ page }) => {
  const id = await beginJob(page, 'First harp', 'build');
  const card = page.getByRole('article');
  await expect(card).toContainText('Mark and cut');
  await card.getByRole('button', { name: 'Done, next step' }).click();
  await expect(card).toContainText('Drill the headers');
  // Looked at ahead, a step says what it waits for, and what is dangerous in it.
  await page.getByRole('button', { name: 'Solder the second header' }).click();
  await expect(card).toContainText('the two outer risers first');
  await expect(card).toContainText('Not yet done before it: solder the first header');
  await page.getByRole('button', { name: 'Test the array before it is closed in' }).click();
  await expect(card).toContainText('Water and not air');
  await page.getByRole('checkbox', { name: 'Done: Drill the headers' }).click();
  await saved(page);
  expect(Object.keys((await storedShop(page, id)).steps)).toEqual(['panel-a/step/cut', 'panel-a/step/drill']);
  await page.reload();
  await expect(page.getByText('2 of 13 done')).toBeVisible();
  // Another unit habit writes the checks in its own marks; undo takes the last tick off again.
  await page.getByRole('button', { name: 'Build the box' }).click();
  await expect(card).toContainText('both diagonals are 2 315 mm'.replaceAll(' ', ' '));
  await page.keyboard.press('u');
  await expect(card).toContainText('both diagonals are 7′');
});

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
