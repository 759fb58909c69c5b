import { readFileSync } from 'node:fs';
import { type Job, onHandOf } from '@north-pane/core/document';
import { shelfOf } from '@north-pane/core/shoplog';
import type { Page } from '@playwright/test';
import { openStation } from '../scripts/lib/browser.mjs';
import { beginJob, expect, saved, slate, stored, storedShop, test } from './bench';

/** What document and log hold of what was settled at the saw. */
async function settled(page: Page, id: string) {
  await saved(page);
  const { document } = (await stored(page, id)) as unknown as {
    document: {
      decisions: { overrules?: Record<string, { pieces: string[] }>; ties?: Record<string, string> };
      shop: { onHand: Job['shop']['onHand']; without?: Record<string, true> };
    };
  };
  const state = await storedShop(page, id);
  return { ...document, state, shelf: shelfOf(onHandOf(document.shop), state) };
}

const money = (text: string | null) => Number((text ?? '').replaceAll(/[^\d.]/g, ''));

test('a copper point on the tape is taken, and a sheet less is to be bought', async ({ page }) => {
  await beginJob(page, 'Save material');
  const before = money(await slate(page, 'so far').textContent());
  const list = page.getByRole('region', { name: 'Save material' });
  const point = list.getByRole('button', { name: /saves .* of stock, 1 less of 0\.3 mm copper sheet, proved/ });
  await expect(point).toBeVisible();
  await expect(page.getByTestId('tape-point').first()).toBeVisible();
  await point.click();
  await expect.poll(async () => money(await slate(page, 'so far').textContent())).toBeLessThan(before - 100);
  await openStation(page, 'Cut');
  await expect(page.getByRole('table', { name: 'Buy' })).toContainText(/1 of 2\s000\smm × 1\s000\smm/);
  await page.keyboard.press('Control+z');
  await expect(page.getByRole('table', { name: 'Buy' })).toContainText(/2 of 2\s000\smm × 1\s000\smm/);
});

test('everything of a panel is stretched to use its stock up, or shrunk to save, and the search can be stopped', async ({
  page,
}) => {
  await beginJob(page, 'Stretch');
  const list = page.getByRole('region', { name: 'Save material' });
  await list.getByRole('button', { name: 'Shrink to save' }).click();
  await list.getByRole('button', { name: 'Stop' }).click();
  await expect(list.getByRole('button', { name: 'Stop' })).toHaveCount(0);
  await list.getByRole('button', { name: 'Use the stock up' }).click();
  await expect(list.getByText(/costs no more stock|Nothing can grow/).first()).toBeVisible();
  await list.getByRole('button', { name: 'Shrink to save' }).click();
  const draw = list.getByRole('button', { name: 'Draw it so' }).first();
  await expect(draw).toBeVisible();
  const before = money(await slate(page, 'so far').textContent());
  await draw.click();
  await expect.poll(async () => money(await slate(page, 'so far').textContent())).toBeLessThan(before);
});

test('plans are proved, a piece is drawn over to another bar at a price, and given back', async ({ page }) => {
  const id = await beginJob(page, 'By hand', 'cut');
  const boards = page.getByRole('region', { name: '115 × 19 planed board' });
  await expect(boards.getByText(/cheapest possible/)).toBeVisible();
  const bars = boards.getByTestId('bar-planed-115x19');
  const count = await bars.count();
  const piece = bars.first().getByRole('button').first();
  await piece.scrollIntoViewIfNeeded();
  const box = await piece.boundingBox();
  if (!box) throw new Error('no piece');
  await page.mouse.move(box.x + 20, box.y + 10);
  await page.mouse.down();
  await page.mouse.move(box.x + 40, box.y + 40, { steps: 4 });
  const own = await boards.getByText('a bar of its own').boundingBox();
  if (!own) throw new Error('nowhere to lay it');
  await page.mouse.move(own.x + 20, own.y + 8, { steps: 6 });
  await page.mouse.up();
  await expect(boards.getByText(/Laid out by hand: .* more than the planner’s/)).toBeVisible();
  await expect(bars).not.toHaveCount(count);
  expect(Object.keys((await settled(page, id)).decisions.overrules ?? {}).length).toBe(2);
  await boards.getByRole('button', { name: 'Give it back to the planner' }).click();
  await expect(bars).toHaveCount(count);
  await page.keyboard.press('Control+z');
  await expect(boards.getByText(/Laid out by hand/)).toBeVisible();
});

test('the pack is printed, and a layout for other programs', async ({ page }) => {
  await beginJob(page, 'Print it', 'cut');
  await page.getByRole('button', { name: 'Print, files' }).click();
  const take = async (name: string) => {
    const [file] = await Promise.all([page.waitForEvent('download'), page.getByRole('button', { name }).click()]);
    return { name: file.suggestedFilename(), text: readFileSync(await file.path(), 'latin1') };
  };
  const pack = await take('Shop pack, PDF');
  expect(pack.name).toBe('print-it-pack.pdf');
  expect(pack.text).toMatch(/^%PDF-/);
  expect(pack.text.length).toBeGreaterThan(30_000);
  const dxf = await take('Layout, DXF');
  expect(dxf.text).toContain('LWPOLYLINE');
  expect((await take('Cut list, CSV')).text).toMatch(/^\xef\xbb\xbfpart,name,/);
});

test('pieces are ticked off on a phone in shop mode, in large figures', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await beginJob(page, 'Phone', 'cut');
  await page.getByRole('button', { name: 'Shop mode' }).click();
  const dialog = page.getByRole('dialog');
  await expect(dialog.getByText('0 of 12', { exact: true })).toBeVisible();
  const size = await dialog
    .getByTestId('shop-size')
    .evaluate((node) => Number.parseFloat(getComputedStyle(node).fontSize));
  expect(size).toBeGreaterThan(60);
  await dialog.getByRole('button', { name: 'Made one' }).click();
  await dialog.getByRole('button', { name: 'Made one' }).click();
  await dialog.getByRole('button', { name: 'One less made' }).click();
  await expect(dialog.getByText('1 of 12', { exact: true })).toBeVisible();
  await dialog.getByRole('button', { name: 'Next piece' }).click();
  await dialog.getByRole('button', { name: 'Made one' }).click();
  await dialog.getByRole('button', { name: 'Leave shop mode' }).click();
  await expect.poll(async () => (await settled(page, id)).state.made).toMatchObject({ 'panel-a/riser': 1 });
});

test('a left and a right board are kept on one length, and a piece is laid over by keys', async ({ page }) => {
  const id = await beginJob(page, 'Pairs', 'cut');
  await page
    .getByRole('article', { name: 'Side board, low' })
    .getByRole('button', { name: 'Keep on one length' })
    .click();
  for (const name of ['Side board, low', 'Side board, high'])
    await expect(
      page.getByRole('article', { name }).getByRole('button', { name: 'From one length', pressed: true }),
    ).toBeVisible();
  const boards = page.getByRole('region', { name: '115 × 19 planed board' });
  const both = boards
    .getByTestId('bar-planed-115x19')
    .filter({ has: page.getByRole('button', { name: /Side board, low/ }) });
  await expect(both.getByRole('button', { name: /Side board, high/ })).toBeVisible();
  expect(Object.keys((await settled(page, id)).decisions.ties ?? {}).length).toBe(2);

  // A plan that is proved while a piece is carried takes the piece out of the hand.
  await expect(boards.getByText(/cheapest possible/)).toBeVisible();
  const piece = boards.getByRole('button', { name: /^End board/ }).first();
  await piece.focus();
  await page.keyboard.press('Space');
  await expect(boards.getByText('a bar of its own')).toBeVisible();
  await expect(async () => {
    await page.keyboard.press('ArrowDown');
    await expect(page.getByText('End board over a bar of its own.')).toBeAttached({ timeout: 400 });
  }).toPass();
  await page.keyboard.press('Space');
  await expect(boards.getByText(/Laid out by hand/)).toBeVisible();
});
