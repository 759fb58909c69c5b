import { accessible, beginJob, expect, saved, slate, stored, test } from './bench';

test('a serpentine is begun from the line-up, with its turns drawn and its tube in one way', async ({ page }) => {
  await page.goto('/');
  await page.getByRole('button', { name: 'Begin a job' }).click();
  await page.getByLabel('What do you call it').fill('To and fro');
  await page.getByLabel('Latitude, longitude').fill('52.3 N, 1.9 W');
  await page.getByRole('button', { name: 'Begin', exact: true }).click();
  await expect(page.getByRole('heading', { name: 'To and fro', level: 1 })).toBeVisible();
  await page.getByRole('radio', { name: 'Serpentine' }).click();
  await page.getByRole('button', { name: 'Build this: serpentine' }).click();
  await expect(page.getByText(/^\d+ runs,/)).toBeVisible();
  await expect(page.getByRole('button', { name: /^Riser flow/ })).toHaveCount(0);
  await expect(page.getByRole('region', { name: 'What a mark is worth' })).toBeVisible();
  await expect(page.getByRole('region', { name: 'How it shares its water' })).toHaveCount(0);
  await page.getByRole('link', { name: /^4 Cut/ }).click();
  await expect(page.getByText('Stub between two elbows').first()).toBeVisible();
});

test('a pane-first serpentine: the pane is typed, all else fills it, and a dry fit sets the stubs', async ({
  page,
}) => {
  const answer = await page.request.post('/api/jobs', {
    data: { name: 'Pane first', family: 'serpentine', units: 'metric' },
  });
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/jobs/${id}/size`);
  const outside = page.locator('[data-dimension="outside-width"]');
  await outside.click();
  await outside.click();
  const entry = page.getByRole('textbox', { name: 'pane and box' });
  await entry.fill('1400');
  await entry.press('Enter');
  await expect(page.getByText('10 runs,')).toBeVisible();
  await page.getByRole('button', { name: 'Fill the pane' }).click();
  await expect(page.getByText('12 runs,')).toBeVisible();
  // So wide a pane asks for a bar under it; nothing clashes.
  await expect(slate(page, /^clashes/)).toHaveText(/^0/);
  await expect(page.locator('#finding-dry-fit-first')).toBeVisible();
  for (const [label, value] of [
    ['Dry fit: stub', '60'],
    ['Dry fit: pitch measured', '87'],
  ] as const) {
    await page.getByLabel(label).fill(value);
    await page.getByLabel(label).press('Enter');
  }
  await expect(page.locator('#finding-dry-fit-first')).toHaveCount(0);
  await saved(page);
  const kept = (await stored(page, id)).document.heaters['panel-a']?.parameters as {
    dryStub: number;
    dryPitch: number;
  };
  expect(kept.dryStub).toBeCloseTo(0.06, 7);
  expect(kept.dryPitch).toBeCloseTo(0.087, 7);
  await page.getByRole('link', { name: /^4 Cut/ }).click();
  // Two laying lengths of 13.5 off the pitch.
  await expect(page.getByText('Stub between two elbows').first()).toBeVisible();
});

test('a harp becomes a serpentine and says what stays behind; up the slope it does not drain', async ({ page }) => {
  const id = await beginJob(page, 'Made over');
  await page.getByRole('button', { name: 'Another kind' }).click();
  const dialog = page.getByRole('dialog');
  await dialog.getByRole('radio', { name: 'Serpentine' }).click();
  await expect(dialog).toContainText(/Comes along:.*pane.*box/);
  await expect(dialog).toContainText(/Stays behind:.*header tube/);
  await accessible(page);
  await dialog.getByRole('button', { name: 'Make it that kind' }).click();
  await expect(dialog).toBeHidden();
  await expect(slate(page, /^clashes/)).toHaveText(/^0/);
  await page.getByLabel('Tubes lie').selectOption('up');
  await expect(page.locator('#finding-panel-holds-water')).toContainText('it freezes there');
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']).toMatchObject({ family: 'serpentine', turned: false });
  await page.getByRole('button', { name: 'Undo' }).click();
  await page.getByRole('button', { name: 'Undo' }).click();
  await expect(page.getByText('12 risers,')).toBeVisible();
});

test('a lattice under a barrel raised too high tears at its bolts, until they stand closer', async ({ page }) => {
  const answer = await page.request.post('/api/jobs', {
    data: { name: 'Bench warmth', family: 'lattice', units: 'metric' },
  });
  const { id } = (await answer.json()) as { id: string };
  await page.goto(`/jobs/${id}/size`);
  await expect(page.getByText('351 bolts,')).toBeVisible();
  await expect(page.locator('#finding-lattice-vacuum')).toContainText('sucks its sheets flat');
  await expect(page.getByRole('button', { name: /^Fin between tubes/ })).toHaveCount(0);
  const head = page.getByLabel('Head');
  await head.fill('4 m');
  await head.press('Enter');
  const torn = page.locator('#finding-head-too-high');
  await expect(torn).toContainText('nearly a tonne on every square metre');
  await expect(slate(page, /^clashes/)).toHaveText(/1/);
  const grid = page.locator('[data-dimension="bolt-pitch"]');
  await grid.click();
  await grid.click();
  const entry = page.getByRole('textbox', { name: 'bolt grid, at most' });
  await entry.fill('50');
  await entry.press('Enter');
  await expect(torn).toHaveCount(0);
  await page.getByRole('button', { name: 'How warm' }).click();
});
