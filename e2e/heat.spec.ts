import { beginJob, expect, saved, slate, stored, test, unfold } from './bench';

test('what cooks is told at the layers; a loop of PVC and a foam that melts are cautions', async ({ page }) => {
  const id = await beginJob(page, 'Hot');
  const cooks = page.getByRole('region', { name: 'What cooks, dry in full sun' });
  await expect(cooks).toContainText(/digital sensor.*125 max/);
  await expect(slate(page, 'clashes')).toHaveText('0');
  await cooks.getByRole('button').click();
  const dialog = page.getByRole('dialog');
  await expect(dialog).toContainText('no soft-soldered joint has a pressure rating');
  await dialog.getByLabel('Pipes between panel and store').selectOption('pvc');
  await expect(dialog).toContainText(/PVC pipe.*under steam.*60/);
  await page.keyboard.press('Escape');
  await expect(page.locator('#finding-loop-cooks')).toContainText('PVC pipe stands 60');
  await page.getByLabel('Insulation', { exact: true }).selectOption('polyiso-50');
  await expect(page.locator('#finding-material-cooks')).toContainText('polyisocyanurate');
  await expect(slate(page, 'clashes, cautions')).toHaveText('0, 2');
  await saved(page);
  expect((await stored(page, id)).document).toMatchObject({ loop: { pipe: 'pvc' } });
});

test('a figure opens to its derivations and both its bands; still figures open too', async ({ page }) => {
  await beginJob(page, 'Derivations');
  const gain = page.getByRole('button', { name: /^Gain at design flow/ });
  await expect(gain).toContainText(' to ');
  await gain.click();
  await expect(page.getByText('nine in ten, as drawn and well made')).toBeVisible();
  await expect(page.getByText('nine in ten, typical home-made')).toBeVisible();
  await unfold(page, 'When nothing flows');
  const boils = page.getByRole('button', { name: /^Full and still, boils after \d+ min/ });
  await boils.click();
  await expect(page.getByText('boiling by IAPWS-IF97')).toBeVisible();
  await expect(page.getByText('nine in ten, typical home-made')).toHaveCount(0);
});

test('limits are set by whoever knows better; ones that do not rise are refused', async ({ page }) => {
  await beginJob(page, 'Limits');
  await unfold(page, 'How sure');
  await page.getByRole('button', { name: 'Show and set the limits' }).click();
  const dialog = page.getByRole('dialog');
  const likely = dialog.getByLabel('Bond of tube and plate, likely');
  await likely.fill('5');
  await likely.press('Enter');
  await expect(dialog.getByRole('alert')).toHaveText('Low, likely and high must rise.');
  await likely.press('Escape');
});

test('limits that rise move every figure, and come off again', async ({ page }) => {
  const id = await beginJob(page, 'Own limits');
  const factor = page.getByRole('button', { name: /^Tube to plate/ });
  const before = await factor.textContent();
  await unfold(page, 'How sure');
  await page.getByRole('button', { name: 'Show and set the limits' }).click();
  const dialog = page.getByRole('dialog');
  for (const [end, value] of [
    ['low', '3'],
    ['likely', '5'],
    ['high', '9'],
  ] as const) {
    const field = dialog.getByLabel(`Bond of tube and plate, ${end}`);
    await field.fill(value);
    await field.press('Enter');
  }
  await dialog.getByRole('button', { name: 'Done' }).click();
  await expect(factor).not.toHaveText(before ?? '');
  await saved(page);
  expect((await stored(page, id)).document.heaters['panel-a']).toMatchObject({
    known: { bond: { low: 3, likely: 5, high: 9, kind: 'judgement' } },
  });
  await page.getByRole('button', { name: 'Show and set the limits' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Yours: undo Bond of tube and plate' }).click();
  await page.getByRole('dialog').getByRole('button', { name: 'Done' }).click();
  await expect(factor).toHaveText(before ?? '');
});

test('a bond test by hand is laid over what was built and not over what is drawn', async ({ page }) => {
  const id = await beginJob(page, 'By hand', 'prove');
  await page.getByRole('button', { name: 'Test by hand' }).click();
  const dialog = page.getByRole('dialog');
  const keep = dialog.getByRole('button', { name: 'Lay it over the design as built' });
  await expect(keep).toBeDisabled();
  const type = async (label: string, value: string) => {
    await dialog.getByLabel(label, { exact: true }).fill(value);
    await dialog.getByLabel(label, { exact: true }).press('Enter');
  };
  await type('tube, 1', '50');
  await type('plate beside it, 1', '55');
  await type('room, 1', '20');
  await expect(dialog).toContainText('The tube must be at least as warm as the plate');
  await expect(keep).toBeDisabled();
  await type('tube, 1', '58.2');
  await type('plate beside it, 1', '54.1');
  await expect(dialog).toContainText(/Bond of tube and plate: \d+\.\d W\/mK/);
  await keep.click();
  await expect(page.getByText(/Bond of tube and plate: \d+ W\/mK/)).toBeVisible();
  await saved(page);
  const { document } = await stored(page, id);
  expect(document).toMatchObject({
    asBuilt: { '/heaters/panel-a/known': { value: { bond: { kind: 'measured' } } } },
  });
  expect(document.heaters['panel-a']).not.toHaveProperty('known');
  await page.getByRole('button', { name: 'Take off: Bond of tube and plate' }).click();
  await expect(page.getByText('Nothing yet. A bond, a pane or a plate')).toBeVisible();
});
