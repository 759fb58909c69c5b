import { stationIds } from '@north-pane/core/stations';
import { openStation } from '../scripts/lib/browser.mjs';
import { accessible, beginJob, expect, onShelf, saved, settled, storedShop, test, whileAway } from './bench';

const sizes = [
  { width: 1280, height: 800 },
  { width: 1920, height: 1080 },
  { width: 390, height: 844 },
];

for (const station of ['the shelf', ...stationIds])
  test(`axe finds nothing grave on ${station}, by day and by night, and nothing runs out sideways`, async ({
    page,
  }) => {
    if (station === 'the shelf') await onShelf(page, 'Gannet Reach showers');
    else await page.goto(`/jobs/gannet-reach-showers/${station}`);
    await expect(page.getByRole('main')).toBeVisible();
    if (station === 'pick') await expect(page.getByTestId('chosen-kind')).toBeVisible();
    if (station === 'prove') await expect(page.getByTestId('verdict')).toBeVisible();
    await settled(page);
    await accessible(page);
    // By night the page has other colours and nothing else.
    await page.evaluate(() => document.documentElement.classList.add('dark'));
    await accessible(page, ['color-contrast']);
    for (const size of sizes) {
      await page.setViewportSize(size);
      // What measures its room is drawn anew a moment after the window has its size.
      const over = () =>
        page.evaluate(() => {
          const main = document.querySelector('main');
          return Math.max(
            document.documentElement.scrollWidth - window.innerWidth,
            main ? main.scrollWidth - main.clientWidth : 0,
          );
        });
      await expect.poll(over, { message: `${station} at ${size.width}` }).toBeLessThanOrEqual(0);
    }
  });

test('axe finds nothing grave in any dialog', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a job' }).click();
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByText('Give the job a name.')).toBeVisible();
  await accessible(page);

  await beginJob(page, 'Dialogs', 'prove');
  await page.getByRole('button', { name: 'Import file' }).click();
  const rows = 'time,water in,water out,air,flow,sun\n2026-06-21 12:00,18,24,20,2.6,900\nnoon,18,24,20,2.6,900\n';
  await page
    .getByLabel('CSV from a logger or a spreadsheet')
    .setInputFiles({ name: 'two.csv', mimeType: 'text/csv', buffer: Buffer.from(rows) });
  await accessible(page);
  await page.getByRole('button', { name: 'Look through it' }).click();
  await expect(page.getByText('1 line cannot be read:')).toBeVisible();
  await accessible(page);
  await page.getByRole('button', { name: 'Cancel, keep nothing' }).click();

  await page.keyboard.press('?');
  await expect(page.getByRole('dialog', { name: 'Keys' })).toBeVisible();
  await accessible(page);
  await page.keyboard.press('Escape');
});

test('axe finds nothing grave where a field was changed in two places, and theirs can be taken', async ({
  page,
  watch,
}) => {
  watch.provoke(409);
  watch.cutOff();
  const id = await beginJob(page, 'Contested');
  await whileAway(
    page,
    id,
    (other) => other.getByRole('button', { name: 'One less: Risers' }).click(),
    () => page.getByRole('button', { name: 'One more: Risers' }).click(),
  );
  await expect(page.getByRole('alert', { name: 'Changed in two places' })).toBeVisible();
  await accessible(page);
  const asked = page.getByRole('alert', { name: 'Changed in two places' });
  await asked.getByRole('button', { name: /^Take theirs/ }).click();
  await expect(page.getByRole('group', { name: 'Risers' }).getByText('11', { exact: true })).toBeVisible();
});

test('pieces are ticked off on a phone and stay so through a change of design', async ({ page }) => {
  await page.setViewportSize({ width: 390, height: 844 });
  const id = await beginJob(page, 'Shop floor', 'cut');
  await page.getByRole('checkbox', { name: 'Riser 3 of 12' }).click();
  await expect(page.getByRole('checkbox', { name: 'Riser 3 of 12' })).toBeChecked();
  await expect(page.getByRole('checkbox', { name: 'Riser 1 of 12' })).toBeChecked();
  await saved(page);
  await openStation(page, 'Size');
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await openStation(page, 'Cut');
  await expect(page.getByRole('checkbox', { name: 'Riser 3 of 11' })).toBeChecked();
  await saved(page);
  expect((await storedShop(page, id)).made).toEqual({ 'panel-a/riser': 3 });
});

test('the lists go to the shop as CSV, and a price of one’s own changes the sum', async ({ page }) => {
  await beginJob(page, 'To the shop', 'cut');
  const waiting = page.waitForEvent('download');
  await page.getByRole('button', { name: 'Print, files' }).click();
  await page.getByRole('button', { name: 'Cut list, CSV' }).click();
  const download = await waiting;
  expect(download.suggestedFilename()).toBe('to-the-shop-cut-list.csv');
  const price = page.getByLabel('Price of End caps for the headers');
  await price.fill('cheap');
  await price.press('Enter');
  await expect(page.getByRole('alert')).toContainText('A number is missing here.');
  await price.fill('10');
  await price.press('Enter');
  await expect(page.getByRole('row', { name: /End caps/ })).toContainText('20.00');
});
