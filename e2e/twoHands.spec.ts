import type { Page } from '@playwright/test';
import { openStation } from '../scripts/lib/browser.mjs';
import { beginJob, expect, onShelf, saved, settled, stored, storedShop, test } from './bench';

const entry = async (page: Page) => (await page.getByLabel('Riser entry').inputValue()).replace(/\s.*/, '');

test('two hands at two saws: each sees what the other did, and nothing of it is lost', async ({ page, browser }) => {
  const id = await beginJob(page, 'Two saws', 'cut');
  const phone = await (await browser.newContext({ viewport: { width: 390, height: 844 } })).newPage();
  await phone.goto(`/jobs/${id}/cut`);
  await phone.getByRole('checkbox', { name: 'Riser 3 of 12' }).click();
  // The laptop shows it without being touched.
  await expect(page.getByRole('checkbox', { name: 'Riser 3 of 12' })).toBeChecked();
  // Two bars of two materials, cut at the same time.
  await Promise.all([
    page.getByRole('button', { name: 'Lock as cut: 28 × 0.9 copper, bar 1' }).click(),
    phone.getByRole('button', { name: 'Lock as cut: 115 × 19 planed board, bar 1' }).click(),
  ]);
  for (const one of [page, phone]) {
    await expect(one.getByRole('button', { name: 'Unlock: 28 × 0.9 copper, bar 1' })).toBeVisible();
    await expect(one.getByRole('button', { name: 'Unlock: 115 × 19 planed board, bar 1' })).toBeVisible();
    await saved(one);
  }
  expect((await storedShop(page, id)).cuts).toHaveLength(2);
  // A change of the design is taken back, and no cut or tick with it.
  await openStation(page, 'Size');
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await expect(phone.getByRole('checkbox', { name: 'Riser 3 of 11' })).toBeChecked();
  await page.keyboard.press('Control+z');
  await expect(phone.getByRole('checkbox', { name: 'Riser 3 of 12' })).toBeChecked();
  expect((await storedShop(page, id)).cuts).toHaveLength(2);
  await phone.context().close();
});

test('undo takes back one’s own edit, and leaves what the other hand has done since', async ({ page, browser }) => {
  const id = await beginJob(page, 'Own undo');
  const other = await (await browser.newContext()).newPage();
  await other.goto(`/jobs/${id}/size`);
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await expect(other.getByRole('group', { name: 'Risers' }).getByText('11', { exact: true })).toBeVisible();
  await other.getByLabel('Riser entry').fill('9');
  await other.getByLabel('Riser entry').press('Enter');
  await expect.poll(() => entry(page)).toBe('9');
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('group', { name: 'Risers' }).getByText('12', { exact: true })).toBeVisible();
  await saved(page);
  const { document } = await stored(page, id);
  expect(document.heaters['panel-a']?.parameters.riserCount).toBe(12);
  expect(document.heaters['panel-a']?.parameters.entry).toBeCloseTo(0.009, 9);
  // What the other hand set is not this one's to take back.
  await expect(page.getByRole('button', { name: 'Undo', exact: true })).toBeDisabled();
  // One's own, set anew by the other since, stays as it is, and it is said.
  await page.getByRole('button', { name: 'One more: Risers' }).click();
  await expect(other.getByRole('group', { name: 'Risers' }).getByText('13', { exact: true })).toBeVisible();
  await other.getByRole('button', { name: 'One more: Risers' }).click();
  await expect(page.getByRole('group', { name: 'Risers' }).getByText('14', { exact: true })).toBeVisible();
  await page.keyboard.press('Control+z');
  await expect(page.getByText('Somebody has changed this since: it was left as it is now.')).toBeVisible();
  await saved(other);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.riserCount).toBe(14);
  await other.context().close();
});

test('the server takes an edit and dies before it answers: it is laid on once, and what came after is sent', async ({
  page,
  context,
  watch,
}) => {
  watch.cutOff();
  const id = await beginJob(page, 'Lost answer');
  let lost = 0;
  await context.route('**/api/jobs/*/changes', async (route) => {
    if (lost > 0) return route.continue();
    lost += 1;
    await route.fetch();
    return route.abort('connectionreset');
  });
  const errors: string[] = [];
  page.on('requestfailed', (request) => errors.push(request.url()));
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await expect.poll(() => errors.length).toBe(1);
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await saved(page);
  const { version, document } = await stored(page, id);
  expect(document.heaters['panel-a']?.parameters.riserCount).toBe(10);
  expect(version).toBe(3);
});

test('off the network: ten edits over three stations, the window closed and opened again, and all of it arrives', async ({
  page,
  context,
  watch,
}) => {
  watch.cutOff();
  const id = await beginJob(page, 'Off the grid');
  await settled(page);
  await context.setOffline(true);
  for (let count = 0; count < 4; count += 1) await page.getByRole('button', { name: 'One less: Risers' }).click();
  await page.getByLabel('Riser entry').fill('8');
  await page.getByLabel('Riser entry').press('Enter');
  await openStation(page, 'Place');
  await page.getByLabel('Aim, ° from north').fill('200');
  await page.getByLabel('Aim, ° from north').press('Enter');
  await openStation(page, 'Cut');
  await page.getByRole('checkbox', { name: 'Riser 2 of 8' }).click();
  await page.getByRole('button', { name: 'Lock as cut: 28 × 0.9 copper, bar 1' }).click();
  await page.getByRole('checkbox', { name: /Have it: Solder/ }).click();
  await expect(page.locator('header').getByText(/offline, \d+ wait$/)).toBeVisible();
  await expect(page.getByText(/edits wait in this browser/)).toBeVisible();
  await page.close();
  await context.setOffline(false);
  const again = await context.newPage();
  await again.goto(`/jobs/${id}/size`);
  await expect(again.getByRole('group', { name: 'Risers' }).getByText('8', { exact: true })).toBeVisible();
  await saved(again);
  const { document } = await stored(again, id);
  expect(document.heaters['panel-a']?.parameters).toMatchObject({ riserCount: 8, entry: 0.008 });
  expect(document.site.standing.aim).toBe(200);
  const shop = await storedShop(again, id);
  expect(shop.cuts).toHaveLength(1);
  expect(shop.made['panel-a/riser']).toBe(2);
  // The history came along: the last edit is taken back in the new window.
  await again.keyboard.press('Control+z');
  await saved(again);
  const { document: back } = (await stored(again, id)) as unknown as { document: { shop: { have?: object } } };
  expect(Object.keys(back.shop.have ?? {})).toEqual([]);
});

test('a job is copied, renamed, put away, fetched back, and deleted only by its name', async ({ page }) => {
  await beginJob(page, 'Shelf life');
  await onShelf(page, 'Shelf life');
  const card = (name: string) =>
    page.getByRole('article').filter({ has: page.getByRole('heading', { name, exact: true }) });
  await card('Shelf life').getByRole('button', { name: 'Copy: Shelf life' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('textbox', { name: 'Name of the copy' }).fill('Second life');
  await dialog.getByRole('button', { name: 'Copy it' }).click();
  await expect(card('Second life')).toBeVisible();
  await page.getByRole('button', { name: 'Rename: Second life' }).click();
  await dialog.getByRole('textbox', { name: 'Name' }).fill('Third life');
  await dialog.getByRole('button', { name: 'Rename it' }).click();
  await expect(card('Third life')).toBeVisible();
  await page.getByRole('button', { name: 'Archive: Third life' }).click();
  await expect(card('Third life')).toHaveCount(0);
  await page.getByRole('button', { name: 'Archive', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'Archived jobs' })).toBeVisible();
  await page.getByRole('button', { name: 'Delete for good: Third life' }).click();
  const button = dialog.getByRole('button', { name: 'Delete it for good' });
  await dialog.getByLabel('Type its name to delete it').fill('third');
  await expect(button).toBeDisabled();
  await dialog.getByLabel('Type its name to delete it').fill('Third life');
  await button.click();
  await expect(card('Third life')).toHaveCount(0);
  await page.getByRole('button', { name: 'Back to the shelf' }).click();
  await expect(card('Shelf life')).toBeVisible();
});

test('revisions are compared in words, gone back to, and a job of its own is begun from one', async ({ page }) => {
  const id = await beginJob(page, 'Back and forth');
  await page.getByRole('button', { name: 'Save version', exact: true }).click();
  await expect(page.locator('header').getByText(/version 1, saved/)).toBeVisible();
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await page.getByRole('button', { name: /version 1 and 1 change/ }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('button', { name: '1 other' }).click();
  await expect(dialog.getByText('Risers: 12 then, 11 now')).toBeVisible();
  await dialog.getByRole('button', { name: 'Go back to version 1' }).click();
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.riserCount).toBe(12);
  await page.keyboard.press('Control+z');
  await page.getByRole('button', { name: /version 1 and 1 change/ }).click();
  await dialog.getByRole('button', { name: '1 other' }).click();
  await dialog.getByRole('button', { name: 'Begin a job from it' }).click();
  await expect(page.getByRole('heading', { level: 1, name: 'Back and forth, from version 1' })).toBeVisible();
});

test('a job that cannot be read stands on the shelf with its reason, and can be saved out', async ({ page }) => {
  await beginJob(page, 'Whole');
  await page.route('**/api/jobs?*', async (route) => {
    const answer = await route.fetch();
    const shelf = (await answer.json()) as { jobs: object[] };
    const [first] = shelf.jobs;
    const torn = { ...first, id: 'torn', name: 'Torn', unreadable: 'heaters.panel-a.parameters: Invalid input' };
    await route.fulfill({ response: answer, json: { ...shelf, jobs: [torn, ...shelf.jobs] } });
  });
  await onShelf(page, 'Shelf life');
  const card = page.getByRole('article').filter({ hasText: 'This job cannot be read.' });
  await expect(card).toContainText('heaters.panel-a.parameters');
  await expect(card.getByRole('link', { name: 'Save it out' })).toHaveAttribute('href', '/api/jobs/torn/document.json');
  await expect(page.getByRole('heading', { name: 'Whole' })).toBeVisible();
});

test('eight windows of one browser open, hear each other and outlive the first; what is typed and not left is kept on reload', async ({
  page,
  context,
}) => {
  const id = await beginJob(page, 'Many windows', 'place');
  const others = [];
  for (let count = 1; count < 8; count += 1) {
    const one = await context.newPage();
    await one.goto(`/jobs/${id}/place`);
    await expect(one.getByLabel('Project name')).toBeVisible();
    others.push(one);
  }
  const name = (one: Page) => one.getByLabel('Project name');
  await name(page).fill('Renamed');
  await name(page).press('Enter');
  for (const one of others) await expect(name(one)).toHaveValue('Renamed');
  const [second, last] = [others[0], others[6]];
  if (!second || !last) throw new Error('no windows');
  // The first window holds the line to the server: another takes its place.
  await page.goto('about:blank');
  await name(second).fill('After the first');
  await name(second).press('Enter');
  await expect(name(last)).toHaveValue('After the first');
  await name(second).fill('Typed only');
  await second.reload();
  await expect(name(second)).toHaveValue('Typed only');
});
