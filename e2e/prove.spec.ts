import { beginJob, expect, test } from './bench';

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
  await page.getByRole('button', { name: 'Import file' }).click();
  await page
    .getByLabel('CSV from a logger or a spreadsheet')
    .setInputFiles({ name, mimeType: 'text/csv', buffer: Buffer.from(text) });
  await page.getByRole('button', { name: 'Look through it' }).click();
}

test('a panel that does what was drawn is told so, one that does not is told how far off', async ({ page }) => {
  await beginJob(page, 'As drawn', 'prove');
  await takeIn(page, 'good.csv', file(6.7));
  await page.getByRole('button', { name: 'Save the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  const verdict = page.getByTestId('verdict');
  await expect(verdict).toContainText('Is this what you built?');
  await page.getByRole('button', { name: 'I built this design' }).click();
  await expect(verdict).toContainText('It does what it should');
  await takeIn(page, 'bad.csv', file(3.1));
  await page.getByRole('button', { name: 'Save the 12 good rows' }).click();
  await page.getByRole('button', { name: 'Done' }).click();
  await page.getByLabel('From').selectOption({ label: 'bad, 12' });
  await expect(verdict).toContainText('Colder than the panel should be');
  await expect(verdict).toContainText('steady stretches');
});
