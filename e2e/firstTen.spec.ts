import { accessible, beginJob, expect, saved, slate, stored, test } from './bench';

test('a job begins at its place, in its money, and looks the right way', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a job' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Project name').fill('Boat shed');
  await dialog.getByLabel('Currency').fill('NZ$');
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(dialog.getByRole('alert')).toContainText('Type latitude and longitude');
  const place = dialog.getByLabel('Latitude, longitude');
  await place.fill('somewhere north');
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(dialog.getByRole('alert')).toBeVisible();
  // As a map gives it.
  await place.fill('40°54′S 172°54′E');
  await expect(dialog.getByText('Read as 40.900° S, 172.900° E.')).toBeVisible();
  await accessible(page);
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page).toHaveURL(/\/jobs\/boat-shed(-\d+)?\/pick$/);
  await page.getByRole('button', { name: 'Build this: harp' }).click();
  await expect(slate(page, /^cost so far/)).toContainText('NZ$');
  await page.getByRole('link', { name: /^2 Pick/ }).click();
  const { document } = await stored(page, new URL(page.url()).pathname.split('/')[2] ?? '');
  expect(document.site).toMatchObject({
    latitude: -40.9,
    longitude: 172.9,
    standing: { aim: 0, tilts: { 'tilt-a': { tilt: 41 } } },
  });
  expect(document.site).not.toHaveProperty('unnamed');
});

test('without a place it begins somewhere like it, says so, and turns when the place is named', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a job' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Project name').fill('Somewhere dry');
  await dialog.getByRole('radio', { name: 'Choose a climate' }).check();
  await dialog.getByLabel('The weather there').selectOption('highland');
  await dialog.getByRole('radio', { name: 'Southern hemisphere' }).check();
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page).toHaveURL(/\/jobs\/somewhere-dry(-\d+)?\/pick$/);
  await expect(page.getByRole('link', { name: '1 Place, not begun' })).toBeVisible();
  await page.getByRole('link', { name: /^1 Place/ }).click();
  await expect(page.getByTestId('standing-sentence')).toContainText('Nobody has named the place yet');
  const place = page.getByLabel('Latitude, longitude', { exact: true });
  await expect(place).toHaveValue('');
  await expect(page.getByRole('combobox', { name: 'Weather' })).toHaveValue('highland');
  await place.fill('36.6 N, 105.8 W');
  await place.press('Enter');
  await expect(page.getByTestId('standing-sentence')).not.toContainText('Nobody has named');
  await expect(page.getByRole('slider', { name: 'Aim of the pane' })).toHaveAttribute('aria-valuenow', '180');
  await expect(page.getByRole('link', { name: '1 Place, settled' })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByTestId('standing-sentence')).toContainText('Nobody has named the place yet');
});

test('what a choice means is read by touch and by keys', async ({ browser }) => {
  const context = await browser.newContext({ hasTouch: true, viewport: { width: 390, height: 844 } });
  const page = await context.newPage();
  await beginJob(page, 'Meanings');
  const meaning = page.getByRole('button', { name: 'What is meant: Riser joints' });
  await expect(meaning).toHaveAttribute('aria-expanded', 'false');
  await meaning.tap();
  await expect(page.getByText('three capillary joints each, for mains too')).toBeInViewport();
  await meaning.press('Enter');
  await expect(meaning).toHaveAttribute('aria-expanded', 'false');
  // For readers of the page it is always there.
  await expect(page.getByLabel('Riser joints')).toHaveAccessibleDescription(/capillary joints/);
  await context.close();
});

test('the design point is drawn along its curve by hand and by key, and one drag is one undo', async ({ page }) => {
  const id = await beginJob(page, 'Along the curve', 'forecast');
  const point = page.getByRole('slider', { name: 'Flow at the design point' }).first();
  await expect(point).toBeVisible();
  // The axis is laid out anew when the bands come.
  await expect(page.getByText('working out the band…')).toHaveCount(0);
  const flow = page.getByLabel('Flow, all panels');
  const before = await flow.inputValue();
  const gain = await page.getByTestId('forecast-gain').textContent();
  const box = await point.boundingBox();
  if (!box) throw new Error('no point');
  const [x, y] = [box.x + box.width / 2, box.y + box.height / 2];
  await page.mouse.move(x, y);
  await page.mouse.down();
  for (let step = 1; step <= 8; step += 1) await page.mouse.move(x + 10 * step, y);
  // Figures follow the hand; the job has it when the hand lets go.
  await expect(page.getByTestId('forecast-gain')).not.toHaveText(gain ?? '');
  expect((await stored(page, id)).version).toBe(1);
  await page.mouse.up();
  await expect(flow).not.toHaveValue(before);
  // It stays where it was put.
  const moved = await point.boundingBox();
  expect(Math.abs((moved?.x ?? 0) + (moved?.width ?? 0) / 2 - x - 80)).toBeLessThan(3);
  await saved(page);
  await page.keyboard.press('Control+z');
  await expect(flow).toHaveValue(before);
  await point.press('ArrowRight');
  await expect(flow).not.toHaveValue(before);
  const inlet = page.getByLabel('Water in', { exact: true });
  await page.getByRole('slider', { name: 'Water in at the design point' }).press('PageUp');
  await expect(inlet).toHaveValue(/^30/);
});

test('tables sort and find, and keep what is typed in them', async ({ page }) => {
  await beginJob(page, 'Sorted', 'cut');
  const list = page.getByRole('table', { name: 'Buy' });
  const names = () =>
    list.getByRole('row').evaluateAll((rows) => rows.slice(1).map((row) => row.querySelector('td')?.textContent ?? ''));
  await expect(list).toBeVisible();
  const before = await names();
  await list.getByRole('button', { name: 'in all' }).click();
  await expect(list.getByRole('columnheader', { name: 'in all' })).toHaveAttribute('aria-sort', /ending$/);
  expect(await names()).not.toEqual(before);
  expect([...(await names())].sort()).toEqual([...before].sort());
  await page.getByLabel('Find on the list').fill('solder');
  await expect.poll(async () => (await names()).every((name) => /solder/i.test(name))).toBe(true);
  expect((await names()).length).toBeGreaterThan(0);
  await page.getByLabel('Find on the list').fill('no such thing');
  await expect(page.getByText('Nothing has “no such thing” in it.')).toBeVisible();
});

test('an address that leads nowhere says so, to people and to machines; a job without a station opens on the bench', async ({
  page,
  watch,
}) => {
  const id = await beginJob(page, 'Addressed', 'cut');
  await page.goto(`/jobs/${id}`);
  await expect(page).toHaveURL(/\/size$/);
  watch.provoke(404);
  const answer = await page.goto('/nowhere/at/all');
  expect(answer?.status()).toBe(404);
  await expect(page.getByRole('heading', { name: 'There is nothing at this address.' })).toBeVisible();
  expect((await page.request.get(`/jobs/${id}/prove`, { maxRetries: 2 })).status()).toBe(200);
});
