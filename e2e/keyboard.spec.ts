import { beginJob, expect, saved, slate, stored, test } from './bench';

test('the bench is worked without a mouse', async ({ page }) => {
  const id = await beginJob(page, 'No mouse');
  const pitch = page.getByRole('button', { name: /^riser pitch, .*: set$/ });
  await pitch.focus();
  await page.keyboard.press('Enter');
  const field = page.getByRole('textbox', { name: 'riser pitch' });
  await expect(field).toBeFocused();
  await field.fill('3 3/8"');
  await page.keyboard.press('Enter');
  await expect(page.getByTestId('tape-value')).toContainText('86 mm');
  await page.getByRole('slider', { name: 'riser pitch' }).focus();
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('tape-value')).toContainText('86 mm');
  await page.keyboard.press('ArrowRight');
  await expect(page.getByTestId('tape-value')).toContainText('87 mm');
  await saved(page);
  expect((await stored(page, id)).document.panels[0]?.parameters.pitch).toBeCloseTo(0.087, 9);
});

test('stations, undo and redo go by key from anywhere but a field', async ({ page }) => {
  await beginJob(page, 'By key');
  await expect(page.getByTestId('tape-value')).toBeVisible();
  const stops: [key: string, address: RegExp][] = [
    ['8', /prove$/],
    ['7', /forecast$/],
    ['4', /cut$/],
    ['5', /build$/],
    ['1', /place$/],
    ['3', /size$/],
  ];
  for (const [key, address] of stops) {
    await page.keyboard.press(key);
    await expect(page).toHaveURL(address);
  }
  // Stations that are not built yet have their numbers and no doors.
  await page.keyboard.press('6');
  await expect(page).toHaveURL(/size$/);
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  const area = slate(page, /^holds/);
  const less = await area.textContent();
  await page.keyboard.press('Control+z');
  await expect(area).not.toHaveText(less ?? '');
  await page.keyboard.press('Control+Shift+z');
  await expect(area).toHaveText(less ?? '');
});

test('light goes round by its button and is kept', async ({ page }) => {
  await page.goto('/');
  const dark = () => page.evaluate(() => document.documentElement.classList.contains('dark'));
  await page.getByRole('button', { name: /^Light/ }).click();
  expect(await dark()).toBe(false);
  await page.getByRole('button', { name: 'Light: by day' }).click();
  expect(await dark()).toBe(true);
  await page.reload();
  await expect(page.getByRole('button', { name: 'Light: by night' })).toBeVisible();
  expect(await dark()).toBe(true);
});

test('units chosen on the shelf hold on the bench and store nothing', async ({ page }) => {
  const id = await beginJob(page, 'Units');
  const before = await stored(page, id);
  await page.getByRole('button', { name: 'Feet and inches' }).click();
  await expect(slate(page, 'pane area')).toContainText('ft²');
  await expect(page.getByTestId('tape-value')).toContainText('″');
  await page.goto('/');
  await expect(page.getByRole('article').first()).toContainText('ft²');
  expect(await stored(page, id)).toEqual(before);
});
