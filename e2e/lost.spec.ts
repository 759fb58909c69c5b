import type { Page } from '@playwright/test';
import { beginJob, expect, saved, settled, stored, test } from './bench';

/** Goes to a station by its rail, and waits until it is there. */
async function to(page: Page, name: RegExp): Promise<void> {
  const link = page.getByRole('link', { name });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
  await expect(page.locator('main')).not.toContainText('Setting out');
}

test('text that is no skyline is refused where it stands, and the skyline stays', async ({ page }) => {
  const id = await beginJob(page, 'Hills', 'place');
  const field = page.getByLabel('Azimuth and elevation in degrees, a line a point');
  await field.fill('60 12\n120 4');
  await field.blur();
  await saved(page);
  await field.fill('trees in the east');
  await field.blur();
  await expect(page.getByRole('alert')).toContainText('There is no point in this');
  await expect(field).toHaveValue('trees in the east');
  await saved(page);
  expect((await stored(page, id)).document.site.horizon).toHaveLength(2);
  await field.press('Escape');
  await expect(field).toHaveValue('60 12\n120 4');
});

test('what is half done at a station is there when one comes back, and after a reload', async ({ page }) => {
  await beginJob(page, 'Half done', 'prove');
  const inlet = page.getByLabel('Water in');
  await inlet.fill('21.5');
  await inlet.press('Enter');
  await page.getByRole('radio', { name: 'thin cloud' }).check();
  await to(page, /^7 Forecast/);
  const air = page.getByLabel('Air', { exact: true });
  await air.fill('3');
  await air.press('Enter');
  await to(page, /^3 Size/);
  await page.locator('[data-dimension="riser-clear"]').click();
  await page.getByRole('button', { name: 'From the side' }).click();
  await expect(page.getByTestId('tape-value')).toContainText('riser, clear of headers');
  await to(page, /^8 Prove/);
  await expect(inlet).toHaveValue(/^21\.5/);
  await expect(page.getByRole('radio', { name: 'thin cloud' })).toBeChecked();
  await to(page, /^7 Forecast/);
  await expect(air).toHaveValue(/^3\.0/);
  await to(page, /^3 Size/);
  await expect(page.getByTestId('tape-value')).toContainText('riser, clear of headers');
  await expect(page.getByRole('button', { name: 'From the side' })).toHaveAttribute('aria-pressed', 'true');
  await to(page, /^8 Prove/);
  await page.reload();
  await expect(inlet).toHaveValue(/^21\.5/);
});

test('each station is scrolled to where it was left, and a new one begins at its top', async ({ page }) => {
  await beginJob(page, 'Scrolled', 'cut');
  const main = page.locator('main');
  const top = () => main.evaluate((element) => element.scrollTop);
  await expect(page.getByRole('table', { name: 'Buy' })).toBeVisible();
  await settled(page);
  await main.evaluate((element) => element.scrollTo(0, 700));
  await expect.poll(top).toBe(700);
  await to(page, /^1 Place/);
  await expect(page.getByText('The schools compared')).toBeVisible();
  expect(await top()).toBe(0);
  await to(page, /^4 Cut/);
  await expect.poll(top).toBe(700);
});

test('sections of the bench fold, are remembered, and a sign on the drawing opens its words', async ({ page }) => {
  await beginJob(page, 'Folded');
  const looking = page.getByRole('button', { name: 'To look at', exact: true });
  const head = page.getByRole('region', { name: 'To look at' }).getByRole('button', { name: 'To look at' });
  await expect(looking.first()).toBeVisible();
  await head.click();
  await expect(head).toHaveAttribute('aria-expanded', 'false');
  await page.reload();
  await expect(head).toHaveAttribute('aria-expanded', 'false');
  await page.getByRole('button', { name: 'One more: Risers' }).click();
  await page.getByRole('button', { name: 'plate wider than the box', exact: true }).click();
  const words = page.locator('#finding-array-too-wide');
  await expect(words).toBeInViewport();
  await expect(words).toBeFocused();
});

test('clashes and the derivation of a figure stand on the first screen of a laptop', async ({ page }) => {
  await beginJob(page, 'First screen');
  await page.getByRole('button', { name: 'One more: Risers' }).click();
  // It is scrolled to in the next frame.
  const foot = async (text: string) => {
    const box = await page.getByText(text).first().boundingBox();
    return (box?.y ?? 9999) + (box?.height ?? 0);
  };
  const within = (text: string) => expect.poll(() => foot(text), { message: text }).toBeLessThan(800);
  await page.getByRole('button', { name: 'To look at', exact: true }).first().click();
  await within('plate wider than the box');
  await expect(page.locator('#finding-array-too-wide').getByRole('button')).toBeInViewport();
  await page.getByRole('button', { name: 'Does', exact: true }).click();
  await page
    .getByRole('button', { name: /^Efficiency/ })
    .first()
    .click();
  await expect(page.getByText('nine in ten, as drawn and well made')).toBeInViewport();
});

async function read(page: Page, values: [label: string, value: string][], sky: string): Promise<void> {
  for (const [label, value] of values) {
    const field = page.getByLabel(label);
    await field.fill(value);
    await field.press('Enter');
  }
  await page.getByRole('radio', { name: sky, exact: true }).check();
}

test.describe('at a fixed hour', () => {
  test.use({ timezoneId: 'UTC' });
  test('a reading by hand that cannot have been is asked about first; kept ones are looked through and taken out', async ({
    page,
  }) => {
    // Half an hour past midnight in winter.
    await page.clock.setFixedTime(new Date('2026-12-21T00:30:00Z'));
    const answer = await page.request.post('/api/jobs', {
      data: { name: 'By night', family: 'harp', units: 'metric', where: { latitude: 52.3, longitude: -1.9 } },
    });
    const { id } = (await answer.json()) as { id: string };
    await page.goto(`/jobs/${id}/prove`);
    await read(
      page,
      [
        ['Water in', '12'],
        ['Water out', '19'],
        ['Air', '2'],
        ['Flow, or 9 L in 3:51', '2.4'],
      ],
      'clear',
    );
    await page.getByRole('button', { name: 'Keep this reading' }).click();
    const asked = page.getByRole('dialog', { name: 'Can that have been?' });
    await expect(asked).toContainText('It is night');
    await asked.getByRole('button', { name: 'Mend it first' }).click();
    expect(await (await page.request.get(`/api/jobs/${id}/readings`)).json()).toEqual([]);
    await expect(page.getByLabel('Water out')).toHaveValue(/^19/);
    await page.getByRole('button', { name: 'Keep this reading' }).click();
    await asked.getByRole('button', { name: 'Keep it all the same' }).click();
    await expect(page.getByText('1 reading', { exact: true })).toBeVisible();
    await page.clock.setFixedTime(new Date('2026-12-21T12:30:00Z'));
    await read(
      page,
      [
        ['Water in', '12'],
        ['Water out', '16'],
      ],
      'clear',
    );
    await page.getByRole('button', { name: 'Keep this reading' }).click();
    await expect(page.getByText('2 readings', { exact: true })).toBeVisible();

    await page.getByRole('button', { name: 'Look through them' }).click();
    const dialog = page.getByRole('dialog', { name: 'Measured: by hand' });
    const rows = dialog.getByRole('table').getByRole('row');
    await expect(rows).toHaveCount(3);
    await expect(rows.nth(1)).toContainText('12:30');
    await dialog.getByRole('button', { name: 'when' }).click();
    await dialog.getByLabel('Find a day or a sky').fill('00:30');
    await expect(rows).toHaveCount(2);
    await dialog.getByLabel('Find a day or a sky').fill('');
    const night = rows.filter({ hasText: '00:30' });
    await night.getByRole('button', { name: /^Take out: reading of/ }).click();
    await night.getByRole('button', { name: 'Take out for good' }).click();
    await expect(rows).toHaveCount(2);
    await dialog.getByRole('button', { name: 'Take all out: by hand' }).click();
    await dialog.getByRole('button', { name: 'Take all out for good' }).click();
    await expect(page.getByText('Nothing measured yet.')).toBeVisible();
    expect(await (await page.request.get(`/api/jobs/${id}/readings`)).json()).toEqual([]);
  });
});

test('revisions and builds are looked at and taken back; the same is not kept twice unasked', async ({ page }) => {
  const id = await beginJob(page, 'Kept');
  const header = page.locator('header');
  await expect(page.getByTestId('tape-value')).toBeVisible();
  await page.keyboard.press('k');
  await expect(header.getByText('revision 1, saved')).toBeVisible();
  await page.keyboard.press('k');
  const again = page.getByRole('dialog', { name: 'Keep the same again?' });
  await expect(again).toContainText('Nothing has changed since revision 1');
  await again.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await page.getByRole('button', { name: 'Keep', exact: true }).click();
  await expect(header.getByText('revision 2, saved')).toBeVisible();
  const kept = (await (await page.request.get(`/api/jobs/${id}/revisions`)).json()) as { id: number; number: number }[];
  await page.request.post(`/api/jobs/${id}/builds`, {
    data: { revisionId: kept.find(({ number }) => number === 1)?.id, installedFrom: '2026-05-01T12:00:00Z' },
  });
  await page.reload();
  await header.getByRole('button', { name: 'revision 2, saved' }).click();
  const dialog = page.getByRole('dialog', { name: 'What was kept' });
  await expect(dialog.getByRole('table').getByRole('row')).toHaveCount(3);
  await expect(dialog).toContainText('Revision 1 stands since 1 May 2026');
  await expect(dialog.getByRole('button', { name: 'Take out: revision 1', exact: true })).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Take out: revision 2' }).click();
  await dialog.getByRole('button', { name: 'Take out for good' }).click();
  await expect(header.getByText('revision 1 and 1 change')).toBeVisible();
  await dialog.getByRole('button', { name: 'Take back: revision 1 as built' }).click();
  await dialog.getByRole('button', { name: 'Take back for good' }).click();
  await expect(dialog).not.toContainText('stands since');
  await dialog.getByRole('button', { name: 'Take out: revision 1' }).click();
  await dialog.getByRole('button', { name: 'Take out for good' }).click();
  await expect(header.getByText('no revision kept')).toBeVisible();
});
