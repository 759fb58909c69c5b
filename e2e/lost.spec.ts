import type { Page } from '@playwright/test';
import { beginJob, expect, settled, test } from './bench';

/** Goes to a station by its rail, and waits until it is there. */
async function to(page: Page, name: RegExp): Promise<void> {
  const link = page.getByRole('link', { name });
  await link.click();
  await expect(link).toHaveAttribute('aria-current', 'page');
  await expect(page.locator('main')).not.toContainText('Setting out');
}

test('each station is scrolled to where it was left, and a new one begins at its top', async ({ page }) => {
  await beginJob(page, 'Scrolled', 'cut');
  const main = page.locator('main');
  const top = () => main.evaluate((element) => element.scrollTop);
  await expect(page.getByRole('table', { name: 'Buy' })).toBeVisible();
  await settled(page);
  await main.evaluate((element) => element.scrollTo(0, 700));
  await expect.poll(top).toBe(700);
  await to(page, /^1 Place/);
  await expect(page.getByText('Rules of thumb compared')).toBeVisible();
  expect(await top()).toBe(0);
  await to(page, /^4 Cut/);
  await expect.poll(top).toBe(700);
});

test('sections of the bench fold, are remembered, and a sign on the drawing opens its words', async ({ page }) => {
  await beginJob(page, 'Folded');
  const looking = page.getByRole('button', { name: 'Problems', exact: true });
  const head = page
    .getByRole('region', { name: 'Problems and warnings' })
    .getByRole('button', { name: 'Problems and warnings' });
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
  await page.getByRole('button', { name: 'Problems', exact: true }).first().click();
  await within('plate wider than the box');
  await expect(page.locator('#finding-array-too-wide').getByRole('button')).toBeInViewport();
  await page.getByRole('button', { name: 'Does', exact: true }).click();
  await page
    .getByRole('button', { name: /^Efficiency/ })
    .first()
    .click();
  await expect(page.getByText('nine in ten, as drawn and well made')).toBeInViewport();
});

test('revisions and builds are looked at and taken back; the same is not kept twice unasked', async ({ page }) => {
  const id = await beginJob(page, 'Kept');
  const header = page.locator('header');
  await expect(page.getByTestId('tape-value')).toBeVisible();
  await page.keyboard.press('k');
  await expect(header.getByText('version 1, saved')).toBeVisible();
  await page.keyboard.press('k');
  const again = page.getByRole('dialog', { name: 'Save the same again?' });
  await expect(again).toContainText('Nothing has changed since version 1');
  await again.getByRole('button', { name: 'Leave it' }).click();
  await page.getByRole('button', { name: 'One less: Risers' }).click();
  await page.getByRole('button', { name: 'Save version', exact: true }).click();
  await expect(header.getByText('version 2, saved')).toBeVisible();
  const kept = (await (await page.request.get(`/api/jobs/${id}/revisions`, { maxRetries: 2 })).json()) as {
    id: number;
    number: number;
  }[];
  await page.request.post(`/api/jobs/${id}/builds`, {
    data: { revisionId: kept.find(({ number }) => number === 1)?.id, installedFrom: '2026-05-01T12:00:00Z' },
    maxRetries: 2,
  });
  await page.reload();
  await header.getByRole('button', { name: 'version 2, saved' }).click();
  const dialog = page.getByRole('dialog', { name: 'Versions' });
  await expect(dialog.getByRole('table').getByRole('row')).toHaveCount(3);
  await expect(dialog).toContainText('Version 1 stands since 1 May 2026');
  await expect(dialog.getByRole('button', { name: 'Take out: version 1', exact: true })).toHaveCount(0);
  await dialog.getByRole('button', { name: 'Take out: version 2' }).click();
  await dialog.getByRole('button', { name: 'Take out for good' }).click();
  await expect(header.getByText('version 1 and 1 change')).toBeVisible();
  await dialog.getByRole('button', { name: 'Take back: version 1 as built' }).click();
  await dialog.getByRole('button', { name: 'Take back for good' }).click();
  await expect(dialog).not.toContainText('stands since');
  await dialog.getByRole('button', { name: 'Take out: version 1' }).click();
  await dialog.getByRole('button', { name: 'Take out for good' }).click();
  await expect(header.getByText('no version saved')).toBeVisible();
});
