import { beginJob, expect, saved, stored, test } from './bench';

/** Readings five minutes apart about noon in June at the default place, with a gain that the drawing would give or not. */
function file(gain: number, rows = 12, change: (line: string, index: number) => string = (line) => line): string {
  const lines = Array.from({ length: rows }, (_, index) => {
    const minute = String((index % 12) * 5).padStart(2, '0');
    const hour = 11 + Math.floor(index / 12);
    return change(`2026-06-21 ${hour}:${minute},18.0,${(18 + gain).toFixed(2)},20.0,880,2.59`, index);
  });
  return ['time,water in °C,water out °C,air °C,sun W/m²,flow L/min', ...lines].join('\n');
}

async function takeIn(page: import('@playwright/test').Page, name: string, text: string): Promise<void> {
  await page.getByRole('button', { name: 'Take in a file' }).click();
  await page
    .getByLabel('CSV from a logger or a spreadsheet')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page.getByRole('button', { name: 'Look through it' }).click();
}

test('a panel that does what was drawn is told so, one that does not is told how far off', async ({ page }) => {
  await beginJob(page, 'As drawn', 'prove');
  await takeIn(page, 'good.csv', file(6.7));
  await page.getByRole('button', { name: 'Keep the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText('It does what it should');
  await takeIn(page, 'bad.csv', file(3.1));
  await page.getByRole('button', { name: 'Keep the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByLabel('From').selectOption({ label: 'bad, 12' });
  await expect(verdict).toContainText('Colder than the panel should be');
  await expect(verdict).toContainText('steady stretches');
});

test('the same file again is passed over; other values at known times are refused', async ({ page }) => {
  await beginJob(page, 'Twice', 'prove');
  await takeIn(page, 'logger.csv', file(6));
  await page.getByRole('button', { name: 'Keep the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await takeIn(page, 'logger.csv', file(6, 14));
  await expect(page.getByText('12 stand here already, value for value')).toBeVisible();
  await page.getByRole('button', { name: 'Keep the 2 good rows' }).click();
  await expect(page.getByText('2 readings kept.')).toBeVisible();
  await page.getByRole('button', { name: 'Done' }).click();
  await takeIn(page, 'logger.csv', file(5));
  await expect(page.getByText('12 have a time at which other values stand already')).toBeVisible();
  await expect(page.getByRole('button', { name: /good rows/ })).toHaveCount(0);
});

test('a file is cancelled after it was looked through, and nothing of it stays', async ({ page }) => {
  const id = await beginJob(page, 'Cancelled', 'prove');
  await takeIn(page, 'maybe.csv', file(6));
  await expect(page.getByText('12 readings can be kept. Nothing is kept yet.')).toBeVisible();
  await page.getByRole('button', { name: 'Cancel, keep nothing' }).click();
  expect(await (await page.request.get(`/api/jobs/${id}/readings`, { maxRetries: 2 })).json()).toEqual([]);
  await expect(page.getByText('Nothing measured yet.')).toBeVisible();
});

test('columns are set by hand when their headings say nothing', async ({ page }) => {
  await beginJob(page, 'Unnamed columns', 'prove');
  const text = file(6).replace(/^.*\n/, 'when,a,b,c,d,e\n');
  await page.getByRole('button', { name: 'Take in a file' }).click();
  await page
    .getByLabel('CSV from a logger or a spreadsheet')
    .setInputFiles({ name: 'bare.csv', mimeType: 'text/csv', buffer: Buffer.from(text) });
  const column = (name: string) => page.getByLabel(name, { exact: true });
  await column('water in').selectOption('a');
  await column('water out').selectOption('b');
  await column('air').selectOption('c');
  await column('sun on the pane').selectOption('d');
  await column('flow').selectOption('e');
  await page.getByLabel('unit of water in').selectOption('°F');
  await page.getByRole('button', { name: 'Look through it' }).click();
  await expect(page.getByText('12 readings can be kept')).toBeVisible();
  // 18 °F is ice: the unit is put right and the file looked through again.
  await page.getByLabel('unit of water in').selectOption('°C');
  await page.getByRole('button', { name: 'Look through it' }).click();
  await page.getByRole('button', { name: 'Keep the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByTestId('verdict')).toContainText('Mean of 7 readings at the end of steady stretches');
});

test('readings stay with what was built when the drawing moves on', async ({ page }) => {
  const id = await beginJob(page, 'Built', 'prove');
  await takeIn(page, 'logger.csv', file(6.7));
  await page.getByRole('button', { name: 'Keep the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByText('Nobody has said what was built')).toBeVisible();
  await page.getByRole('button', { name: 'It was built as drawn now' }).click();
  await expect(page.getByText(/Revision 1, built/)).toBeVisible();
  const before = await page.getByTestId('verdict').textContent();
  await page.getByRole('link', { name: /Size/ }).click();
  for (let less = 0; less < 4; less += 1) await page.getByRole('button', { name: 'One less: Risers' }).click();
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']?.parameters.riserCount).toBe(8);
  await page.getByRole('link', { name: /Prove/ }).click();
  await expect(page.getByTestId('verdict')).toHaveText(before ?? '');
});

test('in feet and Fahrenheit the same reading says the same', async ({ page }) => {
  await beginJob(page, 'Dairy readings', 'prove', 'imperial');
  await takeIn(page, 'logger.csv', file(6.7));
  await page.getByRole('button', { name: 'Keep the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await expect(page.getByTestId('verdict')).toContainText('12.1 °F of gain');
  await page.keyboard.press('u');
  await expect(page.getByTestId('verdict')).toContainText('6.7 K of gain');
});
