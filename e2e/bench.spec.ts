import { beginJob, expect, saved, stored, test } from './bench';

test('a dimension is typed in place, in any unit', async ({ page }) => {
  const id = await beginJob(page, 'Typed');
  const clear = page.getByRole('button', { name: /^riser, clear of headers, .*: set$/ });
  await clear.click();
  await clear.click();
  const field = page.getByRole('textbox', { name: 'riser, clear of headers' });
  await field.fill(`5' 11"`);
  await field.press('Enter');
  await expect(page.getByTestId('tape-value')).toContainText('riser, clear of headers 1 803 mm');
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.riserClear).toBeCloseTo(71 * 0.0254, 6);
});

test('the tape is dragged, nudged and stops at its limit; one drag is one undo', async ({ page }) => {
  await beginJob(page, 'Dragged');
  const value = page.getByTestId('tape-value');
  await expect(value).toContainText('riser pitch 89 mm');
  const tape = page.getByRole('slider', { name: 'riser pitch' });
  const box = await tape.boundingBox();
  if (!box) throw new Error('no tape');
  const y = box.y + box.height / 2;
  await page.mouse.move(box.x + 600, y);
  await page.mouse.down();
  for (let x = 600; x <= 690; x += 15) await page.mouse.move(box.x + x, y);
  await page.mouse.up();
  await expect(value).toContainText('79 mm');
  await page.keyboard.press('Control+z');
  await expect(value).toContainText('89 mm');
  await page.keyboard.press('.');
  await expect(value).toContainText('90 mm');
  await page.keyboard.press('Shift+<');
  await expect(value).toContainText('80 mm');
  // Twelve risers in 1 086 mm: more than 90 would push the plate into the sides.
  for (let press = 0; press < 3; press += 1) await page.keyboard.press('Shift+>');
  await expect(value).toContainText('90 mm');
  await page.keyboard.press('u');
  await expect(value).toContainText('″');
});

test('keys keep a revision, list themselves, and stay quiet while typing', async ({ page }) => {
  await beginJob(page, 'Keys');
  await expect(page.getByTestId('tape-value')).toBeVisible();
  await page.keyboard.press('k');
  await expect(page.locator('header').getByText('version 1, saved')).toBeVisible();
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await expect(page.locator('header').getByText('version 1 and 1 change')).toBeVisible();
  await page.keyboard.press('?');
  await expect(page.getByRole('dialog')).toContainText('nudge the chosen dimension');
  await page.keyboard.press('Escape');
  await page.keyboard.press('1');
  await expect(page).toHaveURL(/\/place$/);
  const name = page.getByLabel('Project name', { exact: true });
  await name.fill('k4u8');
  await expect(page).toHaveURL(/\/place$/);
  await name.press('Enter');
  await expect(page.getByRole('heading', { name: 'k4u8', level: 1 })).toBeVisible();
});
