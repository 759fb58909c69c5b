import { expect, saved, slate, stored, test } from './bench';

/** Begins a job as a stranger does, to the line-up of kinds. */
async function begin(page: import('@playwright/test').Page, name: string): Promise<string> {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a job' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByLabel('Project name').fill(name);
  await dialog.getByLabel('Latitude, longitude').fill('52.3 N, 1.9 W');
  await dialog.getByLabel('How much a day').fill('200 L');
  await dialog.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page).toHaveURL(/\/pick$/);
  return new URL(page.url()).pathname.split('/')[2] ?? '';
}

const table = { name: 'Kinds of heater' } as const;

test('a kind is picked by filter with a pane on hand, and stands on the bench at its size', async ({ page }) => {
  const id = await begin(page, 'Shed roof');
  await expect(page.getByTestId('pick-sentence')).toContainText('For 200 L a day at 45 °C');
  const kinds = page.getByRole('table', table);
  await expect(kinds.getByRole('row')).toHaveCount(10);
  // A salvaged pane, by its sides.
  await page.getByRole('button', { name: 'I have something' }).click();
  await page.getByLabel('One side').fill('900');
  await page.getByLabel('One side').press('Enter');
  await page.getByLabel('Other side').fill('1600');
  await page.getByLabel('Other side').press('Enter');
  await page.getByRole('button', { name: 'I have it', exact: true }).click();
  await expect(page.getByText('a pane 1 600 mm × 900 mm')).toBeVisible();
  await page.getByRole('button', { name: 'from what I have' }).click();
  await expect(page.getByTestId('left-out')).toContainText('takes nothing of what is on hand');
  await page.getByRole('button', { name: 'through frost' }).click();
  await expect(page.getByTestId('left-out')).toContainText('holds its water in frost');
  await page.getByRole('radio', { name: 'Serpentine' }).click();
  const chosen = page.getByTestId('chosen-kind');
  await expect(chosen).toContainText('Takes the pane 1 600 mm × 900 mm as its cover;');
  await expect(chosen).toContainText(/freezes \d+ nights a year here/);
  await page.getByRole('button', { name: 'Build this: serpentine' }).click();
  await expect(page).toHaveURL(/\/size$/);
  await saved(page);
  const { document } = await stored(page, id);
  const [heater] = Object.values(document.heaters);
  expect(heater).toMatchObject({
    family: 'serpentine',
    count: 1,
    glazing: { parameters: { length: 1.6, width: 0.9 } },
  });
  // It was bought already.
  expect(Object.keys(document.shop.have ?? {})).toContain('panel-a/pane');
  await expect(slate(page, 'pane area')).toContainText('1.41');
  // Back on Pick the filters stand, and one undo brings the harp back.
  await page.keyboard.press('2');
  await expect(page.getByRole('button', { name: 'through frost' })).toHaveAttribute('aria-pressed', 'true');
});

test('the need is drawn by the hour, told by what it costs now, and moves every kind', async ({ page }) => {
  const id = await begin(page, 'Wash day');
  const sentence = page.getByTestId('pick-sentence');
  await expect(sentence).toContainText('of the year’s need');
  const day = page.getByRole('slider', { name: 'Water wanted by the hour' });
  await day.focus();
  await page.keyboard.press('ArrowRight');
  for (let litres = 0; litres < 3; litres += 1) await page.keyboard.press('Shift+ArrowUp');
  await expect(sentence).toContainText('For 230 L a day');
  await expect(day).toHaveAttribute('aria-valuetext', /from 8 to 9 o’clock: 30/);
  await page.getByLabel('Heated now by').selectOption('electricity');
  await expect(page.getByTestId('chosen-kind')).toContainText(/saves \$.* a year/);
  const cost = page.getByLabel(/for a kWh of electricity/);
  await cost.fill('cheap');
  await cost.press('Enter');
  await expect(page.getByRole('alert')).toBeVisible();
  await cost.fill('0.40');
  await cost.press('Enter');
  await saved(page);
  const { document } = await stored(page, id);
  expect(document.need.heats).toEqual({ by: 'electricity', price: 0.4 });
  expect(document.need.volumePerDay).toBeCloseTo(0.23, 6);
  expect(document.need.hours).toHaveLength(24);
  // The same need stands on Place.
  await page.getByRole('link', { name: /^1 Place/ }).click();
  await expect(page.getByRole('region', { name: 'The need' })).toContainText('230 L a day');
  await page.getByRole('button', { name: 'As usual again' }).click();
  await expect(page.getByRole('button', { name: 'As usual again' })).toHaveCount(0);
});
